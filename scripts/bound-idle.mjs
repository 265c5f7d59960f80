import { readFileSync } from 'node:fs';

/** What the server needs besides: files, the database, its own pipes. */
const OWN = 40;

/** As few as may idle where there is hardly a descriptor left. */
const FEWEST = 8;

/** How many connections may idle, by the number of descriptors this process may have. */
function mostIdle() {
	try {
		const limit = Number(/^Max open files\s+(\d+)/m.exec(readFileSync('/proc/self/limits', 'utf8'))?.[1] ?? 1024);
		return Math.max(FEWEST, Math.min(1000, Math.floor((limit - OWN) / 2)));
	} catch (error) {
		// No descriptor left to read it with; or not Linux, where the usual number is 1024.
		return /** @type {NodeJS.ErrnoException} */ (error).code === 'ENOENT' ? 492 : FEWEST;
	}
}

/**
 * Keeps the number of connections that ask nothing under a bound: a new one closes the one that has idled longest.
 * @param {import('node:http').Server} server
 */
export function boundIdle(server) {
	let most = mostIdle();
	let looked = performance.now();
	/** Oldest first: a Set keeps the order in which they came. @type {Set<import('node:net').Socket>} */
	const idle = new Set();
	const rest = (/** @type {import('node:net').Socket} */ socket) => {
		if (socket.destroyed) return;
		idle.delete(socket);
		idle.add(socket);
		trim();
	};
	const trim = () => {
		if (idle.size > FEWEST && performance.now() - looked > 100) {
			// The limit of a running process can be changed from outside, and other things take descriptors too.
			looked = performance.now();
			most = mostIdle();
		}
		for (const socket of idle) {
			if (idle.size <= most) return;
			idle.delete(socket);
			socket.destroy();
		}
	};

	server.on('connection', (socket) => {
		socket.once('close', () => idle.delete(socket));
		rest(socket);
	});
	server.on('request', (request, response) => {
		idle.delete(request.socket);
		response.once('close', () => rest(request.socket));
	});
	return { closeUnused: () => idle.forEach((socket) => socket.destroy()) };
}
