import type { BesideFellows } from '$lib/core/answers/scorecard/beside-fellows';
import type { QuantityDef } from '$lib/core/judging/finding/types';
import { inSentence } from './quantities';
import { plural } from './numbers';

const COMPARED: Readonly<Record<string, readonly [more: string, less: string]>> = {
	costPerGoodKg: ['cheaper than', 'dearer than'],
	strengthLoad: ['stronger than', 'weaker than'],
	waterUptake: ['drier than', 'wetter than']
};

/**
 * Where a spool stands among its fellows.
 * @example standingWords({ quantity: 'strings', fellows: [0, 1, 1], worse: 0, better: 1 }) // 'as good as 2 of 3'
 */
export function standingWords({
	quantity,
	fellows,
	worse,
	better
}: Pick<BesideFellows, 'quantity' | 'fellows' | 'worse' | 'better'>): string {
	const n = fellows.length;
	const [more, less] = COMPARED[quantity] ?? ['better than', 'worse than'];
	if (n === 0) return 'the first one';
	if (worse === n) return n === 1 ? `${more} the other` : `${more} all ${n}`;
	if (better === n) return n === 1 ? `${less} the other` : `${less} all ${n}`;
	if (worse > 0 && 2 * worse >= n) return `${more} ${worse} of ${n}`;
	if (better > 0 && 2 * better >= n) return `${less} ${better} of ${n}`;
	return `as good as ${n - better} of ${n}`;
}

/**
 * A spool in a sentence beside all others of its material.
 * @example scorecardSentence(lines, 'PETG', 9, defs) // 'Better than most of 9 PETG at strings; worse than most at load.'
 */
export function scorecardSentence(
	lines: readonly BesideFellows[],
	material: string,
	fellows: number,
	defs: readonly QuantityDef[]
): string {
	const names = (of: readonly BesideFellows[]) =>
		of.map(({ quantity }) => inSentence(defs.find((d) => d.id === quantity) ?? { id: quantity })).join(', ');
	if (lines.length === 0) return 'Nothing was measured of it yet.';
	if (fellows === 0) return `The first ${material} here: there is nothing to set it beside yet.`;
	const best = lines.filter((l) => l.fellows.length > 0 && l.worse === l.fellows.length);
	const good = lines.filter((l) => !best.includes(l) && l.worse > 0 && 2 * l.worse >= l.fellows.length);
	const bad = lines.filter((l) => l.better > 0 && 2 * l.better >= l.fellows.length);
	const parts = [
		best.length ? `the best so far at ${names(best)}` : '',
		good.length ? `better than most at ${names(good)}` : '',
		bad.length ? `worse than most at ${names(bad)}` : ''
	].filter(Boolean);
	const beside = `Beside ${plural(fellows, `other ${material}`, `other ${material}`)}`;
	return parts.length ? `${beside}: ${parts.join('; ')}.` : `${beside}: nothing sets it clearly apart.`;
}
