import { describe, expect, it } from 'vitest';
import type { SpoolEvidence } from '$lib/core/record/evidence/spool-evidence';
import { diameters, evidence } from '../../../../tests/support/evidence';
import { Shelf } from './shelf.svelte';

const whole = (code: string, revision: number, n: number): SpoolEvidence =>
	evidence({ spool: { id: code, code, revision }, readings: diameters(Array.from({ length: n }, () => 1.75)) });
const light = (e: SpoolEvidence): SpoolEvidence => ({ ...e, readings: [] });

describe('shelf of a bench page', () => {
	it('takes the opened spool as it came and fetches the others, the next ones first', async () => {
		const all = [whole('A', 1, 2), whole('B', 1, 3), whole('C', 1, 4)];
		const asked: string[] = [];
		const shelf = new Shelf('diameter', (id, station) => {
			asked.push(`${station} ${id}`);
			return Promise.resolve(all.find((e) => e.spool.id === id) ?? null);
		});
		const given = all.map((e) => (e.spool.id === 'B' ? e : light(e)));
		expect(shelf.of(given[2] as SpoolEvidence).readings).toHaveLength(0);
		await shelf.fill(given, 'B');
		expect(asked).toEqual(['diameter C', 'diameter A']);
		expect(given.map((e) => shelf.of(e).readings.length)).toEqual([2, 3, 4]);
	});

	it('keeps what it has while the server is away, and fetches again only what changed', async () => {
		let [away, version] = [false, 1];
		let asked = 0;
		const shelf = new Shelf('diameter', (id) => {
			asked += 1;
			return Promise.resolve(away ? null : whole(id, version, version));
		});
		const given = () => [light(whole('A', version, 0)), light(whole('B', 1, 0))];
		await shelf.fill(given(), null);
		expect(asked).toBe(2);
		[away, version] = [true, 2];
		await shelf.fill(given(), null);
		expect(shelf.has('A')).toBe(true);
		expect(shelf.of(given()[0] as SpoolEvidence).readings).toHaveLength(1);
		away = false;
		await shelf.fill(given(), null);
		expect(asked).toBe(4);
		expect(shelf.of(given()[0] as SpoolEvidence).readings).toHaveLength(2);
	});

	it('an older round of fetching ends when a newer one begins, or the page is left', async () => {
		const answers: ((e: SpoolEvidence) => void)[] = [];
		const shelf = new Shelf('diameter', () => new Promise((done) => answers.push(done)));
		const first = shelf.fill([light(whole('A', 1, 0))], null);
		const second = shelf.fill([light(whole('A', 2, 0))], null);
		answers[1]?.(whole('A', 2, 7));
		await second;
		answers[0]?.(whole('A', 1, 1));
		await first;
		expect(shelf.of(light(whole('A', 2, 0))).readings).toHaveLength(7);
		const third = shelf.fill([light(whole('B', 1, 0))], null);
		shelf.stop();
		answers[2]?.(whole('B', 1, 5));
		await third;
		expect(shelf.has('B')).toBe(false);
	});
});
