import { describe, expect, it } from 'vitest';
import { attempt, basis, evidence, MAIN_PIECE, mark, piece } from '../../../../../tests/support/evidence';
import type { Attempt } from '../../record/evidence/attempt';
import { MARKS, type MarkDef } from './marks/marks';
import { comparePaired, differencesOf } from './ways/paired-comparison';

/** Prints of one spool, each with its strings. */
function printed(prints: [more: Partial<Attempt>, strings: number | null][], code = 'KA1') {
	const attempts = prints.map(([more], i) => attempt({ at: 1000 + i, ...more }));
	const readings = prints.flatMap(([, value], i) => (value === null ? [] : [mark(attempts[i] as Attempt, 'strings', value)]));
	return evidence({ spool: { id: code, code }, attempts, readings });
}
const pairs = (e: ReturnType<typeof printed>[], id: string, first: string, second: string, quantity = 'strings') =>
	comparePaired(e, { id, first, second }, basis)
		.results.find((r) => r.def.id === quantity)
		?.pairs.map((p) => [p.first, p.second]);
const fan = (fanPct: number | null) => ({ settings: { ...attempt().settings, fanPct } });

describe('in what prints differ', () => {
	const values = (...prints: Partial<Attempt>[]) =>
		Object.fromEntries(differencesOf([printed(prints.map((p) => [p, null]))]).map((d) => [d.id, d.values]));
	it('every setting, printer, nozzle, file and set-up that was said, numbers in their order', () => {
		expect(values(fan(100), fan(50), fan(9))).toEqual({ fanPct: ['9', '50', '100'] });
		expect(values({ printer: 'North' }, { printer: 'South' })).toEqual({ printer: ['North', 'South'] });
		expect(values({ nozzle: '0.4' }, { nozzle: '0.6' })).toEqual({ nozzle: ['0.4', '0.6'] });
		expect(values({ fileHash: 'a'.repeat(64) }, { fileHash: 'b'.repeat(64) })).toEqual({ slicedFile: ['aaaaaaaa', 'bbbbbbbb'] });
		expect(values({ setUp: { bedAgent: 'glue' } }, { setUp: { bedAgent: 'none' } })).toEqual({ bedAgent: ['glue', 'none'] });
		expect(values({ midPrint: 'fan up' }, {})).toEqual({ midPrint: ['fan up', 'unchanged'] });
	});
	it('what was not said differs from nothing; prints that do not count differ in nothing', () => {
		expect(values(fan(50), fan(null), { printer: null }, { nozzle: null, fileHash: null, setUp: { bedAgent: '' } })).toEqual({});
		expect(values({ printer: 'North' }, { printer: 'South', status: 'excluded' })).toEqual({});
	});
});

describe('two ways as pairs', () => {
	it('the prints nearest in time stand together, none used twice', () => {
		const at = (time: number, fanPct: number, strings: number): [Partial<Attempt>, number] => [{ at: time, ...fan(fanPct) }, strings];
		const e = printed([at(100, 0, 3), at(200, 0, 2), at(210, 50, 1), at(900, 50, 0)]);
		expect(pairs([e], 'fanPct', '0', '50')).toEqual([
			[2, 1],
			[3, 0]
		]);
	});
	it('pieces are never mixed, nor spools, unless spools are what is compared', () => {
		const [a, b] = [printed([[{ ...fan(0) }, 3]]), printed([[{ ...fan(50) }, 1]], 'KA2')];
		expect(pairs([a, b], 'fanPct', '0', '50')).toBeUndefined();
		expect(pairs([a, b], 'spool', 'KA1', 'KA2')).toEqual([[3, 1]]);
		expect(
			pairs(
				[
					printed([
						[fan(0), 3],
						[{ ...fan(50), pieceId: 'other' }, 1]
					])
				],
				'fanPct',
				'0',
				'50'
			)
		).toBeUndefined();
	});
	it('what else differs within pairs is named, not the spools that are compared, nor what one did not say', () => {
		const [a, b] = [printed([[{ ...fan(0), printer: 'North' }, 3]]), printed([[{ ...fan(50), printer: 'South', nozzle: null }, 1]], 'KA2')];
		expect(comparePaired([a, b], { id: 'spool', first: 'KA1', second: 'KA2' }, basis).alsoDiffers).toEqual(['fanPct', 'printer']);
		const one = printed([
			[{ ...fan(0), printer: 'North' }, 3],
			[{ ...fan(50), printer: 'South' }, 1]
		]);
		expect(comparePaired([one], { id: 'fanPct', first: '0', second: '50' }, basis).alsoDiffers).toEqual(['printer']);
	});
	it('finished against failed, of failures that count', () => {
		const failed = { outcome: 'failed', percentReached: 10 } as const;
		const of = (cause: Attempt['cause'], failureRule: typeof basis.failureRule = 'filament') =>
			comparePaired(
				[
					printed([
						[fan(0), null],
						[{ ...fan(50), ...failed, cause }, null]
					])
				],
				{ id: 'fanPct', first: '0', second: '50' },
				{ ...basis, failureRule }
			)
				.results.find((r) => r.def.id === 'printSuccess')
				?.pairs.map((p) => [p.first, p.second]);
		expect(of('filament')).toEqual([[1, 0]]);
		expect([of('unknown'), of('printer'), of('printer', 'unknown')]).toEqual([undefined, undefined, undefined]);
		expect(of('unknown', 'unknown')).toEqual([[1, 0]]);
	});
	it('a size is compared by what is lacking against the one meant; where that is not known it is not compared', () => {
		const shrinkage = MARKS.find((m) => m.kind === 'measure' && m.against !== undefined) as MarkDef & { kind: 'measure'; against: string };
		const [first, second] = [attempt({ at: 1, ...fan(0) }), attempt({ at: 2, ...fan(50) })];
		const readings = [mark(first, shrinkage.reading, 49), mark(second, shrinkage.reading, 49.5)];
		const of = (params: Record<string, number> | null, id = MAIN_PIECE) =>
			pairs(
				[
					evidence({
						attempts: [first, second],
						readings,
						pieces: [piece({ id: 'p0', params: { [shrinkage.against]: 10 } }), piece({ id, params })]
					})
				],
				'fanPct',
				'0',
				'50',
				shrinkage.def.id
			);
		expect(of({ [shrinkage.against]: 50 })).toEqual([[2, 1]]);
		expect(of(null)).toBeUndefined();
		expect(of({ [shrinkage.against]: 50 }, 'unknown')).toBeUndefined();
	});
});
