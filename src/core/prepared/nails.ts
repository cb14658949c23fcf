/** What the nail weights of a laid assembly take from a blade: as geometry/knocker.ts has it, on numbers by slot. */
import type { Pose } from '../carriers/wire-path';
import { meetNail, nailEnd, type KnockMeet } from '../geometry/knocker';
import type { Bearing } from '../hydro/blade-loads';
import { knockedBearing } from '../in-water/spinners';
import { stateOf } from '../lure/item-state';
import type { Item } from '../lure/lure';
import type { Blade } from '../parts/kinds/blade';
import type { Part } from '../parts/part';
import type { Laying } from './laying';

/** A blade behind a swivel, where it turns. */
export interface KnockedBlade {
  readonly blade: Blade;
  readonly axle: Pose;
  readonly holeM: number;
  readonly dropM: number;
}

/** The bearing of a blade with what a nail takes from it or holds it with. */
export function knockedOn(
  bearing: Bearing,
  { blade, axle, holeM, dropM }: KnockedBlade,
  laying: Laying,
  parts: readonly Part[],
): Bearing {
  const { nails, items, on, lines } = laying.assembly;
  const met = nails.flatMap(({ slot, host }): KnockMeet[] => {
    const [nail, body] = [parts[slot], parts[host]];
    const pose = laying.carriers[on[slot] as number]?.lines[lines[slot] ?? 'run'];
    if (nail?.kind !== 'nailWeight' || body?.kind !== 'trailer' || !pose) return [];
    const lies = { x0M: laying.x0M[slot] as number, x1M: laying.x1M[slot] as number };
    const state = stateOf(items[slot] as Item, 'nail');
    const end = nailEnd(nail, state, body, pose, lies, laying.offAxisM[slot] as number);
    const one = meetNail(blade, axle, holeM, dropM, end);
    return one && one.knock !== 'misses' ? [one] : [];
  });
  return knockedBearing(bearing, blade, met.find(({ knock }) => knock === 'jams') ?? met[0] ?? null);
}
