import { describe, expect, it } from 'vitest';
import { basis, evidence, reading } from '../../../../../tests/support/evidence';
import type { Finding } from '../../judging/finding/types';
import { measuredOn, notCounted } from '../../answers/pick/families';
import { findCell } from '../../judging/posterior/find-cell';
import { modelOf } from '../../judging/posterior/model';
import { readingAs } from '../../judging/posterior/observed';
import { onePreset, onePresets } from './one-preset';
import { settingsOffered } from './offered';
import { READING_QUANTITIES } from '../../joins/quantities';
import { CALIBRATED } from './quantities';
import { CALIBRATION_READINGS } from './readings';
import { calibrationStation } from './station';

const FLOW = CALIBRATED.find((c) => c.def.id === 'calibratedFlow') as (typeof CALIBRATED)[0];

/** A spool with calibrations: by quantity what was read. */
function spool(id: string, values: Record<string, number[]>, filament: string | null = 'Strand') {
	const readings = Object.entries(values).flatMap(([quantity, of]) =>
		of.map((value) => reading({ station: 'calibration', quantity, value, resolution: 0.001 }))
	);
	return evidence({ spool: { id, filament, maker: 'Mill' }, readings });
}
type Spool = ReturnType<typeof spool>;
const found = (e: Spool) => calibrationStation.find(e, basis);

describe('calibrations of a spool', () => {
	it('may have been noted at the diameter station, which asks for flow and pressure advance too', () => {
		const noted = evidence({ readings: [reading({ station: 'diameter', quantity: 'calibratedFlow', value: 0.97 })] });
		expect(found(noted).map((f) => [f.quantity, f.n])).toEqual([['calibratedFlow', 1]]);
	});
	it('are readings of their own station, one quantity each, and a step of repeats as it is known of calibrations', () => {
		for (const { def } of CALIBRATED) expect(READING_QUANTITIES[def.id], def.id).toBeDefined();
		expect(CALIBRATED.map((c) => c.def.id)).toEqual(expect.arrayContaining(Object.keys(CALIBRATION_READINGS)));
		const [flow] = found(spool('a', { calibratedFlow: [0.97, 0.98] }));
		const model = modelOf(FLOW.def, 'plain');
		const assumed = { ...model.assumed, scatter: { ...model.assumed.scatter, sd: 0.01 } };
		const by = findCell([readingAs(0.97, 0.001), readingAs(0.98, 0.001)], { ...model, assumed }, assumed);
		expect(flow).toMatchObject({ quantity: 'calibratedFlow', n: 2, estimate: by?.estimate, interval: by?.interval, method: 'posterior' });
	});
	it('one that was marked invalid does not count; what was never calibrated is no gap', () => {
		const e = spool('a', { calibratedFlow: [0.9, 0.98] });
		const struck = { ...e, readings: e.readings.map((r, i) => (i === 0 ? { ...r, status: 'excluded' as const } : r)) };
		expect(found(struck)[0]).toMatchObject({ n: 1, inputs: { used: [e.readings[1]?.id], excluded: [e.readings[0]?.id] } });
		expect(found(evidence({}))).toEqual([]);
		expect(calibrationStation.next(found(e), basis)).toEqual([]);
	});
	it('teach what calibrations are like', () => {
		const cells = calibrationStation.cells?.(spool('a', { calibratedFlow: [0.97, 0.98], highestFlow: [12] }), basis) ?? [];
		expect(cells.map((c) => [c.quantity, c.observed.length, c.material])).toEqual([
			['calibratedFlow', 2, 'PETG'],
			['highestFlow', 1, 'PETG']
		]);
	});
	it('are neither weighed nor missed', () => {
		const findings = Object.fromEntries(found(spool('a', { calibratedFlow: [0.97] })).map((f) => [f.quantity, f]));
		const measured = measuredOn([{ spoolId: 'a', code: 'A', findings }]);
		expect(measured('calibratedFlow')).toBe(true);
		expect(notCounted([], [FLOW.def], measured)).toEqual([]);
	});
});

describe('settings that are offered with a print', () => {
	it('are those calibrated, in the unit of the setting, as fine as one dials them in', () => {
		const e = spool('a', { calibratedFlow: [0.9713, 0.9713, 0.9713], pressureAdvance: [0.0453], highestFlow: [12] });
		const found1 = found(e).map((f): Finding => ({ ...f, estimate: f.quantity === 'calibratedFlow' ? 0.97132 : 0.04534 }));
		expect(settingsOffered(found1)).toEqual({ flowPct: 97.1, pressureAdvance: 0.045 });
		expect(settingsOffered([])).toEqual({});
	});
});

describe('one preset for two spools', () => {
	const outcome = (a: Record<string, number[]>, b: Record<string, number[]>) =>
		onePreset(found(spool('a', a)), found(spool('b', b)))?.outcome;
	it('does where all they may differ by is less than matters', () => {
		expect(outcome({ calibratedFlow: [0.97, 0.972] }, { calibratedFlow: [0.98, 0.979] })).toBe('does');
		const pair = onePreset(found(spool('a', { calibratedFlow: [0.97, 0.972] })), found(spool('b', { calibratedFlow: [0.98, 0.979] })));
		expect(pair).toMatchObject({ first: 'a', second: 'b', calibrations: [{ outcome: 'does' }] });
	});
	it('does not where one differs for sure by more than matters', () => {
		expect(outcome({ calibratedFlow: [0.9, 0.9, 0.9] }, { calibratedFlow: [1, 1, 1] })).toBe('doesNot');
		expect(
			outcome(
				{ calibratedFlow: [0.97, 0.97], calibratedNozzleC: [215, 215] },
				{ calibratedFlow: [0.97, 0.97], calibratedNozzleC: [250, 250] }
			)
		).toBe('doesNot');
	});
	it('is open where too little is known: 0.03 apart, once each', () => {
		expect(outcome({ calibratedFlow: [0.97] }, { calibratedFlow: [1.0] })).toBe('open');
		expect(
			outcome({ calibratedFlow: [0.97, 0.97], calibratedRetraction: [1] }, { calibratedFlow: [0.97, 0.97], calibratedRetraction: [1.6] })
		).toBe('open');
	});
	it('is no question where nothing was calibrated on both, nor for how fast they flow', () => {
		expect(outcome({ calibratedFlow: [0.97] }, { calibratedRetraction: [1] })).toBeUndefined();
		expect(outcome({ highestFlow: [12] }, { highestFlow: [20] })).toBeUndefined();
	});
	it('is asked of the spools of one product, each pair once; of a blind trial never', () => {
		const flow = { calibratedFlow: [0.97, 0.97] };
		const spools = [spool('a', flow), spool('b', flow), spool('c', flow, 'Other'), spool('d', flow)];
		expect(onePresets(spools, found).map((p) => p.first + p.second)).toEqual(['ab', 'ad', 'bd']);
		expect(onePresets([spool('a', flow, null), spool('b', flow, null)], found)).toEqual([]);
	});
});
