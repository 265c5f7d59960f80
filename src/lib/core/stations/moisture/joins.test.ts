import { describe, expect, it } from 'vitest';
import { attempt, basis, evidence, reading } from '../../../../../tests/support/evidence';
import type { Before, Reading } from '../../record/evidence/reading';
import type { SpoolEvidence } from '../../record/evidence/spool-evidence';
import type { Finding } from '../../judging/finding/types';
import { intervalsOf, relativeWater } from './account';
import { moistureStation, referenceIndex } from './station';
import { tareOf } from './tare';
import { weighings } from './weighings';

// What feeds what in the station, field by field, worked out by hand.

const DAY = 86_400_000;
/** A scale of 0.1 g whose error limit is not known: half a step and a step, both rectangular (JCGM 100, 4.3.7). */
const U_G = Math.hypot(0.05, 0.1) / Math.sqrt(3);
const Z = 1.959963984540054;

const gross = (day: number, value: number, before: Before | null, more: Partial<Reading> = {}) =>
	reading({ station: 'moisture', quantity: 'grossMass', value, before, resolution: 0.1, takenAt: day * DAY, ...more });
const tareMass = (value: number, day = 90, more: Partial<Reading> = {}) =>
	reading({ station: 'moisture', quantity: 'tareMass', value, takenAt: day * DAY, ...more });
const find = (e: SpoolEvidence) => moistureStation.find(e, basis)[0] as Finding;
const ids = (f: Finding) => f.messages.map((m) => m.id);
const message = (f: Finding, id: string) => f.messages.find((m) => m.id === id)?.params;

describe('the uptake of a spool, whole', () => {
	const readings = [
		gross(0, 1200, null),
		gross(1, 1195, 'dried'),
		gross(4, 1196.2, 'air'),
		gross(11, 1196, 'air'),
		gross(12, 1300, 'air', { status: 'excluded' }),
		reading({ station: 'diameter', quantity: 'diameter', value: 1.75 }),
		tareMass(200)
	];
	const e = evidence({ readings, spool: { lot: 'L7', revision: 5 } });
	const f = find(e);
	const share = 996.2 / 995 - 1;
	const u = (1 + share) * Math.hypot(U_G / 996.2, U_G / 995);

	it('is the largest share since the drying, with its interval and draw', () => {
		expect(f.estimate).toBeCloseTo(share * 100, 10);
		expect(f.n).toBe(2);
		expect(f.interval).toMatchObject({ level: 0.95, kind: 'confidence' });
		expect(f.interval?.low).toBeCloseTo((share - Z * u) * 100, 8);
		expect(f.interval?.high).toBeCloseTo((share + Z * u) * 100, 8);
		expect(f.sampling).toMatchObject({ kind: 't', df: null });
		expect(f.sampling.kind === 't' && f.sampling.mean).toBeCloseTo(share * 100, 10);
		expect(f.sampling.kind === 't' && f.sampling.standardError).toBeCloseTo(u * 100, 10);
	});
	it('names its subject, what it rests on, and nothing that is no weighing', () => {
		const [w0, w1, w2, w3, struck, , tare] = readings as [Reading, Reading, Reading, Reading, Reading, Reading, Reading];
		expect(f.subject.spoolId).toBe(e.spool.id);
		expect(f.inputs).toEqual({ used: [w0, w1, w2, w3, tare].map((r) => r.id), excluded: [struck.id], revision: 5 });
	});
	it('tells lot, exposure and the two moments it lies between', () => {
		expect(f.context).toMatchObject({ lots: ['L7'], exposures: ['exposure.days10'], from: DAY, to: 4 * DAY });
		expect(find(evidence({ readings })).context.lots).toEqual([]);
	});
	it('says how much over how long, from the drying; and no more where the tare is known and the water seen', () => {
		expect(ids(f)).toEqual(['uptakeOver']);
		expect(message(f, 'uptakeOver')).toEqual({ pct: expect.closeTo(share * 100, 10) as number, days: 3, from: 'dried' });
	});
	it('draws the account of every weighing against the chosen one', () => {
		expect(f.figure.kind).toBe('account');
		const points = f.figure.kind === 'account' ? f.figure.points : [];
		expect(points.map((p) => [p.at / DAY, p.grossG, p.before])).toEqual([
			[0, 1200, 'first'],
			[1, 1195, 'dried'],
			[4, 1196.2, 'air'],
			[11, 1196, 'air']
		]);
		expect(points.map((p) => p.pct)).toEqual([1000 / 995 - 1, 0, share, 996 / 995 - 1].map((s) => expect.closeTo(s * 100, 10) as number));
		expect(points[2]?.lowPct).toBeCloseTo((share - Z * u) * 100, 8);
		expect(points[2]?.highPct).toBeCloseTo((share + Z * u) * 100, 8);
	});
});

describe('from which weighing water is counted', () => {
	const from = (...before: (Before | null)[]) =>
		referenceIndex(weighings(evidence({ readings: before.map((b, i) => gross(i, 1000 - i, b)) })));
	it('the last drying that air followed, else the first weighing', () => {
		expect(from(null, 'dried', 'air')).toBe(1);
		expect(from(null, 'dried', 'air', 'dried', 'air')).toBe(3);
		expect(from(null, 'dried', 'air', 'dried')).toBe(1);
		expect(from(null, 'dried', 'print', 'air')).toBe(1);
		expect(from(null, 'air', 'dried', 'print')).toBe(0);
		expect(from(null, 'air', 'air')).toBe(0);
		expect(from(null, 'print', 'air')).toBe(0);
		expect(from()).toBe(0);
	});
	it('only time in the air after it is uptake', () => {
		// The air before the drying is not counted from it.
		const f = find(
			evidence({ readings: [gross(0, 1200, null), gross(1, 1203, 'air'), gross(2, 1199, 'dried'), gross(5, 1199.5, 'air'), tareMass(200)] })
		);
		expect(f.estimate).toBeCloseTo((999.5 / 999 - 1) * 100, 10);
		expect(f.n).toBe(2);
		expect(message(f, 'uptakeOver')).toMatchObject({ days: 3, from: 'dried' });
	});
	it('without a drying it is the first weighing', () => {
		const f = find(evidence({ readings: [gross(0, 1200, null), gross(2, 1201, 'air'), tareMass(200)] }));
		expect(message(f, 'uptakeOver')).toEqual({ pct: expect.closeTo(0.1, 10) as number, days: 2, from: 'first' });
		expect(f.context).toMatchObject({ from: 0, to: 2 * DAY, exposures: ['exposure.days2'] });
	});
	it('of several the scale cannot tell apart the mean counts: the largest of many leans upward', () => {
		// Of a twentieth of a gram more or less a scale of a tenth knows nothing.
		const alike = [1201, 1201.1, 1201, 1201].map((g, i) => gross(2 + i, g, 'air'));
		const found = find(evidence({ readings: [gross(0, 1200, null), ...alike, tareMass(200)] }));
		expect(found.estimate).toBeCloseTo(0.1025, 10);
		const apart = find(evidence({ readings: [gross(0, 1200, null), gross(2, 1201, 'air'), gross(3, 1202, 'air'), tareMass(200)] }));
		expect(apart.estimate).toBeCloseTo(0.2, 10);
	});
	it('a card reel takes up water itself: bounds that hold what it may have, and it is said', () => {
		const readings = [gross(0, 1200, null), gross(2, 1201, 'air'), tareMass(150)];
		const [plastic, card] = (['plastic', 'card'] as const).map((reelMaterial) => find(evidence({ readings, spool: { reelMaterial } }))) as [
			Finding,
			Finding
		];
		// 8 % of 150 g on 1050 g of filament.
		const part = (0.08 * 150) / 1050;
		expect(card.interval).toMatchObject({ kind: 'bounds', high: plastic.interval?.high });
		expect(card.interval?.low).toBeCloseTo((plastic.interval?.low ?? 0) - part * 100, 10);
		expect(card.sampling).toEqual({ kind: 'bounds', low: card.interval?.low, high: card.interval?.high });
		expect(message(card, 'cardReel')).toEqual({ pct: expect.closeTo(part * 100, 10) as number });
		expect(message(plastic, 'cardReel')).toBeUndefined();
		// What was lost may have been the card's as well.
		const lost = find(
			evidence({ readings: [gross(0, 1200, null), gross(2, 1199, 'air'), tareMass(150)], spool: { reelMaterial: 'card' } })
		);
		expect(lost.interval?.high).toBeGreaterThan(0);
	});
	it('of two equal tops the earlier counts', () => {
		const f = find(evidence({ readings: [gross(0, 1200, null), gross(2, 1201, 'air'), gross(3, 1201, 'air'), tareMass(200)] }));
		expect(f.context.to).toBe(2 * DAY);
	});
	it.each([
		[2, 'exposure.days2'],
		[2.1, 'exposure.days10'],
		[10, 'exposure.days10'],
		[10.1, 'exposure.weeks6'],
		[45, 'exposure.weeks6'],
		[45.1, 'exposure.months']
	])('%f days in the air are told as %s', (days, word) =>
		expect(find(evidence({ readings: [gross(0, 1200, null), gross(days, 1201, 'air')] })).context.exposures).toEqual([word])
	);
});

describe('what is said when little is known', () => {
	it('why there is no value: nothing weighed, or nothing but prints and dryings', () => {
		const reasonOf = (f: Finding) => (f.sampling.kind === 'unknown' ? f.sampling.reason.id : null);
		expect(reasonOf(find(evidence()))).toBe('notWeighed');
		expect(reasonOf(find(evidence({ readings: [gross(0, 1200, null), gross(1, 1199, 'dried')] })))).toBe('noAirInterval');
		expect(find(evidence({ readings: [tareMass(200)] })).inputs.used).toHaveLength(1);
	});
	it('the least change the scale could have seen, twice its smallest uncertainty in the air', () => {
		// The print, wider apart than the scale sees, is no air; the first air was weighed coarser than the second.
		const f = find(
			evidence({
				readings: [
					gross(0, 1200, null, { resolution: 1 }),
					gross(1, 1200, 'air', { resolution: 1 }),
					gross(2, 1100, 'print', { resolution: 1 }),
					gross(3, 1100, 'air', { resolution: 0.1 }),
					tareMass(200)
				]
			})
		);
		const coarse = Math.hypot(0.5, 1) / Math.sqrt(3);
		expect(message(f, 'waterNotSeen')).toEqual({ limitG: expect.closeTo(2 * Math.hypot(coarse, U_G), 10) as number });
		const seen = find(evidence({ readings: [gross(0, 1200, null), gross(1, 1200, 'air'), gross(2, 1201, 'air'), tareMass(200)] }));
		expect(ids(seen)).not.toContain('waterNotSeen');
	});
	it('what the scale saw before the drying is not what it sees since', () => {
		const f = find(
			evidence({ readings: [gross(0, 1200, null), gross(1, 1203, 'air'), gross(2, 1199, 'dried'), gross(5, 1199, 'air'), tareMass(200)] })
		);
		expect(ids(f)).toContain('waterNotSeen');
	});
	it('a tare that is not known, from where its range comes, and one that contradicts', () => {
		const two = [gross(0, 1240, null), gross(2, 1241, 'air')];
		const net = { id: 'net', quantity: 'netMassG', source: 'label', value: 1000 } as const;
		const labelled = find(evidence({ readings: two, claims: [net] }));
		expect(message(labelled, 'tareUnknown.netMass')).toEqual({ low: 190, high: 270 });
		expect(labelled.interval?.kind).toBe('bounds');
		expect(labelled.sampling).toEqual({ kind: 'bounds', low: labelled.interval?.low, high: labelled.interval?.high });
		const contradicted = find(evidence({ readings: [...two, tareMass(1240)], claims: [] }));
		expect(message(contradicted, 'tareContradicts')).toEqual({ tareG: 1240 });
		expect(message(contradicted, 'tareUnknown.usual')).toEqual({ low: 100, high: 350 });
		expect(ids(find(evidence({ readings: [...two, tareMass(200)] })))).toEqual(['uptakeOver']);
	});
	it('the band of an unknown tare covers both its ends with their scatter', () => {
		const chain = weighings(evidence({ readings: [gross(0, 1200, null), gross(1, 1210, 'air'), gross(2, 1190, 'air')] }));
		const water = relativeWater(chain, { lowG: 100, highG: 300, known: false, from: 'usual' }, 0);
		const end = (tare: number, i: number) => {
			const [a, b] = [1200 - tare, ([1200, 1210, 1190][i] as number) - tare];
			const share = b / a - 1;
			return { share, u: (1 + share) * Math.hypot(U_G / a, U_G / b) };
		};
		for (const i of [1, 2]) {
			const [low, high] = [end(100, i), end(300, i)];
			const ends = [low, high].flatMap(({ share, u }) => [share - Z * u, share + Z * u]);
			expect(water[i]?.share).toBeCloseTo((low.share + high.share) / 2, 12);
			expect(water[i]?.low).toBeCloseTo(Math.min(...ends), 9);
			expect(water[i]?.high).toBeCloseTo(Math.max(...ends), 9);
			expect(water[i]?.standardUncertainty).toBeCloseTo(Math.max(low.u, high.u), 12);
		}
	});
	it('a weighing before the chosen one is told backwards', () => {
		const chain = weighings(
			evidence({ readings: [gross(0, 1200, null), gross(1, 1100, 'print'), gross(2, 1099, 'dried'), gross(3, 1100, 'air')] })
		);
		const water = relativeWater(chain, { lowG: 200, highG: 200, known: true, from: 'weighed' }, 2);
		// The print is taken out: what lay before it is as wet as what came after it.
		expect(water.map((w) => w.share)).toEqual([900 / 899 - 1, 900 / 899 - 1, 0, 900 / 899 - 1].map((s) => expect.closeTo(s, 12) as number));
		const u = (900 / 899) * Math.hypot(U_G / 899, U_G / 900);
		expect(water[1]?.standardUncertainty).toBeCloseTo(u, 12);
	});
});

describe('intervals between weighings', () => {
	it('days, water and its uncertainty; seen only over twice that', () => {
		const chain = weighings(evidence({ readings: [gross(3, 1000, null), gross(5, 1000.2, 'air'), gross(6, 1000, 'air')] }));
		const limit = 2 * Math.hypot(U_G, U_G);
		expect(intervalsOf(chain)).toMatchObject([
			{ days: 2, waterG: 0.2, uG: Math.hypot(U_G, U_G), seen: 0.2 > limit },
			{ days: 1, waterG: -0.2 }
		]);
		const exactly = [
			{ ...(chain[0] as (typeof chain)[number]), uG: 0.06 },
			{ ...(chain[1] as (typeof chain)[number]), uG: 0.08 }
		];
		expect(intervalsOf(exactly)[0]).toMatchObject({ uG: 0.1, seen: false });
	});
});

describe('nothing changed', () => {
	it('is 0, not -0, and no binary dust', () => {
		const chain = weighings(evidence({ readings: [gross(0, 0.1 + 0.2, null), gross(1, 0.3, 'air')] }));
		expect(intervalsOf(chain)[0]?.waterG).toBe(0);
	});
});

describe('tare of a spool', () => {
	const of = (e: SpoolEvidence) => tareOf(e, weighings(e));
	const net = (value: number) => ({ id: 'net', quantity: 'netMassG', source: 'label', value }) as const;
	it('the last empty weighing that counts, whatever their order', () => {
		const readings = [gross(0, 1200, null), tareMass(230, 9), tareMass(220, 3), tareMass(210, 12, { status: 'excluded' })];
		expect(of(evidence({ readings })).lowG).toBe(230);
		expect(of(evidence({ readings: [gross(0, 1200, null), gross(1, 1199, 'air')] })).known).toBe(false);
	});
	it('an empty weighing without a value is none', () => {
		expect(of(evidence({ readings: [gross(0, 1200, null), reading({ station: 'moisture', quantity: 'tareMass' })] })).from).toBe('usual');
	});
	it('is lighter than the lightest weighing, not as heavy', () => {
		expect(of(evidence({ readings: [gross(0, 1200, null), tareMass(1200)] }))).toMatchObject({ known: false, contradictsG: 1200 });
		expect(of(evidence({ readings: [gross(0, 1200, null), tareMass(1199)] }))).toEqual({
			known: true,
			from: 'weighed',
			lowG: 1199,
			highG: 1199
		});
	});
	it('the label tells it only for a spool that was full when it was first weighed', () => {
		const first = [gross(5, 1240, null)];
		const from = (given: Partial<SpoolEvidence>) => of(evidence({ readings: first, claims: [net(1000)], ...given })).from;
		expect(from({})).toBe('netMass');
		expect(from({ attempts: [attempt({ at: 6 * DAY })] })).toBe('netMass');
		expect(from({ attempts: [attempt({ at: 5 * DAY })] })).toBe('usual');
		expect(from({ attempts: [attempt({ at: 4 * DAY, status: 'excluded' })] })).toBe('netMass');
		expect(from({ attempts: [attempt({ at: 4 * DAY, status: 'excluded' }), attempt({ at: 4 * DAY })] })).toBe('usual');
		expect(from({ claims: [] })).toBe('usual');
		// Lighter than the filament alone may be: the label is of another reel.
		expect(from({ claims: [net(1240 / 0.97)] })).toBe('usual');
		expect(from({ claims: [net(1239 / 0.97)] })).toBe('netMass');
		expect(tareOf(evidence({ claims: [net(1000)] }), [])).toMatchObject({ from: 'usual' });
	});
});
