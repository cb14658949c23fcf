/**
 * Two bodies on one line, steady, in the vertical plane of the tow: rod, line, sinker, leader, and what swims behind it.
 *
 * The leader hangs on nothing but what it pulls: from the bait up, with H forward and V up the pull of the next piece,
 *     dH/ds = F_n sin φ + F_t cos φ,     dV/ds = w − F_n cos φ + F_t sin φ,     dz/ds = sin φ,     F_n = ½ρ C_n d U² sin φ |sin φ|
 * as in towed-line.ts, here for either sign of φ: a bait that floats or planes stands above its sinker. At the sinker its
 * drag and its weight in water come to the pull, and the line above it is towed by both. So the bait stands as high over its
 * sinker as the leader alone decides, however much line is out.
 *
 * A walking sinker stands on its foot, and one on the arm of a three-way hangs below: the line above ends over it. Such an arm of
 * length b stands aslant as its sinker is pulled, so over it by  b W/√(W² + D²), W its weight in water, D its drag.
 *
 * By the classical Runge–Kutta rule on steps that grow with their number, s_i = S(i/N)². Drag of a sinker: of a sphere of its
 * volume, C_d 0.45 (S. F. Hoerner, Fluid-Dynamic Drag, 3-8, below the drag crisis, here at Re 5e3 to 5e4); a bullet drawn nose
 * first has less, a walking sinker more: trade estimates, give or take a third.
 */
import { cylinderDrag, lineShapes, lineWeight, type FishingLine, type LinePull, type LineSetting } from './towed-line';
import { GRAVITY_MPS2 } from './water';

/** How sinkers sit on a line: a ball or egg and a bullet slide, a split shot is pinched on, a walking sinker stands on a foot. */
export const SINKER_STYLES = ['ball', 'bullet', 'splitShot', 'walking', 'threeWay'] as const;
export type SinkerStyle = (typeof SINKER_STYLES)[number];

/** Drag over that of a ball of its volume, and how far the line runs over its foot as it stands, m. Trade estimates. */
const FORMS: Readonly<Record<SinkerStyle, { readonly drag: number; readonly standsM: number }>> = {
  ball: { drag: 1, standsM: 0 },
  bullet: { drag: 0.6, standsM: 0 },
  splitShot: { drag: 1.2, standsM: 0 },
  walking: { drag: 1.8, standsM: 0.03 },
  threeWay: { drag: 1, standsM: 0 },
};

export interface Sinker {
  readonly massKg: number;
  readonly densityKgM3: number;
  /** A ball where it is not told. */
  readonly style?: SinkerStyle;
  /** Of the arm it hangs on, m. */
  readonly dropperM?: number;
}

export interface Rig {
  readonly line: FishingLine;
  readonly sinker: Sinker;
  readonly leader: FishingLine;
  /** From the sinker to the bait, m. */
  readonly leaderM: number;
  /** What the bait pulls its leader with. */
  readonly bait: LinePull;
}

export type RigShape =
  | {
      readonly outcome: 'sinks';
      readonly sinkerDepthM: number;
      /** 0 where it would rise to the surface: its leader is then drawn straighter than is told here. */
      readonly baitDepthM: number;
      /** Of the bait over the sinker, m; below it less than none. */
      readonly baitOverSinkerM: number;
      /** Of the line above the sinker: how much of it is in the water, m, and its pull at the rod's tip, N. */
      readonly inWaterM: number;
      readonly tipPullN: number;
      /** The sinker lies on the bottom; it is drawn over it and the line lies as it may. */
      readonly isOnBottom: boolean;
    }
  /** The line is too short and all of it too light. */
  | { readonly outcome: 'surfaces' }
  /** The bait lifts more than the sinker weighs. */
  | { readonly outcome: 'rises' };

const SPHERE_DRAG = 0.45;
const STEPS = 160;

/** What a sinker adds to the pull, N. */
export function sinkerPull(
  { massKg, densityKgM3, style = 'ball' }: Sinker,
  { waterDensityKgM3, speedMps }: LineSetting,
): LinePull {
  const volumeM3 = massKg / densityKgM3;
  const faceM2 = Math.PI * Math.cbrt((3 * volumeM3) / (4 * Math.PI)) ** 2;
  return {
    aftN: 0.5 * waterDensityKgM3 * speedMps ** 2 * SPHERE_DRAG * FORMS[style].drag * faceM2,
    downN: (massKg - waterDensityKgM3 * volumeM3) * GRAVITY_MPS2,
  };
}

/** How far the line ends over the sinker's lowest, m. */
function overSinker(sinker: Sinker, setting: LineSetting): number {
  const { style = 'ball', dropperM = 0 } = sinker;
  const { aftN, downN } = sinkerPull(sinker, setting);
  return FORMS[style].standsM + (dropperM * Math.max(downN, 0)) / Math.max(Math.hypot(aftN, downN), 1e-12);
}

/** The pull at the sinker's end of the leader, and how far that end is above the bait. */
export function upTheLeader(
  leader: FishingLine,
  bait: LinePull,
  setting: LineSetting,
  leaderM: number,
): { readonly pull: LinePull; readonly gainM: number } {
  const growth = growthOf(leader, setting);
  let state: State = [bait.aftN, bait.downN, 0];
  for (let i = 0; i < STEPS; i++) {
    const step = (leaderM * (2 * i + 1)) / STEPS ** 2;
    const k1 = growth(state);
    const k2 = growth(ahead(state, k1, step / 2));
    const k3 = growth(ahead(state, k2, step / 2));
    const k4 = growth(ahead(state, k3, step));
    // The mean of the four, the two in the middle counted twice.
    state = ahead(ahead(ahead(ahead(state, k1, step / 6), k2, step / 3), k3, step / 3), k4, step / 6);
  }
  return { pull: { aftN: state[0], downN: state[1] }, gainM: state[2] };
}

/** What pulls the line above a sinker that this pulls the line below. */
export function pullAbove(sinker: Sinker, pull: LinePull, setting: LineSetting): LinePull {
  const added = sinkerPull(sinker, setting);
  return { aftN: pull.aftN + added.aftN, downN: pull.downN + added.downN };
}

/** What pulls the line above a sinker, and how far the sinker is above the bait, m. */
export function aboveSinker(
  leader: FishingLine,
  sinker: Sinker,
  leaderM: number,
  bait: LinePull,
  setting: LineSetting,
): { readonly pull: LinePull; readonly gainM: number } {
  const { pull, gainM } = upTheLeader(leader, bait, setting, leaderM);
  return { pull: pullAbove(sinker, pull, setting), gainM };
}

/**
 * Where sinker and bait run with each of these lengths of line out, from the rod's tip to the sinker.
 * @param bottomM depth of the bottom, m; Infinity where it is out of reach
 */
export function rigShapes(
  { line, sinker, leader, leaderM, bait }: Rig,
  setting: LineSetting,
  lengthsOutM: readonly number[],
  bottomM = Infinity,
  steps?: number,
): RigShape[] {
  const { pull, gainM } = aboveSinker(leader, sinker, leaderM, bait, setting);
  const overM = overSinker(sinker, setting);
  return lineShapes(line, pull, setting, lengthsOutM, steps).map((shape): RigShape => {
    if (shape.outcome !== 'sinks') return shape;
    const sinkerDepthM = Math.min(bottomM, shape.depthM + overM);
    const baitDepthM = Math.min(bottomM, Math.max(0, sinkerDepthM - overM + gainM));
    return {
      outcome: 'sinks',
      sinkerDepthM,
      baitDepthM,
      baitOverSinkerM: sinkerDepthM - baitDepthM,
      inWaterM: shape.inWaterM,
      tipPullN: shape.tipPullN,
      isOnBottom: shape.depthM + overM >= bottomM,
    };
  });
}

/** Pull forward, pull up, height gained. */
type State = readonly [number, number, number];

function ahead([h, v, z]: State, [dh, dv, dz]: State, step: number): State {
  return [h + step * dh, v + step * dv, z + step * dz];
}

function growthOf(line: FishingLine, { waterDensityKgM3: rho, speedMps }: LineSetting): (state: State) => State {
  const dynamic = 0.5 * rho * speedMps ** 2;
  const normal = dynamic * line.normalDrag * line.diameterM;
  const reynolds = line.viscosityM2S === null ? null : (speedMps * line.diameterM) / line.viscosityM2S;
  const skin = dynamic * line.skinDrag * Math.PI * line.diameterM;
  const weight = lineWeight(line, rho);
  return ([h, v]) => {
    const pull = Math.hypot(h, v);
    if (pull === 0) return [0, weight, 0];
    const [cos, sin] = [h / pull, v / pull];
    const law = reynolds === null ? 1 : cylinderDrag(reynolds * Math.abs(sin));
    const across = normal * sin * Math.abs(sin) * law;
    const along = skin * cos * Math.abs(cos);
    return [across * sin + along * cos, weight - across * cos + along * sin, sin];
  };
}
