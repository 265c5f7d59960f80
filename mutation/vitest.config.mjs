import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

/** Core alone, without SvelteKit: with the application's config every mutant costs a minute and a half. */
export default defineConfig({
	resolve: { alias: { $lib: fileURLToPath(new URL('../src/lib', import.meta.url)) } },
	test: { environment: 'node', pool: 'threads', include: ['src/lib/core/**/*.test.ts'], testTimeout: 300_000 }
});
