/** What turns on a prepared lure, at the pitch it gives the lure and in the wakes of one another. */
import { TOLERANCE_RAD, trimOf, type Trim, type TrimSums } from '../hydro/trim';
import type { Spinner } from '../in-water/spinners';
import { bladePulls } from '../predict/blade-pull';
import { crossingsOf, GRID_MPS, type Crossings } from '../predict/crossings';
import { AS_ESTIMATED } from '../predict/factors';
import { axleCosine, ROUNDS } from '../predict/inclined';
import { isLikelyKept } from '../predict/keeping';
import type { BladePlace, LureInWater } from '../predict/lure-in-water';
import type { ScaledLure } from '../predict/scaled-lure';
import { againstStall } from '../predict/spin';
import { outcomesAt, passedBy, type BladeOutcome, type Turned } from '../predict/turned';
import type { BladeOnBearing } from './blade-book';

/** One that turns, as it stands now. */
export interface Standing {
  readonly spinner: Spinner;
  readonly place: BladePlace;
  readonly known: BladeOnBearing;
}

/** What hangs on the line, whatever its blades do. */
export type Hanging = Pick<LureInWater, 'rho' | 'outfit' | 'planing' | 'dragsAt' | 'spinners'> & {
  readonly sums: TrimSums;
};

/** All blades at one speed, each in the wake of those ahead, the lure hanging at the pitch they give it. */
export function turnStanding(
  all: readonly Standing[],
  hanging: Hanging,
  speedMps: number,
  nearRad: number | null = null,
): { readonly turned: Turned[]; readonly pitchRad: number | null } {
  const { cosines, pitchRad } = axlesStanding(all, hanging, speedMps, nearRad);
  return { turned: turnEach(all, cosines, speedMps, true), pitchRad };
}

/** How the axles then stand to the stream. */
function axlesStanding(all: readonly Standing[], hanging: Hanging, speedMps: number, nearRad: number | null) {
  let cosines = all.map(() => 1);
  let pitchRad = nearRad;
  if (all.some(({ place }) => place.axleRad !== null)) {
    for (let round = 0; round < ROUNDS; round++) {
      const outcomes = outcomesAt(turnEach(all, cosines, speedMps, false), 0);
      pitchRad = speedMps > 0 ? trimWith(outcomes, hanging, speedMps, pitchRad).pitchRad : 0;
      const at = pitchRad;
      cosines = all.map(({ place }) => axleCosine(place.axleRad, at));
    }
  }
  return { cosines, pitchRad };
}

/** @param nearRad a pitch it is near, found before; null before any */
export function trimWith(
  outcomes: readonly (BladeOutcome | undefined)[],
  hanging: Hanging,
  speedMps: number,
  nearRad: number | null,
): Trim {
  const pulls = bladePulls(hanging, AS_ESTIMATED, outcomes, speedMps);
  return trimOf(hanging.sums, pulls, hanging.rho, speedMps, nearRad, TOLERANCE_RAD);
}

function turnEach(all: readonly Standing[], cosines: readonly number[], speedMps: number, isFine: boolean): Turned[] {
  const turned: Turned[] = [];
  for (let i = 0; i < all.length; i++) {
    const { spinner, known } = all[i] as Standing;
    const axleCos = cosines[i] ?? 1;
    const local = speedMps * passedBy(turned, spinner, 0) * axleCos;
    const outcome = isFine ? known.finely(local, axleCos) : known.coarsely(local, axleCos);
    const isStopped = outcome.outcome === 'turning' && !isLikelyKept(outcome.keeping);
    turned.push({
      spinner,
      localSpeedsMps: [local],
      axleCos: [axleCos],
      ifTurning: [outcome],
      outcomes: [isStopped ? { outcome: 'stopped', localSpeedMps: local } : outcome],
    });
  }
  return turned;
}

/** The speeds at which its forces come into balance. */
export function crossingsStanding(all: readonly Standing[], hanging: Hanging, scaled: ScaledLure): Crossings {
  const onGrid = GRID_MPS.map((each) => turnStanding(all, hanging, each).turned);
  const turned = all.map(({ spinner }, i): Turned => {
    const own = onGrid.map((each) => each[i] as Turned);
    return {
      spinner,
      localSpeedsMps: own.flatMap(({ localSpeedsMps }) => localSpeedsMps),
      axleCos: own.flatMap(({ axleCos }) => axleCos),
      ifTurning: own.flatMap(({ ifTurning }) => ifTurning),
      outcomes: own.flatMap(({ outcomes }) => outcomes),
    };
  });
  return crossingsOf(hanging, scaled, turned, 0);
}

/** Rounds in which the speed of the lure is found at which a blade meets that of its stall, as predict/stalls.ts takes them. */
const STALL_ROUNDS = 8;
/** Nearer to the last round it is found. */
const FOUND_SHARE = 2e-4;

/**
 * The slowest speed of the lure that keeps this one turning, m/s; null when none does.
 * @param near how many times the speed of a level axle it is, of a lure much like this
 */
export function keptDownTo(all: readonly Standing[], hanging: Hanging, index: number, near = 1): number | null {
  const { known, spinner, place } = all[index] as Standing;
  const levelMps = known.keepsMps();
  if (levelMps === null || (index === 0 && place.axleRad === null)) return levelMps;
  let speedMps = levelMps * near;
  let pitchRad: number | null = null;
  for (let round = 0; round < STALL_ROUNDS; round++) {
    const axles = axlesStanding(all, hanging, speedMps, pitchRad);
    ({ pitchRad } = axles);
    const along = axles.cosines[index] ?? 1;
    const ahead = turnEach(all.slice(0, index), axles.cosines, speedMps, true);
    const next = levelMps / againstStall(passedBy(ahead, spinner, 0) * along, along);
    const isFound = Math.abs(next / speedMps - 1) < FOUND_SHARE;
    speedMps = next;
    if (isFound) break;
  }
  return speedMps;
}
