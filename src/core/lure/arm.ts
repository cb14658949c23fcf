/** The wire arm of a lure as a spring with a mass at its end: hydro/arm-shake.ts. */
import { BEAM_SHARE, YOUNG_PA, type Arm } from '../hydro/arm-shake';
import { addedMass } from '../hydro/added-mass';
import { spinBlade } from '../hydro/spin-blade';
import { wireIn } from '../parts/formed-wire';
import { wireMass } from '../parts/mass';
import type { MaterialId } from '../parts/material';
import type { Blade } from '../parts/kinds/blade';
import type { Body } from './bodies';
import type { Layout } from './layout';
import { itemOf, type Build, type ItemId } from './lure';
import { isTie } from './structure';

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

function bladeAddedKg(blade: Blade, waterDensityKgM3: number): number {
  const { strips, lengthM } = spinBlade(blade, waterDensityKgM3);
  return addedMass(strips, lengthM, waterDensityKgM3).reduce((sum, each, i) => sum + each * (strips.areaM2[i] ?? 0), 0);
}

/**
 * The arm behind the line tie of a bent wire, with what sits on it. What hangs behind it moves with its end, what is strung
 * on it with the square of its place; the water displaced moves along once more. A blade carries along the water before its
 * face as well, half of it on the mean round the turn, since the arm moves along its face as often as across it.
 */
export function armOf(build: Build, layout: Layout, bodies: readonly Body[], waterDensityKgM3: number): ArmOutcome {
  const { carrier } = build;
  if (carrier.kind !== 'bentWire' || carrier.armM <= 0) return { outcome: 'noArm' };
  const { diameterM, material } = carrier.wire;
  const youngPa = youngOf(material);
  if (youngPa === null) {
    return { outcome: 'outsideModel', quantity: 'wireMaterial', value: material, limit: Object.keys(YOUNG_PA) };
  }
  const tie = carrier.sections.find(isTie);
  const bendM = tie?.section === 'bend' ? 2 * tie.insideRadiusM : tie?.section === 'coil' ? tie.insideDiameterM : null;
  if (bendM !== null && bendM < diameterM) {
    return { outcome: 'outsideModel', quantity: 'bendDiameterM', value: bendM, limit: diameterM };
  }
  const share = new Map<ItemId, number>();
  for (const { item, x0M, x1M } of layout.strand) share.set(item.id, Math.min(1, (x0M + x1M) / 2 / carrier.armM) ** 2);
  for (const { item, line, pivotM } of layout.off) {
    if (line === 'trail') share.set(item.id, 1);
    if (line === 'run') share.set(item.id, Math.min(1, pivotM / carrier.armM) ** 2);
  }
  const bladeWaterKg = [...share].reduce((sum, [id, moves]) => {
    const { part } = itemOf(build, id);
    return part.kind === 'blade' ? sum + moves * FACED_SHARE * bladeAddedKg(part, waterDensityKgM3) : sum;
  }, 0);
  const carried = bodies.reduce((sum, { of, massKg, volumeM3 }) => {
    const moves = of === 'wire' ? 0 : (share.get(of) ?? 0);
    return sum + moves * (massKg + waterDensityKgM3 * volumeM3);
  }, 0);
  return {
    outcome: 'arm',
    bladeWaterKg,
    arm: {
      youngPa,
      wireM: diameterM,
      lengthM: carrier.armM,
      bendWireM: tie ? wireIn(tie, diameterM) : 0,
      tipMassKg: carried + bladeWaterKg + BEAM_SHARE * wireMass(carrier.wire, carrier.armM),
    },
  };
}
