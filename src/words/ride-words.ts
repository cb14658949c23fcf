/** How a lure rides, in words and figures: each output with its band, one sentence of why, what moves it and what is unsure. */
import { never } from '../core/never';
import { GRAVITY_MPS2 } from '../core/hydro/water';
import type { ArmOutcome } from '../core/in-water/arm';
import { itemOf, type Build } from '../core/lure/lure';
import type { Lever, MovedOutput, Mover, Movers } from '../core/predict/movers';
import {
  referenceThumpNs,
  RIDE_FORMS,
  type LineOutcome,
  type LureOutput,
  type RideOutput,
} from '../core/predict/outputs';
import type { Said } from '../core/predict/band';
import type { Prediction, RidePrediction } from '../core/predict/predict';
import type { Centre } from '../core/predict/centres';
import { UNITS } from '../core/units/quantity';
import { decimalText, inUnit, pullInWeight, showLength, showMass, type UnitSystem } from '../core/units/write';
import { capital } from './capital';
import { unsureWords } from './factor-words';
import { partTitle } from './part-words';
import { READOUT_WHY, type SpeedUnit } from './spin-words';

/** One output, ready to be read. */
export interface RideFigure {
  readonly output: RideOutput | LureOutput | 'beatHz';
  readonly name: string;
  readonly value: string;
  readonly unit: string;
  readonly band: string;
  /** One sentence of why, and what would make it surer. */
  readonly why: string;
  /** What moves it most, and what is least known; empty where nothing does. */
  readonly moves: string;
  readonly unsure: string;
}

export type Output = RideOutput | LureOutput;

const NAMES: Readonly<Record<Output, string>> = {
  thumpNs: 'Thump',
  pulseN: 'Pulse at the tie',
  shakeM: 'Shake of the blade',
  dragN: 'Pull on the line',
  lineSlopeRad: 'Line’s slope',
  depthM: 'Depth',
  pitchRad: 'Nose up',
  leanRad: 'Lean',
  yawRad: 'Turned aside',
  sidePullRad: 'Pulls aside',
  aimOffM: 'Aim to the other side by',
  twistTurns: 'Line twist',
  twistBehindSwivelTurns: 'Behind a free swivel',
  massKg: 'Mass',
  sinkingN: 'Weight in water',
  sinkMps: 'Falls at',
  armHz: 'Arm’s own rate',
  surfaceMps: 'Surfaces at',
  planingMps: 'Planes from',
  wobbleHz: 'Wobble',
  wobbleRad: 'Swings to each side',
  wobbleStartMps: 'Wobbles from',
};

const WHY: Readonly<Record<Output, string>> = {
  thumpNs:
    'How hard each turn hits the water: the blade’s drag over its turns a second, which is what a fish’s side feels. A counted rate narrows it most.',
  pulseN:
    'What the line tie feels go round: the blade’s pull at its distance from the wire, and what is left of its fling, through the arm. A swivel passes on the second and not the first.',
  shakeM: 'How far the blade carries its arm to and fro, most where it turns at the arm’s own rate.',
  dragN:
    'All that the water holds back, blades, head, skirt and wire. A spring scale at a known speed would make it surer.',
  lineSlopeRad: 'Weight in water less lift, over drag: how steeply the line leaves the lure.',
  depthM:
    'Weight pulls the line down, the drag of lure and line pulls it up towards the rod’s tip. One depth read with a known line out would make it surer.',
  pitchRad: 'The angle at which nothing turns it about its tie: weights behind, lift and drag at their own places.',
  leanRad:
    'Where the weights below the line of pull balance what the blade’s bearing drags round with it, to the side its blade happens to turn. A photograph from behind would make it surer.',
  yawRad: 'How far its tail stands aside, from drag that sits beside the line of pull.',
  sidePullRad: 'Each stroke of a surface blade is a paddle’s, to its own hand: cast as far to the other side.',
  aimOffM:
    'How far aside it comes by the time the line that is out is wound in: cast as much past what it is to meet, to the other side.',
  twistTurns:
    'Turns put into 100 m of line: what the blade’s bearing rubs with winds it up unless a keel holds it, at most as often as the blade turns. A bait that rolls adds to it. Thin braid gives a swivel little to turn against.',
  twistBehindSwivelTurns: 'The same with a free swivel between: it lets go at its own torque.',
  massKg: 'The parts as listed and the wire in it.',
  sinkingN: 'Its weight less that of the water it pushes aside.',
  sinkMps:
    'On slack line, its heavier end first, its blades turning as it falls. Time one fall through a known depth to make it surer.',
  armHz: 'The arm as a spring with what sits on it: near the blade’s rate it shakes most.',
  surfaceMps:
    'From this speed on the line lifts it to the surface with this much out. A longer line or a heavier head holds it down. Watch once at which speed it breaks the surface to make it surer.',
  planingMps:
    'The slowest at which blade and head carry its weight on the surface. Slow down once until it sinks to make it surer.',
  wobbleHz:
    'How often the wake of its lip, or of its blunt front, is shed: faster with speed, slower with a wider lip. Count it once on a slow film to make it surer.',
  wobbleRad: 'What the wake gives to the swing at each turn of it, against what its sides push through the water.',
  wobbleStartMps: 'Below this its keel settles the swing sooner than its wake drives it: a heavier belly starts later.',
};

/** All figures, in the order in which they are listed. */
export const ALL_FIGURES: readonly Output[] = [
  'wobbleHz',
  'wobbleRad',
  'wobbleStartMps',
  'depthM',
  'lineSlopeRad',
  'dragN',
  'thumpNs',
  'pulseN',
  'shakeM',
  'armHz',
  'pitchRad',
  'leanRad',
  'yawRad',
  'sidePullRad',
  'aimOffM',
  'surfaceMps',
  'planingMps',
  'sinkMps',
  'sinkingN',
  'massKg',
  'twistTurns',
  'twistBehindSwivelTurns',
];

export interface RideShown {
  readonly build: Build;
  readonly prediction: Prediction;
  readonly movers: Movers;
  readonly system: UnitSystem;
  readonly speedUnit: SpeedUnit;
}

/** Each of these outputs at the first speed asked; what cannot be said of this lure is left out. */
export function rideFigures(shown: RideShown, outputs: readonly Output[]): RideFigure[] {
  const { prediction } = shown;
  const [ride] = prediction.rides;
  if (ride?.outcome !== 'rides') return [];
  return outputs.flatMap((output) => {
    const said = output in ride.said ? ride.said[output as RideOutput] : prediction.lure[output as LureOutput];
    const isStill = NONE_WHILE_STILL.has(output) && said?.value === 0 && said.high === 0;
    const figure =
      (isStill ? { value: '0', unit: '', band: 'no blade turns' } : instead(output, ride, prediction.arm)) ??
      (said && measuredFigure(output, said, shown));
    if (!figure || (said && isNone(output, said))) return [];
    return [
      {
        output,
        name: NAMES[output],
        why: WHY[output],
        moves: movesWords(output, shown),
        unsure: said ? unsureWords(said.leastKnown, shown.build) : '',
        ...figure,
      },
    ];
  });
}

/** Of a lure without anything beside its plane, or whose keel holds it, nothing turns aside and nothing twists. */
function isNone(output: Output, { low, high }: Said): boolean {
  return NONE_OF_SOME.has(output) && low === 0 && high === 0;
}

/** What there is none of while no blade turns. */
const NONE_WHILE_STILL: ReadonlySet<Output> = new Set<Output>(['thumpNs', 'pulseN', 'shakeM']);

const NONE_OF_SOME: ReadonlySet<Output> = new Set<Output>([
  'yawRad',
  'sidePullRad',
  'aimOffM',
  'twistTurns',
  'twistBehindSwivelTurns',
]);

/** How often the first two blades come round together; null where they have no beat. */
export function beatFigure(shown: RideShown): RideFigure | null {
  const beat = shown.prediction.spin.beats[0]?.at[0];
  if (!beat) return null;
  return {
    output: 'beatHz',
    name: 'Beat of its blades',
    value: decimalText(beat.value, 1),
    unit: 'a second',
    band: `${decimalText(beat.low, 1)} to ${decimalText(beat.high, 1)}`,
    why: READOUT_WHY.beat,
    moves: movesWords('beatHz', shown),
    unsure: '',
  };
}

type Shown = Pick<RideFigure, 'value' | 'unit' | 'band'>;

/** What stands where a number would mislead or cannot be had. */
function instead(output: Output, ride: Extract<RidePrediction, { outcome: 'rides' }>, arm: ArmOutcome): Shown | null {
  if (output === 'leanRad' && ride.lean !== 'leans') return LEAN_INSTEAD[ride.lean];
  if (output === 'depthM' && ride.line !== 'sinks') return { value: '0', unit: '', band: LINE_WORDS[ride.line] };
  if ((output === 'pulseN' || output === 'shakeM') && arm.outcome === 'outsideModel') {
    return { value: '–', unit: '', band: armWords(arm) };
  }
  return null;
}

const LEAN_INSTEAD = {
  noKeel: { value: 'rolls', unit: '', band: 'no keel holds it' },
  turnsOver: { value: 'over', unit: '', band: 'its keel is too weak' },
} as const;

export const LINE_WORDS: Readonly<Record<LineOutcome, string>> = {
  sinks: 'runs sunk',
  surfaces: 'runs at the surface',
  rises: 'lifts its line',
  planes: 'planes on the surface',
};

/** `41 mm behind the tie, 12 mm below it`. */
export function centreWords({ xM, yM, zM }: Centre, system: UnitSystem): string {
  const said = (lengthM: number) => showLength(Math.abs(lengthM), system);
  const aside = Math.abs(zM) < 5e-5 ? '' : `, ${said(zM)} beside it`;
  return `${said(xM)} ${xM < 0 ? 'before' : 'behind'} the tie, ${said(yM)} ${yM < 0 ? 'below' : 'above'} it${aside}`;
}

/** Why the arm’s shake cannot be said. */
function armWords(arm: Extract<ArmOutcome, { outcome: 'outsideModel' }>): string {
  return arm.quantity === 'wireMaterial'
    ? 'no spring wire known of this metal'
    : `a bend of ${decimalText(arm.value * 1000, 1)} mm is tighter than its wire, ${decimalText(arm.limit * 1000, 1)} mm`;
}

/** Why nothing of the ride can be said. */
export function noRideWords(ride: Exclude<RidePrediction, { outcome: 'rides' }>): string {
  if (ride.outcome === 'notWorkedOut') return `The ride could not be worked out: the ${ride.where} found no answer.`;
  switch (ride.quantity) {
    case 'speedMps':
      return `The model holds from 0 to 5 m/s; this is ${decimalText(ride.value, 1)} m/s.`;
    case 'planAreaM2':
      return 'A blade without area: the model needs one above 0.';
    case 'sheetMassKgM2':
      return 'A blade whose thickness or metal makes no sense.';
    case 'spreadRad':
      return 'A blade would stand straight out, where the model ends.';
    default:
      return never(ride.quantity, 'noRideWords');
  }
}

function measuredFigure(output: Output, said: Said, shown: RideShown): Shown {
  const { of, unit } = READ[output](shown);
  const { value } = said;
  const [low, high] = SIDE_NOT_TOLD.has(output) ? sizesOf(said) : [said.low, said.high];
  if (isBound(output)) return { value: of(value), unit, band: 'at most' };
  const band = low === high ? 'no spread' : `${of(low)} to ${of(high)}`;
  return { value: of(value), unit, band: output === 'thumpNs' ? `${band}, ${besideReference(value)}` : band };
}

/** `1.2 × a Colorado 3`: how a thump stands to that of the reference Colorado at 0.8 m/s. */
function besideReference(thumpNs: number): string {
  return `${decimalText(thumpNs / referenceThumpNs(), 1)} × a Colorado 3`;
}

/** What is said is the most that it can be. */
function isBound(output: Output): boolean {
  return output in RIDE_FORMS && RIDE_FORMS[output as RideOutput].isBound === true;
}

/** Told without its side: that hangs on the hand the blade turns, or is seen on the lure. */
const SIDE_NOT_TOLD: ReadonlySet<Output> = new Set<Output>(['leanRad', 'yawRad', 'sidePullRad', 'aimOffM']);

function sizesOf({ low, high }: Said): [number, number] {
  const sizes = [Math.abs(low), Math.abs(high)];
  return [low * high < 0 ? 0 : Math.min(...sizes), Math.max(...sizes)];
}

interface Reader {
  readonly of: (si: number) => string;
  readonly unit: string;
}

const rounded = (by: number, digits: number, unit: string): Reader => ({
  of: (si) => decimalText(si * by, digits).replace('-', '−'),
  unit,
});
const DEGREES = 180 / Math.PI;
const inPull = ({ system }: MovesShown): Reader => ({
  of: (newtons) => pullInWeight(newtons / GRAVITY_MPS2, system).number.replace('-', '−'),
  unit: pullInWeight(0, system).unit,
});
const inSpeed = ({ speedUnit }: MovesShown): Reader => ({
  of: (mps) => decimalText(inUnit(mps, speedUnit), 2),
  unit: UNITS[speedUnit].symbol,
});
const inDegrees = (digits: number) => () => rounded(DEGREES, digits, '°');
const asSize = (): Reader => ({ of: (rad) => decimalText(Math.abs(rad) * DEGREES, 1), unit: '°' });

const READ: Readonly<Record<Output, (shown: MovesShown) => Reader>> = {
  thumpNs: () => rounded(1000, 1, 'mN·s'),
  pulseN: inPull,
  shakeM: ({ system }) => (system === 'metric' ? rounded(1000, 2, 'mm') : rounded(1 / 0.0254, 3, 'in')),
  dragN: inPull,
  lineSlopeRad: inDegrees(0),
  depthM: ({ system }) => (system === 'metric' ? rounded(1, 2, 'm') : rounded(1 / 0.3048, 1, 'ft')),
  pitchRad: inDegrees(0),
  leanRad: asSize,
  yawRad: asSize,
  sidePullRad: asSize,
  aimOffM: ({ system }) => ({
    of: (m) => decimalText(Math.abs(m) / (system === 'metric' ? 1 : 0.3048), 2),
    unit: system === 'metric' ? 'm' : 'ft',
  }),
  twistTurns: () => rounded(1, 0, 'turns'),
  twistBehindSwivelTurns: () => rounded(1, 0, 'turns'),
  massKg: ({ system }) => ({
    of: (kg) => showMass(kg, system).split(' ').slice(0, -1).join(' '),
    unit: system === 'metric' ? 'g' : 'oz',
  }),
  sinkingN: inPull,
  sinkMps: inSpeed,
  armHz: () => rounded(1, 1, 'a second'),
  surfaceMps: inSpeed,
  planingMps: inSpeed,
  wobbleHz: () => rounded(1, 1, 'a second'),
  wobbleRad: inDegrees(0),
  wobbleStartMps: inSpeed,
};

/** What is needed to say what moves an output. */
export type MovesShown = Pick<RideShown, 'build' | 'movers' | 'system' | 'speedUnit'>;

/** `A tenth more speed: 24 % less; a tenth thicker line: 3 % more.` */
export function movesWords(output: MovedOutput, shown: MovesShown): string {
  const most = shown.movers[output] ?? [];
  if (most.length === 0) return '';
  const each = most.map(
    (mover) => `a tenth ${leverWords(mover.lever, shown.build)}: ${changeWords(output, mover, shown)}`,
  );
  return `${capital(each.join('; '))}.`;
}

function changeWords(output: MovedOutput, { change, isShare }: Mover, shown: MovesShown): string {
  const which = change < 0 ? 'less' : 'more';
  if (isShare) return `${decimalText(Math.abs(change) * 100, Math.abs(change) < 0.02 ? 1 : 0)} % ${which}`;
  if (output === 'levelDb') return `${decimalText(Math.abs(change), 1)} dB ${which}`;
  if (!(output in READ)) return `${decimalText(Math.abs(change), 1)} ${which}`;
  const { of, unit } = READ[output as Output](shown);
  return `${of(Math.abs(change))}${unit === '°' ? '' : ' '}${unit} ${which}`;
}

const LEVER_WORDS = {
  speed: 'more speed',
  lineOut: 'more line out',
  lineDiameter: 'thicker line',
  tipHeight: 'higher rod tip',
  wireDiameter: 'thicker wire',
  armLength: 'longer arm',
} as const;

function leverWords(lever: Lever, build: Build): string {
  switch (lever.lever) {
    case 'ballast':
      return itemOf(build, lever.station).part.kind === 'head' ? 'heavier head' : 'heavier body';
    case 'bladeSize':
      return `larger ${partTitle(itemOf(build, lever.station).part)}`;
    case 'bladeThickness':
      return `thicker sheet of the ${partTitle(itemOf(build, lever.station).part)}`;
    default:
      return LEVER_WORDS[lever.lever];
  }
}
