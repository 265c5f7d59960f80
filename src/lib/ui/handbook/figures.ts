import type { MaterialFigures } from '$lib/core/judging/handbook/figures';
import { fromCanonical, toCanonical } from '$lib/core/kernel/units/convert';
import { upTo } from '../../words/numbers';
import { chosenUnit, temperatureUnit } from '../../words/units';

export const FIGURES = [
	{ key: 'dryingC', name: 'Drying', unit: '°C' },
	{ key: 'dryingH', name: 'Time', unit: 'h' },
	{ key: 'dryForH', name: 'Stays dry in the open', unit: 'h' },
	{ key: 'softeningC', name: 'Softens at', unit: '°C' },
	{ key: 'densityGcm3', name: 'Density', unit: 'g/cm³' },
	{ key: 'hotEndC', name: 'Nozzle', unit: '°C' }
] as const;

export type FigureKey = (typeof FIGURES)[number]['key'];

/** Figures of heat that are read in the tester’s unit; a nozzle is set in °C, as slicers have it. */
const OF_DRYING: ReadonlySet<FigureKey> = new Set(['dryingC', 'softeningC']);
/** What a figure is converted to; degrees Celsius leave a number as it is. */
const unitOf = (key: FigureKey): string => (OF_DRYING.has(key) ? chosenUnit('temperature') : 'C');

/** The unit of a figure as it is read and typed. */
export const figureUnit = ({ key, unit }: { key: FigureKey; unit: string }): string => (OF_DRYING.has(key) ? temperatureUnit() : unit);

/** A figure as people write it: one number, or its two ends. */
export function figureText(key: FigureKey, figure: MaterialFigures[FigureKey]): string {
	if (!figure) return '';
	const [low, high] = [figure.low, figure.high].map((end) => upTo(fromCanonical(end, unitOf(key), 'temperature'), 2));
	return low === high ? `${low}` : `${low} to ${high}`;
}

/** What was typed for a figure: one number or two ends with a dash or "to" between; anything else stays the text the schema refuses. */
export function readFigure(
	key: FigureKey,
	text: string,
	source: string
): { low: number | string; high: number | string; source: string } | null {
	if (text.trim() === '') return null;
	const ends = text.split(/\s*(?:–|to|\.\.|(?<=\d)\s*-)\s*/).map((end) => end.trim().replace(',', '.'));
	// What was converted to be shown comes back as it was.
	const canonical = (value: number) => Number(toCanonical(value, unitOf(key), 'temperature').toFixed(3));
	const number = (end: string | undefined) =>
		end !== undefined && end !== '' && Number.isFinite(Number(end)) ? canonical(Number(end)) : (end ?? '');
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
