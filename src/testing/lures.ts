/** Lures for tests: the demo ones, and any built from the catalogue by part ids. */
import { findPart } from '@/core/parts/catalogue';
import type { Part } from '@/core/parts/part';
import { startLure } from '@/core/family/families';
import { applyEdits, type Edit } from '@/core/lure/edit';
import { seatPart, strandIndexes, threadParts } from '@/core/lure/editing';
import { itemIdSchema, lureIdSchema, type How, type ItemId, type Lure, type Seat } from '@/core/lure/lure';
import { DEMO_LURES } from '@/demo/scenario';

export function demoLure(slug: string): Lure {
  const lure = DEMO_LURES.find(({ id }) => id === slug);
  if (!lure) throw new Error(`no demo lure ${slug}`);
  return lure;
}

export function part(id: string): Part {
  const found = findPart(id);
  if (!found) throw new Error(`no catalogue part ${id}`);
  return found;
}

export function itemId(text: string): ItemId {
  return itemIdSchema.parse(text);
}

export function edited(lure: Lure, ...edits: Edit[]): Lure {
  const applied = applyEdits(lure, edits);
  if (!applied.ok) throw new Error(`refused: ${JSON.stringify(applied.refusal)}`);
  return applied.lure;
}

export function on(item: string, how: How): Exclude<Seat, { on: 'strand' }> {
  return { on: 'item', item: itemId(item), how };
}

/** The lure with this part threaded between the legs of its first clevis. */
export function withInside(lure: Lure, id: string): Lure {
  const [, aft = 0] = strandIndexes(lure.build, itemId('clevis-1'));
  return edited(lure, threadParts(lure.build, part(id), aft));
}

export const TAIL: Exclude<Seat, { on: 'strand' }> = { on: 'end', end: 'tail' };

/** A spinner with these parts threaded nose to tail, then these put on: [part, seat]. */
export function spinner(
  strand: readonly string[],
  seated: readonly [string, Exclude<Seat, { on: 'strand' }>][] = [],
): Lure {
  let lure = startLure('inlineSpinner', lureIdSchema.parse('test-lure'), 'Test lure');
  for (const id of strand) lure = edited(lure, threadParts(lure.build, part(id), lure.build.strand.length));
  for (const [id, seat] of seated) lure = edited(lure, seatPart(lure.build, part(id), seat));
  return lure;
}

/** A plain working spinner: one blade, a body, a treble on a ring. */
export function plainSpinner(
  blade = 'blade-french-k2',
  below: readonly string[] = ['bead-brass-3', 'weight-barrel-brass-5'],
) {
  return spinner(
    ['clevis-folded-1', ...below],
    [
      [blade, on('clevis-1', 'hung')],
      ['ring-k2', TAIL],
      ['hook-treble-6', on('splitRing-1', 'hung')],
    ],
  );
}
