import { describe, expect, it } from 'vitest';
import { attempt, basis, evidence } from '../../../../../tests/support/evidence';
import type { Finding } from '../finding/types';
import { judgeGate } from '../../answers/pick/gates';
import { HANDBOOK } from './defaults';
import { materialOf } from './material-of';
import { askBefore } from '../../stations/handbook/before-print';
import { demandsUnmet } from '../../stations/handbook/demands';
import { handbookStation } from '../../stations/handbook/station';

const find = (material: string, printer = basis.printer, claims = evidence().claims) =>
	handbookStation.find(evidence({ spool: { material }, claims }), { ...basis, printer }) as [Finding, Finding];
const bench = {
	name: 'North',
	hotEndMaxC: 250,
	hardenedNozzle: false,
	enclosed: false,
	feedPathMm: null,
	throatMm: null,
	bedMaxC: null,
	cardReels: null,
	reelMaxG: null
};

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
	// What labels say (common practice, no source).
	it.each([
		['PLA+', 'PLA'],
		['pla pro', 'PLA'],
		['Tough PLA', 'PLA'],
		['silk', 'PLA'],
		['Silk PETG', 'PETG'],
		['high-temperature PLA', 'PLA'],
		['recycled PETG', 'PETG'],
		['rPLA', 'PLA'],
		['ABS+', 'ABS'],
		['PCTG', 'PETG'],
		['co-polyester', 'PETG'],
		['nylon', 'PA6'],
		['PA', 'PA6'],
		['Nylon 12', 'PA12'],
		['TPE', 'TPU'],
		['HIPS', 'HIPS'],
		['PVB', 'PVB']
	])('%s is counted as %s', (written, counted) => expect(materialOf(written, HANDBOOK)?.material).toBe(counted));
	it('another word that says fibre wants a hardened nozzle; what is none of them is unknown', () => {
		expect(materialOf('nylon GF30', HANDBOOK)).toMatchObject({ material: 'PA6', hardenedNozzle: true });
		for (const word of ['', 'recycled', 'PET', 'resin']) expect(materialOf(word, HANDBOOK)).toBeNull();
	});
	it('a workshop’s own copy counts before the figures Draught came with', () => {
		const own = { ...(HANDBOOK[0] as (typeof HANDBOOK)[number]), softeningC: { low: 58, high: 58, source: 'our own test' }, edited: true };
		const [soft] = handbookStation.find(evidence({ spool: { material: 'PLA' } }), { ...basis, handbook: [own, ...HANDBOOK.slice(1)] });
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
	it('what is lacking is lacking, whatever else nobody noted: the limit fails by name', () => {
		const [, found] = find('PP-GF', { ...bench, hotEndMaxC: null as never });
		expect(found).toMatchObject({ estimate: 2, interval: { low: 2, high: 3, kind: 'bounds' } });
		expect(found.messages).toEqual([
			{ id: 'demand.hardenedNozzle', params: {} },
			{ id: 'demand.enclosure', params: {} },
			{ id: 'demandsNotKnown', params: { count: 1 } }
		]);
		expect(judgeGate(found, 'demandsUnmet', { op: 'atMost', limit: 0 }).state).toBe('fail');
	});
	it('nothing noted of the printer: undecided', () => {
		expect(find('ASA')[1].sampling).toMatchObject({ kind: 'unknown', reason: { id: 'printerNotKnown' } });
		expect(find('ASA', { ...bench, enclosed: null })[1].sampling.kind).toBe('unknown');
	});
});

describe('what a spool asks of one printer', () => {
	const printed = (nozzleC: number, bedC: number, more: Parameters<typeof attempt>[0] = {}) =>
		attempt({ settings: { ...attempt().settings, nozzleC, bedC }, ...more });
	const unmet = (e: Parameters<typeof evidence>[0], printer: Partial<typeof bench> | Record<string, unknown> = {}) =>
		demandsUnmet(evidence(e), { ...bench, ...printer }, HANDBOOK);
	const low = { id: 'c', quantity: 'nozzleLowC', source: 'label', value: 240 } as const;

	it('the lowest temperature that worked counts before the label’s', () => {
		const worked = {
			claims: [low],
			attempts: [printed(270, 90), printed(262, 95), printed(240, 60, { outcome: 'failed', cause: 'filament' })]
		};
		expect(unmet(worked)).toEqual([{ id: 'demand.hotEnd', params: { neededC: 262, hasC: 250 } }]);
		expect(unmet({ claims: [low], attempts: [printed(262, 95, { tuning: true })] })).toEqual([]);
		expect(unmet({ claims: [{ ...low, value: 260 }], attempts: [printed(245, 95)] })).toEqual([]);
	});
	it('bed and reel are asked only where they are known', () => {
		const e = {
			attempts: [printed(240, 95)],
			spool: { reelMaterial: 'card' as const },
			claims: [{ ...low, quantity: 'netMassG', value: 2300 }]
		};
		expect(unmet(e)).toEqual([]);
		expect(unmet(e, { bedMaxC: 80, cardReels: false, reelMaxG: 1000 })).toEqual([
			{ id: 'demand.bed', params: { neededC: 95, hasC: 80 } },
			{ id: 'demand.cardReel', params: {} },
			{ id: 'demand.reelSize', params: { netG: 2300, mostG: 1000 } }
		]);
		expect(unmet(e, { bedMaxC: 95, cardReels: true, reelMaxG: 2300 })).toEqual([]);
		expect(unmet({ ...e, spool: { reelMaterial: 'plastic' } }, { cardReels: false })).toEqual([]);
	});
	it('before a print: what the printer cannot reach and what the label does not say is asked about', () => {
		const high = { ...low, id: 'd', quantity: 'nozzleHighC', value: 260 };
		const ask = (nozzleC: number | null, bedC: number | null) =>
			askBefore(evidence({ claims: [low, high] }), { ...bench, bedMaxC: 100 }, HANDBOOK, { nozzleC, bedC });
		expect(ask(300, 110)).toEqual([
			{ id: 'ask.beyondHotEnd', params: { isC: 300, hasC: 250 } },
			{ id: 'ask.beyondBed', params: { isC: 110, hasC: 100 } },
			{ id: 'ask.outsideLabel', params: { isC: 300, lowC: 240, highC: 260 } }
		]);
		expect(ask(239, 100).map((m) => m.id)).toEqual(['ask.outsideLabel']);
		expect([ask(240, null), ask(250, 100), ask(null, null)]).toEqual([[], [], []]);
	});
});
