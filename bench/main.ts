/**
 * Times the core and prints one table: median, and the ratio to the plain tool beside it in the same run.
 * Figures from one run on one machine; quote ratios.
 */
import { referenceBlade, spinBlade } from '../src/core/hydro/spin-blade';
import { GOOD_CLEVIS_BEARING, steadySpin } from '../src/core/hydro/spin';
import { LAKE_WATER } from '../src/core/hydro/water';
import { findings } from '../src/core/lure/findings';
import { layOut } from '../src/core/lure/layout';
import { readLureFile, writeLureFile } from '../src/core/lure/lure-file';
import { CATALOGUE } from '../src/core/parts/catalogue';
import { predict } from '../src/core/predict';
import { DEMO_LURES } from '../src/demo/scenario';
import { slowSpin } from '../src/testing/slow-spin';

const RHO = 998;
const blade = referenceBlade('colorado');
const prepared = spinBlade(blade, RHO);
const [lure] = DEMO_LURES;
if (!lure) throw new Error('bench: needs a demo lure');
const curve = Array.from({ length: 40 }, (_, i) => (i + 1) / 20);
const file = writeLureFile(lure);

const TASKS: readonly (readonly [name: string, task: () => unknown])[] = [
  ['steady spin, one blade, one speed', () => steadySpin(prepared, GOOD_CLEVIS_BEARING, RHO, [0.8])],
  ['the same by nested bisection', () => slowSpin(blade, GOOD_CLEVIS_BEARING, RHO, prepared.weightInWaterN, 0.8, 20)],
  ['40-point curve, one blade, with spreads', () => predict(lure.build, LAKE_WATER, curve)],
  ['one speed, with spreads', () => predict(lure.build, LAKE_WATER, [0.8])],
  ['layout of a demo lure', () => layOut(lure.build)],
  ['all findings of a demo lure', () => findings(lure, undefined, CATALOGUE)],
  ['reading a lure file', () => readLureFile(file)],
];

function medianMs(task: () => unknown): number {
  const until = performance.now() + 300;
  while (performance.now() < until) task();
  const times: number[] = [];
  const end = performance.now() + 1500;
  while (performance.now() < end || times.length < 5) {
    const start = performance.now();
    task();
    times.push(performance.now() - start);
  }
  times.sort((a, b) => a - b);
  return times[Math.floor(times.length / 2)] ?? 0;
}

const rows = TASKS.map(([name, task]) => ({ name, ms: medianMs(task) }));
const unit = rows[0]?.ms ?? 1;
for (const { name, ms } of rows) {
  console.log(`${name.padEnd(44)} ${ms.toFixed(3).padStart(9)} ms   ${(ms / unit).toFixed(2).padStart(8)} ×`);
}
