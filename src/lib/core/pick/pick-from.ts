import { COST } from './cost';
import { DrawnQuantities } from './drawn-quantities';
import { hasLoad, hasPrice, standings, STRENGTH } from './order';
import { orderRows, rowOf } from './rows';
import { Tally } from './tally';
import { tiersOf } from './tiers';
import type { Picked, PickInput, PickRow } from './types';
import { weigh } from './weigh';

/** So many draws at a time: few enough to fit into little memory. */
const AT_ONCE = 4000;
/** Worth, in the tiers, of a draw in which a limit was missed. */
const MISSED = -1;

/**
 * Draws of what the findings allow, some thousands at a time. They do not depend on weights, so whoever moves one may keep them.
 * @param draws number of draws; 2000 tell a share to about +/-2 %
 * @param seed the same seed gives the same draws on every machine
 * @example [...blocksOf({ candidates, defs }, 2000, 1)][0]?.draws // 2000
 */
export function* blocksOf(of: Pick<PickInput, 'candidates' | 'defs'>, draws: number, seed: number): Generator<DrawnQuantities> {
	for (let from = 0; from < draws; from += AT_ONCE) yield new DrawnQuantities(of, Math.min(AT_ONCE, draws - from), seed + from);
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
	const into = new Float64Array(candidates.length);
	let draws = 0;
	for (const drawn of blocks) {
		const weighing = weigh(drawn, input);
		const standing = standings(candidates, drawn, weighing, rule);
		for (let d = 0; d < drawn.draws; d++) addPlaces(standing(d, into), tallies);
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

/** Who stands before whom is counted: for some dozens of spools that is quicker than sorting them. */
function addPlaces(standing: Float64Array, tallies: readonly Tally[]): void {
	for (let i = 0; i < standing.length; i++) {
		const own = standing[i] as number;
		let before = 0;
		let alike = 0;
		for (let j = 0; j < standing.length; j++) {
			const other = standing[j] as number;
			if (other > own) before++;
			else if (other === own) alike++;
		}
		(tallies[i] as Tally).addPlace(before, alike);
	}
}
