import { describe, expect, it } from 'vitest';
import { basis, evidence } from '../../../../tests/support/evidence';
import { makeFinding } from '../finding/make-finding';
import { say } from '../finding/message';
import type { Finding, Missing, QuantityDef } from '../finding/types';
import type { Station } from '../station';
import type { SpoolEvidence } from '../evidence/spool-evidence';
import { buildSheet } from './build-sheet';

// What feeds the sheet's cells, letters, progress and next act, with stations that say what a test tells them.

const quantity = (id: string, station: string): QuantityDef => ({
	id,
	station,
	unit: '',
	direction: 'more',
	target: null,
	scale: { low: 0, high: 100 },
	prior: { low: 0, high: 100 },
	differenceThatMatters: 5,
	figure: 'dot',
	onSheet: true,
	family: null
});

/** By spool code: how many readings stand behind the station's finding, and how many it still wants. */
type Told = Record<string, { n?: number; estimate?: number; wants?: number }>;

function station(id: string, told: Told, more: Partial<Station> = {}): Station {
	const def = quantity(`${id}Value`, id);
	const of = (e: SpoolEvidence) => told[e.spool.code] ?? {};
	const wanted = (count: number): Missing[] =>
		count ? [{ action: 'weigh', station: id, count, minutes: 1, params: {} } as unknown as Missing] : [];
	const find = (e: SpoolEvidence): Finding => {
		const { n = 0, estimate = 50, wants = 0 } = of(e);
		const subject = { spoolId: e.spool.id, condition: null, pieceId: null };
		if (n === 0)
			return makeFinding(def, {
				subject,
				method: 'test',
				source: 'test',
				missing: wanted(wants),
				sampling: { kind: 'unknown', reason: say('notWeighed') }
			});
		return makeFinding(def, {
			subject,
			method: 'test',
			source: 'test',
			estimate,
			n,
			interval: { low: estimate - 1, high: estimate + 1, level: 0.95, kind: 'confidence' },
			sampling: { kind: 't', mean: estimate, standardError: 0.5, df: 9 },
			missing: wanted(wants),
			figure: { kind: 'dot', points: [estimate] }
		});
	};
	return { id, quantities: () => [def], find: (e) => [find(e)], next: (findings) => findings.flatMap((f) => f.missing), ...more };
}

const spools = ['KA1', 'KA2', 'KA3'].map((code) => evidence({ spool: { id: code, code } }));
const build = (stations: Station[], weights: Record<string, number> = {}) => buildSheet({ spools, basis, stations, weights, now: 0 });
const next = (stations: Station[], weights: Record<string, number> = {}) => {
	const act = build(stations, weights).next;
	return act && `${act.station} ${act.spoolId}`;
};

describe('cells', () => {
	const sheet = build([station('a', { KA1: { n: 3, estimate: 20 }, KA2: { n: 3, estimate: 60 }, KA3: {} })]);
	it('hold each spool’s finding of the column, and its letter', () => {
		expect(sheet.rows.map((row) => row.cells.map((c) => [c.quantity, c.findings[0]?.estimate, c.letters]))).toEqual([
			[['aValue', 20, 'b']],
			[['aValue', 60, 'a']],
			[['aValue', null, '']]
		]);
	});
});

describe('progress', () => {
	it('of each station: spools it wants nothing of any more', () => {
		// KA3 wants something of both.
		const stations = [
			station('a', { KA1: { n: 1 }, KA2: { n: 1, wants: 2 }, KA3: { wants: 5 } }),
			station('b', { KA1: { n: 1, wants: 1 }, KA3: { wants: 1 } })
		];
		expect(build(stations).progress).toEqual([
			{ station: 'a', total: 3, done: 1 },
			{ station: 'b', total: 3, done: 1 }
		]);
	});
});

describe('the next act', () => {
	const all = { KA1: { wants: 1 }, KA2: { wants: 1 }, KA3: { wants: 1 } };
	it('a spool is looked at before all else, whatever weighs', () => {
		expect(next([station('a', all), station('intake', { KA3: { wants: 1 } })], { aValue: 9 })).toBe('intake KA3');
	});
	it('what weighs and is wholly missing comes before what weighs and wants more', () => {
		const stations = [
			station('a', { KA1: { n: 2, wants: 1 }, KA2: { n: 1 }, KA3: { n: 1 } }),
			station('b', { KA1: { n: 1 }, KA2: { n: 1 }, KA3: { wants: 1 } })
		];
		expect(next(stations, { aValue: 1, bValue: 1 })).toBe('b KA3');
		expect(next(stations, { aValue: 1 })).toBe('a KA1');
	});
	it('what weighs comes before what is invited, and that before what weighs nothing', () => {
		const invited = station('c', all, { invited: true });
		expect(next([station('a', all), invited, station('b', all)], { bValue: 1, cValue: 9 })).toBe('b KA1');
		expect(next([station('a', all), invited], { cValue: 1 })).toBe('c KA1');
		expect(next([station('a', all), invited])).toBe('a KA1');
		expect(next([invited])).toBeNull();
	});
	it('working order of the stations, then the order of the spools', () => {
		expect(next([station('a', { KA3: { wants: 1 } }), station('b', { KA1: { wants: 1 } })], { aValue: 1, bValue: 1 })).toBe('a KA3');
		expect(next([station('a', { KA2: { wants: 1 }, KA3: { wants: 1 } })], { aValue: 1 })).toBe('a KA2');
		expect(next([station('b', { KA3: { wants: 1 } }), station('a', { KA1: { wants: 1 } })])).toBe('b KA3');
	});
	it('a station is empty by its own cells alone', () => {
		// What KA1 has of b is not a's; a has nothing of KA1 yet and is asked for first.
		const stations = [station('b', { KA1: { n: 5, wants: 1 } }), station('a', { KA1: { wants: 1 }, KA2: { n: 1 }, KA3: { n: 1 } })];
		expect(next(stations, { aValue: 1, bValue: 1 })).toBe('a KA1');
	});
});
