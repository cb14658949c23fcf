/**
 * What a kind of part says for itself. Each kind has a room of its own in this folder; part.ts lists them all.
 *
 * Parts meet port in port. The side of a part is what it brings to a joint: the hole of a blade, the eye of a hook. A
 * hanger is what it sits on: the lobe of a clevis, a loop of the wire. How says in which way it sits there.
 */
import { densityOf, type MaterialId } from '../material';
import type { ProfilePoint } from '../profile';
import { wireMass } from '../stock';

/**
 * How one part sits on another. `over`: slid over it, which passes through its bore (a bell over its sleeve).
 * `moulded`: cast into it (a hook in a head). `collared`: on the collar behind a head. `banded`: pulled through a skirt's
 * band. `pushed`: on a hook over its point (a trailer). `kept`: the same, before what hangs in its bend (a disc).
 * `screwed`: turned into a body (an eye, a nail weight).
 */
export const HOWS = ['hung', 'tied', 'over', 'moulded', 'collared', 'banded', 'pushed', 'kept', 'screwed'] as const;
export type How = (typeof HOWS)[number];

/** How a bore is meant to sit on what passes through it: a spacer may also go over two wires, a bell swings. */
export type BoreFit = 'usual' | 'spacer' | 'swinging';

/** What a part brings to a joint, m. */
export type Side =
  | { readonly port: 'bore'; readonly boreM: number; readonly fit: BoreFit }
  /** Hole of a blade: clear width, root end to its centre, and the spread the blade usually stands at, rad. */
  | { readonly port: 'hole'; readonly openM: number; readonly rootM: number; readonly spreadRad: number }
  /** A split ring: the thickness of both its turns, and its clear inside. */
  | { readonly port: 'coil'; readonly wiresM: number; readonly insideM: number }
  | { readonly port: 'hookEye' | 'swivelEye' | 'bodyEye'; readonly openM: number; readonly wireM: number }
  | { readonly port: 'band'; readonly boreM: number }
  /** The loop of another carrier, which is joined by it. */
  | { readonly port: 'wireLoop'; readonly insideM: number; readonly wireM: number }
  | { readonly port: 'cast' | 'shank' | 'strip' | 'slit' | 'binding' | 'lashing' | 'disc' | 'screw' | 'nail' };
export type Port = Side['port'];

/** What something is offered to sit on, m. */
export type Hanger =
  | { readonly hanger: 'sleeve' | 'collar'; readonly diameterM: number }
  /** A wire, or a line: what slides on that may be as loose as it likes. */
  | { readonly hanger: 'wire'; readonly diameterM: number; readonly isLimp: boolean }
  | { readonly hanger: 'lobe'; readonly thickM: number; readonly dropM: number }
  | { readonly hanger: 'coil'; readonly wiresM: number; readonly insideM: number }
  | { readonly hanger: 'swivelEye' | 'bodyEye'; readonly openM: number; readonly wireM: number }
  /** The bend of a hook, over whose barb an eye has to go. */
  | { readonly hanger: 'bend'; readonly wireM: number }
  /** A loop of the carrier's wire, or its line tie with the bend's inside. */
  | { readonly hanger: 'loop' | 'tie'; readonly insideM: number; readonly wireM: number }
  /** Line tied to it, or a loop of line. */
  | { readonly hanger: 'line'; readonly lineM: number }
  /** Where nothing has to fit: a mould, a shank, a point, the inside of a band. */
  | { readonly hanger: 'bed' | 'shank' | 'point' | 'band' };

/** Where something bears, along the line it lies on and off its axis, m. */
export interface Bearing {
  readonly alongM: number;
  readonly offAxisM: number;
  /** Of a shank: how far a head covers it, on the same line; null when none does. */
  readonly coveredToM: number | null;
  /** Room along the line for what is held, m. */
  readonly roomM: number;
}

export interface Along {
  readonly x0M: number;
  readonly x1M: number;
}

/** How a part sits on a hanger, in one of the ways it can. */
export interface Sits<P, S> {
  readonly port: Port;
  /** Its side of the joint: of this port. */
  readonly side: (part: P) => Side;
  /** From where to where it then lies along its line, m. */
  readonly lies: (part: P, at: Bearing, state: S) => Along;
}

/** What a part holds, in one of the ways it can. */
export interface Holds<P> {
  readonly takes: readonly Port[];
  /** It has place for one only. */
  readonly isOnlyOne: boolean;
  readonly hanger: (part: P) => Hanger;
  /** Where what it holds bears, itself lying here. */
  readonly bearing: (part: P, lies: Along, at: Bearing) => Bearing;
}

/** What a threaded part meets on the wire. */
export interface Beside {
  readonly kind: string;
}

/** Where a threaded part stands. */
export interface OnStrand {
  /** What its open side goes over. */
  readonly open: Beside | null;
  /** Nothing stands behind it. */
  readonly isLast: boolean;
  /** Thickness of what it is threaded on, m. */
  readonly wireM: number;
}

/** A part that the wire goes through. */
export interface Threads<P, S> {
  /** Null where the wire is not held in a bore: thread and tube go round it. */
  readonly side: ((part: P) => Side) | null;
  /** It is snelled on or grips what it is on: it goes on a line only. */
  readonly needsLine?: boolean;
  /** Length it takes up in the stack, m. */
  readonly stackM: (part: P, state: S, on: OnStrand) => number;
  /** It holds its place on the line, this far ahead of the next that does, m. What has none slides, and rests on what is behind. */
  readonly behindM?: (state: S) => number;
  /** Length it takes up between the legs of a clevis, m; null for what never lies there. */
  readonly betweenLegsM: ((part: P) => number) | null;
}

/** What makes a drag: each kind's coefficient is known about as well as any other of it. */
export type DragKind = 'hard' | 'soft' | 'wire' | 'blade';

/** Areas of a part in the water, m²; see in-water/bodies.ts. */
export interface Areas {
  readonly kind: DragKind;
  readonly axialM2: number;
  readonly strandM2: number;
  readonly sideM2: number;
  readonly slopeM2: number;
}

/** A flat plate in the stream, a lip: how far it slopes below the axis, from straight ahead, and its width over its length. */
export interface Plate {
  readonly areaM2: number;
  readonly aspect: number;
  readonly downRad: number;
}

/** A part on its lure: what was done to it, how long it lies, which way round, and what it holds. */
export interface OnLure<S> {
  readonly state: S;
  readonly flipped: boolean;
  readonly lengthM: number;
  readonly held: readonly { readonly kind: string }[];
}

/** One measure that has to be smaller than another of the same part. */
export type Smaller = readonly [less: Measure, lessM: number, than: Measure, thanM: number];

export type Measure =
  | 'hole'
  | 'thickness'
  | 'diameter'
  | 'wall'
  | 'neck'
  | 'mouth'
  | 'length'
  | 'width'
  | 'span'
  | 'nest'
  | 'flange'
  | 'rootToHole'
  | 'hollow'
  | 'drop'
  | 'band'
  | 'core'
  | 'bulk'
  | 'wires'
  | 'wire'
  | 'gap'
  | 'eye'
  | 'shrunkHole'
  | 'wireAt'
  | 'hookAt'
  | 'eyes'
  | 'collar'
  | 'strandWidth'
  | 'kicksFrom'
  | 'body'
  | 'metal'
  | 'cut'
  | 'height'
  | 'lip'
  | 'tieAt'
  | 'eyeAt';

/**
 * @typeParam P the measured part
 * @typeParam S what a hand does to one piece of it; null where nothing is done
 */
export interface KindRoom<P, S> {
  /** The state it comes in. */
  readonly usual: S;
  /** A state without what only a later step of making brings about. What is a mere setting of the piece stays. */
  readonly asTaken: (state: S) => S;
  /** Null for what the wire does not go through. */
  readonly threads: Threads<P, S> | null;
  readonly sits: { readonly [H in How]?: Sits<P, S> };
  readonly holds: { readonly [H in How]?: Holds<P> };
  /** How far it reaches from the line it lies on, m; a bow or a hook's gap to its one side. */
  readonly radiusM: (part: P) => number;
  /** The outside of a turned part, nose to tail; null for what is not turned. */
  readonly profile: ((part: P) => ProfilePoint[]) | null;
  /** Mass from its measures and its material, kg: the check on the mass that was measured. */
  readonly geometricKg: (part: P) => number;
  /** What of its mass is on the lure, kg. `inLureM`: of what is sold by length, the length in it. */
  readonly massKg: (part: P, state: S, inLureM: number | null) => number;
  /** Water it displaces, m³, of this mass. */
  readonly displacedM3: (part: P, massKg: number) => number;
  readonly areas: (part: P, on: OnLure<S>) => Areas;
  /** How far its middle lies above the axis of what holds it, of what stands in its belly, m. */
  readonly middleUpM?: (part: P, state: S, holder: { readonly kind: string } | null) => number;
  /** Plan area of what turns, all lobes, m²; 0 of what does not. */
  readonly turningM2: (part: P) => number;
  /** Lift area at the surface, m². */
  readonly planingM2: (part: P) => number;
  /** Measures that cannot stand together, the plainest first. */
  readonly smaller: (part: P) => readonly Smaller[];
  /** The measures people call it by, m. */
  readonly telling: (part: P) => readonly number[];
  /** Words people look for it by, beside its name, maker, material and finish. */
  readonly words: (part: P) => readonly string[];
  /** The same in more or less metal, for what gives a lure its weight; null for what does not. */
  readonly heavier: ((part: P, by: number) => P) | null;
  /** The same shape larger, for what turns; null for what does not. */
  readonly larger: ((part: P, by: number) => P) | null;
}

/** Most kinds have nothing done to them, keep all their mass, and are solid. */
export const asMeasured = {
  massKg: ({ massKg }: { readonly massKg: number }) => massKg,
  displacedM3: ({ material }: { readonly material: MaterialId }, massKg: number) => massKg / densityOf(material),
};

/** Stock sold by the length, kg. */
export function stockMassKg(
  stock: { readonly massKg: number; readonly stockLengthM: number },
  _state: unknown,
  inLureM: number | null,
): number {
  return inLureM === null ? 0 : wireMass(stock, inLureM);
}

interface RoundStock {
  readonly massKg: number;
  readonly diameterM: number;
  readonly stockLengthM: number;
  readonly material: MaterialId;
}

/** Round wire or line sold by the length. */
export const roundStock = {
  radiusM: ({ diameterM }: Pick<RoundStock, 'diameterM'>) => diameterM / 2,
  geometricKg: ({ diameterM, stockLengthM, material }: RoundStock) =>
    discM2(diameterM) * stockLengthM * densityOf(material),
  massKg: stockMassKg,
  smaller: ({ diameterM, stockLengthM }: RoundStock): readonly Smaller[] => [
    ['thickness', diameterM, 'length', stockLengthM],
  ],
  telling: ({ diameterM }: RoundStock) => [diameterM],
} as const;

/** Nothing is done to it. */
export const untouched = { usual: null, asTaken: () => null } as const;

/** Neither turns, nor planes, nor is weight or blade. */
export const plain = {
  turningM2: () => 0,
  planingM2: () => 0,
  heavier: null,
  larger: null,
} as const;

export const noWords = (): readonly string[] => [];

/** Area of a disc, m². @param diameterM m */
export function discM2(diameterM: number): number {
  return (Math.PI / 4) * diameterM ** 2;
}

/** From this far before where it bears, as long as it is. */
export function hangsFrom(at: Bearing, beforeM: number, lengthM: number): Along {
  const x0M = at.alongM - beforeM;
  return { x0M, x1M: x0M + lengthM };
}

/** What it holds bears so far from its own front. */
export function bearsAt({ x0M }: Along, at: Bearing, behindFrontM: number): Bearing {
  return { ...at, alongM: x0M + behindFrontM, coveredToM: null };
}

/** Drag of a turned or moulded body end on, on its frontal area, in the wake of what is before it on the wire. Trade estimate. */
const STRUNG_DRAG = 0.22;
const ACROSS_DRAG = 1.1;
/** Drag of thin wire across the flow. */
export const WIRE_DRAG = 1.1;

/** Of a hard thing as thick as this; a slender body's force across grows as twice its base (Munk). */
export function hardAreas(radiusM: number, lengthM: number, isSlender: boolean): Areas {
  const front = Math.PI * radiusM ** 2;
  return {
    kind: 'hard',
    axialM2: STRUNG_DRAG * front,
    strandM2: 0,
    sideM2: ACROSS_DRAG * 2 * radiusM * Math.max(lengthM, 0),
    slopeM2: isSlender ? 2 * front : 0,
  };
}

/** Of what lies within something else that is counted. */
export const NO_AREAS: Areas = { kind: 'soft', axialM2: 0, strandM2: 0, sideM2: 0, slopeM2: 0 };
/** Of what turns: its pull is for the spin model. */
export const TURNING_AREAS: Areas = { kind: 'blade', axialM2: 0, strandM2: 0, sideM2: 0, slopeM2: 0 };

/** What a carrier is made of: no item of a lure, so that it sits on nothing and holds nothing. */
export const noItem = {
  ...untouched,
  threads: null,
  sits: {},
  holds: {},
  profile: null,
  areas: () => NO_AREAS,
} as const;
