import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

/** The pick is broken under the tests of its own folder: each of the others that draw one would take hours. */
const tests = process.env.DRAUGHT_MUTATE_PART === 'pick' ? 'answers/pick/*.test.ts' : '**/*.test.ts';

/** Core alone, without SvelteKit: with the application's config every mutant costs a minute and a half. */
export default defineConfig({
	resolve: { alias: { $lib: fileURLToPath(new URL('../src/lib', import.meta.url)) } },
	test: { environment: 'node', pool: 'threads', include: [`src/lib/core/${tests}`], testTimeout: 300_000 }
});
