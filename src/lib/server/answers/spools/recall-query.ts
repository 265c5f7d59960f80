/** What is asked of every spool ever seen: words of its texts, a price, marks. */
export type RecallQuery = {
	words: string;
	/** Price per kg, in the currency of each spool's own price; null for any. */
	most: number | null;
	least: number | null;
	/** Quantities that have to be at their best: no strings, no failures. */
	spotless: string[];
	/** Those that were put away, in place of the others. */
	archived: boolean;
};

/** What "no ..." means. */
const SPOTLESS: Readonly<Record<string, string>> = {
	strings: 'strings',
	stringing: 'strings',
	faults: 'surface',
	failures: 'printSuccess'
};

const NUMBER = String.raw`(\d+(?:[.,]\d+)?)`;
const UNDER = new RegExp(String.raw`(?:^|\s)(?:under|below|at most|up to|<)\s*${NUMBER}(?=\s|$)`, 'i');
const OVER = new RegExp(String.raw`(?:^|\s)(?:over|above|at least|>)\s*${NUMBER}(?=\s|$)`, 'i');
const NO = new RegExp(String.raw`(?:^|\s)no (${Object.keys(SPOTLESS).join('|')})(?=\s|$)`, 'gi');

const ARCHIVED = /(?<!\S)archived(?!\S)/i;

/**
 * Reads what was typed to find spools: commas or blanks between, in any order. What is no price and no mark is looked for in the texts.
 * @example readRecall('PETG, no strings, under 20') // { words: 'PETG', most: 20, least: null, spotless: ['strings'], archived: false }
 */
export function readRecall(typed: string): RecallQuery {
	// A comma between digits is a decimal one.
	let rest = typed.replace(/,(?!\d)|(?<!\d),/g, ' ');
	const take = (pattern: RegExp): number | null => {
		const found = pattern.exec(rest)?.[1];
		if (found === undefined) return null;
		rest = rest.replace(pattern, ' ');
		return Number(found.replace(',', '.'));
	};
	const archived = ARCHIVED.test(rest);
	rest = rest.replace(ARCHIVED, ' ');
	const [most, least] = [take(UNDER), take(OVER)];
	const spotless = [...rest.matchAll(NO)].flatMap((m) => SPOTLESS[(m[1] ?? '').toLowerCase()] ?? []);
	return { words: rest.replace(NO, ' ').trim().replace(/\s+/g, ' '), most, least, spotless: [...new Set(spotless)], archived };
}
