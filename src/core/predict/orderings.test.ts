/** What must come out right of spin, shake, depth and tracking: each ordering by its number, over many pairs. */
import {
  RHO,
  SPEEDS,
  WIDTHS,
  LENGTHS,
  blades,
  colorados,
  named,
  turn,
  thump,
  scaled,
  between,
  slowest,
} from '@/testing/comparing';
import { describe, expect, it } from 'vitest';
import { edited, itemId, on, plainBait, plainSpinner, spinner } from '@/testing/lures';
import { expectOrdering, type Pair } from '@/testing/ordering';
import { filmBearing, filmSpinBlade } from '../hydro/film-blade';
import type { Turning } from '../hydro/spin';
import { GOOD_CLEVIS_BEARING } from '../hydro/blade-loads';
import { referenceBlade, spinBlade } from '../hydro/spin-blade';
import { meanSpin, slowestKept } from '../hydro/round-the-turn';
import { LAKE_WATER } from '../hydro/water';
import { withPart } from '../lure/resized';
import { BLADE_PATTERNS, type BladePattern } from '../parts/blade-pattern';
import { partsOfKind } from '../parts/catalogue';
import type { PartOf } from '../parts/part';
import { rides } from './ride';
import { doesTurn, predictSpin } from './spin';
import { stallSpeeds } from './stalls';

describe('what must come out right of spin', () => {
  it('1: at equal width pull and lift rise from French by fluted Indiana to Colorado', () => {
    for (const [less, more] of [
      ['french', 'flutedIndiana'],
      ['flutedIndiana', 'colorado'],
      ['french', 'colorado'],
    ] as const) {
      expectOrdering(
        `1. Pull at equal width: ${less} below ${more}`,
        between(less, more, 'widthM', ({ dragN }) => dragN),
      );
    }
  });

  it('1: at equal width the stall speed rises from French by fluted Indiana to Colorado', () => {
    const order = ['french', 'flutedIndiana', 'colorado'] as const;
    const pairs = WIDTHS.flatMap((widthM) => {
      const lows = order.map((pattern) => {
        return slowest(slowestKept(spinBlade(scaled(pattern, 'widthM', widthM), RHO), GOOD_CLEVIS_BEARING, RHO));
      });
      return [[0, 1] as const, [1, 2] as const, [0, 2] as const].map(([a, b]) => ({
        name: `${order[a]}, ${order[b]} of ${widthM * 1000} mm`,
        less: lows[a] ?? NaN,
        more: lows[b] ?? NaN,
      }));
    });
    expectOrdering('1. Stall at equal width: French, fluted Indiana, Colorado', pairs);
  });

  it('2: at equal length Colorado beats slower than Indiana, Indiana slower than willow', () => {
    const rate = ({ rateHz }: Turning) => rateHz;
    expectOrdering('2. Rate at equal length: Colorado below Indiana', between('colorado', 'indiana', 'lengthM', rate));
    expectOrdering('2. Rate at equal length: Indiana below willow', between('indiana', 'willow', 'lengthM', rate));
  });

  it('3: a bigger Colorado beats slower and thumps harder', () => {
    const pairs = colorados.flatMap((small) =>
      colorados
        .filter((large) => large.lengthM > 1.1 * small.lengthM)
        .flatMap((large) =>
          SPEEDS.map((speed) => ({
            name: `${named(large)}, ${named(small)} at ${speed} m/s`,
            big: turn(large, speed),
            little: turn(small, speed),
          })),
        ),
    );
    expectOrdering(
      '3. Rate of the bigger Colorado below that of the smaller',
      pairs.map(({ name, big, little }) => ({ name, less: big.rateHz, more: little.rateHz })),
    );
    expectOrdering(
      '3. Thump of the bigger Colorado above that of the smaller',
      pairs.map(({ name, big, little }) => ({ name, less: thump(little), more: thump(big) })),
    );
  });

  it('thump at equal length falls from Colorado and hard-kick by Indianas and French to willow; at equal width it rises from French', () => {
    const downward = ['ridgedIndiana', 'indiana', 'french', 'willow'] as const;
    for (const first of ['colorado', 'hardKick'] as const) {
      for (const less of downward)
        expectOrdering(`Thump at equal length: ${less} below ${first}`, between(less, first, 'lengthM', thump));
    }
    downward.slice(1).forEach((less, i) => {
      const more = downward[i] ?? 'colorado';
      expectOrdering(`Thump at equal length: ${less} below ${more}`, between(less, more, 'lengthM', thump));
    });
    for (const [less, more] of [
      ['french', 'flutedIndiana'],
      ['flutedIndiana', 'colorado'],
    ] as const)
      expectOrdering(`Thump at equal width: ${less} below ${more}`, between(less, more, 'widthM', thump));
  });

  it('hard-kick leads in the pulse at the tie of an inline lure, blades scaled to one length', () => {
    const { build } = plainSpinner('blade-colorado-k3');
    const pulse = (pattern: BladePattern, lengthM: number, speedMps: number) => {
      const own = scaled(pattern, 'lengthM', lengthM);
      const made = withPart(build, itemId('blade-1'), (each) => ({ ...each, ...own }) as PartOf<'blade'>);
      return rides(made, LAKE_WATER, [speedMps]).at[0]?.shakes[0]?.pulseN ?? NaN;
    };
    const pairs = BLADE_PATTERNS.filter((pattern) => pattern !== 'hardKick').flatMap((pattern) =>
      LENGTHS.flatMap((lengthM) =>
        [0.8, 1, 1.3, 1.6].map((speed) => ({
          name: `${pattern} of ${lengthM * 1000} mm at ${speed} m/s`,
          less: pulse(pattern, lengthM, speed),
          more: pulse('hardKick', lengthM, speed),
        })),
      ),
    );
    // Where either has stopped there is no pulse to compare.
    expectOrdering(
      'Pulse at the tie at equal length: every other pattern below hard-kick',
      pairs.filter(({ less, more }) => less > 0 && more > 0),
      60,
    );
  });

  it('thump stays bounded down into the band in which a blade may stop', () => {
    for (const blade of blades) {
      const spun = spinBlade(blade, RHO);
      const kept = slowestKept(spun, GOOD_CLEVIS_BEARING, RHO);
      if (kept.outcome !== 'keeps') throw new Error('it keeps turning at some speed');
      const [slow, fast] = [kept.heldMps, 2 * kept.freeMps].map((speed) => thump(turn(blade, speed)));
      // It grows with the speed, so it is less where the blade nearly stops.
      expect(slow, blade.id).toBeLessThan(fast ?? 0);
    }
  });

  it('a deeper cup turns slower', () => {
    const pairs = BLADE_PATTERNS.flatMap((pattern) =>
      [0.6, 1].map((speed) => {
        const blade = referenceBlade(pattern);
        const deep = turn({ ...blade, cupDepthM: blade.cupDepthM * 1.4 }, speed).rateHz;
        return { name: `${pattern} at ${speed} m/s`, less: deep, more: turn(blade, speed).rateHz };
      }),
    );
    expectOrdering('Rate with a cup deeper by two fifths below that without', pairs);
  });

  it('8: a gritty swivel raises the stall speed, a rusty one more; a free cheap one equals a free dear one', () => {
    const conditions = ['free', 'gritty', 'rusty'] as const;
    const swivels = partsOfKind('swivel').slice(0, 3);
    const pairs: Pair[] = [];
    for (const pattern of ['french', 'indiana', 'colorado'] as const) {
      const blade = blades.find((each) => each.pattern === pattern);
      if (!blade) throw new Error(`the catalogue has a ${pattern}`);
      for (const swivel of swivels) {
        const lows = conditions.map((condition) => {
          const lure = edited(plainBait(blade.id, swivel.id), {
            kind: 'adjust',
            item: itemId('swivel-1'),
            changes: { state: { of: 'swivel', condition } },
          });
          const [at] = stallSpeeds(lure.build, LAKE_WATER);
          // One that friction holds at every speed stalls at all of them.
          return at?.stall.outcome === 'stalls' ? at.stall.keepsMps.value : 5;
        });
        for (const [a, b] of [[0, 1] as const, [1, 2] as const]) {
          pairs.push({
            name: `${named(blade)} on ${swivel.id}, ${conditions[a]} and ${conditions[b]}`,
            less: lows[a] ?? NaN,
            more: lows[b] ?? NaN,
          });
        }
      }
    }
    expectOrdering('8. Stall speed: free below gritty below rusty swivel', pairs);
    const blade = spinBlade(referenceBlade('french'), RHO);
    const [dear, cheap] = [2e-6, 3e-6].map((steadyTorqueNm) =>
      slowest(slowestKept(blade, { ...GOOD_CLEVIS_BEARING, steadyTorqueNm }, RHO)),
    );
    expect((cheap ?? 0) / (dear ?? 1)).toBeLessThan(1.06);
  });

  it('9: a film open flat starts at a lower speed than folded; folded it drags less in fast water', () => {
    const folds = [0, 15, 30, 45, 60].map((deg) => (deg * Math.PI) / 180);
    const pairs = partsOfKind('filmBlade').flatMap((film) =>
      folds.slice(1).map((fold, i) => {
        const at = (foldRad: number) => {
          const [spun, bearing] = [filmSpinBlade(film, foldRad, RHO), filmBearing(GOOD_CLEVIS_BEARING)];
          const [fast] = meanSpin(spun, bearing, RHO, [1.3]);
          if (fast?.outcome !== 'turning') throw new Error('a film turns in fast water');
          return { start: slowest(slowestKept(spun, bearing, RHO)), dragN: fast.dragN };
        };
        const [flat, folded] = [at(folds[i] ?? 0), at(fold)];
        return { name: `${film.id}, ${Math.round((fold * 180) / Math.PI)}° over less`, flat, folded };
      }),
    );
    expectOrdering(
      '9. Start of a film: flatter below more folded',
      pairs.map(({ name, flat, folded }) => ({ name, less: flat.start, more: folded.start })),
      8,
    );
    expectOrdering(
      '9. Drag of a film at 1.3 m/s: more folded below flatter',
      pairs.map(({ name, flat, folded }) => ({ name, less: folded.dragN, more: flat.dragN })),
      8,
    );
  });

  it('18: the gap changes the rear blade’s rate and the beat between the two', () => {
    const pairs: Pair[] = [];
    const beats = new Set<string>();
    for (const front of ['blade-french-k2', 'blade-colorado-k2']) {
      for (const rear of ['blade-colorado-k3', 'blade-french-k2']) {
        const at = (beads: number) => {
          const lure = spinner(
            [
              'clevis-folded-1',
              ...Array.from({ length: beads }, () => 'bead-brass-4'),
              'clevis-folded-1',
              'bead-brass-3',
              'weight-barrel-brass-8',
            ],
            [
              [front, on('clevis-1', 'hung')],
              [rear, on('clevis-2', 'hung')],
            ],
          );
          const { blades: both, beats: found } = predictSpin(lure.build, LAKE_WATER, [0.8]);
          const turning = both[1]?.at[0];
          if (!doesTurn(turning)) throw new Error('the rear blade turns');
          beats.add(`${front} ${rear} ${found[0]?.at[0]?.value.toFixed(4)}`);
          return turning.rateHz.value;
        };
        const gaps = [8, 12, 18, 26];
        const rates = gaps.map(at);
        for (let i = 1; i < gaps.length; i++) {
          pairs.push({
            name: `${front} before ${rear}, ${gaps[i - 1]} and ${gaps[i]} beads`,
            less: 0.001,
            more: Math.abs((rates[i] ?? 0) - (rates[i - 1] ?? 0)),
          });
        }
      }
    }
    expectOrdering('18. A different gap gives the rear blade a different rate, by more than 0.001 a second', pairs);
    expect(beats.size).toBe(pairs.length + 4);
  });
});
