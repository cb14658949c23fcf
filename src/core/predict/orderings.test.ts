/** What must come out right of spin, shake, depth and tracking: each ordering by its number, over many pairs. */
import { describe, expect, it } from 'vitest';
import {
  bait,
  demoLure,
  edited,
  itemId,
  on,
  part,
  plainBait,
  plainBuzz,
  plainSpinner,
  spinner,
  TAIL,
  withHead,
} from '@/testing/lures';
import { expectOrdering, type Pair } from '@/testing/ordering';
import { DEMO_LURES } from '@/demo/scenario';
import { divesTo, type Diver } from '../hydro/diver';
import { filmBearing, filmSpinBlade } from '../hydro/film-blade';
import { nailIn, nailPlace } from '../hydro/nail-weight';
import { fishingLine, USUAL_OUTFIT } from '../hydro/outfit';
import type { Turning } from '../hydro/spin';
import { GOOD_CLEVIS_BEARING } from '../hydro/blade-loads';
import { referenceBlade, spinBlade, type MeasuredBlade } from '../hydro/spin-blade';
import { meanSpin, slowestKept, type Kept } from '../hydro/round-the-turn';
import { aimOff } from '../hydro/tracking';
import { LAKE_WATER, waterDensity } from '../hydro/water';
import { seatPart } from '../lure/editing';
import { lureMass } from '../lengths/mass';
import { ballastOf, heavier, withPart } from '../lure/resized';
import type { Lure } from '../lure/lure';
import { BLADE_PATTERNS, type BladePattern } from '../parts/blade-pattern';
import { partsOfKind } from '../parts/catalogue';
import type { PartOf } from '../parts/part';
import type { Banded } from './band';
import { nominalCrossings } from './crossings';
import { predict } from './predict';
import { rides } from './ride';
import { lureInWater } from './lure-in-water';
import { keptAt } from './keeping';
import { doesTurn, predictSpin } from './spin';
import { stallSpeeds } from './stalls';

const RHO = waterDensity(LAKE_WATER);
const SPEEDS = [0.5, 0.65, 0.8, 1, 1.3];
const WIDTHS = [0.014, 0.017, 0.02, 0.024];
const LENGTHS = [0.024, 0.03, 0.036, 0.042];
const blades = partsOfKind('blade');
const colorados = blades.filter(({ pattern }) => pattern === 'colorado');
const named = ({ id }: PartOf<'blade'>) => id.replace('blade-', '');

function turn(blade: MeasuredBlade, speedMps: number): Turning {
  const [outcome] = meanSpin(spinBlade(blade, RHO), GOOD_CLEVIS_BEARING, RHO, [speedMps]);
  if (outcome?.outcome !== 'turning') throw new Error(`expected to turn: ${JSON.stringify(outcome)}`);
  return outcome;
}

/** Impulse given to the water each turn, N·s. */
const thump = ({ dragN, rateHz }: Turning) => dragN / rateHz;

/** A pattern's reference blade scaled to a width or a length. */
function scaled(pattern: BladePattern, by: 'widthM' | 'lengthM', toM: number): MeasuredBlade {
  const blade = referenceBlade(pattern);
  const factor = toM / blade[by];
  return {
    ...blade,
    lengthM: blade.lengthM * factor,
    widthM: blade.widthM * factor,
    cupDepthM: blade.cupDepthM * factor,
  };
}

/** Two patterns over a grid of sizes and speeds, by what `of` reads of each. */
function between(
  less: BladePattern,
  more: BladePattern,
  by: 'widthM' | 'lengthM',
  of: (turning: Turning) => number,
): Pair[] {
  return (by === 'widthM' ? WIDTHS : LENGTHS).flatMap((size) =>
    SPEEDS.map((speed) => ({
      name: `${less}, ${more} of ${size * 1000} mm at ${speed} m/s`,
      less: of(turn(scaled(less, by, size), speed)),
      more: of(turn(scaled(more, by, size), speed)),
    })),
  );
}

/** As it is cast and wound, with half the cast still out: far behind, more drag straightens the line, which blurs it. */
function depthOf(lure: Lure, speedMps = 0.8): number {
  const [at] = rides(lure.build, LAKE_WATER, [speedMps]).at;
  const [line] = at?.lines ?? [];
  return line?.outcome === 'sinks' ? line.depthM : 0;
}

function depthBand(lure: Lure, speedMps = 0.8): Banded {
  const [ride] = predict(lure.build, LAKE_WATER, [speedMps]).rides;
  const depth = ride?.outcome === 'rides' ? ride.said.depthM : null;
  if (!depth) throw new Error('a depth can be said');
  return depth;
}

const shallower = (name: string, shallow: Lure, deep: Lure, speedMps = 0.8): Pair => ({
  name,
  less: depthOf(shallow, speedMps),
  more: depthOf(deep, speedMps),
  bands: () => [depthBand(shallow, speedMps), depthBand(deep, speedMps)],
});

/** Over many pairs only how many come out right is asked, not how far the others are turned round. */
const NOT_ASKED = (): readonly [Banded, Banded] => [
  { value: 0, low: 0, high: 0 },
  { value: 0, low: 0, high: 0 },
];

/** A tandem bait with these blades, front on its clevis, rear on its swivel. */
function tandem(front: string, rear: string): Lure {
  const lure = bait(
    'spinnerbait',
    ['bead-brass-3', 'clevis-stirrup-1', 'bead-brass-3', 'bead-brass-3'],
    [
      [front, on('clevis-1', 'hung')],
      ['swivel-crane-k7', TAIL],
      ['ring-o1', on('swivel-1', 'hung')],
      [rear, on('splitRing-1', 'hung')],
    ],
  );
  return edited(lure, { kind: 'carrier', changes: { tail: { form: 'bentLoop', insideDiameterM: 0.003, gapM: 0 } } });
}

/** The slowest water it most likely keeps turning in. */
const slowest = (kept: Kept) => {
  if (kept.outcome !== 'keeps') throw new Error('it keeps turning at some speed');
  return keptAt(kept, 0);
};

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

describe('what must come out right of depth', () => {
  const areaOf = ({ lengthM, widthM }: PartOf<'blade'>) => lengthM * widthM;

  it('4: more blade with the same head runs shallower at 0.8 m/s; a heavier head brings it back', () => {
    const pairs = blades.flatMap((small) =>
      blades
        .filter((large) => large.pattern === small.pattern && areaOf(large) > 1.3 * areaOf(small))
        .map((large) => shallower(`${named(large)}, ${named(small)}`, plainBait(large.id), plainBait(small.id))),
    );
    expectOrdering('4. Depth with the larger blade above that with the smaller', pairs, 15);
    const big = plainBait('blade-colorado-k5');
    const small = depthOf(plainBait('blade-colorado-k3'));
    expect(depthOf(big)).toBeLessThan(small);
    expect([1.5, 2, 3, 4].some((by) => depthOf(withHead(big, by)) >= small)).toBe(true);
  });

  describe.each([
    ['inline lures', [...DEMO_LURES.filter(({ family }) => family === 'inlineSpinner'), plainSpinner()]],
    ['spinnerbaits', [...DEMO_LURES.filter(({ family }) => family === 'spinnerbait'), plainBait()]],
  ] as const)('which way a blade pulls, on %s of one mass each', (name, lures) => {
    const bladed = lures.flatMap((lure) => {
      const own = Object.values(lure.build.items).find(({ part: { kind } }) => kind === 'blade');
      return own ? [{ lure, station: own.id }] : [];
    });
    /** The lure with this blade in place of its first, its head or weight made to keep its mass. */
    const withBlade = ({ lure, station }: (typeof bladed)[number], blade: PartOf<'blade'>): Lure['build'] => {
      let build = withPart(lure.build, station, () => blade);
      const ballast = ballastOf(build);
      for (let round = 0; ballast && round < 4; round++) {
        const over = lureMass(build) - lureMass(lure.build);
        build = withPart(build, ballast, (each) => heavier(each, Math.max(0.2, 1 - over / each.massKg)));
      }
      return build;
    };
    const depths = (build: Lure['build']) =>
      rides(build, LAKE_WATER, [0.8, 1.1]).at.map(({ lines: [line] }) => (line?.outcome === 'sinks' ? line.depthM : 0));
    /** At the surface both are as shallow as can be, and say nothing. */
    const deeper = (what: string, shallow: readonly number[], deep: readonly number[]): Pair[] =>
      shallow.flatMap((less, i) => {
        const more = deep[i] ?? 0;
        return less === 0 && more === 0
          ? []
          : [{ name: `${what} at ${i === 0 ? 0.8 : 1.1} m/s`, less, more, bands: NOT_ASKED }];
      });

    it('a larger blade runs shallower, and surfaces at a lower speed', () => {
      const all = bladed.map((each) => ({
        each,
        of: new Map(
          blades.map((blade) => {
            const build = withBlade(each, blade);
            return [blade.id, { depths: depths(build), surfaces: nominalCrossings(build, LAKE_WATER).surfaceMps ?? 9 }];
          }),
        ),
      }));
      const pairs = all.flatMap(({ each, of }) =>
        blades.flatMap((small) =>
          blades
            .filter((large) => large.pattern === small.pattern && areaOf(large) > 1.3 * areaOf(small))
            .map((large) => ({
              what: `${each.lure.name}, ${named(large)} for ${named(small)}`,
              large: of.get(large.id),
              small: of.get(small.id),
            })),
        ),
      );
      expectOrdering(
        `4. Depth with the larger blade above that with the smaller, at one mass, ${name}`,
        pairs.flatMap(({ what, large, small }) => deeper(what, large?.depths ?? [], small?.depths ?? [])),
        100,
      );
      expectOrdering(
        `Speed at which it surfaces, larger blade below smaller, at one mass, ${name}`,
        pairs.map(({ what, large, small }) => ({
          name: what,
          less: large?.surfaces ?? NaN,
          more: small?.surfaces ?? NaN,
          bands: NOT_ASKED,
        })),
        100,
      );
    });

    it('a Colorado runs shallower than a willow of its length', () => {
      const pairs = bladed.flatMap((each) =>
        colorados.flatMap((colorado) =>
          blades
            .filter(({ pattern }) => pattern === 'willow')
            .flatMap((willow) => {
              const by = colorado.lengthM / willow.lengthM;
              const scaledWillow = {
                ...willow,
                lengthM: colorado.lengthM,
                widthM: willow.widthM * by,
                cupDepthM: willow.cupDepthM * by,
              };
              return deeper(
                `${each.lure.name}, ${named(colorado)} for ${named(willow)}`,
                depths(withBlade(each, colorado)),
                depths(withBlade(each, scaledWillow)),
              );
            }),
        ),
      );
      expectOrdering(`Depth of a Colorado above that of a willow of its length, at one mass, ${name}`, pairs, 100);
    });
  });

  it('5: two Colorados run shallower than a willow behind a Colorado of the same numbers', () => {
    const willows = blades.filter(({ pattern }) => pattern === 'willow');
    const pairs = colorados.flatMap((front) =>
      colorados.flatMap((rear) =>
        willows
          .filter(({ label }) => label === rear.label)
          .map((willow) =>
            shallower(
              `${named(front)} before ${named(rear)} or ${named(willow)}`,
              tandem(front.id, rear.id),
              tandem(front.id, willow.id),
            ),
          ),
      ),
    );
    expectOrdering('5. Depth of two Colorados above that of a willow behind a Colorado', pairs, 20);
  });

  it('6: a bulky paddle tail slows the sink and holds the depth at a lower speed', () => {
    const tails = partsOfKind('trailer').filter(({ style }) => style === 'paddleTail');
    const all = tails.flatMap((tail) =>
      blades.map((blade) => {
        const bare = plainBait(blade.id);
        const dressed = edited(bare, seatPart(bare.build, part(tail.id), on('hook-1', 'pushed')));
        return { name: `${named(blade)} with ${tail.name} ${tail.label ?? ''}`, bare, dressed };
      }),
    );
    const sink = ({ build }: Lure) => nominalCrossings(build, LAKE_WATER).sinkMps ?? NaN;
    expectOrdering(
      '6. Sink with a paddle tail below that without',
      all.map(({ name, bare, dressed }) => ({ name, less: sink(dressed), more: sink(bare) })),
    );
    // As slow, and yet no deeper: it needs less speed to stay up.
    expectOrdering(
      '6. Depth with a paddle tail above that without, at 0.4, 0.6 and 0.8 m/s',
      all.flatMap(({ name, bare, dressed }) =>
        [0.4, 0.6, 0.8].map((speed) => shallower(`${name} at ${speed} m/s`, dressed, bare, speed)),
      ),
      60,
    );
  });

  it('13: a blade ahead of a diving bait lifts it', () => {
    const divers: readonly Diver[] = [
      { diveM2: 4e-4, dragM2: 5e-4, sinkingN: -0.01, lipRadiusM: 0.008 },
      { diveM2: 8e-4, dragM2: 8e-4, sinkingN: -0.03, lipRadiusM: 0.012 },
      { diveM2: 1.5e-3, dragM2: 1.1e-3, sinkingN: -0.02, lipRadiusM: 0.016 },
    ];
    const line = fishingLine(USUAL_OUTFIT.line);
    const pairs = divers.flatMap((diver, n) =>
      blades.flatMap((blade) =>
        // A heavy blade may win at a crawl.
        [0.8, 1.1, 1.5].map((speedMps): Pair => {
          const setting = { waterDensityKgM3: RHO, speedMps, tipHeightM: 1 };
          const turning = turn(blade, speedMps);
          const { weightInWaterN } = spinBlade(blade, RHO);
          const depth = (ahead: Parameters<typeof divesTo>[1]) => {
            const shape = divesTo(diver, ahead, line, setting, 15);
            return shape.outcome === 'sinks' ? shape.depthM : 0;
          };
          return {
            name: `${named(blade)} before bait ${n + 1} at ${speedMps} m/s`,
            less: depth({ turning, weightInWaterN, gapM: 0.15 }),
            more: depth(null),
          };
        }),
      ),
    );
    expectOrdering('13. Depth of a diving bait with a blade ahead above that without', pairs, 60);
  });
});

describe('what must come out right of shake and tracking', () => {
  it('7: thinner arm wire moves more at the blade, below its own rate', () => {
    const pairs = DEMO_LURES.filter(({ family }) => family === 'spinnerbait').flatMap((lure) => {
      const { carrier } = lure.build;
      const wired = (diameterM: number) =>
        edited(lure, { kind: 'carrier', changes: { wire: { ...carrier.wire, diameterM } } });
      return [0.001, 0.0011, 0.0012, 0.0014].flatMap((diameterM) =>
        [0.5, 0.6, 0.7, 0.8].flatMap((speedMps): Pair[] => {
          const [thin, thick] = [diameterM, diameterM + 0.0001].map(
            (each) => rides(wired(each).build, LAKE_WATER, [speedMps]).at[0]?.shakes,
          );
          // Below the thinner wire's own rate: there it is a spring.
          if (!thin?.every(({ ratio }) => ratio !== null && ratio < 0.8) || thin.length === 0) return [];
          const moves = (shakes: typeof thin | undefined) =>
            Math.hypot(...(shakes ?? []).map(({ amplitudeM }) => amplitudeM));
          return [
            { name: `${lure.name}, ${diameterM * 1000} mm at ${speedMps} m/s`, less: moves(thick), more: moves(thin) },
          ];
        }),
      );
    });
    expectOrdering('7. Shake of the thicker arm below that of the thinner, below its own rate', pairs, 5);
  });

  it('14: a single delta blade pulls aside to its hand; a counter-turning pair runs straight', () => {
    const aside = (lure: Lure, speedMps: number) => rides(lure.build, LAKE_WATER, [speedMps]).at[0]?.sidePullRad ?? 0;
    const [one, pair] = [demoLure('lommer-clapper'), demoLure('asp-pair')];
    const speeds = [0.8, 1, 1.2, 1.5];
    expectOrdering(
      '14. Side pull of a single delta blade above nothing, to its hand',
      partsOfKind('deltaBlade').flatMap((blade) =>
        speeds.map((speedMps) => ({
          name: `${blade.id} at ${speedMps} m/s`,
          less: 0,
          more: aside(plainBuzz(blade.id), speedMps) * (blade.hand === 'right' ? 1 : -1),
        })),
      ),
    );
    for (const speedMps of speeds) {
      expect(Math.abs(aside(pair, speedMps))).toBeLessThan(Math.abs(aside(one, speedMps)) / 2);
    }
    expect(aimOff(aside(one, 1.2), 15)).toBeCloseTo(15 * Math.tan(aside(one, 1.2)), 12);
    expect(aside(plainBait(), 1.2)).toBe(0);
  });

  it('16: a small nail weight upright under the blade hardly changes balance, lengthwise aft it does', () => {
    const pairs = partsOfKind('trailer').flatMap((trailer) =>
      [0.0006, 0.001, 0.0016].map((massKg): Pair => {
        // A soft body on the hook of a bait, with and without the nail in it.
        const bare = plainBait();
        const lure = edited(bare, seatPart(bare.build, part(trailer.id), on('hook-1', 'pushed')));
        const { bodies } = lureInWater(lure.build, LAKE_WATER, USUAL_OUTFIT);
        const soft = bodies.find(({ of }) => of === itemId('trailer-1'));
        if (!soft) throw new Error('the trailer is a body');
        const front = soft.xM - trailer.lengthM / 2;
        const place = {
          // The widest part of a blade on a short arm hangs under the fore end of the body.
          middleXM: front + 0.012,
          bellyYM: soft.yM - trailer.bodyM / 2,
          tailXM: front + trailer.lengthM,
          axisYM: soft.yM,
        };
        const nail = { massKg, densityKgM3: 18_000, lengthM: 0.012 };
        const balance = (all: readonly { readonly xM: number; readonly massKg: number }[]) =>
          all.reduce((sum, each) => sum + each.massKg * each.xM, 0) / all.reduce((sum, each) => sum + each.massKg, 0);
        const shifted = (way: 'upright' | 'lengthwise') =>
          Math.abs(balance([...bodies, nailIn(nail, nailPlace(nail, place, way))]) - balance(bodies));
        expect(shifted('upright')).toBeLessThan(0.002);
        return {
          name: `${massKg * 1000} g in ${trailer.name} ${trailer.label ?? ''}`,
          less: 2 * shifted('upright'),
          more: shifted('lengthwise'),
        };
      }),
    );
    expectOrdering('16. Twice the shift of the middle of mass by an upright nail weight below that by one aft', pairs);
  });
});
