/** Writes lure files of random lures that a builder could reach, for journeys: how many, and where to. */
import { writeFileSync } from 'node:fs';
import fc from 'fast-check';
import { writeLureFile } from '../src/core/files/lure-file';
import { lureIdSchema } from '../src/core/lure/lure';
import { anyLure } from '../src/testing/any-lure';

/** The same ones in every run. */
const SEED = 15;

const [count = '50', path = '/dev/stdout'] = process.argv.slice(2);
const lures = fc
  .sample(anyLure(), { seed: SEED, numRuns: Number(count) })
  .map((lure, i) => writeLureFile({ ...lure, id: lureIdSchema.parse(`random-${i + 1}`), name: `Random ${i + 1}` }));
writeFileSync(path, JSON.stringify(lures));
