// The web server: node scripts/web.mjs, with PORT, HOST and the variables of src/lib/server/base/config.ts. Wraps the built application with
// what belongs before it: compression, and reading to the end what a refused request still sends.
import compression from 'compression';
import { createServer } from 'node:http';
import { boundIdle } from './bound-idle.mjs';
import { readThrough } from './read-through.mjs';

/** @typedef {(request: import('node:http').IncomingMessage, response: import('node:http').ServerResponse) => void} Handler */
const built = /** @type {{ handler: Handler }} */ (await import(new URL('../build/handler.js', import.meta.url).href));

const compress = /** @type {any} */ (compression());
const server = createServer((request, response) => {
	readThrough(request, response);
	compress(request, response, () => built.handler(request, response));
});

// A connection that asks nothing holds a descriptor, of which there are only so many: those that idle longest make room for new ones.
const bounded = boundIdle(server);
// A fault of one request ends that request, not everybody's.
process.on('unhandledRejection', (cause) => console.error(cause));
// Who begins a request and does not go on is not waited for.
server.headersTimeout = 10_000;
server.requestTimeout = 120_000;

const host = process.env.HOST || '0.0.0.0';
const port = Number(process.env.PORT || 3000);
server.on('error', (error) => {
	console.error(`draught: cannot listen on ${host}:${port}: ${error.message}`);
	process.exit(1);
});
server.listen({ host, port }, () => console.log(`draught: listening on ${host}:${port}`));

/** Lets requests under way end, closes what idles, and after SHUTDOWN_TIMEOUT seconds everything else. */
let stopping = false;
function stop() {
	if (stopping) return;
	stopping = true;
	const late = setTimeout(() => server.closeAllConnections(), Number(process.env.SHUTDOWN_TIMEOUT || 30) * 1000);
	server.on('request', (request) => request.on('close', () => server.closeIdleConnections()));
	server.close(() => {
		clearTimeout(late);
		process.emit(/** @type {any} */ ('sveltekit:shutdown'), 'SIGTERM');
	});
	server.closeIdleConnections();
	bounded.closeUnused();
}
process.on('SIGTERM', stop);
process.on('SIGINT', stop);
