import type { PrintSettings, SetUp } from '$lib/core/record/evidence/attempt';

/** Print settings by name and unit, in the order they are asked. */
export const SETTING_WORDS: Record<keyof PrintSettings, { name: string; unit: string }> = {
	nozzleC: { name: 'Nozzle', unit: '°C' },
	bedC: { name: 'Bed', unit: '°C' },
	fanPct: { name: 'Fan', unit: '%' },
	speedPct: { name: 'Feed rate', unit: '%' },
	flowPct: { name: 'Flow', unit: '%' },
	retractionMm: { name: 'Retraction', unit: 'mm' },
	pressureAdvance: { name: 'Pressure advance', unit: '' }
};

/** What stood around a print, in the order it is asked. */
export const SET_UP_WORDS: Record<keyof SetUp, string> = {
	bedSurface: 'Bed surface',
	bedAgent: 'Bed adhesive',
	profile: 'Profile',
	profileVersion: 'Profile version',
	enclosure: 'Enclosure',
	fedFrom: 'Fed from'
};

/** What belongs to one run of a print. */
const OF_THE_RUN: Record<string, { name: string; unit: string }> = {
	slicedFile: { name: 'Sliced file', unit: '' },
	midPrint: { name: 'Change while printing', unit: '' }
};

/** A setting or part of the set-up by its name. */
export function settingName(name: string): { name: string; unit: string } {
	const setting = (SETTING_WORDS[name as keyof PrintSettings] ?? OF_THE_RUN[name]) as { name: string; unit: string } | undefined;
	return setting ?? { name: SET_UP_WORDS[name as keyof SetUp], unit: '' };
}
