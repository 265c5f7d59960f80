import { mean } from 'd3-array';

/** What a candidate came to in all draws so far. */
export class Tally {
	readonly #places: Float64Array;
	readonly #blocks = new Map<string, Float64Array[]>();

	constructor(candidates: number) {
		this.#places = new Float64Array(candidates);
	}

	/**
	 * One draw's place; ties share the places they cover in equal parts.
	 * @param before how many candidates stood before this one
	 * @param alike how many stood where it stands, itself among them
	 * @example new Tally(2).addPlace(0, 1)
	 */
	addPlace(before: number, alike: number): void {
		for (let place = before; place < before + alike; place++) this.#places[place] = (this.#places[place] as number) + 1 / alike;
	}

	/**
	 * Some more draws of something.
	 * @example new Tally(2).add('worth', Float64Array.of(0.4, 0.6))
	 */
	add(what: string, values: Float64Array): void {
		const blocks = this.#blocks.get(what);
		if (blocks) blocks.push(values);
		else this.#blocks.set(what, [values]);
	}

	/**
	 * All draws of something; empty where nothing was added.
	 * @example new Tally(2).all('worth').length // 0
	 */
	all(what: string): Float64Array {
		const blocks = this.#blocks.get(what) ?? [];
		if (blocks.length === 1) return blocks[0] as Float64Array;
		const whole = new Float64Array(blocks.reduce((length, b) => length + b.length, 0));
		let at = 0;
		for (const block of blocks) {
			whole.set(block, at);
			at += block.length;
		}
		return whole;
	}

	/**
	 * Mean of all draws of something; null where there are none.
	 * @example new Tally(2).mean('worth') // null
	 */
	mean(what: string): number | null {
		return mean(this.all(what)) ?? null;
	}

	/**
	 * The middle 95 % of the draws of something; null where there are none.
	 * @example new Tally(2).range('worth') // null
	 */
	range(what: string): { low: number; high: number } | null {
		const ordered = this.all(what).slice().sort();
		if (ordered.length === 0) return null;
		const at = (p: number) => ordered[Math.min(ordered.length - 1, Math.floor(p * ordered.length))] as number;
		return { low: at(0.025), high: at(0.975) };
	}

	/**
	 * The share of draws in each place, the first one first.
	 * @param draws how many there were
	 * @example new Tally(2).places(10) // [0, 0]
	 */
	places(draws: number): number[] {
		return Array.from(this.#places, (count) => count / draws);
	}
}
