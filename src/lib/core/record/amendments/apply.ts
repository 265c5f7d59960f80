import type { SampleRange } from '../gauge-log/left-out';
import type { Amended } from '../evidence/amended';

type AmendmentAction = 'correct' | 'exclude' | 'reinstate' | 'confirm' | 'undo';

export type Amendment = {
	id: string;
	targetId: string;
	action: AmendmentAction;
	/** For `undo`: the amendment taken back. */
	undoesId: string | null;
	/** For `correct`: the fields that supersede the raw ones. */
	replacement: Record<string, unknown> | null;
	reason: string;
	at: number;
	/** The order in which it was written, which decides; clocks may be wrong. Made up by hand (a test), time decides. */
	seq?: number;
	/** For `exclude` of part of a log: its samples, both ends included. */
	range?: SampleRange | null;
};

/** Which of two was written first. */
const written = (a: Amendment, b: Amendment): number =>
	(a.seq !== undefined && b.seq !== undefined ? a.seq - b.seq : a.at - b.at) || (a.id < b.id ? -1 : 1);

/**
 * Which amendments are in force: one that is undone is not, unless the undo itself was undone.
 * @param amendments in any order; the order in which they were written decides
 * @example inForce([correction, { ...undo, undoesId: correction.id }]) // []
 */
export function inForce<A extends Amendment>(amendments: readonly A[]): A[] {
	const inOrder = [...amendments].sort(written);
	const undone = new Set<string>();
	// From the newest backwards, so that an undo is judged before what it points at.
	for (const amendment of [...inOrder].reverse()) {
		if (amendment.action === 'undo' && amendment.undoesId && !undone.has(amendment.id)) undone.add(amendment.undoesId);
	}
	return inOrder.filter((a) => a.action !== 'undo' && !undone.has(a.id));
}

/**
 * A raw record as its amendments leave it: fields superseded by corrections in the order in which they were written, marked invalid or not.
 * The raw record is not touched.
 * @example applyAmendments({ id: 'r1', value: 1.57 }, [correctTo175]) // { id: 'r1', value: 1.75, status: 'counts', corrected: true, confirmed: false }
 */
export function applyAmendments<T extends { id: string }>(raw: T, amendments: readonly Amendment[]): T & Amended {
	let record: T & Amended = { ...raw, status: 'counts', corrected: false, confirmed: false };
	if (amendments.length === 0) return record;
	for (const amendment of inForce(amendments.filter((a) => a.targetId === raw.id && !a.range))) {
		if (amendment.action === 'correct') record = { ...record, ...amendment.replacement, corrected: true };
		else if (amendment.action === 'confirm') record = { ...record, confirmed: true };
		else record = { ...record, status: amendment.action === 'exclude' ? 'excluded' : 'counts' };
	}
	return record;
}

/**
 * Parts of a log that amendments in force leave out.
 * @example leftOutOf(log.id, amendments) // [{ from: 0, to: 99, amendmentId: 'a1', reason: 'start of the winding' }]
 */
export function leftOutOf(targetId: string, amendments: readonly Amendment[]): (SampleRange & { amendmentId: string; reason: string })[] {
	return inForce(amendments.filter((a) => a.targetId === targetId)).flatMap(({ id, range, reason }) =>
		range ? [{ ...range, amendmentId: id, reason }] : []
	);
}
