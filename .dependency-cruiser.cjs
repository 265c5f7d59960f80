/** The layers of core, lowest first: each imports itself and those below it. */
const CORE = ['kernel', 'record', 'judging', 'stations', 'joins', 'answers'];

/** A layer of a part of the house imports none above it. */
const onlyDown = (part, layers) =>
	layers.slice(0, -1).map((layer, i) => ({
		name: `${part}-${layer}-only-down`,
		severity: 'error',
		from: { path: `^src/lib/${part}/${layer}/` },
		to: { path: `^src/lib/${part}/(${layers.slice(i + 1).join('|')})/` }
	}));

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
			from: { path: '^src/lib/core' },
			to: { circular: true }
		},
		...onlyDown('core', CORE),
		{ name: 'core-imports-core', severity: 'error', from: { path: '^src/lib/core' }, to: { path: '^src', pathNot: '^src/lib/core' } },
		{
			name: 'schemas-import-core',
			severity: 'error',
			from: { path: '^src/lib/schemas' },
			to: { path: '^src', pathNot: '^src/lib/(core|schemas)' }
		},
		{
			name: 'server-imports-no-pages',
			comment: 'Of the interface the server has the words alone: at its door, ids become sentences.',
			severity: 'error',
			from: { path: '^src/lib/server' },
			to: { path: '^src/(routes|lib/(ui|workers))', pathNot: '^src/lib/words' }
		},
		{
			name: 'words-import-no-interface',
			severity: 'error',
			from: { path: '^src/lib/words' },
			to: { path: '^src', pathNot: '^src/lib/(core|schemas|words)' }
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
