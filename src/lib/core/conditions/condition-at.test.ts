import { describe, expect, it } from 'vitest';
import type { SpoolEvent } from '../evidence/event';
import { conditionAt } from './condition-at';

const event = (kind: SpoolEvent['kind'], at: number, status: SpoolEvent['status'] = 'counts'): SpoolEvent => ({
	id: `${kind}${at}`,
	kind,
	drying: null,
	at,
	status,
	corrected: false,
	confirmed: false
});

describe('condition at a moment', () => {
	it('is as received until something happened', () => {
		expect(conditionAt([], 5)).toEqual({ kind: 'asReceived', since: null });
		expect(conditionAt([event('opened', 1), event('printed', 2)], 5).kind).toBe('asReceived');
	});
	it('is what happened last before it', () => {
		const events = [event('dried', 10), event('exposed', 20)];
		expect(conditionAt(events, 9).kind).toBe('asReceived');
		expect(conditionAt(events, 10)).toEqual({ kind: 'dried', since: 10 });
		expect(conditionAt(events, 25)).toEqual({ kind: 'exposed', since: 20 });
		expect(conditionAt([...events].reverse(), 25).kind).toBe('exposed');
	});
	it('does not believe a struck-out event', () => {
		expect(conditionAt([event('dried', 10, 'excluded')], 20).kind).toBe('asReceived');
	});
});
