import { describe, expect, it } from 'vitest';
import type { LoadMethod } from '$lib/core/record/evidence/specimen';
import { feltByHand, nozzleOf, NOTHING_LOADED, takenBack, typedLoad, unloaded, type Entry, type Loading, type LoadSetUp } from './loading';

const setUp = (given: Partial<LoadSetUp> = {}): LoadSetUp => ({
	shape: 'hook',
	orientation: 'upright',
	method: 'steps',
	nozzle: '',
	bucket: '',
	unit: 'lb',
	...given
});

/** A bench where loads are typed one after the other; each new specimen takes the next number as its id. */
function bench(method: LoadMethod = 'steps', given: Partial<LoadSetUp> = {}) {
	let loading: Loading = NOTHING_LOADED;
	let made = 0;
	const take = (entry: Entry) => {
		if (entry.isNew) made += 1;
		loading = entry.loading;
		return `${entry.specimenId}: ${entry.quantity} ${entry.typed}`;
	};
	return {
		type: (text: string, spoolId = 'KE1') => {
			const entry = typedLoad(loading, setUp({ method, ...given }), { spoolId, text, newId: `part ${made + 1}` });
			return 'refusals' in entry ? entry.refusals.map((e) => `${e.path} ${e.code}`).join(', ') : take(entry);
		},
		feel: (word: string) => take(feltByHand(loading, { spoolId: 'KE1', newId: `part ${made + 1}` }, word)),
		unload: () => (loading = unloaded(loading, 'KE1')),
		takeBack: (specimenId: string, quantity: string) => (loading = takenBack(loading, method, 'KE1', { specimenId, quantity })),
		get loading() {
			return loading;
		}
	};
}

describe('a weight added in steps', () => {
	it('stays on one specimen until a load breaks it; the next load is another’s', () => {
		const b = bench();
		expect(b.type('10')).toBe('part 1: loadHeld 10 lb');
		expect(b.type('15')).toBe('part 1: loadHeld 15 lb');
		expect(b.loading.broken).toBeNull();
		expect(b.type('20x')).toBe('part 1: loadBroke 20 lb');
		expect(b.loading).toEqual({ open: {}, broken: { spoolId: 'KE1', id: 'part 1' }, held: null });
		expect(b.type('5')).toBe('part 2: loadHeld 5 lb');
	});
	it('goes up only, in whatever unit each is typed', () => {
		const b = bench();
		b.type('10');
		expect(b.type('10')).toBe('typed notMoreThanLast');
		expect(b.type('44 N')).toBe('typed notMoreThanLast');
		expect(b.type('45 N')).toBe('part 1: loadHeld 45 N');
	});
	it('each spool has a specimen of its own', () => {
		const b = bench();
		b.type('10');
		expect(b.type('5', 'LA3')).toBe('part 2: loadHeld 5 lb');
		expect(b.type('15')).toBe('part 1: loadHeld 15 lb');
		expect(b.type('20x', 'LA3')).toBe('part 2: loadBroke 20 lb');
		expect(Object.keys(b.loading.open)).toEqual(['KE1']);
	});
	it('one that holds all there is makes room for the next', () => {
		const b = bench();
		b.type('10');
		b.unload();
		expect(b.loading).toEqual({ open: {}, broken: null, held: { spoolId: 'KE1', id: 'part 1' } });
		expect(b.type('5')).toBe('part 2: loadHeld 5 lb');
	});
	it('a break taken back: the specimen still hangs there, and any load may follow', () => {
		const b = bench();
		b.type('10');
		b.type('20x');
		b.takeBack('part 1', 'loadBroke');
		expect(b.loading).toEqual({ open: { KE1: { id: 'part 1', lastN: null } }, broken: null, held: null });
		expect(b.type('8')).toBe('part 1: loadHeld 8 lb');
	});
	it('a step taken back: a smaller one may follow; one of an earlier specimen changes nothing', () => {
		const b = bench();
		b.type('10');
		b.takeBack('part 1', 'loadHeld');
		expect(b.type('5')).toBe('part 1: loadHeld 5 lb');
		b.unload();
		b.type('7');
		b.takeBack('part 1', 'loadHeld');
		expect(b.type('6')).toBe('typed notMoreThanLast');
	});
});

describe('load read off, blows and hands', () => {
	it('each is a specimen of its own; held or broken by the letter behind', () => {
		const b = bench('direct');
		expect(b.type('150 N')).toBe('part 1: loadBroke 150 N');
		expect(b.loading).toEqual({ open: {}, broken: { spoolId: 'KE1', id: 'part 1' }, held: null });
		expect(b.type('120 N h')).toBe('part 2: loadHeld 120 N');
		expect(b.loading).toEqual({ open: {}, broken: null, held: { spoolId: 'KE1', id: 'part 2' } });
		b.takeBack('part 1', 'loadBroke');
		expect(b.loading).toEqual(NOTHING_LOADED);
	});
	it('blows have no unit, and the unit in force is not theirs', () => {
		expect(bench('blows').type('3')).toBe('part 1: blowsBroke 3');
		const entry = typedLoad(NOTHING_LOADED, setUp({ method: 'blows' }), { spoolId: 'KE1', text: '3', newId: 'p' });
		expect(entry).toMatchObject({ unit: null });
	});
	it('what the hands say ends a specimen: what gave way can be told how, what did not is asked for damage', () => {
		const b = bench('byHand');
		expect(b.feel('snaps')).toBe('part 1: byHand snaps');
		expect(b.feel('bends')).toBe('part 2: byHand bends');
		expect(b.loading).toEqual({ open: {}, broken: { spoolId: 'KE1', id: 'part 2' }, held: null });
		b.feel('holds');
		expect(b.loading).toEqual({ open: {}, broken: null, held: { spoolId: 'KE1', id: 'part 3' } });
	});
	it('a nozzle temperature that is none is refused before anything is stored', () => {
		expect(bench('direct', { nozzle: 'hot' }).type('100 N')).toBe('nozzle nozzleNotRead');
		expect(bench('direct', { nozzle: '900' }).type('100 N')).toBe('nozzle nozzleNotRead');
		expect(bench('direct', { nozzle: '232,5 °C' }).type('100 N')).toBe('part 1: loadBroke 100 N');
		expect([nozzleOf(''), nozzleOf('232,5'), nozzleOf('230 C')]).toEqual([null, 232.5, 230]);
	});
});

describe('refused', () => {
	it.each([
		['10', { shape: ' ' }, 'shape loadedShapeMissing'],
		['ten', {}, 'typed notANumber'],
		['10', { bucket: 'heavy' }, 'bucket notANumber'],
		[
			'ten',
			{ shape: '', nozzle: 'hot', bucket: 'heavy' },
			'shape loadedShapeMissing, nozzle nozzleNotRead, bucket notANumber, typed notANumber'
		]
	])('%s with %o: %s, and nothing changes', (text, given, code) => {
		const b = bench('steps', given);
		expect(b.type(text)).toBe(code);
		expect(b.loading).toEqual(NOTHING_LOADED);
	});
	it('a bucket that is not used is not read', () => {
		expect(bench('direct', { bucket: 'heavy' }).type('150 N')).toBe('part 1: loadBroke 150 N');
	});
	it('the unit that was typed is told; a bare number tells none', () => {
		const typed = (text: string) => typedLoad(NOTHING_LOADED, setUp({ unit: 'lb' }), { spoolId: 'KE1', text, newId: 'p' });
		expect(typed('10 kg')).toMatchObject({ typed: '10 kg', unit: 'kg' });
		expect(typed('10')).toMatchObject({ typed: '10 lb', unit: 'lb' });
	});
});
