import { tQuantile } from '../stats/distributions';
import type { SpoolEvidence } from '../evidence/spool-evidence';
import { meanInterval } from '../stats/mean-interval';

/** What a calibration print gives; noted once or several times for a spool. */
const CALIBRATIONS = ['calibratedFlow', 'pressureAdvance'] as const;
type Calibration = (typeof CALIBRATIONS)[number];

type CalibratedSpool = { spoolId: string; values: number[]; mean: number; low: number | null; high: number | null };

export type CalibrationPair = {
	a: string;
	b: string;
	difference: number;
	/** Welch's 95 % interval of the difference; null where a spool has one value only. */
	interval: { low: number; high: number } | null;
	outcome: 'apart' | 'notApart' | 'cannotTell';
};

export type ComparedCalibration = { quantity: Calibration; spools: CalibratedSpool[]; pairs: CalibrationPair[] };

/**
 * Calibrations of several spools against the repeatability of the calibration itself: Welch's interval of each difference. A value noted
 * once says nothing of its own scatter, so its difference to another cannot be told.
 * Source: Welch 1947, Biometrika 34, 28-35.
 * @example compareCalibrations(evidence)[0]?.pairs[0]?.outcome // 'cannotTell'
 */
export function compareCalibrations(evidence: readonly SpoolEvidence[]): ComparedCalibration[] {
	return CALIBRATIONS.flatMap((quantity) => {
		const spools = evidence.flatMap((one): CalibratedSpool[] => {
			const values = one.readings.flatMap((r) => (r.quantity === quantity && r.status === 'counts' && r.value !== null ? [r.value] : []));
			const over = meanInterval(values);
			return over.mean === null ? [] : [{ spoolId: one.spool.id, values, mean: over.mean, low: over.low, high: over.high }];
		});
		if (spools.length === 0) return [];
		const pairs = spools.flatMap((a, i) => spools.slice(i + 1).map((b) => pairOf(a, b)));
		return [{ quantity, spools, pairs }];
	});
}

function pairOf(a: CalibratedSpool, b: CalibratedSpool): CalibrationPair {
	const difference = a.mean - b.mean;
	const pair = { a: a.spoolId, b: b.spoolId, difference };
	const [va, vb] = [a, b].map(({ values }) => {
		const { standardError, df } = meanInterval(values);
		return standardError === null ? null : { variance: standardError ** 2, df };
	}) as [{ variance: number; df: number } | null, { variance: number; df: number } | null];
	if (!va || !vb) return { ...pair, interval: null, outcome: 'cannotTell' };
	const variance = va.variance + vb.variance;
	// Repeats that all agree show no scatter; it is below what was noted, and nothing can be said of it.
	if (!(variance > 0)) return { ...pair, interval: null, outcome: 'cannotTell' };
	const df = variance ** 2 / (va.variance ** 2 / va.df + vb.variance ** 2 / vb.df);
	const half = tQuantile(0.975, df) * Math.sqrt(variance);
	return {
		...pair,
		interval: { low: difference - half, high: difference + half },
		outcome: Math.abs(difference) > half ? 'apart' : 'notApart'
	};
}
