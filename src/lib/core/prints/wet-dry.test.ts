import { describe, expect, it } from 'vitest';
import { attempt, event, evidence, mark, basis } from '../../../../tests/support/evidence';
import { withHouse } from '../house/borrowed-scatter';
import { markQuantity } from './mark-entries';
import { printsStation } from './station';
import { wetAndDry } from './wet-dry';

const overhang = markQuantity('overhang');
const strings = markQuantity('strings');

/** Prints before and after a drying at 1000, each with its strings mark. */
function spool(wet: number[], dry: number[], pieceId?: string) {
	const before = wet.map((_, i) => attempt({ at: 100 + i, ...(pieceId ? { pieceId } : {}) }));
	const after = dry.map((_, i) => attempt({ at: 2000 + i, ...(pieceId ? { pieceId } : {}) }));
	return evidence({
		attempts: [...before, ...after],
		readings: [...wet.map((v, i) => mark(before[i] as never, 'strings', v)), ...dry.map((v, i) => mark(after[i] as never, 'strings', v))],
		events: [event({ kind: 'dried', at: 1000 })]
	});
}
const says = (wet: number[], dry: number[]) => wetAndDry(spool(wet, dry), basis)[0];

describe('wet and dry', () => {
	it('pairs neighbours in time, on both sides of the drying', () => {
		expect(says([3, 2, 1], [0, 1])?.pairs.map((p) => [p.wet, p.dry])).toEqual([
			[1, 0],
			[2, 1]
		]);
	});
	it('two pairs are too few to say; five too, whatever they show', () => {
		expect(says([2, 2], [0, 0])).toMatchObject({ outcome: 'tooFew', better: 2, p: null });
		expect(says([2, 2, 2, 2, 2], [0, 0, 0, 0, 0])?.outcome).toBe('tooFew');
	});
	it('six of six: drying helped, p 0.03125; the other way round it hurt', () => {
		expect(says([2, 2, 2, 2, 2, 2], [0, 0, 0, 1, 1, 1])).toMatchObject({ outcome: 'helped', p: 0.03125 });
		expect(says([0, 0, 0, 0, 0, 0], [1, 1, 1, 1, 1, 1])?.outcome).toBe('hurt');
	});
	it('pairs enough and no direction: no difference these prints can show; ties are left out of the test', () => {
		expect(says([1, 1, 1, 0, 0, 0], [1, 1, 1, 0, 0, 0])).toMatchObject({ outcome: 'noDifference', p: 1 });
		expect(says([1, 1, 1, 1, 1, 1], [1, 1, 1, 1, 1, 1])).toMatchObject({ outcome: 'noDifference', same: 6, p: null });
	});
	it('only one condition: no pairs, no word', () => expect(wetAndDry(spool([1, 2], []), basis)).toEqual([]));
	it('the station says it with the marks printed after drying', () => {
		const dried = printsStation.find(spool([2], [0]), basis, 0).find((f) => f.quantity === 'strings' && f.subject.condition === 'dried');
		expect(dried?.messages.at(-1)).toMatchObject({ id: 'wetDry.tooFew', params: { better: 1, pairs: 1 } });
	});
});

describe('borrowed scatter', () => {
	const marked = (values: number[], quantity: string) => {
		const attempts = values.map((_, i) => attempt({ at: i + 1 }));
		return evidence({ attempts, readings: values.map((v, i) => mark(attempts[i] as never, quantity, v)) });
	};
	it('a single overhang takes the house spool’s scatter instead of a step each way', () => {
		const house = marked([60, 65, 70, 65], 'overhangLastClean');
		const p = withHouse(basis, house, [printsStation]);
		expect(p.borrowed[0]).toMatchObject({ quantity: overhang.id, n: 4, df: 3 });
		const one = printsStation.find(marked([60], 'overhangLastClean'), p, 0).find((f) => f.quantity === 'overhang');
		expect(one).toMatchObject({ method: 'ladderBorrowed', n: 1, grade: 'thin', messages: [{ id: 'borrowedScatter', params: { n: 4 } }] });
		expect(one?.sampling.kind).toBe('t');
	});
	it('marks in words too, clipped to the words', () => {
		const p = withHouse(basis, marked([0, 1, 0, 1], 'strings'), [printsStation]);
		const one = printsStation.find(marked([0], 'strings'), p, 0).find((f) => f.quantity === strings.id);
		expect(one?.interval?.low).toBe(0);
		expect(one?.messages).toMatchObject([{ id: 'borrowedScatter' }]);
	});
	it('a house without scatter lends half a step, never none; one with two prints lends nothing', () => {
		expect(withHouse(basis, marked([65, 65, 65], 'overhangLastClean'), [printsStation]).borrowed[0]?.sd).toBe(2.5);
		expect(withHouse(basis, marked([65, 60], 'overhangLastClean'), [printsStation]).borrowed).toEqual([]);
		expect(withHouse(basis, null, [printsStation])).toBe(basis);
	});
	it('several prints keep their own scatter', () => {
		const p = withHouse(basis, marked([40, 80, 60], 'overhangLastClean'), [printsStation]);
		const two = printsStation.find(marked([60, 65], 'overhangLastClean'), p, 0).find((f) => f.quantity === 'overhang');
		expect(two?.method).toBe('ladderMean');
	});
});
