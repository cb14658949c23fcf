/**
 * The order of work of an inline spinner, tail first: tail loop, ring and hook, shrink tube over them, then everything
 * threaded from the tail to the nose, the line tie last. Two stacked clevises: both lower legs, both blades, both upper legs.
 */
import type { Part } from '../parts/part';
import { strandIndexes } from '../lure/editing';
import { cutLengths } from '../lure/lengths';
import { childrenOf, itemOf, wireEnd, type Build, type End, type Item } from '../lure/lure';
import type { Hazard, WorkStep } from '../lure/work-step';

type ThreadStep = Extract<WorkStep, { do: 'thread' }>;

export function spinnerWork(build: Build): WorkStep[] {
  const cuts = cutLengths(build);
  const wire = cuts.find(({ of }) => of === 'wire');
  return [
    { do: 'cutWire', part: build.carrier.wire, lengthM: wire?.cutM ?? 0, hazards: ['clippedWire'] },
    ...loopSteps(build, 'tail', null),
    ...tubeSteps(build),
    ...strandSteps(build, 'tailFirst'),
    ...loopSteps(build, 'nose', build.carrier.kind === 'straightWire' ? build.carrier.freeRoomM : null),
    ...(build.strand.some(({ item }) => itemOf(build, item).part.kind === 'clevis')
      ? [{ do: 'check', of: 'turnsFreely', hazards: [] } as const]
      : []),
    ...(hooksOf(build).length > 0 ? [{ do: 'check', of: 'clearsHook', hazards: ['hookPoint'] } as const] : []),
  ];
}

function hooksOf(build: Build): Item[] {
  return Object.values(build.items).filter(({ part }) => part.kind === 'hook');
}

function loopSteps(build: Build, end: End, freeRoomM: number | null): WorkStep[] {
  const form = wireEnd(build.carrier, end);
  const hung = childrenOf(build, end);
  const before = hung.filter(({ part }) => part.kind !== 'splitRing');
  const rings = hung.filter(({ part }) => part.kind === 'splitRing');
  const dressings = hung.flatMap((item) => dressingsUnder(build, item));
  if (form.form !== 'wrappedLoop') return dressings;
  return [
    ...dressings,
    {
      do: 'formLoop',
      end,
      insideDiameterM: form.insideDiameterM,
      turns: form.turns,
      wraps: form.wraps,
      tagM: form.tagM,
      holding: before.map(({ part }) => part),
      freeRoomM,
      hazards: ['clippedWire', ...(before.some(({ part }) => part.kind === 'hook') ? (['hookPoint'] as const) : [])],
    },
    ...rings.flatMap((ring) => ringSteps(build, ring)),
  ];
}

/** Dressings are tied while their hook is still in the vise. */
function dressingsUnder(build: Build, item: Item): WorkStep[] {
  return childrenOf(build, item.id).flatMap((child): WorkStep[] => [
    ...(child.part.kind === 'dressing'
      ? [{ do: 'tieDressing', part: child.part, on: item.part, hazards: ['hookPoint', 'cement'] } as const]
      : []),
    ...dressingsUnder(build, child),
  ]);
}

export function ringSteps(build: Build, ring: Item): WorkStep[] {
  const held = childrenOf(build, ring.id);
  const further = held.filter(({ part }) => part.kind === 'splitRing');
  // Rings at the far end of what this one holds: a body on its wire, a swivel.
  const beyond = held
    .filter(({ part }) => part.kind !== 'splitRing')
    .flatMap((item) => childrenOf(build, item.id))
    .filter(({ part }) => part.kind === 'splitRing');
  return [
    {
      do: 'hangByRing',
      ring: ring.part,
      parts: held.filter(({ part }) => part.kind !== 'splitRing').map(({ part }) => part),
      hazards: held.some(({ part }) => part.kind === 'hook') ? ['hookPoint'] : [],
    },
    ...[...further, ...beyond].flatMap((each) => ringSteps(build, each)),
  ];
}

function tubeSteps(build: Build): WorkStep[] {
  return cutLengths(build).flatMap(({ item, cutM }): WorkStep[] =>
    item ? [{ do: 'shrinkTube', part: item.part, lengthM: cutM, hazards: ['flame'] }] : [],
  );
}

/** Along the wire from the end that is closed last, equal neighbours together. */
export function strandSteps(build: Build, order: 'tailFirst' | 'tieFirst'): WorkStep[] {
  const { length } = build.strand;
  const last = length - 1;
  const indexes = Array.from({ length }, (_, n) => (order === 'tailFirst' ? last - n : n));
  const steps: WorkStep[] = [];
  for (const index of indexes) {
    const entry = build.strand[index];
    if (!entry) continue;
    const item = itemOf(build, entry.item);
    const { part } = item;
    if (part.kind === 'shrinkTube' && index === last) continue;
    if (part.kind === 'clevis') steps.push(...clevisSteps(build, item, index, order));
    else steps.push(...threadSteps(build, item));
  }
  return mergeCounts(steps);
}

function threadSteps(build: Build, item: Item): WorkStep[] {
  const over = childrenOf(build, item.id).map(({ part }): WorkStep => ({
    do: 'slideOver',
    part,
    over: item.part,
    hazards: hazardsOf(part),
  }));
  return [{ do: 'thread', part: item.part, count: 1, hazards: hazardsOf(item.part) }, ...over];
}

function clevisSteps(build: Build, item: Item, index: number, order: 'tailFirst' | 'tieFirst'): WorkStep[] {
  const [fore, aft] = strandIndexes(build, item.id);
  const blade = childrenOf(build, item.id)[0]?.part ?? null;
  if (fore === undefined || aft === undefined) return [];
  const isTogether = aft === fore + 1;
  if (isTogether) return index === aft ? [{ do: 'threadClevis', clevis: item.part, blade, hazards: [] }] : [];
  // The blade is hung once the legs of every clevis that this one stands among have been started.
  const isFirstOn = index === (order === 'tailFirst' ? aft : fore);
  return isFirstOn
    ? [{ do: 'threadLeg', clevis: item.part, leg: 'lower', blade: null, hazards: [] }]
    : [{ do: 'threadLeg', clevis: item.part, leg: 'upper', blade, hazards: [] }];
}

function mergeCounts(steps: readonly WorkStep[]): WorkStep[] {
  const merged: WorkStep[] = [];
  for (const step of steps) {
    const last = merged.at(-1);
    if (step.do === 'thread' && last?.do === 'thread' && same(step, last)) {
      merged[merged.length - 1] = { ...last, count: last.count + step.count };
    } else merged.push(step);
  }
  return merged;
}

function same(a: ThreadStep, b: ThreadStep): boolean {
  return JSON.stringify(a.part) === JSON.stringify(b.part);
}

function hazardsOf(part: Part): Hazard[] {
  if (part.material === 'lead') return ['lead'];
  return part.kind === 'dressing' ? ['cement'] : [];
}
