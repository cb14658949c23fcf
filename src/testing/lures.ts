/** Lures for tests: the demo ones, and any built from the catalogue by part ids. */
import { findPart } from '@/core/parts/catalogue';
import type { Part } from '@/core/parts/part';
import type { Section } from '@/core/parts/wire-form';
import { startLure } from '@/core/judgement/families/families';
import { applyEdits, type Edit } from '@/core/lure/edit';
import { seatPart, strandIndexes, threadParts } from '@/core/lure/editing';
import { carrierIdSchema, itemIdSchema, lureIdSchema, type ItemId, type Lure, type Seat } from '@/core/lure/lure';
import type { How } from '@/core/parts/kinds/room';
import { heavier, withPart } from '@/core/lure/resized';
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

/** A spinnerbait of bent wire with these parts along its arm, tie first, a head with its hook, then these put on. */
export function bait(
  family: 'spinnerbait' | 'buzzbait',
  strand: readonly string[],
  seated: readonly [string, Exclude<Seat, { on: 'strand' }>][] = [],
  head = 'head-bullet-10-chart',
): Lure {
  let lure = startLure(family, lureIdSchema.parse('test-bait'), 'Test bait');
  for (const [id, seat] of [
    [head, { on: 'end', end: 'nose' }],
    ['hook-long-3-0', on('head-1', 'moulded')],
  ] as const) {
    lure = edited(lure, seatPart(lure.build, part(id), seat));
  }
  for (const id of strand) lure = edited(lure, threadParts(lure.build, part(id), lure.build.strand.length));
  for (const [id, seat] of seated) lure = edited(lure, seatPart(lure.build, part(id), seat));
  return lure;
}

/** A sound single spinnerbait: one Colorado on a swivel in a closed loop, a banded skirt of two layers. */
export function plainBait(blade = 'blade-colorado-k3', swivel = 'swivel-crane-k7'): Lure {
  const lure = bait(
    'spinnerbait',
    ['bead-brass-4'],
    [
      [swivel, TAIL],
      ['ring-o1', on('swivel-1', 'hung')],
      [blade, on('splitRing-1', 'hung')],
      ['skirt-band-clear', on('head-1', 'collared')],
      ['strip-white', on('skirt-1', 'banded')],
      ['strip-olive', on('skirt-1', 'banded')],
    ],
  );
  return edited(lure, {
    kind: 'carrier',
    changes: { tail: { form: 'bentLoop', insideDiameterM: 0.003, gapM: 0 } },
  });
}

/** A sound single buzzbait, silent. */
export function plainBuzz(blade = 'delta-2-right-36-bright'): Lure {
  return bait('buzzbait', ['bead-brass-4', blade, 'rivet-alu-4'], [], 'head-flat-zinc-7-white');
}

/** The lure with the section at this place of its bent wire changed. */
export function bentAt(lure: Lure, index: number, change: Partial<Extract<Section, { section: 'bend' }>>): Lure {
  const { carrier } = lure.build;
  if (carrier.kind !== 'bentWire') throw new Error('only a bent wire has bends');
  const sections = carrier.sections.map((each, i) =>
    i === index && each.section === 'bend' ? { ...each, ...change } : each,
  );
  return edited(lure, { kind: 'carrier', changes: { sections } });
}

/** The same bait with its head in more or less metal. */
export function withHead(lure: Lure, by: number): Lure {
  return { ...lure, build: withPart(lure.build, itemId('head-1'), (head) => heavier(head, by)) };
}

/** A spinner in two pieces: a second wire with a weight hangs on its tail ring. */
export function twoPieces(): Lure {
  const lure = { ...demoLure('suvra-needle'), id: lureIdSchema.parse('two-pieces'), name: 'Two pieces' };
  const ring = Object.values(lure.build.items).find(({ part: { kind } }) => kind === 'splitRing');
  const weight = threadParts(lure.build, part('weight-barrel-brass-5'), 0);
  if (!ring || weight.kind !== 'insert') throw new Error('a spinner with a ring, and a weight to thread');
  const { items } = weight;
  const joined = {
    id: carrierIdSchema.parse('wire-2'),
    joint: { on: 'item', item: ring.id } as const,
    carrier: startLure('inlineSpinner', lure.id, '').build.carrier,
    strand: items.map(({ id }) => ({ item: id, leg: null })),
  };
  return edited(lure, { kind: 'insert', items, entries: [], joined: [{ index: 0, joined }] });
}

/** Those on wire, which run by their own weight: what is on line is drawn down by a sinker. */
export const WIRE_DEMOS: readonly Lure[] = DEMO_LURES.filter(
  ({ build }) => build.carrier.kind === 'straightWire' || build.carrier.kind === 'bentWire',
);

/** Those that sink at rest and have no lip: the slower, the deeper. */
export const SINKING_DEMOS: readonly Lure[] = DEMO_LURES.filter(({ build }) => build.carrier.kind !== 'body');

const ROD_END: Exclude<Seat, { on: 'strand' }> = { on: 'end', end: 'nose' };

/** A harness on 0.33 mm line with these parts nose to tail, hooks snelled, then these put on; a swivel at its rod end. */
export function harness(
  strand: readonly string[],
  seated: readonly [string, Exclude<Seat, { on: 'strand' }>][] = [],
  changes: { readonly lengthM?: number; readonly spareM?: number } = {},
): Lure {
  let lure = edited(startLure('wormHarness', lureIdSchema.parse('test-harness'), 'Test harness'), {
    kind: 'carrier',
    changes: { ...changes, nose: CLINCH },
  });
  for (const id of strand.toReversed()) lure = edited(lure, threadParts(lure.build, part(id), 0));
  for (const [id, seat] of [['swivel-barrel-g12', ROD_END], ...seated] as const)
    lure = edited(lure, seatPart(lure.build, part(id), seat));
  return lure;
}

export const CLINCH = { form: 'knot', knot: 'clinch', turns: 5, tagM: 0.04 } as const;
