/** Actions that builders ask for, as targets to start from. The edges are trade estimates, meant to be drawn elsewhere. */
import { referenceThumpNs } from '../predict/outputs';
import type { Card } from './card';
import { CARD_LINES, type CardLine, type Target, type Want } from './target';

const THUMP = referenceThumpNs();

const want = (line: CardLine, low: number | null, high: number | null, weight: Want['weight'] = 'must'): Want => ({
  line,
  low,
  high,
  weight,
});

export const WANTED_ACTIONS: readonly Target[] = [
  {
    name: 'Slow, a hard thump, and down',
    wants: [
      want('thumpNs', 0.5 * THUMP, null),
      want('depthM', 0.8, null),
      want('keepsMps', null, 0.5),
      want('rateHz', null, 8, 'wouldLike'),
    ],
  },
  {
    name: 'Quick and flashing',
    wants: [
      want('rateHz', 9, null),
      want('flashFrontM2PerS', 0.003, null),
      want('keepsMps', null, 0.6),
      want('depthM', 0.3, 1.5, 'wouldLike'),
    ],
  },
  {
    name: 'Turns at a crawl',
    wants: [
      want('keepsMps', null, 0.32),
      want('startsMps', null, 0.65, 'wouldLike'),
      want('sinkMps', null, 0.45, 'wouldLike'),
    ],
  },
  {
    name: 'Stays down at a fast retrieve',
    wants: [want('surfaceMps', 1.3, null), want('depthM', 1, null), want('leanRad', null, 0.12, 'wouldLike')],
  },
  {
    name: 'Just under the surface',
    wants: [want('depthM', 0.1, 0.6), want('keepsMps', null, 0.5), want('sinkMps', null, 0.5, 'wouldLike')],
  },
  {
    name: 'Loud',
    wants: [want('levelDb', 12, null), want('thumpNs', 0.3 * THUMP, null, 'wouldLike')],
  },
  {
    name: 'Quiet and slim',
    wants: [want('levelDb', null, -6), want('bulkM2', null, 0.0012, 'wouldLike')],
  },
  {
    name: 'A wide, slow wobble',
    wants: [want('wobbleRad', 0.14, null), want('wobbleHz', null, 6), want('wobbleStartMps', null, 0.4, 'wouldLike')],
  },
];

/** Of these lines a lure acts like another; the others may differ. */
const ACTS_ALIKE: Readonly<Partial<Record<CardLine, Want['weight']>>> = {
  keepsMps: 'must',
  rateHz: 'must',
  thumpNs: 'must',
  depthM: 'must',
  planingMps: 'must',
  wobbleHz: 'must',
  wobbleRad: 'wouldLike',
  pulseN: 'wouldLike',
  levelDb: 'wouldLike',
  flashFrontM2PerS: 'wouldLike',
  sinkMps: 'wouldLike',
};
/** Nobody feels less of a difference. */
const NOTICED = 0.1;

/** "Make it act like that one": windows about what the other does, as wide as it is known. Null where nothing is said of it. */
export function actLike(name: string, { lines }: Card): Target | null {
  const wants = CARD_LINES.flatMap((line): Want[] => {
    const [said, weight] = [lines[line], ACTS_ALIKE[line]];
    if (!said || !weight) return [];
    const least = NOTICED * Math.abs(said.value);
    const [low, high] = [Math.min(said.low, said.value - least), Math.max(said.high, said.value + least)];
    return low < high ? [{ line, low, high, weight }] : [];
  });
  return wants.length > 0 ? { name, wants } : null;
}
