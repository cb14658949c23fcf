/**
 * What is known of blades on bearings: of each pair where it stops, how it turned in the streams it was last asked about,
 * and the state from which the next is found. Kept as long as there are not too many.
 */
import type { Bearing, SpinBlade } from '../hydro/blade-loads';
import { meanSolver, slowestKept, type MeanOutcome } from '../hydro/round-the-turn';
import { FOR_BAND } from '../hydro/spin';
import { WarmSpin } from '../hydro/warm-spin';
import { keptAt } from '../predict/keeping';

/** So many pairs are kept, each of some five kilobytes; then all are let go. */
const MOST_PAIRS = 3000;
/** So many streams of a pair. */
const MOST_STREAMS = 8;

/** Along a level axle. */
interface InStream {
  readonly speedMps: number;
  readonly outcome: MeanOutcome;
}

/** One blade on one bearing. */
export class BladeOnBearing {
  private readonly coarse: (speedMps: number, axleCos?: number) => MeanOutcome;
  private warm: WarmSpin | null = null;
  private readonly streams: InStream[] = [];
  private oldest = 0;
  private kept: number | null | undefined;

  constructor(
    private readonly blade: SpinBlade,
    readonly bearing: Bearing,
    private readonly rho: number,
  ) {
    this.coarse = meanSolver(blade, bearing, rho, FOR_BAND);
  }

  /** As the prediction has it while it looks for the pitch. @param speedMps along the axle */
  coarsely(speedMps: number, axleCos: number): MeanOutcome {
    if (axleCos === 1) {
      for (const each of this.streams) if (each.speedMps === speedMps) return each.outcome;
    }
    const outcome = this.coarse(speedMps, axleCos);
    // Along a level axle the same streams come again; along a sloping one hardly ever.
    if (axleCos !== 1) return outcome;
    this.streams[this.oldest] = { speedMps, outcome };
    this.oldest = (this.oldest + 1) % MOST_STREAMS;
    return outcome;
  }

  /** For an answer. */
  finely(speedMps: number, axleCos: number): MeanOutcome {
    this.warm ??= new WarmSpin(this.blade, this.bearing, this.rho);
    return this.warm.meanAt(speedMps, axleCos);
  }

  /** The slowest water along a level axle that keeps it turning, m/s; null when none does. */
  keepsMps(): number | null {
    if (this.kept === undefined) {
      const kept = slowestKept(this.blade, this.bearing, this.rho, null, FOR_BAND);
      this.kept = kept.outcome === 'keeps' ? keptAt(kept, 0) : null;
    }
    return this.kept;
  }
}

export class BladeBook {
  private byBlade = new WeakMap<SpinBlade, Map<number, BladeOnBearing[]>>();
  private count = 0;

  /** @param rho density of the water, kg/m³; a book serves one water */
  constructor(readonly rho: number) {}

  find(blade: SpinBlade, bearing: Bearing): BladeOnBearing {
    let byBearing = this.byBlade.get(blade);
    if (!byBearing) this.byBlade.set(blade, (byBearing = new Map()));
    const mark = markOf(bearing);
    const alike = byBearing.get(mark);
    const known = alike?.find((each) => isSameBearing(each.bearing, bearing));
    if (known) return known;
    if (++this.count > MOST_PAIRS) {
      this.byBlade = new WeakMap([[blade, (byBearing = new Map())]]);
      this.count = 1;
    }
    const found = new BladeOnBearing(blade, bearing, this.rho);
    byBearing.set(mark, [...(byBearing.get(mark) ?? []), found]);
    return found;
  }
}

/** One number for a bearing: different ones mostly have different numbers. */
function markOf(bearing: Bearing): number {
  const { dropM, friction, faceFriction, wireRadiusM, faceRadiusM, steadyTorqueNm, mostSpreadRad } = bearing;
  return (
    dropM * 1e3 +
    friction * 3.1 +
    faceFriction * 7.3 +
    wireRadiusM * 1.7e4 +
    faceRadiusM * 2.9e4 +
    steadyTorqueNm * 1.3e5 +
    mostSpreadRad
  );
}

/** In the innermost loop of a search, so field by field. */
function isSameBearing(a: Bearing, b: Bearing): boolean {
  return (
    a.dropM === b.dropM &&
    a.friction === b.friction &&
    a.faceFriction === b.faceFriction &&
    a.wireRadiusM === b.wireRadiusM &&
    a.faceRadiusM === b.faceRadiusM &&
    a.steadyTorqueNm === b.steadyTorqueNm &&
    a.mostSpreadRad === b.mostSpreadRad
  );
}
