/** The import rules of the house: web and server lean on contract, contract on core, never back, never across features. */
const rule = (name, from, to, comment) => ({ name, severity: 'error', comment, from, to });
const FEATURES = 'yard|bookin|trace|gauge|decide|rebuild|bleed|prove|parts|limits|rack|shop';
/** The rooms of the web, each leaning on those before it alone. */
const WEB_ROOMS = ['fittings', 'workers', 'app', 'job', 'features', 'shell'];
const STOREYS = require('./tools/lib/storeys.cjs');
module.exports = {
  forbidden: [
    ...STOREYS.slice(0, -1).map((storey, i) =>
      rule(
        `core-${storey}-below-the-rest`,
        { path: `^core/src/${storey}/` },
        { path: `^core/src/(${STOREYS.slice(i + 1).join('|')})/` },
        'A storey of the core leans on those below it alone.',
      ),
    ),
    rule('core-in-storeys', { path: `^core/src/(?!(${STOREYS.join('|')})/)` }, {}, 'Every file of the core stands in a storey.'),
    rule(
      'core-stages-apart',
      { path: '^core/src/stages/(bookin|trace|gauge|decide|rebuild|bleed|prove)/' },
      { path: '^core/src/stages/[a-z]+/', pathNot: '^core/src/stages/$1/' },
      'What one stage owes does not ask what another owes; they meet below, or in the job.',
    ),
    rule(
      'core-storeys-by-file',
      { path: '^core/src/', pathNot: '/index\\.ts$' },
      { path: '^core/src/[a-z]+/index\\.ts$' },
      'The face of a storey is for those outside the core.',
    ),
    rule('no-circles', {}, { circular: true }, 'Circles hide which room a thing belongs to.'),
    rule(
      'core-is-pure',
      { path: '^core/src' },
      { pathNot: '^(core/src|node_modules/(date-fns|@date-fns/utc))/' },
      'The core leans on nothing but the calendar’s arithmetic: no framework, no clock, no database.',
    ),
    rule(
      'contract-on-core',
      { path: '^contract/src' },
      { path: '^(server|web|demo|instruments|tools)/' },
      'The contract knows the core alone.',
    ),
    rule(
      'server-not-web',
      { path: '^server/src' },
      { path: '^(web|demo|e2e|tools)/' },
      'The server knows nothing of the interface, nor of what starts it.',
    ),
    rule('web-not-server', { path: '^web/src' }, { path: '^(server|demo|e2e)/' }, 'The interface speaks through the contract.'),
    rule(
      'demo-through-contract',
      { path: '^demo/src' },
      { path: '^(server|web)/' },
      'The demonstration shop is built through the contract.',
    ),
    rule(
      'instruments-through-contract',
      { path: '^instruments/src' },
      { path: '^(server|web|demo)/' },
      'A simulated instrument speaks as a real one would.',
    ),
    rule(
      'server-features-apart',
      { path: `^server/src/features/(${FEATURES})/` },
      { path: `^server/src/features/(${FEATURES})/`, pathNot: '^server/src/features/$1/' },
      'Features meet in core, contract, records or platform.',
    ),
    rule(
      'web-features-apart',
      { path: `^web/src/features/(${FEATURES})/` },
      { path: `^web/src/features/(${FEATURES})/`, pathNot: '^web/src/features/$1/' },
      'Features meet in core, contract or fittings.',
    ),
    ...WEB_ROOMS.slice(0, -1).map((room, i) =>
      rule(
        `web-${room}-below-the-rest`,
        { path: `^web/src/${room}/` },
        { path: `^web/src/(${WEB_ROOMS.slice(i + 1).join('|')})/` },
        'From what every screen is made of to the shell that holds them: a room of the web leans on those before it alone.',
      ),
    ),
    rule(
      'web-shell-opens-features',
      { path: '^web/src/shell/' },
      { path: '^web/src/features/', dynamic: false },
      'The shell opens a feature when it is asked for, and knows none before.',
    ),
    rule(
      'platform-below-features',
      { path: '^server/src/(platform|db|records)' },
      { path: '^server/src/features' },
      'What features share knows none of them.',
    ),
    rule('resolved', {}, { couldNotResolve: true, pathNot: '^(virtual:|pdfmake/interfaces)' }, 'Every import is found.'),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'default'],
      extensions: ['.ts', '.vue', '.js', '.mjs'],
    },
  },
};
