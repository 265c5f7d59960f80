import Papa from 'papaparse';

/** Fields a pasted list may carry, and the headings they answer to (lower case, letters only). */
const HEADINGS: Record<string, readonly string[]> = {
	material: ['material', 'type', 'polymer'],
	price: ['price', 'paid', 'cost'],
	netMass: ['netmass', 'net', 'mass', 'weight', 'netweight', 'filamentweight'],
	labelNozzle: ['labeltemperature', 'temperature', 'nozzle', 'nozzletemperature', 'temp'],
	maker: ['maker', 'brand', 'manufacturer'],
	filament: ['product', 'filament', 'name'],
	benchCode: ['code', 'benchcode'],
	colourName: ['colour', 'color'],
	lot: ['lot', 'batch'],
	labelTolerance: ['tolerance', 'labeltolerance'],
	shipping: ['shipping', 'postage'],
	quantity: ['quantity', 'spools', 'pieces'],
	note: ['note', 'notes', 'remark']
};

type PastedRow = Record<string, string>;
export type Paste =
	| { ok: true; fields: string[]; ignored: string[]; rows: PastedRow[] }
	| { ok: false; reason: 'empty' | 'noHeader' | 'headerOnly' | 'tooLong'; known: string[] };

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
	const known = Object.values(HEADINGS).map(([first]) => first as string);
	if (text.length > LONGEST) return { ok: false, reason: 'tooLong', known };
	if (text.trim() === '') return { ok: false, reason: 'empty', known };
	const [header = [], ...body] = Papa.parse<string[]>(text.trim(), { skipEmptyLines: 'greedy' }).data;
	const columns = header.map((heading) => Object.entries(HEADINGS).find(([, names]) => names.includes(plain(heading)))?.[0] ?? null);
	if (!columns.includes('material')) return { ok: false, reason: 'noHeader', known };
	if (body.length === 0) return { ok: false, reason: 'headerOnly', known };
	const rows = body.map((cells) =>
		Object.fromEntries(columns.flatMap((field, i) => (field && cells[i]?.trim() ? [[field, cells[i].trim()]] : [])))
	);
	return { ok: true, fields: columns.filter((f): f is string => f !== null), ignored: header.filter((_, i) => columns[i] === null), rows };
}
