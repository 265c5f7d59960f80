import type { PrinterAbilities } from '$lib/core/judging/trial/bench-facts';

/** What is known of a printer; null when there is none. */
export function abilitiesOf(printer: PrinterAbilities | null): PrinterAbilities | null {
	if (!printer) return null;
	const { name, hotEndMaxC, hardenedNozzle, enclosed, feedPathMm, throatMm, bedMaxC, cardReels, reelMaxG } = printer;
	return { name, hotEndMaxC, hardenedNozzle, enclosed, feedPathMm, throatMm, bedMaxC, cardReels, reelMaxG };
}
