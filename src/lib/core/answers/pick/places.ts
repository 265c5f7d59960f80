/** Who came to stand in which place, draw by draw. */
export class Places {
	/** Of each candidate how often it stood in each place, all in one list. */
	readonly #counts: Float64Array;
	readonly #candidates: number;

	constructor(candidates: number) {
		this.#candidates = candidates;
		this.#counts = new Float64Array(candidates * candidates);
	}

	/**
	 * Counts some more draws; equals share the places they cover in equal parts. The last few bits of a standing do not count.
	 * @param standing one list a candidate, the higher the better; no NaN
	 * @example new Places(2).add([Float64Array.of(0.4), Float64Array.of(0.6)]) // undefined
	 */
	add(standing: readonly Float64Array[]): void {
		const n = this.#candidates;
		const counts = this.#counts;
		const row = new Float64Array(n);
		const words = new Int32Array(row.buffer);
		const bits = new BigInt64Array(row.buffer);
		const most = 2 ** Math.ceil(Math.log2(Math.max(2, n))) - 1;
		const draws = standing[0]?.length ?? 0;
		for (let d = 0; d < draws; d++) {
			for (let i = 0; i < n; i++) {
				// Nothing and minus nothing are one standing.
				row[i] = ((standing[i] as Float64Array)[d] as number) + 0;
				if ((words[HIGH + 2 * i] as number) < 0) turn(words, i);
				// Whose standing it is takes the last bits of the number itself: so the row can be sorted as plain numbers, many times quicker,
				// and as whole ones, which takes two thirds of the time.
				words[LOW + 2 * i] = ((words[LOW + 2 * i] as number) & ~most) | i;
			}
			bits.sort();
			let last = n - 1;
			while (last >= 0) {
				let next = last - 1;
				while (next >= 0 && equal(words, next, last, most)) next--;
				if (next < last - 1) this.#share(words, next, last, most);
				else {
					const at = ((words[LOW + 2 * last] as number) & most) * n + n - 1 - last;
					counts[at] = (counts[at] as number) + 1;
				}
				last = next;
			}
		}
	}

	/** Those of a sorted row after one and up to another stand alike. */
	#share(words: Int32Array, after: number, upTo: number, most: number): void {
		const n = this.#candidates;
		const part = 1 / (upTo - after);
		for (let k = upTo; k > after; k--) {
			const first = ((words[LOW + 2 * k] as number) & most) * n;
			for (let place = n - 1 - upTo; place < n - 1 - after; place++)
				this.#counts[first + place] = (this.#counts[first + place] as number) + part;
		}
	}

	/**
	 * The share of draws in which one stood in each place, the first place first.
	 * @param i which candidate
	 * @param draws how many there were
	 * @example new Places(2).of(0, 10) // [0, 0]
	 */
	of(i: number, draws: number): number[] {
		const n = this.#candidates;
		return Array.from(this.#counts.subarray(i * n, (i + 1) * n), (count) => count / draws);
	}
}

/** Which of the two words of a number holds its last bits. */
const LOW = new Uint8Array(Uint16Array.of(1).buffer)[0] === 1 ? 0 : 1;

const HIGH = 1 - LOW;

/** The bits of a negative number turned, so that those of any two numbers, read as whole ones, are in the order of the numbers. */
function turn(words: Int32Array, i: number): void {
	words[HIGH + 2 * i] = (words[HIGH + 2 * i] as number) ^ 0x7fffffff;
	words[LOW + 2 * i] = ~(words[LOW + 2 * i] as number);
}

function equal(words: Int32Array, a: number, b: number, most: number): boolean {
	return words[HIGH + 2 * a] === words[HIGH + 2 * b] && ((words[LOW + 2 * a] as number) ^ (words[LOW + 2 * b] as number)) >>> 0 <= most;
}
