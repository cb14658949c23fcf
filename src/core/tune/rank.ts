/**
 * All moves of a lure ranked by what each gains for its trouble. Each is asked of the prepared lure for the middles of the
 * wanted lines; their spreads and how they go together are the lure's own as it is now. So a chance here is an estimate:
 * what is shown of the first ones is their whole card (promise.ts).
 *
 * Gain is how much the worth of a lure (chance.ts) grows. Where no move makes a target likelier, the distance to it tells
 * which comes nearest: how far, in half widths of each line, the middles of the musts lie outside their windows, as the
 * root of the squares. Trouble is told in minutes.
 */
import type { Lure } from '../lure/lure';
import type { Banded } from '../predict/band';
import type { Asked } from '../predict/predict';
import type { Setting } from '../prepared/prepared';
import { cardOf, OF_SOUND, type Card } from './card';
import { chancesWith, drawTogether, halfWidthsTo, linesOf } from './chance';
import { carried, type Middles } from './middles';
import type { PartsAtHand } from './offered';
import type { CardLine, Want } from './target';
import { MovesTried, type TriedMove } from './tried';

/** How a lure stands to a target. */
export interface Standing {
  /** That all musts are met, 0…1. */
  readonly allMusts: number;
  readonly worth: number;
  /** Of the musts from their windows, in half widths. */
  readonly distance: number;
}

export interface Ranked extends Omit<TriedMove, 'middles'> {
  readonly after: Standing;
  /** It makes the target likelier; else it only comes nearer to it. */
  readonly gains: boolean;
  readonly worthOfTrouble: number;
}

export interface Ranking {
  readonly before: Standing;
  /** The best first; what gains nothing is left out. */
  readonly ranked: readonly Ranked[];
  readonly tried: number;
}

export interface RankAsked {
  readonly lure: Lure;
  readonly setting: Setting;
  readonly wants: readonly Want[];
  readonly parts: PartsAtHand;
  /** The card of the lure as it is, where that is known: else it is worked out. */
  readonly card?: Card;
  /** What readings have taught, and what happened to the blades: for the card as it is now. */
  readonly asked?: Asked;
  /** So many moves at most, the most telling first; all unless told. */
  readonly most?: number;
  /** The moves of the same lure in the same setting, as tried before. */
  readonly tried?: MovesTried;
}

/** Less is no gain: within the luck of the draws. */
export const LEAST_GAIN = 0.015;
/** Half widths nearer that count. */
const LEAST_NEARER = 0.1;
/** Minutes of any move: to sit down to it, and to try the lure again. Trade estimates, as what follows. */
const ANY_MINUTES = 10;
const BUYING_MINUTES = 5;
/** What is spoilt by it for good. */
const DESTROYING_MINUTES = 10;
/** A line that cannot be said is so far from its window. */
const UNSAID = 10;

/** Ranks all moves, and says after each how many are done. @throws Error for a build that structureProblem refuses */
export function* ranking(asked: RankAsked): Generator<number, Ranking> {
  const { lure, setting, parts, most = Infinity } = asked;
  const wants = asked.wants.filter(({ weight }) => weight !== 'whatever');
  const { water, outfit, speedMps } = setting;
  const card =
    asked.card ??
    cardOf(lure.build, water, speedMps, {
      ...asked.asked,
      ...(outfit && { outfit }),
      // Sound takes as long as all else: only where it is wanted.
      ...(wants.some(({ line }) => OF_SOUND.has(line)) ? {} : { sound: null }),
    });
  const lines = linesOf(wants);
  const judge = judging(card, wants, lines);
  const moves = asked.tried ?? new MovesTried(lure, setting, parts);
  const now = moves.now(lines);
  const before = judge(now, now);
  const ranked: Ranked[] = [];
  let tried = 0;
  for (const one of moves.each(lines)) {
    if (tried === most) break;
    yield ++tried;
    const found = one && rankedOf(one, before, judge(now, one.middles));
    if (found) ranked.push(found);
  }
  return { before, ranked: ranked.sort(bestFirst), tried };
}

/** The same at one go. */
export function rank(asked: RankAsked): Ranking {
  const work = ranking(asked);
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
  }
}

/** Holds middles against what is wanted, with the luck of one set of draws. */
function judging(card: Card, wants: readonly Want[], lines: readonly CardLine[]) {
  const draws = drawTogether(card, lines);
  return (before: Middles, after: Middles): Standing => {
    const saidOf = (line: CardLine) => carried(card, line, before, after);
    const { allMusts, worth } = chancesWith(draws, saidOf, card.speedMps, wants);
    return { allMusts, worth, distance: distanceOf(saidOf, wants) };
  };
}

/** Of the musts from their windows: the root of the squares of the half widths that each middle lies outside. */
function distanceOf(saidOf: (line: CardLine) => Banded | null, wants: readonly Want[]): number {
  const off = wants.map(({ line, low, high, weight }) => {
    if (weight !== 'must') return 0;
    const said = saidOf(line);
    if (!said) return UNSAID;
    const short = low !== null && low > said.value ? halfWidthsTo(line, said, low, true) : 0;
    const over = high !== null && high < said.value ? -halfWidthsTo(line, said, high, false) : 0;
    return Math.min(UNSAID, Math.max(short, over));
  });
  return Math.hypot(...off);
}

/** Minutes that a move is worth taking into account by. */
export function troubleOf({ effort, isBought }: Pick<TriedMove, 'effort' | 'isBought'>): number {
  const spoils = effort.undoing === 'destroys' ? DESTROYING_MINUTES : 0;
  return ANY_MINUTES + effort.minutes + (isBought ? BUYING_MINUTES : 0) + spoils;
}

function rankedOf({ move, effort, isBought }: TriedMove, before: Standing, after: Standing): Ranked | null {
  const gain = after.worth - before.worth;
  const nearer = before.distance - after.distance;
  if (gain < LEAST_GAIN && !(nearer > LEAST_NEARER && gain > -LEAST_GAIN)) return null;
  const gains = gain >= LEAST_GAIN;
  const worthOfTrouble = (gains ? gain : nearer) / troubleOf({ effort, isBought });
  return { move, effort, isBought, after, gains, worthOfTrouble };
}

function bestFirst(a: Ranked, b: Ranked): number {
  if (a.gains !== b.gains) return a.gains ? -1 : 1;
  return b.worthOfTrouble - a.worthOfTrouble || (a.move.key < b.move.key ? -1 : 1);
}
