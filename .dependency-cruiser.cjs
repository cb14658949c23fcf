/** Arrows run one way: app → places → desk → ui, drawing, data, workers → core. The demo scenario is data beside the core. */
/** Rooms of the core from the ground up: each may use what stands before it and nothing behind it. */
const CORE_ROOMS = [
  'units',
  'parts',
  'carriers',
  'hydro',
  'lure',
  'geometry',
  'lengths',
  'fits',
  'costs',
  'files',
  'sight',
  'in-water',
  'sound',
  'predict',
  'wear',
  'prepared',
  'judgement',
  'make',
  'tune',
];

const noArrowUpInCore = [
  {
    name: 'core-ground-stands-alone',
    severity: 'error',
    from: { path: '^src/core/[^/]+\\.ts$', pathNot: '\\.test\\.ts$' },
    to: { path: '^src/core/[^/]+/' },
  },
  {
    name: 'core-has-no-other-rooms',
    severity: 'error',
    from: {},
    to: { path: '^src/core/[^/]+/', pathNot: `^src/core/(${CORE_ROOMS.join('|')})/` },
  },
  ...CORE_ROOMS.slice(0, -1).map((room, i) => ({
    name: `core-${room}-does-not-climb`,
    severity: 'error',
    from: { path: `^src/core/${room}/`, pathNot: '\\.test\\.ts$' },
    to: { path: `^src/core/(${CORE_ROOMS.slice(i + 1).join('|')})/` },
  })),
];

module.exports = {
  forbidden: [
    ...noArrowUpInCore,
    {
      name: 'core-stands-alone',
      severity: 'error',
      from: { path: '^src/core', pathNot: '\\.test\\.ts$' },
      to: { path: '^(src|cli|scripts)/', pathNot: '^src/core' },
    },
    {
      name: 'core-takes-only-pure-packages',
      severity: 'error',
      from: { path: '^src/core', pathNot: '\\.test\\.ts$' },
      to: {
        dependencyTypes: ['npm', 'core'],
        pathNot: 'node_modules/(zod|fraction\\.js|fast-deep-equal|rfc6902)/',
      },
    },
    {
      name: 'demo-knows-only-the-core',
      severity: 'error',
      from: { path: '^src/demo' },
      to: { path: '^src/', pathNot: '^src/(core|demo)' },
    },
    {
      name: 'middle-rooms-do-not-climb',
      severity: 'error',
      from: { path: '^src/(ui|drawing|paper|data|workers|words)' },
      to: { path: '^src/(app|places|desk)' },
    },
    {
      name: 'the-desk-does-not-know-the-places',
      severity: 'error',
      from: { path: '^src/desk' },
      to: { path: '^src/(app|places)' },
    },
    {
      name: 'places-do-not-know-routes',
      severity: 'error',
      from: { path: '^src/places' },
      to: { path: '^src/app' },
    },
    {
      name: 'one-door-to-storage',
      severity: 'error',
      from: { path: '^(src|cli|scripts)', pathNot: '^src/data' },
      to: { path: 'node_modules/dexie' },
    },
    {
      // Families are templates and checks: only the list of findings, what mends them and what starts a lure ask for one.
      name: 'nothing-asks-for-the-family',
      severity: 'error',
      from: {
        path: '^src',
        pathNot: '^src/core/judgement/(families|findings|mending)|^src/(places|desk)|^src/testing|\\.test\\.ts$',
      },
      to: { path: '^src/core/judgement/families' },
    },
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
  },
};
