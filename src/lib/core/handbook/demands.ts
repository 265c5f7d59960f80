import type { MaterialFigures } from './figures';
import type { PrinterAbilities } from '../trial/bench-facts';
import { say, type Message } from '../finding/message';

/** One thing a material asks of a printer, with the sentence to say where the printer lacks it. */
export type Demand = { met: boolean | null; unmet: Message };

/**
 * What a material asks of a printer, and whether the printer has it; null where one side is not known.
 * @param labelNozzleLowC lower end of the label's nozzle range, which counts before the handbook's
 * @example demandsOn(printer, asa, 240).filter((d) => d.met === false) // [{ met: false, unmet: { id: 'demand.enclosure', params: {} } }]
 */
export function demandsOn(printer: PrinterAbilities | null, material: MaterialFigures | null, labelNozzleLowC: number | null): Demand[] {
	const demands: Demand[] = [];
	const neededC = labelNozzleLowC ?? material?.hotEndC?.low ?? null;
	if (neededC !== null)
		demands.push({
			met: printer?.hotEndMaxC == null ? null : printer.hotEndMaxC >= neededC,
			unmet: say('demand.hotEnd', { neededC, hasC: printer?.hotEndMaxC ?? 0 })
		});
	if (material?.hardenedNozzle) demands.push({ met: printer?.hardenedNozzle ?? null, unmet: say('demand.hardenedNozzle') });
	if (material?.enclosure) demands.push({ met: printer?.enclosed ?? null, unmet: say('demand.enclosure') });
	return demands;
}
