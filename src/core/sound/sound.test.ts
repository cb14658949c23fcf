/** The sound of any lure: finite, deterministic, without a seam, and no more than was brought. */
import { heardOf, loudness, soundings } from '@/testing/hearing';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyDressedLure } from '@/testing/any-lure';
import { bentAt, demoLure, plainBuzz, plainSpinner } from '@/testing/lures';
import { measured } from '@/testing/measured';
import { DEMO_LURES } from '@/demo/scenario';
import { USUAL_OUTFIT } from '../hydro/outfit';
import { LAKE_WATER, waterViscosity } from '../hydro/water';
import type { Lure } from '../lure/lure';
import { lureInWater } from '../predict/lure-in-water';
import { predict } from '../predict/predict';
import { learnFrom } from '../predict/readings';
import { soundAsBelieved, USUAL_SOUND } from '../predict/sound';
import { BOTTOMS } from './contact';
import { contactsOf } from './contacts';
import { layOut } from '../geometry/layout';
import { MANNERS } from './motion';
import { renderLoop, SAMPLE_RATE_HZ } from './render';
import { between, PEOPLE_HZ, SOUND_MPS } from './radiation';
import { notesOf } from './ringing';
import { part } from '@/testing/lures';

const speed = fc.double({ min: 0.2, max: 2, noNaN: true });
const SECONDS = 1;
/** What is measured stands on a page: the same lures every time. */
const SEED = 20261129;

function meanSquare(loop: Float32Array, from = 0, to = loop.length): number {
  let sum = 0;
  for (let i = from; i < to; i++) sum += (loop[i] as number) ** 2;
  return sum / (to - from);
}

describe('the sound of any lure', () => {
  it('is finite or has a name, whatever is on it, however it is drawn', () => {
    let [sounding, quiet] = [0, 0];
    fc.assert(
      fc.property(
        anyDressedLure(),
        speed,
        fc.constantFrom(...MANNERS),
        fc.constantFrom(...BOTTOMS),
        fc.double({ min: 0, max: 50, noNaN: true }),
        (lure, speedMps, manner, bottom, hours) => {
          const heard = heardOf(lure, speedMps, { manner, bottom, hours });
          const ids = heard.contacts.map(({ contact: { id } }) => id);
          expect(new Set(ids).size, ids.join()).toBe(ids.length);
          for (const each of heard.contacts) {
            if (each.outcome === 'quiet') {
              expect(each.why).toMatch(/^[a-zA-Z]+$/);
              quiet++;
              continue;
            }
            sounding++;
            const { knocks } = each;
            if (knocks) {
              const { blow, perS, approachMps } = knocks;
              for (const value of [blow.durationS, blow.peakN, blow.impulseNs, perS, approachMps])
                expect(value).toBeGreaterThan(0);
            }
            expect(each.bands.every((value) => value >= 0 && value < Infinity)).toBe(true);
          }
          const loop = renderLoop(heard, { seconds: SECONDS, seed: 7 });
          expect(loop.every((value) => Number.isFinite(value))).toBe(true);
        },
      ),
      { numRuns: 120, seed: SEED },
    );
    expect(sounding).toBeGreaterThan(100);
    expect(quiet).toBeGreaterThan(20);
    measured(
      'Any lure',
      'Contacts of 120 random lures that sound, and that are quiet with a reason',
      `${sounding}, ${quiet}`,
      'none without either',
    );
  });

  it('brings no more out as sound than the blows brought: the power through a ball of a metre', () => {
    let worst = 0;
    fc.assert(
      fc.property(anyDressedLure(), speed, (lure, speedMps) => {
        for (const { contact, knocks, bands } of soundings(heardOf(lure, speedMps))) {
          if (!knocks) continue;
          const [a, b] = contact.pieces;
          if (!a || !b) throw new Error('what knocks has two pieces');
          const movedKg = 1 / (1 / a.massKg + 1 / b.massKg);
          const broughtW = (knocks.perS * movedKg * knocks.approachMps ** 2) / 2;
          const outW = (4 * Math.PI * between(bands, 300, PEOPLE_HZ[1])) / (998 * SOUND_MPS);
          worst = Math.max(worst, outW / broughtW);
        }
      }),
      { numRuns: 150, seed: SEED },
    );
    expect(worst).toBeGreaterThan(0);
    expect(worst).toBeLessThan(0.1);
    measured('Any lure', 'Sound radiated, of the energy of the blows, at most', worst.toExponential(1), 'below 1');
  });

  it('is the same to the bit for the same seed, and other for another', () => {
    for (const lure of DEMO_LURES) {
      const heard = heardOf(lure);
      const [a, b] = [renderLoop(heard, { seconds: 1, seed: 3 }), renderLoop(heardOf(lure), { seconds: 1, seed: 3 })];
      expect(Buffer.from(a.buffer).equals(Buffer.from(b.buffer)), lure.name).toBe(true);
      const c = renderLoop(heard, { seconds: 1, seed: 4 });
      if (soundings(heard).length > 0)
        expect(Buffer.from(a.buffer).equals(Buffer.from(c.buffer)), lure.name).toBe(false);
    }
  });

  it('has no seam: what changes from the last sample to the first is as what changes elsewhere', () => {
    for (const lure of DEMO_LURES) {
      for (const manner of MANNERS) {
        const heard = heardOf(lure, 0.8, { manner });
        const seams: number[] = [];
        for (let seed = 1; seed <= 12; seed++) {
          const loop = renderLoop(heard, { seconds: SECONDS, seed });
          // Beside what comes about the seam, not beside the blows elsewhere.
          const near = (i: number) => loop[(i + loop.length) % loop.length] as number;
          const steps = Array.from({ length: 400 }, (_, i) => Math.abs(near(i - 199) - near(i - 200)));
          const usual = Math.sqrt(steps.reduce((sum, step) => sum + step ** 2, 0) / steps.length);
          seams.push(Math.abs(near(0) - near(-1)) / (usual || 1));
        }
        seams.sort((a, b) => a - b);
        expect(seams[6], `${lure.name}, ${manner}`).toBeLessThan(3);
      }
    }
  });

  it('is as strong in its samples as its bands say, within 1.5 dB', () => {
    const off: number[] = [];
    for (const lure of DEMO_LURES) {
      const heard = heardOf(lure);
      const strength = heard.bands.reduce((sum, each) => sum + each, 0);
      if (!(strength > 0)) continue;
      const runs = [1, 2, 3, 4].map((seed) => meanSquare(renderLoop(heard, { seconds: 4, seed })));
      off.push(10 * Math.log10(runs.reduce((sum, each) => sum + each, 0) / runs.length / strength));
    }
    expect(off.length).toBeGreaterThan(8);
    const worst = off.reduce((most, each) => (Math.abs(each) > Math.abs(most) ? each : most), 0);
    measured(
      'Second implementations',
      'Samples beside the bands, over the demo lures',
      `${worst.toFixed(1)} dB`,
      'within 1.5 dB',
    );
    expect(Math.abs(worst)).toBeLessThan(1.5);
  });

  it('is the same before its spreads are worked out as with them, as estimated and after a reading', () => {
    let turning = 0;
    for (const { build } of DEMO_LURES) {
      const inWater = lureInWater(build, LAKE_WATER, USUAL_OUTFIT);
      for (const speedMps of [0.5, 0.8, 1.3]) {
        const [station] = inWater.spinners.map((each) => each.station);
        const read = station ? [{ kind: 'rate', station, speedMps, rateHz: 9, errorShare: 0.05 } as const] : [];
        for (const learnt of [null, learnFrom(build, LAKE_WATER, read).belief]) {
          const [whole] = predict(build, LAKE_WATER, [speedMps], { sound: USUAL_SOUND, learnt }).sounds;
          const soon = soundAsBelieved(inWater, waterViscosity(LAKE_WATER), speedMps, USUAL_SOUND, learnt);
          if (!whole || !('heard' in whole)) {
            expect(soon).toBeNull();
            continue;
          }
          turning += soon?.beats.length ?? 0;
          const off = (soon?.bands ?? []).map((each, i) => Math.abs(each / (whole.heard.bands[i] as number) - 1));
          expect(Math.max(...off)).toBeLessThan(1e-6);
        }
      }
    }
    expect(turning).toBeGreaterThan(40);
  });

  it('of a mirror image is the same', () => {
    const mirrored = (lure: Lure): Lure => {
      const { carrier } = lure.build;
      if (carrier.kind !== 'bentWire') return lure;
      return carrier.sections.reduce<Lure>(
        (each, section, i) => (section.section === 'bend' ? bentAt(each, i, { sideRad: -section.sideRad }) : each),
        lure,
      );
    };
    for (const lure of [
      demoLure('lommer-clapper'),
      demoLure('torvane-lanes'),
      bentAt(plainBuzz(), 1, { sideRad: 0.1 }),
    ]) {
      expect(loudness(heardOf(mirrored(lure)).bands)).toBeCloseTo(loudness(heardOf(lure).bands), 12);
    }
  });

  it('one contact alone, and the rest without it, make up the whole', () => {
    const heard = heardOf(demoLure('mirrow-drum'));
    const [bell] = soundings(heard, 'bell');
    if (!bell) throw new Error('its bell is heard');
    const asked = { seconds: 1, seed: 5 };
    const alone = renderLoop(heard, { ...asked, only: [bell.contact.id] });
    const rest = renderLoop(heard, { ...asked, without: [bell.contact.id] });
    const whole = renderLoop(heard, asked);
    expect(meanSquare(alone)).toBeGreaterThan(0);
    let most = 0;
    whole.forEach((value, i) => {
      most = Math.max(most, Math.abs(value - (alone[i] as number) - (rest[i] as number)));
    });
    expect(most).toBeLessThan(1e-6 * Math.max(...whole.map(Math.abs)));
  });

  it('refuses a loop of no length or too long a one', () => {
    const heard = heardOf(demoLure('mirrow-drum'));
    for (const seconds of [0, -1, NaN, 10_000])
      expect(() => renderLoop(heard, { seconds, seed: 1 })).toThrow(RangeError);
  });
});

describe('pitch', () => {
  it('of a blade moves as a plate’s: with √E, with 1/√ρ in air, lower in water; nothing is stored', () => {
    const blade = part('blade-colorado-k3');
    const note = (waterKgM3: number, change: object = {}) =>
      notesOf({ ...blade, ...change } as typeof blade, waterKgM3)[0]?.hz ?? 0;
    expect(note(998)).toBeLessThan(note(0));
    // Brass 105 GPa and 8500, stainless 193 and 7900; Poisson's ratios differ by little.
    const wanted = Math.sqrt(193 / 105) * Math.sqrt(8500 / 7900);
    expect(note(0, { material: 'stainless' }) / note(0)).toBeCloseTo(wanted, 1);
    expect(note(998, { thicknessM: 0.0012 })).toBeGreaterThan(1.8 * note(998, { thicknessM: 0.0006 }));
  });
});

describe('contacts', () => {
  it('are of the places of parts: beside each other, and with the bottom only where one is named', () => {
    const { build } = plainSpinner();
    const kinds = (bottom: (typeof BOTTOMS)[number]) =>
      contactsOf(build, layOut(build), 998, bottom).map(({ kind }) => kind);
    expect(kinds('none')).toEqual(['sideBySide', 'sideBySide']);
    expect(kinds('rock')).toContain('headOnBottom');
  });

  it('a head knocks more often on gravel than on rock, and brighter than on wood', () => {
    const bait = demoLure('stolk-kettle');
    const [gravel, rock, wood] = (['gravel', 'rock', 'wood'] as const).map(
      (bottom) => soundings(heardOf(bait, 0.6, { bottom }), 'headOnBottom')[0]?.knocks,
    );
    if (!gravel || !rock || !wood) throw new Error('it knocks on each');
    expect(gravel.perS).toBeGreaterThan(rock.perS);
    expect(wood.blow.durationS).toBeGreaterThan(gravel.blow.durationS);
  });
});

it('samples are 48,000 a second', () => {
  expect(renderLoop(heardOf(demoLure('mirrow-drum')), { seconds: 0.5, seed: 1 })).toHaveLength(SAMPLE_RATE_HZ / 2);
});
