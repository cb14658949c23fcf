/** What a move takes on a lure that is made: minutes, tools, and how it is undone, from the operations of making. */
import { costOfChange, type Cost } from '../costs/cost';
import type { Build } from '../lure/lure';
import type { Op } from '../make/operation';
import type { Tool, Undoing } from '../make/operation-rule';
import { OPERATIONS } from '../make/operation-rules';
import type { MoveCode } from './move';

export interface Effort {
  readonly minutes: number;
  readonly tools: readonly Tool[];
  readonly undoing: Undoing;
  /** What has to give way; empty where only one piece is worked at. */
  readonly costs: readonly Cost[];
}

/** Of what is done to one piece: the operation that does it. */
const BY_HANDLING: Readonly<Partial<Record<MoveCode['code'], Op>>> = {
  rivet: 'fixRivet',
  fold: 'foldFilm',
  collar: 'fitSkirt',
  thinTips: 'thinTips',
  cutTrailer: 'cutTrailer',
  setNail: 'screwNail',
};

/** Of what has to give way: the operations that put it right again. */
const BY_COST: Readonly<Record<Exclude<Cost['code'], 'cutsWire' | 'newHead' | 'cutsHook'>, readonly Op[]>> = {
  changesBladeAtClevis: ['hangOnClevis'],
  opensRing: ['hangByRing'],
  opensEye: ['hangByEye'],
  otherBody: ['takeBody', 'hangByRing'],
  screws: ['screwIn'],
  leavesHole: [],
  opensBodyEye: ['openBodyEye'],
  cutsTube: ['cutTubes', 'shrinkTube'],
  bendsWire: ['turnDown'],
  opensEndLoop: ['rollLoop', 'turnDown'],
  slipsOff: ['pushTrailer'],
  tiesAgain: ['tieDressing'],
};

/** Cutting a hook off at its eye, min. Trade estimate. */
const CUTTING_HOOK_MIN = 1;

const FROM_LEAST: readonly Undoing[] = ['byHand', 'withTool', 'opensRing', 'destroys'];
/** A wire that was bent is bent again, so often as it lasts. */
const BENT_AGAIN: Undoing = 'withTool';

/**
 * @param to the build with the move made
 * @param whole of making the lure from bare wire: what a closed wire costs that has to be cut
 */
export function effortOf(
  move: MoveCode,
  from: Build,
  to: Build,
  whole: () => { readonly minutes: number; readonly tools: readonly Tool[] },
): Effort {
  const handling = BY_HANDLING[move.code];
  if (handling) return { ...ofOps([handling]), costs: [] };
  if (move.code === 'bend' || move.code === 'bendAside') {
    return { ...ofOps(['bendWire']), undoing: BENT_AGAIN, costs: [{ code: 'bendsWire' }] };
  }
  const costs = costOfChange(from, to);
  const isWhole = costs.some(({ code }) => code === 'cutsWire' || code === 'newHead');
  if (isWhole) return { ...whole(), undoing: 'destroys', costs };
  const ops = costs.flatMap(({ code }) =>
    code === 'cutsWire' || code === 'newHead' || code === 'cutsHook' ? [] : BY_COST[code],
  );
  const effort = ofOps(ops);
  if (!costs.some(({ code }) => code === 'cutsHook')) return { ...effort, costs };
  return {
    minutes: effort.minutes + CUTTING_HOOK_MIN,
    tools: [...new Set<Tool>(['cutters', ...effort.tools])],
    undoing: 'destroys',
    costs,
  };
}

function ofOps(ops: readonly Op[]): Omit<Effort, 'costs'> {
  const rules = ops.map((op) => OPERATIONS[op]);
  const tools = rules.flatMap(({ tool, alsoTools = [] }) => [...(tool ? [tool] : []), ...alsoTools]);
  return {
    minutes: rules.reduce((sum, { minutes }) => sum + minutes, 0),
    tools: [...new Set(tools)],
    undoing: rules.reduce<Undoing>(
      (worst, { undoing }) => (FROM_LEAST.indexOf(undoing) > FROM_LEAST.indexOf(worst) ? undoing : worst),
      'byHand',
    ),
  };
}
