import { describe, expect, it } from 'vitest';
import { attempt, basis, event, evidence, mark, reading } from '../../../../../tests/support/evidence';
import { DAY, diary } from '../../../../../tests/support/diary';
import { countedPrints } from './success/counted-prints';
import { dryFirst } from './ways/dry-first';
import { findSuccess } from './success/find-success';
import { marksFinder } from './marks/marks-on';
import { outcomes } from './success/outcomes';
import { settled } from '../../record/evidence/settled';

describe('prints that speak of something else', () => {
	const failed = { outcome: 'failed', percentReached: 30, cause: 'filament' } as const;
	it('those by which the settings were found are apart from marks, success and tries', () => {
		const tuning = attempt({ ...failed, tuning: true, at: 1 });
		const e = evidence({ attempts: [tuning, attempt({ at: 2 })], readings: [mark(tuning, 'strings', 4)] });
		expect(settled({ status: 'counts', tuning: false })).toBe(true);
		expect(marksFinder(e)(e.attempts).size).toBe(0);
		expect(outcomes(e.attempts)).toMatchObject({ finished: 1, failed: 0, notCounted: 0, tuning: 1, firstSuccess: 1 });
		expect(findSuccess(e, basis).messages).toContainEqual({ id: 'tuningPrints', params: { count: 1 } });
	});
	it('what came to its end and was of no use failed, with all of it wasted', () => {
		const useless = attempt({ outcome: 'ofNoUse', cause: 'filament' });
		expect(outcomes([useless, attempt()])).toMatchObject({ finished: 1, failed: 1, reached: [1] });
	});
	it('what was done on purpose is charged to nobody, under either rule', () => {
		const provoked = attempt({ ...failed, cause: 'onPurpose' });
		expect(outcomes([provoked], 'unknown')).toMatchObject({ failed: 0, notCounted: 1, notCountedCauses: ['onPurpose'] });
	});
	it('what was soaked says nothing of the product, even where nothing else was printed', () => {
		const e = { ...diary([[3, null, failed]], []), events: [event({ kind: 'soaked', at: DAY })] };
		expect(countedPrints(e, basis)).toMatchObject({ finished: 0, failed: 0 });
	});
	it('how prints failed is counted, whatever it was charged to; to what the others were lost is said where it is one thing', () => {
		const e = evidence({
			attempts: [
				attempt({ ...failed, failure: 'clogged' }),
				attempt({ ...failed, failure: 'clogged', cause: 'setUp' }),
				attempt({ ...failed, failure: 'wouldNotStick', cause: 'setUp' }),
				attempt()
			]
		});
		const found = findSuccess(e, basis);
		expect(found.messages).toEqual(
			expect.arrayContaining([
				{ id: 'failedHow', params: { kind: 'wouldNotStick', count: 1 } },
				{ id: 'failedHow', params: { kind: 'clogged', count: 2 } }
			])
		);
		expect(found.word).toEqual({ id: 'lostOtherwise', params: { count: 2, cause: 'setUp' } });
		const mixed = { ...e, attempts: [...e.attempts, attempt({ ...failed, cause: 'printer' })] };
		expect(findSuccess(mixed, basis).word).toEqual({ id: 'lostOtherwise', params: { count: 3, cause: null } });
	});
});

describe('whether to dry it first', () => {
	it('by signs of water in prints that were not dried, each sign once', () => {
		const e = diary(
			[
				[0, null, { signs: ['pops', 'hiss'] }],
				[0.5, null, { signs: ['hiss'] }],
				[1, null],
				[3, null, { signs: ['dots'] }]
			],
			[2]
		);
		expect(dryFirst(e, basis)).toEqual([{ id: 'dryFirst.signs', params: { prints: 2, n: 3, signs: 'hiss pops' } }]);
	});
	it('by a mark that every drying bettered, by a brittle strand; not by one that got worse once', () => {
		expect(
			dryFirst(
				diary(
					[
						[0, 2],
						[2, 0]
					],
					[1]
				),
				basis
			)
		).toEqual([{ id: 'dryFirst.pairs', params: { quantity: 'strings' } }]);
		expect(
			dryFirst(
				diary(
					[
						[0, 2],
						[2, 0],
						[10, 0],
						[12, 1]
					],
					[1, 11],
					24
				),
				basis
			)
		).toEqual([]);
		const brittle = reading({ station: 'intake', quantity: 'brittle', typedText: 'snapped in the feeder' });
		expect(dryFirst(evidence({ readings: [brittle] }), basis)).toEqual([{ id: 'dryFirst.brittle', params: {} }]);
		expect(dryFirst(evidence({ readings: [{ ...brittle, status: 'excluded' }] }), basis)).toEqual([]);
	});
	it('signs of a soaked portion are no reason', () => {
		const cut = event({ kind: 'cutOff', at: 0, portion: 'A' });
		expect(dryFirst(diary([[1, null, { signs: ['hiss'], portionId: cut.id }]], []), basis)).toEqual([]);
	});
});

describe('what is said of the share that finished', () => {
	const failed = { outcome: 'failed', percentReached: 30, cause: 'filament' } as const;
	const said = (attempts: Parameters<typeof attempt>[0][], more: Parameters<typeof evidence>[0] = {}) =>
		findSuccess(evidence({ attempts: attempts.map((a, i) => attempt({ at: 1000 + i, ...a })), ...more }), basis);
	it('all finished, three of them: the count and nothing more', () => {
		expect(said([{}, {}, {}])).toMatchObject({
			messages: [{ id: 'successCount', params: { finished: 3, n: 3 } }],
			word: null,
			missing: []
		});
	});
	it('under three it says what it rests on; before any it asks for one', () => {
		expect(said([{}, {}]).messages).toEqual([
			{ id: 'successCount', params: { finished: 2, n: 2 } },
			{ id: 'successPrior', params: { cells: 0 } }
		]);
		expect(said([])).toMatchObject({ n: 0, messages: [], missing: [{ action: 'printPiece', count: 1 }] });
	});
	it('a first success after failures is named by its attempt; none at all only of a flexible', () => {
		expect(said([failed, {}, {}]).messages).toContainEqual({ id: 'firstSuccess', params: { attempt: 2 } });
		expect(said([{}, failed, {}]).messages.map((m) => m.id)).toEqual(['successCount']);
		const never = { id: 'notPrintedAtAll', params: { n: 3 } };
		expect(said([failed, failed, failed], { spool: { material: 'TPU' } }).messages).toContainEqual(never);
		expect(said([failed, failed, failed]).messages).not.toContainEqual(never);
	});
	it('what is left out is counted: failures that are not the filament’s, prints elsewhere', () => {
		const found = said([{}, {}, {}, { ...failed, cause: 'setUp' }, { pieceId: 'other' }]);
		expect(found.messages.slice(1)).toEqual([
			{ id: 'failuresNotCounted', params: { count: 1 } },
			{ id: 'printsElsewhere', params: { count: 1 } }
		]);
	});
});
