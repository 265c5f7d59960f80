/**
 * In what units the tester reads: those tapped beside the fields, kept by the browser for each quantity and told to the server with every request,
 * so that the page it makes is written in them already. What is stored stays in the canonical unit.
 */
import { fromCanonical } from '$lib/core/kernel/units/convert';
import { fixed, upTo } from './numbers';

/** What a unit can be chosen for, the usual one first. Test pieces and printers stay in mm and °C, as slicers have them (decision 0047). */
export const UNIT_CHOICES = {
	/** Diameters of the strand. */
	length: ['mm', 'in'],
	/** Diameter and tolerance as a label states them: in mm nearly everywhere, whatever the caliper shows. */
	'label-length': ['mm', 'in'],
	/** Weighings. */
	mass: ['g', 'kg', 'oz', 'lb'],
	/** Filament on the label. */
	'label-mass': ['g', 'kg', 'lb'],
	/** The bucket that hangs. */
	bucket: ['g', 'kg', 'lb', 'oz'],
	/** Drying and softening. */
	temperature: ['C', 'F']
} as const;

export type UnitQuantity = keyof typeof UNIT_CHOICES;
export type ChosenUnits = Readonly<Partial<Record<UnitQuantity, string>>>;

let source: () => ChosenUnits | undefined = () => undefined;

/** Says where the choice comes from: the request on the server, what was tapped in the browser. */
export function unitsFrom(given: () => ChosenUnits | undefined): void {
	source = given;
}

/** The unit chosen for a quantity, or its usual one. @example chosenUnit('length') // 'mm' */
export const chosenUnit = (of: UnitQuantity): string => source()?.[of] ?? UNIT_CHOICES[of][0];

/** The cookie that tells the server. */
export const UNITS_COOKIE = 'draught-units';

/** The choices as one text for a cookie; usual ones need no saying. @example unitsText({ length: 'in', mass: 'g' }) // 'length-in' */
export function unitsText(units: ChosenUnits): string {
	const other = quantities().filter((of) => units[of] !== undefined && units[of] !== UNIT_CHOICES[of][0]);
	return other.map((of) => `${of}-${units[of]}`).join('.');
}

/** The way back: what is not known is left out. @example unitsOf('length-in.mass-stone') // { length: 'in' } */
export function unitsOf(text: string | undefined): ChosenUnits {
	const said = new Set((text ?? '').split('.'));
	return Object.fromEntries(
		quantities().flatMap((of) => UNIT_CHOICES[of].flatMap((unit) => (said.has(`${of}-${unit}`) ? [[of, unit]] : [])))
	);
}

const quantities = () => Object.keys(UNIT_CHOICES) as UnitQuantity[];

/** How decimals are written: all that were said, or no trailing noughts. */
type Write = typeof fixed;

/** An inch takes two decimals more for the same digits to show; a hundred-thousandth is the last that any gauge tells. */
const INCH_DECIMALS = 2;
const FINEST_INCH = 5;
const inches = () => chosenUnit('length') === 'in';

/** The unit diameters are read in. */
export const lengthUnit = (): string => (inches() ? 'in' : 'mm');

/** A diameter under a head that names the unit. @param decimals of millimetres */
export const bareLength = (mm: number, decimals = 3, write: Write = fixed): string =>
	inches() ? write(fromCanonical(mm, 'in', 'length'), Math.min(FINEST_INCH, decimals + INCH_DECIMALS)) : write(mm, decimals);

/** A diameter with its unit. @example lengthWords(1.7421) // '1.742 mm' */
export const lengthWords = (mm: number, decimals = 3, write: Write = fixed): string => `${bareLength(mm, decimals, write)} ${lengthUnit()}`;

/** From here on a tolerance in inches is told to a ten-thousandth, as calipers show it; less would be told as none. */
const COARSE_INCH = 0.0005;

/** A tolerance without its unit. @example bareTolerance(0.02) // '±0.02' */
export function bareTolerance(mm: number): string {
	if (!inches()) return `±${upTo(mm, 3)}`;
	const inch = fromCanonical(mm, 'in', 'length');
	return `±${upTo(inch, inch < COARSE_INCH ? FINEST_INCH : 4)}`;
}

/** A tolerance. @example toleranceWords(0.02) // '±0.02 mm' */
export const toleranceWords = (mm: number): string => `${bareTolerance(mm)} ${lengthUnit()}`;

/** Ounces in a pound. */
const POUND_OZ = 16;
/** An ounce takes one decimal more than a gram: the scales that show ounces show no more. */
const OUNCE_DECIMALS = 1;
const isPounds = () => chosenUnit('mass') === 'lb';
const ounces = () => isPounds() || chosenUnit('mass') === 'oz';

/** The unit that masses of one column or axis are read in: the small one, for they reach from a spool to a trace of water. */
export const massUnit = (): string => (ounces() ? 'oz' : 'g');

/** A mass in that unit, as a number. */
export const inMassUnit = (g: number): number => (ounces() ? fromCanonical(g, 'oz', 'mass') : g);

/** A mass under a head that names the unit. @param decimals of grams */
export const bareMass = (g: number, decimals: number, write: Write = fixed): string =>
	write(inMassUnit(g), decimals + (ounces() ? OUNCE_DECIMALS : 0));

/**
 * A mass with its unit: pounds and ounces, or kilograms, from one of the larger unit on.
 * @example massWords(995.8, 1) // '995.8 g'; where pounds are chosen '2 lb 3.13 oz'
 */
export function massWords(g: number, decimals: number, write: Write = fixed): string {
	if (chosenUnit('mass') === 'kg' && Math.abs(g) >= 1000) return `${write(g / 1000, decimals + 3)} kg`;
	const oz = inMassUnit(g);
	if (!isPounds() || Math.abs(oz) < POUND_OZ) return `${bareMass(g, decimals, write)} ${massUnit()}`;
	const rounded = Number(Math.abs(oz).toFixed(decimals + OUNCE_DECIMALS));
	const pounds = Math.floor(rounded / POUND_OZ);
	return `${g < 0 ? '−' : ''}${pounds} lb ${write(rounded - pounds * POUND_OZ, decimals + OUNCE_DECIMALS)} oz`;
}

/** How good a scale is. @example massTolerance(0.1) // '±0.1 g' */
export const massTolerance = (g: number): string => `±${massWords(g, 4, upTo)}`;

/** Decimals of what a label states. */
const LABEL_DECIMALS: Readonly<Record<string, number>> = { g: 0, kg: 3, lb: 2 };

/** What the label states of filament, in the unit it is typed in. @example labelMassWords(1000) // '1000 g'; where kg is chosen '1 kg' */
export function labelMassWords(g: number): string {
	const unit = chosenUnit('label-mass');
	return `${upTo(fromCanonical(g, unit, 'mass'), LABEL_DECIMALS[unit] ?? 0)} ${unit}`;
}

const fahrenheit = () => chosenUnit('temperature') === 'F';

/** The unit drying is read in. */
export const temperatureUnit = (): string => (fahrenheit() ? '°F' : '°C');

/** A temperature of drying or softening under a head that names the unit. */
export const bareTemperature = (c: number, decimals = 0): string =>
	upTo(fromCanonical(c, chosenUnit('temperature'), 'temperature'), decimals);

/** The same with its unit. @example temperatureWords(65) // '65 °C'; where °F is chosen '149 °F' */
export const temperatureWords = (c: number, decimals = 0): string => `${bareTemperature(c, decimals)} ${temperatureUnit()}`;
