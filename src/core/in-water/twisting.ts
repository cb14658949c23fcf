/** What of a lure, besides its blades, bears on the twist of its line: a bait that rolls, a swivel at its nose. */
import { baitRoll, type BaitRoll } from '../hydro/bait-roll';
import { stateOf } from '../lure/item-state';
import { FIRST_CARRIER, type Item } from '../lure/lure';
import { SWIVEL_TORQUE_NM } from './bearing';

export interface Twisting {
  /** Of the bait that turns the line most; null where none rolls. */
  readonly roll: BaitRoll | null;
  /** The most that a swivel at the nose lets through, N·m; Infinity without one. */
  readonly noseNm: number;
}

/** @param items of the whole lure */
export function twistingOf(items: readonly Pick<Item, 'id' | 'part' | 'seat' | 'state'>[]): Twisting {
  const rolls = items.flatMap(({ part, seat }) => {
    if (part.kind !== 'bait' || seat.on !== 'item') return [];
    const hook = items.find(({ id }) => id === seat.item)?.part;
    return hook?.kind === 'hook' && hook.rolls ? [baitRoll(part.lengthM, part.bodyM, hook.gapM)] : [];
  });
  const atNose = items.filter(
    ({ seat }) => seat.on === 'end' && seat.end === 'nose' && (seat.carrier ?? FIRST_CARRIER) === FIRST_CARRIER,
  );
  return {
    roll: rolls.reduce<BaitRoll | null>((most, each) => (most && most.torqueM3 >= each.torqueM3 ? most : each), null),
    noseNm: Math.min(...atNose.map(letsThroughNm), Infinity),
  };
}

function letsThroughNm(item: Pick<Item, 'id' | 'part' | 'state'>): number {
  const { part } = item;
  if (part.kind === 'swivel') return SWIVEL_TORQUE_NM[stateOf(item, 'swivel').condition];
  return part.kind === 'snap' && part.style !== 'plain' ? SWIVEL_TORQUE_NM.free : Infinity;
}
