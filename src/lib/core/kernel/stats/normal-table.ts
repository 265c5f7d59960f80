import { normalCdf } from './distributions';

/** Beyond so many standard deviations the table ends: 6e-16 is left out there. */
const REACH = 8;
const PER_SD = 512;
const table = Float64Array.from({ length: 2 * REACH * PER_SD + 2 }, (_, i) => normalCdf(i / PER_SD - REACH));

/**
 * Normal distribution function from a table, straight between its nodes: for grids that ask for it millions of times.
 * Source: interpolation error at most h²/8 times the largest slope of the density, 1.2e-7 at this spacing.
 * @param z in standard deviations; infinite ones are allowed
 * @returns chance, 0 to 1
 * @example fastNormalCdf(1.96) // 0.975
 */
export function fastNormalCdf(z: number): number {
	if (z <= -REACH) return 0;
	if (z >= REACH) return 1;
	const at = (z + REACH) * PER_SD;
	const below = at | 0;
	const low = table[below] as number;
	return low + (at - below) * ((table[below + 1] as number) - low);
}
