/** Lures that a builder could reach from the demo ones, for properties over the whole catalogue. */
import fc from 'fast-check';
import { CATALOGUE } from '@/core/parts/catalogue';
import type { Part } from '@/core/parts/part';
import { applyEdits } from '@/core/lure/edit';
import { seatPart, takeOff, threadParts } from '@/core/lure/editing';
import { howSchema, type Lure, type Seat } from '@/core/lure/lure';
import { canThread } from '@/core/lure/structure';
import { DEMO_LURES } from '@/demo/scenario';
import { edited, itemId } from './lures';

const [firstLure] = DEMO_LURES as [Lure, ...Lure[]];
/** On wire: no hook is snelled there. */
const threadable = CATALOGUE.filter(({ kind }) => canThread(kind, firstLure.build.carrier));
const blades = CATALOGUE.filter(({ kind }) => kind === 'blade');

/** A demo lure with another blade, some parts taken off its wire and any others threaded at its ends. */
export function anyLure(): fc.Arbitrary<Lure> {
  return fc
    .tuple(
      fc.constantFrom(...DEMO_LURES),
      fc.array(fc.tuple(fc.constantFrom(...threadable), fc.nat(9)), { maxLength: 4 }),
      fc.constantFrom(...blades),
      fc.nat(6),
    )
    .map(([start, added, blade, taken]) => {
      const hung = start.build.items[itemId('blade-1')];
      let lure = hung ? edited(start, { kind: 'swapPart', item: hung.id, part: blade }) : start;
      for (let n = 0; n < taken; n++) {
        const loose = lure.build.strand.filter(({ leg }) => leg === null);
        const victim = loose[(taken * 7 + n) % Math.max(loose.length, 1)];
        if (victim) lure = edited(lure, takeOff(lure.build, victim.item));
      }
      // Nothing is threaded on a body.
      const isThreaded = canThread('bead', start.build.carrier);
      for (const [each, at] of isThreaded ? added : []) {
        const { length } = lure.build.strand;
        lure = edited(lure, threadParts(lure.build, each, Math.min(at, length) % 2 ? 0 : length));
      }
      return lure;
    });
}

/** The same with any parts hung, tied, pushed and slid on wherever they can sit. */
export function anyDressedLure(): fc.Arbitrary<Lure> {
  const seats = fc.tuple(fc.constantFrom<Part>(...CATALOGUE), fc.nat(30), fc.constantFrom(...howSchema.options));
  return fc.tuple(anyLure(), fc.array(seats, { maxLength: 12 })).map(([start, wanted]) =>
    wanted.reduce((lure, [part, at, how]) => {
      const items = Object.values(lure.build.items);
      const holder = items[at % (items.length + 4)];
      const seat: Exclude<Seat, { on: 'strand' }> = holder
        ? { on: 'item', item: holder.id, how }
        : at % 3 === 0
          ? { on: 'end', end: 'tail' }
          : at % 3 === 1
            ? { on: 'tie' }
            : { on: 'body', side: at % 2 === 0 ? 'belly' : 'back', atM: at / 500 };
      const applied = applyEdits(lure, [seatPart(lure.build, part, seat)]);
      return applied.ok ? applied.lure : lure;
    }, start),
  );
}
