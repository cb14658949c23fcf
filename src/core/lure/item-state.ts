/** What a builder's hand does to one piece: each kind of part has its own state, or none. */
import * as z from 'zod/mini';
import { partLengthM, wireLengthM } from '../schema';
import type { Part, PartKind } from '../parts/part';

/** How far the lobes of a film blade are folded back from flat, rad. */
export const foldSchema = z.number().check(z.nonnegative(), z.maximum(1.4));

export const SWIVEL_CONDITIONS = ['free', 'gritty', 'rusty'] as const;
export type SwivelCondition = (typeof SWIVEL_CONDITIONS)[number];
export const RIVET_FIXINGS = ['free', 'crimped', 'upset'] as const;
export type RivetFixing = (typeof RIVET_FIXINGS)[number];

export const stateSchema = z.discriminatedUnion('of', [
  z.strictObject({ of: z.literal('film'), foldRad: foldSchema }),
  /** `pinched`: the barb was pressed flat. */
  z.strictObject({ of: z.literal('hook'), pinched: z.boolean() }),
  /** Shrink tube: the length to cut, when the builder sets it; null takes the length worked out. */
  z.strictObject({ of: z.literal('tube'), cutLengthM: z.nullable(partLengthM) }),
  z.strictObject({ of: z.literal('swivel'), condition: z.enum(SWIVEL_CONDITIONS) }),
  /** `collarAt`: how far along its strands the collar sits, from the end that lies to the nose. */
  z.strictObject({
    of: z.literal('skirt'),
    collarAt: z.number().check(z.minimum(0.1), z.maximum(0.9)),
    tips: z.enum(['even', 'thinned']),
  }),
  /** `cutM`: taken off its head end. `crookedRad`: how far from dead straight it is threaded. */
  z.strictObject({
    of: z.literal('trailer'),
    cutM: wireLengthM,
    rounded: z.boolean(),
    crookedRad: z.number().check(z.nonnegative(), z.maximum(1)),
  }),
  /** Free to spin, crimped on the wire, or crimped, upset and filed so that it bites. */
  z.strictObject({ of: z.literal('rivet'), fixing: z.enum(RIVET_FIXINGS) }),
  /** `slidUp`: pushed back over the end of the loop as a plug. */
  z.strictObject({ of: z.literal('sleeve'), slidUp: z.boolean() }),
  /** `clacks`: the builder wants it to tick on the head. */
  z.strictObject({ of: z.literal('deltaBlade'), clacks: z.boolean() }),
  /** Turns of a skirt lock before its ends are twisted. */
  z.strictObject({ of: z.literal('lock'), turns: z.int().check(z.minimum(1), z.maximum(8)) }),
]);
export type ItemState = z.infer<typeof stateSchema>;
type StateOf<K extends ItemState['of']> = Extract<ItemState, { of: K }>;

/** The state a part comes in, before anything is done to it; null for kinds to which nothing is done. */
export function usualState({ kind }: Pick<Part, 'kind'>): ItemState | null {
  return USUAL[kind] ?? null;
}

const USUAL: Readonly<Partial<Record<PartKind, ItemState>>> = {
  filmBlade: { of: 'film', foldRad: 0 },
  hook: { of: 'hook', pinched: false },
  shrinkTube: { of: 'tube', cutLengthM: null },
  swivel: { of: 'swivel', condition: 'free' },
  skirt: { of: 'skirt', collarAt: 0.36, tips: 'even' },
  trailer: { of: 'trailer', cutM: 0, rounded: false, crookedRad: 0 },
  rivet: { of: 'rivet', fixing: 'free' },
  sleeve: { of: 'sleeve', slidUp: false },
  deltaBlade: { of: 'deltaBlade', clacks: false },
  softWire: { of: 'lock', turns: 3 },
};

/** The item's state, known to be of this sort. @throws Error for an item of another kind: a caller's mistake. */
export function stateOf<K extends ItemState['of']>(
  item: { readonly id: string; readonly state: ItemState | null },
  of: K,
): StateOf<K> {
  if (item.state?.of !== of) throw new Error(`stateOf: ${item.id} has no ${of} state`);
  return item.state as StateOf<K>;
}
