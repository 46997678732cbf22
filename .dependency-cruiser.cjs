/** The arrows of the architecture: e2e → web, server → core, and only downward. */
module.exports = {
  forbidden: [
    {
      name: 'core-stands-alone',
      comment: 'Core knows no screen, no server and no framework.',
      severity: 'error',
      from: { path: '^core/' },
      to: {
        path: '^(words|web|server|e2e|benchmarks)/|node_modules/(@angular|rxjs|express|localforage|comlink)',
      },
    },
    {
      name: 'core-uses-no-node',
      severity: 'error',
      from: { path: '^core/', pathNot: '\\.spec\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'core-through-its-face',
      comment:
        'One index.ts per folder is its face; other folders of the product import only that.',
      severity: 'error',
      from: { path: '^(words|web|server|e2e|benchmarks)/' },
      to: { path: '^core/src/', pathNot: '^core/src/[^/]+/index\\.ts$' },
    },
    {
      name: 'words-know-core-alone',
      comment: 'Sentences, names and units: no screen, no framework.',
      severity: 'error',
      from: { path: '^words/', pathNot: '\\.spec\\.ts$' },
      to: { path: '^(web|server|e2e|benchmarks)/|node_modules/' },
    },
    {
      name: 'messages-know-nothing',
      comment:
        'What is said, and the little that says it: core, words and the screens use it, and it uses none of them.',
      severity: 'error',
      from: { path: '^messages/' },
      to: { path: '^(core|words|web|server|e2e|benchmarks)/' },
    },
    {
      name: 'folders-through-their-face',
      comment: 'Folders of core know each other by their index.ts too.',
      severity: 'error',
      from: { path: '^core/src/([^/]+)/', pathNot: '^core/src/testing/|\\.spec\\.ts$' },
      to: {
        path: '^core/src/[^/]+/[^/]+\\.ts$',
        pathNot: '^core/src/($1|[^/]+/index\\.ts$)',
      },
    },
    {
      name: 'stats-are-numbers',
      comment: 'Estimators know rows and counts, and nothing of a grower.',
      severity: 'error',
      from: { path: '^core/src/stats/' },
      to: { path: '^core/src/', pathNot: '^core/src/(stats/|(assert|bisect)\\.ts$)' },
    },
    {
      name: 'web-and-server-apart',
      severity: 'error',
      from: { path: '^web/' },
      to: { path: '^(server|e2e|benchmarks)/' },
    },
    {
      name: 'server-and-web-apart',
      severity: 'error',
      from: { path: '^server/' },
      to: { path: '^(web|e2e|benchmarks)/' },
    },
    {
      name: 'marks-are-drawings',
      comment: 'Drawings may be used by every place, and know none.',
      severity: 'error',
      from: { path: '^web/src/app/(marks|data)/' },
      to: {
        path: '^web/src/app/(air|bench|handover|labels|mixes|mothers|orders|pictures|plan|plants|practice|rehearse|results|settings|shell|start|today|trays)/',
      },
    },
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    {
      name: 'no-orphans',
      severity: 'error',
      from: {
        orphan: true,
        pathNot: ['\\.d\\.ts$', '\\.worker\\.ts$', '\\.(spec|setup)\\.ts$', 'testing/'],
      },
      to: {},
    },
    { name: 'must-resolve', severity: 'error', from: {}, to: { couldNotResolve: true } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
};
