import { describe, expect, it } from 'vitest';
import { attempt, evidence, mark, MAIN_PIECE, piece, basis } from '../../../../../tests/support/evidence';
import { modelled } from '../../../../../tests/support/modelled';
import type { Finding } from '../../judging/finding/types';
import { ladderAs, wordAs } from '../../judging/posterior/observed';
import { composite } from '../../answers/pick/composite';
import { findCell } from '../../judging/posterior/find-cell';
import { modelOf } from '../../judging/posterior/model';
import { isMeasured } from '../../judging/finding/measured';
import { measuredOn } from '../../answers/pick/families';
import { isFlexible } from './success/find-flexible';
import { besideShoreA } from './success/stated-hardness';
import { loadEffort } from './success/quantities';
import { questionsOf } from './marks/scoring';
import { PRINT_QUANTITIES, printsStation } from './station';
import { comparePaired } from './ways/paired-comparison';

const FLOORS = [240, 235, 230, 225, 220, 215, 210, 205, 200];
const tower = piece({ marks: [{ mark: 'temperature', steps: FLOORS }] });
const of = (found: Finding[], quantity: string) => found.find((f) => f.quantity === quantity);

/** Ladders of one spool, each clean from one temperature to another. */
function ladders(windows: [from: number, to: number][], more: Parameters<typeof evidence>[0] = {}) {
	const attempts = windows.map((_, i) => attempt({ at: 1000 + i }));
	const readings = attempts.flatMap((a, i) => [mark(a, 'cleanFrom', windows[i]?.[0] ?? 0), mark(a, 'cleanTo', windows[i]?.[1] ?? 0)]);
	return evidence({ attempts, readings, pieces: [tower], ...more });
}
const window = (spool: ReturnType<typeof evidence>) => of(printsStation.find(spool, basis), 'temperatureWindow');

/** Weights as they may come out of what counts, easy to reckon with. */
const LOOKS = Object.entries({ printSuccess: 4, overhang: 6, bridge: 4, strings: 8 }).map(([quantity, weight]) => ({
	quantity,
	weight,
	gate: null
}));

describe('temperature ladder', () => {
	it('asks for its coolest and hottest clean floor, coolest first', () => {
		expect(questionsOf(tower)).toEqual([
			{ kind: 'window', id: 'temperatureWindow', from: 'cleanFrom', to: 'cleanTo', steps: [...FLOORS].reverse() }
		]);
	});
	it('one print gives a width between floors, and the best setting in its middle', () => {
		const found = window(ladders([[205, 220]]));
		// The true ends lie up to a floor farther out on each side: a width from 15 to 25.
		expect(found).toMatchObject({ ...modelled('temperatureWindow', ladderAs(15, 25)), n: 1, word: { params: { from: 205, to: 220 } } });
		expect(found?.messages[0]).toEqual({ id: 'windowShared', params: { from: 205, to: 220, best: 212.5, step: 5, prints: 1 } });
	});
	it('several prints: the floors all of them share', () => {
		const found = window(
			ladders([
				[205, 220],
				[210, 225],
				[205, 225]
			])
		);
		expect(found).toMatchObject({ n: 3, word: { params: { from: 210, to: 220 } } });
		expect(found).toMatchObject(modelled('temperatureWindow', ladderAs(15, 25), ladderAs(15, 25), ladderAs(20, 30)));
	});
	it('prints that share no floor say so, and name no window', () => {
		const found = window(
			ladders([
				[200, 205],
				[230, 235]
			])
		);
		expect(found?.word).toBeNull();
		expect(found?.messages[0]?.id).toBe('windowsApart');
	});
	it('a label whose range was clean nowhere is named', () => {
		const claims = [
			{ id: 'c1', quantity: 'nozzleLowC', source: 'label' as const, value: 230 },
			{ id: 'c2', quantity: 'nozzleHighC', source: 'label' as const, value: 240 }
		];
		expect(window(ladders([[205, 220]], { claims }))?.messages.map((m) => m.id)).toContain('windowOffLabel');
		expect(window(ladders([[205, 230]], { claims }))?.messages.map((m) => m.id)).not.toContain('windowOffLabel');
	});
	it('one end without the other is no window, and two ways compare widths', () => {
		const a = attempt();
		expect(window(evidence({ attempts: [a], readings: [mark(a, 'cleanFrom', 205)], pieces: [tower] }))).toMatchObject({
			n: 0,
			estimate: null
		});
		const fans = ladders([
			[205, 215],
			[205, 230]
		]);
		const attempts = fans.attempts.map((one, i) => ({ ...one, settings: { ...one.settings, fanPct: i * 50 } }));
		const { results } = comparePaired([{ ...fans, attempts }], { id: 'fanPct', first: '0', second: '50' }, basis);
		expect(results.find((r) => r.def.id === 'temperatureWindow')?.pairs[0]).toMatchObject({ first: 10, second: 25 });
	});
});

describe('the two sides of an overhang', () => {
	it('have findings of their own', () => {
		const both = piece({
			marks: [
				{ mark: 'overhang', steps: [30, 40, 50] },
				{ mark: 'overhangAway', steps: [30, 40, 50] }
			]
		});
		const a = attempt();
		const spool = evidence({
			attempts: [a],
			pieces: [both],
			readings: [mark(a, 'overhangLastClean', 50), mark(a, 'overhangAwayLastClean', 30)]
		});
		const found = printsStation.find(spool, basis);
		// The last step of its side was clean: open above. On the other side the next one is 40.
		expect(of(found, 'overhang')).toMatchObject(modelled('overhang', ladderAs(50, null)));
		expect(of(found, 'overhangAway')).toMatchObject(modelled('overhangAway', ladderAs(30, 40)));
		expect(questionsOf(both).map((q) => q.id)).toEqual(['overhang', 'overhangAway']);
	});
});

describe('flexibles', () => {
	const at = (speedPct: number | null, finished: boolean) => {
		const plain = attempt(finished ? {} : { outcome: 'failed', cause: 'filament', percentReached: 30 });
		return { ...plain, settings: { ...plain.settings, speedPct } };
	};
	const soft = (attempts: ReturnType<typeof at>[], more: Parameters<typeof evidence>[0] = {}) =>
		evidence({ spool: { material: 'TPU' }, attempts, ...more });
	const find = (spool: ReturnType<typeof evidence>, quantity: string) => of(printsStation.find(spool, basis), quantity);
	it('are known by the names of their materials', () => {
		expect(['TPU', 'TPE', 'tpu 95A', 'PEBA'].map(isFlexible)).toEqual([true, true, true, true]);
		expect(['PLA', 'PETG', 'TP', 'PTPU'].map(isFlexible)).toEqual([false, false, false, false]);
	});
	it('feed between what printed and what failed', () => {
		const found = find(soft([at(40, true), at(60, true), at(80, false), at(100, false), at(null, true)]), 'feedRate');
		expect(found).toMatchObject({ estimate: 60, n: 4, interval: { low: 60, high: 80, kind: 'bounds' } });
		expect(found?.messages[0]).toEqual({ id: 'feedRateBetween', params: { best: 60, high: 80 } });
		expect(find(soft([at(60, true), at(50, false)]), 'feedRate')).toMatchObject({ estimate: 60, interval: { low: 60, high: 100 } });
		expect(find(soft([at(60, false)]), 'feedRate')).toMatchObject({
			estimate: null,
			messages: [{ id: 'feedRateNone', params: { slowest: 60, n: 1 } }]
		});
		expect(find(soft([]), 'feedRate')).toMatchObject({ n: 0, estimate: null });
		expect(find(evidence({ attempts: [at(60, true)] }), 'feedRate')).toBeUndefined();
	});
	it('stand in an order of hardness as it is stated: within three on its own scale, D beside A as a rough band', () => {
		const hardness = (quantity: string, value: number) =>
			find(soft([], { claims: [{ id: 'c', quantity, source: 'label' as const, value }] }), 'statedHardness');
		expect(hardness('hardnessA', 95)).toMatchObject({
			estimate: 95,
			n: 1,
			method: 'stated',
			grade: 'thin',
			interval: { low: 92, high: 98, kind: 'bounds' },
			messages: [{ id: 'hardnessStated', params: { value: 95, scale: 'A', source: 'label' } }]
		});
		expect(hardness('hardnessD', 40)).toMatchObject({
			estimate: 90,
			interval: { low: 84, high: 96 },
			messages: [
				{ id: 'hardnessStated', params: { value: 40, scale: 'D' } },
				{ id: 'hardnessBand', params: { low: 84, high: 96 } }
			]
		});
		expect(hardness('hardnessD', 37)?.estimate).toBeCloseTo(87.5, 9);
		expect([10, 16, 58, 70].map(besideShoreA)).toEqual([60, 60, 100, 100]);
		expect(hardness('hardnessD', 58)?.interval).toMatchObject({ low: 94, high: 100 });
		expect(find(soft([]), 'statedHardness')).toBeUndefined();
	});
	it('... which is a statement, not a measurement: nothing counts it', () => {
		const found = find(soft([], { claims: [{ id: 'c', quantity: 'hardnessA', source: 'label', value: 95 }] }), 'statedHardness') as Finding;
		expect(isMeasured(found)).toBe(false);
		expect(measuredOn([{ spoolId: 's', code: 'S', findings: { statedHardness: found } }])('statedHardness')).toBe(false);
	});
	it('say how they load, and whether they printed at all', () => {
		const a = at(60, false);
		const spool = soft([a], { readings: [mark(a, 'loadEffort', 2)] });
		const loading = modelOf(loadEffort, 'words');
		expect(find(spool, 'loadEffort')).toMatchObject({ ...findCell([wordAs(2, 4)], loading, loading.assumed), n: 1 });
		expect(find(spool, 'printSuccess')?.messages.map((m) => m.id)).toContain('notPrintedAtAll');
		expect(find(soft([at(60, true)]), 'printSuccess')?.messages.map((m) => m.id)).not.toContain('notPrintedAtAll');
		const hard = attempt();
		expect(find(evidence({ attempts: [hard], readings: [mark(hard, 'loadEffort', 0)] }), 'loadEffort')?.figure).toEqual({
			kind: 'words',
			counts: [1, 0, 0, 0]
		});
		expect(find(evidence({ attempts: [hard] }), 'loadEffort')).toBeUndefined();
	});
});

describe('all marks in one figure', () => {
	const criteria = LOOKS.filter((c) => PRINT_QUANTITIES.some((d) => d.id === c.quantity));
	const primary = (found: Finding[]) =>
		Object.fromEntries(found.filter((f) => f.subject.pieceId === MAIN_PIECE || f.subject.pieceId === null).map((f) => [f.quantity, f]));
	const scored = (overhang: number, strings: number, prints = 1) => {
		const attempts = Array.from({ length: prints }, () => attempt());
		const readings = attempts.flatMap((a) => [
			mark(a, 'overhangLastClean', overhang),
			mark(a, 'bridgeLongestClean', 30),
			mark(a, 'strings', strings)
		]);
		return primary(printsStation.find(evidence({ attempts, readings }), basis));
	};
	it('is the mean of the values, weighted as the trial weighs them, with its parts', () => {
		const found = composite(scored(65, 0), criteria, PRINT_QUANTITIES);
		const marks = scored(65, 0);
		const at = (quantity: string) => marks[quantity]?.estimate ?? NaN;
		// Prints 4 of a share from 0.5 to 1, overhang 6 of 30 to 80, bridge 4 of 5 to 50, strings 8 of 3 to 0 (arithmetic).
		const values = [(at('printSuccess') - 0.5) / 0.5, (at('overhang') - 30) / 50, (at('bridge') - 5) / 45, (3 - at('strings')) / 3];
		const by = [4, 6, 4, 8].reduce((total, weight, i) => total + (weight * (values[i] as number)) / 22, 0);
		expect(found?.value).toBeCloseTo(by, 9);
		expect(found?.parts.map((p) => [p.quantity, p.weight])).toEqual([
			['strings', 8],
			['overhang', 6],
			['printSuccess', 4],
			['bridge', 4]
		]);
		expect(found?.knownShare).toBe(1);
	});
	it('narrows with prints, holds its value, and rises with better marks', () => {
		const width = (c: ReturnType<typeof composite>) => (c ? c.high - c.low : NaN);
		const [one, six, worse] = [
			composite(scored(65, 1), criteria, PRINT_QUANTITIES),
			composite(scored(65, 1, 6), criteria, PRINT_QUANTITIES),
			composite(scored(50, 3), criteria, PRINT_QUANTITIES)
		];
		expect(width(six)).toBeLessThan(width(one));
		for (const c of [one, six, worse]) {
			expect(c?.low).toBeLessThanOrEqual(c?.value ?? NaN);
			expect(c?.high).toBeGreaterThanOrEqual(c?.value ?? NaN);
		}
		expect(worse?.value).toBeLessThan(one?.value ?? NaN);
	});
	it('what is not known stands in the middle of what can be and widens it; nothing known is no figure', () => {
		const a = attempt();
		const some = composite(
			primary(printsStation.find(evidence({ attempts: [a], readings: [mark(a, 'overhangLastClean', 65)] }), basis)),
			criteria,
			PRINT_QUANTITIES
		);
		expect(some?.knownShare).toBeCloseTo(10 / 22, 9);
		expect(some?.parts.find((p) => p.quantity === 'strings')).toMatchObject({ n: 0 });
		expect(some?.parts.find((p) => p.quantity === 'strings')?.value).toBeCloseTo(0.5, 9);
		expect(composite({}, criteria, PRINT_QUANTITIES)).toBeNull();
		expect(composite(scored(65, 0), [], PRINT_QUANTITIES)).toBeNull();
	});
	it('the same marks give the same figure', () =>
		expect(composite(scored(65, 1), criteria, PRINT_QUANTITIES)).toEqual(composite(scored(65, 1), criteria, PRINT_QUANTITIES)));
});

describe('what cannot be below nothing', () => {
	it('has no interval below nothing; what shrank may have grown', () => {
		const block = piece({
			params: { alongX: 20 },
			marks: [
				{ mark: 'cornerLift', steps: null },
				{ mark: 'dimensions', steps: null }
			]
		});
		const attempts = [attempt(), attempt()];
		const readings = attempts.flatMap((a, i) => [mark(a, 'cornerLift', i), mark(a, 'sizeX', 19.9 + i / 10)]);
		const found = printsStation.find(evidence({ attempts, readings, pieces: [block] }), basis);
		expect(of(found, 'cornerLift')).toMatchObject({ n: 2, interval: { low: 0 } });
		expect(of(found, 'shrinkageX')?.interval?.low).toBeLessThan(0);
	});
});
