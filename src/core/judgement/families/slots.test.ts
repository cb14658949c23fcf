import { describe, expect, it } from 'vitest';
import { DEMO_LURES } from '@/demo/scenario';
import { misfitsInPlace, placementEdits } from '../../fits/placement';
import { isLoose } from '../../fits/misfit';
import { applyEdits } from '../../lure/edit';
import { familySchema, type Lure, type LureId } from '../../lure/lure';
import { CATALOGUE } from '../../parts/catalogue';
import { findings } from '../findings';
import { startLure } from './families';
import type { Slot } from '../slot';
import { lacksSomething, openSlots } from './slots';

/** The first part of the catalogue that goes there and can be put there. */
function filled(lure: Lure, { placement, kinds }: Slot): Lure | null {
  for (const kind of kinds) {
    const parts = CATALOGUE.filter((part) => part.kind === kind);
    const found = misfitsInPlace(lure.build, placement, parts);
    for (const [i, part] of parts.entries()) {
      if (!found[i]?.every(isLoose)) continue;
      const done = applyEdits(lure, placementEdits(lure.build, placement, part));
      if (done.ok) return done.lure;
    }
  }
  return null;
}

describe('places that ask for their next part', () => {
  it.each(familySchema.options)('from bare wire lead a %s to where nothing is lacking, one part a place', (family) => {
    let lure = startLure(family, 'slots' as LureId, 'Slots');
    expect(lacksSomething(lure)).toBe(true);
    const asked: string[] = [];
    for (let step = 0; step < 20; step++) {
      const slots = openSlots(lure);
      // A place for which nothing of the catalogue fits is passed over, as a builder would.
      const next = slots.reduce<{ code: string; lure: Lure } | null>((found, slot) => {
        if (found) return found;
        const put = filled(lure, slot);
        return put && { code: slot.code, lure: put };
      }, null);
      if (!next) break;
      asked.push(next.code);
      lure = next.lure;
    }
    expect(openSlots(lure), asked.join(' ')).toEqual([]);
    expect(lacksSomething(lure)).toBe(false);
    expect(asked.length).toBeLessThanOrEqual(13);
    const codes = findings(lure).map(({ code }) => code);
    for (const lacking of [
      'noHead',
      'noHook',
      'noTurningBlade',
      'missingGuard',
      'emptyClevis',
      'rivetMissing',
      'skirtWithoutLayers',
    ])
      expect(codes).not.toContain(lacking);
  });

  it('ask nothing that is needed of a finished lure', () => {
    for (const lure of DEMO_LURES) expect(lacksSomething(lure), lure.name).toBe(false);
  });
});
