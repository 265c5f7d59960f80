import type { QuantityDef } from '../../judging/finding/types';

/** What a calibration of a filament gives: settings, which are neither better nor worse. */
type Calibrated = {
	def: QuantityDef;
	/** Scatter of one calibration done again, in the unit of the quantity (common practice, no source). */
	scatter: number;
	/** The setting of a print it goes into, and by how much it is multiplied for it. */
	setting: { name: 'flowPct' | 'pressureAdvance' | 'retractionMm' | 'nozzleC'; times: number } | null;
};

const COMMON = { station: 'calibration', target: null, direction: 'less', figure: 'dot', onSheet: 'seen', family: null } as const;

const quantity = (id: string, unit: string, [low, high]: readonly [number, number], differenceThatMatters: number): QuantityDef => ({
	...COMMON,
	id,
	unit,
	scale: { low, high },
	prior: { low, high },
	differenceThatMatters,
	target: null
});

/** Calibrations in the order in which they are usually done. Ranges, scatters and what matters: common practice, no source. */
export const CALIBRATED: readonly Calibrated[] = [
	{ def: quantity('calibratedNozzleC', 'C', [180, 300], 5), scatter: 3, setting: { name: 'nozzleC', times: 1 } },
	{ def: quantity('calibratedFlow', '', [0.85, 1.1], 0.05), scatter: 0.01, setting: { name: 'flowPct', times: 100 } },
	{ def: quantity('pressureAdvance', 's', [0, 0.12], 0.01), scatter: 0.003, setting: { name: 'pressureAdvance', times: 1 } },
	{ def: quantity('calibratedRetraction', 'mm', [0, 6], 0.5), scatter: 0.2, setting: { name: 'retractionMm', times: 1 } },
	{ def: quantity('highestFlow', 'mm3/s', [3, 30], 2), scatter: 1, setting: null }
];
