/** The wire arm of a lure as a spring with a mass at its end: hydro/arm-shake.ts. */
import { BEAM_SHARE, YOUNG_PA, type Arm } from '../hydro/arm-shake';
import { wireIn } from '../parts/formed-wire';
import { wireMass } from '../parts/mass';
import type { MaterialId } from '../parts/material';
import type { Body } from './bodies';
import type { Layout } from './layout';
import type { Build, ItemId } from './lure';
import { isTie } from './structure';

/** Young's modulus of a material wire is drawn from; null for any other. */
function youngOf(material: MaterialId): number | null {
  return material in YOUNG_PA ? YOUNG_PA[material as keyof typeof YOUNG_PA] : null;
}

export type ArmOutcome =
  | { readonly outcome: 'arm'; readonly arm: Arm }
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

/**
 * The arm behind the line tie of a bent wire, with what sits on it. What hangs behind it moves with its end, what is strung
 * on it with the square of its place; the water displaced moves along once more.
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
  const carried = bodies.reduce((sum, { of, massKg, volumeM3 }) => {
    const moves = of === 'wire' ? 0 : (share.get(of) ?? 0);
    return sum + moves * (massKg + waterDensityKgM3 * volumeM3);
  }, 0);
  return {
    outcome: 'arm',
    arm: {
      youngPa,
      wireM: diameterM,
      lengthM: carrier.armM,
      bendWireM: tie ? wireIn(tie, diameterM) : 0,
      tipMassKg: carried + BEAM_SHARE * wireMass(carrier.wire, carrier.armM),
    },
  };
}
