/** A physical dimension of the bench and the units its input takes. The first unit is the canonical one that is stored. */
export const UNITS = {
	length: ['mm', 'um', 'in'],
	distance: ['m', 'cm', 'mm', 'ft', 'in'],
	mass: ['g', 'kg', 'lb', 'oz'],
	temperature: ['C', 'F'],
	force: ['N', 'kgf', 'lbf'],
	/** What hangs or pulls on a specimen: a force, or the mass that hangs. */
	load: ['N', 'kg', 'lb', 'g', 'oz', 'kgf', 'lbf'],
	count: [''],
	angle: ['deg'],
	duration: ['min', 'h', 's'],
	share: ['%'],
	plain: ['']
} as const;

export type Dimension = keyof typeof UNITS;

/**
 * The unit in which a dimension is stored and computed.
 * @example canonicalUnit('mass') // 'g'
 */
export function canonicalUnit(dimension: Dimension): string {
	return UNITS[dimension][0];
}

/** How people write units; lower case, without dots. Anything else is an unknown unit, never a guess. */
const SPELLINGS: Record<string, string> = {
	'"': 'in',
	inch: 'in',
	inches: 'in',
	µm: 'um',
	μm: 'um',
	micron: 'um',
	microns: 'um',
	gram: 'g',
	grams: 'g',
	kilo: 'kg',
	kilos: 'kg',
	kilogram: 'kg',
	kilograms: 'kg',
	lbs: 'lb',
	pound: 'lb',
	pounds: 'lb',
	ounce: 'oz',
	ounces: 'oz',
	c: 'C',
	'°c': 'C',
	f: 'F',
	'°f': 'F',
	n: 'N',
	newton: 'N',
	newtons: 'N',
	kp: 'kgf',
	'°': 'deg',
	degrees: 'deg',
	minutes: 'min',
	hours: 'h',
	hour: 'h',
	percent: '%'
};

/**
 * The unit a tester meant, or null when the dimension does not know it.
 * @example unitOf('lbs', 'mass') // 'lb'
 * @example unitOf('stone', 'mass') // null
 */
export function unitOf(text: string, dimension: Dimension): string | null {
	const bare = text.trim().replace(/\.$/, '');
	const known: readonly string[] = UNITS[dimension];
	if (known.includes(bare)) return bare;
	const spelled = SPELLINGS[bare.toLowerCase()] ?? bare.toLowerCase();
	return known.includes(spelled) ? spelled : null;
}
