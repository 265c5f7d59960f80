import type { PrinterEffect } from '$lib/core/judging/trial/worked-out';
import { plural } from './numbers';
import { quantityName, quantityUnit, shifted } from './quantities';

/**
 * What one printer adds to a mark against another, in a sentence.
 * @example printerWords(effect, codeOf, false) // 'Overhang comes out 4.6 ° less on South than on North (...)'
 */
export function printerWords(effect: PrinterEffect, codeOf: (spoolId: string) => string, takenOut: boolean): string {
	const { quantity, printer, against, shift, low, high, prints, spoolIds } = effect;
	const unit = quantityUnit(quantity);
	const told = low > 0 || high < 0;
	const how = `${shifted(quantity, Math.abs(shift))} ${unit} ${shift < 0 ? 'less' : 'more'}`;
	const end = takenOut ? ' Marks are corrected for it.' : told ? '' : ' That may be no difference at all.';
	return `${quantityName({ id: quantity })} comes out ${how} on ${printer} than on ${against} for the same spools (95 % ${signed(quantity, low)} to ${signed(quantity, high)}; ${plural(prints, 'print')} of ${spoolIds.map(codeOf).join(', ')}).${end}`;
}

const signed = (quantity: string, value: number) => `${value < 0 ? '−' : '+'}${shifted(quantity, Math.abs(value))}`;
