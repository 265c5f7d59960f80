import { describe, expect, it } from 'vitest';
import { evidence, basis } from '../../../../tests/support/evidence';
import type { Finding } from '../finding/types';
import { judgeGate } from '../pick/gates';
import { HANDBOOK } from './defaults';
import { materialOf } from './material-of';
import { handbookStation } from './station';

const find = (material: string, printer = basis.printer, claims = evidence().claims) =>
	handbookStation.find(evidence({ spool: { material }, claims }), { ...basis, printer }, 0) as [Finding, Finding];
const bench = { name: 'North', hotEndMaxC: 250, hardenedNozzle: false, enclosed: false, feedPathMm: null, throatMm: null };

describe('handbook', () => {
	it('every figure carries its source', () => {
		for (const m of HANDBOOK)
			for (const figure of [m.dryingC, m.dryingH, m.softeningC, m.densityGcm3, m.hotEndC])
				if (figure) expect(figure.source).toMatch(/from memory|no source/);
	});
	it('finds a material as testers write it', () => {
		expect(materialOf(' petg ', HANDBOOK)?.material).toBe('PETG');
		expect(materialOf('PA-CF', HANDBOOK)?.hardenedNozzle).toBe(true);
		expect(materialOf('PETG CF', HANDBOOK)).toMatchObject({ material: 'PETG', hardenedNozzle: true });
		expect(materialOf('PLA-silk', HANDBOOK)).toMatchObject({ material: 'PLA', hardenedNozzle: false });
		expect(materialOf('unobtainium', HANDBOOK)).toBeNull();
	});
	it('a workshop’s own copy counts before the figures Draught came with', () => {
		const own = { ...(HANDBOOK[0] as (typeof HANDBOOK)[number]), softeningC: { low: 58, high: 58, source: 'our own test' }, edited: true };
		const [soft] = handbookStation.find(evidence({ spool: { material: 'PLA' } }), { ...basis, handbook: [own, ...HANDBOOK.slice(1)] }, 0);
		expect(soft).toMatchObject({ estimate: 58, source: 'our own test' });
	});
});

describe('gates by the handbook', () => {
	it('softening passes by its bounds, but alone it fails nobody: it was not measured here', () => {
		const [soft] = find('PLA');
		expect(soft).toMatchObject({ n: 0, grade: 'none', interval: { low: 55, high: 60, kind: 'bounds' } });
		expect(judgeGate(soft, 'softening', { op: 'atLeast', limit: 70 }).state).toBe('undecided');
		expect(judgeGate(soft, 'softening', { op: 'atLeast', limit: 50 }).state).toBe('pass');
		expect(judgeGate(soft, 'softening', { op: 'atLeast', limit: 57 }).state).toBe('undecided');
		expect(find('XYZ')[0].sampling.kind).toBe('unknown');
	});
	it('demands are counted against what is noted of the printer', () => {
		expect(find('ASA', bench)[1]).toMatchObject({ estimate: 1, messages: [{ id: 'demand.enclosure' }] });
		expect(find('PETG', bench)[1]).toMatchObject({ estimate: 0, messages: [{ id: 'demandsMet' }] });
		expect(find('PA-CF', bench)[1].messages.map((m) => m.id)).toEqual(['demand.hotEnd', 'demand.hardenedNozzle']);
	});
	it('the label’s nozzle range counts before the handbook’s', () => {
		const claims = [{ id: 'c', quantity: 'nozzleLowC', source: 'label', value: 255 } as const];
		expect(find('PETG', bench, claims)[1]).toMatchObject({
			estimate: 1,
			messages: [{ id: 'demand.hotEnd', params: { neededC: 255, hasC: 250 } }]
		});
	});
	it('nothing noted of the printer: undecided', () => {
		expect(find('ASA')[1].sampling).toMatchObject({ kind: 'unknown', reason: { id: 'printerNotKnown' } });
		expect(find('ASA', { ...bench, enclosed: null })[1].sampling.kind).toBe('unknown');
	});
});
