/**
 * The order of work on a bent wire, tie first: the wire bent to its template or the bought frame taken, parts threaded along
 * the arm, the end closed with what hangs in it; then skirt, trailer and stinger. A ring over the tie comes before its head
 * is dressed, so that the hook is still bare to hold.
 */
import { stateOf } from '../lure/item-state';
import { wireCut } from '../lure/lengths';
import { childrenOf, type BentWire, type Build, type Item } from '../lure/lure';
import type { Hazard, WorkStep } from '../lure/work-step';
import { ringSteps, strandSteps } from './spinner-work';

export function baitWork(build: Build): WorkStep[] {
  const { carrier } = build;
  if (carrier.kind !== 'bentWire') return [];
  const [head] = childrenOf(build, 'nose');
  return [
    ...frameSteps(build, carrier, head ?? null),
    ...childrenOf(build, 'tie').map(({ part }): WorkStep => ({ do: 'ringOverTie', ring: part, hazards: [] })),
    ...strandSteps(build, 'tieFirst'),
    ...endSteps(build, carrier),
    ...rivets(build),
    ...(head ? dress(build, head) : []),
    { do: 'check', of: 'inLine', hazards: [] },
    { do: 'check', of: 'turnsFreely', hazards: ['hookPoint'] },
  ];
}

function frameSteps(build: Build, carrier: BentWire, head: Item | null): WorkStep[] {
  if (carrier.bought) {
    return [{ do: 'takeFrame', name: carrier.bought.name, head: head?.part ?? null, hazards: leadOf(head) }];
  }
  const hook = head ? (childrenOf(build, head.id).find(({ part }) => part.kind === 'hook')?.part ?? null) : null;
  return [
    { do: 'cutWire', part: carrier.wire, lengthM: wireCut(build).cutM, hazards: ['clippedWire'] },
    ...(head
      ? [{ do: 'castHead', head: head.part, hook, hazards: [...leadOf(head), 'hookPoint', 'hotMetal'] } as const]
      : []),
    { do: 'bendWire', bends: carrier.sections.filter(({ section }) => section !== 'straight').length, hazards: [] },
  ];
}

function endSteps(build: Build, { tail, wire }: BentWire): WorkStep[] {
  const hung = childrenOf(build, 'tail');
  const rings = hung.filter(({ part }) => part.kind === 'splitRing');
  const before = hung.filter(({ part }) => part.kind !== 'splitRing');
  const chained = [...rings, ...before.flatMap((item) => childrenOf(build, item.id))];
  const ringed = chained.filter(({ part }) => part.kind === 'splitRing').flatMap((ring) => ringSteps(build, ring));
  switch (tail.form) {
    case 'plain':
      return [];
    case 'bentOver':
      return [{ do: 'turnDown', part: wire, lengthM: tail.lengthM, hazards: ['clippedWire'] }];
    case 'bentLoop':
      return [
        {
          do: 'closeLoop',
          insideDiameterM: tail.insideDiameterM,
          holding: before.map(({ part }) => part),
          plug: plugOf(build)?.part ?? null,
          hazards: ['clippedWire'],
        },
        ...ringed,
      ];
    case 'wrappedLoop':
      return [
        {
          do: 'formLoop',
          end: 'tail',
          insideDiameterM: tail.insideDiameterM,
          turns: tail.turns,
          wraps: tail.wraps,
          tagM: tail.tagM,
          holding: before.map(({ part }) => part),
          freeRoomM: null,
          hazards: ['clippedWire'],
        },
        ...ringed,
      ];
  }
}

function plugOf(build: Build): Item | null {
  const last = build.strand.at(-1);
  const item = last ? build.items[last.item] : undefined;
  return item?.part.kind === 'sleeve' && stateOf(item, 'sleeve').slidUp ? item : null;
}

function rivets(build: Build): WorkStep[] {
  return Object.values(build.items).flatMap((item): WorkStep[] => {
    if (item.part.kind !== 'rivet') return [];
    const { fixing } = stateOf(item, 'rivet');
    return fixing === 'free' ? [] : [{ do: 'fixRivet', part: item.part, fixing, hazards: [] }];
  });
}

function dress(build: Build, head: Item): WorkStep[] {
  const steps: WorkStep[] = [];
  for (const skirt of childrenOf(build, head.id).filter(({ part }) => part.kind === 'skirt')) {
    const layers = childrenOf(build, skirt.id);
    const lock = layers.find(({ part }) => part.kind === 'softWire')?.part ?? null;
    steps.push({
      do: 'fitSkirt',
      skirt: skirt.part,
      layers: layers.filter(({ part }) => part.kind === 'skirtLayer').map(({ part }) => part),
      lock,
      hazards: lock ? ['clippedWire'] : [],
    });
  }
  for (const hook of childrenOf(build, head.id).filter(({ part }) => part.kind === 'hook')) {
    const on = childrenOf(build, hook.id);
    const inOrder = ['keeper', 'dressing', 'trailer', 'hook'] as const;
    for (const kind of inOrder) {
      for (const item of on.filter(({ part }) => part.kind === kind)) steps.push(onHook(item, hook));
    }
  }
  return steps;
}

function onHook(item: Item, hook: Item): WorkStep {
  const { part } = item;
  if (part.kind === 'trailer') {
    const { cutM, rounded } = stateOf(item, 'trailer');
    const knife: Hazard[] = cutM > 0 || rounded ? ['blade'] : [];
    return { do: 'pushTrailer', part, cutM, rounded, hazards: [...knife, 'hookPoint'] };
  }
  if (part.kind === 'hook') return { do: 'hangStinger', part, on: hook.part, hazards: ['hookPoint'] };
  if (part.kind === 'keeper') return { do: 'lashKeeper', part, hazards: ['clippedWire', 'hookPoint'] };
  return { do: 'tieDressing', part, on: hook.part, hazards: ['hookPoint', 'cement'] };
}

function leadOf(head: Item | null): Hazard[] {
  return head?.part.material === 'lead' ? ['lead'] : [];
}
