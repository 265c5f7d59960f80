import type { MaterialFigures } from './figures';

const bare = (name: string) =>
	name
		.trim()
		.toUpperCase()
		.replace(/[\s_]+/g, '-');

/** Fibre in the name: glass or carbon, as testers write it. */
const FIBRE = /(^|-)(CF|GF)\d*($|-)/;

/** Other words for a material, as they stand on labels (common practice, no source). */
const ALSO: Readonly<Record<string, string>> = {
	NYLON: 'PA6',
	PA: 'PA6',
	TPE: 'TPU',
	PCTG: 'PETG',
	CPE: 'PETG',
	COPOLYESTER: 'PETG',
	SILK: 'PLA'
};

/** The words of a name that may be a material: "PLA+", "Nylon 12" and "rPETG" are read as PLA, PA12 and PETG. */
function wordsOf(name: string): string[] {
	const words = name.replace(/CO-POLYESTER/, 'COPOLYESTER').split(/[-+/]+/);
	const numbered = words.flatMap((word, i) => (/^(NYLON|PA)$/.test(word) && /^\d+$/.test(words[i + 1] ?? '') ? [`PA${words[i + 1]}`] : []));
	return [...numbered, ...words, ...words.map((word) => word.replace(/^R(?=P)/, ''))];
}

/**
 * The handbook's entry for a material as a tester wrote it: by its own name, else by the first of its words that is a material or another word
 * for one, with a hardened nozzle asked for when the rest says fibre. Null when the handbook does not know it.
 * @example materialOf('petg-cf', handbook)?.hardenedNozzle // true
 * @example materialOf('Silk PLA+', handbook)?.material // 'PLA'
 */
export function materialOf(name: string, handbook: readonly MaterialFigures[]): MaterialFigures | null {
	const wanted = bare(name);
	const own = handbook.find((m) => bare(m.material) === wanted);
	if (own) return own;
	const named = (word: string | undefined) => handbook.find((m) => bare(m.material) === word);
	const words = wordsOf(wanted);
	const known = words.find(named);
	const base = named(known ?? ALSO[words.find((word) => named(ALSO[word])) ?? '']);
	if (!base) return null;
	return FIBRE.test(wanted) ? { ...base, hardenedNozzle: true } : base;
}
