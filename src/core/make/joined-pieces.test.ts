/** Lures of several carriers are made piece by piece, and joined. */
import { describe, expect, it } from 'vitest';
import { edited } from '@/testing/lures';
import { DEMO_LURES } from '@/demo/scenario';
import { kitFor } from './kit';
import { planMake, standsAfter } from './plan';
import { spoil } from './spoil';
import { hasEndToTie, tieBehind } from '../lure/tie-behind';
import { stepWords } from '@/words/make-words';
import type { Lure } from '../lure/lure';

const AHEAD = DEMO_LURES.filter(
  ({ family, build }) => (family === 'bladeAhead' || family === 'bladeLeader') && hasEndToTie(build),
);

/** Every demo lure of one carrier tied behind every one that goes ahead. */
function joinedLures(): { readonly name: string; readonly lure: Lure; readonly behind: Lure }[] {
  return AHEAD.flatMap((ahead) =>
    DEMO_LURES.flatMap((behind) => {
      if (behind.build.joined.length > 0 || planMake(behind.build).outcome === 'noWay') return [];
      const edits = tieBehind(ahead.build, behind.build);
      return [{ name: `${behind.name} behind ${ahead.name}`, lure: edited(ahead, ...edits), behind }];
    }),
  );
}

describe('a lure of several carriers', () => {
  it.each(joinedLures())(
    '$name: the piece behind whole first, then the line, joined once, and it is the lure',
    (each) => {
      const { build } = each.lure;
      const plan = planMake(build);
      if (plan.outcome === 'noWay') throw new Error(JSON.stringify(plan.why));
      const { steps } = plan;
      expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length);
      expect(steps.filter(({ joins }) => joins !== null).length).toBe(build.joined.length);
      const alone = planMake(each.behind.build);
      if (alone.outcome === 'noWay') throw new Error('it is made by itself');
      // The piece behind is made just as it is by itself.
      const first = steps.filter(({ piece }) => piece === steps[0]?.piece);
      expect(first.map(({ operation }) => operation.op)).toEqual(alone.steps.map(({ operation }) => operation.op));
      const joins = steps.findIndex(({ joins: found }) => found !== null);
      expect(joins).toBeGreaterThanOrEqual(first.length);
      steps.forEach((step) => {
        const { what } = stepWords(step, 'metric');
        expect(what).toMatch(/^[A-Z].*\.$/);
      });
      expect(standsAfter(build, steps, steps.length).build).toEqual(build);
      const parts = kitFor(steps).parts.flatMap(({ items }) => items);
      expect(new Set(parts).size).toBe(parts.length);
    },
  );
});

describe('a piece spoiled on the way', () => {
  it('of the bait behind costs nothing of the line, and of the line nothing of the bait', () => {
    const [each] = joinedLures().filter(({ behind }) => behind.name === 'Halvane Glint');
    if (!each) throw new Error('a hard bait behind a line');
    const { build } = each.lure;
    const plan = planMake(build);
    if (plan.outcome === 'noWay') throw new Error('it is made');
    const { steps } = plan;
    const names = steps.map(({ id }) => id);
    const hook = Object.values(build.items).find(({ part }) => part.kind === 'hook');
    if (!hook) throw new Error('it has a hook');
    const front = steps.at(-1)?.piece;
    const ofLine = new Set(steps.filter(({ piece }) => piece === front).map(({ id }) => id));
    const hookSpoiled = spoil(build, steps, names, hook.id);
    expect(hookSpoiled.lost).toContain(hook.id);
    expect(hookSpoiled.again.length).toBeGreaterThan(0);
    expect(hookSpoiled.again.filter((id) => ofLine.has(id))).toEqual([]);
    const lineSpoiled = spoil(build, steps, names, 'wire');
    expect(lineSpoiled.again.length).toBeGreaterThan(2);
    expect(lineSpoiled.again.every((id) => ofLine.has(id))).toBe(true);
  });
});
