import { nth } from '../../kernel/lists/nth';
import type { Message } from '../../judging/finding/message';
import type { FigureData, Finding, Missing, QuantityDef, Sampling } from '../../judging/finding/types';
import type { Flag } from '../../judging/compare/compare';
import type { WetDryMessage } from '../../stations/prints/ways/wet-dry';
import type { Sheet, SheetCell } from './build-sheet';

/** What a figure and its label need of a finding, and no more: a page carries hundreds of them. */
export type ShownFinding = Pick<Finding, 'estimate' | 'n' | 'interval' | 'grade' | 'word' | 'figure'> & {
	subject: Pick<Finding['subject'], 'condition'>;
	sampling: Pick<Sampling, 'kind'>;
};

/** A cell with something to draw has findings, the one that counts first; an empty one says what is wanted, or that it is withheld. */
export type ShownCell = { findings: ShownFinding[]; letters: string; unlike: boolean; wanted: Missing | null; withheld: boolean };

export type ShownSheet = {
	columns: QuantityDef[];
	/** In the order of the trial; cells in the order of the columns. `changedMost`: the mark that drying changed most. */
	rows: { spoolId: string; cells: ShownCell[]; changedMost: WetDryMessage | null }[];
	flags: Flag[];
	/** What drying did to the prints of a spool, the greatest change first. */
	wetDry: { spoolId: string; message: WetDryMessage }[];
};

/**
 * A trial sheet as its page shows it.
 * @param sheet the whole sheet, as the API tells it
 * @returns cells with what is drawn in them; numbers that are only drawn keep six digits
 * @example shownSheet(sheet).rows[0].cells[0].findings[0].estimate // as in the sheet
 */
export function shownSheet(sheet: Sheet): ShownSheet {
	return {
		columns: sheet.columns,
		rows: sheet.rows.map((row) => ({
			spoolId: row.spoolId,
			cells: row.cells.map((cell, i) => shownCell(cell, row, nth(sheet.columns, i), sheet.flags)),
			changedMost: driedOf(row).find((m) => m.params.change !== 0) ?? null
		})),
		flags: sheet.flags,
		wetDry: sheet.rows.flatMap((row) => driedOf(row).map((message) => ({ spoolId: row.spoolId, message })))
	};
}

/** What drying did to the marks of a spool, the greatest change first. */
function driedOf({ cells }: Sheet['rows'][number]): WetDryMessage[] {
	const said = cells.flatMap((cell) => cell.findings.flatMap((f) => f.messages));
	return said.filter(isAboutDrying).sort((a, b) => Math.abs(b.params.change) - Math.abs(a.params.change));
}

const isAboutDrying = (message: Message): message is WetDryMessage => message.id.startsWith('wetDry.') && message.id !== 'wetDry.finished';

function shownCell(cell: SheetCell, row: Sheet['rows'][number], def: QuantityDef, flags: readonly Flag[]): ShownCell {
	const [main] = cell.findings;
	const drawn = main && (main.n > 0 || (main.figure.kind === 'bar' && main.figure.base !== null));
	return {
		findings: drawn ? cell.findings.map(shownFinding) : [],
		letters: cell.letters,
		unlike: flags.some((f) => f.quantity === cell.quantity && f.spoolIds.includes(row.spoolId)),
		wanted: drawn ? null : (main?.missing[0] ?? row.missing.find((m) => m.station === def.station) ?? null),
		withheld: main?.sampling.kind === 'unknown' && main.sampling.reason.id === 'priceHidden'
	};
}

/** @example shownFinding(finding).n // as in the finding */
export function shownFinding(finding: Finding): ShownFinding {
	const { estimate, n, interval, grade, word, figure, subject, sampling } = finding;
	return {
		estimate,
		n,
		interval,
		grade,
		word,
		figure: drawnOnly(figure),
		subject: { condition: subject.condition },
		sampling: { kind: sampling.kind }
	};
}

/** Numbers of a figure that nobody reads: six digits are finer than any line drawn. */
const six = (value: number): number => Number(value.toPrecision(6));

function drawnOnly(figure: FigureData): FigureData {
	if (figure.kind === 'strand')
		return { ...figure, places: columnsOf(figure.places).map((p) => ({ ...p, lowMm: six(p.lowMm), highMm: six(p.highMm) })) };
	if (figure.kind === 'account')
		return { ...figure, points: figure.points.map((p) => ({ ...p, pct: six(p.pct), lowPct: six(p.lowPct), highPct: six(p.highPct) })) };
	return figure;
}

/** A cell is too narrow to tell more places apart. */
const MOST_PLACES = 60;

type Places = Extract<FigureData, { kind: 'strand' }>['places'];

/** Neighbouring places as one, from the smallest to the largest of them, so that no thick or thin place is lost. */
function columnsOf(places: Places): Places {
	const each = Math.ceil(places.length / MOST_PLACES);
	if (each <= 1) return places;
	return Array.from({ length: Math.ceil(places.length / each) }, (_, i) => {
		const some = places.slice(i * each, (i + 1) * each);
		return {
			...(some[0] as Places[number]),
			lowMm: Math.min(...some.map((p) => p.lowMm)),
			highMm: Math.max(...some.map((p) => p.highMm))
		};
	});
}
