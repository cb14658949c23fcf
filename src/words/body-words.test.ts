/** What is said of bodies: measured, traced, and what stands ahead of them. */
import { describe, expect, it } from 'vitest';
import { demoLure, edited } from '@/testing/lures';
import { bodyFromReadings, type BodyReadings } from '@/core/hydro/measure-body';
import { LAKE_WATER } from '@/core/hydro/water';
import { startLure } from '@/core/judgement/families/families';
import { findings } from '@/core/judgement/findings';
import { familySchema, lureIdSchema } from '@/core/lure/lure';
import { tieBehind } from '@/core/lure/tie-behind';
import { traceForm, type PhotoMarks } from '@/core/parts/traced-form';
import { measuredBodyWords, tracedWords } from './body-measuring-words';
import { findingWords } from './finding-words';
import { lackWords } from './lack-words';

const BROKEN = /NaN|undefined|null|Infinity|\[object|\s{2,}|\.\./;

const READINGS: BodyReadings = {
  shape: 'diver',
  lengthM: 0.06,
  heightM: 0.016,
  widthM: 0.013,
  massKg: 0.0045,
  hangingKg: 0,
  inWater: { by: 'time', is: 'floats', secondsPerM: 7 },
  eyeInnerDiameterM: 0.0025,
  eyeWireM: 0.0009,
  tieOn: 'nose',
  tieAtM: null,
  hasTailEye: true,
  bellyEyesM: [0.022],
  hasLip: false,
  lipLengthM: null,
  lipWidthM: null,
  lipDownRad: 0.7,
  traced: null,
};

const words = (change: Partial<BodyReadings>, system: 'metric' | 'trade' = 'metric') =>
  measuredBodyWords(bodyFromReadings({ ...READINGS, ...change }, LAKE_WATER), system);

describe('a measured body', () => {
  it.each(['metric', 'trade'] as const)('is told as far as it is known, in %s measures', (system) => {
    for (const change of [
      {},
      { lengthM: null, massKg: null },
      { hasLip: true },
      { tieOn: 'back' as const },
      { inWater: null },
      { inWater: { by: 'hovers' } as const },
      { inWater: { by: 'scale', readsKg: 1, sinkerKg: 0 } as const },
      { inWater: { by: 'time', is: 'sinks', secondsPerM: 0.1 } as const },
      { widthM: 0.003 },
    ]) {
      const { title, lines } = words(change, system);
      expect(title).toMatch(/^[A-Z].*\.$/);
      for (const said of [title, ...lines]) expect(said).not.toMatch(BROKEN);
    }
  });

  it('names what is open, and what would be right', () => {
    expect(words({ heightM: null, inWater: null }).title).toBe('Still open: height and what it does in water.');
    expect(words({ hasLip: true }).title).toBe('Still open: length of the lip and width of the lip.');
    expect(words({ tieOn: 'back' }).title).toBe('Still open: place of the line eye.');
    expect(words({ inWater: { by: 'scale', readsKg: 1, sinkerKg: 0 } }).lines[0]).toMatch(
      /^With what hangs on it, at most/,
    );
    expect(words({}).title).toMatch(/bare it floats/);
    const thin = words({ widthM: 0.003 });
    expect(thin.tone).toBe('fault');
    expect(thin.lines[0]).toMatch(/would take up \d+ % less/);
    expect(words({ widthM: 0.03 }).lines[0]).toMatch(/would take up \d+ % more/);
  });
});

describe('marks on a photo', () => {
  const marks: PhotoMarks = {
    scale: [
      { x: 0, y: 300 },
      { x: 500, y: 300 },
    ],
    scaleM: 0.05,
    nose: { x: 0, y: 100 },
    tail: { x: 600, y: 100 },
    back: [
      { x: 100, y: 40 },
      { x: 300, y: 30 },
    ],
    belly: [
      { x: 100, y: 150 },
      { x: 300, y: 170 },
    ],
    hangers: [{ x: 240, y: 170 }],
    lipTip: { x: -80, y: 180 },
    tie: null,
  };
  it('are told one after the other, then what they give; or what is amiss', () => {
    const said = (change: Partial<PhotoMarks>) => tracedWords(traceForm({ ...marks, ...change }), 'metric');
    expect(said({ scale: [], nose: null })).toBe('Still to mark: both ends of a known length and the nose.');
    expect(said({ scaleM: null })).toBe('Still to mark: how long that is.');
    expect(said({})).toMatch(/^60\.0 mm long, 1[3-5]\.\d mm high; lip \d+\.\d mm, \d+° down; hanger at 24\.0 mm$/);
    expect(said({ lipTip: null, hangers: [] })).toMatch(/^60\.0 mm long, 1[3-5]\.\d mm high$/);
    expect(said({ tail: marks.nose })).toMatch(/^Nose and tail lie in one place/);
    expect(said({ scaleM: 3 })).toMatch(/^That is no lure/);
    // Upside down or looked at from the other side, it is the same bait.
    const turned = (mark: { x: number; y: number }) => ({ x: 800 - mark.x, y: 400 - mark.y });
    const over: PhotoMarks = {
      ...marks,
      scale: marks.scale.map(turned),
      nose: turned({ x: 0, y: 100 }),
      tail: turned({ x: 600, y: 100 }),
      back: marks.back.map(turned),
      belly: marks.belly.map(turned),
      hangers: marks.hangers.map(turned),
      lipTip: turned({ x: -80, y: 180 }),
    };
    expect(tracedWords(traceForm(over), 'metric')).toBe(said({}));
  });
});

describe('what a lure lacks, and what is ahead of it', () => {
  it('is said for what it is built on', () => {
    for (const family of familySchema.options) {
      const { build } = startLure(family, lureIdSchema.parse('lacks'), 'Lacks');
      for (const lacks of ['noHook', 'noTurningBlade'] as const) {
        const { title, why } = lackWords(lacks, build);
        expect(`${title}. ${why}`).not.toMatch(BROKEN);
        if (family === 'hardBait') expect(`${title} ${why}`).not.toMatch(/wire|clevis|loop/);
        if (build.carrier.kind === 'line') expect(`${title} ${why}`).not.toMatch(/wire/);
      }
    }
  });

  it('of a blade ahead of a diver both sides are told, in both measures', () => {
    const ahead = demoLure('stolk-herald');
    const whole = edited(ahead, ...tieBehind(ahead.build, demoLure('halvane-glint').build));
    for (const system of ['metric', 'trade'] as const) {
      for (const finding of findings(whole)) {
        const { title, figure, why } = findingWords(finding, whole.build, system);
        expect(`${title} ${figure} ${why}`).not.toMatch(/NaN|undefined|null|Infinity/);
      }
    }
  });
});
