import { nth } from '../../kernel/lists/nth';
import { COST } from './cost';
import { DrawnQuantities, DrawnTables, meanOf } from './drawn-quantities';
import { hasLoad, hasPrice, standings, STRENGTH } from './order';
import { orderRows, rowOf } from './rows';
import { Places } from './places';
import { Strata } from './strata';
import { Tally } from './tally';
import { tiersOfBlocks } from './tiers';
import type { Candidate, Picked, PickInput, PickRow } from './types';
import { weigh } from './weigh';

/** So many draws at a time: few enough to fit into little memory. A power of two, as strata are. */
const AT_ONCE = 1024;
/** Worth, in the tiers, of a draw in which a limit was missed. */
const MISSED = -1;

/**
 * Draws of what the findings allow, some thousands at a time. They do not depend on weights, so whoever moves one may keep them.
 * @param draws number of draws; 2000 tell a share to about +/-2 %
 * @param seed the same seed gives the same draws on every machine
 * @example [...blocksOf({ candidates, defs }, 2000, 1)][0]?.draws // 2000
 */
export function* blocksOf(of: Pick<PickInput, 'candidates' | 'defs'>, draws: number, seed: number): Generator<DrawnQuantities> {
	const count = Math.min(AT_ONCE, 2 ** Math.ceil(Math.log2(Math.max(2, draws))));
	const tables = new DrawnTables(of, new Strata(count, seed));
	for (let block = 0; block * count < draws; block++) yield new DrawnQuantities(tables, block, Math.min(count, draws - block * count));
}

/**
 * The pick: places, tiers and chances, all from the same draws. Limits and values are looked at anew in each draw.
 * Source: Lahdelma & Salminen 2001 (SMAA-2), rank acceptability with fixed weights; tiers: `tiers.ts`.
 * @param blocks draws, as `blocksOf` gives them
 * @param onBlock called after each block with the number of draws done
 * @example pickFrom(input, blocksOf(input, 2000, 1)).rows[0]?.code // the first place
 */
export function pickFrom(input: PickInput, blocks: Iterable<DrawnQuantities>, onBlock?: (draws: number) => void): Picked {
	const { candidates, criteria, rule } = input;
	const tallies = candidates.map(() => new Tally());
	const isReference = (candidate: Candidate) => input.references?.includes(candidate.spoolId) ?? false;
	/** Who takes a place. */
	const ranked = candidates.flatMap((c, i) => (isReference(c) ? [] : [i]));
	const places = new Places(ranked.length);
	let draws = 0;
	for (const drawn of blocks) {
		const weighing = weigh(drawn, input);
		const standing = standings(candidates, drawn, weighing, rule);
		places.add(ranked.map((i) => nth(standing, i)));
		candidates.forEach((candidate, i) => {
			const tally = nth(tallies, i);
			const worth = nth(weighing.worth, i);
			const mean = (what: string, of: number) => tally.add(what, of, drawn.draws);
			const ofWorth = meanOf(worth);
			const score = nth(weighing.score, i);
			mean('worth', ofWorth);
			// Without cost the one is the other.
			mean('score', score === worth ? ofWorth : meanOf(score));
			tally.keepForRange('worth', worth);
			for (const { id, values } of weighing.groups) tally.keepForRange(id, nth(values, i));
			tally.keep('inTiers', inTiers(worth, nth(weighing.passes, i)));
			if (hasPrice(candidate)) tally.keepForRange('cost', nth(drawn.raw(COST), i));
			if (hasLoad(candidate)) mean('strength', meanOf(nth(drawn.raw(STRENGTH), i)));
			for (const { quantity, weight } of criteria) if (weight > 0) mean(quantity, drawn.meanWorth(quantity, i));
		});
		draws += drawn.draws;
		onBlock?.(draws);
	}
	const rowAt = (i: number) => rowOf(nth(candidates, i), input, nth(tallies, i));
	const rows = ranked.map(rowAt);
	setTiers(
		rows,
		ranked.map((i) => nth(tallies, i))
	);
	const ranges = (what: string) => Object.fromEntries(candidates.map((c, i) => [c.spoolId, nth(tallies, i).range(what)]));
	return {
		rows: orderRows(rows, rule),
		references: candidates.flatMap((c, i) => (isReference(c) ? [rowAt(i)] : [])),
		chances: {
			draws,
			places: Object.fromEntries(ranked.map((i, k) => [nth(candidates, i).spoolId, places.of(k, draws)])),
			worth: ranges('worth'),
			cost: ranges('cost')
		}
	};
}

/** Tiers among those that may be bought: who misses a limit or never finished a print is in none. */
function setTiers(rows: readonly PickRow[], tallies: readonly Tally[]): void {
	const among = rows.flatMap((row, i) => (row.eligible && !row.neverFinished ? [i] : []));
	const tiers = tiersOfBlocks(among.map((i) => nth(tallies, i).blocks('inTiers')));
	among.forEach((i, k) => (nth(rows, i).tier = tiers[k] ?? null));
}

/** Worth as the tiers go by it. Mostly there is no limit, or all draws meet it. */
const inTiers = (worth: Float64Array, passes: Uint8Array): Float64Array =>
	passes.includes(0) ? worth.map((w, d) => (passes[d] ? w : MISSED)) : worth;
