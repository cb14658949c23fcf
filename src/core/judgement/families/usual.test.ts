/** What is offered first in the places of a family: taken as it comes, it makes a lure that works. */
import { describe, expect, it } from 'vitest';
import { isLoose } from '../../fits/misfit';
import { isUsualIn, misfitsInPlace, placementEdits } from '../../fits/placement';
import { applyEdits } from '../../lure/edit';
import { lureIdSchema, type Lure } from '../../lure/lure';
import { takeBody } from '../../lure/take-body';
import { isPlate } from '../../parts/body-form';
import { CATALOGUE, partsOfKind } from '../../parts/catalogue';
import type { Part } from '../../parts/part';
import { findings } from '../findings';
import type { Slot } from '../slot';
import { startLure } from './families';
import { openSlots } from './slots';
import { isUsualForSlot } from './usual';

/** In the order in which a builder is offered them. */
function offered(lure: Lure, { code, placement, kinds }: Slot): Part[] {
  return kinds.flatMap((kind) => {
    const parts = CATALOGUE.filter((part) => part.kind === kind);
    const found = misfitsInPlace(lure.build, placement, parts);
    const fitting = parts.filter((_, i) => found[i]?.every(isLoose));
    const usual = (part: Part) => isUsualIn(placement, part) && isUsualForSlot(lure, code, part);
    return [...fitting.filter(usual), ...fitting.filter((part) => !usual(part))];
  });
}

/** Every place filled with what is offered first. */
function built(start: Lure): { readonly lure: Lure; readonly took: readonly [Slot, Part, Lure][] } {
  let lure = start;
  const took: [Slot, Part, Lure][] = [];
  for (let step = 0; step < 20; step++) {
    const before = lure;
    for (const slot of openSlots(lure)) {
      const [part] = offered(lure, slot);
      const done = part && applyEdits(lure, placementEdits(lure.build, slot.placement, part));
      if (!part || !done || !done.ok) continue;
      took.push([slot, part, lure]);
      lure = done.lure;
      break;
    }
    if (lure === before) break;
  }
  return { lure, took };
}

const newLure = (family: 'hardBait' | 'underspin') => startLure(family, lureIdSchema.parse('usual'), 'Usual');
const faults = (lure: Lure) => findings(lure).filter(({ severity }) => severity === 'fault');

describe('what is offered first', () => {
  it.each(partsOfKind('lureBody'))(
    'on $id: rings, a blade under the belly no wider than it, trebles, and nothing at fault',
    (body) => {
      const start = newLure('hardBait');
      const on = applyEdits(start, takeBody(start.build, body));
      if (!on.ok) throw new Error('a body is taken');
      const { lure, took } = built(on.lure);
      expect(openSlots(lure)).toEqual([]);
      const codes = took.map(([{ code }]) => code);
      expect(codes).toContain('eyeHook');
      for (const [slot, part, at] of took) {
        const others = offered(at, slot);
        // Unless none of the usual ones fits, the first is a usual one.
        if (others.some((each) => isUsualForSlot(at, slot.code, each))) {
          expect(isUsualForSlot(at, slot.code, part), `${slot.code} ${part.id}`).toBe(true);
        }
      }
      // Under a plate every blade stands out at both sides.
      const wide = findings(lure).filter(({ code }) => code === 'widerThanBelly');
      if (!isPlate(body)) expect(wide).toEqual([]);
      expect(faults(lure).map(({ code }) => code)).toEqual([]);
    },
  );

  it('of other families nothing is put before anything else', () => {
    const spinner = startLure('inlineSpinner', lureIdSchema.parse('usual'), 'Usual');
    for (const slot of openSlots(spinner)) {
      for (const part of offered(spinner, slot)) expect(isUsualForSlot(spinner, slot.code, part)).toBe(true);
    }
  });
});
