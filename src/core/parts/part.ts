/**
 * The kinds of part as measured things. Lengths in metres, masses in kilograms, always as measured:
 * a trade number is only a maker's label and never enters the arithmetic. Each kind says all that concerns it alone in a
 * room of its own (kinds/); here they stand together.
 */
import * as z from 'zod/mini';
import '../schema';
import { baitRoom, baitSchema, baitStateSchema } from './kinds/bait';
import { beadRoom, beadSchema } from './kinds/bead';
import { bellRoom, bellSchema } from './kinds/bell';
import { bladeRoom, bladeSchema } from './kinds/blade';
import { bodyRoom, bodySchema } from './kinds/body';
import { capRoom, capSchema } from './kinds/cap';
import { clevisRoom, clevisSchema } from './kinds/clevis';
import { deltaBladeRoom, deltaBladeSchema, deltaBladeStateSchema } from './kinds/delta-blade';
import { dressingRoom, dressingSchema } from './kinds/dressing';
import { filmBladeRoom, filmBladeSchema, filmStateSchema } from './kinds/film-blade';
import { frameRoom, frameSchema } from './kinds/frame';
import { headRoom, headSchema } from './kinds/head';
import { hookRoom, hookSchema, hookStateSchema } from './kinds/hook';
import { lureBodyRoom, lureBodySchema } from './kinds/lure-body';
import { nailStateSchema, nailWeightRoom, nailWeightSchema } from './kinds/nail-weight';
import { screwEyeRoom, screwEyeSchema } from './kinds/screw-eye';
import { hookDiscRoom, hookDiscSchema } from './kinds/hook-disc';
import { keeperRoom, keeperSchema } from './kinds/keeper';
import { linkRoom, linkSchema, linkStateSchema } from './kinds/link';
import { snapRoom, snapSchema } from './kinds/snap';
import { stopRoom, stopSchema, stopStateSchema } from './kinds/stop';
import { lineRoom, lineSchema } from './kinds/line';
import { rivetRoom, rivetSchema, rivetStateSchema } from './kinds/rivet';
import { shrinkTubeRoom, shrinkTubeSchema, tubeStateSchema } from './kinds/shrink-tube';
import { skirtRoom, skirtSchema, skirtStateSchema } from './kinds/skirt';
import { skirtLayerRoom, skirtLayerSchema } from './kinds/skirt-layer';
import { sleeveRoom, sleeveSchema, sleeveStateSchema } from './kinds/sleeve';
import { lockStateSchema, softWireRoom, softWireSchema } from './kinds/soft-wire';
import { splitRingRoom, splitRingSchema } from './kinds/split-ring';
import { strikerRoom, strikerSchema } from './kinds/striker';
import { swivelRoom, swivelSchema, swivelStateSchema } from './kinds/swivel';
import { trailerRoom, trailerSchema, trailerStateSchema } from './kinds/trailer';
import { weightRoom, weightSchema } from './kinds/weight';
import { wireRoom, wireSchema } from './kinds/wire';
import type { KindRoom } from './kinds/room';

export const partSchema = z.discriminatedUnion('kind', [
  wireSchema,
  lineSchema,
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
  hookDiscSchema,
  softWireSchema,
  stopSchema,
  snapSchema,
  baitSchema,
  linkSchema,
  bodySchema,
  frameSchema,
  lureBodySchema,
  screwEyeSchema,
  nailWeightSchema,
]);

export type Part = z.infer<typeof partSchema>;
export type PartKind = Part['kind'];
export type PartOf<K extends PartKind> = Extract<Part, { kind: K }>;

export const PART_KINDS = partSchema.def.options.flatMap((option) => option.def.shape.kind.def.values);

/** What a builder's hand does to one piece: each kind of part has its own state, or none. */
export const stateSchema = z.discriminatedUnion('of', [
  filmStateSchema,
  hookStateSchema,
  tubeStateSchema,
  swivelStateSchema,
  skirtStateSchema,
  trailerStateSchema,
  rivetStateSchema,
  sleeveStateSchema,
  deltaBladeStateSchema,
  lockStateSchema,
  stopStateSchema,
  baitStateSchema,
  linkStateSchema,
  nailStateSchema,
]);
export type ItemState = z.infer<typeof stateSchema>;

/** Every kind's room; what is missing is a type error. */
export const KINDS = {
  wire: wireRoom,
  line: lineRoom,
  clevis: clevisRoom,
  blade: bladeRoom,
  filmBlade: filmBladeRoom,
  bead: beadRoom,
  sleeve: sleeveRoom,
  bell: bellRoom,
  striker: strikerRoom,
  cap: capRoom,
  weight: weightRoom,
  dressing: dressingRoom,
  splitRing: splitRingRoom,
  hook: hookRoom,
  shrinkTube: shrinkTubeRoom,
  head: headRoom,
  swivel: swivelRoom,
  deltaBlade: deltaBladeRoom,
  rivet: rivetRoom,
  skirt: skirtRoom,
  skirtLayer: skirtLayerRoom,
  trailer: trailerRoom,
  keeper: keeperRoom,
  hookDisc: hookDiscRoom,
  softWire: softWireRoom,
  stop: stopRoom,
  snap: snapRoom,
  bait: baitRoom,
  link: linkRoom,
  body: bodyRoom,
  frame: frameRoom,
  lureBody: lureBodyRoom,
  screwEye: screwEyeRoom,
  nailWeight: nailWeightRoom,
} satisfies { readonly [K in PartKind]: Pick<KindRoom<PartOf<K>, null>, 'radiusM' | 'smaller' | 'telling'> };

/** The room of this part's kind. */
export function roomOf<P extends Part>({ kind }: P): KindRoom<P, ItemState | null> {
  // A room takes the parts and states of its own kind, and this part is of its kind.
  return KINDS[kind] as unknown as KindRoom<P, ItemState | null>;
}

/** What can be said of a kind without a part of it: the ports of its joints. */
export function portsOf(kind: PartKind): Pick<KindRoom<never, never>, 'threads' | 'sits' | 'holds'> {
  return KINDS[kind];
}
