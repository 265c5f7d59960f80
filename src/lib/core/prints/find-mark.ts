import type { BorrowedScatter } from '../trial/worked-out';
import { findFromValues } from '../finding/find-from-values';
import { makeFinding } from '../finding/make-finding';
import { say, type Message } from '../finding/message';
import type { Finding } from '../finding/types';
import { stated } from '../claims/stated';
import { borrowedScatter } from '../house/borrowed-scatter';
import { PHOTO_WORDS } from './mark-words';
import { missingOf, type Group } from './group';
import { ladder, type LadderMark } from './ladder';
import type { MarkDef } from './marks';
import { ordinal } from './ordinal';
import { firstFaulties, leniencyOf, printValues, windowsOf } from './print-values';
import type { PrinterEffect } from '../trial/worked-out';
import { readingsOfMark } from './scorings';

type Ladder = MarkDef & { kind: 'ladder' };
type Words = MarkDef & { kind: 'words' };
type Window = MarkDef & { kind: 'window' };
type Measure = MarkDef & { kind: 'measure' };

/**
 * The finding of one mark of one piece in one condition. Prints of unlike pieces are never averaged.
 * @example findMark(group, MARKS[0]).estimate // 65
 */
export function findMark(group: Group, mark: MarkDef): Finding {
	if (mark.kind === 'ladder') return findLadder(group, mark);
	if (mark.kind === 'window') return findWindow(group, mark);
	return mark.kind === 'words' ? findWords(group, mark) : findMeasure(group, mark);
}

const UNKNOWN = { kind: 'unknown', reason: say('noMarks') } as const;

/** Parts that every finding of a mark shares. */
function commonOf(group: Group, mark: MarkDef, quantities: readonly string[], marked: number) {
	const { evidence, condition, pieceId, context } = group;
	const marks = quantities.flatMap((q) => group.marks.get(q) ?? []);
	return {
		subject: { spoolId: evidence.spool.id, condition, pieceId },
		context,
		inputs: {
			used: marks.filter((r) => r.status === 'counts').map((r) => r.id),
			excluded: marks.filter((r) => r.status === 'excluded').map((r) => r.id),
			revision: evidence.spool.revision
		},
		missing: missingOf(group, mark, marked)
	};
}

/** Marks of a ladder, one a print that has both or only its last clean step. */
function ladderMarksOf(group: Group, mark: Ladder): LadderMark[] {
	const faulty = firstFaulties(group, mark);
	return printValues(group, mark).map((clean) => {
		const shift = shiftOf(group, mark, clean.attemptId)?.shift ?? 0;
		const faultyAt = faulty.find((f) => f.attemptId === clean.attemptId)?.value ?? null;
		return { lastClean: clean.value - shift, firstFaulty: faultyAt === null ? null : faultyAt - shift };
	});
}

/** What a print's printer adds to a mark, where the trial takes it out. */
function shiftOf({ basis, attempts, pieceId }: Group, { def }: MarkDef, attemptId: string | null): PrinterEffect | null {
	const printer = attempts.find((a) => a.id === attemptId)?.printer ?? null;
	return basis.printerEffects.find((e) => e.quantity === def.id && e.pieceId === pieceId && e.printer === printer) ?? null;
}

/** The shifts of printers and scorers that were taken out of a group's marks: their common uncertainty, and what is said of each. */
function takenOut(group: Group, mark: MarkDef): { standardUncertainty: number; messages: Message[] } {
	const { printerEffects, scorerEffects } = group.basis;
	if (printerEffects.length + scorerEffects.length === 0) return { standardUncertainty: 0, messages: [] };
	const prints = printValues(group, mark);
	const printers = weighed(mark.kind === 'words' ? [] : prints.map((r) => shiftOf(group, mark, r.attemptId)));
	const marks = readingsOfMark(mark).flatMap((quantity) => (group.marks.get(quantity) ?? []).filter((r) => r.status === 'counts'));
	const scorers = weighed(marks.map((r) => leniencyOf(group, mark, r.scorer)));
	return {
		standardUncertainty: Math.hypot(0, ...[...printers, ...scorers].map(({ effect, share }) => share * effect.standardError)),
		messages: [
			...printers.map(({ effect: { quantity, printer, against, shift, prints } }) =>
				say('printerTakenOut', { quantity, printer, against, shift, prints })
			),
			...scorers.map(({ effect: { quantity, scorer, against, shift, scorings } }) =>
				say('leniencyTakenOut', { quantity, scorer, against, shift, scorings })
			)
		]
	};
}

/** Each effect that touches some values, with the share of them it touches. */
function weighed<E>(effects: readonly (E | null)[]): { effect: E; share: number }[] {
	const distinct = [...new Set(effects)].filter((e) => e !== null);
	return distinct.map((effect) => ({ effect, share: effects.filter((e) => e === effect).length / effects.length }));
}

/** Distance of two steps of a ladder on a piece. */
function stepOf({ piece }: Pick<Group, 'piece'>, mark: Ladder | Window): number {
	const steps = piece?.marks.find((m) => m.mark === mark.carriedBy)?.steps ?? null;
	return steps && steps.length > 1 ? Math.abs((steps[1] as number) - (steps[0] as number)) : mark.usualStep;
}

function findLadder(group: Group, mark: Ladder): Finding {
	const ladderMarks = ladderMarksOf(group, mark);
	const borrowed = borrowedScatter(group.basis, mark.def.id, group.pieceId);
	const out = takenOut(group, mark);
	const result = ladder(ladderMarks, stepOf(group, mark), borrowed, out.standardUncertainty);
	const common = {
		...commonOf(group, mark, [mark.lastClean, mark.firstFaulty], ladderMarks.length),
		method: ladderMarks.length > 1 ? 'ladderMean' : borrowed ? 'ladderBorrowed' : 'ladderBounds',
		source: 'ISO 2602; GUM 4.3.7; one print widened by one step (common practice, no source)'
	};
	if (result === null) return makeFinding(mark.def, { ...common, sampling: UNKNOWN });
	return makeFinding(mark.def, {
		...common,
		...result,
		messages: [...(result.n === 1 ? [oneOnly(borrowed)] : []), ...out.messages],
		figure: { kind: 'steps', lastClean: ladderMarks.map((r) => r.lastClean), firstFaulty: ladderMarks.map((r) => r.firstFaulty) }
	});
}

/** The clean window of a temperature ladder: its width, between floors; and the temperatures all prints agree on. */
function findWindow(group: Group, mark: Window): Finding {
	const windows = windowsOf(group, mark);
	const steps = group.piece?.marks.find((m) => m.mark === mark.carriedBy)?.steps ?? [];
	const step = stepOf(group, mark);
	// The true end lies between the last clean floor and the next; a window that reaches the end of the ladder has none to say so.
	const open = ({ from, to }: { from: number; to: number }) => Number(steps.some((s) => s < from)) + Number(steps.some((s) => s > to));
	const ladderMarks = windows.map((w) => ({
		lastClean: w.to - w.from,
		firstFaulty: open(w) === 0 ? null : w.to - w.from + open(w) * step
	}));
	const borrowed = borrowedScatter(group.basis, mark.def.id, group.pieceId);
	const result = ladder(ladderMarks, 2 * step, borrowed);
	const common = {
		...commonOf(group, mark, [mark.from, mark.to], ladderMarks.length),
		method: 'temperatureWindow',
		source: 'width between floors as a ladder of steps; the window all prints share: house rule'
	};
	if (result === null) return makeFinding(mark.def, { ...common, sampling: UNKNOWN });
	const interval = result.interval && { ...result.interval, low: Math.max(0, result.interval.low) };
	const [from, to] = [Math.max(...windows.map((w) => w.from)), Math.min(...windows.map((w) => w.to))];
	const shared: Message =
		from <= to
			? say('windowShared', { from, to, best: (from + to) / 2, step, prints: windows.length })
			: say('windowsApart', { prints: windows.length });
	return makeFinding(mark.def, {
		...common,
		...result,
		interval,
		word: from <= to ? say('windowFromTo', { from, to }) : null,
		messages: [shared, ...labelMessages(group, from, to), ...(result.n === 1 ? [oneOnly(borrowed)] : [])],
		figure: { kind: 'steps', lastClean: ladderMarks.map((r) => r.lastClean), firstFaulty: ladderMarks.map((r) => r.firstFaulty) }
	});
}

/** Said where what the label asks for is not what came out clean. */
function labelMessages({ evidence: { claims } }: Group, from: number, to: number): Message[] {
	const [low, high] = [stated(claims, 'nozzleLowC')?.value, stated(claims, 'nozzleHighC')?.value];
	if (low === undefined || high === undefined || from > to) return [];
	return from > high || to < low ? [say('windowOffLabel', { low, high })] : [];
}

function findWords(group: Group, mark: Words): Finding {
	const ranks = printValues(group, mark).map((v) => v.value);
	const words = mark.def.words?.length ?? 0;
	const result = ordinal(ranks, words);
	const common = {
		...commonOf(group, mark, mark.readings, ranks.length),
		method: 'ordinal',
		source: 'Dirichlet counts, prior 1/2 a word'
	};
	if (result === null) return makeFinding(mark.def, { ...common, sampling: UNKNOWN });
	const borrowed = ranks.length === 1 ? borrowedScatter(group.basis, mark.def.id, group.pieceId) : null;
	const within = { low: 0, high: words - 1 };
	// The mean rank that the counts give, with the scatter of the house spool's repeats.
	const borrowedOne = borrowed && findFromValues([result.estimate], { borrowed, within, alone: { ...within, shown: false } });
	return makeFinding(mark.def, {
		...common,
		n: ranks.length,
		...(borrowedOne ?? { estimate: result.estimate, interval: result.interval, sampling: result.sampling }),
		messages: [...(ranks.length === 1 ? [oneOnly(borrowed)] : []), ...takenOut(group, mark).messages],
		figure: { kind: 'words', counts: result.counts }
	});
}

/** Measured values, one a print; against the piece's own size as a shortfall in per cent. */
function valuesOf(group: Group, mark: Measure): number[] {
	const meant = mark.against === undefined ? null : (group.piece?.params?.[mark.against] ?? null);
	if (mark.against !== undefined && meant === null) return [];
	return printValues(group, mark)
		.map((r) => r.value - (shiftOf(group, mark, r.attemptId)?.shift ?? 0))
		.map((value) => (meant === null ? value : ((meant - value) / meant) * 100));
}

function findMeasure(group: Group, mark: Measure): Finding {
	const values = valuesOf(group, mark);
	const common = { ...commonOf(group, mark, [mark.reading], values.length), method: 'mean', source: 'ISO 2602' };
	const borrowed = borrowedScatter(group.basis, mark.def.id, group.pieceId);
	const out = takenOut(group, mark);
	const scale = group.piece?.params?.[mark.against ?? ''];
	const shiftSe = scale === undefined ? out.standardUncertainty : (out.standardUncertainty / scale) * 100;
	// One print: what a difference that matters could hide, and no interval.
	const half = mark.def.differenceThatMatters + 2 * shiftSe;
	const [only = 0] = values;
	const found = findFromValues(values, {
		borrowed,
		also: shiftSe,
		// A length, a share or a count is not below nothing; what shrank may have grown.
		within: mark.against === undefined ? { low: 0, high: Infinity } : null,
		alone: { low: only - half, high: only + half, shown: false }
	});
	if (!found) return makeFinding(mark.def, { ...common, sampling: UNKNOWN });
	return makeFinding(mark.def, {
		...common,
		...found,
		figure: { kind: 'dot', points: values },
		messages: [
			...(found.n === 1 ? [oneOnly(borrowed)] : []),
			...(mark.asked === 'photo' ? doubtfulPhotos(group, found.n) : []),
			...out.messages
		]
	});
}

/** Said where a photograph was not good enough to be sure of. */
function doubtfulPhotos(group: Group, n: number): Message[] {
	const doubtful = PHOTO_WORDS.indexOf('doubtful');
	const said = (group.marks.get('photoQuality') ?? []).filter((r) => r.status === 'counts' && r.value === doubtful);
	const count = new Set(said.map((r) => r.attemptId)).size;
	return count === 0 ? [] : [say('photoDoubtful', { count, n })];
}

/** What is said where one print has to do. */
const oneOnly = (borrowed: BorrowedScatter | null): Message =>
	borrowed ? say('borrowedScatter', { code: borrowed.code, n: borrowed.n }) : say('onePrint');

/**
 * Values of a mark, one a print, as its scatter is taken from; and the least scatter it can have (half a step, half a word, or none known).
 * @example scatterOf(group, MARKS[0]) // { values: [65, 70, 65], least: 2.5 }
 */
export function scatterOf(group: Group, mark: MarkDef): { values: number[]; least: number } {
	if (mark.kind === 'window') return { values: printValues(group, mark).map((v) => v.value), least: stepOf(group, mark) };
	if (mark.kind === 'ladder') return { values: ladderMarksOf(group, mark).map((r) => r.lastClean), least: stepOf(group, mark) / 2 };
	if (mark.kind === 'words') return { values: printValues(group, mark).map((v) => v.value), least: 0.5 };
	return { values: valuesOf(group, mark), least: mark.def.differenceThatMatters / 10 };
}
