/** What wears out first: ordering 7 of the line tie, and the clocks. */
import { describe, expect, it } from 'vitest';
import { bentAt, demoLure, edited, harness, itemId, part, plainBait, plainBuzz, plainSpinner } from '@/testing/lures';
import { measured } from '@/testing/measured';
import { expectOrdering, type Pair } from '@/testing/ordering';
import { seatPart } from '../lure/editing';
import { LAKE_WATER } from '../hydro/water';
import { UNUSED, type Lure } from '../lure/lure';
import { partsOfKind } from '../parts/catalogue';
import { isTieMaterial, opensBy, straightenings, tieLife, type Hinge } from './line-tie';
import { wearOf } from './wear';

const wires = partsOfKind('wire').flatMap(({ diameterM, material }) =>
  isTieMaterial(material) ? [{ wireM: diameterM, material }] : [],
);
const FORMS = [1.7, 2.2, 2.8].flatMap((roundRad) =>
  [0.0015, 0.002, 0.003].map((insideRadiusM) => ({ roundRad, insideRadiusM })),
);
const fish = (tie: Hinge, isRinged = false) => tieLife(tie, isRinged).fish.value;

describe('a line tie', () => {
  it('7: thinner wire opens further and breaks sooner under the same pull', () => {
    const pairs = wires.flatMap((thin) =>
      wires
        .filter((thick) => thick.material === thin.material && thick.wireM > thin.wireM)
        .flatMap((thick) =>
          FORMS.map((form): Pair => {
            expect(opensBy({ ...thin, ...form }, 1)).toBeGreaterThan(opensBy({ ...thick, ...form }, 1));
            return {
              name: `${thin.wireM * 1000} and ${thick.wireM * 1000} mm, bent by ${form.roundRad} about ${form.insideRadiusM * 1000} mm`,
              less: fish({ ...thin, ...form }),
              more: fish({ ...thick, ...form }),
            };
          }),
        ),
    );
    expectOrdering('7. Life of an open line tie: thinner wire below thicker', pairs);
  });

  it('7: a ring over it multiplies life by 1.5 to 4 on light wire, and it then breaks at the head', () => {
    const light = wires.filter(({ wireM }) => wireM <= 0.0009);
    expect(light.length).toBeGreaterThan(3);
    const times: number[] = [];
    for (const wire of light) {
      for (const form of FORMS) {
        const [bare, ringed] = [tieLife({ ...wire, ...form }, false), tieLife({ ...wire, ...form }, true)];
        times.push(ringed.fish.value / bare.fish.value);
        expect([bare.at, ringed.at]).toEqual(['tie', 'head']);
      }
    }
    times.sort((a, b) => a - b);
    const [least, most] = [times[0] ?? 0, times.at(-1) ?? 0];
    measured(
      'Orderings',
      '7. A ring over the tie of light wire makes its life longer by',
      `${least.toFixed(1)} to ${most.toFixed(1)} times`,
      '1.5 to 4',
    );
    expect(least).toBeGreaterThan(1.5);
    expect(most).toBeLessThan(4);
  });

  it('of light wire, open, lasts 5 to 30 fish, as builders find, with a wide band', () => {
    for (const wireM of [0.0008, 0.0009]) {
      const { low, value, high } = tieLife(
        { wireM, material: 'stainless', insideRadiusM: 0.002, roundRad: 2.2 },
        false,
      ).fish;
      expect(value).toBeGreaterThan(5);
      expect(value).toBeLessThan(30);
      expect(low).toBeLessThan(value / 2);
      expect(high).toBeGreaterThan(value * 2);
    }
  });

  it('is finite for every wire and bend that can be drawn', () => {
    for (const wireM of [0.0002, 0.0005, 0.0015, 0.003])
      for (const insideRadiusM of [0.0005, 0.01])
        for (const roundRad of [0.2, 6])
          for (const isRinged of [true, false]) {
            const { fish: band } = tieLife({ wireM, material: 'springSteel', insideRadiusM, roundRad }, isRinged);
            expect(band.low).toBeGreaterThan(0);
            expect(band.low).toBeLessThanOrEqual(band.value);
            expect(band.high).toBeGreaterThanOrEqual(band.value);
            expect(Number.isFinite(band.high)).toBe(true);
          }
  });
});

describe('what wears on a lure', () => {
  const worn = (lure: Lure, hours: number, caught = 0, straightened = 0) =>
    wearOf(lure.build, LAKE_WATER, { hours, fish: caught, straightened });

  it('has a tie where a wire is bent for one, and none on a straight wire', () => {
    expect(wearOf(plainSpinner().build, LAKE_WATER, UNUSED).tie).toBeNull();
    const open = worn(plainBait(), 0, 5).tie;
    if (open?.outcome !== 'open') throw new Error('a plain bait has an open tie');
    expect(open.used).toBeCloseTo(5 / open.life.fish.value, 9);
    // Each time it is bent straight takes as much as a fish.
    expect(worn(plainBait(), 0, 3, 2).tie).toMatchObject({ used: open.used });
    const ringed = edited(plainBait(), seatPart(plainBait().build, part('ring-k1'), { on: 'tie' }));
    expect(worn(ringed, 0).tie).toMatchObject({ isRinged: true, life: { at: 'head' } });
    const frame = part('frame-spin-o14-closed');
    const { carrier } = plainBait().build;
    if (frame.kind !== 'frame' || carrier.kind !== 'bentWire')
      throw new Error('a bait is of bent wire, and a frame is one');
    const closed = edited(plainBait(), { kind: 'carrier', changes: { sections: frame.form.sections } });
    expect(worn(closed, 0).tie).toMatchObject({ outcome: 'closed' });
  });

  it('a bend opened further is another bend: its life follows its form', () => {
    const { carrier } = plainBait().build;
    if (carrier.kind !== 'bentWire') throw new Error('a bait is of bent wire');
    const index = carrier.sections.findIndex((each) => each.section === 'bend' && each.isTie);
    const life = (lure: Lure) => {
      const { tie } = worn(lure, 0);
      return tie?.outcome === 'open' ? tie.life.fish.value : 0;
    };
    expect(life(bentAt(plainBait(), index, { insideRadiusM: 0.004 }))).not.toBe(life(plainBait()));
  });

  it('an arm breaks at its tightest bend when it was bent back too often: thinner wire later, a tighter bend sooner', () => {
    expect(worn(plainSpinner(), 0).arm).toBeNull();
    const arm = worn(plainBuzz(), 0, 0, 4).arm;
    if (!arm) throw new Error('the arm of a buzzbait is bent');
    expect(arm.used).toBeCloseTo(4 / arm.straightenings.value, 9);
    expect(worn(plainBuzz(), 0, 9).arm?.used).toBe(0);
    for (const { wireM, material } of wires) {
      const bend = { wireM, material, insideRadiusM: 0.003, roundRad: 1 };
      const { low, value, high } = straightenings(bend);
      expect([low < value, value < high]).toEqual([true, true]);
      // Skin strain d θ / 4ℓ: all else alike, thin wire bends with less of it.
      expect(straightenings({ ...bend, wireM: wireM * 0.8 }).value).toBeGreaterThan(value);
      expect(straightenings({ ...bend, insideRadiusM: 0.0015 }).value).toBeLessThan(value);
    }
  });

  it('a swivel runs gritty, then rusty, and the blade behind it stops sooner; mended it is as new', () => {
    const bait = plainBait();
    const clock = (hours: number) => worn(bait, hours).clocks.find((each) => each.clock === 'swivel');
    expect(clock(0)).toBeUndefined();
    const [gritty, rusty] = [clock(30), clock(100)];
    if (gritty?.clock !== 'swivel' || rusty?.clock !== 'swivel') throw new Error('it wears');
    expect([gritty.condition, rusty.condition]).toEqual(['gritty', 'rusty']);
    expect(gritty.stallsSoonerMps).toBeGreaterThan(0);
    expect(rusty.stallsSoonerMps ?? 9).toBeGreaterThan(gritty.stallsSoonerMps ?? 0);
    const gone = edited(bait, {
      kind: 'adjust',
      item: itemId('swivel-1'),
      changes: { state: { of: 'swivel', condition: 'rusty' } },
    });
    const [mend] = worn(gone, 0).clocks.flatMap(({ edits }) => edits);
    if (!mend) throw new Error('a rusty swivel can be mended');
    const after = worn(edited(gone, mend), 0).clocks;
    expect(after.some(({ clock: each }) => each === 'swivel')).toBe(false);
  });

  it('a crimped rivet wears in; bands and soft bait have lives of hours and fish', () => {
    const buzz = edited(plainBuzz(), {
      kind: 'adjust',
      item: itemId('rivet-1'),
      changes: { state: { of: 'rivet', fixing: 'crimped' } },
    });
    const squeak = (hours: number) =>
      worn(buzz, hours).clocks.flatMap((each) => (each.clock === 'squeak' ? [each.wornIn] : []))[0] ?? -1;
    expect(squeak(0)).toBe(0);
    expect(squeak(20)).toBeGreaterThan(squeak(5));
    expect(worn(plainBuzz(), 20).clocks).toEqual([]);
    const used = (caught: number) =>
      worn(demoLure('lommer-clapper'), 30, caught).clocks.flatMap((each) =>
        each.clock === 'band' || each.clock === 'bait' ? [[each.clock, each.used]] : [],
      );
    expect(Object.fromEntries(used(2))).toEqual({ band: 0.5, bait: 0.5 });
    expect(Object.fromEntries(used(4))).toMatchObject({ bait: 1 });
    // One that was renewed begins anew; the others go on.
    const clapper = demoLure('lommer-clapper').build;
    const [bait] = Object.values(clapper.items).flatMap(({ id, part: { kind } }) => (kind === 'trailer' ? [id] : []));
    if (!bait) throw new Error('it has a trailer');
    const { clocks } = wearOf(clapper, LAKE_WATER, {
      hours: 30,
      fish: 5,
      straightened: 0,
      renewed: { [bait]: { hours: 20, fish: 4 } },
    });
    expect(clocks).toContainEqual(expect.objectContaining({ clock: 'bait', used: 0.25 }));
    expect(clocks).toContainEqual(expect.objectContaining({ clock: 'band', used: 0.5 }));
  });

  it('a knot is spared by a small bead: chafed by a large one of glass it lasts a third of the hours; tied afresh it is new', () => {
    const used = { ...UNUSED, hours: 6, fish: 1 };
    const knotOf = (last: string, done = used) => {
      const { build } = harness(['clevis-quick-2', 'bead-glow-4', last, 'hook-octopus-4']);
      const clocks = wearOf(build, LAKE_WATER, done).clocks.filter(({ clock }) => clock === 'knot');
      expect(clocks).toHaveLength(1);
      return clocks[0] as Extract<(typeof clocks)[0], { clock: 'knot' }>;
    };
    const [small, large] = [knotOf('bead-guard-2'), knotOf('bead-glass-6-clear')];
    expect([small.isGentle, large.isGentle]).toEqual([true, false]);
    expect(large.used).toBeGreaterThan(2 * small.used);
    expect(knotOf('bead-guard-2', { ...used, hours: 12 }).used).toBeGreaterThan(small.used);
    expect(knotOf('bead-guard-2', { ...used, fish: 4 }).used).toBeGreaterThan(small.used);
    const renewed = { [small.item]: { hours: 6, fish: 1 } };
    expect(knotOf('bead-guard-2', { ...used, renewed }).used).toBe(0);
    expect(wearOf(plainSpinner().build, LAKE_WATER, used).clocks.some(({ clock }) => clock === 'knot')).toBe(false);
  });
});
