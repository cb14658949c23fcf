/** Operations on what the wire goes through. */
import { childrenOf, itemOf, type ItemId } from '../lure/lure';
import { wireEnd } from '../carriers/carrier';
import { strandIndexes } from '../lure/editing';
import { stateOf } from '../lure/item-state';
import { bentFirst, each, facts } from './facts';
import { cutTo } from './cut-to';
import { heldEnd, orderPlaces, type Goal } from './goal';
import { leadIn } from './hazards';
import type { Fact, Facts, OperationRules } from './operation-rule';
import { bring, layAside, seat, string } from './workpiece';

export const strandOperations: Pick<
  OperationRules,
  | 'thread'
  | 'dressWire'
  | 'slideOver'
  | 'threadClevis'
  | 'threadLeg'
  | 'hangOnClevis'
  | 'cutTubes'
  | 'shrinkTube'
  | 'slideUp'
  | 'foldFilm'
  | 'fixRivet'
  | 'bendToTick'
> = {
  thread: {
    tool: null,
    minutes: 0.3,
    minutesEach: 0.1,
    undoing: 'byHand',
    habit: 40,
    facts: ({ items }, goal) =>
      strung(
        goal,
        items,
        items.flatMap((id) => readyFor(goal, id)),
      ),
    effect: ({ items }, goal, piece) => onWire(goal, piece, items),
    hazards: ({ items: [first] }, goal) => (first ? leadIn(goal, [first]) : []),
    amounts: ({ items }) => (items.length > 1 ? [{ of: 'count', count: items.length }] : []),
    after: ({ items: [first] }, goal) =>
      first && ['deltaBlade', 'filmBlade'].includes(itemOf(goal.build, first).part.kind)
        ? ['order', 'bladeSwings']
        : ['order'],
  },
  dressWire: {
    tool: 'bobbin',
    supplies: ['thread', 'cement'],
    minutes: 6,
    undoing: 'destroys',
    wait: { for: 'cement', seconds: 600 },
    habit: 40,
    facts: ({ item }, goal) => strung(goal, [item], []),
    effect: ({ item }, goal, piece) => onWire(goal, piece, [item]),
    hazards: () => ['cement'],
    amounts: () => [],
    after: () => ['dressingHolds'],
  },
  slideOver: {
    tool: null,
    minutes: 0.3,
    undoing: 'byHand',
    habit: 40,
    // From the open end, so before the next thing on the wire stands in its way.
    facts: ({ item, host }, goal) => {
      const last = orderPlaces(goal, host).at(-1) ?? 0;
      const others = childrenOf(goal.build, host).map(({ id }) => id);
      const before = others.slice(0, others.indexOf(item));
      return facts([`strung ${last + 1}`, `in ${host}`, ...each('in', before)], each('in', [item]));
    },
    effect: ({ item }, goal, piece) => seat(goal, piece, [item]),
    hazards: ({ item }, goal) => leadIn(goal, [item]),
    amounts: () => [],
    after: ({ item }, goal) => (itemOf(goal.build, item).part.kind === 'bell' ? ['bellRings'] : ['order']),
  },
  threadClevis: {
    tool: null,
    minutes: 0.7,
    undoing: 'byHand',
    habit: 40,
    facts: ({ clevis, hung }, goal) => {
      const made = strung(goal, [clevis], each('loose', hung ? [hung] : []));
      return facts(
        made.needs,
        [...made.gives, ...each('in', hung ? [hung] : [])],
        [...made.takes, ...each('loose', hung ? [hung] : [])],
      );
    },
    effect: ({ clevis, hung }, goal, piece) => seat(goal, onWire(goal, piece, [clevis]), hung ? [hung] : []),
    hazards: () => [],
    amounts: () => [],
    after: ({ clevis, hung }, goal) => [...(hung ? bladeOn(goal, hung) : []), ...gate(goal, clevis)],
  },
  threadLeg: {
    tool: null,
    minutes: 0.4,
    undoing: 'byHand',
    habit: 40,
    facts: ({ clevis, which }, goal) => {
      const [first = 0, second = 0] = orderPlaces(goal, clevis);
      const place = which === 'lower' ? first : second;
      const way: Fact[] = [`open ${goal.over}`, `held ${heldEnd(goal)}`, `strung ${place}`];
      if (which === 'lower') return facts(way, [`begun ${clevis}`, `strung ${place + 1}`], [`strung ${place}`]);
      // Both blades before either carriage closes, where the other blade can be on by then.
      const mates = goal.stackedWith(clevis).filter((mate) => startsOfStack(goal, mate).every((at) => at < second));
      const blades = [clevis, ...mates].flatMap((id) => hungOn(goal, id));
      return facts(
        [...way, `begun ${clevis}`, ...each('in', blades)],
        [`in ${clevis}`, `strung ${place + 1}`],
        [`strung ${place}`],
      );
    },
    effect: ({ clevis, which }, goal, piece) => {
      const byPlace = strandIndexes(goal.build, clevis).sort((a, b) => (goal.over === 'nose' ? b - a : a - b));
      const index = byPlace[which === 'lower' ? 0 : 1];
      return string(goal, seat(goal, piece, [clevis]), index === undefined ? [] : [index]);
    },
    hazards: () => [],
    amounts: () => [],
    after: ({ clevis, which }, goal) =>
      which === 'lower'
        ? ['legsFree']
        : [...hungOn(goal, clevis).flatMap((id) => bladeOn(goal, id)), ...gate(goal, clevis)],
  },
  hangOnClevis: {
    tool: null,
    minutes: 0.4,
    undoing: 'byHand',
    habit: 40,
    // Every lower leg of the stack is on the wire before the first blade hangs in the way of it.
    facts: ({ clevis, item }, goal) =>
      facts(
        [...each('begun', [clevis, ...goal.stackedWith(clevis)]), `loose ${item}`],
        each('in', [item]),
        each('loose', [item]),
      ),
    effect: ({ item }, goal, piece) => seat(goal, piece, [item]),
    hazards: () => [],
    amounts: () => [],
    after: ({ item }, goal) => bladeOn(goal, item),
  },
  cutTubes: {
    tool: 'knife',
    alsoTools: ['rule'],
    supplies: ['board'],
    minutes: 1,
    minutesEach: 0.5,
    undoing: 'destroys',
    habit: 30,
    facts: ({ items }) => facts([], each('ready', items)),
    effect: ({ items }, goal, piece) => layAside(goal, piece, items),
    hazards: () => ['blade'],
    amounts: ({ items }, { cuts }) => cutTo(cuts, items),
    after: () => ['lengthRight'],
  },
  shrinkTube: {
    tool: 'heat',
    minutes: 2,
    undoing: 'destroys',
    wait: { for: 'heat', seconds: 20 },
    habit: 28,
    // It goes over what it covers, so all of that is there; and no ring under it opens again.
    facts: ({ item }, goal) => {
      const { needs, gives, takes } = strung(goal, [item], [`ready ${item}`]);
      const covered = coveredByTube(goal, item);
      const rings = covered.filter((id) => itemOf(goal.build, id).part.kind === 'splitRing');
      return facts([...needs, ...each('in', covered)], gives, [...takes, ...each('opens', rings)]);
    },
    effect: ({ item }, goal, piece) => onWire(goal, piece, [item]),
    hazards: () => ['flame'],
    amounts: ({ item }, { cuts }) => cutTo(cuts, [item]),
    after: () => ['tubeTight'],
  },
  slideUp: {
    tool: null,
    minutes: 0.3,
    undoing: 'byHand',
    habit: 46,
    facts: ({ item }) => facts([`in ${item}`, 'held tail']),
    effect: ({ item }, goal, piece) => bring(piece, item, itemOf(goal.build, item).state),
    hazards: () => [],
    amounts: () => [],
    after: () => ['gapPlugged'],
  },
  foldFilm: {
    tool: null,
    minutes: 0.5,
    undoing: 'byHand',
    habit: 31,
    facts: ({ item }) => facts(each('loose', [item]), each('ready', [item])),
    effect: ({ item }, goal, piece) => bring(layAside(goal, piece, [item]), item, itemOf(goal.build, item).state),
    hazards: () => [],
    amounts: ({ item }, { build }) => [{ of: 'fold', angleRad: stateOf(itemOf(build, item), 'film').foldRad }],
    after: () => ['foldEven'],
  },
  fixRivet: {
    tool: 'flatPliers',
    alsoTools: ['file'],
    minutes: 1,
    undoing: 'destroys',
    habit: 47,
    facts: ({ item }) => facts(each('in', [item]), each('locked', [item])),
    effect: ({ item }, goal, piece) => bring(piece, item, itemOf(goal.build, item).state),
    hazards: () => [],
    amounts: () => [],
    after: ({ item }, { build }) =>
      stateOf(itemOf(build, item), 'rivet').fixing === 'upset' ? ['rivetHolds', 'rivetSqueaks'] : ['rivetHolds'],
  },
  bendToTick: {
    tool: null,
    minutes: 3,
    undoing: 'byHand',
    habit: 48,
    facts: ({ blade }, goal) => {
      const ends: Fact[] = wireEnd(goal.build.carrier, 'tail').form === 'plain' ? [] : ['held tail'];
      const heads = childrenOf(goal.build, 'nose').map(({ id }) => id);
      return facts([...each('in', [blade, ...heads]), ...ends]);
    },
    effect: ({ blade }, goal, piece) => bring(piece, blade, itemOf(goal.build, blade).state),
    hazards: () => [],
    amounts: () => [],
    after: () => ['bladeTicks'],
  },
};

/** On the wire at their places: the way there is open, what went before is on, the far end holds it. */
function strung(goal: Goal, items: readonly ItemId[], also: readonly Fact[]): Facts {
  const places = items.flatMap((id) => orderPlaces(goal, id));
  const [first, last] = [Math.min(...places), Math.max(...places)];
  const films = items.filter((id) => itemOf(goal.build, id).part.kind === 'filmBlade');
  return facts(
    [`open ${goal.over}`, `held ${heldEnd(goal)}`, `strung ${first}`, ...bentFirst(goal), ...also],
    [`strung ${last + 1}`, ...each('in', items)],
    [`strung ${first}`, ...each('loose', films)],
  );
}

/** On the wire at its places. */
export function onWire(goal: Goal, piece: Parameters<typeof seat>[1], items: readonly ItemId[]) {
  const indexes = items.flatMap((id) => strandIndexes(goal.build, id));
  return string(goal, seat(goal, piece, items), indexes);
}

/** A spacer has been cut, a film folded, before it is threaded. */
function readyFor({ build }: Goal, id: ItemId): Fact[] {
  const item = itemOf(build, id);
  const isCut = item.part.kind === 'sleeve' && item.part.material === 'plastic';
  const isFolded = item.part.kind === 'filmBlade' && stateOf(item, 'film').foldRad > 0;
  return isCut || isFolded ? each('ready', [id]) : [];
}

/** What hangs at the tail, when this tube ends up over it. */
function coveredByTube({ build }: Goal, tube: ItemId): ItemId[] {
  const isLast = build.strand.at(-1)?.item === tube;
  if (!isLast) return [];
  const chain = (holder: ItemId | 'tail'): ItemId[] =>
    childrenOf(build, holder).flatMap(({ id, part, seat: { on } }) =>
      on === 'strand' || part.kind === 'dressing' ? [] : [id, ...chain(id)],
    );
  return chain('tail');
}

function hungOn({ build }: Goal, clevis: ItemId): ItemId[] {
  return childrenOf(build, clevis).map(({ id }) => id);
}

/** Places of the lower legs that have to be on before this clevis's blade hangs. */
function startsOfStack(goal: Goal, clevis: ItemId): number[] {
  return [clevis, ...goal.stackedWith(clevis)].map((id) => orderPlaces(goal, id)[0] ?? 0);
}

function bladeOn({ build }: Goal, id: ItemId) {
  return itemOf(build, id).part.kind === 'blade' ? (['hollowIn', 'bladeSwings'] as const) : [];
}

function gate({ build }: Goal, clevis: ItemId) {
  const { part } = itemOf(build, clevis);
  return part.kind === 'clevis' && part.style === 'quickChange' ? (['gateForward'] as const) : [];
}
