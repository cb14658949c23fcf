/** Operations on the wire itself: cut, bent, taken ready made, its ends formed. */
import { childrenOf, type End, type ItemId } from '../lure/lure';
import { carrierRoom, wireEnd } from '../carriers/carrier';
import { bentFirst, each, facts } from './facts';
import type { Goal } from './goal';
import { leadIn, pointsIn } from './hazards';
import type { Amount, Fact, OperationRules } from './operation-rule';
import { bareWire, formEnd, openEnd, seat } from './workpiece';

export const wireOperations: Pick<
  OperationRules,
  'cutWire' | 'takeFrame' | 'bendWire' | 'castHead' | 'formLoop' | 'rollLoop' | 'hangInLoop' | 'closeLoop' | 'turnDown'
> = {
  cutWire: {
    tool: 'cutters',
    alsoTools: ['rule'],
    supplies: ['goggles'],
    minutes: 1,
    undoing: 'destroys',
    habit: 10,
    facts: () => facts([], ['wire', 'strung 0', 'open nose', 'open tail']),
    effect: (_, goal, piece) => ({ ...bareWire(goal), aside: piece.aside }),
    hazards: () => ['clippedWire'],
    amounts: (_, { cuts }) => cuts.filter(({ of }) => of === 'wire').map(({ cutM }) => ({ of: 'cut', lengthM: cutM })),
    after: () => ['cutFlat'],
  },
  takeFrame: {
    tool: null,
    minutes: 0.5,
    undoing: 'byHand',
    habit: 10,
    facts: ({ head, hook }) =>
      facts(
        [],
        ['wire', 'strung 0', 'bent', 'held nose', 'open tail', ...each('in', head ? [head] : []), ...cast(hook)],
      ),
    effect: ({ head, hook }, goal, piece) => {
      const { carrier } = goal.build;
      const framed = { ...piece, build: { ...piece.build, carrier: { ...carrier, tail: { form: 'plain' } as const } } };
      return seat(
        goal,
        framed,
        [head, hook].filter((id) => id !== null),
      );
    },
    hazards: ({ head, hook }, goal) => [...leadIn(goal, [head]), ...pointsIn(goal, [hook])],
    amounts: () => [],
    after: () => ['bendsFlat'],
  },
  bendWire: {
    tool: 'roundPliers',
    alsoTools: ['rule'],
    minutes: 1,
    minutesEach: 2,
    undoing: 'destroys',
    habit: 12,
    // Bends hold what is strung; only a wire without any needs its head for that.
    facts: () => facts(['wire', 'strung 0'], ['bent', 'held nose']),
    effect: (_, { build: { carrier } }, piece) =>
      carrier.kind === 'bentWire' && piece.build.carrier.kind === 'bentWire'
        ? {
            ...piece,
            build: {
              ...piece.build,
              carrier: { ...piece.build.carrier, startRad: carrier.startRad, sections: carrier.sections },
            },
          }
        : piece,
    hazards: () => [],
    amounts: (_, goal) => [{ of: 'bends', count: bendsIn(goal) }],
    after: () => ['bendsFlat'],
  },
  castHead: {
    tool: 'mould',
    supplies: ['goggles', 'lead'],
    minutes: 10,
    undoing: 'destroys',
    wait: { for: 'cooling', seconds: 120 },
    habit: 14,
    // The mould closes about bare wire, and nothing that melts may be on it.
    facts: ({ head, hook }) =>
      facts(['wire', 'open nose', 'strung 0'], [...each('in', [head]), ...cast(hook)], ['open nose']),
    effect: ({ head, hook }, goal, piece) => seat(goal, piece, [head, ...(hook ? [hook] : [])]),
    hazards: ({ head }, goal) => [...leadIn(goal, [head]), 'hotMetal', 'hookPoint'],
    amounts: () => [],
    after: () => ['hookStraight'],
  },
  formLoop: {
    tool: 'roundPliers',
    alsoTools: ['flatPliers', 'cutters'],
    supplies: ['goggles'],
    minutes: 3,
    undoing: 'destroys',
    habit: 20,
    facts: ({ end, holding }, goal) =>
      facts(
        ['wire', ...bentFirst(goal), `open ${end}`, ...each('loose', holding)],
        [`held ${end}`, ...each('in', holding)],
        [`open ${end}`, ...each('loose', holding)],
      ),
    effect: ({ end, holding }, goal, piece) => seat(goal, formEnd(goal, piece, end), holding),
    hazards: ({ holding }, goal) => ['clippedWire', ...pointsIn(goal, holding)],
    amounts: ({ end }, goal) => [...loopAmounts(end, goal), ...playAt(end, goal)],
    after: ({ end }, goal) => [
      'loopCentred',
      ...(wireEnd(goal.build.carrier, end).form === 'wrappedLoop' ? (['wrapsTight'] as const) : []),
      ...closing(end, goal),
    ],
  },
  rollLoop: {
    tool: 'roundPliers',
    minutes: 2,
    undoing: 'withTool',
    habit: 20,
    facts: ({ end }, goal) => facts(['wire', ...bentFirst(goal), `open ${end}`], [`rolled ${end}`], [`open ${end}`]),
    effect: ({ end }, goal, piece) => openEnd(goal, piece, end),
    hazards: () => [],
    amounts: ({ end }, goal) => loopAmounts(end, goal).filter(({ of }) => of === 'inside'),
    after: () => ['loopCentred'],
  },
  hangInLoop: {
    tool: null,
    minutes: 0.5,
    undoing: 'byHand',
    habit: 21,
    facts: ({ end, item }) => facts([`rolled ${end}`, `loose ${item}`], each('in', [item]), each('loose', [item])),
    effect: ({ item }, goal, piece) => seat(goal, piece, [item]),
    hazards: ({ item }, goal) => pointsIn(goal, [item]),
    amounts: () => [],
    after: ({ item }, goal) => (goal.build.items[item]?.part.kind === 'swivel' ? ['swivelTurns'] : ['hangsFree']),
  },
  closeLoop: {
    tool: 'flatPliers',
    alsoTools: ['cutters'],
    supplies: ['goggles'],
    minutes: 2,
    undoing: 'destroys',
    habit: 22,
    facts: ({ end, holding }) => facts([`rolled ${end}`, ...each('in', holding)], [`held ${end}`], [`rolled ${end}`]),
    effect: ({ end }, goal, piece) => formEnd(goal, piece, end),
    hazards: () => ['clippedWire'],
    amounts: ({ end }, goal) => [...loopAmounts(end, goal).filter(({ of }) => of !== 'inside'), ...playAt(end, goal)],
    after: ({ end }, goal) => {
      const form = wireEnd(goal.build.carrier, end);
      if (form.form === 'wrappedLoop') return ['wrapsTight', ...closing(end, goal)];
      return form.form === 'bentLoop' && form.gapM > 0 ? ['gapLeft'] : ['loopCloses'];
    },
  },
  turnDown: {
    tool: 'flatPliers',
    alsoTools: ['cutters'],
    supplies: ['goggles'],
    minutes: 1,
    undoing: 'withTool',
    habit: 22,
    facts: (_, goal) => facts(['wire', ...bentFirst(goal), 'open tail'], ['held tail'], ['open tail']),
    effect: (_, goal, piece) => formEnd(goal, piece, 'tail'),
    hazards: () => ['clippedWire'],
    amounts: (_, { build: { carrier } }) => {
      const tail = wireEnd(carrier, 'tail');
      return tail.form === 'bentOver' ? [{ of: 'turnedDown', lengthM: tail.lengthM }] : [];
    },
    after: () => ['endHolds'],
  },
};

function cast(hook: ItemId | null): Fact[] {
  return hook ? each('in', [hook]) : [];
}

function bendsIn({ build: { carrier } }: Goal): number {
  return carrierRoom(carrier).bends(carrier) ?? 0;
}

/** A loop that closes the strand: what is looked at for the last time. */
function closing(end: End, goal: Goal) {
  return end === goal.over && goal.build.strand.length > 0 ? (['freePlay'] as const) : [];
}

function loopAmounts(end: End, { build: { carrier } }: Goal): Amount[] {
  const form = wireEnd(carrier, end);
  switch (form.form) {
    case 'plain':
    case 'bentOver':
    case 'knot':
    case 'tiedLoop':
      return [];
    case 'wrappedLoop':
      return [
        { of: 'inside', lengthM: form.insideDiameterM },
        { of: 'wraps', count: form.wraps },
      ];
    case 'bentLoop':
      return [
        { of: 'inside', lengthM: form.insideDiameterM },
        ...(form.gapM > 0 ? [{ of: 'gap', lengthM: form.gapM } as const] : []),
      ];
  }
}

/** Room to leave on a straight wire when its last loop closes. */
function playAt(end: End, { build: { carrier, strand }, over }: Goal): Amount[] {
  const playM = carrierRoom(carrier).playM(carrier);
  return playM !== null && end === over && strand.length > 0 ? [{ of: 'play', lengthM: playM }] : [];
}

/** What has to hang in a loop before it closes. */
export function heldInLoop({ build }: Goal, end: End) {
  return end === 'nose' && carrierRoom(build.carrier).castsNose ? [] : childrenOf(build, end).map(({ id }) => id);
}
