import type { MaterialFigures } from './figures';

const bare = (name: string) =>
	name
		.trim()
		.toUpperCase()
		.replace(/[\s_]+/g, '-');

/** Fibre in the name: glass or carbon, as testers write it. */
const FIBRE = /(^|-)(CF|GF)\d*($|-)/;

/**
 * The handbook's entry for a material as a tester wrote it: by its own name, else by what stands before the first dash, with a
 * hardened nozzle asked for when the rest says fibre. Null when the handbook does not know it.
 * @example materialOf('petg-cf', handbook)?.hardenedNozzle // true
 */
export function materialOf(name: string, handbook: readonly MaterialFigures[]): MaterialFigures | null {
	const wanted = bare(name);
	const own = handbook.find((m) => bare(m.material) === wanted);
	if (own) return own;
	const [stem = ''] = wanted.split('-');
	const base = handbook.find((m) => bare(m.material) === stem);
	if (!base) return null;
	return FIBRE.test(wanted) ? { ...base, hardenedNozzle: true } : base;
}
