import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

const here = (path) => fileURLToPath(new URL(`../${path}`, import.meta.url));

/** Unit tests and the database tests that start no server: without SvelteKit, so that a fault costs seconds. */
export default defineConfig({
	root: here('.'),
	resolve: { alias: { $lib: here('src/lib'), '$app/environment': here('mutation/app-environment.mjs') } },
	test: {
		environment: 'node',
		pool: 'forks',
		fileParallelism: false,
		setupFiles: [process.env.DRAUGHT_REACH ? 'mutation/reach.mjs' : 'mutation/active.mjs'],
		include: ['src/**/*.test.ts', 'tests/adversary/{every-fact,one-door}.db.test.ts'],
		exclude: [
			'src/lib/server/backup/**',
			// What Svelte compiles, and what walks the tree itself.
			'src/lib/ui/**',
			'**/trust.test.ts',
			'**/string-cover.test.ts',
			'**/pieces.test.ts',
			'src/demo/picture.test.ts',
			'src/lib/core/{methods,examples}.test.ts'
		],
		testTimeout: 120_000,
		hookTimeout: 120_000
	}
});
