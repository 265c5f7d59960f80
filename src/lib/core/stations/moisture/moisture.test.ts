import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { attempt, event, evidence, basis, reading, weighed } from '../../../../../tests/support/evidence';
import type { Before } from '../../record/evidence/reading';
import type { Finding } from '../../judging/finding/types';
import { intervalsOf, netWater, relativeWater } from './account';
import { moistureStation, referenceIndex } from './station';
import { tareOf } from './tare';
import { weighings } from './weighings';

/** Mass chain of a 1 kg spool over fifty days (common practice, no source). */
const CHAIN: [number, Before | null][] = [
	[1347.8, null],
	[1324.5, 'print'],
	[1323.9, 'dried'],
	[1301.0, 'print'],
	[1301.3, 'air'],
	[1301.8, 'air'],
	[1278.7, 'print'],
	[1279.4, 'air'],
	[1279.1, 'air'],
	[1256.4, 'print'],
	[1255.9, 'air'],
	[1255.9, 'air'],
	[1226.9, 'print']
];

const tare = (value: number) => reading({ station: 'moisture', quantity: 'tareMass', value, takenAt: 9e9 });
const chainOf = (grams = CHAIN) => weighings(evidence({ readings: weighed(grams) }));
const find = (e = evidence()) => moistureStation.find(e, basis)[0] as Finding;

describe('mass chain', () => {
	it('net water with printing taken out, to the digit', () => {
		const water = intervalsOf(chainOf()).flatMap((i) => (i.waterG === null ? [] : [i.waterG]));
		expect(water).toEqual([-0.6, 0.3, 0.5, 0.7, -0.3, -0.5, 0]);
	});
	it('in all it is the sum, and its uncertainty that of the ends of the unbroken stretches', () => {
		const all = netWater(chainOf());
		expect(all?.waterG).toBe(0.1);
		// Stretches: opened to dried is none (a print lies first); 2 ends each of four: print-dried, print-air-air, print-air-air, print-air-air
		expect(all?.uG).toBeCloseTo(Math.sqrt(8) * Math.hypot(0.05 / Math.sqrt(3), 0.1 / Math.sqrt(3)), 9);
		expect(netWater(chainOf([[1000, null]]))).toBeNull();
		expect(netWater([])).toBeNull();
	});
	it('filament used is told apart from water', () => {
		const used = intervalsOf(chainOf()).flatMap((i) => (i.usedG === null ? [] : [i.usedG]));
		expect(used).toEqual([23.3, 22.9, 23.1, 22.7, 29]);
	});
	it('a change under twice its uncertainty is not seen', () => {
		const seen = intervalsOf(chainOf())
			.filter((i) => i.waterG !== null)
			.map((i) => i.seen);
		expect(seen).toEqual([true, true, true, true, true, true, false]);
	});
	it('a kitchen scale of whole grams sees none of it', () => {
		const coarse = weighed(CHAIN).map((r) => ({ ...r, resolution: 1 }));
		expect(intervalsOf(weighings(evidence({ readings: coarse }))).filter((i) => i.waterG !== null && i.seen)).toEqual([]);
	});
	it('counts from the drying, and the top is about one and a half grams', () => {
		const chain = chainOf();
		expect(referenceIndex(chain)).toBe(2);
		const shares = relativeWater(chain, { lowG: 230, highG: 230, known: true, from: 'weighed' }, 2).map((p) => p.share);
		// By hand: (1071.8/1071.0) (1049.4/1048.7) - 1
		expect(shares[7]).toBeCloseTo((1071.8 / 1071) * (1049.4 / 1048.7) - 1, 12);
		expect(Math.max(...shares)).toBe(shares[7]);
		expect(shares[2]).toBe(0);
		expect(shares[0]).toBeCloseTo(1 / (1093.9 / 1094.5) - 1, 12);
	});
});

describe('uncertainty through the chain', () => {
	const known = { lowG: 0, highG: 0, known: true, from: 'weighed' } as const;
	it('in an unbroken run only the first and the last weighing carry it', () => {
		const long = weighings(evidence({ readings: weighed(Array.from({ length: 20 }, (_, i) => [1000 + i / 10, i ? 'air' : null])) }));
		const short = weighings(
			evidence({
				readings: weighed([
					[1000, null],
					[1001.9, 'air']
				])
			})
		);
		const last = (c: typeof long) => relativeWater(c, known, 0).at(-1)?.standardUncertainty ?? 0;
		expect(last(long)).toBeCloseTo(last(short), 12);
	});
	it('every further run adds its own', () => {
		const runs = (n: number) =>
			weighings(
				evidence({
					readings: weighed(
						Array.from({ length: n }, (_, i): [number, Before | null][] => [
							[1000, i ? 'print' : null],
							[1000, 'air']
						]).flat()
					)
				})
			);
		const u = (n: number) => relativeWater(runs(n), known, 0).at(-1)?.standardUncertainty ?? 0;
		expect(u(4) / u(1)).toBeCloseTo(2, 9);
	});
	it('neither more filament on the reel nor a print between changes the chained ratio of equal uptake', () => {
		fc.assert(
			fc.property(fc.double({ min: 300, max: 1000, noNaN: true }), fc.double({ min: 0.2, max: 0.9, noNaN: true }), (netG, left) => {
				const wet = 1.002;
				const whole = chainOf([
					[netG, null],
					[netG * wet, 'air']
				]);
				const printed = chainOf([
					[netG, null],
					[netG * Math.sqrt(wet), 'air'],
					[netG * Math.sqrt(wet) * left, 'print'],
					[netG * wet * left, 'air']
				]);
				const end = (c: typeof whole) => relativeWater(c, known, 0).at(-1)?.share ?? 0;
				expect(end(printed)).toBeCloseTo(end(whole), 9);
			}),
			{ seed: 3 }
		);
	});
	it('counting from another state shifts, and there and back is nothing', () => {
		const chain = chainOf();
		const from = (i: number) => relativeWater(chain, known, i).map((p) => 1 + p.share);
		const [a, b] = [from(2), from(7)];
		expect((a[7] as number) * (b[2] as number)).toBeCloseTo(1, 12);
	});
});

describe('what lay between', () => {
	const two = weighed([
		[1000, null],
		[990, null]
	]);
	const at = two[1]?.takenAt ?? 0;
	it('a print recorded between the weighings', () => {
		expect(weighings(evidence({ readings: two, attempts: [attempt({ at: at - 5 })] }))[1]).toMatchObject({ before: 'print', said: false });
	});
	it('a print marked invalid does not count; a drying does', () => {
		const e = evidence({
			readings: two,
			attempts: [attempt({ at: at - 5, status: 'excluded' })],
			events: [event({ kind: 'dried', at: at - 3 })]
		});
		expect(weighings(e)[1]?.before).toBe('dried');
	});
	it('a timed load counts where it went in, also when it is weighed before it is said to be done', () => {
		const run = { runId: 'r', startedAt: at - 500, setPointC: 60, dryer: null, checks: [] };
		const e = evidence({
			readings: weighed([
				[1000, null],
				[996, null],
				[997, null]
			]),
			events: [event({ kind: 'dried', at: at + 20, drying: run })]
		});
		expect(weighings(e).map((w) => w.before)).toEqual([null, 'dried', 'air']);
	});
	it('nothing recorded: air', () => expect(weighings(evidence({ readings: two }))[1]?.before).toBe('air'));
	it.each([
		['printed', 'print'],
		['respooled', 'print'],
		['cutOff', 'print'],
		['dried', 'dried'],
		['exposed', 'air'],
		['opened', 'air']
	] as const)('%s between two weighings is told as %s', (kind, before) => {
		expect(weighings(evidence({ readings: two, events: [event({ kind, at: at - 5 })] }))[1]).toMatchObject({ before });
	});
	it('what the tester says counts before what is inferred', () => {
		const said = [two[0], { ...two[1], before: 'air' }] as typeof two;
		expect(weighings(evidence({ readings: said, attempts: [attempt({ at: at - 5 })] }))[1]).toMatchObject({ before: 'air', said: true });
	});
	it('a weighing marked invalid is left out of the chain', () => {
		const out = two.map((r, i) => (i === 1 ? { ...r, status: 'excluded' as const } : r));
		expect(weighings(evidence({ readings: out }))).toHaveLength(1);
	});
});

describe('tare', () => {
	const chain = (e: ReturnType<typeof evidence>) => tareOf(e, weighings(e));
	const net = { id: 'net', quantity: 'netMassG', source: 'label', value: 1000 } as const;
	it('found later, it counts for every weighing before', () => {
		const e = evidence({ readings: [...weighed(CHAIN), tare(231)] });
		expect(chain(e)).toMatchObject({ known: true, lowG: 231 });
		expect(find(e).interval?.kind).toBe('confidence');
	});
	it('unknown: from the label when the spool was full, else the usual reels', () => {
		const full = chain(evidence({ readings: weighed([[1240, null]]), claims: [net] }));
		expect(full).toMatchObject({ known: false, from: 'netMass', lowG: 190, highG: 270 });
		expect(chain(evidence({ readings: weighed([[700, null]]) }))).toMatchObject({ from: 'usual', lowG: 100, highG: 350 });
	});
	it('one that is heavier than the spool with filament on it is not used, and said', () => {
		const e = evidence({ readings: [...weighed(CHAIN), tare(1300)] });
		expect(chain(e)).toMatchObject({ known: false, contradictsG: 1300 });
		expect(find(e).messages.map((m) => m.id)).toContain('tareContradicts');
		expect(JSON.parse(JSON.stringify(find(e)))).toEqual(find(e));
	});
	it('never reaches what is left on the reel', () => {
		expect(chain(evidence({ readings: weighed([[200, null]]) })).highG).toBe(199);
	});
	it('unknown gives a range that holds the answer of every tare in it', () => {
		const unknown = find(evidence({ readings: weighed(CHAIN), claims: [net] }));
		expect(unknown.sampling.kind).toBe('bounds');
		for (const t of [300, 330, 347])
			expect(find(evidence({ readings: [...weighed(CHAIN), tare(t)] })).estimate).toSatisfy(
				(pct: number) => pct >= (unknown.interval?.low ?? 9) && pct <= (unknown.interval?.high ?? -9)
			);
	});
});

describe('uptake', () => {
	it('is the most taken up since the drying, with n and interval', () => {
		const f = find(evidence({ readings: [...weighed(CHAIN), tare(230)] }));
		expect(f.estimate).toBeCloseTo(0.1415, 3);
		expect(f.n).toBe(6);
		expect(f.interval?.low).toBeLessThan(f.estimate ?? 0);
		expect(f.messages[0]).toMatchObject({ id: 'uptakeOver', params: { from: 'dried' } });
		expect(f.grade).toBe('firm');
	});
	it('says what is missing: nothing weighed, one weighing, only prints', () => {
		expect(find()).toMatchObject({ n: 0, missing: [{ action: 'weigh', count: 2 }] });
		expect(find(evidence({ readings: weighed([[1000, null]]) }))).toMatchObject({ n: 0, missing: [{ count: 1 }] });
		expect(
			find(
				evidence({
					readings: weighed([
						[1000, null],
						[980, 'print']
					])
				})
			).sampling.kind
		).toBe('unknown');
	});
	it('not seen is an answer and said', () => {
		const f = find(
			evidence({
				readings: [
					...weighed([
						[1000, null],
						[1000, 'air']
					]),
					tare(200)
				]
			})
		);
		expect(f.estimate).toBe(0);
		expect(f.messages.map((m) => m.id)).toContain('waterNotSeen');
	});
	it('how long it lay in the air is told, for comparing', () => {
		const days = (n: number) =>
			find(
				evidence({
					readings: weighed(
						[
							[1000, null],
							[1001, 'air']
						],
						n * 86_400_000
					)
				})
			).context.exposures;
		expect([1, 5, 30, 90].map(days)).toEqual([['exposure.days2'], ['exposure.days10'], ['exposure.weeks6'], ['exposure.months']]);
	});
});
