/**
 * Blade against hook. A hook that trails on the blade's own line can come round to any side, so that radius and place along
 * the line are all that matter. A hook cast in a head, and a blade on another line, are held in the plane of the lure: there
 * the outline of what the blade sweeps is set against the hook's limb as it stands.
 *
 * At rest the blade lies back along the wire and its tip reaches furthest. A hook free on its ring can fall back at any
 * angle, so the blade must end before the hook's eye; a hook held in line by a tube can only lean a little, so the blade
 * must end before its points.
 * Turning, the blade stands at the spread angle, anywhere in its predicted band; the hook trails and can lean.
 *
 * Clearances are signed, m: the way from the blade to the nearest of the hook, below zero by how far it reaches in.
 */
import { oncePer } from '../once';
import { PATTERNS } from '../parts/blade-pattern';
import { bladeReach, chordRatio } from '../parts/outline';
import { eyeLengthM, hookLimb } from '../parts/hook-form';
import type { Blade } from '../parts/kinds/blade';
import type { Hook } from '../parts/kinds/hook';
import type { Layout } from './layout';
import { laidAlong, isLifted, poseOf, type PlacedOff } from './placed';
import type { ItemId } from '../lure/lure';
import { lineToOutline, outlineToOutline, toStretch2, type PlanePoint } from './plane';
import type { SpinSeat } from './seats';
import { pointOn, type Pose } from '../carriers/wire-path';

/** What builders leave between tip and hook. Trade estimate. */
export const CLEAR_MARGIN_M = 0.002;
/** How far a hook leans out of line under way: free on its ring, and stiffened by a tube. Trade estimates. */
export const LEAN_FREE_RAD = (25 * Math.PI) / 180;
export const LEAN_HELD_RAD = (6 * Math.PI) / 180;

/** What two blades that turn by themselves keep between their sweeps. Trade estimate. */
export const BLADE_GAP_M = 0.0015;

export interface Clearance {
  readonly blade: ItemId;
  readonly hook: ItemId;
  readonly posture: 'rest' | 'turning';
  readonly clearanceM: number;
  readonly isHeldByTube: boolean;
}

/** A point of the swept or swinging body: along the wire and out from it, m. */
export interface Meridian {
  readonly xM: number;
  readonly radiusM: number;
}

/** The way from a blade that lies back at rest to a hook, m; below zero by how far it reaches in. */
export function restClearance(layout: Layout, seat: SpinSeat, hook: PlacedOff): Clearance {
  const shiftM = shiftTo(layout, seat, hook);
  if (shiftM === null) return inPlane(layout, seat, hook, 'rest', [lyingBack(layout, seat)]);
  const tipM = seat.holeM + bladeReach(seat.blade);
  const isHeldByTube = tubeHoldsHook(layout, hook);
  const part = hook.item.part as Hook;
  const isBeside = isBesideShank(seat, hook);
  const frontM =
    isHeldByTube || isBeside
      ? Math.min(...leans(LEAN_HELD_RAD).map((lean) => leaned(hook, part, lean).at(-1)?.xM ?? hook.x0M))
      : hook.x0M;
  const clearanceM = frontM + shiftM - tipM;
  return { blade: seat.item.id, hook: hook.item.id, posture: 'rest', clearanceM, isHeldByTube };
}

/** @param spreadsRad spread angles to try: the ends and middle of the predicted band */
export function turningClearance(
  layout: Layout,
  seat: SpinSeat,
  hook: PlacedOff,
  spreadsRad: readonly number[],
): Clearance {
  const shiftM = shiftTo(layout, seat, hook);
  if (shiftM === null) {
    return inPlane(
      layout,
      seat,
      hook,
      'turning',
      spreadsRad.map((spreadRad) => sweptOutline(layout, seat, spreadRad)),
    );
  }
  const isHeldByTube = tubeHoldsHook(layout, hook);
  const isBeside = isBesideShank(seat, hook);
  const part = hook.item.part as Hook;
  // What it turns about is the shank: of the hook counts what is behind that.
  const limbs = leans(isHeldByTube || isBeside ? LEAN_HELD_RAD : LEAN_FREE_RAD).map((lean) =>
    leaned(hook, part, lean)
      .slice(isBeside ? 1 : 0)
      .map((point) => ({ ...point, xM: point.xM + shiftM })),
  );
  let clearanceM = Infinity;
  for (const spreadRad of spreadsRad) {
    const blade = sweptBlade(seat, spreadRad);
    for (const limb of limbs) clearanceM = Math.min(clearanceM, signedDistance(blade, limb, clearanceM));
  }
  return { blade: seat.item.id, hook: hook.item.id, posture: 'turning', clearanceM, isHeldByTube };
}

/**
 * What to add to places along the hook's line to have them along the blade's, m: both lie on one way when they are on one
 * carrier or on carriers that hang one on the other. Null for a hook held in the plane of the lure, or on another way.
 */
function shiftTo(layout: Layout, seat: SpinSeat, hook: PlacedOff): number | null {
  // Under a body, as in a head, a hook hangs beside the blade's way and not on it.
  if (isLifted(hook.line) || isLifted(seat.line)) return null;
  const [blade, other] = [laidAlong(layout, seat.line), laidAlong(layout, hook.line)];
  if (blade === other) return 0;
  const isOneWay = blade.behind.includes(other.id) || other.behind.includes(blade.id);
  return isOneWay ? other.fromM - blade.fromM : null;
}

function inPlane(
  layout: Layout,
  seat: SpinSeat,
  hook: PlacedOff,
  posture: Clearance['posture'],
  outlines: readonly (readonly PlanePoint[])[],
): Clearance {
  const limb = hookInPlane(layout, hook);
  const clearanceM = outlines.reduce((nearest, outline) => lineToOutline(limb, outline, nearest), Infinity);
  return { blade: seat.item.id, hook: hook.item.id, posture, clearanceM, isHeldByTube: false };
}

/** The limb of a hook whose point stands up, in the lure's plane. */
export function hookInPlane(layout: Layout, hook: PlacedOff): PlanePoint[] {
  const part = hook.item.part as Hook;
  return hookLimb(part).path.map(({ xM, radiusM }) =>
    pointOn(poseOf(layout, hook.line), hook.x0M + xM, hook.offAxisM + radiusM),
  );
}

/** What a blade takes up lying back along its line, whichever way its face looks. */
function lyingBack(layout: Layout, seat: SpinSeat): PlanePoint[] {
  const flat = sweptBlade(seat, 0).map(({ xM, radiusM }) => ({ xM, radiusM: Math.max(radiusM, seat.dropM) }));
  return bothSides(poseOf(layout, seat.line), flat);
}

/** The outline of what a blade sweeps at this spread. */
export function sweptOutline(layout: Layout, seat: SpinSeat, spreadRad: number): PlanePoint[] {
  return bothSides(poseOf(layout, seat.line), sweptBlade(seat, spreadRad));
}

/** A body about a line as a closed outline in the plane of the lure. */
export function bothSides({ xM, yM, angleRad }: Pose, meridian: readonly Meridian[]): PlanePoint[] {
  const [cos, sin] = [Math.cos(angleRad), Math.sin(angleRad)];
  const count = meridian.length;
  const outline = new Array<PlanePoint>(2 * count);
  meridian.forEach(({ xM: alongM, radiusM }, i) => {
    const [x, y] = [xM + alongM * cos, yM + alongM * sin];
    outline[i] = { xM: x - radiusM * sin, yM: y + radiusM * cos };
    outline[2 * count - 1 - i] = { xM: x + radiusM * sin, yM: y - radiusM * cos };
  });
  return outline;
}

/** Nearest the sweeps of two blades come over all pairs of spreads; negative where one reaches into the other. */
export function bladeToBlade(
  layout: Layout,
  front: SpinSeat,
  frontSpreadsRad: readonly number[],
  rear: SpinSeat,
  rearSpreadsRad: readonly number[],
): number {
  if (front.line !== rear.line) {
    const [a, b] = [
      frontSpreadsRad.map((spreadRad) => sweptOutline(layout, front, spreadRad)),
      rearSpreadsRad.map((spreadRad) => sweptOutline(layout, rear, spreadRad)),
    ];
    let nearestM = Infinity;
    for (const outline of a) for (const other of b) nearestM = outlineToOutline(outline, other, nearestM);
    return nearestM;
  }
  const behind = rearSpreadsRad.map((spreadRad) => sweptBlade(rear, spreadRad));
  let nearest = Infinity;
  for (const spreadRad of frontSpreadsRad) {
    const ahead = sweptBlade(front, spreadRad);
    for (const sweep of behind) nearest = Math.min(nearest, signedDistance(ahead, sweep, nearest));
  }
  return nearest;
}

/** Where the blade's edge and middle pass, hole to tip, at this spread. */
export function sweptBlade(seat: SpinSeat, spreadRad: number): Meridian[] {
  const reachM = bladeReach(seat.blade);
  const [cos, sin] = [Math.cos(spreadRad), Math.sin(spreadRad)];
  return halfChords(seat.blade).map((halfChordM, i) => {
    const armM = (i / SWEEP_STEPS) * reachM;
    const middleM = seat.dropM + armM * sin;
    return { xM: seat.holeM + armM * cos, radiusM: Math.sqrt(middleM * middleM + halfChordM * halfChordM) };
  });
}

const SWEEP_STEPS = 16;

/** Half the blade's width at even steps from its hole to its tip, m. */
const halfChords = oncePer((blade: Blade): readonly number[] => {
  const outline = PATTERNS[blade.pattern].outline;
  const reachM = bladeReach(blade);
  return Array.from({ length: SWEEP_STEPS + 1 }, (_, i) => {
    const armM = (i / SWEEP_STEPS) * reachM;
    return (chordRatio(outline, (armM + blade.holeOffsetM) / blade.lengthM) * blade.widthM) / 2;
  });
});

function leans(maximumRad: number): number[] {
  return [-1, -0.5, 0, 0.5, 1].map((share) => share * maximumRad);
}

/** One limb of the hook, leaning outward about its pivot. */
function leaned(hook: PlacedOff, part: Hook, leanRad: number): Meridian[] {
  const [cos, sin] = [Math.cos(leanRad), Math.sin(leanRad)];
  return hookLimb(part).path.map(({ xM, radiusM }) => {
    const along = hook.x0M + xM - hook.pivotM;
    return {
      xM: hook.pivotM + along * cos - radiusM * sin,
      radiusM: Math.abs(along * sin + radiusM * cos),
    };
  });
}

/**
 * Shortest way from the limb to the blade's sweep; negative when a point of the limb lies ahead of it, inside.
 * @param knownM what is known to be nearer already: what lies further is not looked at
 */
function signedDistance(blade: readonly Meridian[], limb: readonly Meridian[], knownM: number): number {
  let nearest2 = knownM < 0 ? 0 : knownM * knownM;
  let deepest = 0;
  let backM = -Infinity;
  for (const { xM } of blade) if (xM > backM) backM = xM;
  for (const point of limb) {
    const behindM = point.xM - backM;
    if (behindM > 0 && behindM * behindM >= nearest2) continue;
    for (let i = 1; i < blade.length; i++) {
      const a = blade[i - 1] as Meridian;
      const b = blade[i] as Meridian;
      const distance2 = toStretch2(point.xM, point.radiusM, a.xM, a.radiusM, b.xM, b.radiusM);
      if (distance2 < nearest2) nearest2 = distance2;
      const isRising = a.radiusM < b.radiusM;
      const low = isRising ? a : b;
      const high = isRising ? b : a;
      if (point.radiusM < low.radiusM || point.radiusM > high.radiusM) continue;
      const share = (point.radiusM - low.radiusM) / (high.radiusM - low.radiusM || 1);
      deepest = Math.min(deepest, point.xM - (low.xM + share * (high.xM - low.xM)));
    }
  }
  return deepest < 0 ? deepest : Math.sqrt(nearest2);
}

/** A blade on a free ring lies beside the shank that hangs there too, and turns about it: its tip ends before the points. */
function isBesideShank({ ring, line }: SpinSeat, hook: PlacedOff): boolean {
  return ring !== null && line === hook.line;
}

/** True when a tube over the tail reaches past this hook's eye, so that it holds the hook in line. */
function tubeHoldsHook(layout: Layout, hook: Pick<PlacedOff, 'item' | 'x0M' | 'line'>): boolean {
  const last = laidAlong(layout, hook.line).strand.at(-1);
  if (!last || last.item.part.kind !== 'shrinkTube' || hook.item.part.kind !== 'hook') return false;
  return last.x1M >= hook.x0M + eyeLengthM(hook.item.part) - 1e-6;
}
