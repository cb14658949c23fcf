import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bentAt, edited, itemId, on, part, plainBait, plainBuzz, spinner, TAIL } from '@/testing/lures';
import { DEMO_LURES } from '@/demo/scenario';
import { FIXED_FORMS } from '@/testing/wire-forms';
import { LAKE_WATER } from '../hydro/water';
import { bendAllowance, formedLength, wireIn } from '../parts/formed-wire';
import type { Section, WireForm } from '../parts/wire-form';
import { doesTurn, predictSpin } from '../predict/spin';
import { stallSpeeds } from '../predict/stalls';
import { addBend, bendTo, straightenOut } from '../lure/bending';
import { wireStretches } from '../lengths/bend-marks';
import { differences } from '../costs/difference';
import { applyEdits } from '../lure/edit';
import { layOut } from './layout';
import { wireCut } from '../lengths/lengths';
import type { Lure } from '../lure/lure';
import type { BentWire } from '../carriers/bent-wire';
import { lureMass } from '../lengths/mass';
import { skirtOn } from './skirt-on';
import { walkWire } from '../carriers/wire-path';

const D = 0.0009;
const HERE = { xM: 0, yM: 0 };

function carrierOf({ build }: Lure): BentWire {
  if (build.carrier.kind !== 'bentWire') throw new Error('a bait has a bent wire');
  return build.carrier;
}

const bend = fc.record({
  section: fc.constant('bend' as const),
  angleRad: fc.double({ min: -3, max: 3, noNaN: true }),
  sideRad: fc.double({ min: -0.3, max: 0.3, noNaN: true }),
  insideRadiusM: fc.double({ min: 0.0008, max: 0.01, noNaN: true }),
  isTie: fc.boolean(),
});
const straight = fc.record({
  section: fc.constant('straight' as const),
  lengthM: fc.double({ min: 0.001, max: 0.06, noNaN: true }),
});
const coil = fc.record({
  section: fc.constant('coil' as const),
  insideDiameterM: fc.double({ min: 0.002, max: 0.006, noNaN: true }),
  turns: fc.integer({ min: 1, max: 2 }),
});
const forms: fc.Arbitrary<WireForm> = fc.record({
  startRad: fc.double({ min: 1.6, max: 3.1, noNaN: true }),
  sections: fc.array(fc.oneof(bend, straight, coil), { minLength: 1, maxLength: 8 }),
  armM: fc.double({ min: 0.01, max: 0.09, noNaN: true }),
  tail: fc.constant({ form: 'plain' } as const),
});

describe('bent wire', () => {
  it.each(FIXED_FORMS)('$name ends where compass and rule put it', ({ form, endMm, headingDeg }) => {
    const { arm } = walkWire(form, D, HERE);
    expect(arm.xM * 1000).toBeCloseTo(endMm.x, 6);
    expect(arm.yM * 1000).toBeCloseTo(endMm.y, 6);
    expect((arm.angleRad * 180) / Math.PI).toBeCloseTo(headingDeg, 6);
  });

  it('any form: finite, no longer in a line than its wire, its mirror image mirrored, its heading the sum of its bends', () => {
    fc.assert(
      fc.property(forms, (form) => {
        const path = walkWire(form, D, HERE);
        const reach = Math.hypot(path.arm.xM, path.arm.yM, path.armStartZM);
        expect(Number.isFinite(reach)).toBe(true);
        // The middle line of a sharp bend is a little longer than the wire that fills it.
        const sharp = form.sections.reduce((sum, each) => sum + (each.section === 'bend' ? 0.15 * D * 6 : 0), 0);
        expect(reach).toBeLessThanOrEqual(path.leadM + sharp + 1e-9);
        const heading = form.sections.reduce(
          (sum, each) => sum + (each.section === 'bend' ? each.angleRad : 0),
          form.startRad,
        );
        expect(path.arm.angleRad).toBeCloseTo(heading, 9);
        expect(path.sections.at(-1)?.toM).toBeCloseTo(path.leadM, 12);
        expect(formedLength(form, D)).toBeCloseTo(path.leadM + form.armM, 12);

        const mirrored: WireForm = {
          ...form,
          sections: form.sections.map((each) => (each.section === 'bend' ? { ...each, sideRad: -each.sideRad } : each)),
        };
        const other = walkWire(mirrored, D, HERE);
        expect(other.armEndZM).toBeCloseTo(-path.armEndZM, 9);
        expect(other.arm.xM).toBeCloseTo(path.arm.xM, 9);
        expect(other.leadM).toBeCloseTo(path.leadM, 12);
      }),
      { numRuns: 200, seed: 4 },
    );
  });

  it('the allowance: a gentle bend takes its middle line, a sharp one less, straight wire none', () => {
    expect(bendAllowance(Math.PI / 2, 0.005, 0.001)).toBeCloseTo(0.0055 * (Math.PI / 2), 12);
    expect(bendAllowance(-Math.PI / 2, 0.005, 0.001)).toBeCloseTo(0.0055 * (Math.PI / 2), 12);
    expect(bendAllowance(Math.PI, 0.00075, 0.001)).toBeCloseTo((0.00075 + 0.45 * 0.001) * Math.PI, 12);
    expect(bendAllowance(0, 0.002, 0.001)).toBe(0);
  });

  it('putting a bend in, straightening it out again: the same wire; bending is undone exactly', () => {
    const lure = plainBait();
    const added = edited(lure, ...addBend(carrierOf(lure), 0));
    expect(carrierOf(added).sections).toHaveLength(carrierOf(lure).sections.length + 2);
    const bendIn = carrierOf(added).sections[1] as Section;
    const out = edited(added, ...straightenOut(carrierOf(added), 1, wireIn(bendIn, carrierOf(added).wire.diameterM)));
    expect(carrierOf(out).sections).toHaveLength(carrierOf(lure).sections.length);
    expect(wireCut(out.build).totalM).toBeCloseTo(wireCut(added.build).totalM, 12);

    const bent = applyEdits(lure, bendTo(carrierOf(lure), 3, -2.2));
    if (!bent.ok) throw new Error('wire bends');
    expect(applyEdits(bent.lure, bent.inverse)).toMatchObject({ ok: true, lure });
    expect(bendTo(carrierOf(lure), 0, 1)).toEqual([]);
    expect(bendTo(carrierOf(lure), 3, 99)).not.toEqual([]);
  });

  it('the marks along the wire run without a gap from nothing to the cut length, for every demo lure', () => {
    for (const { build } of DEMO_LURES) {
      const stretches = wireStretches(build);
      expect(stretches[0]?.fromM).toBe(0);
      stretches.slice(1).forEach(({ fromM }, i) => expect(fromM).toBe(stretches[i]?.toM));
      expect(stretches.at(-1)?.toM).toBeCloseTo(wireCut(build).totalM, 12);
    }
  });

  it('a thing on the arm moves with the bend; the rest of the lure stays', () => {
    const lure = plainBait();
    const bent = bentAt(lure, 3, { angleRad: -2.2 });
    const [before, after] = [layOut(lure.build), layOut(bent.build)];
    expect(after.lines.run.angleRad).toBeGreaterThan(before.lines.run.angleRad + 0.5);
    expect(after.lines.head).toEqual(before.lines.head);
    const head = (layout: typeof before) => layout.off.filter(({ line }) => line === 'head');
    expect(head(after)).toEqual(head(before));
    // What hangs at the end is drawn straight back by the water, however the arm is bent.
    expect(after.lines.trail.angleRad).toBe(0);
    expect(after.y1M).toBeGreaterThan(before.y1M);
    expect(lureMass(bent.build)).not.toBe(lureMass(lure.build));
  });
});

describe('a spinner in two pieces', () => {
  it('hangs its body behind the carriage and its hook behind the body, each bearing on the last', () => {
    const lure = spinner(
      ['clevis-folded-1', 'bead-brass-4'],
      [
        ['blade-french-k2', on('clevis-1', 'hung')],
        ['ring-k2', TAIL],
        ['body-barrel-6', on('splitRing-1', 'hung')],
        ['ring-o2', on('body-1', 'hung')],
        ['hook-treble-6', on('splitRing-2', 'hung')],
      ],
    );
    const { off } = layOut(lure.build);
    const ids = ['splitRing-1', 'body-1', 'splitRing-2', 'hook-1'].map(itemId);
    const chain = ids.map((id) => off.find(({ item }) => item.id === id));
    chain.slice(1).forEach((link, i) => expect(link?.x0M).toBeLessThan(chain[i]?.x1M ?? 0));
    chain.slice(1).forEach((link, i) => expect(link?.x1M).toBeGreaterThan(chain[i]?.x1M ?? 0));
  });
});

describe('blades behind a swivel', () => {
  const rates = (lure: Lure) => predictSpin(lure.build, LAKE_WATER, [0.8]).blades[0]?.at[0];
  const rusted = (lure: Lure, condition: 'free' | 'gritty' | 'rusty') =>
    edited(lure, { kind: 'adjust', item: itemId('swivel-1'), changes: { state: { of: 'swivel', condition } } });

  it('ordering 8: a gritty or rusty swivel stalls the blade sooner; a free cheap one equals a free dear one', () => {
    const low = (lure: Lure) => {
      const stall = stallSpeeds(lure.build, LAKE_WATER)[0]?.stall;
      return stall?.outcome === 'stalls' ? stall.keepsMps.value : Infinity;
    };
    for (const blade of ['blade-colorado-k3', 'blade-indiana-k4', 'blade-willow-k5']) {
      const cheap = plainBait(blade, 'swivel-barrel-g10');
      const dear = plainBait(blade, 'swivel-bearing-k2');
      expect(low(rusted(cheap, 'rusty'))).toBeGreaterThan(low(cheap) * 1.08);
      expect(Math.abs(low(dear) / low(cheap) - 1)).toBeLessThan(0.04);
      const [free, gritty] = [rates(cheap), rates(rusted(cheap, 'gritty'))];
      if (!doesTurn(free) || !doesTurn(gritty)) throw new Error('both turn at 0.8 m/s');
      expect(gritty.rateHz.value).toBeLessThan(free.rateHz.value);
    }
  });

  it('a tandem has two rates and a beat; the rear blade meets slower water', () => {
    const tandem = DEMO_LURES.find(({ id }) => id === 'torvane-lanes');
    if (!tandem) throw new Error('a demo lure');
    const { blades, beats } = predictSpin(tandem.build, LAKE_WATER, [0.8]);
    expect(blades).toHaveLength(2);
    expect(beats).toHaveLength(1);
    const rear = blades[1]?.at[0];
    expect(doesTurn(rear) && rear.localSpeedMps).toBeLessThan(0.8);
  });

  it('a delta blade turns at a rate that grows with speed, either hand alike', () => {
    const at = (id: string) => predictSpin(plainBuzz(id).build, LAKE_WATER, [0.6, 1.2]).blades[0]?.at ?? [];
    const [slow, fast] = at('delta-2-right-36-bright');
    const [left] = at('delta-2-left-36-bright');
    if (slow?.outcome !== 'turning' || fast?.outcome !== 'turning' || left?.outcome !== 'turning')
      throw new Error('turns');
    expect(fast.rateHz.value).toBeGreaterThan(slow.rateHz.value * 1.8);
    // The two are not quite of one mass, so that their lures do not hang quite alike.
    expect(left.rateHz.value / slow.rateHz.value).toBeCloseTo(1, 2);
  });
});

describe('a skirt', () => {
  const form = (lure: Lure) => skirtOn(lure.build, lure.build.items[itemId('skirt-1')] ?? fail());
  function fail(): never {
    throw new Error('a skirt is on');
  }
  const set = (lure: Lure, collarAt: number) =>
    edited(lure, {
      kind: 'adjust',
      item: itemId('skirt-1'),
      changes: { state: { of: 'skirt', collarAt, tips: 'even' } },
    });

  it('ordering 17: three layers are more than two; a collar off centre flares more than one in the middle', () => {
    const two = plainBait();
    const withThird = applyEdits(two, [
      {
        kind: 'insert',
        items: [{ ...(two.build.items[itemId('skirtLayer-1')] ?? fail()), id: itemId('skirtLayer-9') }],
        entries: [],
      },
    ]);
    if (!withThird.ok) throw new Error('a band takes a third layer');
    const strands = (lure: Lure) => form(lure).groups.reduce((sum, { count }) => sum + count, 0);
    expect(strands(withThird.lure)).toBeGreaterThan(strands(two));
    expect(lureMass(withThird.lure.build)).toBeGreaterThan(lureMass(two.build));
    for (const off of [0.4, 0.3, 0.2])
      expect(form(set(two, off)).flareRad).toBeGreaterThan(form(set(two, 0.5)).flareRad);
  });

  it('turned over, its long side lies the other way, and nothing else of it changes', () => {
    const lure = set(plainBait(), 0.3);
    const turned = edited(lure, { kind: 'adjust', item: itemId('skirt-1'), changes: { flipped: true } });
    expect(form(lure).longSide).toBe('tail');
    expect(form(turned).longSide).toBe('nose');
    expect(form(turned).toNoseM).toBeCloseTo(form(lure).toTailM, 12);
  });
});

describe('versions', () => {
  it('are kept, gone back to exactly, and told apart in what they differ', () => {
    const lure = plainBait();
    const kept = edited(lure, { kind: 'versions', versions: [{ name: 'First', build: lure.build }] });
    const changed = edited(
      bentAt(kept, 3, { angleRad: -2.2 }),
      { kind: 'swapPart', item: itemId('blade-1'), part: part('blade-indiana-k4') },
      { kind: 'adjust', item: itemId('swivel-1'), changes: { state: { of: 'swivel', condition: 'gritty' } } },
      { kind: 'remove', items: [itemId('skirtLayer-2')] },
    );
    const codes = differences(lure.build, changed.build).map(({ code }) => code);
    expect(codes.sort()).toEqual(['bent', 'handled', 'swapped', 'takenOff']);
    const back = applyEdits(changed, [{ kind: 'rebuild', build: kept.versions[0]?.build ?? lure.build }]);
    if (!back.ok) throw new Error('a version can be gone back to');
    expect(back.lure.build).toEqual(lure.build);
    expect(differences(back.lure.build, lure.build)).toEqual([]);
    expect(applyEdits(back.lure, back.inverse)).toMatchObject({ ok: true, lure: changed });
  });
});
