import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';

/** What runs before and beside the server, built as the server is: at run time nothing of the development's packages is needed. */
const TASKS = ['migrate', 'seed-demo', 'reset-demo', 'backup', 'restore', 'learn-priors', 'keep-listings', 'keep-backup'];

/** @param {string} path */
const here = (path) => fileURLToPath(new URL(path, import.meta.url));

export default defineConfig({
	root: here('..'),
	publicDir: false,
	resolve: { alias: { $lib: here('../src/lib') } },
	build: {
		ssr: true,
		target: 'node20',
		outDir: 'build/tasks',
		emptyOutDir: true,
		minify: false,
		rolldownOptions: { input: Object.fromEntries(TASKS.map((task) => [task, here(`tasks/${task}.ts`)])) }
	}
});
