import { describe, expect, it } from 'vitest';
import { basis, evidence, load, specimen } from '../../../../../tests/support/evidence';
import type { Specimen } from '../../record/evidence/specimen';
import type { Finding } from '../../judging/finding/types';
import { findCell } from '../../judging/posterior/find-cell';
import { modelOf } from '../../judging/posterior/model';
import { byTemperature } from './by-temperature';
import { atTemperatures, kindOf, kindsOfTrial, specimenKinds } from './kinds';
import { observe } from './observe';
import { strengthBlows, strengthByHand, strengthLoad } from './quantities';
import { strengthStation } from './station';
import { BY_HAND_WORDS, DAMAGE_WORDS, FAILURE_WORDS } from './words';

type Loads = {
	held?: number;
	broke?: number;
	hand?: (typeof BY_HAND_WORDS)[number];
	failed?: (typeof FAILURE_WORDS)[number];
	damage?: number;
};

/** A spool with these specimens, each with what happened to it. */
function spool(parts: [Partial<Specimen>, Loads][], more: Parameters<typeof evidence>[0] = {}) {
	const specimens = parts.map(([given]) => specimen(given));
	const readings = parts.flatMap(([given, said], i) => {
		const of = specimens[i] as Specimen;
		const blows = given.method === 'blows';
		return [
			...(said.held === undefined ? [] : [load(of, blows ? 'blowsHeld' : 'loadHeld', said.held)]),
			...(said.broke === undefined ? [] : [load(of, blows ? 'blowsBroke' : 'loadBroke', said.broke)]),
			...(said.hand === undefined ? [] : [load(of, 'byHand', BY_HAND_WORDS.indexOf(said.hand))]),
			...(said.failed === undefined ? [] : [load(of, 'failure', FAILURE_WORDS.indexOf(said.failed))]),
			...(said.damage === undefined ? [] : [load(of, 'damage', said.damage)])
		];
	});
	return evidence({ ...more, specimens, readings: [...readings, ...(more.readings ?? [])] });
}
const rules = (...spools: ReturnType<typeof evidence>[]) => ({ ...basis, specimenKinds: specimenKinds(spools, {}) });
const findAll = (e: ReturnType<typeof evidence>, p = rules(e)) => strengthStation.find(e, p);
const find = (e: ReturnType<typeof evidence>, p = rules(e)) => findAll(e, p)[0] as Finding;
const direct = { method: 'direct' } as const;
const oneEach = (loads: number[]): [Partial<Specimen>, Loads][] => loads.map((broke) => [direct, { broke }]);

describe('which kind is compared', () => {
	const hook = 'hook · upright · direct';
	const bar = 'bar · upright · direct';
	const has = (...shapes: string[]) => spool(shapes.map((shape) => [{ ...direct, shape }, { broke: 100 }]));
	it('the one most spools have, before the one with most specimens', () => {
		expect(kindsOfTrial([has('bar', 'bar', 'bar'), has('hook'), has('hook')]).load).toEqual([hook, bar]);
		expect(kindsOfTrial([has('bar'), has('bar'), has('hook', 'hook', 'hook')]).load).toEqual([bar, hook]);
	});
	it('of as many spools the one with most specimens, then by name', () => {
		expect(kindsOfTrial([has('bar', 'hook', 'hook')]).load).toEqual([hook, bar]);
		expect(kindsOfTrial([has('bar', 'bar', 'hook')]).load).toEqual([bar, hook]);
		expect(kindsOfTrial([has('hook', 'bar')]).load).toEqual([bar, hook]);
		expect(kindsOfTrial([has('bar', 'hook')]).load).toEqual([bar, hook]);
	});
	it('what was marked invalid chooses nothing', () => {
		const struck = spool([
			[{ ...direct, shape: 'bar', status: 'excluded' }, { broke: 1 }],
			[{ ...direct, shape: 'bar', status: 'excluded' }, { broke: 1 }],
			[{ ...direct, shape: 'hook' }, { broke: 1 }]
		]);
		expect(kindsOfTrial([struck])).toEqual({ load: [hook], blows: [], byHand: [] });
	});
	it('each way of telling has its own', () => {
		const mixed = spool([
			[{ method: 'steps' }, { held: 10 }],
			[{ method: 'blows' }, { broke: 2 }],
			[{ method: 'byHand' }, { hand: 'snaps' }]
		]);
		expect(specimenKinds([mixed], {})).toEqual({
			load: 'hook · upright · steps',
			blows: 'hook · upright · blows',
			byHand: 'hook · upright · byHand'
		});
		expect(specimenKinds([], {})).toEqual({ load: null, blows: null, byHand: null });
	});
	it('one chosen by hand goes before the most common, while anybody has it', () => {
		const spools = [has('bar', 'hook', 'hook')];
		expect(specimenKinds(spools, { load: bar }).load).toBe(bar);
		expect(specimenKinds(spools, { load: 'ring · flat · steps' }).load).toBe(hook);
	});
	it('how it was made is part of its kind: plain walls are no fine ones', () => {
		expect(kindOf({ shape: 'Box', orientation: 'flat', method: 'blows', made: ' Fine walls ' })).toBe('box · flat · blows · fine walls');
		expect(kindOf({ shape: 'Box', orientation: 'flat', method: 'blows', made: '  ' })).toBe('box · flat · blows');
	});
});

describe('several temperatures of one spool', () => {
	const at = (nozzleC: number | null, ...loads: number[]): [Partial<Specimen>, Loads][] =>
		loads.map((broke) => [{ ...direct, nozzleC }, { broke }]);
	it('are told apart: the one with most parts counts, the others follow in order', () => {
		const e = spool([...at(250, 300, 310), ...at(230, 200, 210, 205), ...at(210, 100)]);
		const found = findAll(e);
		expect(found.map((f) => [f.subject.variant, f.n])).toEqual([
			['hook · upright · direct', 3],
			['hook · upright · direct · 210 C', 1],
			['hook · upright · direct · 250 C', 2]
		]);
		expect(found[0]?.messages[0]).toEqual({ id: 'atTemperature', params: { nozzleC: 230, others: 2 } });
		expect(found[1]?.messages.map((m) => m.id)).toEqual(['oneSpecimen']);
	});
	it('of as many parts the hottest counts; what nobody said is apart too', () => {
		expect(atTemperatures([{ nozzleC: 220 }, { nozzleC: 240 }]).map((t) => t.nozzleC)).toEqual([240, 220]);
		expect(findAll(spool([...at(240, 100, 110), ...at(null, 90)])).map((f) => f.subject.variant)).toEqual([
			'hook · upright · direct',
			'hook · upright · direct · temperature not said'
		]);
	});
	it('one temperature throughout says nothing of it', () => {
		expect(atTemperatures([{ nozzleC: 230 }, { nozzleC: 230 }])).toEqual([
			{ nozzleC: null, specimens: [{ nozzleC: 230 }, { nozzleC: 230 }] }
		]);
		expect(find(spool(at(230, 100, 110))).messages).toEqual([]);
	});
	it('in order, and where it jumps: the largest step between neighbours that can be told apart', () => {
		const around = (load: number) => Array.from({ length: 8 }, (_, i) => load * (0.97 + 0.01 * i));
		const e = spool([...at(250, ...around(205)), ...at(210, ...around(100)), ...at(230, ...around(200)), ...at(220, ...around(104))]);
		const found = byTemperature(findAll(e), [strengthLoad(rules(e))]);
		expect(found.map(({ kind, at: of, jump }) => [kind, of.map((t) => t.nozzleC), jump])).toEqual([
			['hook · upright · direct', [210, 220, 230, 250], { fromC: 220, toC: 230, stronger: true }]
		]);
		const falling = spool([...at(210, ...around(200)), ...at(220, ...around(100))]);
		expect(byTemperature(findAll(falling), [strengthLoad(rules(falling))])[0]?.jump).toEqual({ fromC: 210, toC: 220, stronger: false });
		const alike = spool([...at(210, 100), ...at(220, 101)]);
		expect(byTemperature(findAll(alike), [strengthLoad(rules(alike))])[0]?.jump).toBeNull();
		const one = spool(at(210, 100, 101));
		expect(byTemperature(findAll(one), [strengthLoad(rules(one))])).toEqual([]);
	});
	it('teach each by itself', () => {
		const e = spool([...at(250, 300), ...at(230, 200, 210)]);
		expect(strengthStation.cells?.(e, rules(e)).map((c) => [c.kind, c.observed.length])).toEqual([
			['hook · upright · direct', 1],
			['hook · upright · direct', 2]
		]);
	});
});

describe('what is still wanted', () => {
	const compared = { ...basis, specimenKinds: { load: 'bar · flat · direct', blows: null, byHand: null } };
	const wanted = (e: ReturnType<typeof evidence>, p = rules(e)) => find(e, p).missing;
	const act = (count: number, otherKind = 0) => [
		{ action: 'loadSpecimen', station: 'strength', count, minutes: 3 * count, params: { otherKind } }
	];
	it('three of the compared kind; none more from the third on', () => {
		expect(wanted(evidence())).toEqual(act(3));
		expect(wanted(spool(oneEach([100])))).toEqual(act(2));
		expect(wanted(spool(oneEach([100, 101])))).toEqual(act(1));
		expect(wanted(spool(oneEach([100, 101, 102])))).toEqual([]);
	});
	it('says how many it has of another kind', () => {
		const e = spool(oneEach([100, 101]));
		expect(findAll(e, compared).map((f) => f.missing)).toEqual([act(3, 2), []]);
	});
	it('a hook that held all there was is not asked for again', () => {
		const held = spool([[{ method: 'steps' }, { held: 111 }]]);
		expect(find(held)).toMatchObject({ missing: [], estimate: null, n: 1 });
		expect(find(held).messages).toEqual([{ id: 'allHeld', params: { n: 1, low: 111, measure: 'load', unit: 'N' } }]);
	});
	it('the station asks for one thing at a time', () => {
		const e = spool([[{ method: 'blows' }, { broke: 2 }]]);
		expect(strengthStation.next(findAll(e), rules(e))).toEqual(act(3));
		expect(findAll(e).flatMap((f) => f.missing)).toHaveLength(2);
	});
});

describe('what goes into a finding', () => {
	it('a spool with nothing loaded has one empty cell, of loads', () => {
		expect(findAll(evidence()).map((f) => [f.quantity, f.subject.variant, f.n])).toEqual([['strengthLoad', null, 0]]);
		const p = { ...basis, specimenKinds: { load: null, blows: 'x', byHand: null } };
		expect(findAll(evidence(), p).map((f) => [f.quantity, f.subject.variant])).toEqual([
			['strengthLoad', null],
			['strengthBlows', 'x']
		]);
	});
	it('the readings of its own specimens, and those marked invalid at this station', () => {
		const e = spool(oneEach([100, 104]));
		const [first, second] = e.specimens as [Specimen, Specimen];
		const struck = load(first, 'loadBroke', 1, { status: 'excluded' });
		const elsewhere = load(second, 'strings', 1, { station: 'prints', status: 'excluded' });
		const counted = e.readings.map((r) => r.id);
		const found = find({ ...e, readings: [...e.readings, struck, elsewhere] });
		expect(found.inputs).toEqual({ used: counted, excluded: [struck.id], revision: e.spool.revision });
	});
	it('its kind, its lot, and from when to when', () => {
		const e = spool(
			[
				[{ ...direct, at: 2000 }, { broke: 100 }],
				[{ ...direct, at: 5000 }, { broke: 104 }]
			],
			{ spool: { lot: 'L7' } }
		);
		expect(find(e).context).toMatchObject({ variants: ['hook · upright · direct'], lots: ['L7'], from: 2000, to: 5000 });
		const p = { ...basis, specimenKinds: { load: 'bar · flat · direct', blows: null, byHand: null } };
		expect(find(evidence(), p).context).toMatchObject({ variants: [], lots: [], from: null, to: null });
	});
	it('a specimen nobody has loaded yet counts for nothing', () => {
		const e = spool([
			[direct, { broke: 100 }],
			[direct, {}]
		]);
		expect(find(e).n).toBe(1);
		expect(strengthStation.cells?.(e, rules(e))[0]?.observed).toEqual([{ low: 99.5, high: 100.5 }]);
	});
	it('draws each as it was: between its steps, or over what it held', () => {
		const e = spool([
			[{ method: 'steps' }, { held: 89, broke: 111 }],
			[{ method: 'steps' }, { broke: 44 }],
			[{ method: 'steps' }, { held: 133 }]
		]);
		expect(find(e).figure).toEqual({
			kind: 'loads',
			loads: [
				{ low: 89, high: 111 },
				{ low: 0, high: 44 },
				{ low: 133, high: null }
			]
		});
	});
	it('in the hands: how many gave way in which way, told as an interval of its rank', () => {
		const e = spool([
			[{ method: 'byHand' }, { hand: 'snaps', failed: 'layers' }],
			[{ method: 'byHand' }, { hand: 'holds' }],
			[{ method: 'byHand' }, { hand: 'snaps' }]
		]);
		const found = findAll(e).at(-1) as Finding;
		expect(found.figure).toEqual({ kind: 'words', counts: [0, 2, 0, 0, 1] });
		expect(found.messages).toEqual([{ id: 'failed.layers', params: { count: 1 } }]);
		const model = modelOf(strengthByHand(basis), 'words');
		const seen = [
			{ low: 0.5, high: 1.5 },
			{ low: 3.5, high: null },
			{ low: 0.5, high: 1.5 }
		];
		expect(found.estimate).toBe(findCell(seen, model, model.assumed)?.estimate);
	});
	it('how they failed, most frequent first, and what those went through that held', () => {
		const e = spool([
			[{ method: 'steps' }, { held: 1, broke: 10, failed: 'bent' }],
			[{ method: 'steps' }, { held: 1, broke: 11, failed: 'layers' }],
			[{ method: 'steps' }, { held: 1, broke: 12, failed: 'layers' }],
			[{ method: 'steps' }, { held: 20, damage: DAMAGE_WORDS.indexOf('whitened') }],
			[{ method: 'steps' }, { held: 20, damage: DAMAGE_WORDS.indexOf('none') }]
		]);
		expect(find(e).messages).toEqual([
			{ id: 'neverBroke', params: { held: 2, n: 5 } },
			{ id: 'failed.layers', params: { count: 2 } },
			{ id: 'failed.bent', params: { count: 1 } },
			{ id: 'damage.whitened', params: { count: 1 } }
		]);
		expect(observe(e.specimens[0] as Specimen, e.readings)).toMatchObject({ failure: 'bent', damage: null });
	});
	it('what lies beyond the top of the scale is said, and only that', () => {
		const of = (high: number) => find(spool(oneEach([100, 100, 100])), { ...rules(spool(oneEach([1]))), strengthHighN: high });
		const { estimate } = of(400);
		expect(of(90).messages).toEqual([{ id: 'beyondScale', params: { high: 90, unit: 'N' } }]);
		expect(of(400).messages).toEqual([]);
		expect(of(estimate as number).messages).toEqual([]);
	});
	it('loads, steps and displays: the least that broke it, and the coarsest step of a load that did', () => {
		const s = specimen();
		const twice = [load(s, 'loadBroke', 50), load(s, 'loadBroke', 60), load(s, 'blowsHeld', 99), load(s, 'loadHeld', 40)];
		expect(observe(s, twice).observation).toEqual({ low: 40, high: 50 });
		const d = specimen(direct);
		const shown = [load(d, 'loadHeld', 90, { resolution: 50 }), load(d, 'loadBroke', 110, { resolution: 2 })];
		expect(observe(d, shown).observation).toEqual({ low: 109, high: 111 });
		expect(observe(specimen({ method: 'byHand' }), [load(s, 'byHand', 2)])).toMatchObject({ byHand: null, failure: null, damage: null });
	});
});

describe('its quantities', () => {
	it('load: half the scale of the trial, from a twentieth to four fifths of it while nothing is known', () => {
		expect(strengthLoad({ ...basis, strengthHighN: 200 })).toMatchObject({
			scale: { low: 0, high: 200 },
			prior: { low: 10, high: 160 },
			differenceThatMatters: 10,
			direction: 'more',
			family: 'holds'
		});
	});
	it('blows and hands have scales of their own', () => {
		expect(strengthBlows(basis)).toMatchObject({ scale: { low: 0, high: 20 }, prior: { low: 1, high: 15 }, differenceThatMatters: 2 });
		expect(strengthByHand(basis)).toMatchObject({
			scale: { low: 0, high: 4 },
			prior: { low: 0, high: 4 },
			words: BY_HAND_WORDS.map((w) => `byHand.${w}`),
			figure: 'words'
		});
	});
});
