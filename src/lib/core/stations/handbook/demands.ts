import { stated } from '../../record/claims/stated';
import type { SpoolEvidence } from '../../record/evidence/spool-evidence';
import { say, type Message } from '../../judging/finding/message';
import { settled } from '../../record/evidence/settled';
import type { PrinterAbilities } from '../../judging/trial/bench-facts';
import type { MaterialFigures } from '../../judging/handbook/figures';
import { materialOf } from '../../judging/handbook/material-of';

/** One thing a spool asks of a printer, with the sentence to say where the printer lacks it; `met` null where the printer's side is not known. */
export type Demand = { met: boolean | null; unmet: Message };

type Asking = Pick<SpoolEvidence, 'spool' | 'claims' | 'attempts'>;

/**
 * What a spool asks of a printer: heat of the nozzle and the bed, a hardened nozzle, an enclosure, a holder that takes its reel. The lowest temperature that
 * worked counts before the label's, and the label's before the handbook's. What only matters where it is known (bed, reel) is left out where it is not.
 * Source: label, handbook and the record; common practice, no source.
 * @returns temperatures in C, masses in g
 * @example demandsOf(spool, printer, handbook).filter((d) => d.met === false) // [{ met: false, unmet: { id: 'demand.enclosure', params: {} } }]
 */
export function demandsOf(evidence: Asking, printer: PrinterAbilities | null, handbook: readonly MaterialFigures[]): Demand[] {
	const material = materialOf(evidence.spool.material, handbook);
	return [...heat(evidence, material, printer), ...fittings(material, printer), ...bed(evidence, printer), ...reel(evidence, printer)];
}

function heat(evidence: Asking, material: MaterialFigures | null, printer: PrinterAbilities | null): Demand[] {
	const neededC = workedAt(evidence, 'nozzleC') ?? stated(evidence.claims, 'nozzleLowC')?.value ?? material?.hotEndC?.low ?? null;
	const hasC = printer?.hotEndMaxC ?? null;
	return neededC === null
		? []
		: [{ met: hasC === null ? null : hasC >= neededC, unmet: say('demand.hotEnd', { neededC, hasC: hasC ?? 0 }) }];
}

function fittings(material: MaterialFigures | null, printer: PrinterAbilities | null): Demand[] {
	return [
		...(material?.hardenedNozzle ? [{ met: printer?.hardenedNozzle ?? null, unmet: say('demand.hardenedNozzle') }] : []),
		...(material?.enclosure ? [{ met: printer?.enclosed ?? null, unmet: say('demand.enclosure') }] : [])
	];
}

function bed(evidence: Asking, printer: PrinterAbilities | null): Demand[] {
	const [neededC, hasC] = [workedAt(evidence, 'bedC'), printer?.bedMaxC ?? null];
	return neededC === null || hasC === null ? [] : [{ met: hasC >= neededC, unmet: say('demand.bed', { neededC, hasC }) }];
}

function reel({ spool, claims }: Asking, printer: PrinterAbilities | null): Demand[] {
	const [turns, mostG] = [printer?.cardReels ?? null, printer?.reelMaxG ?? null];
	const netG = stated(claims, 'netMassG')?.value ?? null;
	return [
		...(spool.reelMaterial === 'card' && turns !== null ? [{ met: turns, unmet: say('demand.cardReel') }] : []),
		...(netG !== null && mostG !== null ? [{ met: netG <= mostG, unmet: say('demand.reelSize', { netG, mostG }) }] : [])
	];
}

/**
 * What a spool asks of a printer that the printer lacks, by name; what is not known of the printer is not held against it.
 * @example demandsUnmet(spool, printer, handbook).map((m) => m.id) // ['demand.hardenedNozzle', 'demand.enclosure']
 */
export const demandsUnmet = (evidence: Asking, printer: PrinterAbilities | null, handbook: readonly MaterialFigures[]): Message[] =>
	demandsOf(evidence, printer, handbook).flatMap((d) => (d.met === false ? [d.unmet] : []));

/** The lowest temperature at which a print of it finished; null where none did, or nobody noted it. */
function workedAt({ attempts }: Asking, setting: 'nozzleC' | 'bedC'): number | null {
	const worked = attempts.flatMap((a) => (settled(a) && a.outcome === 'finished' ? (a.settings[setting] ?? []) : []));
	return worked.length === 0 ? null : Math.min(...worked);
}
