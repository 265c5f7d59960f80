import type { MaterialFigures, PrinterAbilities } from '../evidence';

export type Demand = { id: 'hotEnd' | 'hardenedNozzle' | 'enclosure'; met: boolean | null; params: Record<string, string | number> };

/**
 * What a material asks of a printer, and whether the printer has it; null where one side is not known.
 * @param labelNozzleLowC lower end of the label's nozzle range, which counts before the handbook's
 * @example demandsOn(printer, asa, 240).filter((d) => d.met === false) // [{ id: 'enclosure', ... }]
 */
export function demandsOn(printer: PrinterAbilities | null, material: MaterialFigures | null, labelNozzleLowC: number | null): Demand[] {
	const demands: Demand[] = [];
	const neededC = labelNozzleLowC ?? material?.hotEndC?.low ?? null;
	if (neededC !== null)
		demands.push({
			id: 'hotEnd',
			met: printer?.hotEndMaxC == null ? null : printer.hotEndMaxC >= neededC,
			params: { neededC, hasC: printer?.hotEndMaxC ?? 0 }
		});
	if (material?.hardenedNozzle) demands.push({ id: 'hardenedNozzle', met: printer?.hardenedNozzle ?? null, params: {} });
	if (material?.enclosure) demands.push({ id: 'enclosure', met: printer?.enclosed ?? null, params: {} });
	return demands;
}
