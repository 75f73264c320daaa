/**
 * Import directions of the rooms; docs/architecture.md describes them. Each row: a room and what it may import besides
 * itself. Everything of ours that is not listed is forbidden.
 */
const ROOMS = {
  'core': [],
  'contracts': ['core'],
  'workers': ['core', 'contracts'],
  'book': ['contracts', 'core'],
  'words': ['contracts', 'core'],
  'devices': ['core', 'contracts'],
  'cli': ['core', 'contracts', 'book', 'words', 'devices', 'server/services'],
  'demo': ['core', 'contracts', 'book', 'words', 'devices', 'server/services'],
  'server/models': [],
  'server/migrations': [],
  'server/services': ['server/models', 'server/migrations', 'core', 'contracts', 'book'],
  'server/http': ['server/services', 'contracts', 'words'],
  'server/plugins': ['server/http'],
  'server/middleware': ['server/http'],
  'server/api': ['server/http', 'contracts'],
  'app/drawings': ['core'],
  'app/clients': ['core', 'contracts', 'workers'],
  'app/stores': ['core', 'contracts', 'book', 'app/clients'],
  'app/composables': ['core', 'contracts', 'book', 'words', 'app/clients', 'app/stores'],
  'app/components': ['core', 'contracts', 'words', 'app/drawings', 'app/clients', 'app/composables', 'app/stores'],
  'app/pages': ['core', 'contracts', 'words', 'book', 'app'],
}
/**
 * The core from the ground up: each layer may import itself and those before it. `core/*.ts` are what all of them need.
 */
const LAYERS = ['maths', 'materials', 'formulation', 'record', 'process', 'cook', 'day']
const OURS = [
  'core',
  'contracts',
  'workers',
  'book',
  'words',
  'devices',
  'cli',
  'demo',
  'server',
  'app',
  'scripts',
  'test',
]
/** Packages each room may use; a room that is not listed may use any. */
const PACKAGES = {
  'core': ['culori', 'fraction.js', 'd3-array', 'luxon', 'zod'],
  'contracts': ['zod'],
  'workers': [],
  'book': [],
  'words': [],
  'app/drawings': ['d3-array', 'd3-path', 'd3-scale', 'd3-shape', 'd3-time'],
}

const anyOf = names => `^(${names.join('|')})/`
const directions = Object.entries(ROOMS).map(([room, may]) => ({
  name: `room-${room.replace('/', '-')}`,
  comment: `${room}/ may import ${['itself', ...may].join(', ')}`,
  severity: 'error',
  from: { path: `^${room}/`, pathNot: '\\.test\\.ts$' },
  to: { path: anyOf(OURS), pathNot: anyOf([room, ...may]) },
}))
const packages = Object.entries(PACKAGES).map(([room, may]) => ({
  name: `packages-${room.replace('/', '-')}`,
  severity: 'error',
  from: { path: `^${room}/`, pathNot: '\\.test\\.ts$' },
  to: {
    dependencyTypes: ['npm', 'npm-dev', 'core'],
    pathNot: may.length > 0 ? `node_modules/(@types/)?(${may.join('|')})(/|$)` : '^$',
  },
}))

const layers = LAYERS.map((layer, i) => ({
  name: `layer-${layer}`,
  comment: `core/${layer}/ may import ${LAYERS.slice(0, i + 1).join(', ')}`,
  severity: 'error',
  from: { path: `^core/${layer}/`, pathNot: '\\.test\\.ts$' },
  to: { path: '^core/[^/]+/', pathNot: `^core/(${LAYERS.slice(0, i + 1).join('|')})/` },
}))

export default {
  forbidden: [
    ...directions,
    ...packages,
    ...layers,
    {
      name: 'layers-of-the-core',
      comment: 'whatever lies in the core lies in a layer',
      severity: 'error',
      from: { path: '^core/' },
      to: { path: '^core/[^/]+/', pathNot: `^core/(${LAYERS.join('|')})/` },
    },
    {
      name: 'ground-of-the-core',
      comment: 'what every layer needs needs none of them',
      severity: 'error',
      from: { path: '^core/[^/]+\\.ts$' },
      to: { path: '^core/[^/]+/' },
    },
    {
      name: 'solver-knows-no-halwa',
      comment: 'jobs, resources, lags and costs alone',
      severity: 'error',
      from: { path: '^core/day/solver/', pathNot: '\\.test\\.ts$' },
      to: { path: '^core/', pathNot: '^core/(day/solver|maths)/' },
    },
    {
      name: 'components-ask-nothing',
      comment: 'a component is told and tells: who asks the hearth is a store or a composable',
      severity: 'error',
      from: { path: '^app/components/', pathNot: '\\.test\\.ts$' },
      to: { path: '^app/clients/api\\.ts$' },
    },
    { name: 'no-circles', comment: 'of values or of types', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'tests-are-not-imported',
      severity: 'error',
      from: { pathNot: '\\.test\\.ts$|^test/' },
      to: { path: '\\.test\\.ts$|^test/' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules|\\.nuxt|\\.output' },
    exclude: { path: '\\.nuxt|\\.output|\\.data' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.tools.json' },
    enhancedResolveOptions: { extensions: ['.ts', '.vue', '.mjs', '.js', '.json', '.css'] },
  },
}
