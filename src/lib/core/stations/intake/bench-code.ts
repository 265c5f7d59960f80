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
 * Three letters that name a material, or that nobody wants to write on a spool.
 * Source: common practice of naming plastics, from memory.
 */
const NOT_THREE = new Set(
	'HDP LDP LLD NYL PAR PBT PCT PEI PEK PES PET PLA POM PUR PVA PVB PVC SAN TPE TPS TPU TPV CUM COC COK FAG FUK GAY HOR JAP JEW KUK NAZ NEG RAP SEX SUK TUD VAG'.split(
		' '
	)
);

/**
 * Whether a bench code spells a material.
 * @example spellsMaterial('PA4') // true
 */
export function spellsMaterial(code: string): boolean {
	const letters = code.toUpperCase();
	return SPELLS_MATERIAL.has(letters.slice(0, 2)) || NOT_THREE.has(letters.slice(0, 3));
}

/** Pairs of a consonant and a vowel, in the order in which they are given out. */
const PAIRS = Array.from(
	{ length: CONSONANTS.length * VOWELS.length },
	(_, i) => `${CONSONANTS[i % CONSONANTS.length]}${VOWELS[i % VOWELS.length]}`
);

/**
 * All codes in the order in which they are given out. Letters and digit all move on with each code, so that two neighbours on the bench
 * differ in every place. First two letters and a digit; when those are used, three letters and a digit.
 */
function* codes(): Generator<string> {
	for (const third of ['', ...CONSONANTS])
		for (let round = 0; round < 9; round++)
			for (const [i, pair] of PAIRS.entries()) {
				const moved = third && CONSONANTS[(CONSONANTS.indexOf(third) + i) % CONSONANTS.length];
				yield `${pair}${moved}${((i + round) % 9) + 1}`;
			}
}

/**
 * The next free bench code: two letters and a digit, easy to say, neighbours unlike each other; three letters and a digit when the pairs
 * are used. It says nothing of maker or material.
 * @param used codes already on the bench
 * @returns null when all are used (about 13,000)
 * @example proposeBenchCode(new Set()) // 'KE1'
 */
export function proposeBenchCode(used: ReadonlySet<string>): string | null {
	for (const code of codes()) if (!used.has(code) && !spellsMaterial(code)) return code;
	return null;
}
