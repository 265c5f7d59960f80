import { decimalMark, locale } from './locale';

/** Something made once for each locale: a formatter takes longer to make than a hundred texts through it. */
function perLocale<T>(make: (locale: string) => T): () => T {
	const made = new Map<string, T>();
	return () => {
		const here = locale();
		const known = made.get(here) ?? make(here);
		made.set(here, known);
		return known;
	};
}

/** A number's own text in the locale: its digits are those that were rounded, only the marks are the reader's. */
const written = (text: string): string => text.replace('-', '−').replace('.', decimalMark());

/** Numbers for people: a fixed point, no exponent, no more digits than said. */
export function fixed(value: number, decimals: number): string {
	const text = value.toFixed(decimals);
	// "-0.00" says a sign that is not there.
	return written(Number(text) === 0 ? text.replace('-', '') : text);
}

/** At most `decimals` decimals, trailing zeros dropped. */
export function upTo(value: number, decimals: number): string {
	return written(String(Number(value.toFixed(decimals))));
}

/** A share as per cent. Never "100 %" or "0 %" for what is only nearly so. */
export function percent(share: number, decimals = 0): string {
	const value = share * 100;
	const step = 10 ** -decimals;
	if (value > 0 && value < step / 2) return `under ${upTo(step, decimals)} %`;
	if (value < 100 && value > 100 - step / 2) return `over ${upTo(100 - step, decimals)} %`;
	return `${fixed(value, decimals)} %`;
}

/** A chance from a number of draws, with no more digits than the draws carry; none or all of them is not never or always (rule of three). */
export function chance(share: number, draws: number): string {
	// Rounded up to one digit: a bound must not be told smaller than it is.
	const digit = 10 ** Math.floor(Math.log10(300 / draws));
	const unseen = Math.ceil(300 / draws / digit - 1e-9) * digit;
	if (share === 0) return `under ${upTo(unseen, 3)} %`;
	if (share === 1) return `over ${upTo(100 - unseen, 3)} %`;
	return percent(share);
}

export function plural(count: number, one: string, many = `${one}s`): string {
	return `${count} ${count === 1 ? one : many}`;
}

const DAY = { day: 'numeric', month: 'short', year: 'numeric' } as const;
// Not made before a date is to be shown.
const dayFormat = perLocale((of) => new Intl.DateTimeFormat(of, DAY));
const dayAndTimeFormat = perLocale((of) => new Intl.DateTimeFormat(of, { ...DAY, hour: '2-digit', minute: '2-digit' }));
const groupedFormat = perLocale((of) => new Intl.NumberFormat(of));

/** A number with its thousands marked. */
export const grouped = (count: number): string => groupedFormat().format(count);

/** A date as the tester's calendar shows it; the server's words and the page's are the same. */
export const day = (at: number): string => dayFormat().format(at);

export const dayAndTime = (at: number): string => dayAndTimeFormat().format(at);

const SIZES = ['B', 'kB', 'MB', 'GB'] as const;

/**
 * The size of a file.
 * @example sizeOfFile(1_234_000) // '1.2 MB'
 */
export function sizeOfFile(bytes: number): string {
	const power = Math.min(SIZES.length - 1, Math.floor(Math.log10(Math.max(1, bytes)) / 3));
	return `${upTo(bytes / 1000 ** power, power === 0 ? 0 : 1)} ${SIZES[power]}`;
}
