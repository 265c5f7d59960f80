import { factsAmong } from '$lib/core/record/facts/fact-entry';
import { PRINTER_FACTS } from '$lib/core/record/facts/printer-facts';
import type { PrinterAbilities } from '$lib/core/judging/trial/bench-facts';

/** What is known of a printer; null when there is none. */
export function abilitiesOf(printer: PrinterAbilities | null): PrinterAbilities | null {
	if (!printer) return null;
	const { nozzle: _, ...abilities } = factsAmong(PRINTER_FACTS, printer);
	return abilities;
}
