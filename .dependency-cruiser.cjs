/**
 * Imports run one way: app -> server -> data -> contract -> core, and app -> features -> drawing, charts, offline ->
 * contract -> core. Only the server opens the data; a page takes views from it and gives them to features.
 */
const only = (name, from, to) => ({
  name,
  severity: 'error',
  from: { path: `^src/${from}/`, pathNot: '\\.test\\.ts$' },
  to: { path: '^(src|demo|tracker|scripts|e2e|test|bench)/', pathNot: `^src/(${[from, ...to].join('|')})/` },
});
const withinCore = (name, to) => ({
  name: `core-${name}`,
  severity: 'error',
  from: { path: `^src/core/${name}/`, pathNot: '\\.test\\.ts$' },
  to: { path: '^src/core/', pathNot: `^src/core/(${[name, ...to].join('|')})/` },
});

module.exports = {
  forbidden: [
    { name: 'no-circular', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'core-is-pure',
      severity: 'error',
      from: { path: '^src/core/', pathNot: '\\.test\\.ts$' },
      to: { pathNot: '^src/core/' },
    },
    withinCore('units', []),
    withinCore('geometry', ['units']),
    withinCore('body', ['units', 'geometry']),
    withinCore('kit', ['units', 'geometry', 'body']),
    withinCore('fit', ['units', 'geometry', 'body', 'kit']),
    withinCore('movement', ['units', 'geometry', 'body']),
    withinCore('mechanics', ['units', 'geometry', 'body', 'kit', 'movement']),
    withinCore('setup', ['units', 'geometry', 'body', 'kit', 'movement', 'mechanics']),
    withinCore('book', ['units', 'geometry', 'body', 'kit', 'fit', 'movement', 'mechanics', 'setup']),
    withinCore('record', ['units', 'body', 'movement', 'setup', 'book', 'tempo', 'trace']),
    withinCore('fault', [
      'units',
      'geometry',
      'body',
      'kit',
      'movement',
      'mechanics',
      'setup',
      'book',
      'tempo',
      'record',
      'load',
    ]),
    withinCore('plan', ['units', 'body', 'tempo', 'book', 'record']),
    withinCore('week', ['units', 'geometry', 'body', 'movement', 'mechanics', 'setup', 'book']),
    withinCore('propose', ['units', 'body', 'book', 'plan', 'week', 'setup', 'mechanics', 'kit']),
    withinCore('spotting', ['units', 'movement', 'book', 'fault']),
    withinCore('tempo', ['units']),
    withinCore('load', ['units']),
    withinCore('trace', ['units', 'tempo']),
    {
      name: 'tracker',
      severity: 'error',
      from: { path: '^tracker/' },
      to: { path: '^(src|demo|scripts|e2e|test|bench)/', pathNot: '^src/(core/trace|contract)/' },
    },
    only('messages', 'messages', ['core']),
    only('contract', 'contract', ['core', 'messages']),
    only('solver', 'solver', ['core', 'contract', 'messages']),
    only('data', 'data', ['core', 'contract']),
    only('server', 'server', ['core', 'contract', 'messages', 'solver', 'data', 'card']),
    only('app', 'app', ['server', 'features', 'contract', 'messages']),
    only('drawing', 'drawing', ['core', 'messages']),
    only('card', 'card', ['core', 'contract', 'messages', 'solver', 'drawing']),
    only('charts', 'charts', ['core', 'messages']),
    only('workers', 'workers', ['core', 'contract']),
    only('offline', 'offline', ['core', 'contract']),
    only('features', 'features', ['core', 'contract', 'messages', 'solver', 'drawing', 'charts', 'offline', 'workers']),
  ],
  options: {
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '^(\\.next|node_modules/(?!(next|react|echarts|idb|better-sqlite3)/))' },
  },
};
