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
  /** Its own outline where that was traced; without one, its shape's. */
  readonly traced?: readonly TracedStation[] | undefined;
}

/** What of it the outline follows from. */
export type OutlineForm = Pick<BodyForm, 'shape' | 'lengthM' | 'heightM' | 'traced'>;

/** Of a traced outline: shares of the length from the nose, and of the height above and below the axis. */
export interface TracedStation {
  readonly at: number;
  readonly up: number;
  readonly down: number;
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
export function bodyAt({ shape, lengthM, heightM, traced }: OutlineForm, atM: number): BodyStation {
  const { at, nose, tail, noseLeft, tailLeft, above } = FORMS[shape];
  const x = Math.min(Math.max(atM / lengthM, 0), 1);
  if (traced) {
    const { up, down } = tracedAt(traced, x);
    return { xM: x * lengthM, upM: up * heightM, downM: down * heightM };
  }
  const [away, blunt, left] =
    x < at ? [(at - x) / at, nose, noseLeft] : ([(x - at) / (1 - at), tail, tailLeft] as const);
  const share = left + (1 - left) * Math.sqrt(Math.max(0, 1 - away ** blunt)) ** (blunt < 2 ? 2 / blunt : 1);
  return { xM: x * lengthM, upM: above * heightM * share, downM: (1 - above) * heightM * share };
}

/** Between two traced stations. */
function tracedAt(stations: readonly TracedStation[], x: number): Omit<TracedStation, 'at'> {
  const [a, b, share] = between(stations, ({ at }) => at, x);
  return { up: a.up + share * (b.up - a.up), down: a.down + share * (b.down - a.down) };
}

/**
 * The two stations of an outline that a place lies between, and how far from one to the other: on an arc from nose to tail,
 * so that an end that is round stays round.
 * @param atOf its share of the length, rising from 0 at the first to 1 at the last
 */
export function between<S>(stations: readonly S[], atOf: (station: S) => number, x: number): [S, S, number] {
  const next = Math.max(
    1,
    stations.findIndex((station) => atOf(station) >= x),
  );
  const [a, b] = [stations[next - 1], stations[next]];
  if (a === undefined || b === undefined) throw new Error('between: an outline has two stations at least');
  const arc = (share: number) => Math.acos(1 - 2 * share);
  const [from, to] = [arc(atOf(a)), arc(atOf(b))];
  return [a, b, (arc(x) - from) / (to - from)];
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

/** Drag of a body that rises or sinks lying flat, over its area from above. Trade estimate. */
const FLAT_DRAG = 1;

/** What of a body stands against the water as it rises or sinks lying flat: its drag coefficient times its area, m². */
export function flatDragM2({ lengthM, widthM }: Pick<BodyForm, 'lengthM' | 'widthM'>): number {
  return FLAT_DRAG * lengthM * widthM;
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

/** Where a lip leaves the body, from the nose. */
export function lipRoot(form: OutlineForm): PlanePoint {
  const { xM, downM } = bodyAt(form, LIP_AT * form.lengthM);
  return { xM, yM: -LIP_LOW * downM };
}

/** Where the lip leaves the body and where it ends, from the nose; null without one. */
export function lipOf(form: BodyForm): { readonly root: PlanePoint; readonly tip: PlanePoint } | null {
  if (form.lipLengthM <= 0) return null;
  const root = lipRoot(form);
  const along = { xM: -Math.cos(form.lipDownRad), yM: -Math.sin(form.lipDownRad) };
  return {
    root,
    tip: { xM: root.xM + form.lipLengthM * along.xM, yM: root.yM + form.lipLengthM * along.yM },
  };
}
