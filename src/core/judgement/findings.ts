/**
 * What is wrong, what to look at, and what is in order about a build, as coded data with numbers and repairs.
 * Checks under checks/ hold for any assembly. A family's own are in family/.
 */
import type { Part } from '../parts/part';
import { doesTurn, predictSpin, type SpinPrediction } from '../predict/spin';
import { LAKE_WATER, type Water } from '../hydro/water';
import { familyFindings } from './families/families';
import { armFindings } from './checks/arms';
import { bladeFindings, type Spreads } from './checks/blades';
import { aheadFindings } from './checks/ahead';
import { bodyFindings } from './checks/bodies';
import { buzzFindings } from './checks/buzz';
import { clevisFindings } from './checks/clevises';
import { fittingFindings } from './checks/fittings';
import { lineFindings } from './checks/lines';
import { measureFindings } from './checks/measures';
import { ruleFindings } from './checks/rules';
import { sinkerFindings, type FishedOver } from './checks/sinkers';
import { softFindings } from './checks/soft';
import { strengthFindings } from './checks/strength';
import type { Finding, Severity } from './finding';
import type { LureRule } from './lure-rule';
import type { Edit } from '../lure/edit';
import { layOut, type Layout } from '../geometry/layout';
import { FIRST_CARRIER, type Build, type CarrierId, type Lure } from '../lure/lure';
import { carriersOf } from '../lure/strung';

export interface FindingsContext {
  readonly water: Water;
  /** Speed through the water the blade is checked at, m/s. */
  readonly speedMps: number;
  /** The user's own rules. */
  readonly rules: readonly LureRule[];
  /** What leader and links have to carry, kg; nothing is said of their strength where it is not told. */
  readonly leastKg?: number | undefined;
  /** With what and over how much water it is fished; of a sinker nothing is said where it is not told. */
  readonly over?: FishedOver;
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
  const prediction = context.prediction ?? predictSpin(lure.build, context.water, [context.speedMps]);
  const pulls = pullsOf(prediction);
  return [
    ...measureFindings(lure.build),
    ...bladeFindings(lure, layout, spreadsOf(prediction), spare, (build) =>
      spreadsOf(predictSpin(build, context.water, [context.speedMps])),
    ),
    ...onEachCarrier(lure.build, layout, (build, laid) => [
      ...clevisFindings(build, laid, spare),
      ...armFindings(build, laid),
      ...lineFindings(build, laid, spare, pulls),
    ]),
    ...fittingFindings(lure.build, layout),
    ...buzzFindings(lure, layout),
    ...softFindings(lure.build, layout, spare),
    ...bodyFindings(lure.build, layout, context.water, context.speedMps),
    ...aheadFindings(lure.build, layout),
    ...strengthFindings(lure.build, context.leastKg ?? null, spare),
    ...(context.over ? sinkerFindings(lure.build, context.water, context.speedMps, context.over) : []),
    ...ruleFindings(lure.build, context.rules),
    ...familyFindings(lure, layout),
  ].sort((a, b) => ORDER.indexOf(a.severity) - ORDER.indexOf(b.severity));
}

/** Checks of what is on one carrier, of each: seen as if it were the first, its repairs then given to it. */
function onEachCarrier(
  build: Build,
  layout: Layout,
  check: (build: Build, layout: Layout) => readonly Finding[],
): Finding[] {
  return carriersOf(build).flatMap(({ id, carrier, strand }) => {
    const laid = layout.carriers.find((each) => each.id === id);
    if (!laid) return [];
    const found = check({ ...build, carrier, strand: [...strand] }, { ...layout, ...laid });
    if (id === FIRST_CARRIER) return found;
    return found.map((finding) => ({
      ...finding,
      key: `${finding.key} on ${id}`,
      repairs: () =>
        finding.repairs().map((repair) => ({ ...repair, edits: repair.edits.map((edit) => editOn(id, edit)) })),
    }));
  });
}

function editOn(on: CarrierId, edit: Edit): Edit {
  switch (edit.kind) {
    case 'carrier':
    case 'carry':
    case 'move':
      return { ...edit, on };
    case 'insert':
      return { ...edit, entries: edit.entries.map((entry) => ({ ...entry, on })) };
    default:
      return edit;
  }
}

function spreadsOf({ blades }: SpinPrediction): Spreads {
  return new Map(
    blades.map(({ station, at: [at] }) => [
      station,
      doesTurn(at) ? [at.spreadRad.low, at.spreadRad.value, at.spreadRad.high] : [],
    ]),
  );
}

/** What each blade pulls at that speed, N. */
function pullsOf({ blades }: SpinPrediction): ReadonlyMap<string, number> {
  return new Map(blades.map(({ station, at: [at] }) => [station, doesTurn(at) ? at.dragN.value : 0]));
}
