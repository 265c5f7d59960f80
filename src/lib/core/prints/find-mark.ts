import { group } from 'd3-array';
import type { Piece } from '../evidence/piece';
import { makeFinding } from '../finding/make-finding';
import { say, type Message } from '../finding/message';
import type { Finding } from '../finding/types';
import { stated } from '../claims/stated';
import { findingOfCell } from '../posterior/finding-of-cell';
import type { Observed } from '../posterior/scale';
import { PHOTO_WORDS } from './mark-words';
import { missingOf, type Group } from './group';
import { readingsOfEntry } from './mark-entries';
import { markModel } from './mark-model';
import type { MarkDef } from './marks';
import { windowsOf } from './print-values';
import { seenOn, takenOut } from './seen';

/**
 * The finding of one mark of one piece in one condition. Prints of unlike pieces are never averaged.
 * @example findMark(group, MARKS[0]).interval // { low: 58.4, high: 74.1, level: 0.95, kind: 'credible' }
 */
export function findMark(of: Group, mark: MarkDef): Finding {
	const { evidence, condition, pieceId, context, basis } = of;
	const { observed, figure } = seenOn(of, mark);
	const readings = readingsOfEntry(mark).flatMap((q) => of.marks.get(q) ?? []);
	const out = takenOut(of, mark);
	const { parts, cells } = findingOfCell({
		evidence,
		basis,
		quantity: mark.def.id,
		kind: kindOfPiece(of),
		model: markModel(mark),
		observed,
		shared: out.shared,
		none: say('noMarks')
	});
	const common = {
		...parts,
		subject: { spoolId: evidence.spool.id, condition, pieceId },
		context,
		inputs: {
			used: readings.filter((r) => r.status === 'counts').map((r) => r.id),
			excluded: readings.filter((r) => r.status === 'excluded').map((r) => r.id),
			revision: evidence.spool.revision
		},
		missing: missingOf(of, mark, observed.length)
	};
	if (parts.n === 0) return makeFinding(mark.def, common);
	const window = mark.kind === 'window' ? sharedWindow(of, mark) : null;
	return makeFinding(mark.def, {
		...common,
		word: window?.word ?? null,
		messages: [
			...(window?.messages ?? []),
			...(mark.kind === 'ladder' ? stepsSeen(mark, observed) : []),
			...(parts.n === 1 ? [say('onePrint', { cells })] : []),
			...(mark.kind === 'measure' && mark.asked === 'photo' ? doubtfulPhotos(of, parts.n) : []),
			...out.messages
		],
		figure
	});
}

/**
 * The kind a piece belongs to: all its versions are one.
 * @example kindOfPiece({ pieceId: 'ladder-2', piece: { familyId: 'ladder' } }) // 'ladder'
 */
export const kindOfPiece = ({ piece, pieceId }: { piece: Pick<Piece, 'familyId'> | null; pieceId: string }): string =>
	piece?.familyId ?? pieceId;

/** What was seen of a ladder, prints that show the same together. */
function stepsSeen({ def }: MarkDef, observed: readonly Observed[]): Message[] {
	return [...group(observed, (o) => `${o.low} ${o.high}`).values()].flatMap(([first, ...rest]) =>
		first ? [say('stepsSeen', { quantity: def.id, clean: first.low, faulty: first.high, prints: 1 + rest.length })] : []
	);
}

/** The clean window that all prints of a temperature ladder share, and whether the label's temperatures are in it. */
function sharedWindow(of: Group, mark: MarkDef & { kind: 'window' }): { word: Message | null; messages: Message[] } {
	const windows = windowsOf(of, mark);
	const [from, to] = [Math.max(...windows.map((w) => w.from)), Math.min(...windows.map((w) => w.to))];
	if (from > to) return { word: null, messages: [say('windowsApart', { prints: windows.length })] };
	return {
		word: say('windowFromTo', { from, to }),
		messages: [
			say('windowShared', { from, to, best: (from + to) / 2, step: stepOf(of, mark), prints: windows.length }),
			...labelMessages(of, from, to)
		]
	};
}

/** Distance of two floors of a temperature ladder. */
function stepOf({ piece }: Pick<Group, 'piece'>, mark: MarkDef & { kind: 'window' }): number {
	const steps = piece?.marks.find((m) => m.mark === mark.carriedBy)?.steps ?? null;
	return steps && steps.length > 1 ? Math.abs((steps[1] as number) - (steps[0] as number)) : mark.usualStep;
}

/** Said where what the label asks for is not what came out clean. */
function labelMessages({ evidence: { claims } }: Group, from: number, to: number): Message[] {
	const [low, high] = [stated(claims, 'nozzleLowC')?.value, stated(claims, 'nozzleHighC')?.value];
	if (low === undefined || high === undefined) return [];
	return from > high || to < low ? [say('windowOffLabel', { low, high })] : [];
}

/** Said where a photograph was not good enough to be sure of. */
function doubtfulPhotos(of: Group, n: number): Message[] {
	const doubtful = PHOTO_WORDS.indexOf('doubtful');
	const said = (of.marks.get('photoQuality') ?? []).filter((r) => r.status === 'counts' && r.value === doubtful);
	const count = new Set(said.map((r) => r.attemptId)).size;
	return count === 0 ? [] : [say('photoDoubtful', { count, n })];
}
