import type { Before } from '../../record/evidence/reading';
import type { Weighing } from './weighings';

/** In so short a time no spool in the open takes up or gives off what a kitchen scale can show (common practice, no source). */
const SHORT_MS = 10 * 60_000;
const SMALLEST_G = 2;
/** Both weighings may be off: three standard uncertainties of their difference. */
const WIDE = 3;

/**
 * A change between two weighings that nothing on record explains: most likely a slip of the finger, or something was printed or cut off.
 * @param last the weighing before
 * @param next what the scale shows now, g, its standard uncertainty, g, when, ms, and what is said or known to lie between
 * @returns g it is heavier (positive) or lighter (negative); null where there is nothing to ask about
 * @example suddenChange(last, { grossG: 991, uG: 0.4, at: last.at + 60_000, before: 'air' }) // -7
 */
export function suddenChange(
	last: Pick<Weighing, 'at' | 'grossG' | 'uG'>,
	next: Pick<Weighing, 'at' | 'grossG' | 'uG'> & { before: Before }
): number | null {
	const passed = next.at - last.at;
	if (next.before !== 'air' || passed < 0 || passed > SHORT_MS) return null;
	const change = next.grossG - last.grossG;
	return Math.abs(change) >= SMALLEST_G && Math.abs(change) > WIDE * Math.hypot(last.uG, next.uG) ? change : null;
}
