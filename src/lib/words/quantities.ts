import type { Ranged } from '$lib/core/judging/finding/measured';
import type { Grade, QuantityDef } from '$lib/core/judging/finding/types';
import { markEntries } from '$lib/core/record/marks/mark-entries';
import { LOAD_WORDS } from '$lib/core/record/marks/mark-words';
import { BY_HAND_WORDS } from '$lib/core/stations/strength/words';
import { fromCanonical } from '$lib/core/kernel/units/convert';
import { fixed, percent, upTo } from './numbers';
import { PRINT_MARKS } from './print-marks';
import { bareLength, bareTemperature, lengthUnit, temperatureUnit } from './units';

/** `reads`: told in the unit the tester chose for it; `decimals` and `unit` are of the usual one, and `under` names it by a place. */
type QuantityWords = { name: string; under: string; decimals: number; unit: string; reads?: 'length' | 'temperature' };
const UNIT_PLACE = '{unit}';

const WORDS: Record<string, QuantityWords> = {
	intakeOdd: { name: 'Unboxing', under: 'things wrong', decimals: 0, unit: '' },
	diameterMean: { name: 'Diameter', under: `diameter, limits, ${UNIT_PLACE}`, decimals: 3, unit: 'mm', reads: 'length' },
	diameterOutside: { name: 'Outside tolerance', under: 'share of readings', decimals: 0, unit: '%' },
	diameterInside: { name: 'Inside tolerance', under: 'share of length', decimals: 0, unit: '%' },
	diameterSpread: { name: 'Variation of the strand', under: 'SD without the caliper’s own', decimals: 4, unit: 'mm', reads: 'length' },
	ovality: { name: 'Ovality', under: 'largest minus smallest', decimals: 3, unit: 'mm', reads: 'length' },
	strandFlowRatio: { name: 'Flow by diameter', under: 'ratio suggested', decimals: 3, unit: '' },
	...PRINT_MARKS,
	printSuccess: { name: 'Prints', under: 'finished, %', decimals: 0, unit: '%' },
	feedRate: { name: 'Feed rate', under: 'fastest that printed, %', decimals: 0, unit: '%' },
	statedHardness: { name: 'Hardness', under: 'as stated, Shore A', decimals: 0, unit: 'Shore A' },
	calibratedNozzleC: { name: 'Best heat', under: 'calibrated, °C', decimals: 0, unit: '°C' },
	calibratedFlow: { name: 'Flow ratio', under: 'calibrated', decimals: 3, unit: '' },
	pressureAdvance: { name: 'Pressure advance', under: 'calibrated', decimals: 3, unit: '' },
	calibratedRetraction: { name: 'Retraction', under: 'calibrated, mm', decimals: 1, unit: 'mm' },
	highestFlow: { name: 'Highest flow', under: 'mm³/s', decimals: 1, unit: 'mm³/s' },
	loadEffort: { name: 'Loading', under: 'glides to refused', decimals: 1, unit: '' },
	waterUptake: { name: 'Moisture', under: 'taken up, %', decimals: 2, unit: '%' },
	dryingLoss: { name: 'Drying', under: 'lost at first drying, %', decimals: 2, unit: '%' },
	strengthLoad: { name: 'Strength', under: 'mean load, N', decimals: 0, unit: 'N' },
	strengthBlows: { name: 'Blows', under: 'until it broke', decimals: 0, unit: '' },
	strengthByHand: { name: 'By hand', under: 'crumbles to holds', decimals: 1, unit: '' },
	softening: { name: 'Softens at', under: `handbook, ${UNIT_PLACE}`, decimals: 0, unit: '°C', reads: 'temperature' },
	demandsUnmet: { name: 'Printer demands', under: 'not met', decimals: 0, unit: '' },
	pricePerKg: { name: 'Price per kg', under: 'with shipping', decimals: 2, unit: '' },
	costPerGoodKg: { name: 'Per good kg', under: 'with failures', decimals: 1, unit: '' }
};

const unitIn = ({ reads, unit }: QuantityWords): string =>
	reads === 'length' ? lengthUnit() : reads === 'temperature' ? temperatureUnit() : unit;

/** A value in the unit it is read in, without it. */
function bareIn({ reads, decimals }: QuantityWords, value: number): string {
	if (reads === 'length') return bareLength(value, decimals);
	return reads === 'temperature' ? bareTemperature(value, decimals) : fixed(value, decimals);
}

/** The name of a quantity; an own measure carries its own. */
export function quantityName(def: Pick<QuantityDef, 'id' | 'name'>): string {
	return WORDS[def.id]?.name ?? def.name ?? def.id;
}

/** The name of a quantity within a sentence. */
export const inSentence = (def: Pick<QuantityDef, 'id' | 'name'>): string =>
	IN_SENTENCE[def.id] ?? (WORDS[def.id] ? quantityName(def).toLowerCase() : quantityName(def));

const IN_SENTENCE: Readonly<Record<string, string>> = {
	printSuccess: 'finished prints',
	strengthLoad: 'load',
	dryingLoss: 'dryness as received',
	waterUptake: 'keeping dry',
	costPerGoodKg: 'cost per good kg'
};

export function quantityUnder(def: Pick<QuantityDef, 'id' | 'unit' | 'words' | 'shownIn'>, currency: string): string {
	if (def.shownIn) return `mean load, ${def.shownIn}`;
	if (def.id === 'costPerGoodKg') return `${currency}, with failures`;
	if (def.id === 'pricePerKg') return `${currency}, with shipping`;
	const words = WORDS[def.id];
	if (words) return words.under.replace(UNIT_PLACE, unitIn(words));
	if (def.words) return 'in your own words';
	return def.unit ? `own measure, ${def.unit}` : 'own measure';
}

/** What a column's figures are counted in: loads as they were typed, money as the trial counts it. */
export function columnUnit(def: Pick<QuantityDef, 'id' | 'unit' | 'shownIn'>, currency: string): string {
	if (def.shownIn) return def.shownIn;
	return def.unit === 'money/kg' ? currency : quantityUnit(def.id, def.unit);
}

/** The unit of a quantity as it is written behind a number; an own measure brings its own. */
export function quantityUnit(id: string, own = ''): string {
	const words = WORDS[id];
	return words ? unitIn(words) : own;
}

/** A difference of a quantity: one decimal more than its values have. */
export function shifted(id: string, value: number): string {
	const words = WORDS[id];
	return words?.reads === 'length' ? bareLength(value, words.decimals + 1) : fixed(value, (words?.decimals ?? 1) + 1);
}

/** Quantities told in words instead of numbers, lowest rank first. */
const ORDINALS: Readonly<Record<string, readonly string[]>> = {
	...Object.fromEntries(markEntries().flatMap((entry) => (entry.kind === 'words' ? [[entry.quantity, entry.words]] : []))),
	strengthByHand: BY_HAND_WORDS,
	loadEffort: LOAD_WORDS
};

/** Whether a quantity is told in words. */
export const isInWords = (id: string): boolean => ORDINALS[id] !== undefined;

/** The word of a rank, or null for a quantity that is told in numbers. */
function rankWord(def: Pick<QuantityDef, 'id' | 'words'>, rank: number): string | null {
	// An own measure carries its words.
	const words = ORDINALS[def.id] ?? (def.id.startsWith('own.') ? def.words : undefined);
	return words?.[Math.min(words.length - 1, Math.max(0, Math.round(rank)))] ?? null;
}

/** What telling a value takes of its quantity. */
type Told = Pick<QuantityDef, 'id' | 'unit' | 'scale' | 'words' | 'shownIn'>;

/** Decimals of a load, by its unit: no finer than test parts scatter. */
const LOAD_DECIMALS: Readonly<Record<string, number>> = { kg: 1, kgf: 1, lb: 0, lbf: 0 };

function bareLoad(newtons: number, unit: string): string {
	return fixed(fromCanonical(newtons, unit, 'load'), LOAD_DECIMALS[unit] ?? 0);
}

/** A load in the unit it is typed in. @example loadWords(111.2, 'lb') // '25 lb' */
export const loadWords = (newtons: number, unit: string): string => `${bareLoad(newtons, unit)} ${unit}`;

const isShare = (id: string) => id === 'printSuccess' || id === 'diameterOutside' || id === 'diameterInside';

/** A value of a quantity in words: number with its unit, or its word. */
export function valueWords(def: Told, value: number, currency = ''): string {
	const word = rankWord(def, value);
	if (word !== null) return word;
	if (def.shownIn) return loadWords(value, def.shownIn);
	if (isShare(def.id)) return percent(value);
	if (def.unit === 'money/kg') return `${fixed(value, 2)} ${currency}`.trim();
	const words = WORDS[def.id];
	if (words) return `${bareIn(words, value)} ${unitIn(words)}`.trim();
	return `${upTo(value, decimalsFor(def))} ${def.unit}`.trim();
}

/** The same without the unit, for figures whose column names it. */
export function bareValue(def: Told, value: number): string {
	const word = rankWord(def, value);
	if (word !== null) return word;
	if (def.shownIn) return bareLoad(value, def.shownIn);
	if (isShare(def.id)) return percent(value);
	if (def.unit === 'money/kg') return Number.isInteger(value) ? String(value) : fixed(value, 1);
	const words = WORDS[def.id];
	return words ? bareIn(words, value) : upTo(value, decimalsFor(def));
}

/** A figure with its range and how much it rests on. @example rangedWords(def, finding) // '31 lb (28 to 34; n 4)' */
export function rangedWords(def: Told, { estimate, interval, n }: Ranged): string {
	if (estimate === null) return 'no value';
	const range = interval ? `${bareValue(def, interval.low)} to ${bareValue(def, interval.high)}` : 'no range';
	return `${valueWords(def, estimate)} (${range}; n ${n})`;
}

/** As many decimals as a thousandth of the scale needs. */
function decimalsFor(def: Pick<QuantityDef, 'scale'>): number {
	return Math.max(0, Math.min(6, 2 - Math.floor(Math.log10(def.scale.high - def.scale.low))));
}

export const GRADE_WORDS: Record<Grade, string> = { none: 'nothing yet', thin: 'few data', fair: 'some', firm: 'good' };

export const STATION_WORDS: Record<string, string> = {
	intake: 'Intake',
	diameter: 'Diameter',
	moisture: 'Moisture',
	drying: 'Drying',
	prints: 'Prints',
	strength: 'Strength',
	handbook: 'Handbook',
	cost: 'Cost',
	own: 'Own measures',
	calibration: 'Calibrations'
};
