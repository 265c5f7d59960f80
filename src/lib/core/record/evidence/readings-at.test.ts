import { expect, it } from 'vitest';
import { reading } from '../../../../../tests/support/evidence';
import { readingsAt } from './readings-at';

it('readings of a station are its own, in their order, and found for each list anew', () => {
	const at = (station: string, value: number) => reading({ station, quantity: 'x', value });
	const readings = [at('prints', 1), at('diameter', 2), at('prints', 3)];
	const values = (of: typeof readings, station: string) => readingsAt({ readings: of }, station).map((r) => r.value);
	expect([values(readings, 'prints'), values(readings, 'diameter'), values(readings, 'strength')]).toEqual([[1, 3], [2], []]);
	expect(values([...readings, at('prints', 4)], 'prints')).toEqual([1, 3, 4]);
	expect(readingsAt({ readings }, 'prints')).toBe(readingsAt({ readings }, 'prints'));
});
