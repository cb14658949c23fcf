/**
 * Edits as reversible data. `applyEdits` gives the next lure and the edits that lead back exactly;
 * undo, history, repairs and the cost of a change are all made of them.
 */
import * as z from 'zod/mini';
import { noteText, shortText, wireLengthM } from '../schema';
import { never } from '../never';
import { partSchema } from '../parts/part';
import { wireSchema } from '../parts/kinds/wire';
import { wireEndSchema } from '../parts/wire-form';
import { stateSchema } from '../parts/part';
import {
  bentWireSchema,
  buildSchema,
  carrierSchema,
  LONGEST_NOTE,
  MOST_ENTRIES,
  MOST_ITEMS,
  MOST_VERSIONS,
  itemIdSchema,
  itemSchema,
  lureSchema,
  madeSchema,
  seatSchema,
  strandEntrySchema,
  versionSchema,
  type Build,
  type Carrier,
  type Item,
  type ItemId,
  type Lure,
  type StrandEntry,
} from './lure';
import { sizeProblem } from './size';
import { structureProblem, type Refusal } from './structure';

const versionPlace = z.int().check(z.nonnegative(), z.maximum(MOST_VERSIONS));
const placedEntrySchema = z.strictObject({ index: z.int().check(z.nonnegative()), entry: strandEntrySchema });

export const editSchema = z.discriminatedUnion('kind', [
  /** Puts items in; each entry's index is its place in the finished strand, rising. */
  z.strictObject({
    kind: z.literal('insert'),
    items: z.array(itemSchema).check(z.minLength(1), z.maxLength(MOST_ITEMS)),
    entries: z.array(placedEntrySchema).check(z.maxLength(MOST_ENTRIES)),
  }),
  /** Takes items out with all their strand entries; what hangs on them must be listed too. */
  z.strictObject({
    kind: z.literal('remove'),
    items: z.array(itemIdSchema).check(z.minLength(1), z.maxLength(MOST_ITEMS)),
  }),
  /** Moves one strand entry so that it ends up at `to`. */
  z.strictObject({
    kind: z.literal('move'),
    from: z.int().check(z.nonnegative()),
    to: z.int().check(z.nonnegative()),
  }),
  z.strictObject({ kind: z.literal('swapPart'), item: itemIdSchema, part: partSchema }),
  z.strictObject({
    kind: z.literal('adjust'),
    item: itemIdSchema,
    changes: z.strictObject({
      flipped: z.optional(z.boolean()),
      role: z.optional(z.nullable(shortText)),
      state: z.optional(z.nullable(stateSchema)),
    }),
  }),
  /** Moves an item between places off the strand. */
  z.strictObject({ kind: z.literal('reseat'), item: itemIdSchema, seat: seatSchema }),
  z.strictObject({
    kind: z.literal('carrier'),
    changes: z.strictObject({
      wire: z.optional(wireSchema),
      tail: z.optional(wireEndSchema),
      /** Of a straight wire only. */
      nose: z.optional(wireEndSchema),
      freeRoomM: z.optional(wireLengthM),
      /** Of a bent wire only. */
      startRad: z.optional(bentWireSchema.def.shape.startRad),
      sections: z.optional(bentWireSchema.def.shape.sections),
      armM: z.optional(wireLengthM),
    }),
  }),
  /** Takes another carrier in place of this one: a bought frame, or wire to bend. */
  z.strictObject({ kind: z.literal('carry'), carrier: carrierSchema }),
  z.strictObject({ kind: z.literal('rename'), name: shortText }),
  z.strictObject({ kind: z.literal('note'), note: noteText(LONGEST_NOTE) }),
  z.strictObject({ kind: z.literal('mark'), made: z.nullable(madeSchema) }),
  /** Keeps a build under a name, so that it ends up at `at` among the versions. */
  z.strictObject({ kind: z.literal('keepVersion'), at: versionPlace, version: versionSchema }),
  z.strictObject({ kind: z.literal('forgetVersion'), at: versionPlace }),
  /** All versions at once: how histories of before 2026-12 kept and forgot one. */
  z.strictObject({ kind: z.literal('versions'), versions: lureSchema.def.shape.versions }),
  /** Goes to another build whole: a version kept. */
  z.strictObject({ kind: z.literal('rebuild'), build: buildSchema }),
]);
export type Edit = z.infer<typeof editSchema>;

export type Applied =
  | { readonly ok: true; readonly lure: Lure; readonly inverse: readonly Edit[] }
  | { readonly ok: false; readonly refusal: Refusal };

type Step = { readonly lure: Lure; readonly inverse: Edit } | { readonly refusal: Refusal };

/**
 * Applies edits in order as one change. Only the end result must be possible, so legs may pass through crossed states.
 * On refusal nothing has changed. Law: applying `inverse` to the result gives the first lure back exactly.
 */
export function applyEdits(lure: Lure, edits: readonly Edit[]): Applied {
  let current = lure;
  const inverse: Edit[] = [];
  for (const edit of edits) {
    const step = applyOne(current, edit);
    if ('refusal' in step) return { ok: false, refusal: step.refusal };
    current = step.lure;
    inverse.unshift(step.inverse);
  }
  const refusal = structureProblem(current.build) ?? sizeProblem(current);
  return refusal ? { ok: false, refusal } : { ok: true, lure: current, inverse };
}

function applyOne(lure: Lure, edit: Edit): Step {
  const { build } = lure;
  switch (edit.kind) {
    case 'insert':
      return insert(lure, edit.items, edit.entries);
    case 'remove':
      return remove(lure, edit.items);
    case 'move': {
      const { length } = build.strand;
      const worst = Math.max(edit.from, edit.to);
      if (worst >= length) return { refusal: { code: 'noSuchPlace', index: worst, length } };
      const strand = [...build.strand];
      strand.splice(edit.to, 0, ...strand.splice(edit.from, 1));
      return { lure: withBuild(lure, { strand }), inverse: { kind: 'move', from: edit.to, to: edit.from } };
    }
    case 'swapPart':
      return change(lure, edit.item, (item) =>
        item.part.kind === edit.part.kind
          ? {
              item: { ...item, part: edit.part },
              inverse: { kind: 'swapPart', item: item.id, part: item.part },
            }
          : { refusal: { code: 'swapKind', item: item.id, from: item.part.kind, to: edit.part.kind } },
      );
    case 'adjust':
      return change(lure, edit.item, (item) => ({
        item: { ...item, ...edit.changes },
        inverse: { kind: 'adjust', item: item.id, changes: sameKeys(edit.changes, item) },
      }));
    case 'reseat':
      return change(lure, edit.item, (item) => ({
        item: { ...item, seat: edit.seat },
        inverse: { kind: 'reseat', item: item.id, seat: item.seat },
      }));
    case 'carrier': {
      const alien = Object.keys(edit.changes).find((key) => !(key in build.carrier));
      if (alien !== undefined) return { refusal: { code: 'notOfThisWire', field: alien, carrier: build.carrier.kind } };
      return {
        lure: withBuild(lure, { carrier: { ...build.carrier, ...edit.changes } as Carrier }),
        inverse: { kind: 'carrier', changes: sameKeys<object>(edit.changes, build.carrier) },
      };
    }
    case 'carry':
      return {
        lure: withBuild(lure, { carrier: edit.carrier }),
        inverse: { kind: 'carry', carrier: build.carrier },
      };
    case 'rename':
      return { lure: { ...lure, name: edit.name }, inverse: { kind: 'rename', name: lure.name } };
    case 'note':
      return { lure: { ...lure, note: edit.note }, inverse: { kind: 'note', note: lure.note } };
    case 'mark':
      return { lure: { ...lure, made: edit.made }, inverse: { kind: 'mark', made: lure.made } };
    case 'keepVersion': {
      const { at, version } = edit;
      const { length } = lure.versions;
      if (at > length) return { refusal: { code: 'noSuchVersion', index: at, length } };
      return {
        lure: { ...lure, versions: lure.versions.toSpliced(at, 0, version) },
        inverse: { kind: 'forgetVersion', at },
      };
    }
    case 'forgetVersion': {
      const { at } = edit;
      const version = lure.versions[at];
      if (!version) return { refusal: { code: 'noSuchVersion', index: at, length: lure.versions.length } };
      return {
        lure: { ...lure, versions: lure.versions.toSpliced(at, 1) },
        inverse: { kind: 'keepVersion', at, version },
      };
    }
    case 'versions':
      return { lure: { ...lure, versions: edit.versions }, inverse: { kind: 'versions', versions: lure.versions } };
    case 'rebuild':
      return { lure: { ...lure, build: edit.build }, inverse: { kind: 'rebuild', build } };
    default:
      return never(edit, 'applyEdits');
  }
}

function insert(
  lure: Lure,
  items: readonly Item[],
  entries: readonly { readonly index: number; readonly entry: StrandEntry }[],
): Step {
  const next: Record<ItemId, Item> = { ...lure.build.items };
  for (const item of items) {
    if (next[item.id]) return { refusal: { code: 'itemExists', item: item.id } };
    next[item.id] = item;
  }
  const strand = [...lure.build.strand];
  for (const { index, entry } of entries) {
    if (index > strand.length) return { refusal: { code: 'noSuchPlace', index, length: strand.length } };
    strand.splice(index, 0, entry);
  }
  return {
    lure: withBuild(lure, { items: next, strand }),
    inverse: { kind: 'remove', items: items.map(({ id }) => id) },
  };
}

function remove(lure: Lure, ids: readonly ItemId[]): Step {
  const all = lure.build.items;
  const items: Item[] = [];
  for (const id of ids) {
    const item = all[id];
    if (!item || items.includes(item)) return { refusal: { code: 'unknownItem', item: id } };
    items.push(item);
  }
  const isGone = (id: ItemId) => ids.includes(id);
  const kept = Object.fromEntries(Object.values(all).flatMap((item) => (isGone(item.id) ? [] : [[item.id, item]])));
  const entries = lure.build.strand.map((entry, index) => ({ index, entry })).filter(({ entry }) => isGone(entry.item));
  return {
    lure: withBuild(lure, { items: kept, strand: lure.build.strand.filter((entry) => !isGone(entry.item)) }),
    inverse: { kind: 'insert', items, entries },
  };
}

function change(
  lure: Lure,
  id: ItemId,
  apply: (item: Item) => { item: Item; inverse: Edit } | { refusal: Refusal },
): Step {
  const item = lure.build.items[id];
  if (!item) return { refusal: { code: 'unknownItem', item: id } };
  const result = apply(item);
  if ('refusal' in result) return result;
  return {
    lure: withBuild(lure, { items: { ...lure.build.items, [id]: result.item } }),
    inverse: result.inverse,
  };
}

function withBuild(lure: Lure, changes: Partial<Build>): Lure {
  return { ...lure, build: { ...lure.build, ...changes } };
}

/** The old values of just the fields that `changes` touches. */
function sameKeys<T extends object>(changes: Partial<T>, old: T): Partial<T> {
  const kept: Partial<T> = {};
  for (const key of Object.keys(changes) as (keyof T)[]) kept[key] = old[key];
  return kept;
}
