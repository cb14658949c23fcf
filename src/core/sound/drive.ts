/**
 * How often and how fast the pieces of a contact come together.
 *
 * A piece with play p that something throws with acceleration a reaches the other side of it with √(2 a p), if it has the
 * time: half of what passes between two throws. A shake of swing x throws with ω² x, and not faster than ω x; what comes of
 * it and of the turning add as squares.
 * - Rocking: a clevis, drawn aside by its blade, tilts on the wire as far as its bores let it and goes round so; where its
 *   neighbour is not true its face knocks once a turn with ω times the way its edge moves. Each piece between passes half of it
 *   on (trade estimate). What lies before the contact is pressed on it by its drag; only a shake harder than their friction loosens it.
 * - Cage: a bead between the legs of a clevis is thrown from one to the other once a turn by its weight and the stream.
 * - Bell: thrown over its play by its weight in water and by the shake of the lure.
 * - Lobes: a tip on a circle of radius R that reaches δ into what it passes meets it at √(2δ/R) of its speed.
 * - Twitch: the pull leaves, all that is strung spreads over the play, and as it comes back the drag N of what lies before a
 *   contact drives its mass m over its share of the play: √(2 (N/m) p), and not faster than the lure itself.
 */
import { swingOf } from '../hydro/flasher';
import { GRAVITY_MPS2 } from '../hydro/water';
import type { Contact, Driven } from './contact';
import type { Motion, TurningBlade } from './motion';

/** Blows at a mean rate and speed. */
export interface Knocks {
  readonly perS: number;
  readonly approachMps: number;
  /** How unevenly they come, of the time between two; 0 like a clock. */
  readonly jitter: number;
}

/** Two pieces sliding on each other. */
export interface Rub {
  readonly pressN: number;
  readonly slipMps: number;
  /** How often it swells and fades, Hz; 0 when it is steady. */
  readonly swellsHz: number;
}

/** Slip and stick: a note. */
export interface Squeak {
  readonly pressN: number;
  /** Of how far it is worn in, 0 to 1. */
  readonly worn: number;
  readonly swellsHz: number;
}

/** Why nothing is heard of a contact. */
export type Quiet =
  /** What drives it stands still. */
  | 'standsStill'
  /** Nothing there drives it. */
  | 'notDriven'
  /** The drag holds the two together. */
  | 'pressed'
  /** They are clear of each other. */
  | 'clear'
  /** It spins along, so that nothing slips. */
  | 'spinsFree'
  /** Of a stuff too soft to be heard. */
  | 'soft'
  /** Fixed, but not yet worn in. */
  | 'notWornIn'
  /** The water between them takes the speed. */
  | 'damped'
  /** A stuff that does not squeak on metal. */
  | 'doesNotSqueak';

export type Drive =
  | {
      readonly outcome: 'moves';
      readonly knocks: Knocks | null;
      readonly rub: Rub | null;
      readonly squeak: Squeak | null;
    }
  | { readonly outcome: 'quiet'; readonly why: Quiet };

/** How often a twitched lure is twitched. Trade estimate. */
export const TWITCHES_PER_S = 1;
/** Of the knock of a face, what each piece between passes on. Trade estimate. */
const PASSED_ON = 0.5;
/** Friction between two pieces, that a shake across the wire has to overcome. Trade estimate. */
const HELD_BY = 0.2;
/** Beyond so many pieces nothing comes through. */
const MOST_STEPS = 4;
/** Friction of a blade on what it brushes or drags on. Trade estimate. */
const BRUSH_FRICTION = 0.2;
/** What presses a blade on what it brushes, of its drag. Trade estimate. */
const BRUSHED_SHARE = 0.3;
/** Without an arm to give way, what a blade drags with is its drag times this. Trade estimate. */
const HELD_SHARE = 2;
/** How far into its rubbing life a fixed rivet squeaks most of the way, h. Trade estimate. */
export const WORN_IN_H = 5;
/** Worn in by less than this it does not squeak yet. */
const LEAST_WORN = 0.02;
/** How far stones, ledges and limbs lie apart that a head strikes, m, and at what share of its speed. Trade estimates. */
const WAYS = {
  gravel: { apartM: 0.03, share: 0.35 },
  rock: { apartM: 0.12, share: 0.6 },
  wood: { apartM: 0.2, share: 0.5 },
} as const;

const still = (why: Quiet): Drive => ({ outcome: 'quiet', why });
const knocking = (knocks: Knocks): Drive => ({ outcome: 'moves', knocks, rub: null, squeak: null });

/** What drives this contact in this motion. */
export function driveOf(contact: Contact, motion: Motion): Drive {
  if (contact.pieces.includes(null)) return still('soft');
  const { driven, station } = contact;
  const blade = station === null ? undefined : motion.turning.get(station);
  switch (driven.by) {
    case 'rocking':
      return rocking(contact, driven, station === null ? mostShaking(motion) : blade, motion);
    case 'cage':
      return caged(contact, driven, blade, motion);
    case 'swing':
      return swinging(driven, blade ?? mostShaking(motion), motion);
    case 'lobes':
      return lobes(driven, blade, motion);
    case 'slip':
      return slipping(contact, driven, blade, motion);
    case 'sweep': {
      if (!blade) return still('standsStill');
      const tipMps = speedOfTip(blade, blade.spun.tipRadiusM);
      return knocking({
        perS: blade.spun.rateHz,
        approachMps: motion.by.approach * grazing(-driven.clearanceM, blade.spun.tipRadiusM) * tipMps,
        jitter: 0.05,
      });
    }
    case 'nail': {
      if (driven.knock === 'misses') return still('clear');
      if (!blade || driven.knock === 'jams') return still('standsStill');
      const { rateHz } = blade.spun;
      const approachMps = motion.by.approach * 2 * Math.PI * rateHz * driven.radiusM * driven.rise;
      return knocking({ perS: rateHz, approachMps, jitter: driven.uneven });
    }
    case 'wobble': {
      const { wobble } = motion;
      if (!wobble) return still('notDriven');
      const toAndFroM = driven.behindTieM * Math.sin(wobble.swingRad);
      const swingRad = swingOf(driven.blade, toAndFroM, wobble.rateHz, motion.waterKgM3, motion.speedMps);
      // Its middle comes back to the body at the speed it swings through with.
      const approachMps = motion.by.approach * 2 * Math.PI * wobble.rateHz * swingRad * driven.blade.armM;
      return knocking({ perS: wobble.rateHz, approachMps, jitter: 0.15 });
    }
    case 'brush': {
      if (!blade) return still('standsStill');
      const slipMps = 2 * Math.PI * blade.spun.rateHz * blade.spun.tipRadiusM * 0.2;
      const rub = { pressN: BRUSH_FRICTION * BRUSHED_SHARE * blade.spun.dragN, slipMps, swellsHz: blade.spun.rateHz };
      return { outcome: 'moves', knocks: null, rub, squeak: null };
    }
    case 'way': {
      const { apartM, share } = WAYS[driven.bottom];
      if (!(motion.speedMps > 0)) return still('standsStill');
      return knocking({
        perS: motion.speedMps / apartM,
        approachMps: motion.by.approach * share * motion.speedMps,
        jitter: 0.6,
      });
    }
  }
}

/** What shakes the lure most, where nothing turns on the wire of a contact. */
function mostShaking({ turning }: Motion): TurningBlade | undefined {
  return [...turning.values()].reduce<TurningBlade | undefined>(
    (most, each) => ((each.shake?.amplitudeM ?? 0) > (most?.shake?.amplitudeM ?? 0) ? each : most),
    undefined,
  );
}

/** How fast a shake of this swing throws a piece over its play, m/s: not faster than it shakes. */
function thrown(omega: number, shakeM: number, playM: number): number {
  return Math.min(omega * shakeM, Math.sqrt(2 * omega ** 2 * shakeM * playM));
}

type By<K extends Driven['by']> = Extract<Driven, { by: K }>;

function rocking(contact: Contact, driven: By<'rocking'>, blade: TurningBlade | undefined, motion: Motion): Drive {
  const { ahead, gapM, tiltM, steps } = driven;
  const { by, speedMps, waterKgM3 } = motion;
  const bladesN = ahead.blades.reduce((sum, id) => sum + (motion.turning.get(id)?.spun.dragN ?? 0), 0);
  const pressN = bladesN + 0.5 * waterKgM3 * speedMps ** 2 * ahead.dragM2;
  if (motion.manner === 'twitched') {
    const closingMps = Math.min(speedMps, Math.sqrt((2 * pressN * gapM) / ahead.massKg));
    if (!(closingMps > 0)) return still(speedMps > 0 ? 'notDriven' : 'standsStill');
    return knocking({ perS: TWITCHES_PER_S, approachMps: by.approach * closingMps, jitter: 0.15 });
  }
  if (!blade) return still(motion.turning.size > 0 ? 'notDriven' : 'standsStill');
  const turnsPerS = blade.spun.rateHz;
  const omega = 2 * Math.PI * turnsPerS;
  const shakeM = contact.shakeShare * (blade.shake?.amplitudeM ?? 0);
  const isLoose = omega ** 2 * shakeM * ahead.massKg > HELD_BY * pressN;
  const shakenMps = isLoose ? thrown(omega, shakeM, driven.acrossM) : 0;
  const passedMps = steps <= MOST_STEPS ? omega * tiltM * PASSED_ON ** steps : 0;
  const approachMps = by.approach * Math.hypot(passedMps, shakenMps);
  return approachMps > 0 ? knocking({ perS: turnsPerS, approachMps, jitter: 0.1 }) : still('pressed');
}

function caged({ pieces }: Contact, driven: By<'cage'>, blade: TurningBlade | undefined, motion: Motion): Drive {
  // A turn throws it to one leg and the other; a twitch does so too.
  const throwsPerS = blade ? blade.spun.rateHz : motion.manner === 'twitched' ? TWITCHES_PER_S : 0;
  if (!(throwsPerS > 0)) return still('standsStill');
  if (!(driven.playM > 0)) return still('pressed');
  const massKg = Math.min(...pieces.map((piece) => piece?.massKg ?? Infinity));
  const streamN = 0.5 * motion.waterKgM3 * motion.speedMps ** 2 * driven.areaM2;
  const pullMps2 = Math.hypot(inWater(pieces), streamN / massKg);
  // Half of the time between two throws for the way to a leg: what does not get there in it swings less far.
  const reachM = Math.min(driven.playM, (pullMps2 / 2) * (1 / (2 * throwsPerS)) ** 2);
  return knocking({
    perS: 2 * throwsPerS,
    approachMps: motion.by.approach * Math.sqrt(2 * pullMps2 * reachM),
    jitter: 0.12,
  });
}

/** Weight of the lighter piece over its mass, both in water, m/s². */
function inWater(pieces: Contact['pieces']): number {
  const light = pieces.reduce((least, each) => (each && (!least || each.massKg < least.massKg) ? each : least), null);
  // Of what moves a share `pushes` is water, two thirds of it what is displaced.
  return light ? GRAVITY_MPS2 * Math.max(0.1, 1 - light.pushes) : 0;
}

function swinging(driven: By<'swing'>, blade: TurningBlade | undefined, { by }: Motion): Drive {
  if (!blade) return still('standsStill');
  if (!(driven.playM > 0)) return still('pressed');
  const omega = 2 * Math.PI * blade.spun.rateHz;
  const shakenMps = thrown(omega, blade.shake?.amplitudeM ?? 0, driven.playM);
  const fallMps = Math.sqrt(2 * GRAVITY_MPS2 * BELL_FALLS * driven.playM);
  return knocking({ perS: blade.spun.rateHz, approachMps: by.approach * Math.hypot(shakenMps, fallMps), jitter: 0.25 });
}

/** Of its weight in air, what a brass bell full of water falls with. Trade estimate. */
const BELL_FALLS = 0.7;

/** Speed of a tip and of the water it meets. */
function speedOfTip({ spun }: TurningBlade, tipM: number): number {
  return 2 * Math.PI * spun.rateHz * tipM;
}

/** Share of its speed at which a tip on a circle of this radius meets what it reaches this far into. */
function grazing(depthM: number, radiusM: number): number {
  return Math.min(1, Math.sqrt((2 * Math.max(depthM, LEAST_DEPTH_M)) / radiusM));
}

/** A tip that just ticks reaches about so far, for the play in its ears. Trade estimate. */
const LEAST_DEPTH_M = 0.0002;

function lobes(driven: By<'lobes'>, blade: TurningBlade | undefined, motion: Motion): Drive {
  if (driven.touch === 'free') return still('clear');
  if (!blade) return still('standsStill');
  const { rateHz, dragN } = blade.spun;
  const depthM = Math.max(0, -driven.clearanceM);
  const knocks = {
    perS: blade.strokes * rateHz,
    approachMps: motion.by.approach * grazing(depthM, driven.tipM) * speedOfTip(blade, driven.tipM),
    jitter: 0.04,
  };
  if (driven.touch === 'ticking') return knocking(knocks);
  const heldN = motion.armNM === null ? HELD_SHARE * dragN : motion.armNM * depthM;
  const rub = { pressN: BRUSH_FRICTION * heldN, slipMps: speedOfTip(blade, driven.tipM), swellsHz: knocks.perS };
  return { outcome: 'moves', knocks, rub, squeak: null };
}

function slipping({ pieces }: Contact, { fixing }: By<'slip'>, blade: TurningBlade | undefined, motion: Motion): Drive {
  if (fixing === 'free') return still('spinsFree');
  if (pieces.some((piece) => piece && piece.elastic.lossFactor > MOST_LOSS_TO_SQUEAK)) return still('doesNotSqueak');
  if (!blade) return still('standsStill');
  const { rateHz, dragN } = blade.spun;
  const rub = { pressN: BRUSH_FRICTION * dragN, slipMps: 2 * Math.PI * rateHz * SLIPS_AT_M, swellsHz: rateHz };
  const worn = wornIn(fixing, motion.hours);
  const squeak = worn > LEAST_WORN ? { pressN: motion.by.slip * dragN, worn, swellsHz: rateHz } : null;
  return { outcome: 'moves', knocks: null, rub, squeak };
}

/** Where a blade's ear bears on a rivet, m from the wire. Trade estimate. */
const SLIPS_AT_M = 0.0015;
/** A stuff that loses more than this in a radian takes the slip in itself. Trade estimate. */
const MOST_LOSS_TO_SQUEAK = 0.015;

/** How far a rivet is worn in for its squeak after so many hours, 0 to 1; one that was upset and filed is at once. */
export function wornIn(fixing: 'free' | 'crimped' | 'upset', hours: number): number {
  if (fixing === 'free') return 0;
  return fixing === 'upset' ? 1 : 1 - Math.exp(-hours / WORN_IN_H);
}
