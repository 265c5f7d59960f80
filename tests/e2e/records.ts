import { expect } from '@playwright/test';
import { v7 } from 'uuid';
import { api } from './bench';

const HOUR = 3_600_000;
export const ago = (ms: number) => new Date(Date.now() - ms).toISOString();

/** Puts evidence into the record as a program would, where a test is about what is read off at the end. */
export class Records {
	readonly #url: () => string;

	constructor(url: () => string) {
		this.#url = url;
	}

	async post(path: string, body: object): Promise<Record<string, unknown>> {
		const { status, answer } = await api(this.#url(), path, { id: v7(), ...body });
		expect(status, `${path}: ${JSON.stringify(answer)}`).toBeLessThan(300);
		return answer;
	}

	/** A print that finished an hour ago, with its marks. */
	async print(spoolId: string, marks: object, more: object = {}): Promise<Record<string, unknown>> {
		return await this.post('attempts', { spoolId, outcome: 'finished', marks, at: ago(HOUR), ...more });
	}

	/** A test part that gave way in the hands. */
	async brokenByHand(spoolId: string, part: { shape: string; orientation: string; made?: string }, word: string): Promise<void> {
		const specimenId = v7();
		await this.post('specimens', { id: specimenId, spoolId, method: 'byHand', ...part, at: ago(HOUR), zone: 'UTC' });
		await this.post('readings', { spoolId, specimenId, quantity: 'byHand', typed: word, takenAt: ago(HOUR), zone: 'UTC' });
	}

	/** A hook that broke at a load. */
	async broken(spoolId: string, typed: string): Promise<void> {
		const specimenId = v7();
		const at = ago(HOUR);
		await this.post('specimens', { id: specimenId, spoolId, shape: 'hook', orientation: 'upright', method: 'direct', at, zone: 'UTC' });
		await this.post('readings', { spoolId, specimenId, quantity: 'loadBroke', typed, takenAt: at, zone: 'UTC' });
	}

	/** A piece of one's own with what is looked at on it. */
	async piece(name: string, marks: object[]): Promise<string> {
		const id = v7();
		await this.post('pieces', { id, name, marks });
		return id;
	}
}
