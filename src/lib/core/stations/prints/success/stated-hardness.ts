import { stated } from '../../../record/claims/stated';
import type { SpoolEvidence } from '../../../record/evidence/spool-evidence';
import { makeFinding } from '../../../judging/finding/make-finding';
import { say } from '../../../judging/finding/message';
import type { Finding } from '../../../judging/finding/types';
import { statedHardness } from './quantities';

/** Makers state a hardness to about so much, on either scale (common practice, no source). */
const STATED_TO = 3;
/** How far a conversion may be out beyond that (common practice, no source). */
const CONVERTED_TO = 3;
/** Shore D beside Shore A, as tables of elastomers put them roughly (common practice, no source; ISO 868 converts nothing). */
const D_BESIDE_A = [
	[16, 60],
	[22, 70],
	[30, 80],
	[34, 85],
	[40, 90],
	[47, 95],
	[58, 100]
] as const;

/**
 * Where a hardness on the D scale lies on the A scale, roughly; beyond the ends of the table its ends.
 * Source: common practice, no source.
 * @param shoreD hardness, Shore D
 * @returns hardness, Shore A
 * @example besideShoreA(40) // 90
 */
export function besideShoreA(shoreD: number): number {
	const above = D_BESIDE_A.findIndex(([d]) => d >= shoreD);
	if (above <= 0) return above === 0 ? D_BESIDE_A[0][1] : 100;
	const [[d0, a0], [d1, a1]] = [D_BESIDE_A[above - 1], D_BESIDE_A[above]] as [readonly [number, number], readonly [number, number]];
	return a0 + ((shoreD - d0) / (d1 - d0)) * (a1 - a0);
}

/**
 * Hardness as its maker states it, on one scale so that spools stand in an order: Shore D as a rough band on the scale of Shore A. A statement, not a
 * measurement: it has bounds and no better grade than thin.
 * @returns nothing where none is stated
 * @example findHardness(evidence)[0]?.interval // { low: 92, high: 98, level: null, kind: 'bounds' }
 */
export function findHardness(evidence: SpoolEvidence): Finding[] {
	const [onA, onD] = (['A', 'D'] as const).map((scale) => stated(evidence.claims, `hardness${scale}`));
	const said = onA ?? onD;
	if (!said) return [];
	const scale = onA ? 'A' : 'D';
	const estimate = onA ? onA.value : besideShoreA(said.value);
	const reach = onA ? STATED_TO : STATED_TO + CONVERTED_TO;
	const [low, high] = [Math.max(0, estimate - reach), Math.min(100, estimate + reach)];
	return [
		makeFinding(statedHardness, {
			subject: { spoolId: evidence.spool.id, condition: null, pieceId: null },
			method: 'stated',
			source: 'as its maker states it; D beside A is common practice, no source',
			estimate,
			n: 1,
			interval: { low, high, level: null, kind: 'bounds' },
			sampling: { kind: 'bounds', low, high },
			gradeAtMost: 'thin',
			messages: [
				say('hardnessStated', { value: said.value, scale, source: said.source }),
				...(onA ? [] : [say('hardnessBand', { low, high })])
			],
			figure: { kind: 'dot', points: [] }
		})
	];
}
