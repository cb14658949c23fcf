/**
 * Edits as reversible data. `applyEdits` gives the next lure and the edits that lead back exactly;
 * undo, history, repairs and the cost of a change are all made of them.
 */
import { applyPatch, createPatch, type Operation } from 'rfc6902';
import * as z from 'zod/mini';
import { lineLengthM, noteText, shortText, wireLengthM } from '../schema';
import { never } from '../never';
import { partSchema, stateSchema } from '../parts/part';
import { lineSchema } from '../parts/kinds/line';
import { wireSchema } from '../parts/kinds/wire';
import { wireEndSchema } from '../parts/wire-form';
import {
  buildSchema,
  carrierIdSchema,
  FIRST_CARRIER,
  LONGEST_NOTE,
  MOST_ENTRIES,
  MOST_ITEMS,
  MOST_JOINED,
  itemIdSchema,
  itemSchema,
  joinedSchema,
  lureSchema,
  madeSchema,
  usedSchema,
  seatSchema,
  strandEntrySchema,
  type Build,
  type CarrierId,
  type Item,
  type ItemId,
  type Lure,
  type StrandEntry,
} from './lure';
import { applyKept, keptEdits } from './kept-edits';
import { bentWireSchema } from '../carriers/bent-wire';
import { lureBodySchema } from '../parts/kinds/lure-body';
import { carrierSchema, type Carrier } from '../carriers/carrier';
import { carriersOf } from './strung';
import { sizeProblem } from './size';
import { structureProblem, type Refusal } from './structure';

/** Of the first carrier unless another is named. */
const on = z.optional(carrierIdSchema);
const placedEntrySchema = z.strictObject({ index: z.int().check(z.nonnegative()), entry: strandEntrySchema, on });
const placedCarrierSchema = z.strictObject({
  index: z.int().check(z.nonnegative(), z.maximum(MOST_JOINED)),
  joined: joinedSchema,
});

/** Steps in one patch: as many as a build of the most items can differ in. */
const MOST_PATCH_STEPS = 4000;
const patchStepSchema = z.strictObject({
  op: z.enum(['add', 'remove', 'replace']),
  path: z.string().check(z.maxLength(200), z.regex(/^(\/[a-zA-Z0-9-]+)*$/, 'a path in a build')),
  value: z.optional(z.json()),
});
const patchStepsSchema = z.array(patchStepSchema).check(z.maxLength(MOST_PATCH_STEPS));

export const editSchema = z.discriminatedUnion('kind', [
  /** Puts items in, and carriers with what is threaded on them; each index is the place in the finished list, rising. */
  z.strictObject({
    kind: z.literal('insert'),
    items: z.array(itemSchema).check(z.maxLength(MOST_ITEMS)),
    entries: z.array(placedEntrySchema).check(z.maxLength(MOST_ENTRIES)),
    joined: z.optional(z.array(placedCarrierSchema).check(z.maxLength(MOST_JOINED))),
  }),
  /** Takes items out with all their strand entries, and carriers; what hangs on them must be listed too. */
  z.strictObject({
    kind: z.literal('remove'),
    items: z.array(itemIdSchema).check(z.maxLength(MOST_ITEMS)),
    carriers: z.optional(z.array(carrierIdSchema).check(z.maxLength(MOST_JOINED))),
  }),
  /** Moves one strand entry so that it ends up at `to`. */
  z.strictObject({
    kind: z.literal('move'),
    from: z.int().check(z.nonnegative()),
    to: z.int().check(z.nonnegative()),
    on,
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
    on,
    changes: z.strictObject({
      wire: z.optional(z.discriminatedUnion('kind', [wireSchema, lineSchema, lureBodySchema])),
      tail: z.optional(wireEndSchema),
      /** Of a straight wire or a line only. */
      nose: z.optional(wireEndSchema),
      /** Of a straight wire only. */
      freeRoomM: z.optional(wireLengthM),
      /** Of a line only. */
      lengthM: z.optional(lineLengthM),
      spareM: z.optional(lineLengthM),
      /** Of a bent wire only. */
      startRad: z.optional(bentWireSchema.def.shape.startRad),
      sections: z.optional(bentWireSchema.def.shape.sections),
      armM: z.optional(wireLengthM),
    }),
  }),
  /** Takes another carrier in place of this one: a bought frame, or wire to bend. */
  z.strictObject({ kind: z.literal('carry'), on, carrier: carrierSchema }),
  z.strictObject({ kind: z.literal('rename'), name: shortText }),
  z.strictObject({ kind: z.literal('note'), note: noteText(LONGEST_NOTE) }),
  z.strictObject({ kind: z.literal('mark'), made: z.nullable(madeSchema) }),
  /** What was done with the piece that is made; null where nothing is told. */
  z.strictObject({ kind: z.literal('use'), used: z.nullable(usedSchema) }),
  ...keptEdits,
  /** All versions at once: how histories of before 2026-12 kept and forgot one. */
  z.strictObject({ kind: z.literal('versions'), versions: lureSchema.def.shape.versions }),
  /** Goes to another build whole: how histories of before 2026-12 went back to a version. */
  z.strictObject({ kind: z.literal('rebuild'), build: buildSchema }),
  /** Goes to another build by what of it differs: JSON Patch, RFC 6902, on the build. */
  z.strictObject({ kind: z.literal('patch'), patch: patchStepsSchema }),
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

/** What leads from one build to another: no larger than what they differ in, nor than the other whole. */
export function patchTo(from: Build, to: Build): Edit {
  const patch = patchStepsSchema.safeParse(createPatch(from, to));
  return patch.success ? { kind: 'patch', patch: patch.data } : { kind: 'rebuild', build: to };
}

function patched(lure: Lure, patch: Extract<Edit, { kind: 'patch' }>['patch']): Step {
  const fault = (path: string, message: string): Step => ({ refusal: { code: 'faultyValue', path, message } });
  // Read by its schema a build is a copy, which can be written on.
  const found = buildSchema.parse(lure.build);
  const missing = applyPatch(found, patch as Operation[]).findIndex((error) => error !== null);
  if (missing >= 0) return fault(patch[missing]?.path ?? '', 'there is no such place in this build');
  const read = buildSchema.safeParse(found);
  if (!read.success) {
    const [issue] = read.error.issues;
    return fault((issue?.path ?? []).map(String).join('.'), issue?.message ?? '');
  }
  return { lure: { ...lure, build: read.data }, inverse: patchTo(read.data, lure.build) };
}

function applyOne(lure: Lure, edit: Edit): Step {
  const { build } = lure;
  switch (edit.kind) {
    case 'insert':
      return insert(lure, edit);
    case 'remove':
      return remove(lure, edit);
    case 'move':
      return onCarrier(lure, edit.on, ({ strand: old }) => {
        const worst = Math.max(edit.from, edit.to);
        if (worst >= old.length) return { refusal: { code: 'noSuchPlace', index: worst, length: old.length } };
        const strand = [...old];
        strand.splice(edit.to, 0, ...strand.splice(edit.from, 1));
        return { changes: { strand }, inverse: { ...edit, from: edit.to, to: edit.from } };
      });
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
    case 'carrier':
      return onCarrier(lure, edit.on, ({ carrier: old }) => {
        const alien = Object.keys(edit.changes).find((key) => !(key in old));
        if (alien !== undefined) return { refusal: { code: 'notOfThisWire', field: alien, carrier: old.kind } };
        return {
          changes: { carrier: { ...old, ...edit.changes } as Carrier },
          inverse: { ...edit, changes: sameKeys<object>(edit.changes, old) },
        };
      });
    case 'carry':
      return onCarrier(lure, edit.on, ({ carrier: old }) => ({
        changes: { carrier: edit.carrier },
        inverse: { ...edit, carrier: old },
      }));
    case 'rename':
      return { lure: { ...lure, name: edit.name }, inverse: { kind: 'rename', name: lure.name } };
    case 'note':
      return { lure: { ...lure, note: edit.note }, inverse: { kind: 'note', note: lure.note } };
    case 'mark':
      return { lure: { ...lure, made: edit.made }, inverse: { kind: 'mark', made: lure.made } };
    case 'use': {
      if (!lure.made) return { refusal: { code: 'notMade' } };
      const { used: before = null, ...made } = lure.made;
      return {
        lure: { ...lure, made: edit.used ? { ...made, used: edit.used } : made },
        inverse: { kind: 'use', used: before },
      };
    }
    case 'keepVersion':
    case 'forgetVersion':
    case 'noteVersion':
    case 'keepReading':
    case 'forgetReading':
      return applyKept(lure, edit);
    case 'versions':
      return { lure: { ...lure, versions: edit.versions }, inverse: { kind: 'versions', versions: lure.versions } };
    case 'rebuild':
      return { lure: { ...lure, build: edit.build }, inverse: patchTo(edit.build, build) };
    case 'patch':
      return patched(lure, edit.patch);
    default:
      return never(edit, 'applyEdits');
  }
}

function insert(
  lure: Lure,
  { items, entries, joined = [] }: Pick<Extract<Edit, { kind: 'insert' }>, 'items' | 'entries' | 'joined'>,
): Step {
  const next: Record<ItemId, Item> = { ...lure.build.items };
  for (const item of items) {
    if (next[item.id]) return { refusal: { code: 'itemExists', item: item.id } };
    next[item.id] = item;
  }
  const carriers = [...lure.build.joined];
  for (const { index, joined: added } of joined) {
    if (added.id === FIRST_CARRIER || carriers.some(({ id }) => id === added.id)) {
      return { refusal: { code: 'carrierExists', carrier: added.id } };
    }
    if (index > carriers.length) return { refusal: { code: 'noSuchPlace', index, length: carriers.length } };
    carriers.splice(index, 0, added);
  }
  let inserted = withBuild(lure, { items: next, joined: carriers });
  for (const { index, entry, on: id } of entries) {
    const old = stringingOf(inserted.build, id)?.strand;
    if (!old) return noCarrier(id);
    if (index > old.length) return { refusal: { code: 'noSuchPlace', index, length: old.length } };
    inserted = withStringing(inserted, id, { strand: old.toSpliced(index, 0, entry) });
  }
  return {
    lure: inserted,
    inverse: {
      kind: 'remove',
      items: items.map(({ id }) => id),
      ...(joined.length > 0 ? { carriers: joined.map(({ joined: { id } }) => id) } : {}),
    },
  };
}

function remove(
  lure: Lure,
  { items: ids, carriers = [] }: Pick<Extract<Edit, { kind: 'remove' }>, 'items' | 'carriers'>,
): Step {
  const { build } = lure;
  const items: Item[] = [];
  for (const id of ids) {
    const item = build.items[id];
    if (!item || items.includes(item)) return { refusal: { code: 'unknownItem', item: id } };
    items.push(item);
  }
  const unknown = carriers.find((id) => !build.joined.some((each) => each.id === id));
  if (unknown !== undefined) return { refusal: { code: 'unknownCarrier', carrier: unknown } };
  const isGone = (id: ItemId) => ids.includes(id);
  const kept = Object.fromEntries(
    Object.values(build.items).flatMap((item) => (isGone(item.id) ? [] : [[item.id, item]])),
  );
  const staying = carriersOf(build).filter(({ id }) => !carriers.includes(id));
  const entries = staying.flatMap(({ id, strand }) =>
    strand.flatMap((entry, index) =>
      isGone(entry.item) ? [{ index, entry, ...(id === FIRST_CARRIER ? {} : { on: id }) }] : [],
    ),
  );
  const bare = (strand: readonly StrandEntry[]) => strand.filter((entry) => !isGone(entry.item));
  const joined = build.joined.flatMap((each, index) => (carriers.includes(each.id) ? [{ index, joined: each }] : []));
  return {
    lure: withBuild(lure, {
      items: kept,
      strand: bare(build.strand),
      joined: build.joined.flatMap((each) =>
        carriers.includes(each.id) ? [] : [{ ...each, strand: bare(each.strand) }],
      ),
    }),
    inverse: { kind: 'insert', items, entries, ...(joined.length > 0 ? { joined } : {}) },
  };
}

/** A carrier and what is threaded on it. */
type Stringing = Pick<Build, 'carrier' | 'strand'>;

/** Of the first carrier, unless another is named. */
function stringingOf(build: Build, id: CarrierId = FIRST_CARRIER): Stringing | undefined {
  return id === FIRST_CARRIER ? build : build.joined.find((each) => each.id === id);
}

function withStringing(lure: Lure, id: CarrierId = FIRST_CARRIER, changes: Partial<Stringing>): Lure {
  if (id === FIRST_CARRIER) return withBuild(lure, changes);
  return withBuild(lure, {
    joined: lure.build.joined.map((each) => (each.id === id ? { ...each, ...changes } : each)),
  });
}

function noCarrier(id: CarrierId = FIRST_CARRIER): Step {
  return { refusal: { code: 'unknownCarrier', carrier: id } };
}

function onCarrier(
  lure: Lure,
  id: CarrierId | undefined,
  apply: (old: Stringing) => { changes: Partial<Stringing>; inverse: Edit } | { refusal: Refusal },
): Step {
  const old = stringingOf(lure.build, id);
  if (!old) return noCarrier(id);
  const result = apply(old);
  if ('refusal' in result) return result;
  return { lure: withStringing(lure, id, result.changes), inverse: result.inverse };
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
