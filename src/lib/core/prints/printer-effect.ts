import { conditionAt } from '../conditions/condition-at';
import type { SpoolEvidence } from '../evidence/spool-evidence';
import type { PrinterEffect } from '../trial/worked-out';
import type { Basis } from '../trial/basis';
import { additiveEffects, mostUsed, type LevelValue } from '../stats/additive-effects';
import { MARKS } from './marks';
import { marksFinder } from './marks-on';
import { printValues } from './print-values';

/**
 * What printers add to every measured mark of every piece a trial compares, by spools that were printed on both. Marks in words have no
 * shift.
 * @param against the trial's printer; without one the printer with the most prints
 * @example printerEffects(spools, basis, 'North').length // 2
 */
export function printerEffects(
	spools: readonly SpoolEvidence[],
	basis: Pick<Basis, 'markPieces' | 'scorerEffects'>,
	against: string | null
): PrinterEffect[] {
	const marksOn = spools.map(marksFinder);
	return MARKS.flatMap((mark) => {
		const pieceId = basis.markPieces[mark.def.id]?.[0];
		if (mark.kind === 'words' || mark.kind === 'window' || pieceId === undefined) return [];
		const values = spools.flatMap((evidence, i) => {
			const attempts = evidence.attempts.filter((a) => a.pieceId === pieceId && a.printer !== null);
			return printValues({ marks: marksOn[i]?.(attempts) ?? new Map(), basis }, mark).flatMap((r): LevelValue[] => {
				const attempt = attempts.find((a) => a.id === r.attemptId);
				if (!attempt?.printer) return [];
				const condition = conditionAt(evidence.events, attempt.at).kind;
				return [{ within: `${evidence.spool.id} ${condition}`, level: attempt.printer, value: r.value }];
			});
		});
		const reference = against !== null && values.some((v) => v.level === against) ? against : mostUsed(values);
		if (reference === null) return [];
		return additiveEffects(values, reference).map(({ level, n, within, ...effect }) => ({
			quantity: mark.def.id,
			pieceId,
			printer: level,
			...effect,
			prints: n,
			spoolIds: [...new Set(within.map((w) => w.slice(0, w.lastIndexOf(' '))))]
		}));
	});
}
