import { describe, expect, it } from 'vitest';
import { basis, diameters, evidence } from '../../../../../tests/support/evidence';
import type { Instrument, InstrumentCheck } from '../../record/evidence/instrument';
import { instrumentBudget, recordInForce } from './budget';
import { diameterStation } from './station';
import { summarise } from '../../record/gauge-log/summary';
import { strandOfReadings } from './strand-of-readings';

// Which instrument counts, which of its checks, and what a log adds: the joins that a mutation of them found unheld.
const near = (value: number) => expect.closeTo(value, 9) as number;
const check = (given: Partial<InstrumentCheck>): InstrumentCheck => ({
	id: 'c',
	at: 0,
	reference: 1.75,
	referenceLimit: 0.002,
	bias: 0,
	repeatability: 0.005,
	n: 4,
	...given
});
const caliper = (given: Partial<Instrument> = {}): Instrument => ({
	id: 'cal',
	name: 'Caliper',
	quantity: 'length',
	resolution: 0.01,
	errorLimit: 0.02,
	checks: [],
	studies: [],
	...given
});
const micrometer: Instrument = caliper({ id: 'mic', name: 'Micrometer', resolution: 0.001, errorLimit: 0.002 });

describe('the budget of an instrument', () => {
	it('none named: a common caliper is taken, and it says that none was named', () => {
		expect(instrumentBudget(null, 1.75, 0)).toMatchObject({
			named: false,
			check: null,
			study: null,
			largest: 'errorLimit',
			resolutionMm: 0.01
		});
		expect(instrumentBudget(caliper(), 1.75, 0)).toMatchObject({ named: true, check: null, study: null });
		expect(instrumentBudget(caliper({ errorLimit: null }), 1.75, 0).named).toBe(false);
	});
	it('of two terms alike the first named is the largest', () => {
		expect(instrumentBudget(caliper({ errorLimit: 0.005 }), 1.75, 0).largest).toBe('errorLimit');
	});
	it('a check a millimetre off still is near, farther it is not used', () => {
		const at = (reference: number) => instrumentBudget(caliper({ checks: [check({ reference, bias: 0.01 })] }), 1.75, 0);
		expect(at(2.75)).toMatchObject({ biasMm: 0.01, check: { near: true } });
		expect(at(2.76)).toMatchObject({ biasMm: 0, check: { near: false } });
	});
	it('a check’s scatter counts over its number, but not under what the display hides', () => {
		const step = 0.01 / 2 / Math.sqrt(3);
		const scatter = (repeatability: number | null) => {
			const { terms, repeatabilityMm } = instrumentBudget(caliper({ checks: [check({ repeatability })] }), 1.75, 0);
			return [terms.find((t) => t.id === 'checkScatter')?.standardUncertaintyMm, repeatabilityMm];
		};
		expect(scatter(0.005)).toEqual([near(0.0025), 0.005]);
		expect(scatter(0.001)).toEqual([near(step / 2), near(step)]);
		expect(scatter(null)).toEqual([near(step / 2), near(step)]);
	});
	it('the last check at or before the reading is in force, else the first after', () => {
		const checks = [check({ id: 'b', at: 20 }), check({ id: 'a', at: 10 }), check({ id: 'c', at: 30 })];
		expect([5, 10, 20, 25, 99].map((at) => recordInForce(checks, at)?.id)).toEqual(['a', 'a', 'b', 'b', 'c']);
		expect(recordInForce([], 5)).toBeNull();
	});
});

describe('readings of several instruments', () => {
	const read = (count: number, instrumentId: string, more: object = {}) =>
		diameters(Array<number>(count).fill(1.75), { instrumentId, resolution: 0.001, ...more }).map((r) => ({
			...r,
			id: `${instrumentId} ${r.id}`
		}));
	const of = (readings: ReturnType<typeof read>, instruments: Instrument[] = [caliper(), micrometer]) =>
		strandOfReadings(evidence({ readings, instruments }), 1.75);
	it('ten of the finest stand alone and say how many they leave aside; nine do not', () => {
		expect(of([...read(10, 'mic'), ...read(3, 'cal')])).toMatchObject({ leftAside: 3, strand: { n: 10 } });
		expect(of([...read(9, 'mic'), ...read(3, 'cal')])).toMatchObject({ leftAside: 0, strand: { n: 12 } });
	});
	it('each reading has the bias of the check in force when it was taken taken off', () => {
		const checks = [check({ id: 'c1', at: 0, bias: 0.01 }), check({ id: 'c2', at: 100, bias: 0.02 })];
		const [first, second] = diameters([1.76, 1.77], { instrumentId: 'cal', placeIndex: null });
		const found = of(
			[
				{ ...first, takenAt: 50 },
				{ ...second, takenAt: 150 }
			] as never,
			[caliper({ checks })]
		);
		expect(found?.valuesMm).toEqual([near(1.75), near(1.75)]);
	});
	it('readings of no place are places of their own; one without a value is none', () => {
		const loose = diameters([1.74, 1.76, 1.75], { placeIndex: null });
		expect(of(loose)).toMatchObject({ strand: { n: 3 }, places: [{ index: 0 }, { index: 1 }, { index: 2 }] });
		const [first, ...rest] = loose;
		expect(of([{ ...first, value: null }, ...rest] as never)?.strand.n).toBe(2);
	});
	it('one reading says nothing of the share inside', () => {
		expect(of(diameters([1.75], { placeIndex: 0 }))?.strand.inside(1.73, 1.77)).toBeNull();
		// With a spread that is known, but worth one reading only, neither.
		expect(of(diameters([1.74, 1.76], { placeIndex: 0 }))?.strand.inside(1.73, 1.77, { nEffective: 1 })).toBeNull();
		expect(of(diameters([1.74, 1.76], { placeIndex: 0 }))?.strand.inside(1.73, 1.77, { nEffective: 2 })).not.toBeNull();
	});
});

describe('what findings of a strand carry', () => {
	const found = (given: Parameters<typeof evidence>[0]) => diameterStation.find(evidence(given), basis);
	it('how many readings the finest instrument leaves aside', () => {
		const readings = [
			...diameters(Array<number>(10).fill(1.75), { instrumentId: 'mic', resolution: 0.001 }),
			...diameters([1.75], { instrumentId: 'cal' }).map((r) => ({ ...r, id: 'coarse' }))
		];
		const [mean] = found({ readings, instruments: [caliper(), micrometer] });
		expect(mean?.messages.find((m) => m.id === 'finestOnly')?.params).toEqual({ n: 10, leftAside: 1 });
	});
	it('no empty message, and of each what it was found from', () => {
		// Places that do not scatter leave no capability, no drift and no log to speak of.
		for (const f of found({ readings: diameters([1.75, 1.75, 1.75, 1.75]), claims: [] })) {
			expect(f.messages.every((m) => typeof m.id === 'string')).toBe(true);
			expect([f.quantity, f.inputs.used.length]).toEqual([f.quantity, 4]);
		}
	});
	it('two places say something of the spread', () => {
		const readings = diameters([1.74, 1.76], {}).map((r, i) => ({ ...r, placeIndex: i }));
		expect(found({ readings }).find((f) => f.quantity === 'diameterSpread')?.interval).not.toBeNull();
	});
});

describe('a mean of which only the first metres are known', () => {
	it('one place beyond them is enough not to say so', () => {
		const readings = diameters([1.75, 1.76, 1.74, 1.75]);
		const of = (positions: (number | null)[]) =>
			diameterStation
				.find(evidence({ readings: readings.map((r, i) => ({ ...r, placeIndex: i, positionM: positions[i] ?? null })) }), basis)[0]
				?.messages.some((m) => m.id === 'firstMetresOnly');
		expect(of([null, null, null, null])).toBe(true);
		expect(of([1, 2, 3, 150])).toBe(false);
	});
	it('says nothing else where there is nothing else to say', () => {
		const found = diameterStation.find(evidence({ readings: diameters([1.75, 1.76], { positionM: 150 }), claims: [] }), basis);
		expect(found[0]?.messages.every((m) => typeof m.id === 'string')).toBe(true);
	});
});

describe('a log with a thickening', () => {
	const logged = (peakMm: number) => {
		const along = Float64Array.from(
			{ length: 4000 },
			(_, i) => 1.75 + 0.002 * Math.sin(i * 12.9898) + (i > 2000 && i < 2010 ? peakMm - 1.75 : 0)
		);
		const summary = summarise({ along, across: null, position: { kind: 'even', startM: 0, stepM: 0.05 } }, 1.75);
		const log = { id: 'l', name: 'log', at: 0, instrumentId: null, status: 'counts', summary, leftOut: [] };
		return diameterStation.find(evidence({ logs: [log as never] }), basis).find((f) => f.quantity === 'diameterMean');
	};
	it('that can jam outweighs the verdict and is told; one that cannot is not told here', () => {
		const jams = logged(2.1);
		expect(jams?.word?.id).toBe('word.jams');
		expect(jams?.messages.filter((m) => m.id === 'thickSpotsJam')).toHaveLength(1);
		expect(jams?.messages.map((m) => m.id)).not.toContain('worstMetre');
		const fits = logged(1.85);
		expect(fits?.word?.id).not.toBe('word.jams');
		expect(fits?.messages.map((m) => m.id)).not.toContain('thickSpotsJam');
	});
});
