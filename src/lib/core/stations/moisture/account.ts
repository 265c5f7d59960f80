import { nth } from '../../kernel/lists/nth';
import { tQuantile } from '../../kernel/stats/distributions';
import type { Tare } from './tare';
import type { Weighing } from './weighings';

/** What one interval between two weighings says. Water that came or went while printing cannot be told from the filament used. */
export type AccountInterval = {
	fromId: string;
	toId: string;
	before: 'print' | 'dried' | 'air';
	days: number;
	/** Net change of water in grams; null over a print. */
	waterG: number | null;
	/** Filament that a print took, in grams; null otherwise. */
	usedG: number | null;
	uG: number;
	/** Whether the scale can see the change: over twice its standard uncertainty. */
	seen: boolean;
};

/** Water of one weighing against the chosen state, as a share of the net mass then (chained, dimensionless). */
export type Relative = {
	id: string;
	at: number;
	grossG: number;
	before: string;
	share: number;
	low: number;
	high: number;
	standardUncertainty: number;
};

const DAY_MS = 86_400_000;

/**
 * Net water between neighbouring weighings. Subtracted masses are rounded to a hundredth of the typed step before they are compared,
 * so that binary dust is no change.
 * Source: arithmetic; JCGM 100 for the uncertainty of a difference.
 * @example intervalsOf(chain).map((i) => i.waterG) // [null, -0.6, null, 0.3, 0.5, ...]
 */
export function intervalsOf(chain: readonly Weighing[]): AccountInterval[] {
	return chain.slice(1).map((to, i) => {
		const from = nth(chain, i);
		const changeG = clean(to.grossG - from.grossG);
		const uG = Math.hypot(from.uG, to.uG);
		const before = to.before ?? 'air';
		const print = before === 'print';
		return {
			fromId: from.id,
			toId: to.id,
			before,
			days: (to.at - from.at) / DAY_MS,
			waterG: print ? null : changeG,
			usedG: print ? -changeG : null,
			uG,
			seen: Math.abs(changeG) > 2 * uG
		};
	});
}

/** Ten thousandths of a gram: finer than any scale of the bench, coarser than binary dust. */
function clean(g: number): number {
	return Math.round(g * 1e4) / 1e4 + 0;
}

/**
 * Water of every weighing relative to a chosen one. Relative changes are chained as ratios of net masses over the intervals without a
 * print, since a print takes filament away together with its water. Within an unbroken run only its first and last weighing carry
 * uncertainty. With an unknown tare the band covers every tare of the range.
 * The share is on the mass at the chosen state (wet basis of that state).
 * Source: common practice, no source, for the chain; JCGM 100, 5.1.2 for the uncertainty.
 * @param since index of the chosen weighing
 * @example relativeWater(chain, tare, 2).at(-1)?.share // 0.0007
 */
export function relativeWater(chain: readonly Weighing[], tare: Tare, since: number): Relative[] {
	const low = chainWith(chain, tare.lowG, since);
	const high = chainWith(chain, tare.highG, since);
	const z = tQuantile(0.975, Infinity);
	return chain.map((w, i) => {
		const a = nth(low, i);
		const b = nth(high, i);
		const ends = [a.share - z * a.u, a.share + z * a.u, b.share - z * b.u, b.share + z * b.u];
		return {
			id: w.id,
			at: w.at,
			grossG: w.grossG,
			before: w.before ?? 'first',
			share: (a.share + b.share) / 2,
			low: Math.min(...ends),
			high: Math.max(...ends),
			standardUncertainty: Math.max(a.u, b.u)
		};
	});
}

type Chained = { share: number; u: number };

function chainWith(chain: readonly Weighing[], tareG: number, since: number): Chained[] {
	const net = chain.map((w) => w.grossG - tareG);
	return chain.map((_, i) => {
		const [from, to] = i >= since ? [since, i] : [i, since];
		let ratio = 1;
		let variance = 0;
		for (const [first, last] of unbrokenRuns(chain, from, to)) {
			ratio *= nth(net, last) / nth(net, first);
			variance += relativeVariance(chain, net, first) + relativeVariance(chain, net, last);
		}
		const share = (i >= since ? ratio : 1 / ratio) - 1;
		return { share, u: (1 + share) * Math.sqrt(variance) };
	});
}

const relativeVariance = (chain: readonly Weighing[], net: readonly number[], i: number) => (nth(chain, i).uG / nth(net, i)) ** 2;

/**
 * Water that came and went in all, prints taken out, with its standard uncertainty: each unbroken stretch counts by its two ends.
 * @returns null when no two weighings have anything but a print between them
 * @example netWater(chain) // { waterG: 0.1, uG: 0.18, n: 13 }
 */
export function netWater(chain: readonly Weighing[]): { waterG: number; uG: number; n: number } | null {
	const runs = unbrokenRuns(chain, 0, chain.length - 1);
	if (runs.length === 0) return null;
	let waterG = 0;
	let variance = 0;
	for (const [first, last] of runs) {
		const [from, to] = [nth(chain, first), nth(chain, last)];
		waterG += to.grossG - from.grossG;
		variance += from.uG ** 2 + to.uG ** 2;
	}
	return { waterG: clean(waterG), uG: Math.sqrt(variance), n: chain.length };
}

/** First and last weighing of each stretch without a print between `from` and `to`; stretches of one weighing say nothing. */
function unbrokenRuns(chain: readonly Weighing[], from: number, to: number): [number, number][] {
	const runs: [number, number][] = [];
	let first = from;
	for (let i = from + 1; i <= to + 1; i++) {
		if (i <= to && chain[i]?.before !== 'print') continue;
		if (i - 1 > first) runs.push([first, i - 1]);
		first = i;
	}
	return runs;
}
