/** Operations on bodies: a hard bait's eyes, and a nail weight in a soft one. */
import { itemOf, type ItemId } from '../lure/lure';
import { stateOf } from '../lure/item-state';
import { each, facts } from './facts';
import type { Goal } from './goal';
import { leadIn, pointsIn } from './hazards';
import type { Fact, OperationRules } from './operation-rule';
import { bring, seat } from './workpiece';

export const bodyOperations: Pick<OperationRules, 'takeBody' | 'screwIn' | 'openBodyEye' | 'screwNail'> = {
  takeBody: {
    tool: null,
    minutes: 0.2,
    undoing: 'byHand',
    habit: 10,
    facts: ({ eyes }) => facts([], ['wire', 'strung 0', 'held nose', 'held tail', ...each('in', eyes)]),
    effect: ({ eyes }, goal, piece) =>
      seat(goal, { ...piece, build: { ...piece.build, carrier: goal.build.carrier } }, eyes),
    hazards: () => [],
    amounts: () => [],
    after: () => ['bodyWhole'],
  },
  screwIn: {
    tool: 'awl',
    alsoTools: ['rule', 'flatPliers'],
    supplies: ['glue'],
    minutes: 4,
    undoing: 'withTool',
    habit: 16,
    facts: ({ item }) => facts(['wire', `loose ${item}`], each('in', [item]), each('loose', [item])),
    effect: ({ item }, goal, piece) => seat(goal, piece, [item]),
    hazards: () => ['blade'],
    amounts: ({ item }, { build }) => {
      const { part, seat: at } = itemOf(build, item);
      return [
        ...(at.on === 'body' ? [{ of: 'fromNose', lengthM: at.atM } as const] : []),
        ...(part.kind === 'screwEye' ? [{ of: 'depth', lengthM: part.threadLengthM } as const] : []),
      ];
    },
    after: () => ['eyeSquare'],
  },
  openBodyEye: {
    tool: 'roundPliers',
    alsoTools: ['flatPliers'],
    minutes: 3,
    undoing: 'withTool',
    habit: 22,
    facts: ({ eye, items }) =>
      facts(
        ['wire', ...each('in', eye ? [eye] : []), ...each('loose', items)],
        each('in', items),
        each('loose', items),
      ),
    effect: ({ items }, goal, piece) => seat(goal, piece, items),
    hazards: ({ items }, goal) => pointsIn(goal, items),
    amounts: () => [],
    after: () => ['eyeShut'],
  },
  screwNail: {
    tool: null,
    alsoTools: ['rule'],
    minutes: 2,
    undoing: 'byHand',
    habit: 78,
    // Into a body that is on its hook: only there is it known what the blade reaches.
    facts: ({ item, host }, goal) =>
      facts([`in ${host}`, `loose ${item}`, ...turning(goal)], each('in', [item]), each('loose', [item])),
    effect: ({ item }, goal, piece) => bring(seat(goal, piece, [item]), item, itemOf(goal.build, item).state),
    hazards: ({ item }, goal) => leadIn(goal, [item]),
    amounts: ({ item }, { build }) => {
      const { outM, atM } = stateOf(itemOf(build, item), 'nail');
      return [
        { of: 'fromHead', lengthM: atM },
        { of: 'standsOut', lengthM: outM },
      ];
    },
    after: () => ['nailUpright', 'bladeKnocks'],
  },
};

/** Every blade hangs: the nail is set to it. */
function turning({ build }: Goal): Fact[] {
  const blades = Object.values(build.items).flatMap(({ id, part }): ItemId[] => (part.kind === 'blade' ? [id] : []));
  return each('in', blades);
}
