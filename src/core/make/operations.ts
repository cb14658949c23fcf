/** All that has to be done to make a build, in no order yet; or why it cannot be. */
import { isSame } from '../same';
import { strandIndexes, legsTogether } from '../lure/editing';
import { stateOf } from '../lure/item-state';
import { childrenOf, itemOf, type Build, type End, type Item, type ItemId } from '../lure/lure';
import { hangersOf } from '../lure/take-body';
import { isMouldedEye } from '../parts/kinds/screw-eye';
import { carrierRoom, wireEnd } from '../carriers/carrier';
import type { Operation } from './operation';
import { orderPlace, type Goal } from './goal';
import { heldInLoop } from './wire-operations';

/** Every operation that the lure wants, in no order. */
export function operationsFor(goal: Goal): Operation[] {
  return [
    ...wireOperations(goal),
    ...strandOperations(goal),
    ...hangingOperations(goal),
    ...preparing(goal),
    ...finishing(goal),
  ];
}

/** What hangs on an eye that no tool opens, and so can never have come there. */
export function closedEyes(build: Build): Item[] {
  return Object.values(build.items).filter(({ part, seat }) => {
    if (seat.on !== 'item' || seat.how !== 'hung') return false;
    const holder = build.items[seat.item]?.part.kind;
    if (holder !== 'swivel' && holder !== 'body') return false;
    return part.kind !== 'splitRing' && !(part.kind === 'hook' && part.eye === 'open');
  });
}

function wireOperations(goal: Goal): Operation[] {
  const { carrier } = goal.build;
  const [head = null] = childrenOf(goal.build, 'nose').filter(({ part }) => part.kind === 'head');
  const cast = head ? childrenOf(goal.build, head.id).find(({ part }) => part.kind === 'hook') : undefined;
  const hook = cast?.id ?? null;
  const room = carrierRoom(carrier);
  if (room.hasEyes) return bodyOperations(goal);
  const cut: Operation = { op: room.isLimp ? 'cutLine' : 'cutWire' };
  if (!room.castsNose) return [cut, ...endOperations(goal, 'tail'), ...endOperations(goal, 'nose')];
  if (!room.isCut(carrier)) return [{ op: 'takeFrame', head: head?.id ?? null, hook }, ...endOperations(goal, 'tail')];
  return [
    cut,
    ...(room.bends(carrier) === null ? [] : [{ op: 'bendWire' } as const]),
    ...(head ? [{ op: 'castHead', head: head.id, hook } as const] : []),
    ...endOperations(goal, 'tail'),
  ];
}

/** A body comes with its moulded eyes; others are screwed in, and what hangs in an eye without a ring opens the eye. */
function bodyOperations({ build }: Goal): Operation[] {
  const hangers = hangersOf(build);
  const ends = (['nose', 'tail'] as const).flatMap((end): Operation[] =>
    inEye(childrenOf(build, end), { eye: null, end }),
  );
  return [
    { op: 'takeBody', eyes: hangers.filter(({ part }) => isMouldedEye(part)).map(({ id }) => id) },
    ...hangers.filter(({ part }) => !isMouldedEye(part)).map(({ id }): Operation => ({ op: 'screwIn', item: id })),
    ...hangers.flatMap(({ id }) => inEye(childrenOf(build, id), { eye: id, end: null })),
    ...ends,
  ];
}

/** What hangs in an eye by itself: neither a ring nor a hook whose own eye opens. */
function inEye(held: readonly Item[], where: { readonly eye: ItemId | null; readonly end: End | null }): Operation[] {
  const items = held.flatMap(({ id, part }) =>
    part.kind === 'splitRing' || (part.kind === 'hook' && part.eye === 'open') ? [] : [id],
  );
  return items.length > 0 ? [{ op: 'openBodyEye', ...where, items }] : [];
}

function endOperations(goal: Goal, end: 'nose' | 'tail'): Operation[] {
  switch (wireEnd(goal.build.carrier, end).form) {
    case 'plain':
      return [];
    case 'bentOver':
      return [{ op: 'turnDown' }];
    case 'knot':
    case 'tiedLoop':
      return [{ op: 'tieEnd', end, holding: heldInLoop(goal, end) }];
    case 'bentLoop':
    case 'wrappedLoop':
      return [{ op: 'formLoop', end, holding: heldInLoop(goal, end) }];
  }
}

/** A loop with something to hang in it, told in its three parts: they are never done apart. */
export function inParts(operation: Operation): Operation[] {
  if (operation.op !== 'formLoop' || operation.holding.length === 0) return [operation];
  const { end, holding } = operation;
  return [
    { op: 'rollLoop', end },
    ...holding.map((item): Operation => ({ op: 'hangInLoop', end, item })),
    { op: 'closeLoop', end, holding },
  ];
}

function strandOperations(goal: Goal): Operation[] {
  const { build } = goal;
  const inOrder = build.strand
    .map((entry, index) => ({ entry, place: orderPlace(goal, index) }))
    .sort((a, b) => a.place - b.place);
  const operations: Operation[] = [];
  for (const { entry } of inOrder) {
    const item = itemOf(build, entry.item);
    const last = operations.at(-1);
    if (item.part.kind === 'clevis') operations.push(...clevisOperations(goal, item, operations));
    else if (item.part.kind === 'hook') operations.push({ op: 'snell', hook: item.id });
    else if (item.part.kind === 'shrinkTube') operations.push({ op: 'shrinkTube', item: item.id });
    else if (item.part.kind === 'dressing') operations.push({ op: 'dressWire', item: item.id });
    else if (last?.op === 'thread' && isLike(build, last.items.at(-1), item))
      operations[operations.length - 1] = { ...last, items: [...last.items, item.id] };
    else operations.push({ op: 'thread', items: [item.id] });
    for (const over of childrenOf(build, item.id)) {
      if (over.seat.on === 'item' && over.seat.how === 'over')
        operations.push({ op: 'slideOver', item: over.id, host: item.id });
    }
  }
  return operations;
}

/** A clevis stands in the strand twice; the second time its upper leg closes it. */
function clevisOperations({ build, stackedWith }: Goal, { id }: Item, before: readonly Operation[]): Operation[] {
  const [hung = null] = childrenOf(build, id).map((child) => child.id);
  if (legsTogether(build, id) && stackedWith(id).length === 0) {
    const isOn = before.some((operation) => operation.op === 'threadClevis' && operation.clevis === id);
    return isOn ? [] : [{ op: 'threadClevis', clevis: id, hung }];
  }
  const isBegun = before.some((operation) => operation.op === 'threadLeg' && operation.clevis === id);
  if (isBegun) return [{ op: 'threadLeg', clevis: id, which: 'upper' }];
  return [
    { op: 'threadLeg', clevis: id, which: 'lower' },
    ...(hung ? [{ op: 'hangOnClevis', clevis: id, item: hung } as const] : []),
  ];
}

function isLike(build: Build, lastId: ItemId | undefined, item: Item): boolean {
  if (lastId === undefined || childrenOf(build, item.id).length > 0) return false;
  const last = itemOf(build, lastId);
  return (
    childrenOf(build, last.id).length === 0 &&
    last.flipped === item.flipped &&
    isSame([last.part, last.state], [item.part, item.state])
  );
}

function hangingOperations({ build }: Goal): Operation[] {
  return Object.values(build.items).flatMap((item): Operation[] => {
    const { id, part, seat } = item;
    if (part.kind === 'splitRing') {
      const items = childrenOf(build, id).flatMap((child) => (child.part.kind === 'splitRing' ? [] : [child.id]));
      const isInEye = seat.on === 'end' && carrierRoom(build.carrier).hasEyes;
      const isHung = isInEye || (seat.on === 'item' && itemOf(build, seat.item).part.kind !== 'clevis');
      const over: Operation[] = seat.on === 'tie' ? [{ op: 'ringOverTie', ring: id }] : [];
      return isHung || items.length > 0 ? [...over, { op: 'hangByRing', ring: id, items, isHung }] : over;
    }
    if (part.kind === 'trailer' && seat.on === 'item' && stateOf(item, 'trailer').pointBuried) {
      return [{ op: 'buryPoint', item: id, hook: seat.item }];
    }
    if (part.kind === 'nailWeight' && seat.on === 'item') return [{ op: 'screwNail', item: id, host: seat.item }];
    const isInBodyEnd = seat.on === 'end' && carrierRoom(build.carrier).hasEyes;
    if (part.kind === 'hook' && part.eye === 'open' && isInBodyEnd) return [{ op: 'hangByEye', hook: id }];
    if (part.kind === 'hook' && seat.on === 'item' && seat.how === 'hung') {
      const holder = itemOf(build, seat.item);
      if (holder.part.kind === 'hook') return [{ op: 'hangStinger', hook: id, on: holder.id }];
      if (holder.part.kind === 'screwEye' && part.eye === 'open') return [{ op: 'hangByEye', hook: id }];
      if (holder.part.kind === 'body') return [{ op: 'hangByEye', hook: id }];
    }
    if (seat.on === 'item' && itemOf(build, seat.item).part.kind === 'snap') {
      return [{ op: 'hangOnSnap', snap: seat.item, item: id }];
    }
    return [];
  });
}

/** What is done to pieces in hand, before they go on. */
function preparing({ build }: Goal): Operation[] {
  const tubes = Object.values(build.items).filter(
    ({ part }) => part.kind === 'shrinkTube' || (part.kind === 'sleeve' && part.material === 'plastic'),
  );
  const pieces = Object.values(build.items).flatMap((item): Operation[] => {
    const { id, part, seat } = item;
    if (part.kind === 'filmBlade') return stateOf(item, 'film').foldRad > 0 ? [{ op: 'foldFilm', item: id }] : [];
    if (part.kind === 'hook') return stateOf(item, 'hook').pinched ? [{ op: 'pinchBarb', hook: id }] : [];
    if (part.kind === 'trailer') {
      const { cutM, rounded } = stateOf(item, 'trailer');
      return cutM > 0 || rounded ? [{ op: 'cutTrailer', item: id }] : [];
    }
    if (part.kind === 'skirt') {
      const layers = childrenOf(build, id).flatMap((child) => (child.part.kind === 'skirtLayer' ? [child.id] : []));
      return layers.length > 0 ? [{ op: 'pullLayers', skirt: id, layers }] : [];
    }
    if (part.kind === 'link' && seat.on === 'item') {
      return [{ op: 'tieLink', item: id, hook: seat.item, holding: childrenOf(build, id).map((child) => child.id) }];
    }
    if (part.kind === 'dressing' && seat.on === 'item') return [{ op: 'tieDressing', item: id, hook: seat.item }];
    return [];
  });
  return [...(tubes.length > 0 ? [{ op: 'cutTubes', items: tubes.map(({ id }) => id) } as const] : []), ...pieces];
}

/** What is done once a piece is on. */
function finishing({ build }: Goal): Operation[] {
  return Object.values(build.items).flatMap((item): Operation[] => {
    const { id, part, seat } = item;
    switch (part.kind) {
      case 'skirt':
        return [
          { op: 'fitSkirt', skirt: id },
          ...(stateOf(item, 'skirt').tips === 'thinned' ? [{ op: 'thinTips', skirt: id } as const] : []),
        ];
      case 'softWire':
        return seat.on === 'item' ? [{ op: 'lockSkirt', item: id, skirt: seat.item }] : [];
      case 'keeper':
        return seat.on === 'item' ? [{ op: 'lashKeeper', item: id, hook: seat.item }] : [];
      case 'hookDisc':
        return seat.on === 'item' ? [{ op: 'keepStinger', item: id, hook: seat.item }] : [];
      case 'bait':
        return seat.on === 'item' ? [{ op: 'threadBait', item: id, hook: seat.item }] : [];
      case 'trailer':
        return seat.on === 'item' ? [{ op: 'pushTrailer', item: id, hook: seat.item }] : [];
      case 'sleeve':
        return stateOf(item, 'sleeve').slidUp ? [{ op: 'slideUp', item: id }] : [];
      case 'rivet':
        return stateOf(item, 'rivet').fixing === 'free' || strandIndexes(build, id).length === 0
          ? []
          : [{ op: 'fixRivet', item: id }];
      case 'deltaBlade':
        return stateOf(item, 'deltaBlade').clacks ? [{ op: 'bendToTick', blade: id }] : [];
      default:
        return [];
    }
  });
}
