/**
 * A lure with its history as it comes out of storage or a backup: never trusted. It is read whole or not at all; `salvage`
 * takes what can still be read out of one that is damaged.
 */
import { changeSchema, lureHistorySchema, startHistory, type LureHistory } from '../lure/history';
import * as z from 'zod/mini';
import { shortText } from '../schema';
import {
  buildSchema,
  familySchema,
  itemSchema,
  lureIdSchema,
  lureSchema,
  madeSchema,
  MOST_ENTRIES,
  MOST_ITEMS,
  MOST_VERSIONS,
  strandEntrySchema,
  versionSchema,
  type Build,
  type Item,
  type Lure,
  joinedSchema,
  MOST_JOINED,
  type CarrierId,
  type Joined,
} from '../lure/lure';
import { carrierRoom, carrierSchema } from '../carriers/carrier';
import { keptReadingSchema, MOST_READINGS } from '../lure/reading';
import { lureProblem } from './lure-problem';
import { LURE_VERSION, migrateLure } from './migrate';
import { plainDataProblem } from '../plain-data';
import { structureProblem, type Refusal } from '../lure/structure';

/** Where a record is damaged, and what would be right there. */
export interface Damage {
  readonly path: string;
  readonly message: string;
}

export type HistoryReading =
  { readonly ok: true; readonly history: LureHistory } | { readonly ok: false; readonly damage: Damage };

/**
 * Reads a history of any version. Never throws.
 * @param version the shape it was written in; see LURE_VERSION
 */
export function readHistory(raw: unknown, version: number = LURE_VERSION): HistoryReading {
  const shape = plainDataProblem(raw);
  if (shape) return { ok: false, damage: { path: '', message: shape.code } };
  const parsed = lureHistorySchema.safeParse(migrateLure(raw, version));
  if (!parsed.success) {
    const [issue] = parsed.error.issues;
    const path = issue?.path.map(String).join('.') ?? '';
    return { ok: false, damage: { path, message: issue?.message ?? 'not readable' } };
  }
  const refusal = lureProblem(parsed.data.lure);
  return refusal ? { ok: false, damage: { path: 'lure', message: refusal.code } } : { ok: true, history: parsed.data };
}

export interface Salvaged {
  readonly history: LureHistory;
  /** What could not be read and is left out: paths within the record. */
  readonly leftOut: readonly string[];
}

/**
 * What can still be read of a damaged record: the lure without the pieces, versions and changes that cannot be. Null when
 * not even its wire can be read. Never throws.
 */
export function salvage(raw: unknown, version: number = LURE_VERSION): Salvaged | null {
  if (plainDataProblem(raw)) return null;
  const record = looseSchema.safeParse(migrateLure(raw, version));
  if (!record.success) return null;
  const { lure: found, past, future } = record.data;
  const leftOut: string[] = [];
  const build = salvageBuild(found.build, leftOut);
  if (!build) return null;
  const lure: Lure = {
    id: readOr(lureIdSchema, found.id, lureIdSchema.parse('salvaged-lure'), 'lure.id', leftOut),
    name: readOr(shortText, found.name, 'Salvaged lure', 'lure.name', leftOut),
    family: readOr(familySchema, found.family, familyOf(build), 'lure.family', leftOut),
    note: readOr(lureSchema.def.shape.note, found.note, '', 'lure.note', leftOut),
    build,
    made: null,
    versions: [],
  };
  const made = madeSchema.safeParse(found.made);
  if (made.success && structureProblem(made.data.build) === null) lure.made = made.data;
  else if (found.made !== null && found.made !== undefined) leftOut.push('lure.made');
  for (const [index, each] of listOf(found.versions).entries()) {
    const kept = versionSchema.safeParse(each);
    if (kept.success && lure.versions.length < MOST_VERSIONS && structureProblem(kept.data.build) === null)
      lure.versions.push(kept.data);
    else leftOut.push(`lure.versions.${index}`);
  }
  const readings = listOf(found.readings).flatMap((each, index) => {
    const read = keptReadingSchema.safeParse(each);
    if (!read.success) leftOut.push(`lure.readings.${index}`);
    return read.success ? [read.data] : [];
  });
  if (readings.length > 0) lure.readings = readings.slice(0, MOST_READINGS);
  if (lureProblem(lure) !== null) lure.versions = [];
  // A way back holds only from the lure it was made on, so one damaged change takes the others along.
  const isWhole = leftOut.length === 0;
  const changes = [past, future].map((list) => z.array(changeSchema).safeParse(list));
  const [before, after] = changes.map((list) => (list.success && isWhole ? list.data : null));
  if (!before) leftOut.push('past');
  if (!after) leftOut.push('future');
  return { history: { ...startHistory(lure), past: before ?? [], future: after ?? [] }, leftOut };
}

const looseSchema = z.object({
  lure: z.object({
    id: z.optional(z.unknown()),
    name: z.optional(z.unknown()),
    family: z.optional(z.unknown()),
    note: z.optional(z.unknown()),
    build: z.object({
      carrier: z.optional(z.unknown()),
      items: z.optional(z.unknown()),
      strand: z.optional(z.unknown()),
      joined: z.optional(z.unknown()),
    }),
    made: z.optional(z.unknown()),
    versions: z.optional(z.unknown()),
    readings: z.optional(z.unknown()),
  }),
  past: z.optional(z.unknown()),
  future: z.optional(z.unknown()),
});

function listOf(value: unknown): readonly unknown[] {
  return Array.isArray(value) ? value : [];
}

function readOr<T extends z.ZodMiniType>(
  schema: T,
  value: unknown,
  otherwise: z.infer<T>,
  path: string,
  leftOut: string[],
): z.infer<T> {
  const parsed = schema.safeParse(value);
  if (parsed.success) return parsed.data;
  leftOut.push(path);
  return otherwise;
}

function familyOf({ carrier }: Build): Lure['family'] {
  const { castsNose, isLimp } = carrierRoom(carrier);
  if (isLimp) return 'wormHarness';
  return castsNose ? 'spinnerbait' : 'inlineSpinner';
}

function salvageBuild(raw: z.infer<typeof looseSchema>['lure']['build'], leftOut: string[]): Build | null {
  const carrier = carrierSchema.safeParse(raw.carrier);
  if (!carrier.success) return null;
  const items: Record<string, Item> = {};
  const found = typeof raw.items === 'object' && raw.items !== null ? Object.entries(raw.items) : [];
  for (const [key, value] of found) {
    const item = itemSchema.safeParse(value);
    const isIn = item.success && item.data.id === key && Object.keys(items).length < MOST_ITEMS;
    if (isIn) items[key] = item.data;
    else leftOut.push(`lure.build.items.${key}`);
  }
  const strandOf = (value: unknown) =>
    listOf(value)
      .flatMap((each) => {
        const entry = strandEntrySchema.safeParse(each);
        return entry.success && items[entry.data.item] ? [entry.data] : [];
      })
      .slice(0, MOST_ENTRIES);
  const joined = listOf(raw.joined)
    .slice(0, MOST_JOINED)
    .flatMap((each, index) => {
      const strand = typeof each === 'object' && each !== null && 'strand' in each ? strandOf(each.strand) : [];
      const parsed = joinedSchema.safeParse({ ...(each as object), strand });
      if (!parsed.success) leftOut.push(`lure.build.joined.${index}`);
      return parsed.success ? [parsed.data] : [];
    });
  let build: Build = buildSchema.parse({ carrier: carrier.data, items, strand: strandOf(raw.strand), joined });
  // Each turn takes out the piece that cannot stand where it does, so there are no more turns than pieces.
  for (let refusal = structureProblem(build); refusal; refusal = structureProblem(build)) {
    const carriers = 'carrier' in refusal && refusal.code !== 'notOfThisWire' ? [refusal.carrier] : [];
    const faulty = carriers.length > 0 ? itemsOf(build, carriers) : faultyItem(refusal, build);
    const isGone = ({ id, joint }: Joined) =>
      carriers.includes(id) || (joint.on === 'end' && carriers.includes(joint.carrier));
    if (faulty.length === 0 && !build.joined.some(isGone)) return null;
    leftOut.push(...faulty.map((id) => `lure.build.items.${id}`), ...carriers.map((id) => `lure.build.joined.${id}`));
    const isKept = (id: string) => !faulty.includes(id);
    build = {
      ...build,
      items: Object.fromEntries(Object.entries(build.items).filter(([key]) => isKept(key))),
      strand: build.strand.filter(({ item }) => isKept(item)),
      joined: build.joined
        .filter((each) => !isGone(each))
        .map((each) => ({ ...each, strand: each.strand.filter(({ item }) => isKept(item)) })),
    };
  }
  return build;
}

/** What is threaded on these carriers or sits at their ends. */
function itemsOf(build: Build, carriers: readonly CarrierId[]): string[] {
  const threaded = build.joined.flatMap(({ id, strand }) =>
    carriers.includes(id) ? strand.map(({ item }) => item) : [],
  );
  const seated = Object.values(build.items).flatMap(({ id, seat }) =>
    'carrier' in seat && seat.carrier && carriers.includes(seat.carrier) ? [id] : [],
  );
  return [...new Set([...threaded, ...seated])];
}

/** The piece a refusal is about; none where it is about none that is there. */
function faultyItem(refusal: Refusal, { items }: Build): string[] {
  const named =
    'item' in refusal ? refusal.item : refusal.code === 'beyondBounds' ? Object.keys(items).at(-1) : undefined;
  return named !== undefined && Object.hasOwn(items, named) ? [named] : [];
}
