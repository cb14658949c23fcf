/**
 * What a reading teaches: each moves the factors of a lure (factors.ts) towards what was measured and narrows them.
 *
 * The most believed place of the factors, given normal errors: the least of  |x|²_Σ + Σ((r_i − f_i(x))/e_i)²  by Gauss–
 * Newton, each round linearised where the last one ended. Within a round the readings are taken in one after the other,
 * as scalars (Kalman): with h the slope of f at the place x̂ it was linearised at,
 *     K = Σh/(hᵀΣh + e²),     x ← x + K(r − f(x̂) − h·(x − x̂)),     Σ ← Σ − K hᵀΣ.
 * Rates, depths, sink times and angles are read as logarithms: an error is a share of what was read. All errors are half
 * widths of nine cases in ten, as the factors are. A step that makes matters worse is halved.
 *
 * A reading that nothing believable alone brings about is doubted and teaches nothing, unless it is insisted on. What cannot
 * be at all is refused by name. Readings that are each believable and together are not widen what is believed: with χ² the sum
 * of what is left of them in their own errors and N their number, the covariance is taken χ²/N times where that is above 1 (R. T.
 * Birge, Physical Review 40, 1932).
 * Source: any text on estimation (Bell and Cathey, IEEE Trans. Automatic Control 38, 1993: the iterated Kalman filter is
 * Gauss–Newton).
 */
import { USUAL_OUTFIT } from '../hydro/outfit';
import type { Water } from '../hydro/water';
import type { Build } from '../lure/lure';
import type { Reading } from '../lure/reading';
import { HALF_WIDTHS_A_SIGMA } from './band';
import { crossingsOf, GRID_MPS } from './crossings';
import { beliefFor, coefficientsAt, movedBy, sharedAt, type Belief, type Factor } from './factors';
import { axleCosines } from './inclined';
import { rideAt } from './ride';
import { lureInWater, type LureInWater } from './lure-in-water';
import { scaledTo, type ScaledLure } from './scaled-lure';
import { outcomesAt, turnAll, type AxleCosines, type Turned } from './turned';
import type { Asked } from './predict';

/** A reading that teaches nothing: what it reads cannot be predicted of this lure. */
export interface Unused {
  readonly reading: number;
  readonly why: 'noSuchBlade' | 'doesNotTurn' | 'doesNotSink' | 'deeperThanItsLine' | 'doubted';
}

type Impossible = Exclude<Unused['why'], 'doubted'>;

export interface Learnt {
  readonly belief: Belief;
  readonly unused: readonly Unused[];
  /** Readings that nothing believable makes come out as they were read: worth reading again. They are among the unused, unless insisted on. */
  readonly doubted: readonly number[];
  /** How many times wider than their errors the readings lie apart: above 1 they contradict each other. */
  readonly apart: number;
  /** Rounds until it no longer moved. */
  readonly rounds: number;
}

const MOST_ROUNDS = 12;
/** Half widths: closer than this the place no longer moves. */
const SETTLED = 1e-3;
/** A factor is moved this far for its slope. */
const SLOPE_STEP = 0.25;
/** No factor is believed further out than this; a reading that asks for more is doubted. */
const FARTHEST = 4;
/** What linearising leaves out: covariances come out that much too small in made-up cases (verification.md). */
const LINEARISED = 1.2;
/** So many of its own errors off, a reading is doubted. */
const DOUBTED = 2;

/** What is believed of this lure after these readings; a pure function of them and of what was believed before. */
export function learnFrom(build: Build, water: Water, readings: readonly Reading[], asked: Asked = {}): Learnt {
  const inWater = lureInWater(build, water, asked.outfit ?? USUAL_OUTFIT, asked.state);
  const before = beliefFor(
    inWater.spinners.map(({ station }) => station),
    asked.learnt ?? null,
  );
  const model = new ReadingModel(inWater, before.factors, readings);
  const first = model.at(before.middle);
  const impossible = first.logs.flatMap((each, i): Unused[] =>
    typeof each === 'string' ? [{ reading: i, why: each }] : [],
  );
  const possible = readings.flatMap((_, i) => (typeof first.logs[i] === 'string' ? [] : [i]));
  const doubted = possible.filter((i) => isDoubted(model, before, first, i));
  const isUsed = (i: number) => !doubted.includes(i) || readings[i]?.insisted === true;
  const used = possible.filter(isUsed);
  const unused = [
    ...impossible,
    ...doubted.filter((i) => !isUsed(i)).map((i): Unused => ({ reading: i, why: 'doubted' })),
  ];
  const { place, covariance, rounds } = fitted(model, before, first, used);
  const left = used.map((i) => model.off(place, i) * HALF_WIDTHS_A_SIGMA);
  const apart = used.length > 1 ? left.reduce((sum, each) => sum + each ** 2, 0) / used.length : 0;
  const wider = (used.length > 0 ? LINEARISED : 1) * Math.max(1, apart);
  // No factor is less known than before anything was read.
  const grown = covariance.map((row, k) => {
    const [was, is] = [before.covariance[k]?.[k] ?? 0, row[k] ?? 0];
    return is > 0 ? Math.sqrt(Math.min(wider, Math.max(1, was / is))) : 1;
  });
  return {
    belief: {
      factors: before.factors,
      middle: place.at,
      covariance: covariance.map((row, a) => row.map((each, b) => each * (grown[a] ?? 1) * (grown[b] ?? 1))),
    },
    unused,
    doubted,
    apart: Math.sqrt(apart),
    rounds,
  };
}

/** Whether nothing believable makes this one, alone, come out as it was read. */
function isDoubted(model: ReadingModel, before: Belief, first: ModelAt, i: number): boolean {
  if (Math.abs(model.off(first, i)) <= 1) return false;
  return Math.abs(model.off(fitted(model, before, first, [i]).place, i)) > DOUBTED;
}

/** The most believed place of the factors after these of the readings, and their covariance there. */
function fitted(
  model: ReadingModel,
  before: Belief,
  first: ModelAt,
  used: readonly number[],
): { readonly place: ModelAt; readonly covariance: Belief['covariance']; readonly rounds: number } {
  const farness = inverseTimes(before.covariance);
  const badness = (place: ModelAt) =>
    farness(place.at.map((x, k) => x - (before.middle[k] ?? 0))) +
    used.reduce((sum, i) => sum + model.off(place, i) ** 2, 0) +
    (stopsWhatTurned(first, place) ? Infinity : 0);
  let place = first;
  let { covariance } = before;
  let rounds = 0;
  while (rounds < MOST_ROUNDS && used.length > 0) {
    rounds++;
    const slopes = model.slopes(place);
    const x = [...before.middle];
    const P = before.covariance.map((row) => [...row]);
    for (const i of used) {
      const reading = model.readings[i];
      if (!reading) continue;
      const h = slopes[i] ?? [];
      const Ph = P.map((row) => dot(row, h));
      const variance = dot(h, Ph) + reading.errorShare ** 2;
      const off = readOf(reading) - ((place.logs[i] as number) + dot(h, x) - dot(h, place.at));
      Ph.forEach((each, k) => (x[k] = (x[k] ?? 0) + (each / variance) * off));
      P.forEach((row, k) => row.forEach((_, j) => (row[j] = (row[j] ?? 0) - ((Ph[k] ?? 0) * (Ph[j] ?? 0)) / variance)));
    }
    covariance = P;
    const next = betterOnTheWay(model, place, x, badness);
    if (!next) break;
    const moved = Math.max(...next.at.map((each, k) => Math.abs(each - (place.at[k] ?? 0))));
    place = next;
    if (moved < SETTLED) break;
  }
  return { place, covariance, rounds };
}

/** No reading makes a blade stand still that turned before it: it was not asked about that. */
function stopsWhatTurned(before: ModelAt, after: ModelAt): boolean {
  return before.turned.some(({ ifTurning }, blade) =>
    ifTurning.some((each, i) => each.outcome === 'turning' && after.turned[blade]?.ifTurning[i]?.outcome !== 'turning'),
  );
}

/** From a place towards a goal, as far as it does not make matters worse; null when it does from the start. */
function betterOnTheWay(
  model: ReadingModel,
  from: ModelAt,
  to: readonly number[],
  badness: (place: ModelAt) => number,
): ModelAt | null {
  const bad = badness(from);
  for (let share = 1; share > 0.05; share /= 2) {
    const place = model.at(from.at.map((each, k) => clamped(each + share * ((to[k] ?? 0) - each))));
    if (badness(place) <= bad) return place;
  }
  return null;
}

function clamped(x: number): number {
  return Math.max(-FARTHEST, Math.min(FARTHEST, x));
}

function dot(a: readonly number[], b: readonly number[]): number {
  return a.reduce((sum, each, i) => sum + each * (b[i] ?? 0), 0);
}

function readOf(reading: Reading): number {
  switch (reading.kind) {
    case 'rate':
      return Math.log(reading.rateHz);
    case 'spread':
      return Math.log(reading.spreadRad);
    case 'depth':
      return Math.log(reading.depthM);
    case 'sink':
      return Math.log(reading.throughM / reading.seconds);
  }
}

/** The factors at a place, what the blades do there, and the logarithm of what each reading would read, or why none. */
interface ModelAt {
  readonly at: readonly number[];
  readonly turned: readonly Turned[];
  readonly logs: readonly (number | Impossible)[];
}

class ReadingModel {
  /** The speeds of the readings, then those a fall is worked out from. */
  private readonly speedsMps: readonly number[];
  private readonly axleCos: AxleCosines;

  constructor(
    private readonly inWater: LureInWater,
    private readonly factors: readonly Factor[],
    readonly readings: readonly Reading[],
  ) {
    const isFallen = readings.some(({ kind }) => kind === 'sink');
    this.speedsMps = [
      ...readings.map((reading) => (reading.kind === 'sink' ? 0 : reading.speedMps)),
      ...(isFallen ? GRID_MPS : []),
    ];
    this.axleCos = axleCosines(inWater, this.speedsMps);
  }

  /** @param turned what the blades do, where no factor of theirs has moved */
  at(at: readonly number[], turned: readonly Turned[] | null = null): ModelAt {
    const { spinners, rho } = this.inWater;
    const spun =
      turned ??
      turnAll(spinners, rho, this.speedsMps, {
        axleCos: this.axleCos,
        coefficients: spinners.map(({ nominal, station }) => coefficientsAt(nominal, station, this.factors, at)),
      });
    const scaled = scaledTo(this.inWater, sharedAt(this.factors, at));
    return { at, turned: spun, logs: this.readings.map((reading, i) => this.logOf(reading, i, spun, scaled)) };
  }

  /** How many of its own errors a reading is off at a place. */
  off(place: ModelAt, i: number): number {
    const [reading, said] = [this.readings[i], place.logs[i]];
    return reading && typeof said === 'number' ? (readOf(reading) - said) / reading.errorShare : Infinity;
  }

  /** d log/dx of each reading with each factor at this place; 0 where one side cannot be said. */
  slopes(place: ModelAt): number[][] {
    const pairs = this.factors.map((factor, k) => {
      const kept = factor.of === 'blade' ? null : place.turned;
      return [SLOPE_STEP, -SLOPE_STEP].map((by) => this.at(movedBy(place.at, k, by), kept).logs);
    });
    return this.readings.map((_, i) =>
      pairs.map(([up, down]) => {
        const [a, b] = [up?.[i], down?.[i]];
        return typeof a === 'number' && typeof b === 'number' ? (a - b) / (2 * SLOPE_STEP) : 0;
      }),
    );
  }

  private logOf(reading: Reading, i: number, turned: readonly Turned[], scaled: ScaledLure): number | Impossible {
    switch (reading.kind) {
      case 'rate':
      case 'spread': {
        const blade = turned.find(({ spinner }) => spinner.station === reading.station);
        if (!blade) return 'noSuchBlade';
        // It was seen turning.
        const outcome = blade.ifTurning[i];
        if (outcome?.outcome !== 'turning') return 'doesNotTurn';
        return Math.log(reading.kind === 'rate' ? outcome.rateHz : outcome.spreadRad);
      }
      case 'depth': {
        const { speedMps, lineOutM, depthM } = reading;
        if (depthM >= lineOutM) return 'deeperThanItsLine';
        const [line] = rideAt(this.inWater, scaled, outcomesAt(turned, i), speedMps, [lineOutM]).lines;
        return line?.outcome === 'sinks' && line.depthM > 0 ? Math.log(line.depthM) : 'doesNotSink';
      }
      case 'sink': {
        const { sinkMps } = crossingsOf(this.inWater, scaled, turned, this.readings.length);
        return sinkMps === null ? 'doesNotSink' : Math.log(sinkMps);
      }
    }
  }
}

/** xᵀΣ⁻¹x as a function of x, by the Cholesky factor of Σ. */
function inverseTimes(covariance: Belief['covariance']): (x: readonly number[]) => number {
  const n = covariance.length;
  const L = covariance.map((row) => [...row]);
  for (let j = 0; j < n; j++) {
    for (let i = j; i < n; i++) {
      let sum = covariance[i]?.[j] ?? 0;
      for (let k = 0; k < j; k++) sum -= (L[i]?.[k] ?? 0) * (L[j]?.[k] ?? 0);
      const row = L[i] as number[];
      // What is known for certain stays where it is: a floor keeps the division whole.
      row[j] = i === j ? Math.sqrt(Math.max(sum, 1e-9)) : sum / (L[j]?.[j] ?? 1);
    }
  }
  return (x) => {
    const y: number[] = [];
    for (let i = 0; i < n; i++) {
      let sum = x[i] ?? 0;
      for (let k = 0; k < i; k++) sum -= (L[i]?.[k] ?? 0) * (y[k] ?? 0);
      y.push(sum / (L[i]?.[i] ?? 1));
    }
    return dot(y, y);
  };
}
