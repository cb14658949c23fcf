/** The builders' orderings of depth, shake and tracking, by their numbers. */
import { wireOf } from '../carriers/carrier';
import { blades, colorados, named, depthOf, shallower, NOT_ASKED, tandem } from '@/testing/comparing';
import { describe, expect, it } from 'vitest';
import { demoLure, edited, on, part, plainBait, plainBuzz, plainSpinner, withHead } from '@/testing/lures';
import { expectOrdering, type Pair } from '@/testing/ordering';
import { DEMO_LURES } from '@/demo/scenario';
import { aimOff } from '../hydro/tracking';
import { LAKE_WATER } from '../hydro/water';
import { seatPart } from '../lure/editing';
import { lureMass } from '../lengths/mass';
import { ballastOf, heavier, withPart } from '../lure/resized';
import type { Lure } from '../lure/lure';
import { partsOfKind } from '../parts/catalogue';
import type { PartOf } from '../parts/part';
import { nominalCrossings } from './crossings';
import { rides } from './ride';

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
});

describe('what must come out right of shake and tracking', () => {
  it('7: thinner arm wire moves more at the blade, below its own rate', () => {
    const pairs = DEMO_LURES.filter(({ family }) => family === 'spinnerbait').flatMap((lure) => {
      const { carrier } = lure.build;
      const wired = (diameterM: number) =>
        edited(lure, { kind: 'carrier', changes: { wire: { ...wireOf(carrier), diameterM } } });
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
});
