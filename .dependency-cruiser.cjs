/** The layers of core, lowest first: each imports itself and those below it. `joins` alone knows all stations. */
const CORE = ['kernel', 'record', 'judging', 'stations', 'joins', 'answers'];
/** The same of the server. Files and the API know every station; nobody knows them. */
const SERVER = ['base', 'backup', 'running', 'record', 'stations', 'answers', 'exchange', 'http'];

/** A layer of a part of the house imports none above it. */
const onlyDown = (part, layers) =>
	layers.slice(0, -1).map((layer, i) => ({
		name: `${part}-${layer}-only-down`,
		severity: 'error',
		from: { path: `^src/lib/${part}/${layer}/` },
		to: { path: `^src/lib/${part}/(${layers.slice(i + 1).join('|')})/` }
	}));

/** A part of the house imports these parts and no others. */
const only = (part, ...parts) => ({
	name: `${part}-imports-only-${parts.join('-')}`,
	severity: 'error',
	from: { path: `^src/lib/${part}/` },
	to: { path: '^src', pathNot: `^src/lib/(${parts.join('|')})/` }
});

/** Which imports there may be: no cycles, types included, neither of files nor of folders, and one direction from layer to layer. */
module.exports = {
	forbidden: [
		{
			name: 'no-cycles',
			comment: 'Two files that need each other are one idea in two places, or hold a third that both need.',
			severity: 'error',
			from: {},
			to: { circular: true }
		},
		{
			name: 'no-ring-of-folders',
			comment: 'Folders are layers: two that need each other are one, or hold a third that both need.',
			severity: 'error',
			scope: 'folder',
			from: {},
			to: { circular: true }
		},
		...onlyDown('core', CORE),
		...onlyDown('server', SERVER),
		only('core', 'core'),
		only('schemas', 'core', 'schemas'),
		only('words', 'core', 'schemas', 'words'),
		only('server', 'core', 'schemas', 'words', 'server', 'standins'),
		only('ui', 'core', 'schemas', 'words', 'ui', 'workers', 'standins'),
		only('workers', 'core', 'schemas', 'workers'),
		{
			name: 'demo-is-nobodys',
			comment: 'Made-up data come in through a task, never into what a tester runs.',
			severity: 'error',
			from: { path: '^src', pathNot: '^src/demo' },
			to: { path: '^src/demo' }
		}
	],
	options: {
		doNotFollow: { path: 'node_modules' },
		// Tests set up what they test from wherever it is; nothing imports them.
		exclude: { path: '(^|/)[$](app|env)|[$]types$|[.]test[.]ts$' },
		tsPreCompilationDeps: true,
		tsConfig: { fileName: 'tsconfig.json' },
		webpackConfig: { fileName: 'scripts/import-aliases.cjs' }
	}
};
