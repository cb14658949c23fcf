/** A lure with its shared coefficients moved off their estimates. */
import type { Arm } from '../hydro/arm-shake';
import { fishingLine } from '../hydro/outfit';
import type { FishingLine } from '../hydro/towed-line';
import { sumsOf, type TrimSums } from '../hydro/trim';
import type { WobblingBody } from '../hydro/wobble';
import type { ArmOutcome } from '../in-water/arm';
import { oncePer } from '../once';
import { AS_ESTIMATED, type Shared } from './factors';
import type { LureInWater } from './lure-in-water';

/** A lure with its shared coefficients at these multiples of their estimates. */
export interface ScaledLure {
  readonly shared: Shared;
  readonly massKg: number;
  readonly sums: TrimSums;
  /** The same to the side. */
  readonly asideSums: TrimSums;
  readonly arm: Arm | null;
  /** The body that swings by its own wake; null without one. */
  readonly wobbling: WobblingBody | null;
  readonly line: FishingLine;
  /** With the water that moves with it. */
  readonly movedKg: number;
  /** The force on all of it that moves its tie as a moment of one about its middle does, N per N·m. */
  readonly forcePerMoment: number;
}

/** A lure with its shared coefficients at these multiples. */
export function scaledTo({ bodies, rho, arm, outfit, wobbling }: LureInWater, shared: Shared): ScaledLure {
  const drag = { hard: shared.hardDrag, soft: shared.softDrag, wire: shared.wireDrag, blade: shared.flutter };
  const scaled = bodies.map((body) => ({
    ...body,
    massKg: body.massKg * shared.mass,
    axialM2: body.axialM2 * drag[body.kind],
    strandM2: body.strandM2 * drag[body.kind],
    sideM2: body.sideM2 * drag[body.kind],
    slopeM2: body.slopeM2 * shared.lift,
    ...(body.plate ? { plate: { ...body.plate, areaM2: body.plate.areaM2 * drag[body.kind] } } : {}),
  }));
  const line = fishingLine(outfit.line);
  return {
    shared,
    massKg: scaled.reduce((sum, { massKg }) => sum + massKg, 0),
    sums: sumsOf(scaled, rho),
    asideSums: sumsOf(
      // A lip stands level across the stream: it turns nothing aside.
      scaled.map(({ plate, ...body }) => ({ ...body, yM: plate ? 0 : body.zM })),
      rho,
    ),
    arm: armScaled(arm, shared),
    wobbling: wobblingScaled(wobbling, shared),
    line: { ...line, normalDrag: line.normalDrag * shared.lineDrag, skinDrag: line.skinDrag * shared.lineDrag },
    ...swungBy(scaled, rho),
  };
}

/** With every shared coefficient at its estimate. */
export const scaledAsEstimated = oncePer((inWater: LureInWater): ScaledLure => scaledTo(inWater, AS_ESTIMATED));

/** What is shaken lies at least this far spread out about its middle, m. */
const LEAST_GYRATION_M = 0.01;

/** All that moves with the water it carries along: how much, and how a moment swings it about its middle. */
function swungBy(bodies: LureInWater['bodies'], rho: number): Pick<ScaledLure, 'movedKg' | 'forcePerMoment'> {
  let [movedKg, first, second] = [0, 0, 0];
  for (const { massKg, volumeM3, xM } of bodies) {
    const kg = massKg + rho * volumeM3;
    movedKg += kg;
    first += kg * xM;
    second += kg * xM * xM;
  }
  return swinging(movedKg, first, second);
}

/** @param first and @param second moments of what moves about the tie, kg m and kg m² */
export function swinging(
  movedKg: number,
  first: number,
  second: number,
): Pick<ScaledLure, 'movedKg' | 'forcePerMoment'> {
  const middleM = movedKg > 0 ? first / movedKg : 0;
  const inertia = Math.max(second - first * middleM, movedKg * LEAST_GYRATION_M ** 2);
  return { movedKg, forcePerMoment: inertia > 0 ? (Math.abs(middleM) * movedKg) / inertia : 0 };
}

/** The same with shared coefficients moved that touch neither weights nor drags: those and the line are kept. */
export function rescaled(scaled: ScaledLure, { arm, wobbling }: LureInWater, shared: Shared): ScaledLure {
  return { ...scaled, shared, arm: armScaled(arm, shared), wobbling: wobblingScaled(wobbling, shared) };
}

/** Its body so: it sheds as often as a narrower or wider wake would. */
function wobblingScaled(wobbling: WobblingBody | null, { wobbleRate, wobbleDrive }: Shared): WobblingBody | null {
  if (!wobbling) return null;
  return { ...wobbling, wakeM: wobbling.wakeM / wobbleRate, drivesM4: wobbling.drivesM4 * wobbleDrive };
}

/** Its arm so; null where it has none that can be worked out. */
export function armScaled(arm: ArmOutcome, shared: Shared): Arm | null {
  if (arm.outcome !== 'arm') return null;
  const { youngPa, tipMassKg } = arm.arm;
  const water = arm.bladeWaterKg;
  return {
    ...arm.arm,
    youngPa: youngPa * shared.armStiffness,
    tipMassKg: (tipMassKg - water) * shared.mass + water * shared.carriedWater,
  };
}
