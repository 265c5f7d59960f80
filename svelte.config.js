import { randomUUID } from 'node:crypto';
import adapter from '@sveltejs/adapter-node';
import { vitePreprocess } from '@sveltejs/vite-plugin-svelte';

/** @type {import('@sveltejs/kit').Config} */
export default {
	preprocess: vitePreprocess(),
	compilerOptions: { runes: ({ filename }) => (filename.includes('node_modules') ? undefined : true) },
	kit: {
		adapter: adapter(),
		// A name that tells builds apart and nothing else; one build reads this file several times.
		version: { name: (process.env.DRAUGHT_BUILD ??= randomUUID()) },
		// The guard checks the origin of every write, and refuses in the words of the API (src/lib/server/http/guard.ts).
		csrf: { trustedOrigins: ['*'] },
		csp: {
			mode: 'auto',
			directives: {
				'default-src': ['self'],
				'script-src': ['self'],
				'worker-src': ['self'],
				// Widths and colours of figures are set as style attributes, which no nonce can cover.
				'style-src': ['self', 'unsafe-inline'],
				'img-src': ['self', 'data:', 'blob:'],
				'object-src': ['none'],
				'base-uri': ['none'],
				'form-action': ['self'],
				'frame-ancestors': ['none']
			}
		}
	}
};
