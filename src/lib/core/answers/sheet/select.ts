import type { Basis } from '../../judging/trial/basis';
import { wantedCondition } from '../../judging/trial/wanted';
import type { Finding } from '../../judging/finding/types';

/**
 * The findings of one spool and quantity that belong on the sheet, the one that counts first.
 * Of several conditions the protocol's wanted one counts, else the first that has evidence: the flag for unlike conditions then shows.
 * Findings of other pieces than the one the mark is compared on, and of other kinds of specimen than the compared one, are left to the spool page.
 * @example selectFindings(findings, 'overhang', basis)[0].subject.condition // 'asReceived'
 */
export function selectFindings(findings: readonly Finding[], quantity: string, basis: Basis): Finding[] {
	const wanted = wantedCondition(basis);
	const kinds = Object.values(basis.specimenKinds);
	const rank = (f: Finding) =>
		(f.n === 0 ? 4 : 0) + (f.subject.condition === null || f.subject.condition === wanted ? 0 : f.subject.condition === 'dried' ? 1 : 2);
	const here = findings.filter((f) => f.quantity === quantity && (f.subject.variant === null || kinds.includes(f.subject.variant)));
	const compared = basis.markPieces[quantity] ?? [];
	// Another version or piece of the trial speaks only where the one that counts was not printed and no spool ties the two; the flag for unlike pieces
	// then shows.
	const pieces = compared.length === 0 ? [] : [...compared, ...basis.pieceIds];
	const pieceId = pieces.find((id) => here.some((f) => f.subject.pieceId === id && f.n > 0)) ?? pieces[0];
	return here.filter((f) => f.subject.pieceId === null || f.subject.pieceId === pieceId).sort((a, b) => rank(a) - rank(b));
}
