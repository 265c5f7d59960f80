import { untrack } from 'svelte';

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/**
 * A form over values that others may change too. It knows what was changed here and what that stood at when it was seen, so that only
 * changes are sent, with what they were changed from; and it takes over what others change in fields nobody touched here.
 */
export class Edited<T extends Record<string, unknown>> {
	typed = $state() as T;
	/** What each field stood at when it was shown. */
	#seen = $state.raw() as T;

	constructor(now: T) {
		this.typed = { ...now };
		this.#seen = now;
	}

	/** The names of fields that were changed here. */
	get names(): (keyof T & string)[] {
		return Object.keys(this.#seen).filter((name) => !same(this.typed[name], this.#seen[name]));
	}

	/** What was changed here. */
	get changed(): Partial<T> {
		return this.#only(this.#plain());
	}

	/** What the changed fields stood at. */
	get seen(): Partial<T> {
		return this.#only(this.#seen);
	}

	/** The page was loaded anew: fields that were not touched show what stands there now. */
	follow(now: T): void {
		untrack(() => {
			const touched = new Set<string>(this.names);
			const keep = (of: T): T => ({ ...now, ...Object.fromEntries([...touched].map((name) => [name, of[name]])) });
			const [typed, seen] = [keep(this.#plain()), keep(this.#seen)];
			this.#seen = seen;
			this.typed = typed;
		});
	}

	/** Saved, or told what others changed: what stands there now has been seen; what was typed stays. */
	settle(now: T): void {
		this.#seen = now;
	}

	/** What is typed, as it is sent: no page watches it. */
	#plain(): T {
		return JSON.parse(JSON.stringify(this.typed)) as T;
	}

	#only(of: T): Partial<T> {
		const changed: Partial<T> = {};
		for (const name of this.names) changed[name] = of[name];
		return changed;
	}
}
