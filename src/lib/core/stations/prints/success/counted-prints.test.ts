import { describe, expect, it } from 'vitest';
import { attempt, basis, event, evidence, MAIN_PIECE, piece } from '../../../../../../tests/support/evidence';
import { successOf } from '../../../judging/posterior/success';
import { countedPrints } from './counted-prints';
import { findSuccess } from './find-success';
import { successCells } from './success-cells';

const failed = (given: Parameters<typeof attempt>[0] = {}) =>
	attempt({ outcome: 'failed', cause: 'filament', percentReached: 40, ...given });
const OTHER = 'piece-2';

describe('prints that count', () => {
	const mixed = evidence({
		attempts: [attempt({ at: 10 }), failed({ at: 20 }), attempt({ at: 30, pieceId: OTHER }), attempt({ at: 100 }), failed({ at: 110 })],
		events: [event({ kind: 'dried', at: 50 })],
		pieces: [piece(), piece({ id: OTHER, familyId: 'other' })]
	});
	it('are those of the trial’s pieces in the state it counts; the others are told', () => {
		expect(countedPrints(mixed, basis)).toMatchObject({ finished: 1, failed: 1, elsewhere: 3 });
		expect(countedPrints(mixed, { ...basis, conditionPolicy: 'driedFirst' })).toMatchObject({ finished: 1, failed: 1, elsewhere: 3 });
		expect(countedPrints(mixed, { ...basis, pieceIds: [OTHER] })).toMatchObject({ finished: 1, failed: 0, elsewhere: 4 });
		expect(countedPrints(mixed, { ...basis, pieceIds: [] })).toMatchObject({ finished: 2, failed: 1, elsewhere: 2 });
	});
	it('are all where there are none such: the comparison flags what they were', () => {
		const dried = evidence({ attempts: [attempt({ at: 100 })], events: [event({ kind: 'dried', at: 50 })] });
		expect(countedPrints(dried, basis)).toMatchObject({ finished: 1, elsewhere: 0 });
		expect(findSuccess(dried, basis).context).toMatchObject({ conditions: ['dried'] });
	});
	it('another version of a piece is the same kind', () => {
		const newer = evidence({
			attempts: [attempt({ pieceId: 'v2' })],
			pieces: [piece(), piece({ id: 'v2', familyId: MAIN_PIECE, version: 2 })]
		});
		expect(countedPrints(newer, basis)).toMatchObject({ finished: 1, elsewhere: 0 });
	});
	it('come with what the record knows of such prints: same piece and material, else the piece, else the material, else all', () => {
		const row = (kind: string | null, material: string | null, cells: number) => ({ kind, material, cells, finished: cells, failed: 1 });
		const of = (...success: ReturnType<typeof row>[]) =>
			countedPrints(evidence({ attempts: [attempt()] }), { ...basis, priors: { id: 's', number: 1, marks: [], success } });
		const all = [row(null, null, 2), row(null, 'PETG', 3), row(MAIN_PIECE, null, 4), row(MAIN_PIECE, 'PETG', 5)];
		for (let known = 1; known <= 4; known++) {
			const found = of(...all.slice(0, known));
			expect(found.cells).toBe(known + 1);
			expect(found.success).toEqual(successOf(1, 0, { finished: known + 1, failed: 1 }));
		}
		expect(of().cells).toBe(0);
		expect(of().success).toEqual(successOf(1, 0, { finished: 3.6, failed: 0.4 }));
	});
});

describe('success', () => {
	it('is told as one number with its range, with what was seen beside it', () => {
		const e = evidence({ attempts: [attempt(), attempt(), attempt({ outcome: 'failed', cause: 'printer', percentReached: 30 })] });
		const found = findSuccess(e, basis);
		const by = successOf(2, 0, { finished: 3.6, failed: 0.4 });
		expect(found).toMatchObject({
			estimate: by.estimate,
			n: 2,
			grade: 'thin',
			interval: { low: by.low, high: by.high, kind: 'credible' },
			sampling: { kind: 'beta', a: 5.6, b: 0.4 },
			word: { id: 'lostOtherwise', params: { count: 1 } }
		});
		expect(found.messages.map((m) => m.id)).toEqual(['successCount', 'successPrior', 'failuresNotCounted']);
	});
	it('of no prints at all is drawn as such prints usually go', () => {
		const { sampling, estimate } = findSuccess(evidence(), basis);
		expect(estimate).toBeNull();
		expect(sampling).toMatchObject({ kind: 'unknown', reason: { id: 'noPrints' } });
		const expected = sampling.kind === 'unknown' ? sampling.expected : undefined;
		const middle = expected?.values[expected.probabilities.indexOf(0.5)];
		// Median of a beta law of 3.6 and 0.4.
		expect(middle).toBeCloseTo(successOf(0, 0, { finished: 3.6, failed: 0.4 }).estimate, 12);
	});
});

describe('what prints teach', () => {
	it('one cell a kind of piece; failures of others teach nothing', () => {
		const e = evidence({
			attempts: [
				attempt(),
				failed(),
				attempt({ pieceId: OTHER }),
				attempt({ pieceId: 'v2' }),
				failed({ cause: 'printer', pieceId: 'gone' })
			],
			pieces: [piece(), piece({ id: OTHER, familyId: 'other' }), piece({ id: 'v2', familyId: MAIN_PIECE })]
		});
		expect(successCells(e, basis)).toEqual([
			{ kind: MAIN_PIECE, material: 'PETG', finished: 2, failed: 1, reached: [0.4] },
			{ kind: 'other', material: 'PETG', finished: 1, failed: 0, reached: [] }
		]);
	});
});
