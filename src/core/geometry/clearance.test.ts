import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { edited, part, plainSpinner } from '@/testing/lures';
import { CATALOGUE, partsOfKind } from '../parts/catalogue';
import { hookLimb } from '../parts/hook-form';
import { bladeReach } from '../parts/outline';
import { isBored } from '../parts/bored';
import { LEAN_FREE_RAD, restClearance, sweptBlade, turningClearance } from './clearance';
import { threadParts } from '../lure/editing';
import { layOut, trailingHooks } from './layout';
import { wireCut } from '../lengths/lengths';
import type { Item, Lure } from '../lure/lure';
import { spinSeats } from './seats';

const radians = (degrees: number) => (degrees * Math.PI) / 180;

function pair(lure: Lure) {
  const layout = layOut(lure.build);
  const [seat] = spinSeats(lure.build, layout);
  const [hook] = trailingHooks(layout);
  if (!seat || !hook) throw new Error('a blade and a hook are needed');
  return { layout, seat, hook };
}

const beadsBelow = (lure: Lure, count: number) =>
  count === 0 ? lure : edited(lure, threadParts(lure.build, part('bead-brass-3'), 2, count));

describe('blade against hook', () => {
  it('at rest is the way from the tip, lying back, to the eye of a free hook', () => {
    const { layout, seat, hook } = pair(plainSpinner());
    const byHand = hook.x0M - (seat.holeM + bladeReach(seat.blade));
    expect(restClearance(layout, seat, hook).clearanceM).toBeCloseTo(byHand, 12);
  });

  it('turning sweeps edges as well as the middle: the widest station stands furthest out of the plane', () => {
    const { seat } = pair(plainSpinner('blade-colorado-k4'));
    const swept = sweptBlade(seat, radians(50));
    const middle = (armM: number) => seat.dropM + armM * Math.sin(radians(50));
    swept.forEach(({ xM, radiusM }, i) => {
      const armM = (i / (swept.length - 1)) * bladeReach(seat.blade);
      expect(xM).toBeCloseTo(seat.holeM + armM * Math.cos(radians(50)), 12);
      expect(radiusM).toBeGreaterThanOrEqual(middle(armM) - 1e-12);
      expect(radiusM).toBeLessThanOrEqual(Math.hypot(middle(armM), seat.blade.widthM / 2) + 1e-12);
    });
    expect(swept.at(-1)?.radiusM).toBeCloseTo(middle(bladeReach(seat.blade)), 12);
  });

  it('turning, a wider spread takes the tip away from the hook', () => {
    const { layout, seat, hook } = pair(plainSpinner('blade-willow-k3', ['bead-brass-3', 'bead-brass-3']));
    const at = (degrees: number) => turningClearance(layout, seat, hook, [radians(degrees)]).clearanceM;
    const rising = [15, 25, 35, 45, 60].map(at);
    expect(rising).toEqual([...rising].sort((a, b) => a - b));
    expect(turningClearance(layout, seat, hook, [radians(15), radians(60)]).clearanceM).toBe(rising[0]);
  });

  it('agrees with trying every pair of points, wherever the two are apart', () => {
    let tried = 0;
    fc.assert(
      fc.property(
        fc.constantFrom(...partsOfKind('blade')),
        fc.integer({ min: 0, max: 6 }),
        fc.double({ min: 15, max: 65, noNaN: true }),
        (blade, beads, degrees) => {
          const { layout, seat, hook } = pair(beadsBelow(plainSpinner(blade.id), beads));
          const { clearanceM } = turningClearance(layout, seat, hook, [radians(degrees)]);
          if (clearanceM <= 0) return;
          tried++;
          // Slow and obvious: points along every limb and the sweep, no segments, no signs.
          const swept = sweptBlade(seat, radians(degrees));
          const dense = swept.slice(1).flatMap((to, i) => {
            const from = swept[i] ?? to;
            return Array.from({ length: 40 }, (_, n) => ({
              xM: from.xM + ((to.xM - from.xM) * n) / 40,
              radiusM: from.radiusM + ((to.radiusM - from.radiusM) * n) / 40,
            }));
          });
          let nearest = Infinity;
          for (const share of [-1, -0.5, 0, 0.5, 1]) {
            const [cos, sin] = [Math.cos(share * LEAN_FREE_RAD), Math.sin(share * LEAN_FREE_RAD)];
            for (const { xM, radiusM } of limbOf(hook)) {
              const along = hook.x0M + xM - hook.pivotM;
              const x = hook.pivotM + along * cos - radiusM * sin;
              const r = Math.abs(along * sin + radiusM * cos);
              for (const point of dense) nearest = Math.min(nearest, Math.hypot(point.xM - x, point.radiusM - r));
            }
          }
          expect(Math.abs(clearanceM - nearest)).toBeLessThan(0.0002);
        },
      ),
      { seed: 51, numRuns: 60 },
    );
    expect(tried).toBeGreaterThan(30);
  });
});

function limbOf({ item }: { readonly item: Item }) {
  if (item.part.kind !== 'hook') throw new Error('a hook is needed');
  return hookLimb(item.part).path;
}

describe('lengths follow the stack', () => {
  it('threading any bored part makes the wire longer by its own length, wherever it goes', () => {
    const plain = plainSpinner();
    const before = wireCut(plain.build).totalM;
    for (const each of CATALOGUE.filter(isBored)) {
      for (let index = 0; index <= plain.build.strand.length; index++) {
        if (index === 1) continue;
        const lure = edited(plain, threadParts(plain.build, each, index));
        const longer = wireCut(lure.build).totalM - before;
        const nests = each.kind === 'cap' ? each.nestDepthM : 0;
        expect(longer).toBeLessThanOrEqual(each.lengthM + 1e-12);
        expect(longer).toBeGreaterThanOrEqual(each.lengthM - nests - 1e-12);
      }
    }
  });

  it('a part between the legs takes no wire while it fits there, and only the rest when it does not', () => {
    const plain = plainSpinner();
    const gap = 0.0024;
    const before = wireCut(plain.build).totalM;
    for (const id of ['bead-washer-3', 'bead-glass-3-amber', 'bead-glass-6-clear']) {
      const each = part(id);
      if (!isBored(each)) throw new Error('beads are bored');
      const lure = edited(plain, threadParts(plain.build, each, 1));
      expect(wireCut(lure.build).totalM - before).toBeCloseTo(Math.max(0, each.lengthM - gap), 12);
    }
  });
});
