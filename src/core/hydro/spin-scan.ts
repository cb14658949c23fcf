/** β(κ) of a blade with its loads, from fast to slow turning: one curve for every speed; see spin.ts. */
import type { BladeStrips } from '../parts/outline';
import { BladeLoads, type Bearing, type Loads, type SpinBlade } from './blade-loads';

/** The scan of κ·reach from the fastest turning worth trying downward; a step is small against the distance of two roots. */
const SCAN_FASTEST = 8;
const SCAN_SLOWEST = 0.04;
const SCAN_RATIO = 0.8;
const SCAN_TOLERANCE_RAD = 1e-4;

export interface ScanPoint {
  readonly kappa: number;
  readonly spreadRad: number;
  /** Of the flap's balance, for the next one near by. */
  readonly slope: number;
  readonly loads: Loads;
}

/** β(κ) and its loads from fast to slow turning, worked out only as far as a speed asks for it and then kept. */
export class TipRatioScan {
  private readonly points: ScanPoint[] = [];

  constructor(
    readonly loads: BladeLoads,
    private readonly reachM: number,
  ) {}

  /** The step `index` of the scan, or null past its slow end. */
  at(index: number): ScanPoint | null {
    while (this.points.length <= index) {
      const kappaReach = SCAN_FASTEST * SCAN_RATIO ** this.points.length;
      if (kappaReach < SCAN_SLOWEST) return null;
      const kappa = kappaReach / this.reachM;
      const last = this.points.at(-1);
      this.loads.lastSlope = last?.slope ?? 0;
      const spreadRad = this.loads.balanceInPlace(kappa, last?.spreadRad ?? null, SCAN_TOLERANCE_RAD);
      this.points.push({ kappa, spreadRad, slope: this.loads.lastSlope, loads: { ...this.loads.loads } });
    }
    return this.points[index] ?? null;
  }
}

/** A scan hangs on neither speed nor rub: it serves every lure that carries this blade on a like hanger. */
interface KeptScan {
  readonly blade: SpinBlade;
  readonly dropM: number;
  readonly mostSpreadRad: number;
  readonly waterDensityKgM3: number;
  readonly scan: TipRatioScan;
}

/** Of each outline cut into strips, the last asked for first. All are let go when there are too many of them. */
let scans = new WeakMap<BladeStrips, KeptScan[]>();
let scansKept = 0;
/** As many as a blade with each of its three coefficients moved up and down, on two hangers. */
const KEPT_OF_ONE = 16;
/** A choice among twenty thousand blades must not stay in memory: a scan is about four kilobytes. */
const MOST_KEPT = 2000;

/** The scan of a blade on a hanger in this water, kg/m³, made once for all lures that carry it so. */
export function scanOf(blade: SpinBlade, { dropM, mostSpreadRad }: Bearing, waterDensityKgM3: number): TipRatioScan {
  const kept = scans.get(blade.strips) ?? [];
  const at = kept.findIndex(
    (each) =>
      each.dropM === dropM &&
      each.mostSpreadRad === mostSpreadRad &&
      each.waterDensityKgM3 === waterDensityKgM3 &&
      isSameBlade(each.blade, blade),
  );
  const known = kept[at];
  if (known) {
    if (at > 0) kept.unshift(...kept.splice(at, 1));
    return known.scan;
  }
  const loads = new BladeLoads(blade, dropM, mostSpreadRad, waterDensityKgM3);
  const scan = new TipRatioScan(loads, blade.reachM);
  if (++scansKept > MOST_KEPT) {
    scans = new WeakMap();
    scansKept = 1;
  }
  kept.unshift({ blade, dropM, mostSpreadRad, waterDensityKgM3, scan });
  if (kept.length > KEPT_OF_ONE) kept.pop();
  scans.set(blade.strips, kept);
  return scan;
}

/** Whether the water does the same to both, of one outline. */
function isSameBlade(a: SpinBlade, b: SpinBlade): boolean {
  return (
    a.coefficients.setAngleRad === b.coefficients.setAngleRad &&
    a.coefficients.flapFactor === b.coefficients.flapFactor &&
    a.coefficients.edgeDrag === b.coefficients.edgeDrag &&
    a.sheetMassKgM2 === b.sheetMassKgM2 &&
    a.lengthM === b.lengthM &&
    a.planAreaM2 === b.planAreaM2 &&
    a.reachM === b.reachM &&
    a.lobes === b.lobes &&
    a.fixedSpreadRad === b.fixedSpreadRad
  );
}
