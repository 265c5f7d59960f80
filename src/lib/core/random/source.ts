import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/** A source of uniform numbers in [0, 1). */
export type RandomSource = () => number;

/**
 * A seeded source: the same seed gives the same draws on every machine.
 * @example const next = randomSource(7); next() // always the same first number
 */
export function randomSource(seed: number): RandomSource {
	const generator = xoroshiro128plus(seed);
	return () => uniformFloat64(generator);
}
