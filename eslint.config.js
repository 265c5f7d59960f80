import { docComments } from './scripts/lint-doc-comments.mjs';
import { pageScripts } from './scripts/lint-page-scripts.mjs';
import js from '@eslint/js';
import { defineConfig, includeIgnoreFile } from 'eslint/config';
import prettier from 'eslint-config-prettier';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import { fileURLToPath } from 'node:url';
import ts from 'typescript-eslint';
import svelteConfig from './svelte.config.js';

const gitignore = fileURLToPath(new URL('./.gitignore', import.meta.url));

/** Core computes: it knows no interface, no database, no clock and no I/O. */
const coreImports = {
	patterns: [
		{ group: ['svelte', 'svelte/*', '$app/*', '$env/*', 'chart.js', 'chartjs-*', 'flowbite*'], message: 'core knows no interface' },
		{ group: ['drizzle-orm*', 'mysql2*', '$lib/server/*', '**/server/**', 'node:*', 'idb'], message: 'core knows no database and no I/O' },
		{
			group: ['$lib/ui/*', '$lib/workers/*', '**/ui/**', '**/workers/**', '$lib/schemas/*', '**/schemas/**'],
			message: 'data goes one way: core imports only core'
		}
	]
};

export default defineConfig(
	includeIgnoreFile(gitignore),
	js.configs.recommended,
	...ts.configs.recommendedTypeChecked,
	...svelte.configs.recommended,
	prettier,
	...svelte.configs.prettier,
	{
		languageOptions: {
			globals: { ...globals.browser, ...globals.node },
			parserOptions: { projectService: true, extraFileExtensions: ['.svelte'] }
		},
		rules: {
			'no-undef': 'off',
			eqeqeq: ['error', 'always', { null: 'ignore' }],
			'no-console': ['error', { allow: ['error', 'warn'] }],
			'@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
			'@typescript-eslint/consistent-type-imports': 'error',
			'@typescript-eslint/switch-exhaustiveness-check': ['error', { considerDefaultExhaustiveForUnions: true }],
			complexity: ['error', 20],
			'max-depth': ['error', 4],
			'max-params': ['error', 6],
			'max-lines': ['error', { max: 450, skipBlankLines: true, skipComments: true }],
			// A station's messages join the list of all by extending it (core/judging/finding/message).
			'@typescript-eslint/no-empty-object-type': ['error', { allowInterfaces: 'with-single-extends' }],
			'@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }]
		}
	},
	{
		files: ['**/*.svelte', '**/*.svelte.ts'],
		languageOptions: { parserOptions: { projectService: true, extraFileExtensions: ['.svelte'], parser: ts.parser, svelteConfig } },
		rules: {
			// The application is always served from the root of its own origin.
			'svelte/no-navigation-without-resolve': 'off',
			// Sets, dates and addresses made and thrown away inside a function are no state.
			'svelte/prefer-svelte-reactivity': 'off',
			// Handlers in markup are typed by Svelte, which this parser does not see; svelte-check does.
			'@typescript-eslint/no-unsafe-argument': 'off',
			'@typescript-eslint/no-unsafe-assignment': 'off',
			'@typescript-eslint/no-unsafe-call': 'off',
			'@typescript-eslint/no-unsafe-member-access': 'off',
			'@typescript-eslint/no-unsafe-return': 'off'
		}
	},
	{
		files: ['src/routes/**/+page.svelte'],
		plugins: { pages: { rules: { 'page-scripts': pageScripts } } },
		rules: { 'pages/page-scripts': 'error' }
	},
	{
		files: ['**/*.js', '**/*.mjs', '**/*.cjs'],
		extends: [ts.configs.disableTypeChecked],
		// No compiler reads these.
		rules: { 'no-undef': 'error' }
	},
	{
		files: ['**/*.cjs'],
		rules: { '@typescript-eslint/no-require-imports': 'off' }
	},
	{
		files: ['scripts/**', 'mutation/**', 'tests/**', '**/*.test.ts'],
		rules: { 'no-console': 'off', complexity: 'off' }
	},
	{
		files: ['src/lib/core/**/*.ts'],
		ignores: ['src/lib/core/**/*.test.ts'],
		rules: {
			'no-restricted-imports': ['error', coreImports],
			'no-restricted-globals': [
				'error',
				'window',
				'document',
				'fetch',
				'process',
				'localStorage',
				'setTimeout',
				'setInterval',
				'performance',
				'crypto'
			],
			'no-restricted-properties': [
				'error',
				{ object: 'Date', property: 'now', message: 'core is given the time' },
				{ object: 'Math', property: 'random', message: 'core draws from a seeded source' }
			],
			'no-restricted-syntax': [
				'error',
				{ selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: 'core is given the time' }
			]
		}
	},
	{
		files: ['src/lib/core/**/*.ts'],
		ignores: ['src/lib/core/**/*.test.ts'],
		plugins: { draught: { rules: { 'doc-comments': docComments } } },
		rules: { 'draught/doc-comments': 'error' }
	},
	{
		// One place asks the library; everything else of core asks that.
		files: ['src/lib/core/**/*.ts'],
		ignores: ['src/lib/core/kernel/stats/distributions.ts', 'src/lib/core/kernel/stats/additive-effects.ts', 'src/lib/core/**/*.test.ts'],
		rules: {
			'@typescript-eslint/no-restricted-imports': [
				'error',
				{ paths: [{ name: 'jstat', message: 'distributions come from core/kernel/stats/distributions' }] }
			]
		}
	},
	{
		files: ['src/routes/**', 'src/lib/ui/**', 'src/lib/workers/**', 'src/lib/schemas/**'],
		rules: {
			'no-restricted-imports': [
				'error',
				{
					patterns: [
						{
							group: ['drizzle-orm*', 'mysql2*', '**/server/base/db/*', '$lib/server/base/db/*'],
							message: 'only src/lib/server speaks to the database'
						}
					]
				}
			]
		}
	},
	{
		// A list of tables, whatever its length.
		files: ['src/lib/server/base/db/schema.ts'],
		rules: { 'max-lines': 'off' }
	},
	{
		// A refusal is a code with its parameters (schemas/refusals); its words are in words.
		files: ['src/lib/schemas/**', 'src/lib/server/**'],
		ignores: ['src/lib/server/base/config.ts', '**/*.test.ts'],
		rules: {
			'no-restricted-syntax': [
				'error',
				{
					selector: "Property[key.name='error'][value.type=/^(Literal|TemplateLiteral)$/]",
					message: 'refuse by a code: saying(code, params)'
				}
			]
		}
	},
	{
		// An entry keeps its id through retries: only the form helper, the outbox and the senders of files make one.
		files: ['src/routes/**', 'src/lib/ui/**'],
		ignores: [
			'src/lib/ui/form/**',
			'src/lib/ui/bench/**',
			'src/lib/ui/photos/send-photo.ts',
			'src/lib/ui/diameter/gauge-upload.svelte.ts',
			'src/lib/ui/diameter/live-log.svelte.ts',
			'src/lib/ui/backup/restoring.svelte.ts'
		],
		rules: {
			'@typescript-eslint/no-restricted-imports': [
				'error',
				{
					patterns: [
						{
							group: ['**/form/send'],
							importNames: ['send'],
							message: 'send through Form (ui/form/form.svelte.ts), so that a retry doubles nothing'
						},
						{ group: ['uuid'], message: 'ids of entries are made by Form or by the outbox' }
					]
				}
			],
			'no-restricted-syntax': [
				'error',
				{
					selector: "CallExpression[callee.name='fetch'] Property[key.name='method'][value.value!='GET']",
					message: 'write through Form (ui/form/form.svelte.ts)'
				}
			]
		}
	}
);
