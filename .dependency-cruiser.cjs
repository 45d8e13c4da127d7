/** The rooms of the house and the way imports may run: web and server -> contract -> core, nothing backwards. */
const room = (name, mayUse) => ({
  name: `${name}-imports`,
  comment: `${name} may import only: ${mayUse.join(', ') || 'packages'}`,
  severity: 'error',
  from: { path: `^${name}/` },
  to: {
    path: '^(core|contract|server|web|cli|measures|e2e)/',
    pathNot: [`^${name}/`, ...mayUse.map((other) => `^${other}/`)],
  },
});

/** The features of web from the ground up: each may use what lies below its floor, and nothing beside or above it. */
const WEB_FLOORS = [
  ['device', 'state', 'brewerSection'],
  ['api', 'instruments'],
  ['ui'],
  ['board', 'saving', 'extractionMap'],
  ['session'],
  ['kit', 'schools', 'publications', 'tasting'],
  ['proof', 'watch', 'reports', 'inAndOut', 'people', 'operations'],
  ['bench'],
  ['brews', 'practice'],
  ['recipes'],
  ['change'],
  ['lots'],
  ['comparisons'],
  ['today'],
  ['app'],
];
const webFloors = WEB_FLOORS.map((floor, index) => ({
  name: `web-floor-${index}`,
  comment: `web's ${floor.join(', ')} may use what lies below only`,
  severity: 'error',
  from: { path: `^web/src/(${floor.join('|')})/`, pathNot: '\\.test\\.tsx?$' },
  to: { path: `^web/src/(${WEB_FLOORS.slice(index).flat().join('|')})/`, pathNot: '^web/src/$1/' },
}));

module.exports = {
  forbidden: [
    room('core', []),
    room('contract', ['core']),
    room('card', ['contract', 'core']),
    room('server', ['card', 'contract', 'core', 'measures']),
    {
      name: 'measures-only-for-the-demo',
      comment: 'the demo is brewed by the truth that is not the model; a lab’s own work never meets it',
      severity: 'error',
      from: { path: '^server/', pathNot: '^server/src/demo/' },
      to: { path: '^measures/' },
    },
    room('web', ['card', 'contract', 'core']),
    room('cli', []),
    room('measures', ['core']),
    {
      name: 'core-is-pure',
      comment: 'core computes: no framework, no input or output, only general-purpose mathematics and dates',
      severity: 'error',
      from: { path: '^core/src/', pathNot: ['\\.test\\.ts$', '^core/src/testing/'] },
      to: { pathNot: ['^core/', '^node_modules/(simple-statistics|jstat|ml-matrix|date-fns)/'] },
    },
    {
      name: 'second-truth-stands-alone',
      comment: 'the physics that the model is held to shares no code with it, only the shape of its input',
      severity: 'error',
      from: { path: '^measures/src/truths/layers/(brewInLayers|grains|network|physics)\\.ts$' },
      to: { path: '^core/', dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'web-features-behind-ui',
      comment: 'the design system knows no feature',
      severity: 'error',
      from: { path: '^web/src/(ui|extractionMap|brewerSection)/', pathNot: '\\.test\\.tsx?$' },
      to: {
        path: '^web/src/',
        pathNot: '^web/src/(ui|extractionMap|brewerSection|api/problem|device/styleNonce)',
      },
    },
    ...webFloors,
    {
      name: 'database-below-features',
      comment: 'connection, migrations and columns know no feature; models.ts names all tables',
      severity: 'error',
      from: { path: '^server/src/database/' },
      to: { path: '^server/src/', pathNot: '^server/src/(database/|configuration)' },
    },
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    { name: 'not-to-unresolvable', severity: 'error', from: {}, to: { couldNotResolve: true } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: ['(^|/)dist/', '\\.d\\.ts$'] },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      conditionNames: ['vendu-source', 'import', 'require', 'node', 'default', 'types'],
      exportsFields: ['exports'],
      extensions: ['.ts', '.tsx', '.js', '.jsx', '.cjs', '.mjs', '.json', '.css'],
      mainFields: ['module', 'main', 'types'],
    },
  },
};
