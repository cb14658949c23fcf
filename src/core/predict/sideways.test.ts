/** An arm bent sideways: what it rights, and what it does not. */
import { describe, expect, it } from 'vitest';
import { bentAt, demoLure } from '@/testing/lures';
import { LAKE_WATER } from '../hydro/water';
import type { Lure } from '../lure/lure';
import { predict } from './predict';

const SPEED_MPS = 1;

function bentSideways(lure: Lure, sideRad: number): Lure {
  const { carrier } = lure.build;
  if (carrier.kind !== 'bentWire') throw new Error('a bent wire');
  return bentAt(
    lure,
    carrier.sections.findLastIndex(({ section }) => section === 'bend'),
    { sideRad },
  );
}

function asideOf(lure: Lure) {
  const [ride] = predict(lure.build, LAKE_WATER, [SPEED_MPS]).rides;
  if (ride?.outcome !== 'rides') throw new Error('it rides');
  const { leanRad, yawRad, sidePullRad } = ride.said;
  return { leanRad: leanRad?.value ?? NaN, yawRad: yawRad?.value ?? NaN, sidePullRad: sidePullRad?.value ?? NaN };
}

describe('bent sideways', () => {
  it.each(['torvane-lanes', 'stolk-kettle', 'lommer-clapper'])(
    '%s leans and turns aside to the side it is bent to',
    (id) => {
      const [left, straight, right] = [-0.1, 0, 0.1].map((side) => asideOf(bentSideways(demoLure(id), side)));
      for (const key of ['leanRad', 'yawRad'] as const) {
        expect(left?.[key]).toBeLessThan(straight?.[key] ?? NaN);
        expect(right?.[key]).toBeGreaterThan(straight?.[key] ?? NaN);
      }
    },
  );

  it('the lean of a single surface blade is bent away; its pull to the side of its hand stays', () => {
    const buzz = demoLure('lommer-clapper');
    const [as, bent] = [asideOf(buzz), asideOf(bentSideways(buzz, -0.17))];
    expect(as.leanRad).toBeGreaterThan(0.04);
    expect(Math.abs(bent.leanRad)).toBeLessThan(as.leanRad / 10);
    expect(bent.sidePullRad).toBeCloseTo(as.sidePullRad, 3);
  });
});
