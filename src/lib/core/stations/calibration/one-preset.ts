import { group } from 'd3-array';
import type { SpoolEvidence } from '../../record/evidence/spool-evidence';
import { alikeEnough, toldApart } from '../../judging/compare/apart';
import { rangedOf, type Ranged } from '../../judging/finding/measured';
import type { Finding, QuantityDef } from '../../judging/finding/types';
import { CALIBRATED } from './quantities';

/** Whether one preset does for two spools, by each calibration that both have. */
export type OnePreset = {
	first: string;
	second: string;
	/** One does; one does not; or that is not known yet. */
	outcome: 'does' | 'doesNot' | 'open';
	calibrations: { def: QuantityDef; first: Ranged; second: Ranged; outcome: OnePreset['outcome'] }[];
};

/**
 * Two spools by their calibrations: one preset does where all that they may differ by is less than what matters, in every calibration that both have;
 * it does not where one of them differs for sure and by more than matters.
 * Source: `compare/apart.ts`; told at 95 % over all calibrations of the pair together.
 * @param a findings of one spool
 * @returns null where they have no calibration in common
 * @example onePreset(findingsOfRed, findingsOfBlue)?.outcome // 'does'
 */
export function onePreset(a: readonly Finding[], b: readonly Finding[]): OnePreset | null {
	const both = CALIBRATED.flatMap(({ def, setting }) => {
		const of = (findings: readonly Finding[]) => findings.find((f) => f.quantity === def.id && f.estimate !== null);
		const [first, second] = [of(a), of(b)];
		// How fast it can flow is no setting that has to be alike.
		return first && second && setting ? [{ def, first, second }] : [];
	});
	const [any] = both;
	if (!any) return null;
	const calibrations = both.map(({ def, first, second }) => {
		const isFar = Math.abs((first.estimate as number) - (second.estimate as number)) > def.differenceThatMatters;
		const outcome = alikeEnough(first, second, def) ? 'does' : isFar && toldApart(first, second, def, both.length) ? 'doesNot' : 'open';
		return { def, first: rangedOf(first), second: rangedOf(second), outcome } as const;
	});
	return {
		first: any.first.subject.spoolId,
		second: any.second.subject.spoolId,
		outcome: calibrations.some((c) => c.outcome === 'doesNot')
			? 'doesNot'
			: calibrations.every((c) => c.outcome === 'does')
				? 'does'
				: 'open',
		calibrations
	};
}

/**
 * The same of all pairs of spools of one product, as its colours are: others are not printed with one preset.
 * @param found findings of a spool
 * @example onePresets(spools, (e) => calibrationStation.find(e, basis)).map((p) => p.outcome) // ['does']
 */
export function onePresets(spools: readonly SpoolEvidence[], found: (evidence: SpoolEvidence) => readonly Finding[]): OnePreset[] {
	const productOf = ({ spool }: SpoolEvidence) => JSON.stringify([spool.maker, spool.filament, spool.material]);
	// Of a blind trial nobody knows which spools are of one product.
	const named = spools.filter((s) => s.spool.filament !== null);
	return [...group(named, productOf).values()].flatMap((alike) => {
		const calibrated = alike.map(found).filter((findings) => findings.length > 0);
		return calibrated.flatMap((a, i) => calibrated.slice(i + 1).flatMap((b) => onePreset(a, b) ?? []));
	});
}
