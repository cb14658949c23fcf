/**
 * The outside of a lure's body seen from its side: how far it reaches above and below its axis against the way from its nose,
 * and its lip. One form serves drawing, volume, hangers and contact. Its widths stand to its heights as the whole does, but
 * for a spoon and a blade bait, which are plates.
 */
import { oncePer } from '../once';

export const BODY_SHAPES = ['diver', 'minnow', 'lipless', 'popper', 'walker', 'swimmer', 'spoon', 'bladeBait'] as const;
export type BodyShape = (typeof BODY_SHAPES)[number];

/** What of a body its form follows from, m and rad. */
export interface BodyForm {
  readonly shape: BodyShape;
  readonly lengthM: number;
  readonly heightM: number;
  readonly widthM: number;
  /** 0 of a body without a lip. */
  readonly lipLengthM: number;
  readonly lipWidthM: number;
  /** Of the lip below the axis, from straight ahead. */
  readonly lipDownRad: number;
}

export interface BodyStation {
  /** From its nose. */
  readonly xM: number;
  readonly upM: number;
  readonly downM: number;
}

export interface PlanePoint {
  readonly xM: number;
  readonly yM: number;
}

/**
 * Of each shape: where it is highest (share of its length), how blunt nose and tail are (exponent of the way from there,
 * 2 an ellipse, less pointed), how high nose and tail still stand (share of the greatest), and how much of its height lies
 * above its axis. Trade estimates by eye.
 */
const FORMS = {
  diver: { at: 0.36, nose: 2, tail: 1.35, noseLeft: 0.12, tailLeft: 0.1, above: 0.5 },
  minnow: { at: 0.4, nose: 1.7, tail: 1.4, noseLeft: 0.12, tailLeft: 0.12, above: 0.5 },
  lipless: { at: 0.38, nose: 1.5, tail: 1.5, noseLeft: 0.1, tailLeft: 0.14, above: 0.45 },
  popper: { at: 0.12, nose: 3.5, tail: 1.25, noseLeft: 0.86, tailLeft: 0.14, above: 0.5 },
  walker: { at: 0.55, nose: 1.5, tail: 2.2, noseLeft: 0.16, tailLeft: 0.3, above: 0.5 },
  swimmer: { at: 0.3, nose: 1.9, tail: 1.2, noseLeft: 0.2, tailLeft: 0.12, above: 0.5 },
  spoon: { at: 0.58, nose: 1.8, tail: 2, noseLeft: 0.2, tailLeft: 0.2, above: 0.5 },
  bladeBait: { at: 0.42, nose: 1.7, tail: 1.5, noseLeft: 0.15, tailLeft: 0.2, above: 0.45 },
} as const;

/** Bent or flat sheet: its thickness is the same all over. */
const PLATES: ReadonlySet<BodyShape> = new Set<BodyShape>(['spoon', 'bladeBait']);

/** Bent or cast sheet: what it weighs lies in its middle. */
export function isPlate({ shape }: Pick<BodyForm, 'shape'>): boolean {
  return PLATES.has(shape);
}

const STEPS = 40;
/** Where a lip leaves the body: behind the nose, of its length, and below its axis, of what lies below it there. Trade estimates. */
const LIP_AT = 0.05;
const LIP_LOW = 0.35;

/** Above and below the axis this far from the nose, m; on its own length only. */
export function bodyAt({ shape, lengthM, heightM }: BodyForm, atM: number): BodyStation {
  const { at, nose, tail, noseLeft, tailLeft, above } = FORMS[shape];
  const x = Math.min(Math.max(atM / lengthM, 0), 1);
  const [away, blunt, left] =
    x < at ? [(at - x) / at, nose, noseLeft] : ([(x - at) / (1 - at), tail, tailLeft] as const);
  const share = left + (1 - left) * Math.sqrt(Math.max(0, 1 - away ** blunt)) ** (blunt < 2 ? 2 / blunt : 1);
  return { xM: x * lengthM, upM: above * heightM * share, downM: (1 - above) * heightM * share };
}

/** Stations from nose to tail, closer together at both. */
export const bodyProfile = oncePer((form: BodyForm): BodyStation[] =>
  Array.from({ length: STEPS + 1 }, (_, i) => bodyAt(form, (form.lengthM * (1 - Math.cos((i / STEPS) * Math.PI))) / 2)),
);

/** Volume that the form takes up without its lip, m³: ellipses from nose to tail, of a plate its sheet. */
export function bodyVolume(form: BodyForm): number {
  const stations = bodyProfile(form);
  const isPlate = PLATES.has(form.shape);
  const wide = form.widthM / form.heightM;
  return stations.slice(1).reduce((sum, b, i) => {
    const a = stations[i];
    if (!a) return sum;
    const heightM = (a.upM + a.downM + b.upM + b.downM) / 2;
    const sectionM2 = isPlate ? heightM * form.widthM : (Math.PI / 4) * heightM ** 2 * wide;
    return sum + sectionM2 * (b.xM - a.xM);
  }, 0);
}

/** Place of the middle of its volume, from the nose and above the axis, m. */
export const bodyCentre = oncePer((form: BodyForm): PlanePoint => {
  let [volume, x, y] = [0, 0, 0];
  for (const { xM, upM, downM } of bodyProfile(form)) {
    const section = (upM + downM) ** (PLATES.has(form.shape) ? 1 : 2);
    const stepM = Math.sqrt(Math.max(xM * (form.lengthM - xM), 0));
    volume += section * stepM;
    x += section * stepM * xM;
    y += (section * stepM * (upM - downM)) / 2;
  }
  return { xM: x / volume, yM: y / volume };
});

/** Where the lip leaves the body and where it ends, from the nose; null without one. */
export function lipOf(form: BodyForm): { readonly root: PlanePoint; readonly tip: PlanePoint } | null {
  if (form.lipLengthM <= 0) return null;
  const { xM, downM } = bodyAt(form, LIP_AT * form.lengthM);
  const root = { xM, yM: -LIP_LOW * downM };
  const along = { xM: -Math.cos(form.lipDownRad), yM: -Math.sin(form.lipDownRad) };
  return {
    root,
    tip: { xM: root.xM + form.lipLengthM * along.xM, yM: root.yM + form.lipLengthM * along.yM },
  };
}
