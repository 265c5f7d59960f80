/**
 * In what locale numbers and dates are written: that of the browser, on its own page and in what the server makes for it. The words stay
 * English; a decimal comma or a day before the month is what people misread.
 */
/** Where nobody asks for another. */
export const USUAL_LOCALE = 'en-GB';

let source: () => string | null | undefined = () => null;

/** Says where the locale comes from: the request on the server, the page's own mark in the browser. */
export function localeFrom(given: () => string | null | undefined): void {
	source = given;
}

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
