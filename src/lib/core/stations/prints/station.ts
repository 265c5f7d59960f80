import type { SpoolEvidence } from '../../record/evidence/spool-evidence';
import type { Basis } from '../../judging/trial/basis';
import type { Finding, Missing, QuantityDef } from '../../judging/finding/types';
import { materialClass } from '../../judging/handbook/material-class';
import type { RecordCell } from '../../judging/posterior/record-cell';
import type { Station } from '../../judging/station/station';
import { carriedOn } from '../../record/marks/carries';
import { findFlexible, loadingCells } from './success/find-flexible';
import { findMark, kindOfPiece } from './marks/find-mark';
import { findSuccess } from './success/find-success';
import { groupsOf, type Group } from './marks/group';
import { markModel } from './marks/mark-model';
import { MARKS, type MarkDef } from './marks/marks';
import { seenOn } from './marks/seen';
import { findHardness } from './success/stated-hardness';
import { feedRate, loadEffort, printSuccess, statedHardness } from './success/quantities';
import { wetAndDry, wetDryMessage } from './ways/wet-dry';

/** Everything this station finds. */
export const PRINT_QUANTITIES: QuantityDef[] = [printSuccess, ...MARKS.map((m) => m.def), feedRate, statedHardness, loadEffort];

export const printsStation: Station = {
	id: 'prints',
	quantities: () => PRINT_QUANTITIES,
	find(evidence, basis) {
		const groups = groupsOf(evidence, basis);
		const marks = groups.flatMap((group) => MARKS.filter((mark) => carried(group, mark)).map((mark) => findMark(group, mark, groups)));
		return [
			findSuccess(evidence, basis),
			...withWetDry(marks, evidence, basis),
			...findFlexible(evidence, basis),
			...findHardness(evidence)
		];
	},
	cells: (evidence, basis) => [...markCells(evidence, basis), ...loadingCells(evidence, basis)],
	next(findings, basis) {
		const seen = new Map<string, Missing>();
		const compared = (f: Finding) => f.subject.pieceId === null || basis.markPieces[f.quantity]?.[0] === f.subject.pieceId;
		const wanted = findings.filter(compared).flatMap((f) => f.missing);
		// Two marks of one piece are one print; two pieces are two. "Any print" is one of them, if one is wanted.
		const pieceOf = (m: Missing) => ('pieceId' in m.params ? m.params.pieceId : null);
		const named = wanted.filter((m) => pieceOf(m) !== null);
		for (const m of named.length ? named : wanted) {
			const key = `${m.action} ${pieceOf(m) ?? ''}`;
			if (!seen.has(key)) seen.set(key, m);
		}
		return [...seen.values()];
	}
};

/** A piece is asked only for the marks it carries; one that is not known, for those that any may show. */
function carried({ piece }: Pick<Group, 'piece'>, mark: MarkDef): boolean {
	return piece ? carriedOn(piece, mark.carriedBy) !== null : mark.def.onSheet === true;
}

/** What drying did is said with the marks printed after it. */
function withWetDry(marks: Finding[], evidence: SpoolEvidence, basis: Basis): Finding[] {
	if (!marks.some((f) => f.subject.condition === 'dried' && f.n > 0)) return marks;
	const compared = wetAndDry(evidence, basis);
	return marks.map((finding) => {
		const of = compared.find((w) => w.quantity === finding.quantity);
		return of && finding.subject.condition === 'dried' && finding.n > 0
			? { ...finding, messages: [...finding.messages, wetDryMessage(of)] }
			: finding;
	});
}

/** Marks of each piece in each condition. */
function markCells(evidence: SpoolEvidence, basis: Basis): RecordCell[] {
	const material = materialClass(evidence.spool.material, basis.handbook);
	return groupsOf(evidence, basis).flatMap((group) =>
		MARKS.flatMap((mark): RecordCell[] => {
			const { observed } = seenOn(group, mark);
			return observed.length === 0 ? [] : [{ quantity: mark.def.id, kind: kindOfPiece(group), material, model: markModel(mark), observed }];
		})
	);
}
