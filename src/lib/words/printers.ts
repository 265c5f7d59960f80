import type { PrinterEffect } from '$lib/core/judging/trial/worked-out';
import type { PrinterFacts } from '$lib/core/record/facts/printer-facts';
import { plural, upTo } from './numbers';
import { quantityName, quantityUnit, shifted } from './quantities';
import { massWords, temperatureWords } from './units';

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

/** What is known of a printer; its hot end is asked for where it is not noted. */
export const abilityWords = (p: Omit<PrinterFacts, 'name' | 'nozzle'>): string =>
	[
		p.hotEndMaxC === null ? 'hot end not noted' : `hot end to ${temperatureWords(p.hotEndMaxC)}`,
		p.hardenedNozzle === null ? null : p.hardenedNozzle ? 'hardened nozzle' : 'brass nozzle',
		p.enclosed === null ? null : p.enclosed ? 'enclosed' : 'not enclosed',
		p.feedPathMm === null ? null : `feed path ${upTo(p.feedPathMm, 2)} mm`,
		p.throatMm === null ? null : `throat ${upTo(p.throatMm, 2)} mm`,
		p.bedMaxC === null ? null : `bed up to ${temperatureWords(p.bedMaxC)}`,
		p.cardReels === false ? 'no card reels' : null,
		p.reelMaxG === null ? null : `spools up to ${massWords(p.reelMaxG, 0, upTo)}`
	]
		.filter(Boolean)
		.join(', ');
