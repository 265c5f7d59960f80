import { PARTS } from './parts.mjs';

const part = process.env.DRAUGHT_MUTATE_PART ?? 'finding';
const files = PARTS[part];
if (!files) throw new Error(`no such part: ${part}; there are ${Object.keys(PARTS).join(', ')}`);

/** @type {import('@stryker-mutator/api/core').PartialStrykerOptions} */
export default {
	packageManager: 'npm',
	plugins: ['@stryker-mutator/vitest-runner'],
	testRunner: 'vitest',
	vitest: { configFile: 'mutation/vitest.config.mjs' },
	tsconfigFile: 'mutation/tsconfig.json',
	mutate: [...files.map((file) => `src/lib/core/${file}`), '!src/lib/core/**/*.test.ts'],
	coverageAnalysis: 'perTest',
	// A fault in a constant wants every test that loads it: hours for these two.
	ignoreStatic: ['pick', 'posterior'].includes(part),
	concurrency: 2,
	reporters: ['clear-text', 'json'],
	jsonReporter: { fileName: `.cache/mutation/${part}.json` },
	clearTextReporter: { allowColor: false, logTests: false },
	tempDirName: '.cache/stryker',
	ignorePatterns: [
		'!.svelte-kit',
		'/build',
		'/docs/decisions',
		'/docs/screenshots',
		'/static',
		'/drizzle',
		'/src/routes',
		'/src/lib/server',
		'/src/lib/ui',
		'/tests/e2e',
		'/tests/adversary'
	],
	// A text that nobody reads (method, source) is no behaviour.
	mutator: { excludedMutations: ['StringLiteral'] },
	disableTypeChecks: false
};
