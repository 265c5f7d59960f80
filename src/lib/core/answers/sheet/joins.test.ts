import { describe, expect, it } from 'vitest';
import { basis, evidence } from '../../../../../tests/support/evidence';
import { makeFinding } from '../../judging/finding/make-finding';
import { say } from '../../judging/finding/message';
import type { Finding, Missing, QuantityDef } from '../../judging/finding/types';
import type { Station } from '../../judging/station/station';
import type { SpoolEvidence } from '../../record/evidence/spool-evidence';
import { buildSheet } from './build-sheet';
import { shownSheet } from './shown-sheet';

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
const build = (stations: Station[], weights: Record<string, number> = {}) => buildSheet({ spools, basis, stations, weights });
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

describe('what the tester does not measure', () => {
	const two = [station('a', { KA1: { wants: 1 } }), station('b', { KA2: { wants: 1 } })];
	const built = (away: string[], weights: Record<string, number> = {}) =>
		buildSheet({ spools, basis, stations: two, weights, away: new Set(away) });
	it('has no column, asks for nothing and is no stop of the line, whatever it weighs', () => {
		const sheet = built(['aValue'], { aValue: 5 });
		expect(sheet.columns.map((d) => d.id)).toEqual(['bValue']);
		expect(sheet.progress.map((p) => p.station)).toEqual(['b']);
		expect(sheet.next).toMatchObject({ station: 'b', spoolId: 'KA2' });
	});
	it('a station keeps its stop while anything of it is measured, or where it has no column at all', () => {
		const more = station('c', { KA1: { wants: 1 } }, { quantities: () => [quantity('cValue', 'c'), quantity('cOther', 'c')] });
		const hidden = station('d', {}, { quantities: () => [{ ...quantity('dValue', 'd'), onSheet: false }] });
		const of = (away: string[]) => buildSheet({ spools, basis, stations: [more, hidden], weights: {}, away: new Set(away) });
		expect(of(['cValue']).progress.map((p) => p.station)).toEqual(['c', 'd']);
		expect(of(['cValue']).columns.map((d) => d.id)).toEqual(['cOther']);
		expect(of(['cValue', 'cOther']).progress.map((p) => p.station)).toEqual(['d']);
		expect(of(['dValue']).progress.map((p) => p.station)).toEqual(['c', 'd']);
	});
});

describe('a cell as it is shown', () => {
	const cellOf = (finding: Partial<Finding>, missing: Missing[] = []) => {
		const def = quantity('aValue', 'a');
		const sheet = { columns: [def], rows: [], flags: [], next: null, progress: [] };
		const whole = { subject: { spoolId: 'KA1', condition: 'dried', pieceId: 'p', variant: null }, messages: [], missing: [], ...finding };
		const row = { spoolId: 'KA1', cells: [{ quantity: 'aValue', findings: [whole as unknown as Finding], letters: 'a' }], missing };
		const shown = shownSheet({ ...sheet, rows: [row] });
		return { cell: shown.rows[0]?.cells[0], shown };
	};
	const drawn = { n: 2, estimate: 5, figure: { kind: 'dot' as const, points: [5] }, sampling: { kind: 'exact' as const, value: 5 } };
	const act = (station: string, count: number) => ({ action: 'weigh', station, count, minutes: 1, params: {} }) as Missing;
	it('tells the state of its finding and how it is drawn, and nothing else of them', () => {
		expect(cellOf(drawn).cell?.findings[0]).toMatchObject({ subject: { condition: 'dried' }, sampling: { kind: 'exact' } });
		expect(cellOf(drawn).cell?.findings[0]?.sampling).toEqual({ kind: 'exact' });
	});
	it('with something to draw wants nothing; empty it wants its own first, else what its station wants', () => {
		const empty = {
			n: 0,
			estimate: null,
			figure: { kind: 'none' as const },
			sampling: { kind: 'unknown' as const, reason: say('notWeighed') }
		};
		expect(cellOf(drawn, [act('a', 3)]).cell?.wanted).toBeNull();
		expect(cellOf(empty, [act('b', 4), act('a', 3)]).cell?.wanted).toEqual(act('a', 3));
		expect(cellOf({ ...empty, missing: [act('a', 7)] }, [act('a', 3)]).cell?.wanted).toEqual(act('a', 7));
		expect(cellOf(empty).cell).toMatchObject({ wanted: null, withheld: false, findings: [] });
	});
	it('carries what drying did, each with its spool, and no other message', () => {
		const told = say('wetDry.tooFew', { quantity: 'strings', change: 0.4, better: 1, worse: 0, same: 0, pairs: 3, p: 1 });
		expect(cellOf({ ...drawn, messages: [say('notWeighed'), told] }).shown.wetDry).toEqual([{ spoolId: 'KA1', message: told }]);
	});
	it('names the mark that drying changed most, to either side, and tells the others after it; one that stayed is none', () => {
		const changed = (quantity: string, change: number) =>
			say('wetDry.tooFew', { quantity, change, better: 1, worse: 0, same: 0, pairs: 3, p: 1 });
		const finished = say('wetDry.finished', { wet: 1, wetN: 2, dry: 2, dryN: 2, p: 1 });
		const messages = [changed('strings', 0.4), finished, changed('overhang', -1.5), changed('bridge', 0)];
		const { shown } = cellOf({ ...drawn, messages });
		expect(shown.wetDry.map((w) => w.message.params.quantity)).toEqual(['overhang', 'strings', 'bridge']);
		expect(shown.rows[0]?.changedMost).toEqual(messages[2]);
		expect(cellOf({ ...drawn, messages: [changed('bridge', 0)] }).shown.rows[0]?.changedMost).toBeNull();
	});
	it('keeps six digits of what is only drawn', () => {
		const point = { at: 1, grossG: 1000, before: 'air', pct: 0.123456789, lowPct: 0.0123456789, highPct: 1.23456789 };
		const { cell } = cellOf({ ...drawn, figure: { kind: 'account', points: [point] } });
		expect(cell?.findings[0]?.figure).toEqual({
			kind: 'account',
			points: [{ ...point, pct: 0.123457, lowPct: 0.0123457, highPct: 1.23457 }]
		});
	});
	it('draws up to sixty places as they are, and more as neighbours from the thinnest to the thickest', () => {
		const places = (n: number) =>
			Array.from({ length: n }, (_, i) => ({ index: i, positionM: null, lowMm: 1.7 - i / 1000, highMm: 1.7 + i / 1000 }));
		const of = (n: number) => {
			const figure = { kind: 'strand' as const, nominalMm: 1.75, toleranceMm: null, places: places(n) };
			const found = cellOf({ ...drawn, figure }).cell?.findings[0]?.figure;
			return found?.kind === 'strand' ? found.places.map((p) => [p.index, p.lowMm, p.highMm]) : [];
		};
		expect(of(60)).toHaveLength(60);
		expect(of(60)[1]).toEqual([1, 1.699, 1.701]);
		const halved = of(61);
		expect(halved).toHaveLength(31);
		expect(halved.slice(0, 2)).toEqual([
			[0, 1.699, 1.701],
			[2, 1.697, 1.703]
		]);
		expect(halved.at(-1)).toEqual([60, 1.64, 1.76]);
	});
});
