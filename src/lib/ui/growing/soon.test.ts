import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { soon } from './soon';

const done: string[] = [];
const work = (name: string) => () => void done.push(name);
beforeEach(() => {
	done.length = 0;
	vi.useFakeTimers();
});
afterEach(() => vi.useRealTimers());

describe('work that is put off', () => {
	it('is done in its order, each piece a task of its own', () => {
		soon(work('a'));
		soon(work('b'));
		expect(done).toEqual([]);
		vi.advanceTimersToNextTimer();
		expect(done).toEqual(['a']);
		vi.advanceTimersToNextTimer();
		expect(done).toEqual(['a', 'b']);
		vi.runAllTimers();
		soon(work('c'));
		vi.runAllTimers();
		expect(done).toEqual(['a', 'b', 'c']);
	});

	it('that is to come first does, and what was taken off the list does not come', () => {
		const away = soon(work('a'));
		soon(work('b'));
		soon(work('c'), true);
		away();
		vi.runAllTimers();
		expect(done).toEqual(['c', 'b']);
	});
});
