/**
 * How a turning blade shakes what carries it.
 *
 * On a wire arm: a cantilever with its mass at the tip,
 *     k₀ = 3EI/L³,  I = πd⁴/64,    1/k = 1/k₀ + L²/K_b   (K_b = EI/ℓ_b, the bend it is held in, ℓ_b its wire),
 *     ω₀ = √(k/m),  r = ω/ω₀,  ζ = ζ_s + D/(2U√(km)),
 *     x = (F/k)/√((1 − r²)² + (2ζr)²),     felt at the root  F√(1 + (2ζr)²)/√((1 − r²)² + (2ζr)²).
 * m is what sits on the arm, each piece with the share (x/L)² of its mass, 33/140 of the wire's own, and the water that
 * moves with them. ζ_s is the wire's and its joints' own damping; the second term is the blade's drag at U, which grows
 * with speed and so resists being shaken along.
 * Without an arm the body itself is shaken: x = F/(mω²), and the line tie feels F.
 *
 * What goes round with a blade is a force F_r, what is left of fling less push, and a moment D·r: its axial force at its
 * distance from the axle. A moment M at the tip of a cantilever bends it as the force 3M/(2L) there would; on a free body of
 * mass m, with inertia I about its middle at x_m from the tie, it moves the tie as the force M x_m m/I would. How force and
 * moment stand to each other round the turn is not known, so they add as squares.
 * Sources: the tip-loaded beam and the one-mass oscillator of any text on vibration (Den Hartog, Mechanical Vibrations,
 * ch. 2); 33/140 is Rayleigh's share of a uniform cantilever.
 */
import { oncePer } from '../once';

/** Young's modulus of the wires lures are built on, Pa. Handbook values. */
export const YOUNG_PA = { stainless: 193e9, springSteel: 205e9, brass: 100e9 } as const;
/** Damping of wire and joints alone, as a share of critical. Trade estimate. */
export const STRUCTURAL_DAMPING = 0.015;
/** Rayleigh's share of a uniform cantilever's own mass. */
export const BEAM_SHARE = 33 / 140;

export interface Arm {
  readonly youngPa: number;
  readonly wireM: number;
  readonly lengthM: number;
  /** Wire in the bend it springs from, m; 0 when it is clamped. */
  readonly bendWireM: number;
  /** What moves at its tip, kg. */
  readonly tipMassKg: number;
}

export interface Shake {
  readonly amplitudeM: number;
  /** Force felt where it is held, N. */
  readonly pulseN: number;
  /** Rate over the arm's own; null without an arm. */
  readonly ratio: number | null;
}

/** Stiffness of a round wire of this length held fast at one end, at the other, N/m. */
export function cantileverStiffness(youngPa: number, wireM: number, lengthM: number): number {
  return (3 * youngPa * secondMoment(wireM)) / lengthM ** 3;
}

/** Stiffness at the tip with the give of the bend, N/m. */
export const armStiffness = oncePer(({ youngPa, wireM, lengthM, bendWireM }: Arm): number => {
  const bending = youngPa * secondMoment(wireM);
  return 1 / (1 / cantileverStiffness(youngPa, wireM, lengthM) + (lengthM ** 2 * bendWireM) / bending);
});

function secondMoment(wireM: number): number {
  return (Math.PI * wireM ** 4) / 64;
}

/** The arm's own rate, √(k/m)/2π, Hz. Source: the one-mass oscillator, see above. */
export function naturalHz(arm: Arm): number {
  return Math.sqrt(armStiffness(arm) / arm.tipMassKg) / (2 * Math.PI);
}

/**
 * @param forceN rotating force of the blade
 * @param rateHz how often it comes round
 * @param dragN the blade's drag, at speedMps: damps the arm
 * @param dampingBy how much more the arm is damped than the model says
 */
export function shakeOfArm(
  arm: Arm,
  forceN: number,
  rateHz: number,
  dragN: number,
  speedMps: number,
  dampingBy = 1,
): Shake {
  const stiffness = armStiffness(arm);
  const ratio = rateHz / naturalHz(arm);
  const damping = dampingBy * armDamping(arm, dragN, speedMps);
  const magnified = 1 / Math.hypot(1 - ratio ** 2, 2 * damping * ratio);
  return {
    amplitudeM: (forceN / stiffness) * magnified,
    pulseN: forceN * magnified * Math.hypot(1, 2 * damping * ratio),
    ratio,
  };
}

/** How many times further the arm swings at this rate than it would be bent by the same force held still. */
export function magnification(arm: Arm, rateHz: number, dragN: number, speedMps: number): number {
  return shakeOfArm(arm, armStiffness(arm), rateHz, dragN, speedMps).amplitudeM;
}

/** Damping of the arm as a share of critical: ζ_s + D/(2U√(km)). @param dragN the blade's drag; @param speedMps 0 leaves ζ_s */
export function armDamping(arm: Arm, dragN: number, speedMps: number): number {
  const critical = 2 * Math.sqrt(armStiffness(arm) * arm.tipMassKg);
  return STRUCTURAL_DAMPING + (speedMps > 0 ? dragN / speedMps / critical : 0);
}

/** The force at an arm's tip that bends it there as this moment does, N. */
export function forceOfMoment({ lengthM }: Arm, momentNm: number): number {
  return (1.5 * momentNm) / lengthM;
}

/** A body that carries its blade on its own axis. @param massKg with the water that moves with it */
export function shakeOfBody(massKg: number, forceN: number, rateHz: number): Shake {
  return { amplitudeM: rateHz > 0 ? forceN / (massKg * (2 * Math.PI * rateHz) ** 2) : 0, pulseN: forceN, ratio: null };
}
