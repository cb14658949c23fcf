import { describe, expect, it } from 'vitest';
import { itemId, plainSpinner } from '@/testing/lures';
import { LAKE_WATER } from '@/core/hydro/water';
import { effectAt, weigh, type Effect } from '@/core/prepared/weigh';
import { partsOfKind } from '@/core/parts/catalogue';
import { SORTS, sorted, type Choice } from './use-choices';

describe('sorting the choice by what each would do', () => {
  const lure = plainSpinner();
  const blades = partsOfKind('blade');
  const choices = blades.map((part): Choice => ({
    part,
    misfits: [],
    placement: { put: 'swap', item: itemId('blade-1') },
  }));
  const answers = weigh(lure, { put: 'swap', item: itemId('blade-1') }, blades, LAKE_WATER, 0.8);
  const effects = new Map(blades.map((part, i) => [part.id as string, effectAt(answers, i) as Effect]));
  const value = {
    rate: ({ rateHz }: Effect) => rateHz,
    drag: ({ dragN }: Effect) => dragN,
    mass: ({ massKg }: Effect) => massKg,
    clearance: ({ clearanceM }: Effect) => clearanceM,
    sound: ({ levelDb }: Effect) => levelDb,
  };

  it.each(SORTS.filter((sort) => sort !== 'listed'))('by %s, least first, each part once', (sort) => {
    const order = sorted(choices, sort, effects);
    expect(new Set(order.map(({ part }) => part.id)).size).toBe(blades.length);
    const values = order.map(({ part }) => value[sort](effects.get(part.id) as Effect) ?? Infinity);
    expect(values).toEqual([...values].sort((a, b) => a - b));
    expect(new Set(values).size).toBeGreaterThan(5);
  });

  it('as listed is left alone, and what is not weighed yet stands last in its own order', () => {
    expect(sorted(choices, 'listed', effects)).toBe(choices);
    const few = new Map([...effects].filter(([id]) => id.includes('willow')));
    const order = sorted(choices, 'drag', few).map(({ part }) => part.id);
    expect(order.slice(0, few.size).every((id) => id.includes('willow'))).toBe(true);
    const rest = blades.map(({ id }) => id).filter((id) => !id.includes('willow'));
    expect(order.slice(few.size)).toEqual(rest);
  });
});
