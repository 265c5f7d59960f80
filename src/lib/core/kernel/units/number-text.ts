export type NumberText =
	{ ok: true; value: number; decimals: number; rest: string } | { ok: false; reason: 'empty' | 'notANumber' | 'ambiguous' };

/**
 * Reads the number a tester typed, with decimal comma or point, and returns what follows it (the unit).
 * Thousands separators are refused where they could be a decimal mark: `1,234` means 1.234 here, `1.234,5` is ambiguous.
 * `decimals` is the number of typed decimals: it is the resolution of a reading.
 * @example readNumberText('1,76 mm') // { ok: true, value: 1.76, decimals: 2, rest: 'mm' }
 */
export function readNumberText(text: string): NumberText {
	const trimmed = text.trim();
	if (trimmed === '') return { ok: false, reason: 'empty' };
	const match = /^([+-]?)(\d*)(?:([.,])(\d*))?(.*)$/s.exec(trimmed);
	const [, sign = '', whole = '', , fraction = '', rest = ''] = match ?? [];
	if (!match || (whole === '' && fraction === '')) return { ok: false, reason: 'notANumber' };
	if (/^[.,\d]/.test(rest)) return { ok: false, reason: 'ambiguous' };
	// `1e5` would silently become 1 with the unit `e5`.
	if (/^e[+-]?\d/i.test(rest)) return { ok: false, reason: 'notANumber' };
	const value = Number(`${sign}${whole || '0'}.${fraction || '0'}`);
	if (!Number.isFinite(value)) return { ok: false, reason: 'notANumber' };
	return { ok: true, value, decimals: fraction.length, rest: rest.trim() };
}
