/**
 * In what locale numbers and dates are written: that of the browser, on its own page and in what the server makes for it. The words stay
 * English; a decimal comma or a day before the month is what people misread.
 */
/** Where nobody asks for another. */
export const USUAL_LOCALE = 'en-GB';

type Given = () => string | null | undefined;
let source: Given = () => null;
let sourceOfMark: Given = () => null;

/**
 * Says where the locale comes from: the request on the server, the page's own mark in the browser.
 * @param mark where its decimal mark comes from, where somebody looked it up before
 */
export function localeFrom(given: Given, mark: Given = () => null): void {
	source = given;
	sourceOfMark = mark;
}

const marks = new Map<string, string>();

/** The decimal mark. The server tells it with the page: to look it up for the first time holds up a slow phone for a tenth of a second. */
export function decimalMark(): string {
	const here = locale();
	const known = marks.get(here) ?? sourceOfMark() ?? lookedUp(here);
	marks.set(here, known);
	return known;
}

const lookedUp = (of: string): string => new Intl.NumberFormat(of).formatToParts(1.5).find((p) => p.type === 'decimal')?.value ?? '.';

export const locale = (): string => source() ?? USUAL_LOCALE;

/**
 * The locale a browser asks for first of those that can be written; null where it asks for none.
 * @example preferredLocale('xx, de-AT;q=0.9, en;q=0.8') // 'de-AT'
 */
export function preferredLocale(acceptLanguage: string | null): string | null {
	const asked = (acceptLanguage ?? '').split(',').map((part) => {
		const [tag = '', ...settings] = part.trim().split(';');
		const weight = settings.map((s) => /^\s*q=([\d.]+)$/.exec(s)?.[1]).find(Boolean);
		return { tag: tag.trim(), weight: weight === undefined ? 1 : Number(weight) };
	});
	const wanted = asked.filter(({ tag, weight }) => /^[a-z]{2,3}(-[a-z0-9]{2,8})*$/i.test(tag) && weight > 0);
	wanted.sort((a, b) => b.weight - a.weight);
	return wanted.flatMap(({ tag }) => supported(tag))[0] ?? null;
}

/** The locale as it can be written; none for what looks like one and is none. */
function supported(tag: string): string[] {
	try {
		return Intl.NumberFormat.supportedLocalesOf(tag);
	} catch {
		return [];
	}
}
