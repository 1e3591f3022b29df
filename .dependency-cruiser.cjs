/** Folders of the core in the order of the work: each may use itself and those before it, never one after it. */
const CORE = [
  'model',
  'read',
  'plan/cutting',
  'plan/gears',
  'plan/reach',
  'plan/outside',
  'plan/stock',
  'plan/holding',
  'plan/operations',
  'plan/order',
  'plan/cuts',
  'plan/lengths',
  'plan/stops',
  'plan/times',
  'plan/cost',
  'plan/risks',
  'plan/proof',
  'plan/doubts',
  'plan/fillets',
  'plan/halves',
  'plan/skeleton',
  'plan/worth',
  'plan/route',
  'plan/written',
  'plan/proved',
  'plan/drawnSmall',
  'plan/leftToOther',
  'plan/compared',
  'plan/judged',
  'plan/search',
  'plan/material',
  'plan/plan',
  'lathe',
  'present',
  'money',
  'rack',
  'saw',
  'ask',
  'schedule',
  'drawing',
  'formats',
];

/** Folders of the application, and what each may use beside itself. */
const ROOMS = {
  core: [],
  server: ['core'],
  workers: ['core'],
  ui: ['core', 'workers'],
  cli: ['core', 'server'],
  app: ['core', 'server', 'ui'],
};

const TESTS = '\\.(test\\.tsx?|corpus\\.ts)$|^src/core/(testing|makeable)\\.ts$';
const isIn = (folders) => `^src/core/(${folders.join('|')})(/|\\.ts$)`;

/** Dependencies point one way, types included, and no circle is left (docs/extending.md). */
module.exports = {
  forbidden: [
    { name: 'no-circle', severity: 'error', from: {}, to: { circular: true } },
    ...CORE.slice(0, -1).map((folder, index) => ({
      name: `core-${folder}`,
      comment: `What comes after ${folder} is not known to it.`,
      severity: 'error',
      from: { path: isIn([folder]), pathNot: TESTS },
      to: { path: isIn(CORE.slice(index + 1)) },
    })),
    {
      name: 'core-has-its-place',
      comment: 'A folder of the core stands in the list above.',
      severity: 'error',
      from: { path: '^src/core/', pathNot: TESTS },
      to: { path: '^src/core/', pathNot: isIn(CORE) },
    },
    ...Object.entries(ROOMS).map(([room, uses]) => ({
      name: `room-${room}`,
      severity: 'error',
      from: { path: `^src/${room}/` },
      to: { path: '^src/', pathNot: `^src/(${[room, ...uses].join('|')})/` },
    })),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: { extensions: ['.ts', '.tsx', '.js', '.mjs'] },
  },
};
