import type { PrintSettings } from '$lib/core/evidence';

/** Print settings by name and unit, in the order they are asked. */
export const SETTING_WORDS: Record<keyof PrintSettings, { name: string; unit: string }> = {
	nozzleC: { name: 'Nozzle', unit: '°C' },
	bedC: { name: 'Bed', unit: '°C' },
	fanPct: { name: 'Fan', unit: '%' },
	speedPct: { name: 'Feed rate', unit: '%' },
	flowPct: { name: 'Flow', unit: '%' },
	retractionMm: { name: 'Retraction', unit: 'mm' }
};
