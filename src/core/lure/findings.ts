/**
 * What is wrong, what to look at, and what is in order about a build, as coded data with numbers and repairs.
 * Checks under checks/ hold for any assembly. A family's own are in family/.
 */
import type { Part } from '../parts/part';
import { doesTurn, predictSpin, type SpinPrediction } from '../predict/spin';
import { LAKE_WATER, type Water } from '../hydro/water';
import { familyFindings } from '../family/families';
import { armFindings } from './checks/arms';
import { bladeFindings, type Spreads } from './checks/blades';
import { buzzFindings } from './checks/buzz';
import { clevisFindings } from './checks/clevises';
import { fittingFindings } from './checks/fittings';
import { measureFindings } from './checks/measures';
import { ruleFindings } from './checks/rules';
import { softFindings } from './checks/soft';
import type { Finding, Severity } from './finding';
import type { HookRule } from './hook-rule';
import { layOut } from './layout';
import type { Lure } from './lure';

export interface FindingsContext {
  readonly water: Water;
  /** Speed through the water the blade is checked at, m/s. */
  readonly speedMps: number;
  /** The user's own rules. */
  readonly rules: readonly HookRule[];
  /** The lure predicted at that speed, where the caller has it already. */
  readonly prediction?: SpinPrediction;
}

export const USUAL_CONTEXT: FindingsContext = { water: LAKE_WATER, speedMps: 0.8, rules: [] };

const ORDER: readonly Severity[] = ['fault', 'caution', 'good'];

/**
 * All findings, faults first.
 * @param spare parts that a repair may reach for, beside those already on the lure
 */
export function findings(lure: Lure, context: FindingsContext = USUAL_CONTEXT, spare: readonly Part[] = []): Finding[] {
  const layout = layOut(lure.build);
  return [
    ...measureFindings(lure.build),
    ...bladeFindings(lure, layout, spreadsToCheck(lure, context), spare),
    ...clevisFindings(lure.build, layout, spare),
    ...fittingFindings(lure.build, layout),
    ...armFindings(lure.build, layout),
    ...buzzFindings(lure, layout),
    ...softFindings(lure.build, layout),
    ...ruleFindings(lure.build, context.rules),
    ...familyFindings(lure),
  ].sort((a, b) => ORDER.indexOf(a.severity) - ORDER.indexOf(b.severity));
}

function spreadsToCheck({ build }: Lure, { water, speedMps, prediction }: FindingsContext): Spreads {
  const { blades } = prediction ?? predictSpin(build, water, [speedMps]);
  return new Map(
    blades.map(({ station, at: [at] }) => [
      station,
      doesTurn(at) ? [at.spreadRad.low, at.spreadRad.value, at.spreadRad.high] : [],
    ]),
  );
}
