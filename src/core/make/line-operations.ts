/** Operations on a line: cut, knotted, its hooks snelled. */
import { stateOf } from '../lure/item-state';
import { itemOf, type End, type ItemId } from '../lure/lure';
import { wireEnd } from '../carriers/carrier';
import { each, facts } from './facts';
import { heldEnd, orderPlaces, type Goal } from './goal';
import { pointsIn } from './hazards';
import type { Amount, Fact, OperationRules } from './operation-rule';
import { onWire } from './strand-operations';
import { bareWire, formEnd, seat } from './workpiece';

export const lineOperations: Pick<OperationRules, 'cutLine' | 'tieEnd' | 'snell'> = {
  cutLine: {
    tool: 'scissors',
    alsoTools: ['rule'],
    minutes: 0.5,
    undoing: 'destroys',
    habit: 10,
    facts: () => facts([], ['wire', 'strung 0', 'open nose', 'open tail']),
    effect: (_, goal, piece) => ({ ...bareWire(goal), aside: piece.aside }),
    hazards: () => [],
    amounts: (_, { cuts }) => cuts.filter(({ of }) => of === 'wire').map(({ cutM }) => ({ of: 'cut', lengthM: cutM })),
    after: () => ['lengthRight'],
  },
  tieEnd: {
    tool: null,
    alsoTools: ['scissors'],
    supplies: ['water'],
    minutes: 2,
    undoing: 'destroys',
    habit: 20,
    facts: ({ end, holding }) =>
      facts(
        ['wire', `open ${end}`, ...each('loose', holding)],
        [`held ${end}`, ...each('in', holding)],
        [`open ${end}`, ...each('loose', holding)],
      ),
    effect: ({ end, holding }, goal, piece) => seat(goal, formEnd(goal, piece, end), holding),
    hazards: ({ holding }, goal) => pointsIn(goal, holding),
    amounts: ({ end }, goal) => [...knotAmounts(end, goal), ...finished(end, goal)],
    after: () => ['knotSeated'],
  },
  snell: {
    tool: null,
    alsoTools: ['rule', 'scissors'],
    supplies: ['water'],
    minutes: 2.5,
    undoing: 'destroys',
    habit: 40,
    facts: ({ hook }, goal) => {
      const [place = 0] = orderPlaces(goal, hook);
      const held: Fact = `held ${heldEnd(goal)}`;
      const isEnd = isEndOfLine(goal, hook);
      return facts(
        ['wire', `open ${goal.over}`, `strung ${place}`, `bare ${hook}`, ...(isEnd ? [] : [held])],
        [`strung ${place + 1}`, ...each('in', [hook]), ...(isEnd ? [held] : [])],
        [`strung ${place}`, ...each('loose', [hook])],
      );
    },
    effect: ({ hook }, goal, piece) => onWire(goal, piece, [hook]),
    hazards: () => ['hookPoint'],
    amounts: ({ hook }, goal) => snellAmounts(hook, goal),
    after: () => ['snellSeated'],
  },
};

/** The last hook of a line that ends in its snell: it holds what is strung. */
function isEndOfLine(goal: Goal, hook: ItemId): boolean {
  const { carrier, strand } = goal.build;
  return strand.at(-1)?.item === hook && wireEnd(carrier, heldEnd(goal)).form === 'plain';
}

function snellAmounts(hook: ItemId, goal: Goal): Amount[] {
  const { snell } = stateOf(itemOf(goal.build, hook), 'hook');
  if (!snell) return [];
  const spacing: Amount = { of: 'spacing', lengthM: snell.behindM };
  return [{ of: 'wraps', count: snell.wraps }, ...(snell.behindM > 0 ? [spacing] : [])];
}

function knotAmounts(end: End, { build: { carrier } }: Goal): Amount[] {
  const form = wireEnd(carrier, end);
  if (form.form === 'tiedLoop') return [{ of: 'inside', lengthM: form.insideM }];
  return form.form === 'knot' ? [{ of: 'turns', count: form.turns }] : [];
}

/** The knot that closes the line decides its finished length. */
function finished(end: End, { build: { carrier }, over }: Goal): Amount[] {
  return carrier.kind === 'line' && end === over ? [{ of: 'finished', lengthM: carrier.lengthM }] : [];
}
