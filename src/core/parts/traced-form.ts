/**
 * A body from marks on a photo of its side. Two marks a known length apart give the scale; nose and tail give the axis, along
 * which all is measured, x from the nose and y towards the back. The photo may be turned, and may show the nose at either end.
 */
import { between, lipRoot, type TracedStation } from './body-form';

/** A place on a photo, in any unit, y downward. */
export interface Mark {
  readonly x: number;
  readonly y: number;
}

export interface PhotoMarks {
  /** Both ends of what is known to be `scaleM` long. */
  readonly scale: readonly Mark[];
  readonly scaleM: number | null;
  readonly nose: Mark | null;
  readonly tail: Mark | null;
  /** Along its back and its belly, in any order. */
  readonly back: readonly Mark[];
  readonly belly: readonly Mark[];
  readonly hangers: readonly Mark[];
  readonly lipTip: Mark | null;
  /** Where the line is tied, where that is not at the nose. */
  readonly tie: Mark | null;
}

export interface TracedForm {
  readonly lengthM: number;
  readonly heightM: number;
  readonly traced: readonly TracedStation[];
  readonly bellyEyesM: readonly number[];
  /** Of the lip; null without one. */
  readonly lip: { readonly lengthM: number; readonly downRad: number } | null;
  /** Of the line eye: from the nose along the axis, and from the lip's root along the lip; null where none was marked. */
  readonly tie: { readonly fromNoseM: number; readonly alongLipM: number } | null;
}

export type Traced =
  | { readonly outcome: 'traced'; readonly form: TracedForm; readonly toPhoto: ToPhoto }
  | { readonly outcome: 'open'; readonly open: readonly OpenMark[] }
  | { readonly outcome: 'impossible'; readonly reason: 'scaleNoLength' | 'noLength' | 'bellyOverBack' | 'tooLarge' };

/** What is still to be marked. */
export type OpenMark = 'scale' | 'scaleLength' | 'nose' | 'tail' | 'back' | 'belly';
/** From a place on the body, m from its nose and above its axis, to the photo. */
export type ToPhoto = (xM: number, yM: number) => Mark;

/** As many marks at least along back and belly. */
const FEWEST_ALONG = 2;
/** Two marks nearer together than this share of the length are one station. */
const SAME_STATION = 0.004;
const LONGEST_M = 0.6;

/** What the marks give, SI. Never throws. */
export function traceForm(marks: PhotoMarks): Traced {
  const { scale, scaleM, nose, tail, back, belly } = marks;
  const [one, other] = scale;
  const open: OpenMark[] = [
    ...(one && other ? [] : (['scale'] as const)),
    ...(scaleM === null ? (['scaleLength'] as const) : []),
    ...(nose ? [] : (['nose'] as const)),
    ...(tail ? [] : (['tail'] as const)),
    ...(back.length < FEWEST_ALONG ? (['back'] as const) : []),
    ...(belly.length < FEWEST_ALONG ? (['belly'] as const) : []),
  ];
  if (!one || !other || scaleM === null || !nose || !tail || open.length > 0) return { outcome: 'open', open };
  const span = Math.hypot(other.x - one.x, other.y - one.y);
  const length = Math.hypot(tail.x - nose.x, tail.y - nose.y);
  if (span === 0) return { outcome: 'impossible', reason: 'scaleNoLength' };
  if (length === 0) return { outcome: 'impossible', reason: 'noLength' };
  const perUnitM = scaleM / span;
  const [ax, ay] = [(tail.x - nose.x) / length, (tail.y - nose.y) / length];
  const along = (mark: Mark) => ((mark.x - nose.x) * ax + (mark.y - nose.y) * ay) * perUnitM;
  const across = (mark: Mark) => ((mark.x - nose.x) * ay - (mark.y - nose.y) * ax) * perUnitM;
  // The nose may be at either end of the photo: up is where the back is.
  const up = mean(back.map(across)) >= mean(belly.map(across)) ? 1 : -1;
  const above = (mark: Mark) => up * across(mark);
  const lengthM = length * perUnitM;
  const backLine = lineThrough(back.map((mark) => [along(mark) / lengthM, above(mark)] as const));
  const bellyLine = lineThrough(belly.map((mark) => [along(mark) / lengthM, -above(mark)] as const));
  const stations = stationsOf(backLine, bellyLine).map((at) => ({
    at,
    upM: heightAt(backLine, at),
    downM: heightAt(bellyLine, at),
  }));
  const heightM = Math.max(...stations.map(({ upM, downM }) => upM + downM));
  if (stations.some(({ upM, downM }) => upM < 0 || downM < 0) || heightM <= 0) {
    return { outcome: 'impossible', reason: 'bellyOverBack' };
  }
  if (lengthM > LONGEST_M || heightM > lengthM) return { outcome: 'impossible', reason: 'tooLarge' };
  const traced = stations.map(({ at, upM, downM }) => ({ at, up: upM / heightM, down: downM / heightM }));
  const root = lipRoot({ lengthM, heightM, shape: 'diver', traced });
  const toLip = (mark: Mark) => ({ backM: along(mark) - root.xM, upM: above(mark) - root.yM });
  const tip = marks.lipTip && toLip(marks.lipTip);
  const lip = tip && { lengthM: Math.hypot(tip.backM, tip.upM), downRad: Math.atan2(-tip.upM, -tip.backM) };
  const tied = marks.tie && toLip(marks.tie);
  return {
    outcome: 'traced',
    form: {
      lengthM,
      heightM,
      traced,
      bellyEyesM: marks.hangers
        .map(along)
        .filter((atM) => atM > 0 && atM < lengthM)
        .toSorted((a, b) => a - b),
      lip: lip && { ...lip, downRad: Math.min(Math.max(lip.downRad, 0), Math.PI / 2) },
      tie: marks.tie &&
        tied && {
          fromNoseM: Math.max(along(marks.tie), 0),
          alongLipM: lip ? Math.max(-tied.backM * Math.cos(lip.downRad) - tied.upM * Math.sin(lip.downRad), 0) : 0,
        },
    },
    toPhoto: (xM, yM) => ({
      x: nose.x + (xM * ax + up * yM * ay) / perUnitM,
      y: nose.y + (xM * ay - up * yM * ax) / perUnitM,
    }),
  };
}

type Place = readonly [at: number, heightM: number];

/** Marks in order from nose to tail, which both lie on the axis; of two in one place the first. */
function lineThrough(marks: readonly Place[]): Place[] {
  const within = marks.filter(([at]) => at > SAME_STATION && at < 1 - SAME_STATION).toSorted(([a], [b]) => a - b);
  return [[0, 0], ...within.filter(([at], i) => i === 0 || at - (within[i - 1]?.[0] ?? 0) > SAME_STATION), [1, 0]];
}

function stationsOf(back: readonly Place[], belly: readonly Place[]): number[] {
  const all = [...back, ...belly].map(([at]) => at).toSorted((a, b) => a - b);
  const apart = all.filter((at, i) => i === 0 || at - (all[i - 1] ?? 0) > SAME_STATION);
  return [...apart.filter((at) => at < 1 - SAME_STATION), 1];
}

function heightAt(line: readonly Place[], at: number): number {
  const [[, from], [, to], share] = between(line, ([each]) => each, at);
  return from + share * (to - from);
}

function mean(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}
