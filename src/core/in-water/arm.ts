/** The wire arm of a lure as a spring with a mass at its end: hydro/arm-shake.ts. */
import { armStiffness, BEAM_SHARE, YOUNG_PA, type Arm } from '../hydro/arm-shake';
import { addedMass } from '../hydro/added-mass';
import { spinBlade } from '../hydro/spin-blade';
import type { Blade } from '../parts/kinds/blade';
import type { DeltaBlade } from '../parts/kinds/delta-blade';
import { wireMass } from '../parts/stock';
import type { MaterialId } from '../parts/material';
import type { Body } from './bodies';
import { carrierRoom, type Carrier } from '../carriers/carrier';
import type { CarrierSpring } from '../carriers/room';
import { touchOf } from '../geometry/blade-on-head';
import type { Layout } from '../geometry/layout';
import type { Build, CarrierId } from '../lure/lure';
import { laidAlong, lineKind } from '../geometry/placed';
import { carriersOf } from '../lure/strung';

/** Young's modulus of a material wire is drawn from; null for any other. */
function youngOf(material: MaterialId): number | null {
  return material in YOUNG_PA ? YOUNG_PA[material as keyof typeof YOUNG_PA] : null;
}

export type ArmOutcome =
  | {
      readonly outcome: 'arm';
      readonly arm: Arm;
      /** Of what moves at its tip, the water that its blades carry along, kg. */
      readonly bladeWaterKg: number;
    }
  /** A straight wire, or one whose tie ends it. */
  | { readonly outcome: 'noArm' }
  /** No stiffness is known of this material as a wire. */
  | {
      readonly outcome: 'outsideModel';
      readonly quantity: 'wireMaterial';
      readonly value: MaterialId;
      /** Those whose stiffness is known. */
      readonly limit: readonly string[];
    }
  /** A wire cannot be bent round less than its own thickness and keep its stiffness. */
  | {
      readonly outcome: 'outsideModel';
      readonly quantity: 'bendDiameterM';
      readonly value: number;
      readonly limit: number;
    };

/** Of the water before a blade's face, the mean share that an arm carries along as the blade turns round it. */
const FACED_SHARE = 0.5;

/** Water that an arm carries along before the face of a blade on it, kg. */
export function facedWaterKg(blade: Blade, waterDensityKgM3: number): number {
  const { strips, lengthM } = spinBlade(blade, waterDensityKgM3);
  const added = addedMass(strips, lengthM, waterDensityKgM3);
  return FACED_SHARE * added.reduce((sum, each, i) => sum + each * (strips.areaM2[i] ?? 0), 0);
}

/**
 * The arm behind the line tie of a bent wire, with what sits on it. What hangs behind it moves with its end, carriers joined
 * there too; what is strung on it with the square of its place; the water displaced moves along once more. A blade carries
 * along the water before its face as well, half of it on the mean round the turn, since the arm moves along its face as
 * often as across it. Of several arms the one nearest to the line.
 */
export function armOf(build: Build, layout: Layout, bodies: readonly Body[], waterDensityKgM3: number): ArmOutcome {
  for (const { id, carrier } of carriersOf(build)) {
    const spring = carrierRoom(carrier).spring(carrier);
    if (spring) return armOn(build, layout, bodies, waterDensityKgM3, id, spring);
  }
  return { outcome: 'noArm' };
}

function armOn(
  build: Build,
  layout: Layout,
  bodies: readonly Body[],
  waterDensityKgM3: number,
  carrier: CarrierId,
  spring: CarrierSpring,
): ArmOutcome {
  const { armM } = spring;
  const share = new Map<Body['of'], number>();
  for (const { id, behind, strand } of layout.carriers) {
    // What is joined hangs at the end of the arm.
    const isBehind = behind.includes(carrier);
    if (isBehind) share.set(id, 1);
    if (!isBehind && id !== carrier) continue;
    for (const { item, x0M, x1M } of strand)
      share.set(item.id, isBehind ? 1 : Math.min(1, (x0M + x1M) / 2 / armM) ** 2);
  }
  for (const { item, line, pivotM } of layout.off) {
    const { id, behind } = laidAlong(layout, line);
    const kind = lineKind(line);
    if (behind.includes(carrier) || (id === carrier && kind === 'trail')) share.set(item.id, 1);
    else if (id === carrier && kind === 'run') share.set(item.id, Math.min(1, pivotM / armM) ** 2);
  }
  const bladeWaterKg = Object.values(build.items).reduce((sum, { id, part }) => {
    const moves = share.get(id) ?? 0;
    return part.kind === 'blade' ? sum + moves * facedWaterKg(part, waterDensityKgM3) : sum;
  }, 0);
  const carried = bodies.reduce(
    (sum, { of, massKg, volumeM3 }) => sum + (share.get(of) ?? 0) * (massKg + waterDensityKgM3 * volumeM3),
    0,
  );
  return armCarrying(spring, carried, bladeWaterKg);
}

/**
 * An arm of this wire.
 * @param carriedKg what moves at its tip with the water it displaces, and @param bladeWaterKg what its blades carry along
 */
export function armCarrying(
  { wire, armM, bendWireM, bendInsideM }: CarrierSpring,
  carriedKg: number,
  bladeWaterKg: number,
): ArmOutcome {
  const { diameterM, material } = wire;
  const youngPa = youngOf(material);
  if (youngPa === null) {
    return { outcome: 'outsideModel', quantity: 'wireMaterial', value: material, limit: Object.keys(YOUNG_PA) };
  }
  if (bendInsideM !== null && bendInsideM < diameterM) {
    return { outcome: 'outsideModel', quantity: 'bendDiameterM', value: bendInsideM, limit: diameterM };
  }
  const tipMassKg = carriedKg + bladeWaterKg + BEAM_SHARE * wireMass(wire, armM);
  return {
    outcome: 'arm',
    bladeWaterKg,
    arm: { youngPa, wireM: diameterM, lengthM: armM, bendWireM, tipMassKg },
  };
}

/** Friction of a blade's tip on the head it drags over. Trade estimate. */
const TIP_FRICTION = 0.2;

/**
 * What a delta blade that stands so far from the head, m, is held back by on the mean round the turn, N·m; 0 of one that ticks
 * or is clear. The arm gives way by the depth δ that the tips reach in, and each lobe, on a circle of radius R, is in touch for
 * √(2δ/R)/π of a turn, pressed on the mean by two thirds of the most.
 */
export function headDragNm(carrier: Carrier, { spanM, lobes }: DeltaBlade, clearanceM: number): number {
  if (touchOf(clearanceM) !== 'dragging') return 0;
  const spring = carrierRoom(carrier).spring(carrier);
  const sprung = spring && armCarrying(spring, 1, 0);
  if (sprung?.outcome !== 'arm') return 0;
  const depthM = -clearanceM;
  const tipM = spanM / 2;
  const inTouch = Math.min(1, (lobes * Math.sqrt((2 * depthM) / tipM)) / Math.PI);
  return TIP_FRICTION * (2 / 3) * armStiffness(sprung.arm) * depthM * inTouch * tipM;
}
