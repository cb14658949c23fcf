/**
 * Holds figures of the core against those kept in kept.json: each as a ratio to a fixed piece of work timed beside it, so
 * that a slow machine is slow at both. One that has become worse by more than half fails, when it does so three times over.
 * `npm run speed` compares; `npm run speed -- --keep` keeps what is measured.
 */
import { readFileSync, writeFileSync } from 'node:fs';
import { fishingLine, USUAL_OUTFIT } from '../src/core/hydro/outfit';
import { lineShapes } from '../src/core/hydro/towed-line';
import { LAKE_WATER } from '../src/core/hydro/water';
import { findings, USUAL_CONTEXT } from '../src/core/judgement/findings';
import { layOut } from '../src/core/geometry/layout';
import { readLureFile, writeLureFile } from '../src/core/files/lure-file';
import type { Lure } from '../src/core/lure/lure';
import { planMake } from '../src/core/make/plan';
import { predict } from '../src/core/predict/predict';
import { rides } from '../src/core/predict/ride';
import { predictSpin } from '../src/core/predict/spin';
import { DEMO_LURES } from '../src/demo/scenario';
import { candidatesOf } from './candidates';

const KEPT = new URL('kept.json', import.meta.url);
const MOST_WORSE = 1.5;
const TRIES = 3;
const ROUNDS = 9;
const LEAST_MS = 4;

function demoLure(id: string): Lure {
  const lure = DEMO_LURES.find((each) => each.id === id);
  if (!lure) throw new Error(`speed: needs the demo lure ${id}`);
  return lure;
}

function tasks(): Readonly<Record<string, () => unknown>> {
  const tandem = demoLure('torvane-lanes');
  const [lure] = DEMO_LURES;
  if (!lure) throw new Error('speed: needs a demo lure');
  const largest = DEMO_LURES.reduce((most, each) =>
    Object.keys(each.build.items).length > Object.keys(most.build.items).length ? each : most,
  );
  const prediction = predictSpin(largest.build, LAKE_WATER, [0.8]);
  const curve = Array.from({ length: 40 }, (_, i) => (i + 1) / 20);
  const candidates = candidatesOf(tandem);
  candidates(40_000);
  const file = writeLureFile(lure);
  const lengths = Array.from({ length: 60 }, (_, i) => i + 1);
  const towed = { waterDensityKgM3: 998, speedMps: 0.8, tipHeightM: 0 };
  const braid = fishingLine(USUAL_OUTFIT.line);
  return {
    'a hundred candidates on the tandem': () => candidates(100),
    'all findings of the largest lure': () => findings(largest, { ...USUAL_CONTEXT, prediction }),
    'rates at 40 speeds with spreads': () => predictSpin(lure.build, LAKE_WATER, curve),
    'the tandem at one speed': () => rides(tandem.build, LAKE_WATER, [0.8]),
    'the tandem at one speed with all spreads': () => predict(tandem.build, LAKE_WATER, [0.8]),
    'sixty lines': () => lineShapes(braid, { aftN: 0.3, downN: 0.12 }, towed, lengths),
    'layout of the tandem': () => layOut(tandem.build),
    'order of work of the largest lure': () => planMake(largest.build),
    'reading a lure file': () => readLureFile(file),
  };
}

/** Numbers in columns and small objects in maps, as the core has them; some milliseconds. */
function fixedWork(): number {
  const column = new Float64Array(400);
  let sum = 0;
  for (let round = 0; round < 160; round++) {
    for (let i = 0; i < column.length; i++) {
      const x = Math.sqrt(i * 0.37 + round) / (1 + 0.01 * i);
      column[i] = x;
      sum += x * Math.sin(x);
    }
  }
  const known = new Map<string, { readonly at: number; readonly of: readonly number[] }>();
  for (let i = 0; i < 2500; i++) known.set(`item-${i % 600}`, { at: i, of: [i, i / 2] });
  for (const { at, of } of [...known.values()].sort((a, b) => b.at - a.at)) sum += at * (of[1] ?? 0);
  return sum;
}

function timed(task: () => unknown, least: number): number {
  let runs = 0;
  const start = performance.now();
  do {
    task();
    runs++;
  } while (performance.now() - start < least);
  return (performance.now() - start) / runs;
}

/** The least of many rounds of each, taken by turns: what disturbs them only makes them longer. */
function ratioOf(task: () => unknown): number {
  let [fixedMs, taskMs] = [Infinity, Infinity];
  for (let round = 0; round < ROUNDS; round++) {
    fixedMs = Math.min(fixedMs, timed(fixedWork, LEAST_MS));
    taskMs = Math.min(taskMs, timed(task, LEAST_MS));
  }
  return taskMs / fixedMs;
}

const isKeeping = process.argv.includes('--keep');
const kept = JSON.parse(readFileSync(KEPT, 'utf8')) as Record<string, number>;
const measured: Record<string, number> = {};
let worse = 0;
for (const [name, task] of Object.entries(tasks())) {
  const was = kept[name];
  let ratio = ratioOf(task);
  for (let n = 1; n < TRIES && was !== undefined && ratio > MOST_WORSE * was; n++)
    ratio = Math.min(ratio, ratioOf(task));
  measured[name] = Number(ratio.toPrecision(3));
  const isWorse = was === undefined ? !isKeeping : ratio > MOST_WORSE * was;
  if (isWorse) worse++;
  const beside = was === undefined ? 'not kept yet' : `kept ${was}, ${(ratio / was).toFixed(2)} of it`;
  console.log(
    `${isWorse && !isKeeping ? 'WORSE ' : '      '}${name.padEnd(44)} ${ratio.toPrecision(3).padStart(8)}   ${beside}`,
  );
}
if (isKeeping) writeFileSync(KEPT, `${JSON.stringify(measured, null, 2)}\n`);
else if (worse > 0) {
  console.log(`${worse} of the figures are worse than kept by more than half, or not kept: see bench/kept.ts`);
  process.exitCode = 1;
}
