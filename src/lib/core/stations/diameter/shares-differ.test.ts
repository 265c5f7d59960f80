import { probit } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import type { InstrumentBudget } from './budget';
import type { ToleranceClaim } from './claims';
import { claimVerdict } from './claim-verdict';
import { sharesDiffer } from './shares-differ';
import { normalStrand, type Strand } from './strand';
import { spreadOf } from '../../kernel/stats/spread';

const claim: ToleranceClaim = { source: 'label', toleranceMm: 0.02, lowMm: 1.73, highMm: 1.77 };
const budget: InstrumentBudget = {
	named: true,
	source: null,
	biasMm: 0,
	repeatabilityMm: 0.0003,
	standardUncertaintyMm: 0.0005,
	terms: [],
	largest: 'step',
	resolutionMm: 0.001,
	check: null,
	study: null
};
function strandOf(values: number[], of: Partial<InstrumentBudget> = {}): Strand {
	const over = spreadOf(values) as NonNullable<ReturnType<typeof spreadOf>>;
	return normalStrand(
		{
			n: over.n,
			spots: 10,
			looks: [],
			nEffective: over.n,
			meanMm: over.mean,
			sdMm: over.sd,
			lowMm: over.low,
			highMm: over.high,
			standardErrorMm: (over.sd as number) / Math.sqrt(over.n),
			df: over.n - 1,
			budget: { ...budget, ...of }
		},
		values
	);
}
const said = (strand: Strand) => sharesDiffer(strand, claim, claimVerdict(strand, claim.lowMm, claim.highMm)).map((m) => m.id);
/** Values that are normal by construction: the quantiles themselves. */
const bell = (n: number, mean: number, sd: number) => many(n, (i) => mean + sd * probit((i + 0.5) / n));
const many = (n: number, of: (i: number) => number) => Array.from({ length: n }, (_, i) => of(i));

describe('why the observed and the modelled share outside differ', () => {
	it('nothing to say where they are alike', () => {
		expect(said(strandOf(many(40, (i) => 1.75 + 0.004 * Math.sin(i * 2.4))))).toEqual(['outsideModelled']);
	});
	it('ten readings that fit go with some per cent outside: chance', () => {
		expect(said(strandOf([1.74, 1.76, 1.75, 1.765, 1.735, 1.75, 1.76, 1.74, 1.755, 1.745]))).toEqual([
			'outsideModelled',
			'differsByChance'
		]);
	});
	it('a coarse instrument pushes readings over the limit of an even strand', () => {
		// Readings spread by 0.02, of which the instrument makes nearly all.
		const scattered = strandOf(bell(200, 1.75, 0.02), { repeatabilityMm: 0.0198 });
		expect(said(scattered)).toEqual(['outsideModelled', 'differsByScatter']);
	});
	it('single thick places are no bell', () => {
		const bumpy = strandOf(many(400, (i) => (i % 16 === 0 ? 1.7725 : 1.75)));
		expect(said(bumpy)).toEqual(['outsideModelled', 'differsByTails']);
	});
	it('a coarse display rounds onto the limit, which is inside', () => {
		const shown = bell(100, 1.767, 0.006).map((v) => Number(v.toFixed(2)));
		const rounded = strandOf(shown, { resolutionMm: 0.01, repeatabilityMm: 0 });
		expect(said(rounded)).toEqual(['outsideModelled', 'differsByStep']);
	});
	it('two levels just inside make a bell with tails that are not there', () => {
		const levels = strandOf(many(300, (i) => (i % 2 ? 1.7685 : 1.7315)));
		expect(said(levels)).toEqual(['outsideModelled', 'differsByBunching']);
	});
	it('a log is counted, not modelled', () => {
		const strand: Strand = { ...strandOf([1.75, 1.76]), from: 'log' };
		expect(said(strand)).toEqual([]);
		expect(sharesDiffer(strandOf([1.75, 1.76]), claim, null)).toEqual([]);
	});
});
