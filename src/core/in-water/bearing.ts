/**
 * What a blade's clevis turns on: the wire through it, and whatever stands behind it and takes the blade's drag.
 * Coefficients wet and clean, trade estimates; radii from the parts.
 */
import { strandOf } from '../carriers/carrier';
import { GOOD_CLEVIS_BEARING, type Bearing } from '../hydro/blade-loads';
import type { MaterialId } from '../parts/material';
import type { Part } from '../parts/part';
import type { SplitRing } from '../parts/kinds/split-ring';
import { laidWith, type Layout } from '../geometry/layout';
import { stateOf } from '../lure/item-state';
import type { SwivelCondition } from '../parts/kinds/swivel';
import type { Item, ItemId } from '../lure/lure';

/** Coefficient of friction of brass or steel on each material. */
const FRICTION: Readonly<Record<MaterialId, number>> = {
  brass: 0.15,
  copper: 0.17,
  nickelSilver: 0.15,
  stainless: 0.16,
  springSteel: 0.17,
  aluminium: 0.2,
  lead: 0.3,
  tungsten: 0.16,
  glass: 0.1,
  plastic: 0.18,
  polyester: 0.18,
  polyolefin: 0.25,
  silicone: 0.4,
  softPlastic: 0.4,
  rubber: 0.4,
  tin: 0.25,
  bismuth: 0.25,
  wood: 0.3,
  zinc: 0.2,
  nylon: 0.2,
  fluorocarbon: 0.18,
  braid: 0.16,
  flesh: 0.4,
  hair: 0.35,
  feather: 0.35,
};
/**
 * Coefficient of friction of line under metal or glass, and under plastic: smooth nylon clings to plastic, a braid's weave
 * carries water between. Trade estimates, give or take a third.
 */
const LINE_FRICTION: Readonly<Partial<Record<MaterialId, { readonly onHard: number; readonly onPlastic: number }>>> = {
  nylon: { onHard: 0.2, onPlastic: 0.26 },
  fluorocarbon: { onHard: 0.18, onPlastic: 0.22 },
  braid: { onHard: 0.14, onPlastic: 0.16 },
};
const HARD: ReadonlySet<MaterialId> = new Set([
  'brass',
  'copper',
  'nickelSilver',
  'stainless',
  'springSteel',
  'aluminium',
  'tungsten',
  'zinc',
  'glass',
]);

/** Of what turns on a wire or a line: on wire its own material decides, on line both. */
function rubOn(carrier: MaterialId, part: MaterialId): number {
  const line = LINE_FRICTION[carrier];
  if (!line) return FRICTION[part];
  return HARD.has(part) ? line.onHard : line.onPlastic;
}

/** Play below which the stack pinches the clevis, and what the pinch then costs. Trade estimates. */
export const LEAST_PLAY_M = 0.0002;
const PINCH_TORQUE_NM = 3e-5;

/** A state a blade gets into on the water, to try what it does. */
export const BLADE_STATES = ['clean', 'weed', 'crossedClevis', 'collapsedGap'] as const;
export type BladeState = (typeof BLADE_STATES)[number];

/** A strand of weed round the clevis drags and holds; trade estimate. */
const WEED_TORQUE_NM = 1.2e-5;
/** A clevis that has swung across its wire binds on it and cannot let the blade out. Trade estimates. */
const CROSSED_FRICTION_FACTOR = 4;
const CROSSED_SPREAD_RAD = (25 * Math.PI) / 180;

export interface Seated {
  readonly item: ItemId;
  readonly part: Part;
  readonly dropM: number;
  readonly boreM: number;
  /** Outer radius of what bears on the thing behind. */
  readonly legRadiusM: number;
}

/** What something that turns on a wire meets there. */
export interface OnWire {
  /** The part directly behind it; null for the tail wraps. */
  readonly behind: Part | null;
  /** Play left between the stack and the nose wraps, m. */
  readonly playM: number;
  /** What it turns on: a wire or a line. */
  readonly wire: { readonly diameterM: number; readonly material: MaterialId };
}

/** The bearing of something that turns on the wire of this layout, in a state. */
export function bearingOf(layout: Layout, seated: Seated, state: BladeState = 'clean'): Bearing {
  const { freeRoom, carrier } = laidWith(layout, seated.item);
  const playM = freeRoom.x1M - freeRoom.x0M;
  return bearingOn(
    {
      behind: behindOf(layout, seated.item),
      playM,
      wire: { diameterM: strandOf(carrier), material: carrier.wire.material },
    },
    seated,
    state,
  );
}

/** The bearing of something that turns on a wire, in a state. */
export function bearingOn(
  { behind, playM, wire }: OnWire,
  seated: Omit<Seated, 'item'>,
  state: BladeState = 'clean',
): Bearing {
  const pinchNm = playM < LEAST_PLAY_M ? PINCH_TORQUE_NM : 0;
  const clean: Bearing = {
    ...GOOD_CLEVIS_BEARING,
    dropM: seated.dropM,
    friction: rubOn(wire.material, seated.part.material),
    faceFriction: behind ? FRICTION[behind.material] : FRICTION.stainless,
    wireRadiusM: wire.diameterM / 2,
    faceRadiusM: faceRadius(seated, behind, wire.diameterM),
    steadyTorqueNm: pinchNm,
  };
  switch (state) {
    case 'clean':
      return clean;
    case 'weed':
      return { ...clean, steadyTorqueNm: clean.steadyTorqueNm + WEED_TORQUE_NM };
    case 'collapsedGap':
      // What kept them apart is gone: the blade is pinched between what stands before and behind it.
      return { ...clean, steadyTorqueNm: PINCH_TORQUE_NM };
    case 'crossedClevis':
      return {
        ...clean,
        friction: clean.friction * CROSSED_FRICTION_FACTOR,
        faceFriction: clean.faceFriction * CROSSED_FRICTION_FACTOR,
        mostSpreadRad: CROSSED_SPREAD_RAD,
      };
  }
}

/**
 * Torque of a swivel of REFERENCE_BARREL_M by its condition, N·m: it grows with the square of its size, as its faces do.
 * A dear one turns no freer than a cheap one that is free. Trade estimates.
 */
export const SWIVEL_TORQUE_NM: Readonly<Record<SwivelCondition, number>> = { free: 3e-6, gritty: 3e-5, rusty: 1.5e-4 };
const REFERENCE_BARREL_M = 0.004;

/** The bearing of a blade behind a swivel: it turns with the swivel's rear eye, about the line of the pull. */
export function swivelBearing(swivel: Pick<Item, 'id' | 'part' | 'state'>, state: BladeState = 'clean'): Bearing {
  if (swivel.part.kind !== 'swivel') throw new Error(`swivelBearing: ${swivel.id} is not a swivel`);
  const size = (swivel.part.barrelDiameterM / REFERENCE_BARREL_M) ** 2;
  const torqueNm = SWIVEL_TORQUE_NM[stateOf(swivel, 'swivel').condition] * size;
  return {
    ...GOOD_CLEVIS_BEARING,
    dropM: swivel.part.eyeInnerDiameterM / 2,
    friction: 0,
    faceFriction: 0,
    steadyTorqueNm: torqueNm + (state === 'weed' ? WEED_TORQUE_NM : 0),
  };
}

/** Ring in ring, a blade that hangs so turns with a rub that a swivel has not. Trade estimates. */
const RING_FRICTION = 0.25;
const RING_TORQUE_NM = 1e-6;

/** The bearing of a blade on a ring that is free all round. */
export function ringBearing({ outerDiameterM, wireDiameterM }: SplitRing, state: BladeState = 'clean'): Bearing {
  return {
    ...GOOD_CLEVIS_BEARING,
    dropM: outerDiameterM / 4,
    friction: RING_FRICTION,
    faceFriction: RING_FRICTION,
    wireRadiusM: wireDiameterM,
    faceRadiusM: wireDiameterM,
    steadyTorqueNm: RING_TORQUE_NM + (state === 'weed' ? WEED_TORQUE_NM : 0),
  };
}

/** The part directly behind this one on the wire; null for the tail wraps. */
export function behindOf(layout: Layout, item: ItemId): Part | null {
  const { strand } = laidWith(layout, item);
  const last = strand.findLast((entry) => entry.item.id === item);
  const next = last ? strand[last.index + 1] : undefined;
  return next?.item.part ?? null;
}

/** A round bead touches on the rim of its bore, a flat face out to where both still reach. */
function faceRadius(seated: Pick<Seated, 'boreM' | 'legRadiusM'>, behind: Part | null, wireDiameterM: number): number {
  const innerM = Math.max(seated.boreM / 2, wireDiameterM / 2);
  if (behind?.kind === 'bead' && behind.shape === 'round') return Math.max(behind.boreM / 2, innerM) + 0.00015;
  return (innerM + seated.legRadiusM) / 2 + 0.0002;
}
