/**
 * A lure as data: one carrier, straight or bent, with things threaded, hung, tied, cast and pushed on it.
 * Every item carries its own measured part, so a lure never depends on a catalogue that may change.
 * The strand is the threading order, nose to tail; a clevis stands in it twice, once for each leg, so that two clevises
 * can be stacked interleaved or nested and a bead can sit inside one.
 */
import * as z from 'zod/mini';
import { byId } from '../by-id';
import { daySchema, noteText, partLengthOrNoneM, shortText } from '../schema';
import { partSchema, stateSchema } from '../parts/part';
import { HOWS } from '../parts/kinds/room';
import type { WireEnd } from '../parts/wire-form';
import { BODY_SIDES } from '../carriers/room';
import { carrierSchema } from '../carriers/carrier';
import { carrierIdSchema, itemIdSchema, lureIdSchema, type CarrierId, type ItemId, type LureId } from './ids';
import { keptReadingsSchema } from './reading';

export { carrierIdSchema, itemIdSchema, lureIdSchema, type CarrierId, type ItemId, type LureId };

/** The carrier that the line pulls. Those joined to it have ids of their own. */
export const FIRST_CARRIER = carrierIdSchema.parse('wire-1');

export const endSchema = z.enum(['nose', 'tail']);
export type End = z.infer<typeof endSchema>;

export const howSchema = z.enum(HOWS);

/**
 * Where an item sits. `strand`: threaded on the carrier whose strand names it. `end`: hung in the loop there, or cast about
 * the nose of a bent wire. `tie`: forced over its line tie. `body`: screwed into a body, so far from its nose. All of the
 * first carrier unless another is named.
 */
export const seatSchema = z.discriminatedUnion('on', [
  z.strictObject({ on: z.literal('strand') }),
  z.strictObject({ on: z.literal('end'), carrier: z.optional(carrierIdSchema), end: endSchema }),
  z.strictObject({ on: z.literal('tie'), carrier: z.optional(carrierIdSchema) }),
  z.strictObject({
    on: z.literal('body'),
    carrier: z.optional(carrierIdSchema),
    side: z.enum(BODY_SIDES),
    atM: partLengthOrNoneM,
  }),
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

/** The loop a builder knots into line for a snap, and the knot that ties it to one. */
export const USUAL_TIED_LOOP: WireEnd = { form: 'tiedLoop', insideM: 0.012, tagM: 0.03 };
export const USUAL_KNOT: WireEnd = { form: 'knot', knot: 'clinch', turns: 5, tagM: 0.04 };

/** What a build and a lure hold at most. `structureProblem` and `applyEdits` hold every change against these. */
export const MOST_ITEMS = 500;
export const MOST_ENTRIES = 200;
export const MOST_JOINED = 20;
export const MOST_VERSIONS = 40;
/** Rings on rings: how many pieces hang one on another. */
export const DEEPEST = 40;
export const LONGEST_NOTE = 4000;

const strandSchema = z.array(strandEntrySchema).check(z.maxLength(MOST_ENTRIES));

/** What a joined carrier hangs on: an item that holds it, or an end of another carrier. */
export const jointSchema = z.discriminatedUnion('on', [
  z.strictObject({ on: z.literal('item'), item: itemIdSchema }),
  z.strictObject({ on: z.literal('end'), carrier: carrierIdSchema, end: endSchema }),
]);
export type Joint = z.infer<typeof jointSchema>;

/** A carrier that hangs on another, with what is threaded on it. */
export const joinedSchema = z.strictObject({
  id: carrierIdSchema,
  joint: jointSchema,
  carrier: carrierSchema,
  strand: strandSchema,
});
export type Joined = z.infer<typeof joinedSchema>;

/** The carrier that the line pulls and what is threaded on it; the carriers joined to it; and every item of them all. */
export const buildSchema = z.strictObject({
  carrier: carrierSchema,
  items: z.record(itemIdSchema, itemSchema),
  strand: strandSchema,
  joined: z.array(joinedSchema).check(z.maxLength(MOST_JOINED)),
});
export type Build = z.infer<typeof buildSchema>;

/** Templates and checks over the one assembly; nothing else asks which it is. */
export const familySchema = z.enum([
  'inlineSpinner',
  'spinnerbait',
  'buzzbait',
  'wormHarness',
  'bladeLeader',
  'bladeAhead',
  'hardBait',
  'underspin',
]);
export type Family = z.infer<typeof familySchema>;

const hours = z.number().check(z.minimum(0), z.maximum(100_000));
const times = z.int().check(z.minimum(0), z.maximum(100_000));

/** What was done with a piece since it was made: in the water, h; fish taken on it; how often it was bent back straight. */
export const usedSchema = z.strictObject({
  hours,
  fish: times,
  straightened: times,
  /** Items that were renewed since, and after how many hours and fish. */
  renewed: z.optional(z.record(itemIdSchema, z.strictObject({ hours, fish: times }))),
});
export type Used = z.infer<typeof usedSchema>;

export const UNUSED: Used = { hours: 0, fish: 0, straightened: 0 };

/** Until a lure is marked made its loops are open in the mind: a design. Then `build` is what lies on the bench. */
export const madeSchema = z.strictObject({
  onDay: daySchema,
  build: buildSchema,
  /** Absent where nothing was told of it. */
  used: z.optional(usedSchema),
});

/** A build kept under a name, to go back to or compare with, and what was noted of it. */
export const versionSchema = z.strictObject({
  name: shortText,
  note: z.optional(noteText(LONGEST_NOTE)),
  build: buildSchema,
});

export const lureSchema = z.strictObject({
  id: lureIdSchema,
  name: shortText,
  family: familySchema,
  note: noteText(LONGEST_NOTE),
  build: buildSchema,
  made: z.nullable(madeSchema),
  versions: z.array(versionSchema).check(z.maxLength(MOST_VERSIONS)),
  /** What was measured of it on the water; absent where nothing was. */
  readings: z.optional(keptReadingsSchema),
});
export type Lure = z.infer<typeof lureSchema>;

/** Where a carrier holds what is not threaded on it. */
export type SpotKind = End | 'tie' | 'body';
/** An end, the line tie or the body of a carrier: `tail` of the first, `wire-2/tail` of another. */
export type Spot = SpotKind | `${CarrierId}/${SpotKind}`;

/** The name of a carrier's end, tie or body in the lure. */
export function spotOf(carrier: CarrierId, at: SpotKind): Spot {
  return carrier === FIRST_CARRIER ? at : `${carrier}/${at}`;
}

/** What can hold something off the strand: another item, or a spot of a carrier. */
export type Holder = ItemId | Spot;

function holderOf(seat: Seat): Holder | null {
  switch (seat.on) {
    case 'strand':
      return null;
    case 'end':
      return spotOf(seat.carrier ?? FIRST_CARRIER, seat.end);
    case 'tie':
    case 'body':
      return spotOf(seat.carrier ?? FIRST_CARRIER, seat.on);
    case 'item':
      return seat.item;
  }
}

/** What each holder of a build holds: worked out once for each set of items, which never changes. */
const HELD = new WeakMap<Build['items'], ReadonlyMap<Holder | null, Item[]>>();

/** Items hung, tied or pushed on this item or wire end, in the order of their ids. */
export function childrenOf({ items }: Pick<Build, 'items'>, parent: Holder): readonly Item[] {
  return (HELD.get(items) ?? holdAll(items)).get(parent) ?? [];
}

function holdAll(items: Build['items']): ReadonlyMap<Holder | null, Item[]> {
  const held = new Map<Holder | null, Item[]>();
  for (const item of Object.values(items).sort((a, b) => byId(a.id, b.id))) {
    const holder = holderOf(item.seat);
    const beside = held.get(holder);
    if (beside) beside.push(item);
    else held.set(holder, [item]);
  }
  HELD.set(items, held);
  return held;
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
