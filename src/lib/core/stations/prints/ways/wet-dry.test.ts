import { describe, expect, it } from 'vitest';
import { attempt, event, evidence, mark, basis } from '../../../../../../tests/support/evidence';
import { printsStation } from '../station';
import { wetAndDry } from './wet-dry';

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
		const dried = printsStation.find(spool([2], [0]), basis).find((f) => f.quantity === 'strings' && f.subject.condition === 'dried');
		expect(dried?.messages.at(-1)).toEqual({
			id: 'wetDry.few',
			params: {
				quantity: 'strings',
				change: 2,
				wet: 2,
				dry: 0,
				wet2: null,
				dry2: null,
				better: 1,
				worse: 0,
				before: 'asReceived',
				beforeDays: null,
				afterDays: 1000 / 86_400_000
			}
		});
	});
});
