/** What must come out right of sound: each ordering by its number, over the catalogue and the speeds people fish. */
import { brightness, heardOf, impulses, loudness, soundings } from '@/testing/hearing';
import { describe, expect, it } from 'vitest';
import { bentAt, edited, itemId, on, part, plainBuzz, plainSpinner, spinner, TAIL, withInside } from '@/testing/lures';
import { measured } from '@/testing/measured';
import { expectOrdering, type Pair } from '@/testing/ordering';
import { deltaSeats } from '../geometry/seats';
import { headTouch, type Touch } from '../geometry/blade-on-head';
import { layOut } from '../geometry/layout';
import { LAKE_WATER } from '../hydro/water';
import type { Lure } from '../lure/lure';
import { partsOfKind } from '../parts/catalogue';
import type { RivetFixing } from '../parts/kinds/rivet';
import { notesOf, decayOf } from '../sound/ringing';
import { doesTurn, predictSpin } from './spin';

const SPEEDS = [0.5, 0.8, 1.2] as const;

/** Beads of these materials and equal size, as a maker's twins. */
function beadsLike(from: string, material: 'glass' | 'plastic' | 'brass') {
  const bead = part(from);
  if (bead.kind !== 'bead') throw new Error(`${from} is a bead`);
  const density = { glass: 2500, plastic: 1180, brass: 8500 };
  return { ...bead, material, massKg: (bead.massKg * density[material]) / density.glass };
}

function withBeads(blade: string, bead: string, material: 'glass' | 'plastic' | 'brass'): Lure {
  const lure = plainSpinner(blade, [bead, bead, bead, 'weight-barrel-brass-5']);
  return ['bead-1', 'bead-2', 'bead-3'].reduce(
    (each, id) => edited(each, { kind: 'swapPart', item: itemId(id), part: beadsLike(bead, material) }),
    lure,
  );
}

const BLADES = ['blade-french-k2', 'blade-colorado-k3', 'blade-indiana-k3', 'blade-fluted-k3'];
/** Clevises between whose legs a small bead has room. */
const ROOMY = ['clevis-folded-wide', 'clevis-folded-2', 'clevis-stirrup-3'];
const BEADS = ['bead-glass-4-red', 'bead-glass-5-green', 'bead-glass-6-clear'];

const beadPairs = (manner: 'steady' | 'twitched', of: (lure: Lure, speed: number) => number | null): Pair[] =>
  BLADES.flatMap((blade) =>
    BEADS.flatMap((bead) =>
      SPEEDS.flatMap((speed): Pair[] => {
        const [less, more] = [of(withBeads(blade, bead, 'plastic'), speed), of(withBeads(blade, bead, 'glass'), speed)];
        return less === null || more === null
          ? []
          : [{ name: `${blade}, ${bead}, ${manner} at ${speed} m/s`, less, more }];
      }),
    ),
  );

function beadsOnly(lure: Lure, speed: number, manner: 'steady' | 'twitched') {
  const beads = soundings(heardOf(lure, speed, { manner }), 'sideBySide').filter(({ contact: { between } }) =>
    between.every((id) => id?.startsWith('bead')),
  );
  return beads.length > 0 ? beads : null;
}

describe('what must come out right of sound', () => {
  for (const manner of ['steady', 'twitched'] as const) {
    it(`12: glass beads click brighter and louder than plastic ones, ${manner}`, () => {
      const bright = beadPairs(manner, (lure, speed) => {
        const beads = beadsOnly(lure, speed, manner);
        return beads && Math.max(...beads.map(({ bands }) => brightness(bands)));
      });
      expectOrdering(`12. Brightness, ${manner}: plastic beads below glass`, bright, manner === 'steady' ? 3 : 30);
      const loud = beadPairs(manner, (lure, speed) => loudness(heardOf(lure, speed, { manner }).bands));
      expectOrdering(`12. Loudness, ${manner}: plastic beads below glass`, loud, 30);
    });

    it(`12: a metal bead inside the clevis adds most, impulse times knocks on both its legs, ${manner}`, () => {
      const below = ['bead-brass-3', 'bead-brass-3', 'weight-barrel-brass-5'];
      const pairs = BLADES.flatMap((blade) =>
        ROOMY.flatMap((clevis) =>
          SPEEDS.flatMap((speed): Pair[] => {
            const on = (...ahead: string[]) =>
              edited(plainSpinner(blade, [...ahead, ...below]), {
                kind: 'swapPart',
                item: itemId('clevis-1'),
                part: part(clevis),
              });
            const plain = on();
            // Drawn steadily, what turns is what knocks.
            if (manner === 'steady' && heardOf(plain, speed).beats.length === 0) return [];
            const heard = (lure: Lure) => soundings(heardOf(lure, speed, { manner }));
            const added = (lure: Lure) => impulses(heard(lure)) - impulses(heard(plain));
            const inside = added(withInside(plain, 'bead-brass-3'));
            return ['bead-brass-3', 'bead-glass-4-red'].map((bead) => ({
              name: `${blade} on ${clevis}, ${bead} beside it, at ${speed} m/s, ${manner}`,
              less: added(on(bead)),
              more: inside,
            }));
          }),
        ),
      );
      expectOrdering(`12. Metal bead, ${manner}: beside the clevis below inside it`, pairs);
    });
  }

  it('9: a film blade is quieter than a metal blade, its beads the same', () => {
    const films = partsOfKind('filmBlade');
    const pairs = films.flatMap((film) =>
      BLADES.flatMap((blade) =>
        SPEEDS.flatMap((speed): Pair[] => {
          const below = ['bead-glass-5-green', 'bead-glass-5-green', 'weight-barrel-brass-5'];
          const metal = plainSpinner(blade, below);
          const soft = spinner(
            [film.id, ...below],
            [
              ['ring-k2', TAIL],
              ['hook-treble-6', on('splitRing-1', 'hung')],
            ],
          );
          const [quiet, loud] = [heardOf(soft, speed), heardOf(metal, speed)];
          // A blade too slow to turn is no louder than one that turns.
          if (quiet.beats.length === 0 || loud.beats.length === 0) return [];
          return [
            {
              name: `${film.id}, ${blade} at ${speed} m/s`,
              less: loudness(quiet.bands),
              more: loudness(loud.bands),
            },
          ];
        }),
      ),
    );
    expectOrdering('9. Loudness: film below metal', pairs);
  });

  const fixed = (lure: Lure, fixing: RivetFixing): Lure =>
    edited(lure, { kind: 'adjust', item: itemId('rivet-1'), changes: { state: { of: 'rivet', fixing } } });
  const squeak = (lure: Lure, hours: number, speed = 1) =>
    soundings(heardOf(lure, speed, { hours }), 'bladeOnRivet')[0]?.squeak?.pascal ?? 0;

  it('10: a crimped rivet squeaks more with every hour, one that spins never, one upset and filed at once', () => {
    const blades = partsOfKind('deltaBlade');
    const pairs: Pair[] = [];
    for (const blade of blades) {
      const buzz = edited(plainBuzz(), { kind: 'swapPart', item: itemId('deltaBlade-1'), part: blade });
      const [free, crimped, upset] = (['free', 'crimped', 'upset'] as const).map((fixing) => fixed(buzz, fixing));
      if (!free || !crimped || !upset) continue;
      expect(squeak(free, 20)).toBe(0);
      expect(squeak(crimped, 0)).toBe(0);
      pairs.push(
        { name: `${blade.id} after 1 h and 5 h`, less: squeak(crimped, 1), more: squeak(crimped, 5) },
        { name: `${blade.id} crimped after 5 h, upset at once`, less: squeak(crimped, 5), more: squeak(upset, 0) },
      );
      const plastic = edited(upset, {
        kind: 'swapPart',
        item: itemId('deltaBlade-1'),
        part: { ...blade, material: 'plastic', massKg: blade.massKg * (1180 / 2700) },
      });
      expect(squeak(plastic, 100), `${blade.id} of plastic`).toBe(0);
    }
    expectOrdering('10. Squeak of a fixed rivet: grows with hours, upset and filed at once', pairs);
  });

  it('11: bent in the blade clacks, further in it drags and stalls; bent out it is silent', () => {
    const seen = new Map<Touch, { readonly clacks: number; readonly keepsMps: number; readonly rubs: number }[]>();
    for (let bend = -0.6; bend <= 0.1; bend += 0.0125) {
      const from = plainBuzz();
      const { carrier } = from.build;
      if (carrier.kind !== 'bentWire') throw new Error('a buzzbait is of bent wire');
      const index = carrier.sections.findIndex(({ section }) => section === 'bend');
      const section = carrier.sections[index];
      if (section?.section !== 'bend') throw new Error('it has a bend');
      const lure = bentAt(from, index, { angleRad: section.angleRad + bend });
      const layout = layOut(lure.build);
      const [seat] = deltaSeats(layout);
      const met = seat && headTouch(layout, seat);
      if (!met) throw new Error('it has a head');
      const [heard] = soundings(heardOf(lure, 1), 'bladeOnHead');
      const spun = predictSpin(lure.build, LAKE_WATER, [1]).blades[0];
      const entry = {
        clacks: heard?.knocks?.perS ?? 0,
        rubs: heard?.rub?.forceN ?? 0,
        keepsMps: doesTurn(spun?.at[0]) ? (spun?.keeps?.mps.value ?? Infinity) : Infinity,
      };
      seen.set(met.touch, [...(seen.get(met.touch) ?? []), entry]);
    }
    const [free, ticking, dragging] = (['free', 'ticking', 'dragging'] as const).map((touch) => seen.get(touch) ?? []);
    expect(free?.length).toBeGreaterThan(3);
    expect(ticking?.length).toBeGreaterThan(1);
    expect(dragging?.length).toBeGreaterThan(3);
    for (const each of free ?? []) expect(each).toMatchObject({ clacks: 0, rubs: 0 });
    for (const each of ticking ?? []) {
      expect(each.clacks).toBeGreaterThan(2);
      expect(each.rubs).toBe(0);
    }
    const keeps = (all: typeof free) => (all ?? []).map(({ keepsMps }) => keepsMps);
    expect(Math.min(...keeps(dragging))).toBeGreaterThan(Math.max(...keeps(ticking)) - 1e-6);
    expect(Math.max(...keeps(dragging)), 'far in it stalls').toBe(Infinity);
    measured(
      'Orderings',
      '11. Buzz arm bent out, until it ticks, and in: keeps turning down to',
      `${Math.max(...keeps(free)).toFixed(2)}, ${Math.max(...keeps(ticking)).toFixed(2)}, then ${Math.min(...keeps(dragging)).toFixed(2)} m/s until it stalls`,
      'silent, clacks, drags and stalls',
    );
  });

  it('a free bell rings on longer than a pinched one', () => {
    for (const bell of partsOfKind('bell')) {
      const [free] = notesOf(bell, 998);
      const [pinched] = notesOf(bell, 998, true);
      if (!free || !pinched) throw new Error(`${bell.id} rings`);
      expect(decayOf(free)).toBeGreaterThan(3 * decayOf(pinched));
    }
  });
});
