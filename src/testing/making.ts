/** A lure planned, and what of its steps tests look at. */
import { expect } from 'vitest';
import { edited, on, part, spinner, TAIL } from '@/testing/lures';
import { afterDoing, atFirst } from '@/testing/slow-order';
import { seatPart } from '@/core/lure/editing';
import type { Build, Lure } from '@/core/lure/lure';
import { goalOf } from '@/core/make/goal';
import type { Fact } from '@/core/make/operation-rule';
import { planMake, type MakeStep } from '@/core/make/plan';

export function planned(build: Build) {
  const plan = planMake(build);
  if (plan.outcome !== 'planned') throw new Error(`no way: ${JSON.stringify(plan.why)}`);
  return plan;
}

export const steps = (lure: Lure): readonly MakeStep[] => planned(lure.build).steps;
export const ids = (lure: Lure) => steps(lure).map(({ id }) => id);
export const ops = (lure: Lure) => steps(lure).map(({ operation }) => operation.op);
export const put = (lure: Lure, id: string, seat: Parameters<typeof seatPart>[2]) =>
  edited(lure, seatPart(lure.build, part(id), seat));

/** Every step can be done when its turn comes: nothing it needs is still to come or was closed before. */
export function expectEachCanBeDone(lure: Lure) {
  const plan = planned(lure.build);
  const goal = goalOf(lure.build, plan.over);
  let known: Set<Fact> | null = atFirst(goal);
  for (const { operation, id } of plan.steps) {
    known = known && afterDoing(goal, known, operation);
    expect(known, id).not.toBeNull();
  }
}

/** Clevises that share a stretch of wire, as `form` says, the first blade in front. */
export function stacked(form: 'interleaved' | 'nested'): Lure {
  const apart = spinner(
    ['clevis-folded-wide', 'clevis-folded-wide', 'bead-brass-3', 'weight-barrel-brass-8'],
    [
      ['blade-french-k2', on('clevis-1', 'hung')],
      ['blade-french-k1', on('clevis-2', 'hung')],
      ['ring-k2', TAIL],
      ['hook-treble-6', on('splitRing-1', 'hung')],
    ],
  );
  return edited(apart, { kind: 'move', from: 1, to: form === 'interleaved' ? 2 : 3 });
}
