/**
 * The kinds of part as measured things. Lengths in metres, masses in kilograms, always as measured:
 * a trade number is only a maker's label and never enters the arithmetic.
 */
import * as z from 'zod/mini';
import {
  hexColour,
  labelText,
  partLengthM,
  partLengthOrNoneM,
  partMassKg,
  shortText,
  stockLengthM,
  thicknessM,
} from '../schema';
import { BLADE_PATTERNS } from './blade-pattern';
import { MATERIAL_IDS } from './material';
import { wireFormSchema } from './wire-form';

export const HEAD_SHAPES = ['bullet', 'ball', 'minnow', 'flat', 'cone'] as const;
export const TRAILER_STYLES = ['paddleTail', 'kickingFrog', 'grub', 'claw', 'segmentedMinnow'] as const;

export const partIdSchema = z
  .string()
  .check(z.regex(/^[a-z0-9]+(-[a-z0-9]+)*$/, 'a part id: small letters, digits and single hyphens'), z.maxLength(80))
  .brand<'PartId'>();

export const finishSchema = z.strictObject({
  name: shortText,
  hex: hexColour,
  sheen: z.enum(['metal', 'gloss', 'matte', 'clear']),
});
export type Finish = z.infer<typeof finishSchema>;

const common = {
  id: partIdSchema,
  name: shortText,
  maker: shortText,
  /** What the maker calls the size; null where parts of the kind are sold by measure. */
  label: z.nullable(labelText),
  material: z.enum(MATERIAL_IDS),
  finish: finishSchema,
  massKg: partMassKg,
};

/** Straight wire sold in lengths; the mass is that of one stock length. */
export const wireSchema = z.strictObject({
  kind: z.literal('wire'),
  ...common,
  diameterM: thicknessM,
  stockLengthM,
});

/** Two legs on the axle, a lobe that carries the blade. The blade can be changed later only on a quick-change clevis. */
export const clevisSchema = z.strictObject({
  kind: z.literal('clevis'),
  ...common,
  style: z.enum(['folded', 'stirrup', 'quickChange']),
  /** Thickness of each leg along the axle. */
  legThicknessM: thicknessM,
  /** Clear distance between the legs along the axle. */
  legGapM: partLengthM,
  /** Hole of each leg. */
  boreM: partLengthM,
  /** Axle to where the blade's hole hangs. */
  dropM: partLengthM,
  /** Thickness of what passes through the blade's hole. */
  lobeThicknessM: thicknessM,
});

/** A blade; `finish` is the front (the outside of the cup), `backFinish` the hollow. Mass is the blade's own. */
export const bladeSchema = z.strictObject({
  kind: z.literal('blade'),
  ...common,
  pattern: z.enum(BLADE_PATTERNS),
  lengthM: partLengthM,
  widthM: partLengthM,
  thicknessM,
  cupDepthM: partLengthOrNoneM,
  /** Root end to the centre of the hole. */
  holeOffsetM: partLengthM,
  holeDiameterM: partLengthM,
  texture: z.enum(['smooth', 'hammered']),
  backFinish: finishSchema,
});

/** A propeller of soft film threaded through its middle: two lobes, open flat or folded back to a V. */
export const filmBladeSchema = z.strictObject({
  kind: z.literal('filmBlade'),
  ...common,
  /** Tip to tip, lying flat. */
  spanM: partLengthM,
  widthM: partLengthM,
  thicknessM,
  boreM: partLengthM,
});

const bored = { lengthM: partLengthM, boreM: partLengthM };

export const beadSchema = z.strictObject({
  kind: z.literal('bead'),
  ...common,
  ...bored,
  shape: z.enum(['round', 'faceted', 'disc']),
  diameterM: partLengthM,
  /** Wall of a hollow metal bead; null when solid. */
  wallM: z.nullable(thicknessM),
});

/** A tube on the wire: the bearing a bell rides on, or a spacer. */
export const sleeveSchema = z.strictObject({
  kind: z.literal('sleeve'),
  ...common,
  ...bored,
  diameterM: partLengthM,
});

/** A hollow bell: closed and bored at its neck, open at its mouth. */
export const bellSchema = z.strictObject({
  kind: z.literal('bell'),
  ...common,
  ...bored,
  neckDiameterM: partLengthM,
  mouthDiameterM: partLengthM,
  wallM: thicknessM,
});

/** A solid turned piece that knocks against a bell. */
export const strikerSchema = z.strictObject({
  kind: z.literal('striker'),
  ...common,
  ...bored,
  diameterM: partLengthM,
});

/** A domed cup that sits over the end of its neighbour by `nestDepthM`. */
export const capSchema = z.strictObject({
  kind: z.literal('cap'),
  ...common,
  ...bored,
  diameterM: partLengthM,
  wallM: thicknessM,
  nestDepthM: partLengthOrNoneM,
});

export const weightSchema = z.strictObject({
  kind: z.literal('weight'),
  ...common,
  ...bored,
  shape: z.enum(['barrel', 'egg', 'cylinder', 'teardrop']),
  diameterM: partLengthM,
});

/** Hair, feather or chenille tied down with thread: a band of `bandLengthM` and fibres trailing from it. */
export const dressingSchema = z.strictObject({
  kind: z.literal('dressing'),
  ...common,
  style: z.enum(['hair', 'feather', 'chenille']),
  bandLengthM: partLengthM,
  /** From the front of the band to the fibre tips. */
  fibreLengthM: partLengthM,
  /** Thickness of the bundle where it is fullest. */
  bulkM: partLengthM,
  /** Thickness of the bundle pressed flat under the thread: what its mass comes from. */
  coreM: partLengthM,
  threadHex: hexColour,
});

/** Two turns of wire. */
export const splitRingSchema = z.strictObject({
  kind: z.literal('splitRing'),
  ...common,
  outerDiameterM: partLengthM,
  wireDiameterM: thicknessM,
});

export const hookSchema = z.strictObject({
  kind: z.literal('hook'),
  ...common,
  points: z.union([z.literal(1), z.literal(3)]),
  wireDiameterM: thicknessM,
  /** Front of the eye to the back of the bend. */
  lengthM: partLengthM,
  /** Point to shank. */
  gapM: partLengthM,
  eyeInnerDiameterM: partLengthM,
  eye: z.enum(['closed', 'open']),
  barb: z.boolean(),
});

/** Tube sold by the length; the mass is that of one stock length, as supplied. */
export const shrinkTubeSchema = z.strictObject({
  kind: z.literal('shrinkTube'),
  ...common,
  suppliedBoreM: partLengthM,
  recoveredBoreM: partLengthM,
  suppliedWallM: thicknessM,
  stockLengthM,
  /** Share of its length that the tube loses when it shrinks. */
  lengthwiseShrink: z.number().check(z.minimum(0), z.maximum(0.3)),
});

/** A moulded head: the wire leaves it and a hook is cast in it; behind it a collar takes the skirt. */
export const headSchema = z.strictObject({
  kind: z.literal('head'),
  ...common,
  shape: z.enum(HEAD_SHAPES),
  /** Nose to the start of the collar. */
  lengthM: partLengthM,
  heightM: partLengthM,
  widthM: partLengthM,
  collarDiameterM: partLengthM,
  collarLengthM: partLengthM,
  /** Nose to where the wire comes out. */
  wireAtM: partLengthOrNoneM,
  /** Nose to the front of the hook's eye, inside the metal. */
  hookAtM: partLengthOrNoneM,
});

/** Two eyes that turn against each other. */
export const swivelSchema = z.strictObject({
  kind: z.literal('swivel'),
  ...common,
  style: z.enum(['barrel', 'crane', 'roller', 'ballBearing']),
  /** Eye to eye, outside. */
  lengthM: partLengthM,
  barrelDiameterM: partLengthM,
  eyeInnerDiameterM: partLengthM,
  eyeWireM: thicknessM,
});

/** A buzz blade: lobes cut from sheet and twisted, its two ears threaded on the wire. Driving a screw, a left-hand one turns left. */
export const deltaBladeSchema = z.strictObject({
  kind: z.literal('deltaBlade'),
  ...common,
  lobes: z.union([z.literal(2), z.literal(3), z.literal(4)]),
  hand: z.enum(['left', 'right']),
  /** Circle its tips run on. */
  spanM: partLengthM,
  /** Front ear to rear ear along the wire. */
  lengthM: partLengthM,
  thicknessM,
  boreM: partLengthM,
});

/** A flanged tube that stops a buzz blade and that it rubs on. */
export const rivetSchema = z.strictObject({
  kind: z.literal('rivet'),
  ...common,
  ...bored,
  diameterM: partLengthM,
  flangeDiameterM: partLengthM,
});

/** What holds a skirt: a band for layers of strips, or one piece with its strands moulded on. */
export const skirtSchema = z.strictObject({
  kind: z.literal('skirt'),
  ...common,
  style: z.enum(['banded', 'onePiece']),
  /** Inside when not stretched. */
  boreM: partLengthM,
  collarLengthM: partLengthM,
  collarDiameterM: partLengthM,
  /** Of a one-piece skirt; null for a band. */
  strands: z.nullable(z.strictObject({ count: z.int().check(z.positive(), z.maximum(300)), lengthM: partLengthM })),
});

/** One layer for a banded skirt: a strip slit into strands, pulled through the band. */
export const skirtLayerSchema = z.strictObject({
  kind: z.literal('skirtLayer'),
  ...common,
  strands: z.int().check(z.positive(), z.maximum(80)),
  lengthM: partLengthM,
  strandWidthM: thicknessM,
  strandThicknessM: thicknessM,
  /** The colour of flakes or bars in it; null when plain. */
  accentHex: z.nullable(hexColour),
});

/** A soft tail pushed on the hook. */
export const trailerSchema = z.strictObject({
  kind: z.literal('trailer'),
  ...common,
  style: z.enum(TRAILER_STYLES),
  lengthM: partLengthM,
  /** Height and width of the body at its head. */
  bodyM: partLengthM,
  /** From its head to where the part that kicks begins. */
  kicksFromM: partLengthM,
  head: z.enum(['blunt', 'pointed']),
});

/** A bent clip lashed to the shank that keeps a trailer from sliding down. */
export const keeperSchema = z.strictObject({
  kind: z.literal('keeper'),
  ...common,
  wireDiameterM: thicknessM,
  /** Length of the leg that lies on the shank. */
  legM: partLengthM,
  /** How far its barb stands off the shank. */
  standM: partLengthM,
});

/** Soft wire sold in lengths, for locking a skirt or lashing a keeper; the mass is that of one stock length. */
export const softWireSchema = z.strictObject({
  kind: z.literal('softWire'),
  ...common,
  diameterM: thicknessM,
  stockLengthM,
});

/** A weighted body on a wire of its own with an eye at each end: the second piece of a spinner in two pieces. */
export const bodySchema = z.strictObject({
  kind: z.literal('body'),
  ...common,
  shape: z.enum(['barrel', 'egg', 'teardrop']),
  /** Front of the front eye to the back of the rear eye. */
  lengthM: partLengthM,
  /** Length and thickness of the metal between the eyes. */
  metalLengthM: partLengthM,
  diameterM: partLengthM,
  wireDiameterM: thicknessM,
  eyeInnerDiameterM: partLengthM,
});

/** A bought frame: its wire formed, its head cast on with the hook in it, its end loop still open. */
export const frameSchema = z.strictObject({
  kind: z.literal('frame'),
  ...common,
  wire: wireSchema,
  form: wireFormSchema,
  head: headSchema,
  hook: hookSchema,
});

export const partSchema = z.discriminatedUnion('kind', [
  wireSchema,
  clevisSchema,
  bladeSchema,
  filmBladeSchema,
  beadSchema,
  sleeveSchema,
  bellSchema,
  strikerSchema,
  capSchema,
  weightSchema,
  dressingSchema,
  splitRingSchema,
  hookSchema,
  shrinkTubeSchema,
  headSchema,
  swivelSchema,
  deltaBladeSchema,
  rivetSchema,
  skirtSchema,
  skirtLayerSchema,
  trailerSchema,
  keeperSchema,
  softWireSchema,
  bodySchema,
  frameSchema,
]);

export type Part = z.infer<typeof partSchema>;
export type PartKind = Part['kind'];
export type PartOf<K extends PartKind> = Extract<Part, { kind: K }>;
export type Blade = PartOf<'blade'>;
export type FilmBlade = PartOf<'filmBlade'>;
export type Wire = PartOf<'wire'>;
export type Hook = PartOf<'hook'>;
export type Head = PartOf<'head'>;
export type DeltaBlade = PartOf<'deltaBlade'>;
export type Trailer = PartOf<'trailer'>;
export type Frame = PartOf<'frame'>;

export const PART_KINDS = partSchema.def.options.flatMap((option) => option.def.shape.kind.def.values);
