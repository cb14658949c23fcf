/**
 * A lure as data: one carrier with things threaded, hung, tied and pushed on it.
 * Every item carries its own measured part, so a lure never depends on a catalogue that may change.
 * The strand is the threading order, nose to tail; a clevis stands in it twice, once for each leg, so that two clevises
 * can be stacked interleaved or nested and a bead can sit inside one.
 */
import * as z from 'zod/mini';
import { lengthM, positiveLengthM, shortText } from '../schema';
import { partSchema, wireSchema } from '../parts/part';

export const itemIdSchema = z
  .string()
  .check(z.regex(/^[a-zA-Z]+-[0-9]+$/, 'an item id like bead-2'), z.maxLength(40))
  .brand<'ItemId'>();
export type ItemId = z.infer<typeof itemIdSchema>;

export const lureIdSchema = z
  .string()
  .check(z.regex(/^[a-z0-9]+(-[a-z0-9]+)*$/, 'a lure id: small letters, digits and single hyphens'), z.maxLength(80))
  .brand<'LureId'>();
export type LureId = z.infer<typeof lureIdSchema>;

export const endSchema = z.enum(['nose', 'tail']);
export type End = z.infer<typeof endSchema>;

/** Where an item sits. `over`: slid over another item, which passes through its bore (a bell over its sleeve). */
export const seatSchema = z.discriminatedUnion('on', [
  z.strictObject({ on: z.literal('strand') }),
  z.strictObject({ on: z.literal('end'), end: endSchema }),
  z.strictObject({ on: z.literal('item'), item: itemIdSchema, how: z.enum(['hung', 'tied', 'over']) }),
]);
export type Seat = z.infer<typeof seatSchema>;

/** How far the lobes of a film blade are folded back from flat, rad. */
export const foldSchema = z.number().check(z.nonnegative(), z.maximum(1.4));

export const itemSchema = z.strictObject({
  id: itemIdSchema,
  part: partSchema,
  seat: seatSchema,
  /** What this hook is for on this lure ("tail treble"). Every hook has one; other items have null. */
  role: z.nullable(shortText),
  /** Threaded: turned end for end. A blade: hung the wrong way about, its hollow away from the body. */
  flipped: z.boolean(),
  /** Shrink tube: the length to cut, when the builder sets it; null takes the length worked out. */
  cutLengthM: z.nullable(positiveLengthM),
  /** Film blade: how far its lobes are folded back; null for anything else. */
  foldRad: z.nullable(foldSchema),
  /** Hook: its barb was pressed flat. */
  pinched: z.boolean(),
});
export type Item = z.infer<typeof itemSchema>;

export const legSchema = z.enum(['fore', 'aft']);
export type Leg = z.infer<typeof legSchema>;

/** One thing the wire passes through. `leg` is null for anything but a clevis. */
export const strandEntrySchema = z.strictObject({ item: itemIdSchema, leg: z.nullable(legSchema) });
export type StrandEntry = z.infer<typeof strandEntrySchema>;

export const wireEndSchema = z.discriminatedUnion('form', [
  z.strictObject({ form: z.literal('plain') }),
  z.strictObject({
    form: z.literal('wrappedLoop'),
    insideDiameterM: positiveLengthM,
    turns: z.number().check(z.minimum(0.5), z.maximum(3)),
    wraps: z.number().check(z.minimum(0), z.maximum(12)),
    /** Left over behind the last wrap and clipped, m. */
    tagM: lengthM,
  }),
]);
export type WireEnd = z.infer<typeof wireEndSchema>;

/** The loop a builder rolls without being told otherwise: takes a #2 ring and a snap. */
export const USUAL_LOOP: WireEnd = { form: 'wrappedLoop', insideDiameterM: 0.0032, turns: 1, wraps: 3, tagM: 0.012 };

/** A straight wire. `freeRoomM` is the play left between the stack and the nose wraps. */
export const carrierSchema = z.strictObject({
  kind: z.literal('straightWire'),
  wire: wireSchema,
  nose: wireEndSchema,
  tail: wireEndSchema,
  freeRoomM: lengthM,
});

export const buildSchema = z.strictObject({
  carrier: carrierSchema,
  items: z.record(itemIdSchema, itemSchema),
  strand: z.array(strandEntrySchema).check(z.maxLength(200)),
});
export type Build = z.infer<typeof buildSchema>;

/** Templates and checks over the one assembly; nothing else asks which it is. */
export const familySchema = z.enum(['inlineSpinner']);
export type Family = z.infer<typeof familySchema>;

/** Until a lure is marked made its loops are open in the mind: a design. Then `build` is what lies on the bench. */
export const madeSchema = z.strictObject({
  onDay: z.string().check(z.regex(/^\d{4}-\d{2}-\d{2}$/, 'a day like 2031-09-14')),
  build: buildSchema,
});

export const lureSchema = z.strictObject({
  id: lureIdSchema,
  name: shortText,
  family: familySchema,
  note: z.string().check(z.maxLength(4000)),
  build: buildSchema,
  made: z.nullable(madeSchema),
});
export type Lure = z.infer<typeof lureSchema>;

/** Items hung, tied or pushed on this item or wire end, in the order of their ids. */
export function childrenOf(build: Build, parent: ItemId | End): Item[] {
  return Object.values(build.items)
    .filter(({ seat }) => (seat.on === 'item' && seat.item === parent) || (seat.on === 'end' && seat.end === parent))
    .sort((a, b) => a.id.localeCompare(b.id, 'en', { numeric: true }));
}

/** The item and all that would come away with it. */
export function withDependents(build: Build, id: ItemId): ItemId[] {
  return [id, ...childrenOf(build, id).flatMap((child) => withDependents(build, child.id))];
}

/** The lowest free id for a part kind: `bead-4`. */
export function newItemId(build: Build, kind: string, taken: ReadonlySet<string> = new Set()): ItemId {
  for (let number = 1; ; number++) {
    const id = `${kind}-${number}`;
    if (!(id in build.items) && !taken.has(id)) return itemIdSchema.parse(id);
  }
}

/** The item with this id. @throws Error when the build has none: an id from elsewhere is a caller's mistake. */
export function itemOf(build: Build, id: ItemId): Item {
  const item = build.items[id];
  if (!item) throw new Error(`itemOf: this build has no item ${id}`);
  return item;
}
