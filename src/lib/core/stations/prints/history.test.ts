import { describe, expect, it } from 'vitest';
import { type evidence, basis, event, mark, reading } from '../../../../../tests/support/evidence';
import { DAY, diary } from '../../../../../tests/support/diary';
import type { Attempt } from '../../record/evidence/attempt';
import { markOverMessage, overDays, overWater } from './marks/marks-over';
import { stateThen, wetAndDry, wetDryFinished, wetDryMessage } from './ways/wet-dry';

const strings = (e: ReturnType<typeof evidence>) => wetAndDry(e, basis).find((w) => w.quantity === 'strings');
const pairs = (e: ReturnType<typeof evidence>) => strings(e)?.pairs.map((p) => [p.wet, p.dry]);

describe('pairs across each drying', () => {
	it('six prints over fifty days with two dryings: two pairs, each across its own', () => {
		const e = diary(
			[
				[0, 0],
				[20, 2],
				[22, 0],
				[40, 3],
				[42, 1],
				[50, 2]
			],
			[21, 41],
			7 * 24
		);
		expect(pairs(e)).toEqual([
			[2, 0],
			[3, 1]
		]);
		expect(strings(e)?.pairs.map((p) => [p.before, p.after])).toEqual([
			[
				{ kind: 'asReceived', days: null },
				{ kind: 'dried', days: 1 }
			],
			[
				{ kind: 'exposed', days: 19 },
				{ kind: 'dried', days: 1 }
			]
		]);
		expect(wetDryMessage(strings(e) as never)).toMatchObject({
			id: 'wetDry.few',
			params: { wet: 2, dry: 0, wet2: 3, dry2: 1, better: 2, worse: 0, before: 'asReceived', beforeDays: null, afterDays: 1 }
		});
	});
	it('a print that lay open again tells nothing of the drying before it', () => {
		expect(
			pairs(
				diary(
					[
						[0, 2],
						[30, 2]
					],
					[1],
					7 * 24
				)
			)
		).toBeUndefined();
		expect(
			pairs(
				diary(
					[
						[0, 2],
						[30, 2]
					],
					[1],
					null
				)
			)
		).toEqual([[2, 2]]);
	});
	it('of one drying also the next ones outwards, as long as the first were not dried', () => {
		expect(
			pairs(
				diary(
					[
						[0, 1],
						[1, 2],
						[3, 0],
						[4, 1]
					],
					[2]
				)
			)
		).toEqual([
			[2, 0],
			[1, 1]
		]);
		// Dried once more at day 5: what was printed at 3 and 4 was dried already, so that only the last one stands before it.
		expect(
			pairs(
				diary(
					[
						[3, 1],
						[4, 2],
						[6, 0],
						[7, 1]
					],
					[2, 5]
				)
			)
		).toEqual([[2, 0]]);
	});
	it('what is printed from a running dryer comes after its drying began', () => {
		const drying = { runId: 'r', startedAt: 2 * DAY, setPointC: 65, dryer: null, checks: [] };
		const e = {
			...diary(
				[
					[1, 2],
					[2.5, 0]
				],
				[]
			),
			events: [event({ kind: 'dried', at: 3 * DAY, drying })]
		};
		expect(pairs(e)).toEqual([[2, 0]]);
		expect(pairs({ ...e, events: [event({ kind: 'drying', at: 2 * DAY, drying })] })).toEqual([[2, 0]]);
	});
	it('portions, prints by which the settings were found and struck-out dryings are left out', () => {
		const cut = event({ kind: 'cutOff', at: 0, portion: 'A' });
		expect(
			pairs(
				diary(
					[
						[1, 2, { portionId: cut.id }],
						[3, 0]
					],
					[2]
				)
			)
		).toBeUndefined();
		expect(
			pairs(
				diary(
					[
						[1, 2, { tuning: true }],
						[3, 0]
					],
					[2]
				)
			)
		).toBeUndefined();
		const struck = diary(
			[
				[1, 2],
				[3, 0]
			],
			[2]
		);
		expect(pairs({ ...struck, events: struck.events.map((e) => ({ ...e, status: 'excluded' as const })) })).toBeUndefined();
	});
	it('three pairs are counted, not told one by one', () => {
		const e = diary(
			[
				[1, 2],
				[3, 0],
				[5, 2],
				[7, 0],
				[9, 2],
				[11, 1]
			],
			[2, 6, 10],
			24
		);
		expect(wetDryMessage(strings(e) as never)).toEqual({
			id: 'wetDry.tooFew',
			params: { quantity: 'strings', change: (2 + 2 + 1) / 3, better: 3, worse: 0, same: 0, pairs: 3, p: 1 }
		});
	});
	it('says how old a state was', () => {
		const e = diary([[3, 0]], [1]);
		expect(stateThen(e, e.attempts[0] as Attempt)).toEqual({ kind: 'dried', days: 2 });
	});
});

describe('finished before and after drying, unpaired', () => {
	const failed = { outcome: 'failed', percentReached: 30, cause: 'filament' } as const;
	it('counts failures too, by Fisher’s exact test', () => {
		const e = diary(
			[
				[0, null, failed],
				[0.1, null, failed],
				[0.2, null, failed],
				[0.3, null],
				[0.4, null],
				[2, null],
				[3, null],
				[4, null],
				[5, null],
				[6, null]
			],
			[1]
		);
		// scipy 1.10.1: fisher_exact([[2, 3], [5, 0]]) = 0.1667
		expect(wetDryFinished(e, basis)?.params).toMatchObject({ wet: 2, wetN: 5, dry: 5, dryN: 5 });
		expect((wetDryFinished(e, basis)?.params as { p: number }).p).toBeCloseTo(0.16666666666666666, 9);
	});
	it('says nothing without both sides, nor where all finished, nor of what was not the filament’s', () => {
		expect(wetDryFinished(diary([[0, null, failed]], [1]), basis)).toBeNull();
		expect(
			wetDryFinished(
				diary(
					[
						[0, null],
						[2, null]
					],
					[1]
				),
				basis
			)
		).toBeNull();
		expect(
			wetDryFinished(
				diary(
					[
						[0, null, { ...failed, cause: 'onPurpose' }],
						[0.5, null],
						[2, null]
					],
					[1]
				),
				basis
			)
		).toBeNull();
	});
});

describe('marks over days in the open', () => {
	const trend = (e: ReturnType<typeof evidence>) => overDays(e, basis).find((o) => o.quantity === 'strings');
	it('three in order look worse; nobody is sure of it', () => {
		const found = trend(
			diary(
				[
					[1, 0],
					[12, 1],
					[30, 3]
				],
				[0]
			)
		);
		expect(found).toMatchObject({
			outcome: 'looksWorse',
			prints: [
				{ at: 1, value: 0 },
				{ at: 12, value: 1 },
				{ at: 30, value: 3 }
			]
		});
		expect(markOverMessage(found as never)).toEqual({
			id: 'markOver.looksWorse',
			params: { over: 'days', quantity: 'strings', prints: 3, from: 0, fromAt: 1, to: 3, toAt: 30, p: 1 / 3 }
		});
		expect(
			trend(
				diary(
					[
						[1, 3],
						[12, 1],
						[30, 0]
					],
					[0]
				)
			)?.outcome
		).toBe('looksBetter');
		expect(
			trend(
				diary(
					[
						[1, 0],
						[12, 3],
						[30, 1]
					],
					[0]
				)
			)?.outcome
		).toBe('noTrend');
	});
	it('five in order are tested: two orders of 120 each way, since the last two are alike', () => {
		const found = trend(
			diary(
				[
					[1, 0],
					[5, 1],
					[9, 2],
					[20, 3],
					[40, 4]
				],
				[0]
			)
		);
		expect(found?.outcome).toBe('worse');
		expect(found?.p).toBeCloseTo(4 / 120, 12);
		expect(
			trend(
				diary(
					[
						[1, 4],
						[5, 3],
						[9, 2],
						[20, 1],
						[40, 0]
					],
					[0]
				)
			)?.outcome
		).toBe('better');
		expect(
			trend(
				diary(
					[
						[1, 0],
						[5, 2],
						[9, 1],
						[20, 3],
						[40, 0]
					],
					[0]
				)
			)?.outcome
		).toBe('noTrend');
	});
	it('the clock starts anew with each drying, and with the opening before the first', () => {
		const e = diary(
			[
				[1, 0],
				[3, 1],
				[6, 0],
				[10, 2]
			],
			[5]
		);
		const opened = { ...e, events: [...e.events, event({ kind: 'opened', at: 0 })] };
		expect(trend(opened)?.prints.map((p) => p.at)).toEqual([1, 1, 3, 5]);
		expect(trend(e)?.prints.map((p) => p.at)).toEqual([0, 1, 2, 5]);
	});
	it('what may be luck is no trend: one in eight', () => {
		const found = trend(diary([[1, 0], [5, 1], [9, 2], [20, 1], [40, 3]], [0])); // prettier-ignore
		expect(found?.outcome).toBe('noTrend');
		expect(found?.p).toBeGreaterThan(0.05);
		expect(found?.p).toBeLessThan(0.5);
	});
	it('more than eight are tested too: nothing is called no change for being many', () => {
		const nine = Array.from({ length: 9 }, (_, i): [number, number] => [1 + 4 * i, Math.min(3, Math.floor(i / 2))]);
		expect(trend(diary(nine, [0]))?.outcome).toBe('worse');
	});
	it('what was soaked tells nothing of days in the open', () => {
		const e = diary([[1, 0], [12, 1], [30, 3], [40, 0]], [0]); // prettier-ignore
		const soaked = { ...e, events: [...e.events, event({ kind: 'soaked', at: 35 * DAY })] };
		expect(trend(soaked)).toMatchObject({ outcome: 'looksWorse', prints: [{ at: 1 }, { at: 12 }, { at: 30 }] });
	});
	it('over the water it took up: between weighings in proportion, a day beyond them, nothing where none is near', () => {
		const water = (more: [at: number, strings: number][], grams: [at: number, g: number][]) => {
			const e = diary(more, []);
			const readings = grams.map(([at, value]) =>
				reading({ station: 'moisture', quantity: 'grossMass', value, before: 'air', resolution: 0.1, takenAt: at * DAY })
			);
			const tare = reading({ station: 'moisture', quantity: 'tareMass', value: 200, resolution: 0.1, takenAt: 0 });
			return overWater({ ...e, readings: [...e.readings, tare, ...readings] }, basis).find((o) => o.quantity === 'strings');
		};
		// A kilogram of filament that takes up a gram in ten days and another in ten more: a tenth of a per cent each.
		const grams: [number, number][] = [[1, 1200], [11, 1201], [21, 1202]]; // prettier-ignore
		const found = water([[1.5, 0], [6, 1], [16, 2], [21.5, 3], [30, 0]], grams); // prettier-ignore
		expect(found?.outcome).toBe('looksWorse');
		[0.005, 0.05, 0.15, 0.2].forEach((pct, i) => expect(found?.prints[i]?.at).toBeCloseTo(pct, 6));
		expect(found?.prints.map((p) => p.value)).toEqual([0, 1, 2, 3]);
		expect(markOverMessage(found as never)).toMatchObject({ id: 'markOver.looksWorse', params: { over: 'water', from: 0, to: 3 } });
		// Against the driest weighing, wherever it stands.
		const dried = water([[1.5, 3], [6, 1], [10.9, 0]], [[1, 1202], [11, 1200]]); // prettier-ignore
		expect(dried?.prints.map((p) => p.value)).toEqual([0, 1, 3]);
		expect(dried?.prints[0]?.at).toBeCloseTo(0.002, 4);
		expect(water([[1, 0], [2, 1], [3, 2]], [[1, 1200]])).toBeUndefined(); // prettier-ignore
	});
	it('marks that are tested together are corrected together', () => {
		const e = diary([[1, 0], [5, 1], [9, 2], [20, 3], [40, 3], [50, 3]], [0]); // prettier-ignore
		const alone = trend(e)?.p as number;
		const sags = e.attempts.map((a, i) => mark(a, 'bridgeSag', i));
		const both = { ...e, readings: [...e.readings, ...sags] };
		expect(alone).toBeCloseTo(12 / 720, 12);
		expect(trend(both)?.p).toBeCloseTo(12 / 720, 12);
		expect(overDays(both, basis).find((o) => o.quantity === 'bridgeSag')?.p).toBeCloseTo((2 * 2) / 720, 12);
	});
	it('a print whose state was put right has no day, unless it was as received', () => {
		const e = diary(
			[
				[1, 0],
				[12, 1],
				[30, 3],
				[40, 3]
			],
			[0]
		);
		const putRight = (condition: Attempt['condition']) => ({
			...e,
			attempts: e.attempts.map((a, i) => (i === 2 ? { ...a, condition } : a))
		});
		const days = (condition: Attempt['condition']) => trend(putRight(condition))?.prints.map((print) => print.at);
		expect(days(null)).toEqual([1, 12, 30, 40]);
		expect(days('exposed')).toEqual([1, 12, 40]);
		expect(days('asReceived')?.length).toBe(4);
	});
	it('two prints, or the same mark throughout, have no trend', () => {
		expect(
			trend(
				diary(
					[
						[1, 0],
						[12, 1]
					],
					[0]
				)
			)
		).toBeUndefined();
		expect(
			trend(
				diary(
					[
						[1, 1],
						[12, 1],
						[13, 1]
					],
					[0]
				)
			)
		).toBeUndefined();
	});
});
