import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { ClaimPlan } from '$lib/core/stations/diameter/claim-plan';
import { nextReading, placedAfter } from './next-reading';

const quick = (counted: number, directions = 2) => nextReading({ counted, places: 5, directions, test: null });
const plan = (taken: number, state: ClaimPlan['state'] = 'open'): ClaimPlan => ({
	state,
	total: 24,
	zones: [
		{ zone: 'first', positionM: 3, taken: 0, wanted: 8 },
		{ zone: 'middle', positionM: 167.4, taken, wanted: 8 },
		{ zone: 'end', positionM: 332, taken: 0, wanted: 8 }
	]
});

describe('the next reading of a quick check', () => {
	it('takes both directions of a place, then goes on to the next', () => {
		expect([0, 1, 2, 3, 8, 9].map((n) => quick(n)).map(({ place, direction }) => `${place} ${direction}`)).toEqual([
			'0 along',
			'0 across',
			'1 along',
			'1 across',
			'4 along',
			'4 across'
		]);
		expect([0, 1, 2].map((n) => quick(n, 1)).map(({ place, direction }) => `${place} ${direction}`)).toEqual([
			'0 along',
			'1 along',
			'2 along'
		]);
	});
	it('is done after the last direction of the last place, not before; no position is asked for', () => {
		expect([9, 10, 11].map((n) => quick(n).done)).toEqual([false, true, true]);
		expect([4, 5].map((n) => quick(n, 1).done)).toEqual([false, true]);
		expect(quick(3).positionM).toBeNull();
	});
	it('names every reading of the plan once', () => {
		fc.assert(
			fc.property(fc.integer({ min: 1, max: 12 }), fc.integer({ min: 1, max: 2 }), (places, directions) => {
				const all = Array.from({ length: places * directions }, (_, counted) => nextReading({ counted, places, directions, test: null }));
				expect(all.every((r) => !r.done)).toBe(true);
				expect(new Set(all.map((r) => `${r.place} ${r.direction}`)).size).toBe(places * directions);
				expect(Math.max(...all.map((r) => r.place))).toBe(places - 1);
			})
		);
	});
});

describe('the next reading of a claim test', () => {
	const test = (taken: number, state?: ClaimPlan['state']) =>
		nextReading({ counted: 30, places: 5, directions: 2, test: { plan: plan(taken, state), zone: 'middle' } });
	it('lies a metre on for each place of its zone', () => {
		expect([0, 1, 2, 5].map((n) => test(n).positionM)).toEqual([167, 167, 168, 169]);
	});
	it('is done when it is decided, however many the quick check asked for', () => {
		expect([test(4).done, test(4, 'hopeless').done, test(4, 'decided').done]).toEqual([false, false, true]);
	});
	it('without a plan yet it is taken from the start of the spool', () => {
		expect(nextReading({ counted: 0, places: 5, directions: 2, test: { plan: null, zone: 'end' } })).toEqual({
			place: 0,
			direction: 'along',
			positionM: 0,
			done: false
		});
	});
});

describe('pasted readings', () => {
	const rows = [
		{ typed: '1.75 mm', place: 0, direction: 'along', positionM: null },
		{ typed: '1.76 mm', place: 1, direction: 'across', positionM: 12 }
	] as const;
	it('begin at a place of their own, and keep their metres', () => {
		expect(placedAfter(3, 2, rows)).toEqual([
			{ typed: '1.75 mm', placeIndex: 2, direction: 'along' },
			{ typed: '1.76 mm', placeIndex: 3, direction: 'across', positionM: 12 }
		]);
		expect(placedAfter(4, 2, rows)[0]?.placeIndex).toBe(2);
		expect(placedAfter(0, 1, rows)[0]?.placeIndex).toBe(0);
	});
});
