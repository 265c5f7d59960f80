import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import reference from '../../../../../tests/reference/prints.json' with { type: 'json' };
import { weightedKappa } from './kappa';
import { signTest } from './sign-test';
import { wilcoxonSignedRank } from './wilcoxon';

describe('signed ranks', () => {
	const { noTies, v, p, withTies, vTies, pTies, nTies } = reference.wilcoxon;
	it('is R’s wilcox.test(exact = TRUE) without ties', () => {
		const found = wilcoxonSignedRank(noTies);
		expect(found).toMatchObject({ rankSum: v, pairs: noTies.length });
		expect(found?.p).toBeCloseTo(p, 12);
	});
	it('with ties and zeros is the enumeration of all signs', () => {
		const found = wilcoxonSignedRank(withTies);
		expect(found).toMatchObject({ rankSum: vTies, pairs: nTies });
		expect(found?.p).toBeCloseTo(pTies, 12);
	});
	it('says nothing of pairs that are all alike, and is even-handed (property)', () => {
		expect(wilcoxonSignedRank([0, 0])).toBeNull();
		expect(wilcoxonSignedRank([])).toBeNull();
		fc.assert(
			fc.property(fc.array(fc.integer({ min: -5, max: 5 }), { minLength: 1, maxLength: 14 }), (d) => {
				const there = wilcoxonSignedRank(d);
				const back = wilcoxonSignedRank(d.map((x) => -x));
				if (!there || !back) return void expect([there, back]).toEqual([null, null]);
				expect(back.p).toBeCloseTo(there.p, 12);
				expect(there.p).toBeLessThanOrEqual(1);
			}),
			{ seed: 5 }
		);
	});
	it('McNemar’s exact test is the sign test of what changed (R’s binom.test)', () => {
		for (const { gained, lost, p: expected } of reference.mcnemar) expect(signTest(gained, lost).p).toBeCloseTo(expected, 9);
	});
});

describe('kappa with quadratic weights', () => {
	const pairs = reference.kappa.table.flatMap((row, i) => row.flatMap((count, j) => Array.from({ length: count }, () => [i, j] as const)));
	it('and its standard error are R’s', () => {
		const found = weightedKappa(pairs, 4);
		expect(found?.kappa).toBeCloseTo(reference.kappa.kappa, 10);
		expect(found?.standardError).toBeCloseTo(reference.kappa.standardError, 10);
	});
	it('full agreement is 1 without doubt, none where one word was given throughout', () => {
		expect(
			weightedKappa(
				[
					[0, 0],
					[1, 1],
					[3, 3]
				],
				4
			)
		).toMatchObject({ kappa: 1, low: 1, high: 1 });
		expect(
			weightedKappa(
				[
					[1, 1],
					[1, 1]
				],
				4
			)
		).toBeNull();
		expect(weightedKappa([[1, 2]], 4)).toBeNull();
	});
});
