import { SvelteSet } from 'svelte/reactivity';
import { Outbox, type OutboxItem } from './outbox';

/** The outbox of this page as state the interface can watch. */
class OutboxState {
	items = $state.raw<readonly OutboxItem[]>([]);
	/** Whether what an earlier page left behind has been looked for. */
	known = $state(false);
	/** Whether what waits waits for a login. */
	locked = $state(false);
	/** Ids of refused captures the tester let go of: they never were readings. */
	dropped = new SvelteSet<string>();
	#outbox: Outbox | null = null;
	#putting = new SvelteSet<string>();

	/** Called once by the shell, with the id of the server the page came from. */
	open(serverId: string): void {
		if (this.#outbox) return;
		const outbox = new Outbox(serverId);
		this.#outbox = outbox;
		outbox.subscribe(() => {
			this.items = [...outbox.items];
			this.known = true;
			this.locked = outbox.locked;
		});
		void outbox.start();
	}

	async put(path: string, body: Record<string, unknown> & { id: string }): Promise<void> {
		if (!this.#outbox) throw new Error('the outbox is not open yet');
		// Counted from the key press on, not only from when the device has stored it.
		this.#putting.add(body.id);
		try {
			await this.#outbox.put(path, body);
		} finally {
			this.#putting.delete(body.id);
		}
	}

	async drop(id: string): Promise<void> {
		this.dropped.add(id);
		await this.#outbox?.drop(id);
	}

	async redate(id: string): Promise<void> {
		await this.#outbox?.redate(id);
	}

	get waiting(): number {
		const stored = this.items.filter((i) => !i.refused);
		return stored.length + [...this.#putting].filter((id) => !stored.some((i) => i.id === id)).length;
	}

	get refused(): readonly OutboxItem[] {
		return this.items.filter((i) => i.refused);
	}
}

export const outbox = new OutboxState();
