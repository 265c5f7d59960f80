/** Numbers for people: a fixed point, no exponent, no more digits than said. */
export function fixed(value: number, decimals: number): string {
	const text = value.toFixed(decimals);
	// "-0.00" says a sign that is not there.
	return Number(text) === 0 ? text.replace('-', '') : text.replace('-', '−');
}

/** At most `decimals` decimals, trailing zeros dropped. */
export function upTo(value: number, decimals: number): string {
	return String(Number(value.toFixed(decimals))).replace('-', '−');
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
// Making a formatter takes longer than a hundred dates through it, so each is made once, and not before a date is to be shown.
let dayFormat: Intl.DateTimeFormat | undefined;
let dayAndTimeFormat: Intl.DateTimeFormat | undefined;

/** A date as the tester's calendar shows it; the server's words and the page's are the same. */
export const day = (at: number): string => (dayFormat ??= new Intl.DateTimeFormat('en-GB', DAY)).format(at);

export const dayAndTime = (at: number): string =>
	(dayAndTimeFormat ??= new Intl.DateTimeFormat('en-GB', { ...DAY, hour: '2-digit', minute: '2-digit' })).format(at);
