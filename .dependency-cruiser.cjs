/**
 * The floors of the house. A room imports its own files and those of lower floors; never upwards, never across.
 * `npm run lint` holds every import to it, type imports and aliases included; tests may import anything.
 */
const floors = [
  ['quantity'],
  ['session'],
  ['words'],
  ['nudge', 'physiology'],
  ['athlete'],
  ['script'],
  ['script/reader'],
  ['edit'],
  ['reckon'],
  ['forecast'],
  ['wrist/program'],
  ['wrist/engine'],
  ['record'],
  ['sensors'],
  ['wrist/fit'],
  ['wrist/link'],
  ['plan'],
  ['advise', 'calculator', 'card', 'exchange', 'find', 'formats', 'trends'],
]

const rooms = floors.flat()
/** A room's own files; a room inside another (`script/reader`) is none of the outer one's. */
const filesOf = room => ({
  path: `^core/${room}/`,
  pathNot: rooms.filter(other => other.startsWith(`${room}/`)).map(other => `^core/${other}/`),
})
const noTest = '\\.test\\.ts$'

const floorRules = floors.flatMap((floor, height) =>
  floor.map(room => {
    const above = floors
      .slice(height)
      .flat()
      .filter(other => other !== room)
    const own = filesOf(room)
    return {
      name: `floor-of-${room.replace('/', '-')}`,
      comment: `core/${room} imports lower floors only`,
      severity: 'error',
      from: { path: own.path, pathNot: [...own.pathNot, noTest] },
      to: {
        path: above.map(other => `^core/${other}/`),
        pathNot: [
          `^core/${room}/[^/]+\\.ts$`,
          ...floors
            .slice(0, height)
            .flat()
            .map(other => `^core/${other}/[^/]+\\.ts$`),
        ],
      },
    }
  }),
)

const outside = ['app', 'server', 'bin', 'standin', 'demo', 'scripts', 'bench', 'tests', 'shared']
const allowed = (name, from, comment, to) => ({
  name,
  comment,
  severity: 'error',
  from: { path: from, pathNot: [noTest] },
  to: { path: to },
})
const dirs = names => `^(?:${names.join('|')})/`

module.exports = {
  forbidden: [
    ...floorRules,
    allowed('core-stands-alone', '^core/', 'core imports no other room', dirs(outside)),
    {
      name: 'core-is-pure',
      comment: 'core imports no framework and no Node',
      severity: 'error',
      from: { path: '^core/', pathNot: [noTest] },
      to: { path: ['^node:', 'node_modules/(?:vue|@vue|nuxt|@nuxt|pinia|h3|drizzle-orm|element-plus|echarts|yup|postgres)/'] },
    },
    { name: 'core-needs-no-node', severity: 'error', from: { path: '^core/', pathNot: [noTest] }, to: { dependencyTypes: ['core'] } },
    {
      name: 'every-core-room-has-a-floor',
      severity: 'error',
      from: {},
      to: { path: '^core/', pathNot: rooms.map(room => `^core/${room}/`) },
    },
    allowed('shared-holds-shapes', '^shared/', 'shared knows core alone', dirs(outside.filter(name => name !== 'shared'))),
    allowed('screens-ask-routes', '^app/', 'app reaches the server only through its routes; of the stand-ins it knows the body alone', [
      dirs(['server', 'bin', 'demo', 'scripts', 'bench']),
      '^standin/(?!body/)',
    ]),
    allowed(
      'server-shows-nothing',
      '^server/',
      'the server knows no screen, no stand-in and no command line',
      dirs(['app', 'bin', 'standin', 'scripts', 'bench']),
    ),
    allowed(
      'standin-stands-alone',
      '^standin/',
      'a stand-in is a device: it knows core and the shapes it answers with',
      dirs(['app', 'server', 'bin', 'scripts', 'bench', 'demo']),
    ),
    allowed('body-wears-any-watch', '^standin/body/', 'the body knows no one watch', '^standin/(?:watch|simulation)/'),
    allowed('demo-is-data', '^demo/', 'the demo is built from core and the body', dirs(['app', 'server', 'bin', 'scripts', 'bench'])),
    allowed('bin-is-core', '^bin/', 'the command line is over core', dirs(['app', 'server', 'scripts', 'bench', 'demo'])),
    { name: 'no-circle-of-files', severity: 'error', from: {}, to: { circular: true } },
    { name: 'no-circle-of-folders', severity: 'error', scope: 'folder', from: {}, to: { circular: true } },
    { name: 'nothing-unresolved', severity: 'error', from: { path: '^(?:core|standin|bin|demo)/' }, to: { couldNotResolve: true } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: ['\\.test\\.ts$', '^tests/', '\\.nuxt', '\\.output'] },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.floors.json' },
    enhancedResolveOptions: { extensions: ['.ts', '.mts', '.mjs', '.vue', '.js', '.json'] },
  },
}
