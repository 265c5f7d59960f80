import type { LogRowError } from '$lib/core/diameter/log/read-log';

const WORDS: Record<LogRowError['code'], (text: string) => string> = {
	notANumber: (text) => (text.trim() === '' ? 'is empty' : `"${text}" is not a number`),
	outOfRange: (text) => `"${text}" is no diameter of a strand (0.5 to 5 mm)`,
	missing: () => 'has too few columns',
	backwards: (text) => `"${text}" lies before the row above`
};

/** A fault in a file or a pasted table, with its row: the same words wherever it is found. */
export function rowWords({ row, code, text }: LogRowError): string {
	return `row ${row}: ${WORDS[code](text)}`;
}
