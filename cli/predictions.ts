/** What `predict` answers with: a prediction under names that carry their units. */
import type { Outfit } from '../src/core/hydro/outfit';
import { MAX_SPEED_MPS } from '../src/core/hydro/spin';
import type { Water } from '../src/core/hydro/water';
import type { BladeState } from '../src/core/in-water/bearing';
import type { Lure } from '../src/core/lure/lure';
import type { Banded, Said } from '../src/core/predict/band';
import { moversOf, type BladeOutput, type MovedOutput, type Movers } from '../src/core/predict/movers';
import type { LureOutput, RideOutput } from '../src/core/predict/outputs';
import { predict, type Prediction, type RidePrediction } from '../src/core/predict/predict';
import type { Reading } from '../src/core/lure/reading';
import { learnFrom } from '../src/core/predict/readings';
import type { Centre } from '../src/core/predict/centres';
import { doesTurn, type BladePrediction } from '../src/core/predict/spin';
import { USUAL_SOUND, type SoundOutput } from '../src/core/predict/sound';
import { stallSpeeds } from '../src/core/predict/stalls';
import { factorName } from './options';
import { SOUND_NAMES, soundFigures } from './sounds';
import { readUsed, wearJson } from './wear';

export interface PredictionAsked {
  readonly water: Water;
  readonly outfit: Outfit;
  readonly readings: readonly Reading[];
  readonly state: BladeState;
}

/** An output's name for scripts, and what its SI value is multiplied by for it. */
type Naming = readonly [name: string, by: number];
const DEGREES = 180 / Math.PI;
const RIDE_NAMES: Readonly<Record<RideOutput, Naming>> = {
  thumpNs: ['thump_mn_s', 1000],
  pulseN: ['pulse_n', 1],
  shakeM: ['shake_mm', 1000],
  dragN: ['drag_n', 1],
  lineSlopeRad: ['line_slope_deg', DEGREES],
  depthM: ['depth_m', 1],
  pitchRad: ['pitch_deg', DEGREES],
  leanRad: ['lean_deg', DEGREES],
  yawRad: ['yaw_deg', DEGREES],
  sidePullRad: ['side_pull_deg', DEGREES],
  aimOffM: ['aim_off_m', 1],
  twistTurns: ['twist_turns_per_100_m', 1],
  twistBehindSwivelTurns: ['twist_behind_swivel_turns_per_100_m', 1],
  wobbleHz: ['wobble_hz', 1],
  wobbleRad: ['wobble_deg', DEGREES],
};
const BLADE_NAMES: Readonly<Record<BladeOutput, string>> = {
  rateHz: 'rate_hz',
  spreadRad: 'spread_deg',
  dragN: 'drag_n',
};
const LURE_NAMES: Readonly<Record<LureOutput, Naming>> = {
  massKg: ['mass_g', 1000],
  sinkingN: ['sinking_weight_n', 1],
  sinkMps: ['sink_rate_m_s', 1],
  armHz: ['arm_natural_hz', 1],
  surfaceMps: ['surface_speed_m_s', 1],
  planingMps: ['planing_speed_m_s', 1],
  wobbleStartMps: ['wobble_from_m_s', 1],
};

export function predictions(lure: Lure, speedsMps: readonly number[], asked: PredictionAsked) {
  const { water, outfit, readings, state } = asked;
  const learnt = readings.length > 0 ? learnFrom(lure.build, water, readings, { outfit, state }) : null;
  const prediction = predict(lure.build, water, speedsMps, {
    outfit,
    state,
    learnt: learnt?.belief ?? null,
    sound: USUAL_SOUND,
  });
  const stalls = stallSpeeds(lure.build, water, state, learnt?.belief);
  const stallBand = together(stalls.map(({ stall }) => stall));
  return {
    lure: lure.id,
    water: { temperature_k: water.temperatureK, salinity_g_per_kg: water.salinityGPerKg },
    outfit,
    line_out_m: outfit.lineOutM,
    state,
    readings: learnt && {
      used: readings.length - learnt.unused.length,
      unused: learnt.unused,
      doubted: learnt.doubted,
    },
    ...outputsJson(prediction.lure, LURE_NAMES),
    stall_speed_m_s: stallBand,
    stalls: stalls.map(({ station, stall }) => ({
      station,
      outcome: stall.outcome,
      keeps_turning_down_to_m_s: stall.outcome === 'stalls' ? stall.keepsMps.value : null,
      stall_speed_m_s: stall.outcome === 'stalls' ? [stall.keepsMps.low, stall.keepsMps.high] : null,
      starts_at_m_s: stall.outcome === 'stalls' ? stall.startsMps : null,
    })),
    wear: wearJson(lure, water, readUsed({}, lure)),
    arm: prediction.arm.outcome === 'arm' ? 'arm' : prediction.arm,
    at: speedsMps.map((speed, i) => {
      const blades = prediction.spin.blades.map(({ station, at }) => bladeJson(station, at[i]));
      const beat = beatAt(prediction, i);
      return {
        speed_m_s: speed,
        outcome: overall(blades),
        blades,
        beat_hz: beat?.value ?? null,
        ...rideJson(prediction.rides[i], beat),
        sound: prediction.sounds[i] ? soundFigures(prediction.sounds[i]) : null,
        movers: moversJson(moversAt(lure, speed, asked)),
      };
    }),
  };
}

/** How often two blades come round together; of one, or of two that go round as one, its own rate; null while it stands still. */
function beatAt({ spin: { blades, beats } }: Prediction, index: number): Banded | null {
  if (beats.length > 0) return beats[0]?.at[index] ?? null;
  const first = blades[0]?.at[index];
  return doesTurn(first) ? first.rateHz : null;
}

/** All of them turn above the highest; null where one turns at no speed, or none is there. */
function together(stalls: ReturnType<typeof stallSpeeds>[number]['stall'][]): [number, number] | null {
  const bands = stalls.map((stall) => (stall.outcome === 'stalls' ? stall : null));
  if (bands.length === 0 || bands.includes(null)) return null;
  const most = (end: 'low' | 'high') => Math.max(...bands.map((band) => band?.keepsMps[end] ?? 0));
  return [most('low'), most('high')];
}

/** The values by name, and under `spreads` their bands. */
function outputsJson<K extends string>(
  said: Readonly<Record<K, Said | null>> | null,
  names: Readonly<Record<K, Naming>>,
  more: Readonly<Record<string, readonly [number, number] | null>> = {},
) {
  const keys = Object.keys(names) as K[];
  const of = <T>(read: (each: Said, by: number) => T) =>
    Object.fromEntries(
      keys.map((key) => {
        const [name, by] = names[key];
        const each = said?.[key] ?? null;
        return [name, each && read(each, by)];
      }),
    );
  return {
    ...of(({ value }, by) => value * by),
    spreads: { ...of((band, by) => ends(band, by)), ...more },
    least_known: of(({ leastKnown }) => leastKnown.map(factorName)),
  };
}

function rideJson(ride: RidePrediction | undefined, beat: Banded | null) {
  const rides = ride?.outcome === 'rides' ? ride : null;
  return {
    ride: rides ? 'rides' : (ride ?? null),
    line: rides?.line ?? null,
    lean: rides?.lean ?? null,
    ...outputsJson(rides?.said ?? null, RIDE_NAMES, { beat_hz: beat && ends(beat, 1) }),
    centres_mm: rides && {
      mass: centreJson(rides.centres.ofMass),
      buoyancy: centreJson(rides.centres.ofBuoyancy),
      drag: centreJson(rides.centres.ofDrag),
    },
  };
}

function ends({ low, high }: Banded, by: number): [number, number] {
  return [low * by, high * by];
}

function centreJson({ xM, yM, zM }: Centre) {
  return { behind_tie: xM * 1000, above_tie: yM * 1000, beside: zM * 1000 };
}

function moversAt(lure: Lure, speedMps: number, { water, outfit, state }: PredictionAsked): Movers | null {
  return speedMps > 0 && speedMps <= MAX_SPEED_MPS
    ? moversOf(lure.build, water, speedMps, { outfit, state, sound: USUAL_SOUND })
    : null;
}

function moversJson(movers: Movers | null) {
  if (!movers) return null;
  return Object.fromEntries(
    (Object.keys(movers) as MovedOutput[]).map((key) => {
      const [name, by] = namingOf(key);
      return [
        name,
        movers[key]?.map(({ lever, change, isShare }) => ({
          ...lever,
          a_tenth_more_changes_it_by: isShare ? `${(change * 100).toFixed(1)} %` : change * by,
        })),
      ];
    }),
  );
}

function namingOf(key: MovedOutput): Naming {
  if (key === 'beatHz') return ['beat_hz', 1];
  const [output = '', station] = key.split(' of ');
  if (station !== undefined) return [`${BLADE_NAMES[output as BladeOutput]} ${station}`, 1];
  if (key in SOUND_NAMES) return SOUND_NAMES[key as SoundOutput];
  return key in RIDE_NAMES ? RIDE_NAMES[key as RideOutput] : LURE_NAMES[key as LureOutput];
}

function bladeJson(station: string, at: BladePrediction | undefined) {
  const turning = doesTurn(at) ? at : null;
  const isStill = at?.outcome === 'doesNotTurn' || at?.outcome === 'stopped';
  return {
    station,
    outcome: at?.outcome ?? 'notAsked',
    ...(at && !turning ? { detail: at } : {}),
    turning: turning !== null,
    chance_of_turning: turning ? turning.chance : isStill ? 0 : null,
    rate_hz: turning ? turning.rateHz.value : isStill ? 0 : null,
    rate_hz_spread: turning ? ends(turning.rateHz, 1) : null,
    spread_deg: turning ? turning.spreadRad.value * DEGREES : null,
    spread_deg_spread: turning ? ends(turning.spreadRad, DEGREES) : null,
    drag_n: turning ? turning.dragN.value : null,
    drag_n_spread: turning ? ends(turning.dragN, 1) : null,
  };
}

function overall(blades: readonly ReturnType<typeof bladeJson>[]) {
  if (blades.length === 0) return 'noBlade';
  const outcomes = new Set(blades.map(({ outcome }) => outcome));
  const [only] = outcomes;
  return outcomes.size === 1 ? only : 'mixed';
}
