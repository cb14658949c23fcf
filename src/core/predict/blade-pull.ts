/** What each blade drags, turning or not, and which way it pulls. */
import { CARRIES } from '../hydro/round-the-turn';
import type { TrimDrag } from '../hydro/trim';
import { wakeDeficit } from '../hydro/wake';
import type { Shared } from './factors';
import type { LureInWater } from './lure-in-water';
import type { BladeOutcome } from './turned';

/** Drag area of a blade that trails and flutters, as a share of its plan. Trade estimate. */
const FLUTTER_SHARE = 0.25;

/** What each blade drags at this speed, turning or not, N. */
export function bladeDrags(
  { dragsAt, rho }: Pick<LureInWater, 'dragsAt' | 'rho'>,
  shared: Shared,
  outcomes: readonly (BladeOutcome | undefined)[],
  speedMps: number,
): number[] {
  return dragsAt.map(({ plan }, i) => {
    const outcome = outcomes[i];
    if (outcome?.outcome === 'turning') return outcome.dragN;
    return 0.5 * rho * speedMps ** 2 * FLUTTER_SHARE * shared.flutter * plan;
  });
}

/** Of the angle between its axle and the stream, the share by which a turning blade pulls nearer to the stream; see docs/model.md. */
const TOWARDS_STREAM = 0.6;

/** How each blade pulls on the lure at its own place. */
export function bladePulls(
  inWater: Pick<LureInWater, 'dragsAt' | 'rho'>,
  shared: Shared,
  outcomes: readonly (BladeOutcome | undefined)[],
  speedMps: number,
): TrimDrag[] {
  const dragsN = bladeDrags(inWater, shared, outcomes, speedMps);
  return inWater.dragsAt.map((place, i) => {
    const { xM, yM, axleRad, isLead, ahead } = place;
    const outcome = outcomes[i];
    const slows = ahead && outcome?.outcome === 'turning' ? wakeDeficit(outcome, ahead.behindM, ahead.radiusM) : 0;
    return { xM, yM, axleRad, isLead, slows, dragN: dragsN[i] ?? 0, ...bladePull(place, outcome, shared) };
  });
}

/** Which way a blade pulls, and what it lifts: one that hangs is drawn with the stream. */
export function bladePull(
  { weightN }: LureInWater['dragsAt'][number],
  outcome: BladeOutcome | undefined,
  { towardsStream, carries }: Shared,
): Pick<TrimDrag, 'towardsStream' | 'carriesN'> {
  if (outcome?.outcome !== 'turning') return { towardsStream: 1, carriesN: 0 };
  const towards = Math.min(1, Math.max(0, TOWARDS_STREAM + towardsStream));
  return { towardsStream: towards, carriesN: CARRIES * carries * weightN };
}
