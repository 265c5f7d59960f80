import { COST } from './cost';
import { DrawnQuantities, DrawnTables } from './drawn-quantities';
import { hasLoad, hasPrice, standings, STRENGTH } from './order';
import { orderRows, rowOf } from './rows';
import { Strata } from './strata';
import { Tally } from './tally';
import { tiersOf } from './tiers';
import type { Picked, PickInput, PickRow } from './types';
import { weigh } from './weigh';

/** So many draws at a time: few enough to fit into little memory. A power of two, as strata are. */
const AT_ONCE = 4096;
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
	const tallies = candidates.map(() => new Tally(candidates.length));
	let draws = 0;
	for (const drawn of blocks) {
		const weighing = weigh(drawn, input);
		addPlaces(standings(candidates, drawn, weighing, rule), drawn.draws, tallies);
		candidates.forEach((candidate, i) => {
			const tally = tallies[i] as Tally;
			const worth = weighing.worth[i] as Float64Array;
			tally.add('score', weighing.score[i] as Float64Array);
			tally.add('worth', worth);
			tally.add(
				'inTiers',
				worth.map((w, d) => (weighing.passes[i]?.[d] ? w : MISSED))
			);
			if (hasPrice(candidate)) tally.add('cost', drawn.raw(COST)[i] as Float64Array);
			if (hasLoad(candidate)) tally.add('strength', drawn.raw(STRENGTH)[i] as Float64Array);
			for (const { quantity, weight } of criteria) if (weight > 0) tally.add(quantity, drawn.values(quantity)[i] as Float64Array);
		});
		draws += drawn.draws;
		onBlock?.(draws);
	}
	const rows = candidates.map((candidate, i) => rowOf(candidate, input, tallies[i] as Tally));
	setTiers(rows, tallies);
	const byId = <T>(of: (tally: Tally) => T) => Object.fromEntries(candidates.map((c, i) => [c.spoolId, of(tallies[i] as Tally)]));
	return {
		rows: orderRows(rows, rule),
		chances: { draws, places: byId((t) => t.places(draws)), worth: byId((t) => t.range('worth')), cost: byId((t) => t.range('cost')) }
	};
}

/** Tiers among those that may be bought: who misses a limit or never finished a print is in none. */
function setTiers(rows: readonly PickRow[], tallies: readonly Tally[]): void {
	const among = rows.flatMap((row, i) => (row.eligible && !row.neverFinished ? [i] : []));
	const tiers = tiersOf(among.map((i) => (tallies[i] as Tally).all('inTiers')));
	among.forEach((i, k) => ((rows[i] as PickRow).tier = tiers[k] ?? null));
}

/**
 * Who stands before whom is counted, pair by pair: for some dozens of spools that is quicker than sorting them. Ties share the places they cover in
 * equal parts.
 */
function addPlaces(standing: readonly Float64Array[], draws: number, tallies: readonly Tally[]): void {
	const n = standing.length;
	const row = new Float64Array(n);
	const before = new Int32Array(n);
	const alike = new Int32Array(n);
	for (let d = 0; d < draws; d++) {
		before.fill(0);
		alike.fill(1);
		for (let i = 0; i < n; i++) row[i] = (standing[i] as Float64Array)[d] as number;
		for (let i = 0; i < n; i++) {
			const own = row[i] as number;
			for (let j = i + 1; j < n; j++) {
				const other = row[j] as number;
				if (other > own) before[i] = (before[i] as number) + 1;
				else if (other < own) before[j] = (before[j] as number) + 1;
				else {
					alike[i] = (alike[i] as number) + 1;
					alike[j] = (alike[j] as number) + 1;
				}
			}
		}
		for (let i = 0; i < n; i++) (tallies[i] as Tally).addPlace(before[i] as number, alike[i] as number);
	}
}
