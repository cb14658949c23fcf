import { availableParallelism } from 'node:os';
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

const CORE = ['src/core/**/*.test.ts', 'cli/**/*.test.ts'];

export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  test: {
    environment: 'node',
    // A machine that others share can be five times slower for a while.
    testTimeout: 240_000,
    // One fewer would leave half of two processors idle.
    maxWorkers: availableParallelism(),
    projects: [
      // Nothing in the core changes what stands outside it: its files are loaded once for all of its tests.
      { extends: true, test: { name: 'core', include: CORE, isolate: false } },
      { extends: true, test: { name: 'page', include: ['src/**/*.test.ts'], exclude: CORE } },
    ],
  },
});
