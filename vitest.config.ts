import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  test: {
    include: ['src/**/*.test.ts', 'cli/**/*.test.ts'],
    environment: 'node',
    // A machine that others share can be five times slower for a while.
    testTimeout: 240_000,
  },
});
