/** What can be set of a part of each kind, read off its schema: for a part of one's own, copied from another and changed. */
import { measureFaults, type MeasureFault } from './measure-faults';
import { partIdSchema } from './kinds/common';
import { massFromGeometry } from './mass';
import { partSchema, type Part, type PartKind } from './part';

/** Kept as they are in the part that was copied: what it is, and what holds measures of its own. */
const KEPT_AS_IS = [
  'kind',
  'id',
  'name',
  'maker',
  'label',
  'threadHex',
  'accentHex',
  'wire',
  'form',
  'hook',
  'bellyEyesM',
  'traced',
] as const;

type KeysOf<P> = P extends unknown ? keyof P : never;
export type PartFieldKey = Exclude<KeysOf<Part>, (typeof KEPT_AS_IS)[number]>;

export interface PartField {
  readonly key: PartFieldKey;
  /** `choice` of these values; `number` without a unit. */
  readonly of: 'length' | 'mass' | 'number' | 'yesNo' | 'finish' | 'choice';
  readonly values: readonly (string | number)[];
}

export type PartChanges = Readonly<Partial<Record<PartFieldKey, unknown>>>;

interface AnySchema {
  readonly def: { readonly type: string; readonly entries?: object; readonly options?: readonly AnySchema[] };
}

/** The fields of this part that can be set, in the order of its schema, its mass last but for its finish. */
export function partFields(part: Part): PartField[] {
  const option = partSchema.def.options.find(({ def }) => def.shape.kind.def.values[0] === part.kind);
  const fields = Object.entries(option?.def.shape ?? {}).flatMap(([key, schema]): PartField[] => {
    if (KEPT_AS_IS.some((each) => each === key)) return [];
    const field = fieldOf(key as PartFieldKey, schema, part[key as keyof Part]);
    return field ? [field] : [];
  });
  const late = (field: PartField) => LAST.indexOf(field.key);
  return fields.toSorted((a, b) => late(a) - late(b));
}

const LAST: readonly PartFieldKey[] = ['massKg', 'material', 'finish', 'backFinish'];

function fieldOf(key: PartFieldKey, { def }: AnySchema, value: unknown): PartField | null {
  if (key === 'massKg') return { key, of: 'mass', values: [] };
  if (key === 'finish' || key === 'backFinish') return { key, of: 'finish', values: [] };
  // Of a part that has none there is none to set: the wall of a solid bead.
  if (typeof value === 'number' && key.endsWith('M')) return { key, of: 'length', values: [] };
  const literals = (def.options ?? []).flatMap(valuesOf);
  if (literals.length > 1) return { key, of: 'choice', values: literals };
  if (def.type === 'enum') return { key, of: 'choice', values: Object.values(def.entries ?? {}) as string[] };
  if (def.type === 'boolean') return { key, of: 'yesNo', values: [] };
  return typeof value === 'number' ? { key, of: 'number', values: [] } : null;
}

function valuesOf({ def }: AnySchema): (string | number)[] {
  return def.type === 'literal' ? [...(def as unknown as { values: readonly (string | number)[] }).values] : [];
}

export type Copied =
  | { readonly ok: true; readonly part: Part }
  | { readonly ok: false; readonly problem: { readonly code: 'notPossible'; readonly key: string } | FaultProblem };
interface FaultProblem {
  readonly code: 'cannotStandTogether';
  readonly fault: MeasureFault;
}

/**
 * A copy of a part with these changes, under a name of its own. What it weighs follows its measures and its material until
 * a mass is given: the share by which the volume of metal of the measures changed.
 * @param id unique to it
 */
export function copyOf(part: Part, changes: PartChanges, id: string, name: string): Copied {
  const changed = { ...part, ...changes, id: partIdSchema.parse(id), name, maker: OWN_MAKER, label: null };
  const read = partSchema.safeParse({ ...changed, massKg: changes.massKg ?? scaledMass(part, changed as Part) });
  if (!read.success) {
    return { ok: false, problem: { code: 'notPossible', key: String(read.error.issues[0]?.path[0] ?? 'massKg') } };
  }
  const [fault] = measureFaults(read.data);
  return fault ? { ok: false, problem: { code: 'cannotStandTogether', fault } } : { ok: true, part: read.data };
}

/** Who made a part that the user measured. */
export const OWN_MAKER = 'measured by you';

/** kg */
function scaledMass(part: Part, changed: Part): number {
  const share = massFromGeometry(changed) / massFromGeometry(part);
  return Number.isFinite(share) && share > 0 ? part.massKg * share : part.massKg;
}

/** The part of a kind to start from when one is measured: the middle one of those by size. */
export function startOf(kind: PartKind, offered: readonly Part[]): Part | null {
  const all = offered.filter((part) => part.kind === kind);
  return all[Math.floor(all.length / 2)] ?? null;
}
