import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { partsOfKind } from '../parts/catalogue';
import { bodyProfile, bodyVolume, lipOf } from '../parts/body-form';
import type { LureBody } from '../parts/kinds/lure-body';
import { partSchema } from '../parts/part';
import { traceForm, type Mark, type PhotoMarks } from '../parts/traced-form';
import { bodySwing } from '../predict/body-swing';
import { bareBody } from '../lure/take-body';
import { bodyFromReadings, type BodyReadings } from './measure-body';
import { LAKE_WATER } from './water';

const BODIES = partsOfKind('lureBody');
const anyBody = fc.constantFrom(...BODIES);

function readingsOf(body: LureBody, inWater: BodyReadings['inWater'], hangingKg = 0): BodyReadings {
  return { ...body, hasLip: body.lipLengthM > 0, traced: body.traced ?? null, inWater, hangingKg };
}

describe('a body by what it does in water', () => {
  it.each(BODIES)('$id: timed over a metre as the prediction has it, its volume comes back', (body) => {
    const swing = bodySwing(bareBody(body), LAKE_WATER, 0.8);
    const sinkingN = swing?.sinkingN ?? 0;
    const secondsPerM = swing?.secondsPerM ?? null;
    const found = bodyFromReadings(
      readingsOf(
        body,
        secondsPerM === null ? { by: 'hovers' } : { by: 'time', is: sinkingN < 0 ? 'floats' : 'sinks', secondsPerM },
      ),
      LAKE_WATER,
    );
    if (found.outcome !== 'measured') throw new Error(found.outcome);
    // A bait that hovers is taken to weigh nothing in water.
    const within = secondsPerM === null ? 0.02 : 1e-9;
    expect(Math.abs(found.measures.volumeM3 / body.volumeM3 - 1)).toBeLessThan(within);
    expect(partSchema.parse({ ...body, ...found.measures })).toEqual({ ...body, volumeM3: found.measures.volumeM3 });
  });

  it('on a scale with a sinker below it and hooks left on it, its volume comes back; more in water than above is told', () => {
    fc.assert(
      fc.property(anyBody, fc.double({ min: 0, max: 0.01, noNaN: true }), (body, hangingKg) => {
        const [sinkerKg, steel] = [0.05, 1 - 998.2 / 7900];
        const inWaterKg = body.massKg - 998.2 * body.volumeM3 + hangingKg * steel;
        const found = bodyFromReadings(
          readingsOf(body, { by: 'scale', readsKg: sinkerKg + inWaterKg, sinkerKg }, hangingKg),
          LAKE_WATER,
        );
        if (found.outcome !== 'measured') throw new Error(found.outcome);
        expect(found.measures.volumeM3 / body.volumeM3).toBeCloseTo(1, 2);
        const slip = bodyFromReadings(
          readingsOf(body, { by: 'scale', readsKg: 2 * body.massKg, sinkerKg: 0 }),
          LAKE_WATER,
        );
        expect(slip.outcome).toBe('heavierInWater');
      }),
    );
  });

  it('what is open is named, a lip only where there is one', () => {
    const body = BODIES[0];
    if (!body) throw new Error('the catalogue has bodies');
    const bare = { ...readingsOf(body, null), lengthM: null, lipWidthM: null };
    expect(bodyFromReadings(bare, LAKE_WATER)).toEqual({ outcome: 'open', open: ['lengthM', 'inWater', 'lipWidthM'] });
    expect(bodyFromReadings({ ...bare, hasLip: false }, LAKE_WATER)).toEqual({
      outcome: 'open',
      open: ['lengthM', 'inWater'],
    });
  });
});

/** Marks as they would be put on a photo of this body, turned, at some scale, its nose at either end. */
function marksOf(body: LureBody, turnRad: number, perMm: number, isMirrored: boolean): PhotoMarks {
  const at = (xM: number, yM: number): Mark => {
    const [x, y] = [(isMirrored ? -xM : xM) * 1000 * perMm, -yM * 1000 * perMm];
    return {
      x: 500 + x * Math.cos(turnRad) - y * Math.sin(turnRad),
      y: 400 + x * Math.sin(turnRad) + y * Math.cos(turnRad),
    };
  };
  const stations = bodyProfile(body).filter((_, i) => i % 4 === 2 || i === 1);
  const lip = lipOf(body);
  return {
    scale: [at(0, -0.05), at(0.05, -0.05)],
    scaleM: 0.05,
    nose: at(0, 0),
    tail: at(body.lengthM, 0),
    back: stations.map(({ xM, upM }) => at(xM, upM)),
    belly: stations.map(({ xM, downM }) => at(xM, -downM)).toReversed(),
    hangers: body.bellyEyesM.map((atM) => at(atM, -0.01)),
    lipTip: lip && at(lip.tip.xM, lip.tip.yM),
    tie: null,
  };
}

describe('a body traced on a photo', () => {
  it('of every body, turned, at any scale and from either side, its measures come back', () => {
    let lips = 0;
    fc.assert(
      fc.property(
        anyBody,
        fc.double({ min: -Math.PI, max: Math.PI, noNaN: true }),
        fc.double({ min: 2, max: 60, noNaN: true }),
        fc.boolean(),
        (body, turnRad, perMm, isMirrored) => {
          const marks = marksOf(body, turnRad, perMm, isMirrored);
          const traced = traceForm(marks);
          if (traced.outcome !== 'traced') throw new Error(traced.outcome);
          const { form, toPhoto } = traced;
          expect(form.lengthM).toBeCloseTo(body.lengthM, 9);
          expect(Math.abs(form.heightM / body.heightM - 1)).toBeLessThan(0.03);
          const own = { ...body, ...form, traced: [...form.traced] };
          expect(Math.abs(bodyVolume(own) / bodyVolume(body) - 1), body.id).toBeLessThan(0.06);
          expect(form.bellyEyesM).toHaveLength(body.bellyEyesM.length);
          form.bellyEyesM.forEach((atM, i) => expect(atM).toBeCloseTo(body.bellyEyesM[i] ?? 0, 9));
          if (body.lipLengthM > 0) {
            lips++;
            expect(Math.abs((form.lip?.lengthM ?? 0) - body.lipLengthM)).toBeLessThan(5e-4);
            expect(Math.abs((form.lip?.downRad ?? 0) - body.lipDownRad)).toBeLessThan(0.06);
          }
          expect(partSchema.safeParse({ ...body, traced: form.traced }).success).toBe(true);
          const back = toPhoto(body.lengthM, 0);
          expect(Math.hypot(back.x - (marks.tail?.x ?? 0), back.y - (marks.tail?.y ?? 0))).toBeLessThan(1e-6);
        },
      ),
    );
    expect(lips).toBeGreaterThan(10);
  });

  it('what is still to be marked is named, and what cannot be is told', () => {
    const [body] = BODIES;
    if (!body) throw new Error('the catalogue has bodies');
    const marks = marksOf(body, 0.2, 10, false);
    expect(traceForm({ ...marks, scaleM: null, belly: [] })).toEqual({
      outcome: 'open',
      open: ['scaleLength', 'belly'],
    });
    const [end] = marks.scale;
    if (!end) throw new Error('there is a scale');
    expect(traceForm({ ...marks, scale: [end, end] })).toMatchObject({ reason: 'scaleNoLength' });
    expect(traceForm({ ...marks, tail: marks.nose })).toMatchObject({ reason: 'noLength' });
    expect(traceForm({ ...marks, scaleM: 5 })).toMatchObject({ reason: 'tooLarge' });
    const [, ...rest] = marks.belly;
    expect(traceForm({ ...marks, belly: [...rest, ...marks.back.slice(3, 4)] })).toMatchObject({
      reason: 'bellyOverBack',
    });
  });
});
