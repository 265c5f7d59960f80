import { nth } from '../../kernel/lists/nth';
import { compactLetterDisplay } from '../../judging/compare/compact-letter-display';
import type { SpoolEvidence } from '../../record/evidence/spool-evidence';
import type { Basis } from '../../judging/trial/basis';
import { brownForsythe, type BrownForsythe } from '../../kernel/stats/brown-forsythe';
import { gamesHowell } from '../../kernel/stats/games-howell';
import { nestedVariance, type NestedVariance } from '../../kernel/stats/nested-variance';
import { spreadOf } from '../../kernel/stats/spread';
import { meanOfPlace } from './strand-of-readings';
import { strandSubject } from './subject';

/** One spool on the common scale; places are its independent witnesses, of a log as many as it is worth. */
export type SpoolOnScale = {
	spoolId: string;
	places: number;
	placeMeansMm: number[];
	meanMm: number;
	/** Null for one place. */
	sdMm: number | null;
	instrument: string;
	/** Stated limits of its own label; null where none are stated. */
	limits: { lowMm: number; highMm: number } | null;
	/** Shared by spools whose means cannot be told apart; empty where nothing can be said. */
	letters: string;
};

export type BetweenSpools = {
	spools: SpoolOnScale[];
	spreads: BrownForsythe | null;
	/** Pairs whose means differ surely, the largest difference first. */
	apart: { a: string; b: string; differenceMm: number; lowMm: number; highMm: number }[];
	/** Where spools were read with different instruments, their common errors do not cancel. */
	unlikeInstruments: boolean;
	/** Products of which more than one spool was read. */
	products: { maker: string; filament: string; lotsApart: boolean; variance: NestedVariance }[];
};

/**
 * Spools beside one another: equal spreads by Brown-Forsythe, means by Games-Howell over the means of their places, with letters for what
 * cannot be told apart. Of one instrument its common error cancels in a difference; of two it is added. Products with several spools are
 * split into spread within a spool, between spools and between lots.
 * Source: Brown & Forsythe 1974; Games & Howell 1976; Piepho 2004 (letters); Searle et al. 1992 (components).
 * @example betweenSpools(evidence, basis).spools.map((s) => s.letters) // ['a', 'ab', 'b']
 */
export function betweenSpools(evidence: readonly SpoolEvidence[], basis: Basis): BetweenSpools {
	const read = evidence.flatMap((one) => {
		const { strand, places, claims, common, log, read: single } = strandSubject(one, basis);
		if (!strand) return [];
		const means = places.map(meanOfPlace);
		const over = spreadOf(means);
		// A log knows its mean and spread from all its samples; its picture's columns stand for its places.
		const group = log
			? { mean: strand.meanMm, sd: strand.sdMm ?? 0, n: strand.nEffective }
			: { mean: over?.mean ?? 0, sd: over?.sd ?? 0, n: means.length };
		const instrument = log ? log.instrumentId : (single?.counted[0]?.instrumentId ?? null);
		return [
			{
				one,
				means,
				group,
				instrument: instrument ?? '',
				name: common.context.instruments[0] ?? '',
				u: strand.budget.standardUncertaintyMm,
				claim: claims[0] ?? null
			}
		];
	});
	const groups = read.map((r) => r.group);
	const instruments = read.map((r) => r.instrument);
	const common = (i: number, j: number) => (instruments[i] === instruments[j] ? 0 : Math.hypot(...[i, j].map((k) => read[k]?.u ?? 0)));
	const tests = gamesHowell(groups, { commonSd: common });
	const surely = new Map(tests.map((t) => [`${t.i} ${t.j}`, t.p < 0.05]));
	const tested = [...new Set(tests.flatMap((t) => [t.i, t.j]))].sort((a, b) => (groups[a]?.mean ?? 0) - (groups[b]?.mean ?? 0));
	const apart = (x: number, y: number) => {
		const [i, j] = [nth(tested, x), nth(tested, y)].sort((a, b) => a - b);
		return surely.get(`${i} ${j}`) ?? false;
	};
	const given = compactLetterDisplay(tested.length, apart);
	const lettersOf = new Map(tested.map((index, at) => [index, nth(given, at)]));
	const idOf = (i: number) => read[i]?.one.spool.id ?? '';
	return {
		spools: read.map(({ one, means, group, name, claim }, i) => ({
			spoolId: one.spool.id,
			places: group.n,
			placeMeansMm: means,
			meanMm: group.mean,
			sdMm: group.n > 1 ? group.sd : null,
			instrument: name,
			limits: claim ? { lowMm: claim.lowMm, highMm: claim.highMm } : null,
			letters: lettersOf.get(i) ?? ''
		})),
		spreads: brownForsythe(read.map(({ means }) => means)),
		apart: tests
			.filter((t) => t.p < 0.05)
			.map((t) => ({ a: idOf(t.i), b: idOf(t.j), differenceMm: t.difference, lowMm: t.low, highMm: t.high }))
			.sort((a, b) => Math.abs(b.differenceMm) - Math.abs(a.differenceMm)),
		unlikeInstruments: new Set(instruments).size > 1,
		products: productsOf(read.map(({ one, means }) => ({ one, means })))
	};
}

function productsOf(read: readonly { one: SpoolEvidence; means: number[] }[]): BetweenSpools['products'] {
	const byProduct = new Map<string, { one: SpoolEvidence; means: number[] }[]>();
	for (const spool of read) {
		const { maker, filament } = spool.one.spool;
		// While a trial is blind nobody may see which spools are of one product.
		if (maker === null || filament === null) continue;
		const key = `${maker}\n${filament}`;
		byProduct.set(key, [...(byProduct.get(key) ?? []), spool]);
	}
	return [...byProduct.values()]
		.filter((spools) => spools.length > 1)
		.map((spools) => {
			const lots = new Map<string, number[][]>();
			for (const { one, means } of spools) {
				// A spool whose lot is not known may be of any: it stands for one of its own.
				const lot = one.spool.lot ?? one.spool.id;
				lots.set(lot, [...(lots.get(lot) ?? []), means]);
			}
			const { maker, filament } = (spools[0] as (typeof spools)[number]).one.spool;
			const nested = [...lots.values()];
			// With one spool of each lot the two cannot be parted: then only spools are told apart.
			const lotsApart = nested.some((spools) => spools.length > 1) && nested.length > 1;
			const variance = nestedVariance(lotsApart ? nested : [nested.flat()]);
			return { maker: maker ?? '', filament: filament ?? '', lotsApart, variance };
		});
}
