/** Times of the core, with what the same task takes on general-purpose libraries in the same run. */
import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';
import { steadySpin } from '../src/core/hydro/spin';
import { GOOD_CLEVIS_BEARING } from '../src/core/hydro/blade-loads';
import { referenceBlade, spinBlade } from '../src/core/hydro/spin-blade';
import { slowestInTime } from '../src/core/hydro/in-time';
import { slowestKept } from '../src/core/hydro/round-the-turn';
import { fishingLine, USUAL_OUTFIT } from '../src/core/hydro/outfit';
import { lineShapes } from '../src/core/hydro/towed-line';
import { LAKE_WATER } from '../src/core/hydro/water';
import { findings, USUAL_CONTEXT } from '../src/core/judgement/findings';
import { layOut } from '../src/core/geometry/layout';
import { readLureFile, writeLureFile } from '../src/core/files/lure-file';
import { itemIdSchema, type Lure } from '../src/core/lure/lure';
import { weigh } from '../src/core/prepared/weigh';
import { CATALOGUE, partsOfKind } from '../src/core/parts/catalogue';
import { predictSpin } from '../src/core/predict/spin';
import { stallSpeeds } from '../src/core/predict/stalls';
import { lightestHead } from '../src/core/predict/head-finder';
import { moversOf } from '../src/core/predict/movers';
import { predict } from '../src/core/predict/predict';
import type { Reading } from '../src/core/lure/reading';
import { learnFrom } from '../src/core/predict/readings';
import { USUAL_SOUND } from '../src/core/predict/sound';
import { retrievePath } from '../src/core/predict/retrieve-path';
import { rides } from '../src/core/predict/ride';
import { renderLoop } from '../src/core/sound/render';
import { planMake } from '../src/core/make/plan';
import { DEMO_LURES } from '../src/demo/scenario';
import { slowSpin } from '../src/testing/slow-spin';
import { slowStall } from '../src/testing/slow-stall';
import { candidatesOf } from './candidates';
import { median, medianMs, type Figure } from './measure';
import { plainDepth } from './plain-line';
import { plainSpin } from './plain-spin';

const RHO = 998;
const LENGTHS = Array.from({ length: 60 }, (_, i) => i + 1);
const CURVE = Array.from({ length: 40 }, (_, i) => (i + 1) / 20);

const PULL = { aftN: 0.3, downN: 0.12 };
const TOWED = { waterDensityKgM3: RHO, speedMps: 0.8, tipHeightM: 0 };
const WOUND = { countdownS: 4, speedMps: 0.66 };
const READINGS: readonly Reading[] = [
  { kind: 'rate', station: itemIdSchema.parse('blade-1'), speedMps: 0.8, rateHz: 8.8, errorShare: 0.05 },
  { kind: 'depth', speedMps: 0.7, lineOutM: 12, depthM: 1.6, errorShare: 0.08 },
  { kind: 'sink', throughM: 2, seconds: 4.4, errorShare: 0.08 },
];

export function coreFigures(): Figure[] {
  const tandemLure = DEMO_LURES.find(({ id }) => id === 'torvane-lanes');
  if (!tandemLure) throw new Error('bench: needs the tandem');
  // First, as in a worker of its own: what runs before it teaches the engine other shapes.
  const search = searchFigures(tandemLure);
  const blade = referenceBlade('colorado');
  const prepared = spinBlade(blade, RHO);
  const [lure] = DEMO_LURES;
  if (!lure) throw new Error('bench: needs a demo lure');
  const file = writeLureFile(lure);
  const one = () => steadySpin(prepared, GOOD_CLEVIS_BEARING, RHO, [0.8]);
  const [steady] = one();
  if (steady?.outcome !== 'turning' || Math.abs(plainSpin(blade, RHO, 0.8) / steady.rateHz - 1) > 0.01) {
    throw new Error('bench: the plain solver finds another state; the ratio would mean nothing');
  }
  const level = { waterDensityKgM3: RHO, slopeRad: 0 };
  const ms = (name: string, bar: number | null, task: () => unknown, note = ''): Figure => ({
    name,
    value: medianMs(task),
    unit: 'ms',
    bar,
    note,
  });
  const beside = (figure: Figure, task: () => unknown, by: string, forMs?: number): Figure[] => {
    const plain = medianMs(task, forMs);
    return [
      figure,
      { ...figure, name: `  the same ${by}`, value: plain, bar: null, note: `${(plain / figure.value).toFixed(1)} ×` },
    ];
  };
  const blades = partsOfKind('blade');
  const orders = DEMO_LURES.map(({ name, build }) => ({ name, build, plan: planMake(build) }));
  const nodesOf = ({ plan }: (typeof orders)[number]) => (plan.outcome === 'planned' ? plan.nodes : 0);
  const largest = orders.reduce((most, each) => (nodesOf(each) > nodesOf(most) ? each : most));
  if (largest.plan.outcome !== 'planned' || !largest.plan.isBest)
    throw new Error('bench: the largest order is not found');
  const tandem = tandemLure.build;
  const braid = fishingLine(USUAL_OUTFIT.line);
  const [shape] = lineShapes(braid, PULL, TOWED, [20]);
  if (shape?.outcome !== 'sinks' || Math.abs(plainDepth(braid, PULL, TOWED, 20) / shape.depthM - 1) > 0.005) {
    throw new Error('bench: the plain line runs at another depth; the ratio would mean nothing');
  }
  const swap = { put: 'swap', item: itemIdSchema.parse('blade-1') } as const;
  return [
    ...search,
    ...beside(
      ms('steady spin, one blade, one speed', 0.2, one),
      () => plainSpin(blade, RHO, 0.8),
      'by a general root finder, nested',
    ),
    ms('  the same by nested bisection', null, () =>
      slowSpin(blade, GOOD_CLEVIS_BEARING, RHO, prepared.weightInWaterN, 0.8, 20),
    ),
    ...beside(
      ms('40-point curve with spreads', 20, () => predictSpin(lure.build, LAKE_WATER, CURVE)),
      () => {
        for (const speed of CURVE) for (let i = 0; i < 7; i++) plainSpin(blade, RHO, speed);
      },
      'by a general root finder, nested',
    ),
    ms('one speed with spreads', null, () => predictSpin(lure.build, LAKE_WATER, [0.8])),
    ...beside(
      ms('slowest water that keeps one blade turning, in time', 500, () =>
        [false, true].map((isFree) => slowestInTime(prepared, GOOD_CLEVIS_BEARING, level, isFree, 0.6)),
      ),
      () => [false, true].map((isFree) => slowStall(blade, GOOD_CLEVIS_BEARING, RHO, isFree, 0.6)),
      'by a general ODE library',
      2500,
    ),
    ms('  the same by the formula fitted to it', 1, () => slowestKept(prepared, GOOD_CLEVIS_BEARING, RHO)),
    ms('stall bands of a demo lure', null, () => stallSpeeds(lure.build, LAKE_WATER)),
    ms('layout of a demo lure', null, () => layOut(lure.build)),
    ms('all findings of a demo lure', null, () => findings(lure, USUAL_CONTEXT, CATALOGUE)),
    ...DEMO_LURES.filter(({ id }) => id === 'halvane-twins' || id === 'torvane-lanes').map((each) => {
      const prediction = predictSpin(each.build, LAKE_WATER, [0.8]);
      const known = { ...USUAL_CONTEXT, prediction };
      const count = Object.keys(each.build.items).length;
      const bar = each.id === 'halvane-twins' ? 0.5 : null;
      return ms(`  of ${each.name}, ${count} parts, already predicted`, bar, () => findings(each, known, CATALOGUE));
    }),
    ms(`weighing ${blades.length} blades for it`, null, () => weigh(lure, swap, blades, LAKE_WATER, 0.8)),
    ms(
      `order of work of ${largest.name}`,
      20,
      () => planMake(largest.build),
      `${nodesOf(largest)} nodes expanded, ${largest.plan.steps.length} steps`,
    ),
    ms('whole of Torvane Lanes, a tandem, at one speed', 1, () => rides(tandem, LAKE_WATER, [0.8])),
    ms('  at 40 speeds', 25, () => rides(tandem, LAKE_WATER, CURVE)),
    ms('  at 40 speeds with all spreads', 100, () => predict(tandem, LAKE_WATER, CURVE)),
    ms('  at one speed with all spreads', null, () => predict(tandem, LAKE_WATER, [0.8])),
    ms('  what moves each output', null, () => moversOf(tandem, LAKE_WATER, 0.8)),
    ms('trolling curve of sixty lengths, the lure worked out with it', 30, () =>
      rides(tandem, LAKE_WATER, [0.8], USUAL_OUTFIT, LENGTHS),
    ),
    ...beside(
      ms('  its sixty lines alone', null, () => lineShapes(braid, PULL, TOWED, LENGTHS)),
      () => LENGTHS.forEach((length) => plainDepth(braid, PULL, TOWED, length)),
      'by a general ODE library',
    ),
    ms('way of a retrieve', null, () => retrievePath(tandem, LAKE_WATER, WOUND)),
    ms('lightest head for a depth, of the catalogue', 200, () =>
      lightestHead(tandem, LAKE_WATER, { speedMps: 0.8, fromM: 1.2, toM: 1.8 }, CATALOGUE),
    ),
    ms('learning from three readings', null, () => learnFrom(tandem, LAKE_WATER, READINGS)),
    ...soundFigures(),
    ms('reading a lure file', null, () => readLureFile(file)),
  ];
}

const CANDIDATES = 1_000_000;
const WARM_UP = 100_000;

/** A million candidates on one lure: how many a second, the median of ten parts of them, and what stays in memory. */
function searchFigures(lure: Lure): Figure[] {
  const collect = collector();
  const candidates = candidatesOf(lure);
  candidates(WARM_UP);
  collect();
  const before = process.memoryUsage().heapUsed;
  const rates = Array.from({ length: 10 }, () => {
    const start = performance.now();
    candidates(CANDIDATES / 10);
    return CANDIDATES / 10 / ((performance.now() - start) / 1000);
  });
  collect();
  const grownMB = (process.memoryUsage().heapUsed - before) / 1e6;
  return [
    {
      name: 'whole candidates of a search on Torvane Lanes',
      value: median(rates),
      unit: '/s',
      bar: 20_000,
      isLeast: true,
      note: `${Math.round(Math.min(...rates))} to ${Math.round(Math.max(...rates))}`,
    },
    { name: '  heap grown over a million of them', value: grownMB, unit: 'MB', bar: 2, note: '' },
  ];
}

/** A full collection of what is no longer needed, to measure what stays. */
function collector(): () => void {
  setFlagsFromString('--expose-gc');
  return runInNewContext('gc') as () => void;
}

/** What is heard of the loudest demo lure, and of the one with most that can strike. */
function soundFigures(): Figure[] {
  return ['lommer-clapper', 'halvane-twins'].flatMap((slug): Figure[] => {
    const lure = DEMO_LURES.find(({ id }) => id === slug);
    if (!lure) throw new Error(`bench: needs ${slug}`);
    const said = () => predict(lure.build, LAKE_WATER, [0.8], { sound: USUAL_SOUND });
    const [sound] = said().sounds;
    if (!sound || !('heard' in sound)) throw new Error(`bench: ${slug} is heard`);
    const { heard } = sound;
    const render = (only?: readonly string[]) => renderLoop(heard, { seconds: 4, seed: 1, only });
    const whole: Figure = {
      name: `4 s of the sound of ${lure.name}`,
      value: medianMs(() => render()),
      unit: 'ms',
      bar: 40,
      note: '',
    };
    const contacts = heard.contacts.map(({ contact: { id } }) => id);
    const ofContacts = medianMs(() => render(contacts));
    return [
      whole,
      {
        ...whole,
        name: '  of that what strikes and rubs',
        value: ofContacts,
        bar: null,
        note: `${Math.round((100 * ofContacts) / whole.value)} %, the rest beat and flow`,
      },
      { ...whole, name: '  worked out with all spreads, with its ride', value: medianMs(said), bar: null },
    ];
  });
}
