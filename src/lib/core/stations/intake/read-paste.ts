import Papa from 'papaparse';
import { sentAs, type FactEntries } from '../../record/facts/fact-entry';
import { SPOOL_FACTS } from '../../record/facts/spool-facts';

const FACTS: FactEntries = SPOOL_FACTS;

/** Fields a pasted list may carry, and the headings they answer to (lower case, letters only). */
const HEADINGS: Record<string, readonly string[]> = {
	material: ['material', 'type', 'polymer'],
	price: ['price', 'paid', 'cost'],
	netMass: ['netmass', 'net', 'mass', 'weight', 'netweight', 'filamentweight'],
	labelNozzle: ['labeltemperature', 'temperature', 'nozzle', 'nozzletemperature', 'temp'],
	maker: ['maker', 'brand', 'manufacturer'],
	filament: ['product', 'filament', 'name'],
	benchCode: ['code', 'benchcode'],
	labelTolerance: ['tolerance', 'labeltolerance'],
	shipping: ['shipping', 'postage'],
	quantity: ['quantity', 'spools', 'pieces'],
	listPrice: ['listprice', 'regularprice', 'fullprice'],
	salePrice: ['saleprice', 'offer', 'offerprice', 'onsale'],
	grossMass: ['fullspool', 'full', 'gross', 'grossmass'],
	tare: ['emptyspool', 'empty', 'tare', 'reelmass', 'emptyreel'],
	hardness: ['hardness', 'shore'],
	unboxing: ['unboxing', 'box', 'odd', 'anythingwrong'],
	good: ['goodpoints', 'good', 'liked'],
	note: ['note', 'notes', 'remark'],
	...Object.fromEntries(Object.entries(FACTS).flatMap(([name, entry]) => (entry.pasted ? [[sentAs(name, entry), entry.pasted]] : [])))
};

type PastedRow = Record<string, string>;
export type Paste =
	| { ok: true; fields: string[]; ignored: string[]; rows: PastedRow[] }
	| { ok: false; reason: 'empty' | 'noHeader' | 'headerOnly' | 'tooLong'; known: string[] };

/** A box in which nothing was wrong, as people write it. */
const NOTHING_WRONG = /^(ok|okay|fine|good|nothing.*|none|no|-)$/i;

/** Words of closed lists, however people write them. */
const chosenWords = (row: PastedRow): PastedRow =>
	Object.fromEntries(
		Object.entries(FACTS).flatMap(([name, entry]) => {
			const typed = row[name]?.toLowerCase();
			return entry.kind === 'choice' && typed ? [[name, entry.spelt?.[typed] ?? typed]] : [];
		})
	);

/** What several headings say of one thing, as intake asks for it: the sale price is what is paid where both are given. */
function asAsked({ listPrice, salePrice, unboxing, ...row }: PastedRow): PastedRow {
	const price = salePrice ?? listPrice;
	const notes = [row.note, salePrice && listPrice && `list price ${listPrice}`];
	const isFine = unboxing !== undefined && NOTHING_WRONG.test(unboxing);
	if (unboxing && !isFine) notes.push(`unboxing: ${unboxing}`);
	const note = notes.filter(Boolean).join('; ');
	return {
		...row,
		...(price && !row.price ? { price, quoteKind: salePrice ? 'sale' : 'list' } : {}),
		...chosenWords(row),
		...(isFine ? { nothingOdd: 'yes' } : {}),
		...(note ? { note } : {})
	};
}

const LONGEST = 2_000_000;

const plain = (heading: string) =>
	heading
		.toLowerCase()
		.replace(/\(.*?\)/g, '')
		.replace(/[^a-z]/g, '');

/**
 * Reads a list of spools copied from a spreadsheet (tabs) or a CSV file (comma or semicolon). The first row names the columns.
 * Columns nobody knows are ignored and named. Values stay text: they are read where every other input is.
 * @example readPaste('Material\tPrice\nPETG\t21,90') // { ok: true, fields: ['material', 'price'], rows: [{ material: 'PETG', price: '21,90' }] }
 */
export function readPaste(text: string): Paste {
	const known = Object.keys(HEADINGS);
	if (text.length > LONGEST) return { ok: false, reason: 'tooLong', known };
	if (text.trim() === '') return { ok: false, reason: 'empty', known };
	const [header = [], ...body] = Papa.parse<string[]>(text.trim(), { skipEmptyLines: 'greedy' }).data;
	const columns = header.map((heading) => Object.entries(HEADINGS).find(([, names]) => names.includes(plain(heading)))?.[0] ?? null);
	if (!columns.includes('material')) return { ok: false, reason: 'noHeader', known };
	if (body.length === 0) return { ok: false, reason: 'headerOnly', known };
	const rows = body.map((cells) =>
		asAsked(Object.fromEntries(columns.flatMap((field, i) => (field && cells[i]?.trim() ? [[field, cells[i].trim()]] : []))))
	);
	const shown = new Set(rows.flatMap((row) => Object.keys(row)));
	return {
		ok: true,
		fields: [...columns.filter((f): f is string => f !== null && shown.has(f)), ...[...shown].filter((f) => !columns.includes(f))],
		ignored: header.filter((_, i) => columns[i] === null),
		rows
	};
}
