import type { MaterialFigures } from '$lib/core/handbook/figures';
import { upTo } from '../words/numbers';

export const FIGURES = [
	{ key: 'dryingC', name: 'Drying', unit: '°C' },
	{ key: 'dryingH', name: 'Time', unit: 'h' },
	{ key: 'dryForH', name: 'Stays dry in the open', unit: 'h' },
	{ key: 'softeningC', name: 'Softens at', unit: '°C' },
	{ key: 'densityGcm3', name: 'Density', unit: 'g/cm³' },
	{ key: 'hotEndC', name: 'Nozzle', unit: '°C' }
] as const;

export type FigureKey = (typeof FIGURES)[number]['key'];

/** A figure as people write it: one number, or its two ends. */
export function figureText(figure: MaterialFigures[FigureKey]): string {
	if (!figure) return '';
	return figure.low === figure.high ? upTo(figure.low, 2) : `${upTo(figure.low, 2)} to ${upTo(figure.high, 2)}`;
}

/** What was typed for a figure: one number or two ends with a dash or "to" between; anything else stays the text the schema refuses. */
export function readFigure(text: string, source: string): { low: number | string; high: number | string; source: string } | null {
	if (text.trim() === '') return null;
	const ends = text.split(/\s*(?:–|to|\.\.|(?<=\d)\s*-)\s*/).map((end) => end.trim().replace(',', '.'));
	const number = (end: string | undefined) => (end !== undefined && end !== '' && Number.isFinite(Number(end)) ? Number(end) : (end ?? ''));
	return { low: number(ends[0]), high: number(ends.length > 1 ? ends[1] : ends[0]), source };
}

/** What a material asks of a printer, in words. */
export function demandWords(m: MaterialFigures): string[] {
	return [
		m.hardenedNozzle ? 'hardened nozzle' : null,
		m.enclosure ? 'enclosure' : null,
		m.hotEndC && m.hotEndC.low >= 240 ? 'all-metal hot end' : null,
		m.feeder || null
	].filter((w): w is string => w !== null);
}
