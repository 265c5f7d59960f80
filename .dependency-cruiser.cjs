/** Which imports there may be: no cycles, types included, and one direction from layer to layer. */
module.exports = {
	forbidden: [
		{
			name: 'no-cycles',
			comment: 'Two files that need each other are one idea in two places, or hold a third that both need.',
			severity: 'error',
			from: {},
			to: { circular: true }
		},
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
			from: { path: '^src/lib/server', pathNot: '[.]test[.]ts$' },
			to: { path: '^src/(routes|lib/(ui|workers))', pathNot: '^src/lib/ui/words' }
		},
		{
			name: 'words-import-no-interface',
			severity: 'error',
			from: { path: '^src/lib/ui/words', pathNot: '[.]test[.]ts$' },
			to: { path: '^src', pathNot: '^src/lib/(core|schemas|ui/words)' }
		}
	],
	options: {
		doNotFollow: { path: 'node_modules' },
		exclude: { path: '(^|/)[$](app|env)|[$]types$' },
		tsPreCompilationDeps: true,
		tsConfig: { fileName: 'tsconfig.json' },
		webpackConfig: { fileName: 'scripts/import-aliases.cjs' }
	}
};
