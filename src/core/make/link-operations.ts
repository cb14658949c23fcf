/** Operations on what hangs: rings, open eyes, what is tied to a hook. */
import { stateOf } from '../lure/item-state';
import { childrenOf, itemOf, type ItemId } from '../lure/lure';
import { bentFirst, each, facts } from './facts';
import type { Goal } from './goal';
import { cutTo } from './cut-to';
import { pointsIn } from './hazards';
import type { Fact, OperationRules } from './operation-rule';
import { bring, layAside, seat } from './workpiece';

export const linkOperations: Pick<
  OperationRules,
  | 'hangByRing'
  | 'hangByEye'
  | 'hangOnSnap'
  | 'joinBehind'
  | 'ringOverTie'
  | 'tieDressing'
  | 'lashKeeper'
  | 'pinchBarb'
  | 'hangStinger'
  | 'keepStinger'
  | 'tieLink'
  | 'threadBait'
  | 'capPoint'
> = {
  hangByRing: {
    tool: 'ringPliers',
    minutes: 1.5,
    undoing: 'opensRing',
    habit: 24,
    facts: ({ ring, items, isHung }, goal) => {
      const moved = isHung ? [ring, ...items] : items;
      return facts(
        [`opens ${ring}`, ...(isHung ? holderIn(goal, ring) : each('in', [ring])), ...each('loose', moved)],
        each('in', moved),
        each('loose', moved),
      );
    },
    effect: ({ ring, items }, goal, piece) => seat(goal, piece, [ring, ...items]),
    hazards: ({ items }, goal) => pointsIn(goal, items),
    amounts: () => [],
    after: ({ items }, { build }) => {
      const kinds = items.map((id) => itemOf(build, id).part.kind);
      return ['ringFlat', ...(kinds.includes('blade') ? (['bladeSwings'] as const) : [])];
    },
  },
  hangByEye: {
    tool: 'flatPliers',
    minutes: 2,
    undoing: 'withTool',
    habit: 24,
    facts: ({ hook }, goal) =>
      facts([...holderIn(goal, hook), `loose ${hook}`], each('in', [hook]), each('loose', [hook])),
    effect: ({ hook }, goal, piece) => seat(goal, piece, [hook]),
    hazards: () => ['hookPoint'],
    amounts: () => [],
    after: () => ['eyeClosed'],
  },
  hangOnSnap: {
    tool: null,
    minutes: 0.3,
    undoing: 'byHand',
    habit: 26,
    facts: ({ snap, item }) => facts([`in ${snap}`, `loose ${item}`], each('in', [item]), each('loose', [item])),
    effect: ({ item }, goal, piece) => seat(goal, piece, [item]),
    hazards: ({ item }, goal) => pointsIn(goal, [item]),
    amounts: () => [],
    after: () => ['snapShut'],
  },
  joinBehind: {
    tool: null,
    minutes: 1,
    undoing: 'byHand',
    habit: 90,
    facts: ({ on }) => facts([`in ${on}`]),
    // What was made before comes to hang there: see standsAfter.
    effect: (_operation, _goal, piece) => piece,
    hazards: () => ['hookPoint'],
    amounts: () => [],
    after: ({ on }, { build }) => (itemOf(build, on).part.kind === 'splitRing' ? ['ringFlat'] : ['snapShut']),
  },
  ringOverTie: {
    tool: 'ringPliers',
    minutes: 2,
    undoing: 'opensRing',
    habit: 16,
    facts: ({ ring }, goal) =>
      facts(['wire', ...bentFirst(goal), `loose ${ring}`], each('in', [ring]), each('loose', [ring])),
    effect: ({ ring }, goal, piece) => seat(goal, piece, [ring]),
    hazards: () => [],
    amounts: () => [],
    after: () => ['ringFlat'],
  },
  tieDressing: {
    tool: 'vise',
    alsoTools: ['bobbin', 'scissors'],
    supplies: ['thread', 'cement'],
    minutes: 8,
    undoing: 'destroys',
    wait: { for: 'cement', seconds: 600 },
    habit: 4,
    // In the vise, so while the hook is still off the lure; a hook in a head is held by its bend.
    facts: ({ item, hook }, goal) =>
      facts([...inHand(goal, hook), `bare ${hook}`, `point ${hook}`], each('in', [item]), each('shank', [hook])),
    effect: ({ item, hook }, goal, piece) =>
      piece.build.items[hook] ? seat(goal, piece, [item]) : layAside(goal, piece, [hook], [item]),
    hazards: () => ['hookPoint', 'cement'],
    amounts: () => [],
    after: () => ['dressingHolds'],
  },
  lashKeeper: {
    tool: 'flatPliers',
    alsoTools: ['cutters'],
    supplies: ['craftWire', 'goggles'],
    minutes: 5,
    undoing: 'destroys',
    habit: 60,
    facts: ({ item, hook }, goal) =>
      facts([...inHand(goal, hook), `bare ${hook}`], each('in', [item]), each('shank', [hook])),
    effect: ({ item, hook }, goal, piece) =>
      piece.build.items[hook] ? seat(goal, piece, [item]) : layAside(goal, piece, [hook], [item]),
    hazards: () => ['clippedWire', 'hookPoint'],
    amounts: ({ item }, { cuts }) => cutTo(cuts, [item]),
    after: () => ['keeperHolds'],
  },
  pinchBarb: {
    tool: 'flatPliers',
    supplies: ['goggles'],
    minutes: 0.5,
    undoing: 'destroys',
    habit: 6,
    facts: ({ hook }, goal) => facts([...inHand(goal, hook), `point ${hook}`], each('ready', [hook])),
    effect: ({ hook }, goal, piece) => {
      const held = piece.build.items[hook] ? piece : layAside(goal, piece, [hook]);
      return bring(held, hook, itemOf(goal.build, hook).state);
    },
    hazards: () => ['hookPoint'],
    amounts: () => [],
    after: () => ['barbFlat'],
  },
  hangStinger: {
    tool: null,
    minutes: 1,
    undoing: 'byHand',
    habit: 74,
    // Its eye goes over the point, and nothing else does after it.
    facts: ({ hook, on }) =>
      facts([`in ${on}`, `point ${on}`, `loose ${hook}`], each('in', [hook]), [`loose ${hook}`, `point ${on}`]),
    effect: ({ hook }, goal, piece) => seat(goal, piece, [hook]),
    hazards: () => ['hookPoint'],
    amounts: () => [],
    after: () => ['stingerTurns'],
  },
  keepStinger: {
    tool: null,
    minutes: 0.3,
    undoing: 'byHand',
    habit: 76,
    // Over the point as well, so behind all else that goes over it.
    facts: ({ item, hook }, { build }) =>
      facts(
        [
          ...each(
            'in',
            childrenOf(build, hook).flatMap(({ id, seat: at }) =>
              at.on === 'item' && (at.how === 'hung' || at.how === 'pushed') ? [id] : [],
            ),
          ),
          ...each('in', [hook]),
          ...each('loose', [item]),
        ],
        each('in', [item]),
        each('loose', [item]),
      ),
    effect: ({ item }, goal, piece) => seat(goal, piece, [item]),
    hazards: () => ['hookPoint'],
    amounts: () => [],
    after: () => ['stingerTurns'],
  },
  tieLink: {
    tool: null,
    alsoTools: ['scissors', 'rule'],
    supplies: ['water'],
    minutes: 4,
    undoing: 'destroys',
    habit: 5,
    // Beforehand, the front hook still in the hand.
    facts: ({ item, hook, holding }, goal) =>
      facts(
        [...inHand(goal, hook), ...each('loose', [item, ...holding])],
        each('in', [item, ...holding]),
        each('loose', [item, ...holding]),
      ),
    effect: ({ item, hook, holding }, goal, piece) =>
      piece.build.items[hook]
        ? seat(goal, piece, [item, ...holding])
        : layAside(goal, piece, [hook], [item, ...holding]),
    hazards: () => ['hookPoint'],
    amounts: ({ item }, { cuts, build }) => [
      ...cutTo(cuts, [item]),
      { of: 'spacing', lengthM: stateOf(itemOf(build, item), 'link').lengthM },
    ],
    after: () => ['knotSeated'],
  },
  threadBait: {
    tool: null,
    minutes: 1,
    undoing: 'byHand',
    habit: 90,
    facts: ({ item, hook }, { build }) => {
      const others = build.strand.flatMap((entry) =>
        itemOf(build, entry.item).part.kind === 'hook' ? [entry.item] : [],
      );
      return facts(
        [...each('in', [hook, ...others]), `point ${hook}`, `bare ${hook}`, `loose ${item}`],
        each('in', [item]),
        each('loose', [item]),
      );
    },
    effect: ({ item }, goal, piece) => seat(goal, piece, [item]),
    hazards: () => ['hookPoint'],
    amounts: () => [],
    after: () => ['baitStraight'],
  },
  capPoint: {
    tool: null,
    supplies: ['cap'],
    minutes: 0.2,
    undoing: 'byHand',
    habit: 0,
    facts: ({ hook }) => facts(each('in', [hook])),
    effect: (_, __, piece) => piece,
    hazards: () => ['hookPoint'],
    amounts: () => [],
    after: () => ['pointCovered'],
  },
};

/** What this item hangs from is on the lure. */
function holderIn({ build }: Goal, id: ItemId): Fact[] {
  const { seat: at } = itemOf(build, id);
  return at.on === 'item' ? each('in', [at.item]) : [];
}

/** A hook can be worked on: off the lure, or in the head it was cast into. */
function inHand({ build }: Goal, hook: ItemId): Fact[] {
  const { seat: at } = itemOf(build, hook);
  return at.on === 'item' && at.how === 'moulded' ? each('in', [hook]) : each('loose', [hook]);
}
