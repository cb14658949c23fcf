/** How the body of a hard bait swings at a speed, what that does to the blades on it, and how it floats. */
import { flashers, type Flasher } from '../geometry/flashers';
import { layOut, type Layout } from '../geometry/layout';
import { hungBlade, swingOf, swingsOnPause } from '../hydro/flasher';
import { GRAVITY_MPS2, waterDensity, type Water } from '../hydro/water';
import { wobbleOf, type Wobble } from '../hydro/wobble';
import { USUAL_OUTFIT } from '../hydro/outfit';
import { pointOn } from '../carriers/wire-path';
import { poseOf } from '../geometry/placed';
import { spinSeats } from '../geometry/seats';
import type { Build, ItemId } from '../lure/lure';
import type { Blade } from '../parts/kinds/blade';
import { flatDragM2 } from '../parts/body-form';
import { turnsFrom } from './keeping';
import { lureInWater } from './lure-in-water';
import { scaledAsEstimated } from './scaled-lure';

/** A blade under a body as it swings. */
export interface Flashing extends Flasher {
  /** To each side, rad; 0 where the body does not wobble. */
  readonly swingRad: number;
  /** How often it ticks on the body: once a wobble, where it swings far enough to. */
  readonly ticksHz: number;
}

/** A blade that is free all round behind a body. */
export interface FreeBlade {
  readonly item: ItemId;
  /** Turning it keeps on down to this, and hanging it starts from this on with a twitch, m/s; null where it turns at no speed. */
  readonly turns: { readonly keepsMps: number; readonly startsMps: number } | null;
  /** How far the wobble carries its ring to each side, m; 0 where the body does not wobble. */
  readonly toAndFroM: number;
}

export interface BodySwing {
  readonly wobble: Wobble | null;
  readonly flashing: readonly Flashing[];
  readonly free: readonly FreeBlade[];
  /** Weight in water of all of it, and of the bare body, N; below zero it floats. */
  readonly sinkingN: number;
  readonly bareSinkingN: number;
  /** How long it takes to rise or sink a metre, s; null where it hovers. */
  readonly secondsPerM: number | null;
}

/** From here on a blade reaches the body as it swings. Trade estimate. */
const TICKS_FROM_RAD = 0.09;
/** It hovers while it takes longer than this for a metre, s. */
const HOVERS_FROM_S = 20;

/** Of a lure with a hard bait; null of one without. @param speedMps through the water, m/s */
export function bodySwing(
  build: Build,
  water: Water,
  speedMps: number,
  layout: Layout = layOut(build),
): BodySwing | null {
  const laid = layout.carriers.find(({ carrier }) => carrier.kind === 'body');
  if (laid?.carrier.kind !== 'body') return null;
  const { wire: body } = laid.carrier;
  const rho = waterDensity(water);
  const inWater = lureInWater(build, water, USUAL_OUTFIT, 'clean', layout);
  const scaled = scaledAsEstimated(inWater);
  const wobble = scaled.wobbling && wobbleOf(scaled.wobbling, rho, speedMps);
  const tieM = (laid.pulledAt?.xM ?? 0) - laid.lines.skin.xM;
  const toAndFro = (atM: number) => (wobble ? Math.abs(atM - tieM) * Math.sin(wobble.swingRad) : 0);
  const free = spinSeats(build, layout).flatMap(({ item, line, holeM, ring }): FreeBlade[] => {
    const spinner = ring ? inWater.spinners.find(({ station }) => station === item.id) : undefined;
    if (!spinner) return [];
    const ringM = pointOn(poseOf(layout, line), holeM).xM - laid.lines.skin.xM;
    return [{ item: item.id, turns: turnsFrom(spinner, rho), toAndFroM: toAndFro(ringM) }];
  });
  const flashing = flashers(build, layout).map((each): Flashing => {
    const toAndFroM = toAndFro(each.holeM);
    const swingRad = wobble ? swingOf(hungBlade(each.blade), toAndFroM, wobble.rateHz, rho, speedMps) : 0;
    return { ...each, swingRad, ticksHz: wobble && swingRad > TICKS_FROM_RAD ? wobble.rateHz : 0 };
  });
  // Of the bait alone: what is on a leader ahead of it does not hold it up or down.
  const sinkingN = inWater.bodies.reduce(
    (sum, { massKg, volumeM3, isLead }) => sum + (isLead ? 0 : (massKg - rho * volumeM3) * GRAVITY_MPS2),
    0,
  );
  const mps = Math.sqrt(Math.abs(sinkingN) / (0.5 * rho * flatDragM2(body)));
  return {
    wobble,
    flashing,
    free,
    sinkingN,
    bareSinkingN: (body.massKg - rho * body.volumeM3) * GRAVITY_MPS2,
    secondsPerM: mps > 1 / HOVERS_FROM_S ? 1 / mps : null,
  };
}

/** How often a free blade at the rear is seen to swing once the bait is stopped. */
export function pauseSwings(blade: Blade, water: Water): number {
  return swingsOnPause(hungBlade(blade), waterDensity(water));
}
