import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { FieldError } from '$lib/schemas/field-error';
import { clock } from '../form/clock';
import { send } from '../form/send';

export type OutboxItem = {
	id: string;
	path: string;
	body: Record<string, unknown>;
	madeAt: number;
	/** How far this device's clock was ahead of the server's when it was made, ms. */
	aheadMs?: number;
	refused: { title: string; errors: FieldError[] } | null;
};

interface OutboxSchema extends DBSchema {
	items: { key: string; value: OutboxItem; indexes: { madeAt: number } };
}

type Listener = () => void;

const RETRY_MS = 2000;

/**
 * What was captured and is not yet known to be kept. Every capture goes into IndexedDB first, is sent in order, and leaves when
 * the server has acknowledged it. Keyed by the server's own id, so that readings for the demo never reach real data.
 */
export class Outbox {
	#db: Promise<IDBPDatabase<OutboxSchema>>;
	#items: OutboxItem[] = [];
	#listeners = new Set<Listener>();
	#timer: ReturnType<typeof setTimeout> | null = null;
	#sending = false;
	/** The server asks for a login: until somebody has logged in, nothing goes out. */
	#locked = false;
	#name: string;

	constructor(serverId: string) {
		this.#name = `draught-${serverId}`;
		this.#db = openDB<OutboxSchema>(this.#name, 1, {
			upgrade: (db) => void db.createObjectStore('items', { keyPath: 'id' }).createIndex('madeAt', 'madeAt')
		});
	}

	get items(): readonly OutboxItem[] {
		return this.#items;
	}

	get locked(): boolean {
		return this.#locked;
	}

	/** Loads what an earlier page left behind and begins to send. */
	async start(): Promise<void> {
		await this.#refresh();
		void this.#drain();
	}

	subscribe(listener: Listener): () => void {
		this.#listeners.add(listener);
		return () => this.#listeners.delete(listener);
	}

	/** Puts a capture away safely. Resolves once it is stored on this device; sending goes on by itself. */
	async put(path: string, body: Record<string, unknown> & { id: string }): Promise<void> {
		const item: OutboxItem = { id: body.id, path, body, madeAt: Date.now(), aheadMs: clock.aheadMs, refused: null };
		await (await this.#db).put('items', item);
		await this.#refresh();
		void this.#drain();
	}

	/** Sends a capture again that was refused for lying in the future: with the server's time, this device's own kept beside. */
	async redate(id: string): Promise<void> {
		const db = await this.#db;
		const item = await db.get('items', id);
		if (!item) return;
		const earlier = (text: unknown) => (typeof text === 'string' ? new Date(Date.parse(text) - clock.aheadMs).toISOString() : text);
		const { at, takenAt, ...rest } = item.body;
		const dated = { ...(at === undefined ? {} : { at: earlier(at) }), ...(takenAt === undefined ? {} : { takenAt: earlier(takenAt) }) };
		await db.put('items', { ...item, body: { ...rest, ...dated }, aheadMs: clock.aheadMs, refused: null });
		await this.#refresh();
		void this.#drain();
	}

	/** Drops a capture that the server refused; the tester said so. */
	async drop(id: string): Promise<void> {
		await (await this.#db).delete('items', id);
		await this.#refresh();
	}

	async #refresh(): Promise<void> {
		this.#items = await (await this.#db).getAllFromIndex('items', 'madeAt');
		for (const listener of this.#listeners) listener();
	}

	/** One sender at a time, over all tabs of this browser: order is kept and nothing is sent twice at once. */
	async #drain(): Promise<void> {
		if (this.#sending) return;
		this.#sending = true;
		try {
			await navigator.locks.request(`${this.#name}-outbox`, () => this.#sendAll());
		} finally {
			this.#sending = false;
		}
		await this.#refresh();
		const waiting = this.#items.some((i) => !i.refused);
		if (waiting && this.#timer === null)
			this.#timer = setTimeout(() => {
				this.#timer = null;
				void this.#drain();
			}, RETRY_MS);
	}

	async #sendAll(): Promise<void> {
		for (;;) {
			const next = (await (await this.#db).getAllFromIndex('items', 'madeAt')).find((i) => !i.refused);
			if (!next) return;
			const sent = await send(next.path, next.body, next.aheadMs ?? 0);
			const db = await this.#db;
			this.#locked = !sent.ok && sent.status === 401;
			if (sent.ok) await db.delete('items', next.id);
			// No answer, a server error, a missing login or too many tries of one: try later. A refusal stays, with its reason, until the tester decides.
			else if (sent.status === 0 || sent.status >= 500 || sent.status === 401 || sent.status === 429) return;
			else await db.put('items', { ...next, refused: { title: sent.title, errors: sent.errors } });
			await this.#refresh();
		}
	}
}
