import { describe, expect, it } from 'vitest';
import { event } from '../../../../../tests/support/evidence';
import type { SpoolEvent } from '../evidence/event';
import { conditionAt, conditionOf } from './condition-at';

const HOUR = 3_600_000;
const history = (events: SpoolEvent[], dryForH: number | null = null) => ({ events, dryForH });
const kindAt = (events: SpoolEvent[], at: number, dryForH: number | null = null) => conditionAt(history(events, dryForH), at).kind;

describe('condition at a moment', () => {
	it('is as received until something happened', () => {
		expect(conditionAt(history([]), 5)).toEqual({ kind: 'asReceived', since: null, hours: null, humidityPct: null });
		expect(kindAt([event({ kind: 'opened', at: 1 }), event({ kind: 'printed', at: 2 }), event({ kind: 'cutOff', at: 3 })], 5)).toBe(
			'asReceived'
		);
	});
	it('is what happened last before it', () => {
		const events = [event({ kind: 'dried', at: 10 }), event({ kind: 'exposed', at: 20, humidityPct: 80 })];
		expect(kindAt(events, 9)).toBe('asReceived');
		expect(conditionAt(history(events), 10)).toMatchObject({ kind: 'dried', since: 10 });
		expect(conditionAt(history(events), 25)).toEqual({ kind: 'exposed', since: 20, hours: null, humidityPct: 80 });
		expect(kindAt([...events].reverse(), 25)).toBe('exposed');
		expect(conditionAt(history([...events, event({ kind: 'soaked', at: 30, hours: 24 })]), 31)).toMatchObject({
			kind: 'soaked',
			hours: 24
		});
	});
	it('does not believe a struck-out event', () =>
		expect(kindAt([event({ kind: 'dried', at: 10, status: 'excluded' })], 20)).toBe('asReceived'));
});

describe('how long dried lasts', () => {
	const dried = event({ kind: 'dried', at: 0 });
	it('counts as in the air once it lay open longer than its material keeps dry', () => {
		expect(kindAt([dried], 12 * HOUR, 12)).toBe('dried');
		expect(conditionAt(history([dried], 12), 12 * HOUR + 1)).toMatchObject({ kind: 'exposed', since: 0 });
		expect(kindAt([dried], 1000 * HOUR, null)).toBe('dried');
	});
	it('the clock stands while it is put away, and goes on from there only when it is left in the open', () => {
		const stored = event({ kind: 'stored', at: 10 * HOUR });
		expect(kindAt([dried, stored], 1000 * HOUR, 12)).toBe('dried');
		expect(kindAt([dried, event({ kind: 'stored', at: 13 * HOUR })], 1000 * HOUR, 12)).toBe('exposed');
		expect(kindAt([dried, stored, event({ kind: 'exposed', at: 20 * HOUR })], 21 * HOUR, 12)).toBe('exposed');
	});
	it('only putting it away stops the clock: a portion that is cut off or a print does not', () => {
		for (const kind of ['cutOff', 'opened', 'printed'] as const)
			expect(kindAt([dried, event({ kind, at: HOUR })], 13 * HOUR, 12), kind).toBe('exposed');
	});
	it('counts from the end of its drying, which at that very moment is over', () => {
		const run = { runId: 'r', startedAt: 2 * HOUR, setPointC: 50, dryer: null, checks: [] };
		const ended = event({ kind: 'dried', at: 6 * HOUR, drying: run });
		expect(conditionAt(history([ended], 12), 6 * HOUR)).toMatchObject({ kind: 'dried', since: 6 * HOUR });
		expect(conditionAt(history([ended], 12), 6 * HOUR - 1)).toMatchObject({ kind: 'dried', since: 2 * HOUR });
	});
	it('of two that end at one moment, what began last came last, in whatever order they were noted', () => {
		const run = { runId: 'r', startedAt: 2 * HOUR, setPointC: 50, dryer: null, checks: [] };
		const both = [event({ kind: 'exposed', at: 6 * HOUR }), event({ kind: 'dried', at: 6 * HOUR, drying: run })];
		expect([kindAt(both, 7 * HOUR), kindAt(both.toReversed(), 7 * HOUR)]).toEqual(['exposed', 'exposed']);
	});
	it('a second drying begins anew', () => {
		const again = event({ kind: 'dried', at: 20 * HOUR });
		expect(kindAt([dried, again], 31 * HOUR, 12)).toBe('dried');
		expect(kindAt([dried, event({ kind: 'stored', at: 11 * HOUR }), again], 33 * HOUR, 12)).toBe('exposed');
	});
});

describe('a dryer that runs', () => {
	const drying = { runId: 'r', startedAt: 5 * HOUR, setPointC: 60, dryer: 'box', checks: [] };
	it('what is printed from it is dried, from its start to its end and after', () => {
		const done = event({ kind: 'dried', at: 10 * HOUR, drying });
		expect([4, 5, 7, 10, 11].map((h) => kindAt([done], h * HOUR))).toEqual(['asReceived', 'dried', 'dried', 'dried', 'dried']);
		expect(conditionAt(history([done]), 7 * HOUR).since).toBe(5 * HOUR);
		expect(conditionAt(history([done]), 11 * HOUR).since).toBe(10 * HOUR);
	});
	it('also while nobody has ended it, however long', () => {
		const running = event({ kind: 'drying', at: 5 * HOUR, drying });
		expect([4, 5, 500].map((h) => kindAt([running], h * HOUR, 12))).toEqual(['asReceived', 'dried', 'dried']);
	});
});

describe('portions', () => {
	const cut = event({ kind: 'cutOff', at: 10, portion: 'A' });
	const events = [
		event({ kind: 'dried', at: 5 }),
		cut,
		event({ kind: 'soaked', at: 20, portionId: cut.id }),
		event({ kind: 'exposed', at: 30 })
	];
	it('share the history until they were cut off, then have their own', () => {
		const at = (moment: number, portionId: string | null) => conditionAt(history(events), moment, portionId).kind;
		expect([at(15, cut.id), at(25, cut.id), at(35, cut.id)]).toEqual(['dried', 'soaked', 'soaked']);
		expect([at(15, null), at(25, null), at(35, null)]).toEqual(['dried', 'dried', 'exposed']);
		expect(conditionOf(history(events), { at: 25, portionId: cut.id, condition: null }).kind).toBe('soaked');
	});
});

describe('several portions', () => {
	const first = event({ kind: 'cutOff', at: 10 });
	const second = event({ kind: 'cutOff', at: 30 });
	const events = [first, event({ kind: 'dried', at: 20 }), second, event({ kind: 'exposed', at: 40 })];
	it('each was cut off at its own moment', () => {
		const at = (portionId: string) => conditionAt(history(events), 50, portionId).kind;
		expect([at(first.id), at(second.id)]).toEqual(['asReceived', 'dried']);
	});
	it('what happened at the very moment of the cut is of its past', () => {
		const dried = event({ kind: 'dried', at: 30 });
		expect(conditionAt(history([second, dried]), 50, second.id).kind).toBe('dried');
	});
});

describe('a print whose state was put right', () => {
	const of = history([event({ kind: 'dried', at: 10 * HOUR })]);
	const at = 34 * HOUR;
	it('has the one that was said, since nobody knows when', () => {
		expect(conditionOf(of, { at, portionId: null, condition: 'asReceived' })).toEqual({
			kind: 'asReceived',
			since: null,
			hours: null,
			humidityPct: null
		});
		expect(conditionOf(of, { at, portionId: null, condition: 'soaked' }).kind).toBe('soaked');
	});
	it('keeps the moment of its history where that says the same', () => {
		expect(conditionOf(of, { at, portionId: null, condition: 'dried' })).toEqual(conditionAt(of, at));
		expect(conditionAt(of, at).since).toBe(10 * HOUR);
	});
});
