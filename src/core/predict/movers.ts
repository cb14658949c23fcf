/** What moves each output of a lure most: what a builder or an angler has in hand, each made a tenth more, one at a time. */
import { carrierRoom, type Carrier } from '../carriers/carrier';
import { waterViscosity, type Water } from '../hydro/water';
import { USUAL_OUTFIT, type Outfit } from '../hydro/outfit';
import type { Build, ItemId } from '../lure/lure';
import { MAX_SPEED_MPS } from '../hydro/spin';
import { ballastOf, heavier, larger, thicker, withPart } from '../lure/resized';
import { crossingsOf, GRID_MPS } from './crossings';
import {
  LURE_FORMS,
  LURE_OUTPUTS,
  RIDE_FORMS,
  RIDE_OUTPUTS,
  lureOutput,
  outputsOf,
  type BeliefCase,
  type LureOutput,
  type RideOutput,
} from './outputs';
import type { Asked } from './predict';
import { axleCosines } from './inclined';
import { rideAt } from './ride';
import { lureInWater, type LureInWater } from './lure-in-water';
import { SOUND_FORMS, SOUND_OUTPUTS, soundOfRide, wholeFigures, type SoundAsked, type SoundOutput } from './sound';
import { scaledAsEstimated } from './scaled-lure';
import { outcomesAt, turnAll } from './turned';

export type Lever =
  | { readonly lever: 'speed' | 'lineOut' | 'lineDiameter' | 'tipHeight' | 'wireDiameter' | 'armLength' }
  | { readonly lever: 'ballast' | 'bladeSize' | 'bladeThickness'; readonly station: ItemId };

export interface Mover {
  readonly lever: Lever;
  /** Of the output when the lever is a tenth more: a share of it, or a step in its own unit. */
  readonly change: number;
  readonly isShare: boolean;
}

/** What of each blade has movers, by its station. */
export type BladeOutput = 'rateHz' | 'spreadRad' | 'dragN';
export type MovedOutput = `${BladeOutput} of ${string}` | 'beatHz' | RideOutput | LureOutput | SoundOutput;
export type Movers = Readonly<Partial<Record<MovedOutput, readonly Mover[]>>>;

const MORE = 1.1;
const NAMED = 3;
/** Changes of less than this share, or step in the output's own unit, are none. */
const NO_CHANGE = 1e-4;

/**
 * The levers that move each output most at this speed, most first; of its sound too where that is asked for.
 * @param named so many of each
 */
export function moversOf(
  build: Build,
  water: Water,
  speedMps: number,
  asked: Asked = {},
  named: number = NAMED,
): Movers {
  const outfit = asked.outfit ?? USUAL_OUTFIT;
  const inWater = lureInWater(build, water, outfit, asked.state);
  const sound = asked.sound ? { asked: asked.sound, viscosityPaS: waterViscosity(water) } : null;
  const now = point(inWater, speedMps, null, sound);
  // What a lever moves, not whether the blade then stops: that is the stall's to say.
  const { states } = now;
  const moved = leversOf(inWater, speedMps).map((lever) => {
    const next = pulled(build, speedMps, outfit, lever);
    return {
      lever,
      then: point(lureInWater(next.build, water, next.outfit, asked.state), next.speedMps, states, sound).outputs,
    };
  });
  return Object.fromEntries(
    [...now.outputs].flatMap(([key, value]) => {
      if (value === null) return [];
      const movers = moved.flatMap(({ lever, then }): Mover[] => {
        const to = then.get(key) ?? null;
        if (to === null) return [];
        const isShare = scaleOf(key) === 'share' && value > 0;
        const change = isShare ? to / value - 1 : to - value;
        return Math.abs(change) > NO_CHANGE ? [{ lever, change, isShare }] : [];
      });
      const most = movers.toSorted((a, b) => Math.abs(b.change) - Math.abs(a.change)).slice(0, named);
      return [[key, most] as const];
    }),
  );
}

function scaleOf(key: MovedOutput) {
  if (key === 'beatHz' || key.includes(' of ')) return 'share';
  if (key in SOUND_FORMS) return SOUND_FORMS[key as SoundOutput].scale;
  return key in RIDE_FORMS ? RIDE_FORMS[key as RideOutput].scale : LURE_FORMS[key as LureOutput].scale;
}

function leversOf({ build, spinners }: LureInWater, speedMps: number): Lever[] {
  const ballast = ballastOf(build);
  return [
    // No faster than the model goes.
    ...(speedMps * MORE <= MAX_SPEED_MPS ? [{ lever: 'speed' } as const] : []),
    { lever: 'lineOut' },
    { lever: 'lineDiameter' },
    { lever: 'tipHeight' },
    ...(carrierRoom(build.carrier).lengthened
      ? [{ lever: 'wireDiameter' } as const, { lever: 'armLength' } as const]
      : []),
    ...(ballast ? [{ lever: 'ballast', station: ballast } as const] : []),
    ...spinners.flatMap(({ station }) => [
      { lever: 'bladeSize', station } as const,
      { lever: 'bladeThickness', station } as const,
    ]),
  ];
}

function pulled(build: Build, speedMps: number, outfit: Outfit, lever: Lever) {
  const same = { build, speedMps, outfit };
  const { carrier } = build;
  switch (lever.lever) {
    case 'speed':
      return { ...same, speedMps: speedMps * MORE };
    case 'lineOut':
      return { ...same, outfit: { ...outfit, lineOutM: outfit.lineOutM * MORE } };
    case 'lineDiameter':
      return { ...same, outfit: { ...outfit, line: { ...outfit.line, diameterM: outfit.line.diameterM * MORE } } };
    case 'tipHeight':
      return { ...same, outfit: { ...outfit, tipHeightM: outfit.tipHeightM * MORE } };
    case 'wireDiameter':
      return {
        ...same,
        build: {
          ...build,
          // The same stock, only thicker.
          carrier: inThickerWire(carrier),
        },
      };
    case 'armLength':
      return { ...same, build: { ...build, carrier: carrierRoom(carrier).lengthened?.(carrier, MORE) ?? carrier } };
    case 'ballast':
      return { ...same, build: withPart(build, lever.station, (part) => heavier(part, MORE)) };
    case 'bladeSize':
      return { ...same, build: withPart(build, lever.station, (part) => larger(part, MORE)) };
    case 'bladeThickness':
      return { ...same, build: withPart(build, lever.station, (part) => thicker(part, MORE)) };
  }
}

/** All outputs at one speed with every coefficient at its estimate. */
function point(
  inWater: LureInWater,
  speedMps: number,
  states: readonly (readonly boolean[])[] | null,
  sound: { readonly asked: SoundAsked; readonly viscosityPaS: number } | null,
): { readonly outputs: Map<MovedOutput, number | null>; readonly states: readonly (readonly boolean[])[] } {
  const { lineOutM } = inWater.outfit;
  const speeds = [speedMps, ...GRID_MPS];
  const turned = turnAll(inWater.spinners, inWater.rho, speeds, {
    axleCos: axleCosines(inWater, speeds),
    ...(states ? { doesTurn: (blade, speed) => states[blade]?.[speed] ?? true } : {}),
  });
  const scaled = scaledAsEstimated(inWater);
  const one: BeliefCase = { scaled, turned, crossings: crossingsOf(inWater, scaled, turned, 1) };
  const outcomes = outcomesAt(turned, 0);
  const ridden = rideAt(inWater, scaled, outcomes, speedMps, [lineOutM]);
  const ride = outputsOf(ridden, one, inWater.arm.outcome !== 'outsideModel', lineOutM);
  const heard =
    sound && wholeFigures(soundOfRide(inWater, ridden, outcomes, sound.viscosityPaS, sound.asked), sound.asked.fish);
  const [first = null, second = null] = outcomes.map((outcome) =>
    outcome?.outcome === 'turning' ? outcome.rateHz : null,
  );
  const ofBlades = inWater.spinners.flatMap(({ station }, i) => {
    const outcome = outcomes[i];
    if (outcome?.outcome !== 'turning') return [];
    const { rateHz, spreadRad, dragN } = outcome;
    return Object.entries({ rateHz, spreadRad, dragN }).map(
      ([key, value]) => [`${key as BladeOutput} of ${station}`, value] as const,
    );
  });
  const outputs = new Map<MovedOutput, number | null>([
    ...ofBlades,
    ['beatHz', first !== null && second !== null ? Math.abs(first - second) : null],
    ...RIDE_OUTPUTS.map((key) => [key, ride[key]] as const),
    ...LURE_OUTPUTS.map((key) => [key, lureOutput(one, inWater.rho, key)] as const),
    ...(heard ? SOUND_OUTPUTS.map((key) => [key, heard[key]] as const) : []),
  ]);
  return { outputs, states: turned.map(({ outcomes: each }) => each.map(({ outcome }) => outcome !== 'stopped')) };
}

/** The same carrier of thicker wire or line; a body has none. */
function inThickerWire(carrier: Carrier): Carrier {
  if (carrier.kind === 'body') return carrier;
  return { ...carrier, wire: { ...carrier.wire, diameterM: carrier.wire.diameterM * MORE } } as Carrier;
}
