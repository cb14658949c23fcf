import { createSerwistRoute } from '@serwist/turbopack';

/** Pages held for use without a network; a fresh revision with every build. */
const PAGES = ['/bench', '/tank', '/make', '/sheet', '/icon.svg', '/manifest.webmanifest'];
const revision = crypto.randomUUID();

export const { dynamic, dynamicParams, revalidate, generateStaticParams, GET } = createSerwistRoute({
  swSrc: 'src/offline/sw.ts',
  useNativeEsbuild: true,
  globPatterns: ['.next/static/**/*.{js,css,woff,woff2,svg,png,json}', 'public/**/*'],
  maximumFileSizeToCacheInBytes: 8 * 1024 * 1024,
  additionalPrecacheEntries: PAGES.map((url) => ({ url, revision })),
  esbuildOptions: { format: 'iife', sourcemap: false },
});
