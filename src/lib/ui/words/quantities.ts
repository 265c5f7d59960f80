import type { Grade, QuantityDef } from '$lib/core/finding/types';
import { BED_WORDS, BY_HAND_WORDS, LOAD_WORDS, SEVERITY_WORDS, SUPPORT_WORDS } from '$lib/core/readings/quantities';
import { fixed, percent, upTo } from './numbers';

type QuantityWords = { name: string; under: string; decimals: number; unit: string };

const WORDS: Record<string, QuantityWords> = {
	intakeOdd: { name: 'Unboxing', under: 'odd things', decimals: 0, unit: '' },
	diameterMean: { name: 'Diameter', under: 'strand, limits, mm', decimals: 3, unit: 'mm' },
	diameterOutside: { name: 'Outside tolerance', under: 'share of readings', decimals: 0, unit: '%' },
	diameterInside: { name: 'Inside tolerance', under: 'share of length', decimals: 0, unit: '%' },
	diameterSpread: { name: 'Spread of the strand', under: 'SD, instrument out', decimals: 4, unit: 'mm' },
	ovality: { name: 'Ovality', under: 'largest less smallest', decimals: 3, unit: 'mm' },
	strandFlowRatio: { name: 'Flow ratio', under: 'suggested', decimals: 3, unit: '' },
	printSuccess: { name: 'Prints', under: 'finished, share', decimals: 0, unit: '%' },
	overhang: { name: 'Overhang', under: 'last clean °', decimals: 0, unit: '°' },
	overhangAway: { name: 'Overhang away', under: 'from the fan, last clean °', decimals: 0, unit: '°' },
	bridge: { name: 'Bridge', under: 'longest, mm', decimals: 0, unit: 'mm' },
	strings: { name: 'Strings', under: 'in four words', decimals: 1, unit: '' },
	stringCount: { name: 'Strands counted', under: 'by eye', decimals: 1, unit: '' },
	stringCoverage: { name: 'String cover', under: 'of the gap, on a photo, %', decimals: 1, unit: '%' },
	photoStrings: { name: 'Strands on a photo', under: 'across the gap', decimals: 1, unit: '' },
	temperatureWindow: { name: 'Clean window', under: 'width of clean floors, K', decimals: 0, unit: 'K' },
	feedRate: { name: 'Feed rate', under: 'fastest that printed, %', decimals: 0, unit: '%' },
	loadEffort: { name: 'Loading', under: 'in four words', decimals: 1, unit: '' },
	bridgeSag: { name: 'Bridge sag', under: 'longest bridge, mm', decimals: 1, unit: 'mm' },
	cornerLift: { name: 'Corner lift', under: 'worst corner, mm', decimals: 1, unit: 'mm' },
	smallText: { name: 'Small text', under: 'smallest read, mm', decimals: 1, unit: 'mm' },
	shrinkageX: { name: 'Shrinkage X', under: 'against its size, %', decimals: 2, unit: '%' },
	shrinkageY: { name: 'Shrinkage Y', under: 'against its size, %', decimals: 2, unit: '%' },
	shrinkageZ: { name: 'Shrinkage Z', under: 'against its size, %', decimals: 2, unit: '%' },
	bedHold: { name: 'Bed', under: 'in four words', decimals: 1, unit: '' },
	supportRemoval: { name: 'Supports', under: 'in four words', decimals: 1, unit: '' },
	surface: { name: 'Surface', under: 'worst fault', decimals: 1, unit: '' },
	printOdour: { name: 'Odour', under: 'in four words', decimals: 1, unit: '' },
	waterUptake: { name: 'Moisture', under: 'taken up, %', decimals: 2, unit: '%' },
	dryingLoss: { name: 'Drying', under: 'first loss, %', decimals: 2, unit: '%' },
	strengthLoad: { name: 'Strength', under: 'mean load, N', decimals: 0, unit: 'N' },
	strengthBlows: { name: 'Blows', under: 'until it broke', decimals: 1, unit: '' },
	strengthByHand: { name: 'By hand', under: 'in four words', decimals: 1, unit: '' },
	softening: { name: 'Softens at', under: 'handbook, °C', decimals: 0, unit: '°C' },
	demandsUnmet: { name: 'Printer demands', under: 'not met', decimals: 0, unit: '' },
	pricePerKg: { name: 'Price per kg', under: 'with shipping', decimals: 2, unit: '' },
	costPerGoodKg: { name: 'Per good kg', under: 'with failures', decimals: 1, unit: '' }
};

/** The name of a quantity; an own measure carries its own. */
export function quantityName(def: Pick<QuantityDef, 'id' | 'name'>): string {
	return WORDS[def.id]?.name ?? def.name ?? def.id;
}

export function quantityUnder(def: Pick<QuantityDef, 'id' | 'unit'>, currency: string): string {
	if (def.id === 'costPerGoodKg') return `${currency}, with failures`;
	if (def.id === 'pricePerKg') return `${currency}, with shipping`;
	return WORDS[def.id]?.under ?? (def.unit ? `own measure, ${def.unit}` : 'own measure');
}

/** The unit of a quantity as it is written behind a number. */
export const quantityUnit = (id: string): string => WORDS[id]?.unit ?? '';

/** A difference of a quantity: one decimal more than its values have. */
export const shifted = (id: string, value: number): string => fixed(value, (WORDS[id]?.decimals ?? 1) + 1);

export const STRING_MARKS = ['none', 'wisp', 'slight', 'heavy'] as const;

/** Quantities told in words instead of numbers, lowest rank first. */
const ORDINALS: Record<string, readonly string[]> = {
	strings: STRING_MARKS,
	strengthByHand: BY_HAND_WORDS,
	bedHold: BED_WORDS,
	loadEffort: LOAD_WORDS,
	supportRemoval: SUPPORT_WORDS,
	surface: SEVERITY_WORDS,
	printOdour: SEVERITY_WORDS
};

/** Whether a quantity is told in words. */
export const isInWords = (id: string): boolean => ORDINALS[id] !== undefined;

/** The word of a rank, or null for a quantity that is told in numbers. */
function rankWord(id: string, rank: number): string | null {
	const words = ORDINALS[id];
	return words?.[Math.min(words.length - 1, Math.max(0, Math.round(rank)))] ?? null;
}

const isShare = (id: string) => id === 'printSuccess' || id === 'diameterOutside' || id === 'diameterInside';

/** A value of a quantity in words: number with its unit, or its word. */
export function valueWords(def: Pick<QuantityDef, 'id' | 'unit' | 'scale'>, value: number, currency = ''): string {
	const word = rankWord(def.id, value);
	if (word !== null) return word;
	if (isShare(def.id)) return percent(value);
	if (def.unit === 'money/kg') return `${fixed(value, 2)} ${currency}`.trim();
	const words = WORDS[def.id];
	if (words) return `${fixed(value, words.decimals)} ${words.unit}`.trim();
	return `${upTo(value, decimalsFor(def))} ${def.unit}`.trim();
}

/** The same without the unit, for figures whose column names it. */
export function bareValue(def: Pick<QuantityDef, 'id' | 'unit' | 'scale'>, value: number): string {
	const word = rankWord(def.id, value);
	if (word !== null) return word;
	if (isShare(def.id)) return percent(value);
	if (def.unit === 'money/kg') return Number.isInteger(value) ? String(value) : fixed(value, 1);
	const words = WORDS[def.id];
	return words ? fixed(value, words.decimals) : upTo(value, decimalsFor(def));
}

/** As many decimals as a thousandth of the scale needs. */
function decimalsFor(def: Pick<QuantityDef, 'scale'>): number {
	return Math.max(0, Math.min(6, 2 - Math.floor(Math.log10(def.scale.high - def.scale.low))));
}

export const GRADE_WORDS: Record<Grade, string> = { none: 'nothing yet', thin: 'thin', fair: 'fair', firm: 'firm' };

export const STATION_WORDS: Record<string, string> = {
	intake: 'Intake',
	diameter: 'Diameter',
	moisture: 'Moisture',
	drying: 'Drying',
	prints: 'Prints',
	strength: 'Strength',
	handbook: 'Handbook',
	cost: 'Cost',
	own: 'Own measures'
};
