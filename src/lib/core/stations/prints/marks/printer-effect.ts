import { conditionOf } from '../../../record/conditions/condition-at';
import type { SpoolEvidence } from '../../../record/evidence/spool-evidence';
import type { PrinterEffect, Unbridged } from '../../../judging/trial/worked-out';
import type { Basis } from '../../../judging/trial/basis';
import { additiveEffects, mostUsed, untied, type LevelValue } from '../../../kernel/stats/additive-effects';
import type { CellPrior } from '../../../judging/posterior/prior';
import { markModel } from './mark-model';
import { MARKS } from './marks';
import { marksFinder } from './marks-on';
import { printValues } from './print-values';

type Of = Pick<Basis, 'markPieces' | 'scorerEffects'>;

/** Measured marks of each compared piece by the printer, and the one they are told against. Marks in words have no shift. */
function printed(
	spools: readonly SpoolEvidence[],
	basis: Of,
	against: string | null
): { quantity: string; pieceId: string; values: LevelValue[]; reference: string; scatter: CellPrior['scatter'] | null }[] {
	const marksOn = spools.map(marksFinder);
	return MARKS.flatMap((mark) => {
		const pieceId = basis.markPieces[mark.def.id]?.[0];
		if (mark.kind === 'words' || mark.kind === 'window' || pieceId === undefined) return [];
		const values = spools.flatMap((evidence, i) => {
			const attempts = evidence.attempts.filter((a) => a.pieceId === pieceId && a.printer !== null);
			return printValues({ marks: marksOn[i]?.(attempts) ?? new Map(), basis }, mark).flatMap((r): LevelValue[] => {
				const attempt = attempts.find((a) => a.id === r.attemptId);
				if (!attempt?.printer) return [];
				const condition = conditionOf(evidence, attempt).kind;
				return [{ within: `${evidence.spool.id} ${condition}`, level: attempt.printer, value: r.value }];
			});
		});
		const reference = against !== null && values.some((v) => v.level === against) ? against : mostUsed(values);
		// Of counts the expected scatter is one of roots, which these values are not.
		const { scale, assumed } = markModel(mark);
		return reference === null
			? []
			: [{ quantity: mark.def.id, pieceId, values, reference, scatter: scale === 'plain' ? assumed.scatter : null }];
	});
}

/**
 * What printers add to every measured mark of every piece a trial compares, by spools that were printed on both. Marks in words have no
 * shift.
 * @param against the trial's printer; without one the printer with the most prints
 * @example printerEffects(spools, basis, 'North').length // 2
 */
export function printerEffects(spools: readonly SpoolEvidence[], basis: Of, against: string | null): PrinterEffect[] {
	return printed(spools, basis, against).flatMap(({ quantity, pieceId, values, reference, scatter }) =>
		additiveEffects(values, reference, scatter).map(({ level, n, within, ...effect }) => ({
			quantity,
			pieceId,
			printer: level,
			...effect,
			prints: n,
			spoolIds: [...new Set(within.map((w) => w.slice(0, w.lastIndexOf(' '))))]
		}))
	);
}

/**
 * Printers of which nobody knows what they add: no spool was printed on them and on the one that others are told against.
 * @param against as for `printerEffects`
 * @example unbridgedPrinters(spools, basis, 'North') // [{ quantity: 'overhang', kind: 'printer', name: 'South' }]
 */
export function unbridgedPrinters(spools: readonly SpoolEvidence[], basis: Of, against: string | null): Unbridged[] {
	return printed(spools, basis, against).flatMap(({ quantity, values, reference }) =>
		untied(values, reference).map((name) => ({ quantity, kind: 'printer' as const, name }))
	);
}
