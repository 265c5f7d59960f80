import { describe, expect, it } from 'vitest';
import { attempt, event, evidence, mark, piece, basis } from '../../../../../../tests/support/evidence';
import type { Attempt } from '../../../record/evidence/attempt';
import type { QuantityDef } from '../../../judging/finding/types';
import { judgePairs } from './judge-pairs';
import { markQuantity } from '../marks/marks';
import { comparePaired, differencesOf } from './paired-comparison';

const overhang = markQuantity('overhang');
const strings = markQuantity('strings');

const settings = (fanPct: number, more: Partial<Attempt['settings']> = {}) => ({ ...attempt().settings, fanPct, ...more });
/** A spool with prints of a piece: fan and last clean overhang, a minute apart. */
function spool(prints: [fan: number, degrees: number][], more: Partial<Attempt> = {}, code = 'KA1') {
	const attempts = prints.map(([fan], i) => attempt({ at: 1000 + i * 60_000, settings: settings(fan), ...more }));
	return evidence({
		spool: { id: code, code },
		attempts,
		readings: attempts.map((a, i) => mark(a, 'overhangLastClean', prints[i]?.[1] ?? 0))
	});
}
const fan = { id: 'fanPct', first: '0', second: '50' };

describe('pairs', () => {
	const up = (n: number) => Array.from({ length: n }, () => [60, 65] as const);
	const one = (pairs: readonly (readonly [number, number])[], def: QuantityDef = overhang) => judgePairs([{ pairs, def }])[0];

	it('six that all gain have helped; five never can; as many the other way hurt', () => {
		expect(one(up(6))).toMatchObject({ outcome: 'helped', better: 6, p: 0.03125, rankP: 0.03125 });
		expect(one(up(5))).toMatchObject({ outcome: 'tooFew', p: null, rankP: null });
		expect(one(up(6).map(([a, b]) => [b, a] as const))?.outcome).toBe('hurt');
	});
	it('of several marks are corrected together, those that say too little left out', () => {
		const marks = (n: number, others: number) => judgePairs([up(n), up(others), up(2)].map((pairs) => ({ pairs, def: overhang })));
		// 2 x 0.03125 and 2 x 0.015625 by hand.
		expect(marks(6, 6).map((v) => v.p)).toEqual([0.0625, 0.0625, null]);
		expect(marks(6, 6).map((v) => v.outcome)).toEqual(['noDifference', 'noDifference', 'tooFew']);
		expect(marks(7, 6).map((v) => v.p)).toEqual([0.03125, 0.03125, null]);
		expect(marks(7, 5).map((v) => v.outcome)).toEqual(['helped', 'tooFew', 'tooFew']);
	});
	it('that are all alike show no difference', () => {
		const alike = (n: number) => one(Array.from({ length: n }, () => [60, 60] as const));
		expect(alike(6)).toMatchObject({ outcome: 'noDifference', p: null, same: 6 });
		expect(alike(5)?.outcome).toBe('tooFew');
	});
	it('fewer strings are better, and words have no distances', () => {
		expect(
			one(
				Array.from({ length: 7 }, () => [3, 0] as const),
				strings
			)
		).toMatchObject({ outcome: 'helped', rankP: null });
	});
	it('nearest to none is better for shrinkage, on either side', () => {
		expect(
			one(
				[
					[1, -0.2],
					[-1, 0.5]
				],
				markQuantity('shrinkageX')
			)
		).toMatchObject({ better: 2, worse: 0 });
	});
});

describe('two ways to print', () => {
	it('are what the prints differ in', () => {
		const found = differencesOf([
			spool([
				[0, 50],
				[50, 60]
			]),
			spool([[0, 50]], { printer: 'South', setUp: { bedSurface: 'glass' } }, 'KA2')
		]);
		expect(Object.fromEntries(found.map((d) => [d.id, d.values]))).toEqual({
			spool: ['KA1', 'KA2'],
			printer: ['North', 'South'],
			fanPct: ['0', '50']
		});
	});
	it('fan on against fan off, within each spool, over spools', () => {
		const spools = ['KA1', 'KA2', 'KA3'].map((code) =>
			spool(
				[
					[0, 50],
					[50, 60],
					[0, 55],
					[50, 65]
				],
				{},
				code
			)
		);
		const { results, alsoDiffers } = comparePaired(spools, fan, basis);
		expect(results.find((r) => r.def.id === 'overhang')).toMatchObject({ outcome: 'helped', better: 6, worse: 0 });
		expect(alsoDiffers).toEqual([]);
		const back = comparePaired(spools, { id: 'fanPct', first: '50', second: '0' }, basis);
		expect(back.results.find((r) => r.def.id === 'overhang')?.outcome).toBe('hurt');
	});
	it('prints nearest in time stand together, none twice; pieces are never mixed', () => {
		const one = spool([
			[0, 50],
			[50, 60],
			[50, 61],
			[0, 52]
		]);
		expect(comparePaired([one], fan, basis).results[0]?.pairs.map((p) => [p.first, p.second])).toEqual([
			[50, 60],
			[52, 61]
		]);
		const other = attempt({ pieceId: 'other', settings: settings(50) });
		const mixed = evidence({ attempts: [attempt({ settings: settings(0) }), other], readings: [] });
		expect(comparePaired([mixed], fan, basis).results).toEqual([]);
	});
	it('what else differs within pairs is named: then it is not only the fan', () => {
		const confounded = spool([
			[0, 50],
			[50, 60]
		]);
		const [first, second] = confounded.attempts as [Attempt, Attempt];
		const attempts = [
			{ ...first, settings: settings(0, { nozzleC: 230 }) },
			{ ...second, settings: settings(50, { nozzleC: 240 }), printer: 'South' }
		];
		expect(comparePaired([{ ...confounded, attempts }], fan, basis).alsoDiffers).toEqual(['nozzleC', 'printer']);
	});
	it('two spools: the same piece in the same condition', () => {
		const wet = spool(
			[
				[0, 50],
				[0, 55]
			],
			{},
			'KA1'
		);
		const dry = {
			...spool(
				[
					[0, 60],
					[0, 65]
				],
				{},
				'KA2'
			),
			events: [event({ kind: 'dried', at: 1 })]
		};
		const contrast = { id: 'spool', first: 'KA1', second: 'KA2' };
		expect(comparePaired([wet, dry], contrast, basis).results).toEqual([]);
		const same = comparePaired(
			[
				wet,
				spool(
					[
						[0, 60],
						[0, 65]
					],
					{},
					'KA2'
				)
			],
			contrast,
			basis
		);
		expect(same.results[0]?.pairs).toHaveLength(2);
		expect(same.alsoDiffers).toEqual([]);
	});
	it('finished against failed is McNemar’s test; failures of others do not count', () => {
		const attempts = Array.from({ length: 8 }, (_, i) => [
			attempt({ at: i * 100, settings: settings(0), outcome: 'failed', cause: i === 7 ? 'printer' : 'filament', percentReached: 50 }),
			attempt({ at: i * 100 + 1, settings: settings(50) })
		]).flat();
		const found = comparePaired([evidence({ attempts })], fan, basis).results.find((r) => r.def.id === 'printSuccess');
		expect(found).toMatchObject({ better: 7, worse: 0, outcome: 'helped' });
		expect(found?.p).toBeCloseTo(2 ** -6, 12);
	});
	it('sizes are held against the piece’s own', () => {
		const block = piece({ params: { alongX: 20 } });
		const attempts = [attempt({ settings: settings(0) }), attempt({ settings: settings(50), at: 2000 })];
		const one = evidence({ pieces: [block], attempts, readings: attempts.map((a, i) => mark(a, 'sizeX', i ? 19.9 : 19.8)) });
		const found = comparePaired([one], fan, basis).results.find((r) => r.def.id === 'shrinkageX');
		expect(found?.pairs[0]?.first).toBeCloseTo(1, 9);
		expect(found?.better).toBe(1);
	});
});
