import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import type { Plugin } from 'vite';
import { defineConfig } from 'vitest/config';

/** Pages share their script in fewer, larger files: a slow phone spends longer on forty small requests than on what is in them. */
const fewerFiles: Plugin = {
	name: 'fewer-files',
	applyToEnvironment: ({ name }) => name === 'client',
	outputOptions: (options) => ({
		...options,
		// A shared file is called after all that share it, with slashes in between; styles so called would look for their fonts elsewhere.
		assetFileNames: '_app/immutable/assets/[hash][extname]',
		codeSplitting: {
			groups: [
				{ name: 'everywhere', minShareCount: 30, priority: 3 },
				{ name: 'often', minShareCount: 10, priority: 2 },
				{ name: 'sometimes', minShareCount: 4, priority: 1 }
			]
		}
	})
};

/** A browser that knows the hint compiles a page's functions while they come in, beside the page and not in the task that makes it work (decision 0043). */
const compiledAsItComes: Plugin = {
	name: 'compiled-as-it-comes',
	applyToEnvironment: ({ name }) => name === 'client',
	generateBundle: {
		order: 'post',
		handler: (_, bundle) => {
			for (const file of Object.values(bundle)) if (file.type === 'chunk') file.code = `//# allFunctionsCalledOnLoad\n${file.code}`;
		}
	}
};

export default defineConfig({
	plugins: [tailwindcss(), sveltekit(), fewerFiles, compiledAsItComes],
	worker: { format: 'es' },
	// Flowbite's modules do nothing when loaded but do not say so: without this a page carries all of its components for the few it uses.
	build: { rolldownOptions: { treeshake: { moduleSideEffects: (id) => !id.includes('/node_modules/flowbite-svelte/') } } },
	optimizeDeps: {
		include: [
			'comlink',
			'jstat',
			'pure-rand/generator/xoroshiro128plus',
			'd3-random',
			'd3-array',
			'js-quantities',
			'zod',
			'idb',
			'uuid',
			'fflate',
			'manifold-3d'
		]
	},
	test: {
		// Only where it is asked for (--coverage), as npm test does; the limits are in scripts/closing-line.mjs.
		coverage: {
			provider: 'v8',
			include: ['src/lib/core/**/*.ts', 'src/lib/server/**/*.ts'],
			exclude: ['**/*.test.ts'],
			reporter: ['json-summary'],
			// One failed test is one failure, not two: what is covered is told all the same.
			reportOnFailure: true,
			reportsDirectory: '.cache/coverage'
		},
		projects: [
			{
				extends: true,
				test: {
					name: 'core',
					environment: 'node',
					// Core is pure: its tests share one module graph, which is read once and not once a file.
					pool: 'threads',
					isolate: false,
					testTimeout: 300_000,
					include: ['src/lib/core/**/*.test.ts']
				}
			},
			{
				extends: true,
				test: {
					name: 'unit',
					environment: 'node',
					isolate: false,
					// Limits are for what hangs; how fast a machine is must not matter.
					testTimeout: 300_000,
					include: ['src/**/*.test.ts', 'scripts/**/*.test.ts'],
					exclude: ['**/*.db.test.ts', 'src/lib/core/**']
				}
			},
			{
				extends: true,
				test: {
					name: 'db',
					environment: 'node',
					include: ['src/**/*.db.test.ts', 'tests/adversary/*.db.test.ts'],
					pool: 'forks',
					isolate: false,
					fileParallelism: false,
					// Limits are for what hangs; how fast a machine is must not matter.
					testTimeout: 300_000,
					hookTimeout: 300_000
				}
			}
		]
	}
});
