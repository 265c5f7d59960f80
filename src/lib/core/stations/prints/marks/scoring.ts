import { conditionOf } from '../../../record/conditions/condition-at';
import type { Attempt } from '../../../record/evidence/attempt';
import type { OwnMeasure } from '../../../record/evidence/own-measure';
import type { Piece } from '../../../record/evidence/piece';
import type { SpoolEvidence } from '../../../record/evidence/spool-evidence';
import type { ConditionKind } from '../../../record/lists/closed-lists';
import { carriedOn } from '../../../record/marks/carries';
import { MARKS, type MarkDef } from './marks';

/** One thing to be said of a print. */
export type Question =
	| { kind: 'ladder'; id: string; lastClean: string; firstFaulty: string; steps: number[]; unit: string }
	| { kind: 'words'; id: string; reading: string; words: readonly string[] }
	/** Several faults, each by its severity; nothing seen is "none" for all. */
	| { kind: 'faults'; id: string; readings: readonly string[]; words: readonly string[] }
	/** `own`: the tester's own measure that is asked for. */
	| { kind: 'measure'; id: string; reading: string; own?: Pick<OwnMeasure, 'id' | 'name' | 'unit' | 'words'> }
	/** The coolest and the hottest clean floor of a temperature ladder. */
	| { kind: 'window'; id: string; from: string; to: string; steps: number[] };

/** A print that waits to be looked at. */
export type Waiting = { spoolId: string; code: string; attemptId: string; condition: ConditionKind; questions: Question[] };

/**
 * What can be said of a print of a piece, in the order it is asked.
 * @param extra questions that are asked only on request, and are here
 * @example questionsOf(piece).map((q) => q.id) // ['overhang', 'bridge', 'strings', 'surface', 'bridgeSag']
 */
export function questionsOf(piece: Piece, extra: readonly Question[] = []): Question[] {
	const all = [...MARKS.filter((mark) => mark.asked === undefined).flatMap((mark) => questionOf(piece, mark)), ...extra];
	// What one look answers comes first; what wants a tool in the hand, last.
	return [...all.filter((q) => q.kind !== 'measure'), ...all.filter((q) => q.kind === 'measure')];
}

/** What is asked for one mark of a piece; nothing where it does not carry it. */
function questionOf(piece: Piece, mark: MarkDef): Question[] {
	const carried = carriedOn(piece, mark.carriedBy);
	if (!carried) return [];
	const { id, unit } = mark.def;
	if (mark.kind === 'ladder')
		return carried.steps
			? [{ kind: 'ladder', id, lastClean: mark.lastClean, firstFaulty: mark.firstFaulty, steps: carried.steps, unit }]
			: [];
	if (mark.kind === 'window')
		return carried.steps ? [{ kind: 'window', id, from: mark.from, to: mark.to, steps: [...carried.steps].sort((a, b) => a - b) }] : [];
	if (mark.kind === 'measure') return [{ kind: 'measure', id, reading: mark.reading }];
	const { readings, words } = mark;
	return readings.length > 1
		? [{ kind: 'faults', id, readings, words }]
		: readings.map((reading) => ({ kind: 'words', id, reading, words }));
}

/** The own measure a question asks for; null for all others. */
const ownOf = (q: Question): string | null => (q.kind === 'measure' ? (q.own?.id ?? null) : null);

/** Readings that answer a question. */
const readingsOf = (q: Question): readonly string[] =>
	q.kind === 'ladder' ? [q.lastClean] : q.kind === 'window' ? [q.from] : q.kind === 'faults' ? q.readings : [q.reading];

/**
 * Questions a piece can be asked beside the usual ones: a count of strands, and what a tester measures of his own.
 * @example onRequest(spikesInPairs, []).map((q) => q.id) // ['stringCount']
 */
export function onRequest(piece: Piece, ownMeasures: readonly OwnMeasure[]): Question[] {
	const own = ownMeasures.map(({ id, name, unit, words }): Question => ({
		kind: 'measure',
		id: `own.${id}`,
		reading: 'own',
		own: { id, name, unit, words }
	}));
	return [...MARKS.filter((m) => m.asked === 'onRequest').flatMap((mark) => questionOf(piece, mark)), ...own];
}

/** Whose prints wait: what nobody has scored; what one scorer has not, whoever else has; what one scorer has scored once and looks at again. */
export type Sitting = { kind: 'unscored' } | { kind: 'after' | 'again'; scorer: string };

/**
 * Finished prints of a piece with what is still to be said of each, in an order that has nothing to do with spool or time: the same seed
 * gives the same order, whatever was scored meanwhile.
 * @param seed one for each sitting
 * @param sitting whose prints wait
 * @param extra questions that are asked only on request, and are here
 * @example scoringQueue(spools, piece, 7)[0].questions[0].id // 'overhang'
 */
export function scoringQueue(
	spools: readonly SpoolEvidence[],
	piece: Piece,
	seed: number,
	sitting: Sitting = { kind: 'unscored' },
	extra: readonly Question[] = []
): Waiting[] {
	const questions = questionsOf(piece, extra);
	const prints = spools.flatMap((evidence) =>
		evidence.attempts
			.filter((a) => a.pieceId === piece.id && a.status === 'counts' && a.outcome === 'finished')
			.map((attempt) => ({ evidence, attempt, place: placeOf(attempt, seed) }))
	);
	return prints
		.sort((a, b) => a.place - b.place || (a.attempt.id < b.attempt.id ? -1 : 1))
		.flatMap(({ evidence, attempt }) => {
			const here = evidence.readings.filter((r) => r.attemptId === attempt.id && r.status === 'counts');
			const by = sitting.kind === 'unscored' ? here : here.filter((r) => r.scorer === sitting.scorer);
			const roundsOfQuestion = (q: Question) =>
				Math.max(...readingsOf(q).map((reading) => by.filter((r) => r.quantity === reading && r.ownMeasureId === ownOf(q)).length));
			const left = questions.filter((q) => roundsOfQuestion(q) === (sitting.kind === 'again' ? 1 : 0));
			if (left.length === 0) return [];
			const condition = conditionOf(evidence, attempt).kind;
			return [{ spoolId: evidence.spool.id, code: evidence.spool.code, attemptId: attempt.id, condition, questions: left }];
		});
}

/**
 * A print's own place in the order: mixed from the seed and its id, so that it stays where it is when others go.
 * Source: FNV-1a with the finishing step of MurmurHash3.
 */
function placeOf({ id }: Pick<Attempt, 'id'>, seed: number): number {
	let hash = 0x811c9dc5 ^ seed;
	for (let i = 0; i < id.length; i++) hash = Math.imul(hash ^ id.charCodeAt(i), 0x01000193);
	hash = Math.imul(hash ^ (hash >>> 16), 0x85ebca6b);
	hash = Math.imul(hash ^ (hash >>> 13), 0xc2b2ae35);
	return (hash ^ (hash >>> 16)) >>> 0;
}
