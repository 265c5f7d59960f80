// A request that is answered before its body was read keeps its connection blocked: what the client still sends stands in the way of its
// next request until a timeout. So the rest is read and thrown away, up to a limit; beyond it the connection is closed.

const LIMIT = 64 * 1024 * 1024;

/** @param {import('node:http').IncomingMessage} request @param {import('node:http').ServerResponse} response */
export function readThrough(request, response) {
	const end = response.end.bind(response);
	response.end = /** @type {typeof response.end} */ (
		(/** @type {any[]} */ ...given) => {
			if (request.complete || request.destroyed) return end(...given);
			discard(request);
			if (response.shouldKeepAlive) return end(...given);
			// A connection that is to be closed would be closed at the end of the answer, under a client that still sends, and the answer
			// be lost: so the end waits for the rest.
			request.once('close', () => end(...given));
			request.once('end', () => end(...given));
			return response;
		}
	);
}

/** @param {import('node:http').IncomingMessage} request */
function discard(request) {
	// Whoever read the body so far no longer wants it.
	request.removeAllListeners('data');
	let size = 0;
	request.on('data', (chunk) => {
		size += chunk.length;
		if (size > LIMIT) request.destroy();
	});
	request.resume();
	// Begun now, not a tick later, and to the end of what has arrived: Node drops the body of an answered request by itself, without a
	// limit, unless somebody has asked for more of it.
	while (request.read() !== null);
}
