import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Places } from './places';

/** By the definition: how many stand before each, and equals share what they cover. */
function plainly(standing: readonly (readonly number[])[]): number[][] {
	const n = standing.length;
	const draws = standing[0]?.length ?? 0;
	const out = standing.map(() => new Array<number>(n).fill(0));
	for (let d = 0; d < draws; d++)
		standing.forEach((of, i) => {
			const before = standing.filter((other) => (other[d] as number) > (of[d] as number)).length;
			const alike = standing.filter((other) => other[d] === of[d]).length;
			for (let k = before; k < before + alike; k++) (out[i] as number[])[k] = (out[i]?.[k] as number) + 1 / alike / draws;
		});
	return out;
}

const counted = (standing: readonly (readonly number[])[]): number[][] => {
	const places = new Places(standing.length);
	places.add(standing.map((of) => Float64Array.from(of)));
	return standing.map((_, i) => places.of(i, standing[0]?.length ?? 0));
};

describe('places', () => {
	it('are those of plain counting, whatever stands where and however many there are', () => {
		const standing = fc.tuple(fc.integer({ min: 1, max: 70 }), fc.integer({ min: 1, max: 5 })).chain(([n, draws]) =>
			fc.array(
				fc.array(fc.oneof(fc.integer({ min: -3, max: 3 }), fc.constantFrom(-1e15, -1e12, 0.25, -0.25)), {
					minLength: draws,
					maxLength: draws
				}),
				{ minLength: n, maxLength: n }
			)
		);
		fc.assert(
			fc.property(standing, (of) => {
				const [found, plain] = [counted(of), plainly(of)];
				expect(Math.max(...found.flatMap((row, i) => row.map((share, k) => Math.abs(share - (plain[i]?.[k] as number)))))).toBeCloseTo(
					0,
					10
				);
			}),
			{ numRuns: 30 }
		);
	});

	it('are shared by nothing and minus nothing', () => {
		expect(counted([[0], [-0], [-1e-300]])).toEqual([
			[0.5, 0.5, 0],
			[0.5, 0.5, 0],
			[0, 0, 1]
		]);
	});

	it('are told apart by a difference of a million-millionth', () => {
		expect(counted([[0.3], [0.3 + 1e-12]])).toEqual([
			[0, 1],
			[1, 0]
		]);
	});
});
