import { ladderAs, countAs, readingAs, wordAs } from '../../../judging/posterior/observed';
import type { Observed } from '../../../judging/posterior/scale';
import { say, type Message } from '../../../judging/finding/message';
import type { FigureData, SharedPart } from '../../../judging/finding/types';
import type { Group } from './group';
import type { MarkDef } from './marks';
import { firstFaulties, leniencyOf, printValues, windowsOf } from './print-values';
import { readingsOfMark } from './scorings';
import type { Marked } from './marks-on';
import type { PrinterEffect, Unbridged } from '../../../judging/trial/worked-out';

/** What the prints of a group show of a mark: an interval each, in the unit of the quantity; and how it is drawn. */
export type Seen = { observed: Observed[]; figure: FigureData };

type Ladder = MarkDef & { kind: 'ladder' };
type Window = MarkDef & { kind: 'window' };
type Measure = MarkDef & { kind: 'measure' };

/**
 * What the prints of a group show of a mark, one interval a print; what printers and scorers add is taken off where the trial does so.
 * @example seenOn(group, MARKS[0]).observed // [{ low: 65, high: 70 }]
 */
export function seenOn(group: Group, mark: MarkDef): Seen {
	switch (mark.kind) {
		case 'ladder':
			return ladderSeen(group, mark);
		case 'window':
			return windowSeen(group, mark);
		case 'words':
			return wordsSeen(group, mark);
		case 'measure':
			return measureSeen(group, mark);
	}
}

/** Steps of a mark on the group's piece, from the easiest on; empty where they are not known. */
const stepsOf = ({ piece }: Pick<Group, 'piece'>, mark: MarkDef): readonly number[] =>
	piece?.marks.find((m) => m.mark === mark.carriedBy)?.steps ?? [];

/** The first faulty step where none was noted: the one after the last clean one; null where that was the last. A usual step where none are known. */
function nextStep(steps: readonly number[], lastClean: number, usualStep: number): number | null {
	if (steps.length === 0) return lastClean + usualStep;
	return steps.filter((step) => step > lastClean + 1e-9).sort((a, b) => a - b)[0] ?? null;
}

function ladderSeen(group: Group, mark: Ladder): Seen {
	const clean = new Map(printValues(group, mark).map((v) => [v.attemptId, v.value]));
	const faulty = new Map(firstFaulties(group, mark).map((v) => [v.attemptId, v.value]));
	const steps = stepsOf(group, mark);
	const observed = [...new Set([...clean.keys(), ...faulty.keys()])].map((attemptId) => {
		const low = clean.get(attemptId) ?? null;
		const high = faulty.get(attemptId) ?? (low === null ? null : nextStep(steps, low, mark.usualStep));
		const shift = shiftOf(group, mark, attemptId)?.shift ?? 0;
		return ladderAs(low === null ? null : low - shift, high === null ? null : high - shift);
	});
	return { observed, figure: stepsFigure(observed) };
}

/** A ladder's intervals as they are drawn: from the last clean step, or from nothing, to the first faulty one. */
const stepsFigure = (observed: readonly Observed[]): FigureData => ({
	kind: 'steps',
	lastClean: observed.map((o) => o.low ?? 0),
	firstFaulty: observed.map((o) => o.high)
});

/** The width of the clean window lies between that of its clean floors and that to the floors beyond; open where a ladder ends first. */
function windowSeen(group: Group, mark: Window): Seen {
	const steps = stepsOf(group, mark);
	const observed = windowsOf(group, mark).map(({ from, to }) => {
		const below = steps.filter((s) => s < from - 1e-9);
		const above = steps.filter((s) => s > to + 1e-9);
		const ends = below.length > 0 && above.length > 0 ? Math.min(...above) - Math.max(...below) : null;
		return ladderAs(to - from, steps.length === 0 ? to - from + 2 * mark.usualStep : ends);
	});
	return { observed, figure: stepsFigure(observed) };
}

function wordsSeen(group: Group, mark: MarkDef): Seen {
	const words = mark.def.words?.length ?? 0;
	const ranks = printValues(group, mark).map((v) => v.value);
	return {
		observed: ranks.map((rank) => wordAs(rank, words)),
		figure: { kind: 'words', counts: Array.from({ length: words }, (_, rank) => ranks.filter((r) => r === rank).length) }
	};
}

/** A step of the display where the reading has none of its own: a hundredth of what matters, so that it decides nothing. */
const fineStep = ({ def }: MarkDef): number => def.differenceThatMatters / 100;

function measureSeen(group: Group, mark: Measure): Seen {
	const meant = mark.against === undefined ? null : (group.piece?.params?.[mark.against] ?? null);
	if (mark.against !== undefined && meant === null) return { observed: [], figure: { kind: 'dot', points: [] } };
	const readings = (group.marks.get(mark.reading) ?? []).filter((r) => r.status === 'counts');
	const pct = (value: number, of: number) => (value / of) * 100;
	const prints = printValues(group, mark).map(({ attemptId, value }) => {
		const step = Math.max(...readings.filter((r) => r.attemptId === attemptId).map((r) => r.resolution ?? 0)) || fineStep(mark);
		const seen = value - (shiftOf(group, mark, attemptId)?.shift ?? 0);
		return meant === null ? { value: Math.max(0, seen), step } : { value: pct(meant - seen, meant), step: pct(step, meant) };
	});
	return {
		observed: prints.map(({ value, step }) => (mark.dimension === 'count' ? countAs(value) : readingAs(value, step))),
		figure: { kind: 'dot', points: prints.map((p) => p.value) }
	};
}

/** What a print's printer adds to a mark, where the trial takes it out. */
function shiftOf({ basis, attempts, pieceId }: Group, { def }: MarkDef, attemptId: string | null): PrinterEffect | null {
	const printer = attempts.find((a) => a.id === attemptId)?.printer ?? null;
	return basis.printerEffects.find((e) => e.quantity === def.id && e.pieceId === pieceId && e.printer === printer) ?? null;
}

/**
 * What was taken out of a group's marks for printers and scorers: an error that all spools share of whom it was taken out, and what is said of
 * each. A shift that touches half of the prints counts half.
 * @example takenOut(group, MARKS[0]).shared // [{ source: 'printer South', sd: 1.2 }]
 */
export function takenOut(group: Group, mark: MarkDef): { shared: SharedPart[]; messages: Message[] } {
	const { printerEffects, scorerEffects, unbridged } = group.basis;
	if (printerEffects.length + scorerEffects.length + unbridged.length === 0) return { shared: [], messages: [] };
	const prints = printValues(group, mark);
	const printers = weighed(mark.kind === 'words' ? [] : prints.map((r) => shiftOf(group, mark, r.attemptId)));
	const marks = readingsOfMark(mark).flatMap((quantity) => (group.marks.get(quantity) ?? []).filter((r) => r.status === 'counts'));
	const scorers = weighed(marks.map((r) => leniencyOf(group, mark, r.scorer)));
	const meant = mark.kind === 'measure' && mark.against !== undefined ? (group.piece?.params?.[mark.against] ?? null) : null;
	const inUnit = (sd: number) => (meant === null ? sd : (sd / meant) * 100);
	return {
		shared: [
			...printers.map(({ effect, share }) => ({ source: `printer ${effect.printer}`, sd: inUnit(share * effect.standardError) })),
			...scorers.map(({ effect, share }) => ({ source: `scorer ${effect.scorer}`, sd: inUnit(share * effect.standardError) })),
			...strangers(group, mark, marks).map(({ effect, share }) => ({
				source: `${effect.kind} ${effect.name}`,
				sd: share * UNBRIDGED[effect.kind] * mark.def.differenceThatMatters
			}))
		],
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

/**
 * What nobody knows of a printer or scorer that nothing ties to the others, in differences that matter: a printer may shift a mark by one, a scorer by half
 * of one (common practice, no source).
 */
const UNBRIDGED = { printer: 1, scorer: 0.5 };

/** Printers and scorers of this group's marks that nothing ties to those the marks are told against. */
function strangers({ attempts, basis }: Group, { def }: MarkDef, marks: readonly Marked[]): { effect: Unbridged; share: number }[] {
	const of = (kind: Unbridged['kind'], name: string | null) =>
		basis.unbridged.find((u) => u.quantity === def.id && u.kind === kind && u.name === name) ?? null;
	const prints = attempts.filter((a) => marks.some((m) => m.attemptId === a.id));
	return [...weighed(prints.map((a) => of('printer', a.printer))), ...weighed(marks.map((m) => of('scorer', m.scorer)))];
}

/** Each effect that touches some values, with the share of them it touches. */
function weighed<E>(effects: readonly (E | null)[]): { effect: E; share: number }[] {
	const distinct = [...new Set(effects)].filter((e) => e !== null);
	return distinct.map((effect) => ({ effect, share: effects.filter((e) => e === effect).length / effects.length }));
}
