import { randomNormal } from 'd3-random';
import { randomSource, type RandomSource } from '$lib/core/kernel/random/source';
import { read } from '$lib/schemas/read';
import type { Database } from '../lib/server/base/db/client';

const SEED = 1847;
export const START = Date.parse('2026-10-10T09:00:00Z');
export const MINUTE = 60_000;
export const DAY = 24 * 60 * MINUTE;
export const zone = 'Europe/Vienna';

/** Everything goes through the same doors as a tester's own entries; only the clock is ours. */
export class DemoBench {
	#at = START;
	readonly source: RandomSource = randomSource(SEED);

	constructor(readonly db: Database) {}

	/** The bench clock, a little later each time it is asked. */
	tick(minutes: number): { at: string; zone: string } {
		this.#at += minutes * MINUTE;
		return { at: new Date(this.#at).toISOString(), zone };
	}
	jumpTo(day: number): void {
		this.#at = Math.max(this.#at, START + day * DAY);
	}
	get now(): number {
		return this.#at;
	}
	normal(mean: number, sd: number): number {
		return randomNormal.source(this.source)(mean, sd)();
	}
	/** Index drawn by its chances. */
	choose(chances: readonly number[]): number {
		let left = this.source();
		const at = chances.findIndex((c) => (left -= c) < 0);
		return at < 0 ? chances.length - 1 : at;
	}
}

/** What the demo says passes the same schemas as everybody's. */
export function checked<S extends Parameters<typeof read>[0]>(schema: S, input: unknown) {
	const parsed = read(schema, input);
	if (!parsed.ok) throw new Error(`the demo is not right: ${JSON.stringify(parsed.errors)}`);
	return parsed.value;
}
