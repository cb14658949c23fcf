/**
 * A retrieve as it is fished: cast and wound in by steps of speed and pauses, over and over, or trolled with the line as it is.
 *
 * At each speed the lure goes along its line as in retrieve-path.ts. In a pause it falls straight down on slack line, at most
 * as far as the line lets it hang; taken up again, it goes on from where it is. Each step takes its own speed at once: what
 * a lure needs to gather speed is well below a second. A lure that planes is up once it has risen to the surface.
 */
import type { Water } from '../hydro/water';
import { waterViscosity } from '../hydro/water';
import { fishingLine, USUAL_OUTFIT, type Outfit } from '../hydro/outfit';
import { MAX_SPEED_MPS } from '../hydro/spin';
import { lureShapes, slopeWithSinker } from '../hydro/outfit-line';
import { depthOf } from '../hydro/towed-line';
import type { Build, ItemId } from '../lure/lure';
import { nominalCrossings } from './crossings';
import { axleCosines } from './inclined';
import { lureInWater } from './lure-in-water';
import { sinkingMps } from './retrieve-path';
import { pullOnLine, rideAt } from './ride';
import { scaledAsEstimated } from './scaled-lure';
import { soundOfRide, USUAL_SOUND, wholeFigures } from './sound';
import { outcomesAt, turnAll } from './turned';

export interface ScriptStep {
  readonly seconds: number;
  /** 0 for a pause on slack line. */
  readonly speedMps: number;
}

export interface RetrieveScript {
  /** On slack line after it lands. */
  readonly countdownS: number;
  readonly steps: readonly ScriptStep[];
  /** Towed behind a boat: the line is as long all the time. */
  readonly isTrolled: boolean;
}

export interface ScriptPoint {
  readonly timeS: number;
  readonly speedMps: number;
  readonly depthM: number;
  readonly lineOutM: number;
}

/** What a lure does at one of the speeds of a script; 0 for the fall in a pause. */
export interface AtStep {
  readonly speedMps: number;
  /** Of each blade, turns a second; null where it stands still. */
  readonly rates: readonly { readonly station: ItemId; readonly rateHz: number | null }[];
  /** Beside the reference spinner; null where it cannot be said. */
  readonly levelDb: number | null;
}

export type ScriptPath =
  | {
      readonly outcome: 'runs';
      readonly points: readonly ScriptPoint[];
      /** One per speed of the script, slowest first. */
      readonly at: readonly AtStep[];
      readonly sinkMps: number | null;
      /** Of a lure that planes: line wound in before it is up; null when it never is. Of another lure, null. */
      readonly lostM: number | null;
    }
  | { readonly outcome: 'outsideModel'; readonly quantity: 'speedMps'; readonly value: number; readonly limit: number };

const STEP_S = 0.1;
/** A trolled script is followed for so long, and no other longer than this. */
const TROLLED_S = 60;
const LONGEST_S = 240;
/** Lengths of line at which its depth is worked out; between them it runs straight. */
const LENGTHS = 24;
const LIFTED_AT_M = 1.5;
const UP_M = 0.03;

/** @throws Error for a script without a step that moves: a caller's mistake */
export function followScript(
  build: Build,
  water: Water,
  script: RetrieveScript,
  outfit: Outfit = USUAL_OUTFIT,
): ScriptPath {
  const speeds = [...new Set(script.steps.map(({ speedMps }) => speedMps))].sort((a, b) => a - b);
  const fastest = speeds.at(-1) ?? 0;
  if (fastest > MAX_SPEED_MPS)
    return { outcome: 'outsideModel', quantity: 'speedMps', value: fastest, limit: MAX_SPEED_MPS };
  if (fastest <= 0) throw new Error('followScript: needs a step that moves');
  const { sinkMps, planingMps } = nominalCrossings(build, water, outfit);
  const inWater = lureInWater(build, water, outfit);
  const fall = sinkMps ?? 0;
  const moving = speeds.filter((speed) => speed > 0);
  const asked = fall > 0 ? [...moving, Math.min(fall, MAX_SPEED_MPS)] : moving;
  const turned = turnAll(inWater.spinners, inWater.rho, asked, { axleCos: axleCosines(inWater, asked) });
  const ratesAt = (index: number) =>
    inWater.spinners.map(({ station }, blade) => {
      const outcome = turned[blade]?.outcomes[index];
      return { station, rateHz: outcome?.outcome === 'turning' ? outcome.rateHz : null };
    });
  const { tipHeightM: h, lineOutM } = outfit;
  const lengths = Array.from({ length: LENGTHS }, (_, i) => (lineOutM * (i + 1)) / LENGTHS);
  const line = fishingLine(outfit.line);
  const viscosityPaS = waterViscosity(water);
  const scaled = scaledAsEstimated(inWater);
  const towed = new Map(
    moving.map((speedMps, index) => {
      const outcomes = outcomesAt(turned, index);
      const ride = rideAt(inWater, scaled, outcomes, speedMps, [lineOutM]);
      const setting = { waterDensityKgM3: inWater.rho, tipHeightM: h, speedMps };
      const planes = planingMps !== null && speedMps >= planingMps;
      const depths = lureShapes(line, outfit, pullOnLine(ride.trim), setting, lengths).map((shape) =>
        planes ? 0 : depthOf(shape),
      );
      const heard = soundOfRide(inWater, ride, outcomes, viscosityPaS, USUAL_SOUND);
      const levelDb = wholeFigures(heard, USUAL_SOUND.fish).levelDb;
      const slopeRad = planes ? 0 : slopeWithSinker(outfit, pullOnLine(ride.trim), setting);
      return [speedMps, { slopeRad, depths, levelDb }] as const;
    }),
  );
  const at = [
    ...(speeds[0] === 0
      ? [{ speedMps: 0, rates: fall > 0 ? ratesAt(moving.length) : ratesAt(-1), levelDb: null }]
      : []),
    ...moving.map((speedMps, index): AtStep => ({
      speedMps,
      rates: ratesAt(index),
      levelDb: towed.get(speedMps)?.levelDb ?? null,
    })),
  ];

  /** How fast it sinks, wound in at this speed with so much out; below zero rising. */
  const sinks = (speedMps: number, depthM: number, outM: number): number => {
    const level = towed.get(speedMps);
    if (!level) return 0;
    const place = Math.min(LENGTHS - 1, Math.max(0, (outM / lineOutM) * LENGTHS - 1));
    const [from, to] = [Math.floor(place), Math.ceil(place)];
    const levelM = (level.depths[from] ?? 0) + ((level.depths[to] ?? 0) - (level.depths[from] ?? 0)) * (place - from);
    return sinkingMps({ speedMps, slopeRad: level.slopeRad, levelM, depthM, lineOutM: outM, tipHeightM: h });
  };

  const points: ScriptPoint[] = [];
  let [timeS, depthM, outM] = [0, 0, lineOutM];
  const add = (speedMps: number) => points.push({ timeS, speedMps, depthM, lineOutM: outM });
  const goOn = (speedMps: number, seconds: number) => {
    for (let left = seconds; left > 1e-9 && !isOver(); left -= STEP_S) {
      const dt = Math.min(STEP_S, left);
      const winds = speedMps > 0 && !script.isTrolled;
      const rate = speedMps > 0 ? sinks(speedMps, depthM, outM) : fall;
      outM = winds ? Math.max(LIFTED_AT_M, outM - speedMps * dt) : outM;
      depthM = Math.min(Math.max(0, depthM + dt * rate), Math.max(0, outM - h));
      timeS += dt;
      add(speedMps);
    }
  };
  const isOver = () =>
    timeS >= LONGEST_S || (script.isTrolled ? timeS >= TROLLED_S : outM <= Math.max(LIFTED_AT_M, h) + 1e-9);
  if (script.isTrolled) depthM = towed.get(moving[0] ?? 0)?.depths.at(-1) ?? 0;
  add(0);
  if (!script.isTrolled) goOn(0, script.countdownS);
  while (!isOver()) for (const { speedMps, seconds } of script.steps) goOn(speedMps, seconds);
  const up =
    planingMps === null ? undefined : points.find((point) => point.speedMps >= planingMps && point.depthM <= UP_M);
  return { outcome: 'runs', points, at, sinkMps, lostM: up ? lineOutM - up.lineOutM : null };
}
