/**
 * The way of a line through a knot, as a curve in space: x along what it is turned about, y up, z to the eye that sees it from
 * the side, m. Each turn stands one line beside the last, at the distance at which line lies on shank or on line. So the
 * turns of the drawn knot take just the line that is cut for them (parts/knots.ts).
 */
import { snellLength } from '../parts/knots';

/** A place in space, m. */
export interface Point3 {
  readonly xM: number;
  readonly yM: number;
  readonly zM: number;
}

export interface KnotPath {
  /** What it is turned about, and what comes in: straight. */
  readonly standing: readonly Point3[];
  readonly turns: readonly Point3[];
  /** What is left over, to be clipped. */
  readonly end: readonly Point3[];
}

const STEPS_A_TURN = 36;
/** How much of the tag is shown, in lines. */
const END_LINES = 7;

export interface KnotLook {
  /** How many times wider and longer than drawn down: 1 is seated. */
  readonly looseBy: number;
}

const SEATED: KnotLook = { looseBy: 1 };

/** Wraps of a line about a shank that begins at x = 0, from the eye towards the bend. */
export function snellPath(wraps: number, shankM: number, lineM: number, { looseBy }: KnotLook = SEATED): KnotPath {
  const radiusM = ((shankM + lineM) / 2) * looseBy;
  const turns = helix(wraps, radiusM, lineM * looseBy);
  return { standing: along(-0.012, snellLength(wraps, lineM) * looseBy, radiusM), turns, end: onward(turns, lineM, 1) };
}

/** Turns of the end of a line about its own standing part, which runs from the left to the eye at x = 0. */
export function clinchPath(turnCount: number, lineM: number, { looseBy }: KnotLook = SEATED): KnotPath {
  const radiusM = lineM * looseBy;
  const turns = helix(turnCount, radiusM, lineM * looseBy).map(({ xM, ...rest }) => ({ xM: -xM, ...rest }));
  return { standing: along(-0.02, 0, 0), turns, end: onward(turns, lineM, -1) };
}

/** Round the axis, m. @param pitchM along it each turn */
function helix(turnCount: number, radiusM: number, pitchM: number): Point3[] {
  const steps = Math.round(turnCount * STEPS_A_TURN);
  return Array.from({ length: steps + 1 }, (_, i) => {
    const angle = (2 * Math.PI * i) / STEPS_A_TURN;
    return {
      xM: (pitchM * i) / STEPS_A_TURN,
      yM: radiusM * Math.cos(angle),
      zM: radiusM * Math.sin(angle),
    };
  });
}

function along(fromM: number, toM: number, yM: number): Point3[] {
  return [
    { xM: fromM, yM, zM: 0 },
    { xM: toM, yM, zM: 0 },
  ];
}

function onward(turns: readonly Point3[], lineM: number, way: 1 | -1): Point3[] {
  const last = turns.at(-1) ?? { xM: 0, yM: 0, zM: 0 };
  return [last, { xM: last.xM + way * END_LINES * lineM, yM: last.yM + 3 * lineM, zM: last.zM }];
}

/** m */
export function pathLength(points: readonly Point3[]): number {
  return points.slice(1).reduce((sum, { xM, yM, zM }, i) => {
    const before = points[i] ?? { xM, yM, zM };
    return sum + Math.hypot(xM - before.xM, yM - before.yM, zM - before.zM);
  }, 0);
}

/** The stretches of a way in front of the axis and behind it, as one sees it from the side. */
export function frontAndBack(points: readonly Point3[]): {
  readonly front: readonly (readonly Point3[])[];
  readonly back: readonly (readonly Point3[])[];
} {
  const front: Point3[][] = [];
  const back: Point3[][] = [];
  let stretch: Point3[] = [];
  let isFront: boolean | null = null;
  for (const [i, point] of points.entries()) {
    const next = points[i + 1];
    const ahead = point.zM + (next?.zM ?? point.zM) >= 0;
    if (isFront !== null && ahead !== isFront) {
      stretch.push(point);
      (isFront ? front : back).push(stretch);
      stretch = [];
    }
    isFront = ahead;
    stretch.push(point);
  }
  if (stretch.length > 1) (isFront ? front : back).push(stretch);
  return { front, back };
}
