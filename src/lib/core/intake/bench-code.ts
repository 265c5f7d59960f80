const CONSONANTS = 'KDLHRSWBFGJMNTVZC';
const VOWELS = 'EOAUY';

/**
 * Letter pairs that spell a material (PA, PC, PP, TP...) or begin its usual name. A code must never be read as one.
 * Source: common practice of naming plastics, from memory.
 */
const SPELLS_MATERIAL = new Set([
	'PA',
	'PB',
	'PC',
	'PE',
	'PI',
	'PL',
	'PM',
	'PO',
	'PP',
	'PS',
	'PU',
	'PV',
	'TP',
	'AB',
	'AS',
	'CF',
	'GF',
	'HI',
	'NY',
	'BV',
	'CA',
	'CP',
	'SA',
	'SB',
	'UP',
	'EP',
	'PK',
	'PH'
]);

/**
 * Whether a bench code spells a material.
 * @example spellsMaterial('PA4') // true
 */
export function spellsMaterial(code: string): boolean {
	return SPELLS_MATERIAL.has(code.slice(0, 2).toUpperCase());
}

/**
 * The next free bench code: two letters and a digit, easy to say, neighbours unlike each other. It says nothing of maker or material.
 * @param used codes already on the bench
 * @returns null when all are used (about 700)
 * @example proposeBenchCode(new Set()) // 'KE1'
 */
export function proposeBenchCode(used: ReadonlySet<string>): string | null {
	const pairs = CONSONANTS.length * VOWELS.length;
	for (let i = 0; i < pairs * 9; i++) {
		// Letters and digit all move on with each code, so that two neighbours on the bench differ in all three places.
		const round = Math.floor(i / pairs);
		const step = i % pairs;
		const letters = `${CONSONANTS[step % CONSONANTS.length]}${VOWELS[step % VOWELS.length]}`;
		const code = `${letters}${((step + round) % 9) + 1}`;
		if (!used.has(code) && !spellsMaterial(code)) return code;
	}
	return null;
}
