/** Operations behind a head: skirt, lock, trailer. */
import { childrenOf, itemOf, type ItemId } from '../lure/lure';
import { stateOf } from '../lure/item-state';
import { each, facts } from './facts';
import { cutTo } from './cut-to';
import type { Goal } from './goal';
import type { Fact, OperationRules } from './operation-rule';
import { pushedOut } from './pushed-out';
import { bring, layAside, seat } from './workpiece';

export const headOperations: Pick<
  OperationRules,
  'pullLayers' | 'fitSkirt' | 'lockSkirt' | 'thinTips' | 'cutTrailer' | 'pushTrailer' | 'buryPoint'
> = {
  pullLayers: {
    tool: null,
    minutes: 1,
    minutesEach: 2,
    undoing: 'withTool',
    habit: 50,
    facts: ({ skirt, layers }) => facts(each('loose', [skirt]), each('in', layers)),
    effect: ({ skirt, layers }, goal, piece) => layAside(goal, piece, [skirt], layers),
    hazards: () => [],
    amounts: ({ skirt, layers }, goal) => [
      { of: 'layers', count: layers.length },
      ...layers.slice(0, 1).flatMap((layer) => {
        const { part } = itemOf(goal.build, layer);
        const { collarAt } = stateOf(itemOf(goal.build, skirt), 'skirt');
        return part.kind === 'skirtLayer' ? [{ of: 'collarAt', lengthM: collarAt * part.lengthM } as const] : [];
      }),
    ],
    after: () => ['collarPlace'],
  },
  fitSkirt: {
    tool: null,
    supplies: ['water'],
    minutes: 2,
    undoing: 'withTool',
    wait: { for: 'soak', seconds: 60 },
    habit: 52,
    // Over the point, along the shank: nothing may stand there yet.
    facts: ({ skirt }, goal) => {
      const { seat: at } = itemOf(goal.build, skirt);
      const head = at.on === 'item' ? [at.item] : [];
      const layers = childrenOf(goal.build, skirt).filter(({ part }) => part.kind === 'skirtLayer');
      const way = hooksIn(goal, head).flatMap((hook): Fact[] => [`point ${hook}`, `shank ${hook}`]);
      return facts(
        [...each('in', [...head, ...layers.map(({ id }) => id)]), `loose ${skirt}`, ...way],
        each('in', [skirt]),
        each('loose', [skirt]),
      );
    },
    effect: ({ skirt }, goal, piece) => seat(goal, piece, [skirt]),
    hazards: () => ['hookPoint'],
    amounts: () => [],
    after: ({ skirt }, { build }) =>
      childrenOf(build, skirt).some(({ part }) => part.kind === 'skirtLayer')
        ? ['skirtFlares', 'longSide']
        : ['skirtFlares'],
  },
  lockSkirt: {
    tool: 'flatPliers',
    alsoTools: ['cutters'],
    supplies: ['goggles'],
    minutes: 3,
    undoing: 'destroys',
    habit: 54,
    facts: ({ item, skirt }, goal) => facts([`in ${skirt}`, ...reach(goal, skirt)], each('in', [item])),
    effect: ({ item }, goal, piece) => seat(goal, piece, [item]),
    hazards: () => ['clippedWire'],
    amounts: ({ item }, { build, cuts }) => [
      ...cutTo(cuts, [item]),
      { of: 'turns', count: stateOf(itemOf(build, item), 'lock').turns },
    ],
    after: () => ['lockFlat'],
  },
  thinTips: {
    tool: 'scissors',
    minutes: 2,
    undoing: 'destroys',
    habit: 56,
    facts: ({ skirt }, goal) => facts([`in ${skirt}`, ...reach(goal, skirt)], each('thinned', [skirt])),
    effect: ({ skirt }, goal, piece) => bring(piece, skirt, itemOf(goal.build, skirt).state),
    hazards: () => ['blade'],
    amounts: () => [],
    after: () => ['tipsUneven', 'strandsClear'],
  },
  cutTrailer: {
    tool: 'knife',
    supplies: ['board'],
    minutes: 1,
    undoing: 'destroys',
    habit: 70,
    facts: ({ item }) => facts(each('loose', [item]), each('ready', [item])),
    effect: ({ item }, goal, piece) => {
      const { of, cutM, rounded, crookedRad } = stateOf(itemOf(goal.build, item), 'trailer');
      return bring(layAside(goal, piece, [item]), item, { of, cutM, rounded, crookedRad });
    },
    hazards: () => ['blade'],
    amounts: ({ item }, { build }) => {
      const { cutM } = stateOf(itemOf(build, item), 'trailer');
      return cutM > 0 ? [{ of: 'cutOff', lengthM: cutM }] : [];
    },
    after: () => ['lengthRight'],
  },
  pushTrailer: {
    tool: null,
    minutes: 2,
    undoing: 'byHand',
    habit: 72,
    // The last on the shank: behind it nothing reaches the collar any more.
    facts: ({ item, hook }, { build }) => {
      const { cutM, rounded } = stateOf(itemOf(build, item), 'trailer');
      return facts(
        [
          `in ${hook}`,
          `point ${hook}`,
          `bare ${hook}`,
          `loose ${item}`,
          ...(cutM > 0 || rounded ? each('ready', [item]) : []),
        ],
        each('in', [item]),
        [`bare ${hook}`, `shank ${hook}`, `loose ${item}`],
      );
    },
    effect: ({ item }, goal, piece) => seat(goal, piece, [item]),
    hazards: () => ['hookPoint'],
    amounts: ({ item, hook }, { layout }) => {
      const outM = pushedOut(layout, item, hook);
      return outM === null ? [] : [{ of: 'pushOut', lengthM: outM }];
    },
    after: ({ item }, { build }) => {
      const { part } = itemOf(build, item);
      return [
        'trailerStraight',
        ...(part.kind === 'trailer' && part.style === 'claw' ? (['clawOpposite'] as const) : []),
        'strandsClear',
      ];
    },
  },
  buryPoint: {
    tool: null,
    minutes: 0.5,
    undoing: 'byHand',
    habit: 74,
    // Over a point that is covered nothing goes any more.
    facts: ({ item, hook }) => facts([`in ${item}`], [], [`point ${hook}`]),
    effect: ({ item }, goal, piece) => bring(piece, item, itemOf(goal.build, item).state),
    hazards: () => ['hookPoint'],
    amounts: () => [],
    after: () => ['trailerStraight', 'pointUnderSkin'],
  },
};

function hooksIn({ build }: Goal, heads: readonly ItemId[]): ItemId[] {
  return heads.flatMap((head) => childrenOf(build, head).flatMap(({ id, part }) => (part.kind === 'hook' ? [id] : [])));
}

/** The collar can be reached: no trailer on the hook behind it. */
function reach(goal: Goal, skirt: ItemId): Fact[] {
  const { seat: at } = itemOf(goal.build, skirt);
  return each('bare', at.on === 'item' ? hooksIn(goal, [at.item]) : []);
}
