// A request that is answered before its body was read keeps its connection blocked: what the client still sends stands in the way of its
// next request until a timeout. So the rest is read and thrown away, up to a limit; beyond it the connection is closed.

const LIMIT = 64 * 1024 * 1024;

/** @param {import('node:http').IncomingMessage} request @param {import('node:http').ServerResponse} response */
export function readThrough(request, response) {
	response.once('finish', () => {
		if (request.readableEnded || request.destroyed) return;
		// Whoever read the body so far no longer wants it.
		request.removeAllListeners('data');
		let size = 0;
		request.on('data', (chunk) => {
			size += chunk.length;
			if (size > LIMIT) request.destroy();
		});
		request.resume();
	});
}
