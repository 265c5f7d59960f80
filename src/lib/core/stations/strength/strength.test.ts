import { describe, expect, it } from 'vitest';
import { evidence, load, basis, specimen } from '../../../../../tests/support/evidence';
import type { Specimen } from '../../record/evidence/specimen';
import type { Finding } from '../../judging/finding/types';
import { compare } from '../../judging/compare/compare';
import { findCell } from '../../judging/posterior/find-cell';
import { modelOf } from '../../judging/posterior/model';
import { readReading } from '../../joins/read-reading';
import { BY_HAND_WORDS, FAILURE_WORDS } from './words';
import { kindOf, specimenKinds } from './kinds';
import { observe, observedSpecimens } from './observe';
import { strengthLoad } from './quantities';
import { strengthStation } from './station';

const failure = (word: (typeof FAILURE_WORDS)[number]) => FAILURE_WORDS.indexOf(word);
/** A spool whose specimens broke at these loads, directly read. */
function direct(loads: number[], more: Partial<Specimen> = {}) {
	const specimens = loads.map(() => specimen({ method: 'direct', ...more }));
	return evidence({ specimens, readings: loads.map((n, i) => load(specimens[i] as Specimen, 'loadBroke', n)) });
}
const rules = (spools: ReturnType<typeof evidence>[]) => ({ ...basis, specimenKinds: specimenKinds(spools, {}) });
const find = (e: ReturnType<typeof evidence>, p = rules([e])) => strengthStation.find(e, p)[0] as Finding;

describe('loads as typed (1 lb = 0.45359237 kg, g_n = 9.80665 m/s2, exact)', () => {
	it.each([
		['25 lb', 25 * 0.45359237 * 9.80665],
		['10 kg', 98.0665],
		['10 kgf', 98.0665],
		['25 lbf', 25 * 0.45359237 * 9.80665],
		['98,0665 N', 98.0665],
		['500 g', 4.903325],
		['16 oz', 0.45359237 * 9.80665]
	])('%s', (typed, newtons) => {
		const read = readReading('loadBroke', typed);
		expect(read.ok && read.value).toBeCloseTo(newtons, 9);
	});
	it('keeps the text and the unit typed, and refuses what is no load', () => {
		expect(readReading('loadHeld', '20 lb')).toMatchObject({ typedText: '20 lb', typedUnit: 'lb' });
		expect(readReading('loadHeld', '20 mm')).toMatchObject({ ok: false, reason: 'unknownUnit' });
		expect(readReading('loadHeld', '-5')).toMatchObject({ ok: false, reason: 'notPositive' });
		expect(readReading('blowsBroke', '2.5')).toMatchObject({ ok: false, reason: 'notWhole' });
		expect(readReading('failure', 'Layers')).toMatchObject({ ok: true, value: 2 });
	});
});

describe('what one specimen says', () => {
	const s = specimen();
	const said = (of: Specimen, ...readings: [string, number][]) =>
		observe(
			of,
			readings.map(([q, v]) => load(of, q, v))
		).observation;
	it('held and broke in steps: the interval between', () => {
		expect(said(s, ['loadHeld', 44.5], ['loadHeld', 89], ['loadBroke', 111])).toEqual({ low: 89, high: 111 });
	});
	it('broke at the first step: anything below', () => expect(said(s, ['loadBroke', 44.5])).toEqual({ low: 0, high: 44.5 }));
	it('never broke: what it held', () => expect(said(s, ['loadHeld', 44.5], ['loadHeld', 111])).toEqual({ low: 111, high: null }));
	it('the bucket hangs there all along', () => {
		const o = said(s, ['bucketMass', 450], ['loadHeld', 89], ['loadBroke', 111]);
		expect(o?.low).toBeCloseTo(89 + 0.45 * 9.80665, 9);
		expect(o?.high).toBeCloseTo(111 + 0.45 * 9.80665, 9);
	});
	it('a rig reads the load itself', () =>
		// A hundredth of the load where the display is not known.
		expect(said(specimen({ method: 'direct' }), ['loadBroke', 314])).toEqual({ low: 314 - 1.57, high: 314 + 1.57 }));
	it('one that slipped from its grip did not break', () => {
		expect(said(s, ['loadHeld', 89], ['loadBroke', 111], ['failure', failure('slipped')])).toEqual({ low: 111, high: null });
	});
	it('the fifth blow that broke it lies between four and five', () => {
		expect(said(specimen({ method: 'blows' }), ['blowsBroke', 5])).toEqual({ low: 4, high: 5 });
		expect(said(specimen({ method: 'blows' }), ['blowsHeld', 10])).toEqual({ low: 10, high: null });
	});
	it('by hand has no load; nothing read says nothing', () => {
		expect(said(specimen({ method: 'byHand' }), ['byHand', 2])).toBeNull();
		expect(said(s)).toBeNull();
	});
	it('readings marked invalid do not count, nor do those of other specimens', () => {
		const readings = [load(s, 'loadHeld', 89), load(s, 'loadBroke', 95, { status: 'excluded' }), load(specimen(), 'loadBroke', 90)];
		expect(observe(s, readings).observation).toEqual({ low: 89, high: null });
		expect(observedSpecimens(evidence({ specimens: [{ ...s, status: 'excluded' }], readings }))).toEqual([]);
	});
});

describe('what parts of one kind come to', () => {
	const steps = (...loads: [held: number | null, broke: number | null][]) => {
		const specimens = loads.map(() => specimen());
		return evidence({
			specimens,
			readings: loads.flatMap(([held, broke], i) => [
				...(held === null ? [] : [load(specimens[i] as Specimen, 'loadHeld', held)]),
				...(broke === null ? [] : [load(specimens[i] as Specimen, 'loadBroke', broke)])
			])
		});
	};
	const model = modelOf(strengthLoad(basis), 'load');
	const modelled = (...observed: { low: number | null; high: number | null }[]) => findCell(observed, model, model.assumed) ?? {};

	it('steps and survivors are intervals of one law: none is thrown away', () => {
		const found = find(steps([89, 111], [111, 133], [133, null]));
		expect(found).toMatchObject({ ...modelled({ low: 89, high: 111 }, { low: 111, high: 133 }, { low: 133, high: null }), n: 3 });
		expect(found.messages[0]).toEqual({ id: 'neverBroke', params: { held: 1, n: 3 } });
	});
	it('a load read off is known to half a step of its display', () => {
		const s = specimen({ method: 'direct' });
		const e = evidence({ specimens: [s], readings: [load(s, 'loadBroke', 110, { resolution: 2 })] });
		expect(find(e)).toMatchObject(modelled({ low: 109, high: 111 }));
	});
	it('none broke: how strong it is nobody knows; it is drawn, but told by no number', () => {
		const found = find(steps([111, null], [133, null]));
		expect(found).toMatchObject({ estimate: null, n: 2, grade: 'thin', sampling: { kind: 'quantiles' } });
		expect(found.messages[0]).toEqual({ id: 'allHeld', params: { n: 2, low: 111, measure: 'load', unit: 'N' } });
	});
	it('one part has a range, wider than that of three like it', () => {
		const width = (e: ReturnType<typeof evidence>) => {
			const { interval } = find(e);
			return (interval?.high ?? 0) / (interval?.low ?? 1);
		};
		expect(find(steps([89, 111])).messages).toEqual([{ id: 'oneSpecimen', params: { cells: 0 } }]);
		// Ends over each other: log scatter 0.22 with four degrees of freedom, a step of a quarter, and a wide prior (figures of this code).
		expect(width(steps([89, 111]))).toBeCloseTo(3.1, 1);
		expect(width(steps([89, 111], [89, 111], [89, 111]))).toBeCloseTo(1.7, 1);
	});
	it('equal loads are no certainty', () => {
		const { interval } = find(direct([110, 110, 110]));
		expect((interval?.high ?? 0) / (interval?.low ?? 1)).toBeGreaterThan(1.15);
	});
});

describe('the station', () => {
	it('compares one kind: the one most spools have', () => {
		const hook = direct([100], { shape: 'Hook' });
		const both = evidence({ specimens: [specimen({ method: 'direct' }), specimen({ method: 'direct', orientation: 'flat' })] });
		expect(specimenKinds([hook, both, direct([90], { orientation: 'flat', shape: 'bar' })], {}).load).toBe('hook · upright · direct');
		expect(kindOf({ shape: ' Hook ', orientation: 'flat', method: 'blows', made: null })).toBe('hook · flat · blows');
	});
	it('other kinds stay on the spool page, as findings of their own', () => {
		const e = direct([100, 104]);
		const p = { ...rules([e]), specimenKinds: { load: 'bar · flat · direct', blows: null, byHand: null } };
		const findings = strengthStation.find(e, p);
		expect(findings.map((f) => [f.subject.variant, f.n])).toEqual([
			['bar · flat · direct', 0],
			['hook · upright · direct', 2]
		]);
	});
	it('counts how they failed', () => {
		const s = specimen({ method: 'direct' });
		const e = evidence({ specimens: [s], readings: [load(s, 'loadBroke', 90), load(s, 'failure', failure('layers'))] });
		expect(find(e).messages.at(-1)).toEqual({ id: 'failed.layers', params: { count: 1 } });
	});
	it('by hand is a mark in words, blows are counted, each a column only where it was done', () => {
		const [hand, blow] = [specimen({ method: 'byHand' }), specimen({ method: 'blows' })];
		const e = evidence({
			specimens: [hand, blow],
			readings: [load(hand, 'byHand', BY_HAND_WORDS.indexOf('bends')), load(blow, 'blowsBroke', 3)]
		});
		const p = rules([e]);
		expect(strengthStation.find(e, p).map((f) => [f.quantity, f.n])).toEqual([
			['strengthLoad', 0],
			['strengthBlows', 1],
			['strengthByHand', 1]
		]);
		expect(strengthStation.quantities(p).map((d) => d.onSheet)).toEqual([true, true, true]);
		expect(strengthStation.quantities(basis).map((d) => d.onSheet)).toEqual([true, false, false]);
	});
	it('letters: spools far apart get different ones', () => {
		const spools = [direct([100, 104, 98, 102]), direct([101, 103, 99, 104]), direct([200, 205, 198, 203])];
		const p = rules(spools);
		const given = compare(
			spools.map((e) => find(e, p)),
			strengthLoad(p),
			p
		).letters;
		expect(spools.map((e) => given[e.spool.id])).toEqual(['b', 'b', 'a']);
	});
	it('what the record has taught of such parts makes the range of a single one narrower', () => {
		const one = direct([150]);
		const kind = kindOf(one.specimens[0] as Specimen);
		const taught = {
			quantity: 'strengthLoad',
			kind,
			material: null,
			cells: 30,
			scatter: { sd: 0.05, df: 20 },
			mean: { centre: Math.log(140), spread: 0.2 }
		};
		const rulesTaught = { ...rules([one]), priors: { id: 'set', number: 4, marks: [taught], success: [] } };
		const found = find(one, rulesTaught);
		expect(found).toMatchObject({ priorSet: 4, messages: [{ id: 'oneSpecimen', params: { cells: 30 } }] });
		const width = (f: Finding) => Math.log((f.interval?.high ?? 0) / (f.interval?.low ?? 1));
		// Two ends at 1.96 times 0.05, a little drawn in by the spread of the others.
		expect(width(found)).toBeCloseTo(2 * 1.96 * 0.05, 1);
		expect(width(find(one))).toBeGreaterThan(0.8);
	});
	it('teaches by cells: one a kind of part, each part an interval', () => {
		const e = direct([100, 104]);
		expect(strengthStation.cells?.(e, rules([e]))).toMatchObject([
			{
				quantity: 'strengthLoad',
				kind: 'hook · upright · direct',
				material: 'PETG',
				observed: [
					{ low: 99.5, high: 100.5 },
					{ low: 103.48, high: 104.52 }
				]
			}
		]);
	});
});
