import { connect, createServer, type Server, type Socket } from 'node:net';

/** A way to a database that can be cut: now, or as soon as a statement has gone through to the server. */
export class CutProxy {
	readonly #server: Server;
	readonly #sockets = new Set<Socket>();
	#cutAfter: string | null = null;
	#refuses = false;

	private constructor(target: { host: string; port: number }) {
		this.#server = createServer((near) => {
			if (this.#refuses) return void near.destroy();
			const far = connect(target.port, target.host);
			for (const socket of [near, far]) {
				this.#sockets.add(socket);
				socket.on('error', () => undefined);
				socket.once('close', () => this.#sockets.delete(socket));
			}
			near.on('close', () => far.end());
			far.on('close', () => near.end());
			near.on('data', (bytes) => {
				far.write(bytes);
				if (this.#cutAfter === null || !bytes.toString('latin1').includes(this.#cutAfter)) return;
				this.#cutAfter = null;
				// The server's answer says that it has done it; only then is the way cut, so that the answer is lost, not the work.
				far.once('data', () => this.cut());
				this.#muted.add(near);
			});
			far.on('data', (bytes) => {
				if (!this.#muted.has(near)) near.write(bytes);
			});
		});
	}
	readonly #muted = new Set<Socket>();

	/** @returns the proxy and the address of the database behind it */
	static async before(databaseUrl: string): Promise<{ proxy: CutProxy; url: string }> {
		const url = new URL(databaseUrl);
		const proxy = new CutProxy({ host: url.hostname, port: Number(url.port) });
		await new Promise<void>((done) => proxy.#server.listen(0, '127.0.0.1', done));
		const address = proxy.#server.address();
		if (address === null || typeof address === 'string') throw new Error('no port');
		url.port = String(address.port);
		return { proxy, url: url.href };
	}

	cut(): void {
		for (const socket of this.#sockets) socket.destroy();
	}

	/** Cuts as soon as the server has answered a statement with these words; the answer itself is lost. */
	cutAfter(statement: string): void {
		this.#cutAfter = statement;
	}

	/** From now on nobody gets through. */
	close(): void {
		this.#refuses = true;
		this.#server.close();
		this.cut();
	}
}
