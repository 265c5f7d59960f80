import { group } from 'd3-array';
import jStat from 'jstat';
import { conditionAt } from '../conditions/condition-at';
import type { Protocol, SpoolEvidence } from '../evidence';
import { tQuantile } from '../stats/mean-interval';
import { MARKS } from './marks';
import { printValues } from './print-values';

/** How much more a mark comes out on one printer than on another, for the same spool in the same condition. */
export type PrinterEffect = {
	quantity: string;
	pieceId: string;
	printer: string;
	/** The printer it is held against. */
	against: string;
	shift: number;
	standardError: number;
	df: number;
	low: number;
	high: number;
	/** Prints of spools that were seen on both, and which spools those are. */
	prints: number;
	spoolIds: string[];
};

/** One print's value with what it is compared within. */
export type PrintValue = { within: string; spoolId: string; printer: string; value: number };

/**
 * Effects of printers on one mark: the additive model value = spool in its condition + printer, by least squares within the spools, so
 * that a spool seen on one printer only moves nothing.
 * Source: two-way fixed effects without interaction (Searle, Linear Models; checked with R's lm).
 * @param against the printer the others are held against
 * @returns one for each printer that is tied to `against` through spools; none where the scatter between prints is not known
 * @example effectsOf(values, 'North')[0] // { printer: 'South', shift: -4.2, low: -7.4, high: -1.0, ... }
 */
export function effectsOf(values: readonly PrintValue[], against: string): Omit<PrinterEffect, 'quantity' | 'pieceId'>[] {
	const tied = tiedTo(values, against);
	const known = values.filter((v) => tied.has(v.printer));
	const others = [...tied].filter((p) => p !== against).sort();
	const groups = group(known, (v) => v.within);
	const df = known.length - groups.size - others.length;
	if (others.length === 0 || df < 1) return [];
	// Taking each spool's own mean out of values and of printers leaves the printers alone.
	const rows = [...groups.values()].flatMap((of) => {
		const mean = (x: (v: PrintValue) => number) => of.reduce((sum, v) => sum + x(v), 0) / of.length;
		const middle = mean((v) => v.value);
		const shares = others.map((printer) => mean((v) => Number(v.printer === printer)));
		return of.map((v) => ({ y: v.value - middle, x: others.map((printer, k) => Number(v.printer === printer) - (shares[k] as number)) }));
	});
	const normal = others.map((_, j) => others.map((__, k) => rows.reduce((sum, r) => sum + (r.x[j] as number) * (r.x[k] as number), 0)));
	const inverse = jStat.inv(normal);
	const moments = others.map((_, j) => rows.reduce((sum, r) => sum + (r.x[j] as number) * r.y, 0));
	const shifts = inverse.map((line) => line.reduce((sum, v, k) => sum + v * (moments[k] as number), 0));
	const rest = rows.reduce((sum, r) => sum + (r.y - r.x.reduce((s, x, k) => s + x * (shifts[k] as number), 0)) ** 2, 0);
	return others.map((printer, k) => {
		const shift = shifts[k] as number;
		const standardError = Math.sqrt((rest / df) * ((inverse[k] as number[])[k] as number));
		const half = tQuantile(0.975, df) * standardError;
		const both = [...groups.values()]
			.filter((of) => new Set(of.map((v) => v.printer)).size > 1 && of.some((v) => v.printer === printer))
			.flat();
		const spoolIds = [...new Set(both.map((v) => v.spoolId))];
		return { printer, against, shift, standardError, df, low: shift - half, high: shift + half, prints: both.length, spoolIds };
	});
}

/** Printers that are linked to one by spools seen on both, however many links away. */
function tiedTo(values: readonly PrintValue[], against: string): Set<string> {
	const tied = new Set([against]);
	for (let before = 0; before !== tied.size;) {
		before = tied.size;
		for (const of of group(values, (v) => v.within).values())
			if (of.some((v) => tied.has(v.printer))) for (const v of of) tied.add(v.printer);
	}
	return tied;
}

/**
 * The same for every measured mark of every piece a trial compares. Marks in words have no shift.
 * @param against the trial's printer; without one the printer with the most prints
 * @example printerEffects(spools, protocol, 'North').length // 2
 */
export function printerEffects(
	spools: readonly SpoolEvidence[],
	protocol: Pick<Protocol, 'markPieces'>,
	against: string | null
): PrinterEffect[] {
	return MARKS.flatMap((mark) => {
		const pieceId = protocol.markPieces[mark.def.id]?.[0];
		if (mark.kind === 'words' || pieceId === undefined) return [];
		const values = spools.flatMap((evidence) => {
			const attempts = evidence.attempts.filter((a) => a.pieceId === pieceId && a.printer !== null);
			return printValues({ evidence, attempts }, mark).flatMap((r): PrintValue[] => {
				const attempt = attempts.find((a) => a.id === r.attemptId);
				if (!attempt?.printer) return [];
				const condition = conditionAt(evidence.events, attempt.at).kind;
				return [{ within: `${evidence.spool.id} ${condition}`, spoolId: evidence.spool.id, printer: attempt.printer, value: r.value }];
			});
		});
		const reference = against !== null && values.some((v) => v.printer === against) ? against : mostUsed(values);
		return reference === null ? [] : effectsOf(values, reference).map((effect) => ({ quantity: mark.def.id, pieceId, ...effect }));
	});
}

function mostUsed(values: readonly PrintValue[]): string | null {
	const byPrinter = [...group(values, (v) => v.printer)];
	return byPrinter.sort((a, b) => b[1].length - a[1].length || (a[0] < b[0] ? -1 : 1))[0]?.[0] ?? null;
}
