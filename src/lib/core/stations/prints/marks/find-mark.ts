import { nth } from '../../../kernel/lists/nth';
import { group } from 'd3-array';
import type { Piece } from '../../../record/evidence/piece';
import { makeFinding } from '../../../judging/finding/make-finding';
import { say, type Message } from '../../../judging/finding/message';
import type { Finding, SharedPart } from '../../../judging/finding/types';
import { stated } from '../../../record/claims/stated';
import { findingOfCell } from '../../../judging/cells/finding-of-cell';
import type { Observed } from '../../../judging/posterior/scale';
import { contextOf } from './context';
import { PHOTO_WORDS } from '../../../record/marks/mark-words';
import { missingOf, type Group } from './group';
import { readingsOfEntry } from '../../../record/marks/mark-entries';
import { markModel } from './mark-model';
import type { MarkDef } from './marks';
import { seenElsewhere } from './other-pieces';
import { printersFaults, windowsOf } from './print-values';
import { seenOn, takenOut } from './seen';
import { settled } from '../../../record/evidence/settled';

/**
 * The finding of one mark of one piece in one condition. Prints of unlike pieces are never averaged.
 * @param groups all of the spool: prints of other pieces count as well, where their effect is known
 * @example findMark(group, MARKS[0]).interval // { low: 58.4, high: 74.1, level: 0.95, kind: 'credible' }
 */
export function findMark(of: Group, mark: MarkDef, groups: readonly Group[] = []): Finding {
	const { evidence, condition, pieceId, basis } = of;
	const elsewhere = seenElsewhere(of, groups, mark);
	const own = seenOn(of, mark);
	const observed = [...own.observed, ...elsewhere.observed];
	const [first] = elsewhere.groups;
	// Drawn is what was seen on the compared piece; where it was printed on others only, on one of those.
	const figure = own.observed.length === 0 && first ? seenOn(first, mark).figure : own.figure;
	const all = [of, ...elsewhere.groups];
	const readings = all.flatMap((g) => readingsOfEntry(mark).flatMap((q) => g.marks.get(q) ?? []));
	const context = elsewhere.groups.length === 0 ? of.context : contextOf(evidence, all.flatMap((g) => g.attempts).filter(settled));
	const out =
		elsewhere.groups.length === 0
			? takenOut(of, mark)
			: { ...elsewhere, messages: [...elsewhere.messages, ...takenOut(of, mark).messages] };
	const { parts, cells } = findingOfCell({
		evidence,
		basis,
		quantity: mark.def.id,
		kind: kindOfPiece(of),
		model: markModel(mark),
		observed,
		shared: [...out.shared, ...unlikePiece(of, mark)],
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
			...(mark.kind === 'ladder' ? stepsSeen(mark, own.observed) : []),
			...(parts.n === 1 ? [say('onePrint', { cells })] : []),
			...(mark.kind === 'measure' && mark.asked === 'photo' ? doubtfulPhotos(of, parts.n) : []),
			...(mark.def.id === 'surface' ? faultsOfPrinter(of) : []),
			...out.messages
		],
		figure
	});
}

/**
 * What nobody knows of a piece that no spool ties to the one a mark is compared on: it may shift the mark by a difference that matters (common
 * practice, no source).
 */
function unlikePiece({ basis, pieceId }: Group, { def }: MarkDef): SharedPart[] {
	const main = basis.markPieces[def.id]?.[0];
	const isTied = basis.pieceEffects.some((e) => e.quantity === def.id && e.pieceId === pieceId);
	return main === undefined || main === pieceId || isTied ? [] : [{ source: `piece ${pieceId}`, sd: def.differenceThatMatters }];
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
	return steps && steps.length > 1 ? Math.abs(nth(steps, 1) - nth(steps, 0)) : mark.usualStep;
}

/** Said where what the label asks for is not what came out clean. */
function labelMessages({ evidence: { claims } }: Group, from: number, to: number): Message[] {
	const [low, high] = [stated(claims, 'nozzleLowC')?.value, stated(claims, 'nozzleHighC')?.value];
	if (low === undefined || high === undefined) return [];
	return from > high || to < low ? [say('windowOffLabel', { low, high })] : [];
}

/** Said where faults of the surface are the printer's. */
function faultsOfPrinter({ marks }: Group): Message[] {
	const charged = [...printersFaults(marks)].map((key) => key.split(' ') as [attemptId: string, fault: string]);
	return [...group(charged, ([, fault]) => fault)].map(([fault, of]) => say('faultOfPrinter', { fault, prints: of.length }));
}

/** Said where a photograph was not good enough to be sure of. */
function doubtfulPhotos(of: Group, n: number): Message[] {
	const doubtful = PHOTO_WORDS.indexOf('doubtful');
	const said = (of.marks.get('photoQuality') ?? []).filter((r) => r.status === 'counts' && r.value === doubtful);
	const count = new Set(said.map((r) => r.attemptId)).size;
	return count === 0 ? [] : [say('photoDoubtful', { count, n })];
}
