/** The range of so many draws is told to a tenth of a point; more make it no truer. */
const ENOUGH = 20_000;

const BINS = 1000;

type Sum = { total: number; count: number };

/** What a candidate came to in all draws so far. */
export class Tally {
	readonly #blocks = new Map<string, Float64Array[]>();
	readonly #sums = new Map<string, Sum>();

	/**
	 * The mean of some more draws of something.
	 * @param draws how many
	 * @example new Tally().add('overhang', 0.5, 2) // undefined
	 */
	add(what: string, mean: number, draws: number): void {
		const sum = this.#sums.get(what);
		if (sum) {
			sum.total += mean * draws;
			sum.count += draws;
		} else this.#sums.set(what, { total: mean * draws, count: draws });
	}

	/**
	 * Some more draws of something of which each draw is asked for; they must not be changed afterwards.
	 * @example new Tally().keep('inTiers', Float64Array.of(0.4, 0.6)) // undefined
	 */
	keep(what: string, values: Float64Array): void {
		const blocks = this.#blocks.get(what);
		if (blocks) blocks.push(values);
		else this.#blocks.set(what, [values]);
	}

	/**
	 * The same, as many as a range needs.
	 * @example new Tally().keepForRange('worth', Float64Array.of(0.4, 0.6)) // undefined
	 */
	keepForRange(what: string, values: Float64Array): void {
		const kept = this.#blocks.get(what)?.reduce((length, block) => length + block.length, 0) ?? 0;
		if (kept < ENOUGH) this.keep(what, values);
	}

	/**
	 * The draws of something that was kept, in the blocks they came in.
	 * @example new Tally().blocks('inTiers').length // 0
	 */
	blocks(what: string): readonly Float64Array[] {
		return this.#blocks.get(what) ?? [];
	}

	/**
	 * The draws of something that was kept; empty where nothing was.
	 * @param most leave out what comes after so many
	 * @example new Tally().all('worth').length // 0
	 */
	all(what: string, most = Infinity): Float64Array {
		const blocks = this.#blocks.get(what) ?? [];
		const kept = blocks.reduce((length, b) => length + b.length, 0);
		const whole = new Float64Array(Math.min(most, kept));
		let at = 0;
		for (const block of blocks) {
			whole.set(block.subarray(0, whole.length - at), at);
			at += Math.min(block.length, whole.length - at);
		}
		return whole;
	}

	/**
	 * Mean of all draws of something; null where there are none.
	 * @example new Tally().mean('worth') // null
	 */
	mean(what: string): number | null {
		const sum = this.#sums.get(what);
		return sum ? sum.total / sum.count : null;
	}

	/**
	 * The middle 95 % of the draws of something that was kept, of the first 20,000 if there are more; null where nothing was.
	 * @example new Tally().range('worth') // null
	 */
	range(what: string): { low: number; high: number } | null {
		const all = this.all(what, ENOUGH);
		if (all.length === 0) return null;
		const [low, high] = leastAfter(
			all,
			[0.025, 0.975].map((p) => Math.min(all.length - 1, Math.floor(p * all.length)))
		) as [number, number];
		return { low, high };
	}

	/**
	 * The same of values from 0 to 1, to a tenth of a point of 100: counted into bins, which for some hundred of them is many times quicker.
	 * @example new Tally().rangeOfValues('family.looks') // null
	 */
	rangeOfValues(what: string): { low: number; high: number } | null {
		const bins = new Uint32Array(BINS + 1);
		let count = 0;
		for (const block of this.#blocks.get(what) ?? []) {
			count += block.length;
			for (let d = 0; d < block.length; d++) {
				const bin = ((block[d] as number) * BINS + 0.5) | 0;
				bins[bin] = (bins[bin] as number) + 1;
			}
		}
		if (count === 0) return null;
		const at = (p: number) => binAfter(bins, Math.floor(p * count)).bin / BINS;
		return { low: at(0.025), high: at(0.975) };
	}
}

/** The bin of the value that so many others stay below, and how many of these are in it too. */
function binAfter(counts: Uint32Array, below: number): { bin: number; left: number } {
	let bin = 0;
	let left = below;
	while (left >= (counts[bin] as number)) left -= counts[bin++] as number;
	return { bin, left };
}

/**
 * The values that so many others stay below: counted into bins, and only their own bins sorted. Sorting all of them takes most of a long draw.
 */
function leastAfter(all: Float64Array, before: readonly number[]): number[] {
	let [low, high] = [Infinity, -Infinity];
	for (let d = 0; d < all.length; d++) {
		const of = all[d] as number;
		if (of < low) low = of;
		if (of > high) high = of;
	}
	const perUnit = high > low ? BINS / (high - low) : 0;
	const counts = new Uint32Array(BINS + 1);
	const bins = new Uint16Array(all.length);
	for (let d = 0; d < all.length; d++) {
		const bin = (((all[d] as number) - low) * perUnit) | 0;
		bins[d] = bin;
		counts[bin] = (counts[bin] as number) + 1;
	}
	return before.map((below) => {
		const { bin, left } = binAfter(counts, below);
		const alike: number[] = [];
		for (let d = 0; d < bins.length; d++) if (bins[d] === bin) alike.push(all[d] as number);
		return Float64Array.from(alike).sort()[left] as number;
	});
}
