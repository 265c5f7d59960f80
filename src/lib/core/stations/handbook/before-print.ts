import { stated } from '../../record/claims/stated';
import type { PrintSettings } from '../../record/evidence/attempt';
import type { SpoolEvidence } from '../../record/evidence/spool-evidence';
import { say, type Message } from '../../judging/finding/message';
import type { PrinterAbilities } from '../../judging/trial/bench-facts';
import { demandsUnmet } from './demands';
import type { MaterialFigures } from '../../judging/handbook/figures';

type Setting = Pick<PrintSettings, 'nozzleC' | 'bedC'>;

/**
 * What is asked before a print: what the spool wants and the printer lacks, a temperature the printer cannot reach, one outside the label's range.
 * @param settings temperatures in C
 * @example askBefore(spool, printer, handbook, { nozzleC: 300, bedC: null })[0]?.id // 'ask.beyondHotEnd'
 */
export function askBefore(
	evidence: Pick<SpoolEvidence, 'spool' | 'claims' | 'attempts'>,
	printer: PrinterAbilities | null,
	handbook: readonly MaterialFigures[],
	{ nozzleC, bedC }: Setting
): Message[] {
	const [lowC, highC] = [stated(evidence.claims, 'nozzleLowC')?.value, stated(evidence.claims, 'nozzleHighC')?.value];
	const [hotEndC, bedMaxC] = [printer?.hotEndMaxC ?? null, printer?.bedMaxC ?? null];
	return [
		...(nozzleC !== null && hotEndC !== null && nozzleC > hotEndC ? [say('ask.beyondHotEnd', { isC: nozzleC, hasC: hotEndC })] : []),
		...(bedC !== null && bedMaxC !== null && bedC > bedMaxC ? [say('ask.beyondBed', { isC: bedC, hasC: bedMaxC })] : []),
		...(nozzleC !== null && lowC !== undefined && highC !== undefined && (nozzleC < lowC || nozzleC > highC)
			? [say('ask.outsideLabel', { isC: nozzleC, lowC, highC })]
			: []),
		...demandsUnmet(evidence, printer, handbook)
	];
}
