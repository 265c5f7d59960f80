import { group } from 'd3-array';
import type { Flag } from '$lib/core/compare/compare';
import type { Message, Missing } from '$lib/core/finding/types';
import { fixed, percent, plural, upTo } from './numbers';
import { quantityName } from './quantities';

type Params = Message['params'];
const num = (p: Params, key: string): number => Number(p[key]);
const text = (p: Params, key: string): string => String(p[key] ?? '');
const tol = (p: Params, key = 'tolerance') => `±${upTo(num(p, key), 3)} mm`;

/** What every message of core says. Core knows ids, only this file knows sentences. */
const SENTENCES: Record<string, (p: Params) => string> = {
	noReadings: () => 'No reading yet.',
	onePlace: () => 'All readings are from one place of the strand: they say nothing of the rest.',
	noMarks: () => 'Nothing marked yet.',
	noPrints: () => 'Nothing printed yet.',
	notLookedAt: () => 'Not looked at yet.',
	noToleranceStated: () => 'No tolerance is stated.',
	noPrice: () => 'No price noted.',
	priceHidden: () => 'The price is hidden while the trial is blind.',
	nothingOdd: () => 'Nothing odd at unboxing.',
	'odd.seal': (p) => oddity('Seal', p),
	'odd.desiccant': (p) => oddity('Desiccant', p),
	'odd.winding': (p) => oddity('Winding', p),
	'odd.label': (p) => oddity('Label', p),
	'odd.spoolBody': (p) => oddity('Spool body', p),
	'odd.dirt': (p) => oddity('Dirt', p),
	'odd.odour': (p) => oddity('Odour', p),
	'odd.brittle': (p) => oddity('Brittle', p),
	diameterNoClaim: (p) =>
		`No tolerance is stated, so there is nothing to keep; ${plural(num(p, 'n'), 'reading')} run from ${fixed(num(p, 'low'), 2)} to ${fixed(num(p, 'high'), 2)} mm.`,
	diameterCannotTell: (p) => `No gross fault. Whether it keeps ${tol(p)} cannot be told with this instrument.`,
	diameterSeemsOutside: (p) => `A reading lies outside ${tol(p)}, but by less than this instrument can be trusted.`,
	diameterBeyondDoubt: (p) => `At least one place is outside ${tol(p)}, even allowing for the instrument.`,
	diameterInside: (p) => `All ${plural(num(p, 'n'), 'reading')} lie inside ${tol(p)}.`,
	diameterOutsideSeen: (p) => `At least one reading lies outside ${tol(p)}.`,
	'instrument.able': (p) => `The instrument is good enough for ${tol(p)} (its uncertainty is ${fixed(num(p, 'sharePct'), 0)} % of it).`,
	'instrument.marginal': (p) =>
		`The instrument is only just good enough for ${tol(p)} (its uncertainty is ${fixed(num(p, 'sharePct'), 0)} % of it).`,
	'instrument.unable': (p) =>
		`The instrument's own uncertainty, ${fixed(num(p, 'u'), 3)} mm, is ${fixed(num(p, 'sharePct'), 0)} % of ${tol(p)}; a quarter is the most that can decide. More readings do not change that, a finer instrument does.`,
	instrumentUnnamed: (p) => `No instrument is named: a common caliper good to ±${upTo(num(p, 'errorLimit'), 3)} mm is assumed.`,
	diameterOdd: (p) => `The reading ${text(p, 'typed')} is far from its neighbours.`,
	twoTolerances: (p) => `The label says ±${upTo(num(p, 'label'), 3)}, the listing ±${upTo(num(p, 'listing'), 3)} mm; the label is judged.`,
	outsideCount: (p) => `${num(p, 'outside')} of ${plural(num(p, 'n'), 'reading')} outside.`,
	onePrint: () => 'One print: the next could come out otherwise. Bounds are a step wide on each side.',
	oneReading: () => 'One reading: nothing is known of its scatter.',
	successCount: (p) => `${num(p, 'finished')} of ${plural(num(p, 'n'), 'print')} finished.`,
	failuresNotCounted: (p) =>
		`${plural(num(p, 'count'), 'failure')} not charged to the filament ${num(p, 'count') === 1 ? 'is' : 'are'} left out.`,
	noPrintsForCost: (p) => `Bought at ${fixed(num(p, 'perKg'), 2)} per kg; without a print nobody knows what failures add.`,
	neverPrinted: (p) => `None of ${plural(num(p, 'n'), 'print')} finished: good prints have no finite cost yet.`,
	costFormula: (p) => {
		const f = num(p, 'failed') / num(p, 'n');
		return `${fixed(num(p, 'perKg'), 2)} per kg × (1 + w·f ÷ (1 − f)), with f = ${num(p, 'failed')} of ${num(p, 'n')} failed (${percent(f)}) and w = ${fixed(num(p, 'wastePct'), 0)} % of a print wasted by a failure. Every failed print is assumed to be printed again until it succeeds.`;
	},
	wasteAssumed: (p) => `No failure was seen yet; ${fixed(num(p, 'sharePct'), 0)} % waste is assumed for the interval.`,
	quoteUsed: (p) => {
		const shipping = num(p, 'shipping') > 0 ? ` + ${fixed(num(p, 'shipping'), 2)} shipping` : '';
		const kind = text(p, 'kind') === 'list' ? '' : ` (${text(p, 'kind')} price)`;
		return `${fixed(num(p, 'price'), 2)}${shipping} ${text(p, 'currency')} for ${plural(num(p, 'quantity'), 'spool')} of ${upTo(num(p, 'netMassG'), 0)} g${kind}.`;
	},
	suppliedFree: () => 'Supplied free: the price is what others would pay, and free samples bias.'
};

function oddity(what: string, p: Params): string {
	return text(p, 'words') ? `${what}: ${text(p, 'words')}.` : `${what} odd.`;
}

/** A message of core as a sentence. An id without words shows itself: better ugly than silent. */
export function sentence(message: Message): string {
	return SENTENCES[message.id]?.(message.params) ?? `${message.id}.`;
}

const ACTS: Record<string, (m: Missing) => { lead: string; rest: string }> = {
	unbox: () => ({ lead: 'look it over', rest: 'nothing said of its unboxing' }),
	measureDiameter: (m) => ({ lead: plural(m.count, 'reading'), rest: 'wanted' }),
	printPiece: (m) => ({ lead: plural(m.count, 'print'), rest: 'wanted' }),
	markPiece: (m) => ({ lead: plural(m.count, 'print'), rest: 'to mark' }),
	addPrice: () => ({ lead: 'price', rest: 'not noted' }),
	measureOwn: (m) => ({ lead: plural(m.count, 'reading'), rest: 'wanted' })
};

/** What is missing in an empty cell: the act in bold, the rest beside it. */
export function missingWords(missing: Missing): { lead: string; rest: string } {
	return ACTS[missing.action]?.(missing) ?? { lead: plural(missing.count, 'step'), rest: 'missing' };
}

/** The next act as a sentence about one spool. */
export function nextWords(missing: Missing, code: string): string {
	const minutes = missing.minutes >= 60 ? `about ${upTo(missing.minutes / 60, 1)} h of printing` : plural(missing.minutes, 'minute');
	switch (missing.action) {
		case 'unbox':
			return `say what was odd about ${code}, or that nothing was. ${minutes}.`;
		case 'measureDiameter':
			return `measure ${code}: ${plural(missing.count, 'reading')}. ${minutes}.`;
		case 'printPiece':
			return `print the piece from ${code}${missing.count > 1 ? ` ${missing.count} times` : ''}. ${minutes}.`;
		case 'markPiece':
			return `look at the print of ${code} and mark it. ${minutes}.`;
		case 'addPrice':
			return `note what ${code} cost. ${minutes}.`;
		case 'measureOwn':
			return `measure ${String(missing.params.name)} of ${code}: ${plural(missing.count, 'reading')}.`;
		default:
			return `${missing.action} ${code}.`;
	}
}

const FLAGS: Record<string, string> = {
	unlikePrinter: 'another printer',
	unlikeNozzle: 'another nozzle',
	unlikeCondition: 'another condition',
	unlikeSettings: 'another nozzle temperature',
	unlikeCurrency: 'another currency, not converted,'
};

/** Flags in sentences: what is unlike in the same way for the same spools is said once, for all its columns. */
export function flagLines(flags: readonly Flag[], codeOf: (spoolId: string) => string): string[] {
	const grouped = group(flags, (f) => JSON.stringify([f.kind, f.values, f.spoolIds]));
	return [...grouped.values()].flatMap((same) => {
		const [first] = same;
		if (!first) return [];
		const columns = same.map((f) => quantityName({ id: f.quantity }).toLowerCase()).join(', ');
		const values = first.values.map((v) => (v === 'asReceived' ? 'as received' : v)).join(', ');
		return [`${first.spoolIds.map(codeOf).join(', ')}: ${FLAGS[first.kind] ?? first.kind} from the rest (${values}) in ${columns}.`];
	});
}
