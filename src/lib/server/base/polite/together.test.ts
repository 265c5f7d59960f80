import { describe, expect, it } from 'vitest';
import { together } from './together';

/** Work that ends when it is told to; says how often it was begun. */
function held() {
	const ends: ((value: number) => void)[] = [];
	let begun = 0;
	const work = () => {
		begun += 1;
		return new Promise<number>((done) => ends.push(done));
	};
	return { work, ends, begun: () => begun };
}
const turn = () => new Promise((done) => setTimeout(done));

describe('work done together', () => {
	it('is done again for who comes while it is going on, once for all of them', async () => {
		const { work, ends, begun } = held();
		const first = together('a', work);
		const late = [together('a', work), together('a', work), together('a', work)];
		await turn();
		expect(begun()).toBe(1);
		ends[0]?.(1);
		expect(await first).toBe(1);
		await turn();
		expect(begun()).toBe(2);
		// The second round is going on: who comes now waits for a third.
		const later = together('a', work);
		ends[1]?.(2);
		expect(await Promise.all(late)).toEqual([2, 2, 2]);
		await turn();
		ends[2]?.(3);
		expect(await later).toBe(3);
		expect(begun()).toBe(3);
	});

	it('is begun at once where nobody waits, and for other work', async () => {
		const { work, ends, begun } = held();
		const [a, b] = [together('b', work), together('c', work)];
		expect(begun()).toBe(2);
		ends.forEach((end) => end(1));
		await Promise.all([a, b]);
		const again = together('b', work);
		expect(begun()).toBe(3);
		ends[2]?.(5);
		expect(await again).toBe(5);
	});

	it('a failure is told to who waited for it, and the next round goes on', async () => {
		const first = together('d', () => Promise.reject(new Error('away')));
		const second = together('d', () => Promise.resolve(7));
		await expect(first).rejects.toThrow('away');
		expect(await second).toBe(7);
		expect(await together('d', () => Promise.resolve(8))).toBe(8);
	});
});
