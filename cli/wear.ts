/** What `wear` answers with: the line tie in fish, and the clocks, in figures and in words. */
import { UNUSED, type Lure, type Used } from '../src/core/lure/lure';
import type { Water } from '../src/core/hydro/water';
import { wearOf, type TieWear } from '../src/core/wear/wear';
import type { TieLife } from '../src/core/wear/line-tie';
import { armWords, clockWords, tieWords } from '../src/words/wear-words';
import { readNumber, type CommandOptions } from './options';

const MOST_HOURS = 10_000;
const MOST_FISH = 10_000;

/** As asked for; else as the lure's file tells of the piece that is made. */
export function readUsed({ hours, fish }: CommandOptions, { made }: Lure): Used {
  const kept = made?.used ?? UNUSED;
  return {
    ...kept,
    hours: hours === undefined ? kept.hours : readNumber('badHours', hours, 'number', 0, MOST_HOURS),
    fish: fish === undefined ? kept.fish : readNumber('badFish', fish, 'number', 0, MOST_FISH),
  };
}

/** @param used hours in the water and fish since it was made */
export function wearJson(lure: Lure, water: Water, used: Used) {
  const { tie, arm, clocks } = wearOf(lure.build, water, used);
  return {
    ...used,
    tie: tie && { ...tieJson(tie), words: tieWords(tie) },
    arm: arm && {
      carrier: arm.carrier,
      straightenings: arm.straightenings.value,
      straightenings_spread: [arm.straightenings.low, arm.straightenings.high],
      used_share: arm.used,
      words: armWords(arm),
    },
    clocks: clocks.map((clock) => ({ ...clock, words: clockWords(clock, lure.build) })),
  };
}

function tieJson(tie: TieWear) {
  if (tie.outcome !== 'open') return tie;
  const { outcome, carrier, isRinged, life, otherwise, used } = tie;
  return {
    outcome,
    carrier,
    ring_over_it: isRinged,
    ...lifeJson(life),
    used_share: used,
    [isRinged ? 'without_ring' : 'with_ring']: lifeJson(otherwise),
  };
}

function lifeJson({ fish: { value, low, high }, at }: TieLife) {
  return { lasts_fish: value, lasts_fish_spread: [low, high], breaks_at: at };
}
