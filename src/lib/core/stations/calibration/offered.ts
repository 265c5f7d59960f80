import type { PrintSettings } from '../../record/evidence/attempt';
import type { Finding } from '../../judging/finding/types';
import { CALIBRATED } from './quantities';

/**
 * Settings of a print as a spool's calibrations have them; what was not calibrated is left out. As fine as one dials them in.
 * @param findings of one spool
 * @example settingsOffered(findings) // { flowPct: 97, pressureAdvance: 0.045 }
 */
export function settingsOffered(findings: readonly Finding[]): Partial<Record<keyof PrintSettings, number>> {
	return Object.fromEntries(
		CALIBRATED.flatMap(({ def, setting }) => {
			const estimate = findings.find((f) => f.quantity === def.id)?.estimate ?? null;
			if (estimate === null || setting === null) return [];
			const step = (def.differenceThatMatters * setting.times) / 10;
			const decimals = Math.max(0, Math.ceil(-Math.log10(step)));
			return [[setting.name, Number((estimate * setting.times).toFixed(decimals))]];
		})
	);
}
