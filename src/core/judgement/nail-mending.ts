/** What makes a nail weight knock that does not: the same or another one, under the widest of the blade, as far out as it takes. */
import { nailMeets } from '../geometry/knocker';
import { layOut } from '../geometry/layout';
import { spinSeats } from '../geometry/seats';
import { applyEdits, type Edit } from '../lure/edit';
import { stateOf } from '../lure/item-state';
import type { Item, ItemId, Lure } from '../lure/lure';
import { usualSpreadRad } from '../parts/blade-pattern';
import { GRIPS_FROM, nailLengthM, type NailState, type NailWeight } from '../parts/kinds/nail-weight';
import type { Part } from '../parts/part';
import type { Repair } from './finding';

/** The nail that is there first, then others by how near they are in mass. */
export function nailRepairs(lure: Lure, id: ItemId, spare: readonly Part[]): Repair[] {
  const nail = lure.build.items[id];
  if (nail?.part.kind !== 'nailWeight') return [];
  const { massKg, material } = nail.part;
  const others = spare
    .filter((part): part is NailWeight => part.kind === 'nailWeight' && part.id !== nail.part.id)
    .sort(
      (a, b) =>
        Number(b.material === material) - Number(a.material === material) ||
        Math.abs(a.massKg - massKg) - Math.abs(b.massKg - massKg),
    );
  return [nail.part, ...others].flatMap((part): Repair[] => {
    const state = knocking(lure, nail, part);
    if (!state) return [];
    const set: Edit = { kind: 'adjust', item: id, changes: { state } };
    return part === nail.part
      ? [{ code: 'setNail', toM: state.outM, edits: [set] }]
      : [{ code: 'swapFor', part, edits: [{ kind: 'swapPart', item: id, part }, set] }];
  });
}

/** Where this nail would knock and still grip; null where it would not. */
function knocking(lure: Lure, nail: Item, part: NailWeight): NailState | null {
  let state: NailState = { ...stateOf(nail, 'nail'), leanRad: 0, clippedM: 0 };
  // First under the widest of the blade, then out as far as it takes there.
  for (let step = 0; step < 2; step++) {
    const tried = applyEdits(lure, [
      { kind: 'swapPart', item: nail.id, part },
      { kind: 'adjust', item: nail.id, changes: { state } },
    ]);
    if (!tried.ok) return null;
    const { build } = tried.lure;
    const layout = layOut(build);
    const met = nailMeets(build, layout, spinSeats(build, layout)).find((each) => each.nail.id === nail.id);
    if (!met) return null;
    const { gapM, mostM, behindWidestM, seat } = met;
    state =
      step === 0
        ? { ...state, atM: Math.max(state.atM - behindWidestM * Math.cos(usualSpreadRad(seat.blade.pattern)), 0) }
        : { ...state, outM: Math.round((state.outM + gapM + mostM / 2) * 1e4) / 1e4 };
  }
  const longM = nailLengthM(part, state);
  return state.outM >= 0 && longM - state.outM >= GRIPS_FROM * longM ? state : null;
}
