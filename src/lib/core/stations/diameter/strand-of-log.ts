import { nth } from '../../kernel/lists/nth';
import { normalQuantile } from '../../kernel/stats/distributions';
import type { InstrumentBudget } from './budget';
import type { ShareInside } from './share-inside';
import type { PlaceReadings, Strand } from './strand';
import type { LogSummary } from '../../record/gauge-log/summary';

const SLICES = 32;
const SHIFTS = 17;
/** Columns of the small picture of the sheet. */
const PLACES = 60;

/**
 * The strand as a gauge's log tells it. No law is assumed: the share inside is counted from the histogram, moved by what the instrument
 * may be off, and uncertain as a share of the effective number of readings is (Wilson's bound at each deviate).
 * @example strandOfLog(summary, budget).inside(1.73, 1.77)?.estimate // 0.998
 */
export function strandOfLog(summary: LogSummary, budget: InstrumentBudget): Strand {
	const { n, nEffective, sdMm, biasMm } = { ...summary, biasMm: budget.biasMm };
	return {
		from: 'log',
		n,
		nEffective,
		meanMm: summary.meanMm - biasMm,
		sdMm,
		lowMm: summary.lowMm - biasMm,
		highMm: summary.highMm - biasMm,
		standardErrorMm: sdMm === null || nEffective < 2 ? null : sdMm / Math.sqrt(nEffective),
		df: Math.max(1, nEffective - 1),
		spots: nEffective,
		looks: [],
		budget,
		outside: (lowMm, highMm) => n - countBetween(summary, lowMm + biasMm, highMm + biasMm),
		inside(lowMm, highMm, given = {}): ShareInside | null {
			const worth = given.nEffective ?? nEffective;
			if (worth < 2) return null;
			const count = given.slices ?? SLICES;
			const deviates = Array.from({ length: count }, (_, i) => normalQuantile((i + 0.5) / count));
			const ordered = new Float64Array(count * count);
			deviates.forEach((b, i) => {
				const shift = biasMm + b * budget.standardUncertaintyMm;
				const share = countBetween(summary, lowMm + shift, highMm + shift) / n;
				deviates.forEach((z, j) => {
					ordered[i * count + j] = wilsonAt(share, worth, z);
				});
			});
			ordered.sort();
			return { estimate: countBetween(summary, lowMm + biasMm, highMm + biasMm) / n, ordered };
		},
		most(lowMm, highMm, level, given = {}) {
			const worth = given.nEffective ?? nEffective;
			if (worth < 2) return null;
			// Where the instrument may be off, the strand is taken to lie where it is best.
			const z = normalQuantile(level);
			const shifts = Array.from({ length: SHIFTS }, (_, i) => z * ((2 * i) / (SHIFTS - 1) - 1) * budget.standardUncertaintyMm);
			return Math.max(...shifts.map((s) => wilsonAt(countBetween(summary, lowMm + biasMm + s, highMm + biasMm + s) / n, worth, z)));
		}
	};
}

/** Samples whose bin lies between two limits, limits inclusive. */
function countBetween({ histogram }: LogSummary, lowMm: number, highMm: number): number {
	const { startMm, binMm, counts } = histogram;
	const first = Math.max(0, Math.round((lowMm - startMm) / binMm));
	const last = Math.min(counts.length - 1, Math.round((highMm - startMm) / binMm));
	let sum = 0;
	for (let i = first; i <= last; i++) sum += nth(counts, i);
	return sum;
}

/** The share that a normal deviate makes of a counted one: Wilson's bound, for any deviate. */
function wilsonAt(share: number, n: number, z: number): number {
	if (!Number.isFinite(n)) return share;
	const centre = share + (z * z) / (2 * n);
	const half = Math.abs(z) * Math.sqrt((share * (1 - share)) / n + (z * z) / (4 * n * n));
	return (centre + Math.sign(z) * half) / (1 + (z * z) / n);
}

/**
 * The log's picture as places of the strand, few enough for a cell of the sheet.
 * @example placesOfLog(summary, 0).length // 60
 */
export function placesOfLog(summary: LogSummary, biasMm: number): PlaceReadings[] {
	const columns = summary.picture.columns.filter((c) => !summary.leftOut.some((l) => c.positionM >= l.fromM && c.positionM <= l.toM));
	const per = Math.max(1, Math.ceil(columns.length / PLACES));
	return Array.from({ length: Math.ceil(columns.length / per) }, (_, index) => {
		const here = columns.slice(index * per, (index + 1) * per);
		return {
			index,
			positionM: here[0]?.positionM ?? null,
			valuesMm: [Math.min(...here.map((c) => c.lowMm)) - biasMm, Math.max(...here.map((c) => c.highMm)) - biasMm]
		};
	});
}
