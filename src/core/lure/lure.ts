/**
 * A lure as data: one carrier, straight or bent, with things threaded, hung, tied, cast and pushed on it.
 * Every item carries its own measured part, so a lure never depends on a catalogue that may change.
 * The strand is the threading order, nose to tail; a clevis stands in it twice, once for each leg, so that two clevises
 * can be stacked interleaved or nested and a bead can sit inside one.
 */
import * as z from 'zod/mini';
import { daySchema, noteText, shortText, wireLengthM } from '../schema';
import { partSchema } from '../parts/part';
import { partIdSchema } from '../parts/kinds/common';
import { wireSchema } from '../parts/kinds/wire';
import { HOWS } from '../parts/kinds/room';
import { wireEndSchema, wireFormSchema, type WireEnd } from '../parts/wire-form';
import { stateSchema } from '../parts/part';

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

export const howSchema = z.enum(HOWS);

/** Where an item sits. `end`: hung in the loop there, or cast about the nose of a bent wire. `tie`: forced over its line tie. */
export const seatSchema = z.discriminatedUnion('on', [
  z.strictObject({ on: z.literal('strand') }),
  z.strictObject({ on: z.literal('end'), end: endSchema }),
  z.strictObject({ on: z.literal('tie') }),
  z.strictObject({ on: z.literal('item'), item: itemIdSchema, how: howSchema }),
]);
export type Seat = z.infer<typeof seatSchema>;

export const itemSchema = z.strictObject({
  id: itemIdSchema,
  part: partSchema,
  seat: seatSchema,
  /** What this hook is for on this lure ("tail treble"). Every hook has one; other items have null. */
  role: z.nullable(shortText),
  /** Threaded: turned end for end. A blade: its hollow away from the body. A skirt: its long side to the nose. A claw: on the point's side. */
  flipped: z.boolean(),
  /** What the hand has done to this piece; null for kinds to which nothing is done. */
  state: z.nullable(stateSchema),
});
export type Item = z.infer<typeof itemSchema>;

export const legSchema = z.enum(['fore', 'aft']);
export type Leg = z.infer<typeof legSchema>;

/** One thing the wire passes through. `leg` is null for anything but a clevis. */
export const strandEntrySchema = z.strictObject({ item: itemIdSchema, leg: z.nullable(legSchema) });
export type StrandEntry = z.infer<typeof strandEntrySchema>;

/** The loop a builder rolls without being told otherwise: takes a #2 ring and a snap. */
export const USUAL_LOOP: WireEnd = { form: 'wrappedLoop', insideDiameterM: 0.0032, turns: 1, wraps: 3, tagM: 0.012 };

/** A straight wire. `freeRoomM` is the play left between the stack and the nose wraps. */
export const straightWireSchema = z.strictObject({
  kind: z.literal('straightWire'),
  wire: wireSchema,
  nose: wireEndSchema,
  tail: wireEndSchema,
  freeRoomM: wireLengthM,
});

/** A bent wire: its nose is cast in a head, its arm carries the strand. */
export const bentWireSchema = z.strictObject({
  kind: z.literal('bentWire'),
  wire: wireSchema,
  ...wireFormSchema.def.shape,
  /** The bought frame it came as; null for wire the builder bends. */
  bought: z.nullable(z.strictObject({ id: partIdSchema, name: shortText, maker: shortText })),
});
export type BentWire = z.infer<typeof bentWireSchema>;

export const carrierSchema = z.discriminatedUnion('kind', [straightWireSchema, bentWireSchema]);
export type Carrier = z.infer<typeof carrierSchema>;

/** The form of an end of the wire. The nose of a bent wire is in its head and has none. */
export function wireEnd(carrier: Carrier, end: End): WireEnd {
  return end === 'tail' ? carrier.tail : carrier.kind === 'straightWire' ? carrier.nose : { form: 'plain' };
}

/** What a build and a lure hold at most. `structureProblem` and `applyEdits` hold every change against these. */
export const MOST_ITEMS = 500;
export const MOST_ENTRIES = 200;
export const MOST_VERSIONS = 40;
/** Rings on rings: how many pieces hang one on another. */
export const DEEPEST = 40;
export const LONGEST_NOTE = 4000;

export const buildSchema = z.strictObject({
  carrier: carrierSchema,
  items: z.record(itemIdSchema, itemSchema),
  strand: z.array(strandEntrySchema).check(z.maxLength(MOST_ENTRIES)),
});
export type Build = z.infer<typeof buildSchema>;

/** Templates and checks over the one assembly; nothing else asks which it is. */
export const familySchema = z.enum(['inlineSpinner', 'spinnerbait', 'buzzbait']);
export type Family = z.infer<typeof familySchema>;

/** Until a lure is marked made its loops are open in the mind: a design. Then `build` is what lies on the bench. */
export const madeSchema = z.strictObject({
  onDay: daySchema,
  build: buildSchema,
});

/** A build kept under a name, to go back to or compare with. */
export const versionSchema = z.strictObject({ name: shortText, build: buildSchema });

export const lureSchema = z.strictObject({
  id: lureIdSchema,
  name: shortText,
  family: familySchema,
  note: noteText(LONGEST_NOTE),
  build: buildSchema,
  made: z.nullable(madeSchema),
  versions: z.array(versionSchema).check(z.maxLength(MOST_VERSIONS)),
});
export type Lure = z.infer<typeof lureSchema>;

/** What can hold something off the strand: another item, an end of the wire, its line tie. */
export type Holder = ItemId | End | 'tie';

function holderOf(seat: Seat): Holder | null {
  switch (seat.on) {
    case 'strand':
      return null;
    case 'end':
      return seat.end;
    case 'tie':
      return 'tie';
    case 'item':
      return seat.item;
  }
}

/** What each holder of a build holds: worked out once for each set of items, which never changes. */
const HELD = new WeakMap<Build['items'], ReadonlyMap<Holder | null, Item[]>>();
const BY_ID = new Intl.Collator('en', { numeric: true });

/** Items hung, tied or pushed on this item or wire end, in the order of their ids. */
export function childrenOf({ items }: Pick<Build, 'items'>, parent: Holder): readonly Item[] {
  return (HELD.get(items) ?? holdAll(items)).get(parent) ?? [];
}

function holdAll(items: Build['items']): ReadonlyMap<Holder | null, Item[]> {
  const held = new Map<Holder | null, Item[]>();
  for (const item of Object.values(items).sort((a, b) => BY_ID.compare(a.id, b.id))) {
    const holder = holderOf(item.seat);
    const beside = held.get(holder);
    if (beside) beside.push(item);
    else held.set(holder, [item]);
  }
  HELD.set(items, held);
  return held;
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
