/**
 * The lure that was last on the bench as it was painted, kept where the page can read it at once, so that the drawing stands
 * before the rest of the app is there. A picture and nothing more: it is never read back into a lure, and what it shows
 * gives way to the stored lure as soon as that is open. Losing it loses nothing.
 */
import type { LeftOut } from '../core/geometry/placed';
import type { PlacedShapes } from '../drawing/paint-canvas';
import type { StageReach } from '../drawing/stage-view';
import type { TurningThing } from '../drawing/turning-blade';
import type { Settings } from './settings';

export interface KeptPicture {
  readonly form: typeof FORM;
  readonly lureId: string;
  readonly name: string;
  readonly system: Settings['system'];
  readonly theme: Settings['theme'];
  readonly things: readonly PlacedShapes[];
  readonly turning: readonly TurningThing[];
  readonly reach: StageReach;
  /** Corners of what the blades can reach, m. */
  readonly swept: readonly { readonly xM: number; readonly yM: number }[];
  /** Line that is left out of the drawing. */
  readonly leftOut: readonly LeftOut[];
  /** The scale on the screen where that is wanted as large as life. */
  readonly fixedPxPerMm: number | null;
}

/** Counted up with the shape of the picture: one of another form is no picture. */
export const FORM = 2;
const KEY = 'mazurka picture';
/** Letters; no lure comes near. */
const LARGEST = 2_000_000;

/** Null when there is none, or it cannot be read. */
export function readPicture(storage: Storage | undefined): KeptPicture | null {
  try {
    const text = storage?.getItem(KEY) ?? '';
    if (text.length > LARGEST) return null;
    const read: unknown = JSON.parse(text);
    return isPicture(read) ? read : null;
  } catch {
    return null;
  }
}

export function writePicture(storage: Storage | undefined, picture: KeptPicture): void {
  try {
    storage?.setItem(KEY, JSON.stringify(picture));
  } catch {
    return;
  }
}

/** Whether it has what the page reads of it; what is painted of it, the painter checks by painting. */
export function isPicture(read: unknown): read is KeptPicture {
  if (typeof read !== 'object' || read === null) return false;
  const { form, lureId, name, things, turning, reach, swept, leftOut } = read as Partial<
    Record<keyof KeptPicture, unknown>
  >;
  const isReach =
    typeof reach === 'object' && reach !== null && ['x0M', 'x1M', 'upM', 'downM'].every((key) => key in reach);
  return (
    form === FORM &&
    typeof lureId === 'string' &&
    typeof name === 'string' &&
    Array.isArray(things) &&
    Array.isArray(turning) &&
    Array.isArray(leftOut) &&
    Array.isArray(swept) &&
    isReach
  );
}
