/**
 * A bent wire walked from the head to its end: where its middle line runs. How much wire it takes is in formed-wire.ts.
 * x to the tail, y up, z away from the eye that sees the nose at the left, m.
 */
import { never } from '../never';
import { wireIn } from '../parts/formed-wire';
import type { Section, WireForm } from '../parts/wire-form';

/** A place and a heading in the plane of the lure; headings as in wire-form.ts. */
export interface Pose {
  readonly xM: number;
  readonly yM: number;
  readonly angleRad: number;
}

/** Along the lure itself. */
export const ALONG_X: Pose = { xM: 0, yM: 0, angleRad: 0 };

/** A place in the plane of the lure. */
export interface PlanePlace {
  readonly xM: number;
  readonly yM: number;
}

export interface WirePoint {
  readonly xM: number;
  readonly yM: number;
  readonly zM: number;
}

export interface PlacedSection {
  readonly section: Section;
  readonly index: number;
  /** Wire from the head to its start and to its end, m. */
  readonly fromM: number;
  readonly toM: number;
  readonly start: Pose;
  readonly end: Pose;
  readonly points: readonly WirePoint[];
}

export interface WirePath {
  readonly sections: readonly PlacedSection[];
  /** Where the arm begins and heads. */
  readonly arm: Pose;
  /** Heading of the arm out of the plane of the lure, rad, and how far out it begins and ends, m. */
  readonly armSideRad: number;
  readonly armStartZM: number;
  readonly armEndZM: number;
  /** Where the line pulls; null without a tie. */
  readonly tie: Pose | null;
  /** Wire up to the arm, m. */
  readonly leadM: number;
}

const STEP_RAD = Math.PI / 18;

interface Walker extends Pose {
  readonly zM: number;
  readonly sideRad: number;
}

/** @param from where the wire leaves the head */
export function walkWire(form: WireForm, wireM: number, from: { readonly xM: number; readonly yM: number }): WirePath {
  let at: Walker = { ...from, zM: 0, angleRad: form.startRad, sideRad: 0 };
  let alongM = 0;
  let tie: Pose | null = null;
  const sections = form.sections.map((section, index): PlacedSection => {
    const turn = section.section === 'coil' ? coilSense(form.sections, index) : 1;
    const steps = stepsOf(section, wireM, turn);
    const points = [pointOf(at)];
    const start = at;
    for (const step of steps) {
      at = advance(at, step);
      points.push(pointOf(at));
    }
    // Whole turns leave the wire where it was, heading as before.
    if (section.section === 'coil') at = start;
    const fromM = alongM;
    alongM += wireIn(section, wireM);
    if (section.section === 'coil') tie = coilCentre(start, section.insideDiameterM, wireM, turn);
    if (section.section === 'bend' && section.isTie) tie = middleOf(points, start, at);
    return { section, index, fromM, toM: alongM, start: poseOf(start), end: poseOf(at), points };
  });
  return {
    sections,
    arm: poseOf(at),
    armSideRad: at.sideRad,
    armStartZM: at.zM,
    armEndZM: at.zM + form.armM * Math.sin(at.sideRad),
    tie,
    leadM: alongM,
  };
}

interface Step {
  readonly lengthM: number;
  readonly turnRad: number;
  readonly sideRad: number;
}

function stepsOf(section: Section, wireM: number, sense: number): Step[] {
  switch (section.section) {
    case 'straight':
      return [{ lengthM: section.lengthM, turnRad: 0, sideRad: 0 }];
    case 'bend':
      return arc(section.angleRad, section.sideRad, section.insideRadiusM + wireM / 2);
    case 'coil':
      return arc(sense * 2 * Math.PI * section.turns, 0, (section.insideDiameterM + wireM) / 2);
    default:
      return never(section, 'stepsOf');
  }
}

function arc(angleRad: number, sideRad: number, radiusM: number): Step[] {
  const whole = Math.hypot(angleRad, sideRad);
  const count = Math.max(1, Math.ceil(whole / STEP_RAD));
  const step = {
    lengthM: 2 * radiusM * Math.sin(whole / count / 2),
    turnRad: angleRad / count,
    sideRad: sideRad / count,
  };
  return Array.from({ length: count }, () => step);
}

/** A chord of the way, its heading midway between those of its ends. */
function advance(at: Walker, { lengthM, turnRad, sideRad }: Step): Walker {
  const heading = at.angleRad + turnRad / 2;
  const side = at.sideRad + sideRad / 2;
  return {
    xM: at.xM + lengthM * Math.cos(heading) * Math.cos(side),
    yM: at.yM + lengthM * Math.sin(heading) * Math.cos(side),
    zM: at.zM + lengthM * Math.sin(side),
    angleRad: at.angleRad + turnRad,
    sideRad: at.sideRad + sideRad,
  };
}

/** A coil turns the way the wire turns next. */
function coilSense(sections: readonly Section[], index: number): number {
  const next = sections.slice(index + 1).find((each) => each.section === 'bend');
  return next?.section === 'bend' && next.angleRad > 0 ? 1 : -1;
}

function coilCentre(at: Pose, insideDiameterM: number, wireM: number, sense: number): Pose {
  const radiusM = (insideDiameterM + wireM) / 2;
  const across = at.angleRad + (sense * Math.PI) / 2;
  return { xM: at.xM + radiusM * Math.cos(across), yM: at.yM + radiusM * Math.sin(across), angleRad: Math.PI };
}

function middleOf(points: readonly WirePoint[], start: Pose, end: Pose): Pose {
  const middle = points[Math.floor(points.length / 2)] ?? start;
  // The line pulls outward from the bend.
  const inward = (start.angleRad + end.angleRad) / 2 + (Math.sign(end.angleRad - start.angleRad) * Math.PI) / 2;
  return { xM: middle.xM, yM: middle.yM, angleRad: inward + Math.PI };
}

function pointOf({ xM, yM, zM }: Walker): WirePoint {
  return { xM, yM, zM };
}

function poseOf({ xM, yM, angleRad }: Walker): Pose {
  return { xM, yM, angleRad };
}

/** The point at `alongM` on a pose's line and `upM` to its left. */
export function pointOn({ xM, yM, angleRad }: Pose, alongM: number, upM = 0): PlanePlace {
  const [cos, sin] = [Math.cos(angleRad), Math.sin(angleRad)];
  return { xM: xM + alongM * cos - upM * sin, yM: yM + alongM * sin + upM * cos };
}

/** The same way elsewhere in the plane of the lure. */
export function pathMoved(path: WirePath, byXM: number, byYM: number): WirePath {
  const moved = <P extends PlanePlace>(place: P): P => ({ ...place, xM: place.xM + byXM, yM: place.yM + byYM });
  return {
    ...path,
    arm: moved(path.arm),
    tie: path.tie && moved(path.tie),
    sections: path.sections.map((each) => ({
      ...each,
      start: moved(each.start),
      end: moved(each.end),
      points: each.points.map(moved),
    })),
  };
}
