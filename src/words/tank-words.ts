/** What is told in the Tank: whether a lure stays where it is wanted, what a retrieve brings, what stands in the way. */
import type { Chances, Met } from '../core/tune/chance';
import type { Card } from '../core/tune/card';
import type { AtStep, ScriptPath } from '../core/predict/retrieve-script';
import type { Standing } from '../core/tune/rank';
import { decimalText } from '../core/units/write';
import { capital } from './capital';
import { LINE_WORDS, lineValue, oftenWords, windowWords, type CardMeasures } from './card-words';
import { LINE_WORDS as LIES } from './ride-words';

interface Told {
  readonly text: string;
  readonly isAmiss: boolean;
}

/** Whether it stays where it is wanted, clear of the bottom and the weed: one sentence. */
export function staysWords(
  card: Card | null,
  /** What is wanted of its depth, and how likely that is met; null where nothing is. */
  wanted: Met | null,
  { bottomM, weedM }: { readonly bottomM: number; readonly weedM: number },
  measures: CardMeasures,
): Told {
  if (!card) return { text: 'Working out how deep it runs…', isAmiss: false };
  const depth = card.lines.depthM;
  if (!depth || !card.line) return { text: 'How deep it runs cannot be said.', isAmiss: true };
  const deep =
    card.line === 'sinks' ? `Runs at ${lineValue('depthM', depth.value, measures)}` : capital(LIES[card.line]);
  if (card.lines.planingMps && card.line === 'sinks')
    return {
      text: `Does not plane at this speed: it sinks to ${lineValue('depthM', depth.value, measures)}`,
      isAmiss: true,
    };
  if (depth.value > bottomM) return { text: `${deep}: it drags over the bottom`, isAmiss: true };
  const inWeed = depth.value > bottomM - weedM;
  if (wanted) {
    const chance = wanted.chance ?? 0;
    const isAmiss = chance < 0.5;
    return {
      text: `${deep}; wanted ${windowWords(wanted.want, measures)}: ${oftenWords(chance)}${inWeed ? ', in the weed' : ''}`,
      isAmiss: isAmiss || inWeed,
    };
  }
  if (inWeed) return { text: `${deep}: it runs through the weed`, isAmiss: true };
  return { text: `${deep}, ${lineValue('depthM', bottomM - depth.value, measures)} over the bottom`, isAmiss: false };
}

/** What the blades do at one step of a retrieve: `1.2 and 3.4 turns a second`, `stands still`. */
function turnsWords({ rates }: AtStep): string {
  const turning = rates.flatMap(({ rateHz }) => (rateHz === null ? [] : [decimalText(rateHz, 1)]));
  if (rates.length === 0) return 'nothing turns';
  if (turning.length === 0) return rates.length === 1 ? 'its blade stands still' : 'its blades stand still';
  const still = rates.length - turning.length;
  return `${turning.join(' and ')} turns a second${still > 0 ? ', the other stands still' : ''}`;
}

/** What a retrieve brings: depth, pause, what stalls, how loud it is, and what a surface lure loses. */
export function scriptWords(path: ScriptPath, isTrolled: boolean, measures: CardMeasures): readonly string[] {
  if (path.outcome === 'outsideModel') return [`The model holds up to ${path.limit} m/s; this is ${path.value} m/s.`];
  const depths = path.points.map(({ depthM }) => depthM);
  const [least, most] = [Math.min(...depths.slice(Math.min(10, depths.length - 1))), Math.max(...depths)];
  const moving = path.at.filter(({ speedMps }) => speedMps > 0);
  const stalled = moving.filter(({ rates }) => rates.length > 0 && rates.some(({ rateHz }) => rateHz === null));
  const pause = path.at.find(({ speedMps }) => speedMps === 0);
  const levels = moving.flatMap(({ levelDb }) => (levelDb === null ? [] : [levelDb]));
  return [
    `${isTrolled ? 'Trolled' : 'Cast and wound in'}, ${lineValue('depthM', least, measures)} to ${lineValue('depthM', most, measures)} deep.`,
    ...(pause && path.sinkMps
      ? [`On the pause it falls at ${lineValue('sinkMps', path.sinkMps, measures)}; ${turnsWords(pause)}.`]
      : pause
        ? ['On the pause it floats.']
        : []),
    ...stalled.map((at) => `At ${lineValue('keepsMps', at.speedMps, measures)} it stalls: ${turnsWords(at)}.`),
    ...(levels.length > 0 ? [noiseWords(levels)] : []),
    ...(path.lostM === null ? [] : [`It is up after ${lineValue('depthM', path.lostM, measures)} of line.`]),
  ];
}

function noiseWords(levels: readonly number[]): string {
  const [least, most] = [Math.min(...levels), Math.max(...levels)].map((level) =>
    decimalText(level, 0).replace('-', '−'),
  );
  return `Noise ${least === most ? `${most}` : `${least} to ${most}`} dB beside the reference.`;
}

/** Where no single move reaches the target: how far it is, and which must stands in the way. */
export function inTheWayWords({ each }: Chances, best: Standing | null, measures: CardMeasures): string {
  const worst = each
    .filter(({ want }) => want.weight === 'must')
    .toSorted((a, b) => (a.chance ?? 0) - (b.chance ?? 0))[0];
  const nearest =
    best && best.allMusts > 0.02
      ? `The nearest meets all musts ${oftenWords(best.allMusts)}.`
      : 'None comes near all musts at once.';
  if (!worst) return nearest;
  return `No single change reaches it. ${nearest} What stands in the way most: ${LINE_WORDS[worst.want.line].name.toLowerCase()} ${windowWords(worst.want, measures)}.`;
}
