import { describe, expect, it } from 'vitest';
import reference from '../../../../../../tests/reference/prints.json' with { type: 'json' };
import { attempt, evidence, mark, MAIN_PIECE, basis, printerNamed } from '../../../../../../tests/support/evidence';
import { modelled } from '../../../../../../tests/support/modelled';
import { compare } from '../../../judging/compare/compare';
import { additiveEffects, type LevelValue } from '../../../kernel/stats/additive-effects';
import { printerEffects, unbridgedPrinters } from './printer-effect';
import { markQuantity } from './marks';
import { ladderAs } from '../../../judging/posterior/observed';
import { printsStation } from '../station';

const overhang = markQuantity('overhang');

describe('what a printer adds', () => {
	const { spool, printer, value, ...expected } = reference.printers;
	const values = spool.map((code, i): LevelValue => ({
		within: code,
		level: printer[i] as string,
		value: value[i] as number
	}));
	it('is R’s lm(value ~ spool + printer), three printers, unbalanced', () => {
		const found = additiveEffects(values, 'N');
		expect(found.map((e) => e.level)).toEqual(['S', 'T']);
		found.forEach((effect, k) => {
			expect(effect.shift).toBeCloseTo(expected.shift[k] as number, 10);
			expect(effect.standardError).toBeCloseTo(expected.standardError[k] as number, 10);
			expect(effect.low).toBeCloseTo(expected.low[k] as number, 6);
			expect(effect.high).toBeCloseTo(expected.high[k] as number, 6);
			expect(effect.df).toBe(expected.df);
		});
		expect(found[0]).toMatchObject({ n: 9, within: ['a', 'b', 'c'] });
	});
	it('a printer no spool ties to the others is not told; neither is one without any scatter known', () => {
		const island = [...values, { within: 'z', level: 'X', value: 99 }];
		expect(additiveEffects(island, 'N').map((e) => e.level)).toEqual(['S', 'T']);
		expect(additiveEffects(values.filter((v) => v.level !== 'N' || v.within === 'a').slice(0, 2), 'N')).toEqual([]);
		expect(
			additiveEffects(
				[
					{ within: 'a', level: 'N', value: 1 },
					{ within: 'a', level: 'S', value: 2 }
				],
				'N'
			)
		).toEqual([]);
	});

	/** Spools of which some were printed on both; South comes out ten degrees less. */
	const printed = (code: string, on: [printer: string, degrees: number][]) => {
		const attempts = on.map(([name], i) => attempt({ printer: name, at: 1000 + i }));
		return evidence({
			spool: { id: code, code },
			attempts,
			readings: attempts.map((a, i) => mark(a, 'overhangLastClean', on[i]?.[1] ?? 0))
		});
	};
	const spools = [
		printed('KA1', [
			['North', 60],
			['South', 50],
			['North', 65],
			['South', 55]
		]),
		printed('KA2', [
			['North', 70],
			['South', 60]
		]),
		printed('KA3', [['South', 50]])
	];
	// Worked out within each test: a fault then fails a test, not the file.
	const effectOf = () => printerEffects(spools, basis, 'North')[0];
	it('is found over the spools of a trial, against the trial’s printer or the one with most prints', () => {
		const effect = effectOf();
		expect(effect).toMatchObject({
			quantity: 'overhang',
			pieceId: MAIN_PIECE,
			printer: 'South',
			against: 'North',
			prints: 6,
			spoolIds: ['KA1', 'KA2']
		});
		expect(effect?.shift).toBeCloseTo(-10, 9);
		expect(printerEffects(spools, basis, null)[0]?.against).toBe('South');
		expect(printerEffects([spools[2] as (typeof spools)[0]], basis, 'North')).toEqual([]);
	});
	it('is told of measured marks of the compared piece only, by prints whose printer is known', () => {
		const on = (quantity: string, value: number, more: Parameters<typeof attempt>[0]) => {
			const print = attempt(more);
			return { print, reading: mark(print, quantity, value) };
		};
		const spoolOf = (...prints: ReturnType<typeof on>[]) =>
			evidence({ attempts: prints.map((p) => p.print), readings: prints.map((p) => p.reading) });
		const both = (quantity: string, more: Parameters<typeof attempt>[0] = {}) =>
			spoolOf(on(quantity, 2, { printer: 'North', ...more }), on(quantity, 1, { printer: 'South', ...more }));
		const quantities = (e: ReturnType<typeof evidence>, rules = basis) => printerEffects([e], rules, 'North').map((f) => f.quantity);
		expect(quantities(both('bridgeSag'))).toEqual(['bridgeSag']);
		// Words have no shift; another piece is another question; a printer that nobody noted ties nothing.
		expect(quantities(both('strings'))).toEqual([]);
		expect(quantities(both('bridgeSag', { pieceId: 'other' }))).toEqual([]);
		expect(quantities(both('bridgeSag'), { ...basis, markPieces: {} })).toEqual([]);
		expect(quantities(spoolOf(on('bridgeSag', 2, { printer: 'North' }), on('bridgeSag', 1, { printer: null })))).toEqual([]);
		// Of counts nothing is assumed of their scatter, and two prints show none.
		expect(quantities(both('stringCount'))).toEqual([]);
		expect(printerEffects([both('bridgeSag')], basis, 'West')[0]?.against).toBe('North');
		expect(printerEffects([], basis, 'North')).toEqual([]);
	});
	it('taken out, prints of the other printer count as if from the first, and are wider for it; the flag goes', () => {
		const effect = effectOf();
		const out = { ...basis, printerEffects: effect ? [effect] : [] };
		const find = (spoolIndex: number, rule = basis) =>
			printsStation.find(spools[spoolIndex] as (typeof spools)[0], rule).find((f) => f.quantity === 'overhang') as ReturnType<
				typeof printsStation.find
			>[0];
		const [own, as] = [modelled('overhang', ladderAs(50, 55)), modelled('overhang', ladderAs(60, 65))];
		expect(find(2)).toMatchObject(own);
		expect(find(2, out).estimate).toBeCloseTo(as.estimate, 9);
		const sd = effect?.standardError as number;
		expect(find(2, out).shared).toEqual([{ source: 'printer South', sd }]);
		// The interval holds the shift's own error, added in quadrature to each half.
		expect(find(2, out).interval?.high).toBeCloseTo(as.estimate + Math.hypot(as.interval.high - as.estimate, 1.959964 * sd), 9);
		expect(find(2, out).messages.map((m) => m.id)).toContain('printerTakenOut');
		const width = (f: ReturnType<typeof find>) => (f.interval?.high ?? 0) - (f.interval?.low ?? 0);
		expect(width(find(2, out))).toBeGreaterThan(width(find(2)));
		expect(find(1, out).estimate).toBeCloseTo(modelled('overhang', ladderAs(70, 75), ladderAs(70, 75)).estimate, 9);
		const north = { ...basis, printer: printerNamed('North') };
		const flags = (rule: typeof basis) =>
			compare(
				[0, 1, 2].map((i) => find(i, rule)),
				overhang,
				rule
			).flags.map((f) => f.kind);
		expect(flags(north)).toContain('unlikePrinter');
		expect(flags({ ...north, printerEffects: out.printerEffects })).not.toContain('unlikePrinter');
	});
	it('one spool that was printed once on each is enough, told with what such prints usually scatter', () => {
		const [one] = printerEffects(
			[
				printed('KA1', [
					['North', 60],
					['South', 50]
				])
			],
			basis,
			'North'
		);
		// Scatter 5 with four degrees of freedom assumed, and none seen: standard error 5 sqrt 2, t(0.975, 4) = 2.7764 (tables).
		expect(one).toMatchObject({ printer: 'South', shift: expect.closeTo(-10, 9) as number, df: 4, prints: 2 });
		expect(one?.standardError).toBeCloseTo(5 * Math.SQRT2, 9);
		expect(one?.high).toBeCloseTo(-10 + 2.7764 * 5 * Math.SQRT2, 2);
	});
	it('a printer that nothing ties to the others may differ by what matters: an error all its spools share', () => {
		const [a, b, c] = [printed('KA1', [['North', 60]]), printed('KA2', [['South', 60]]), printed('KA3', [['South', 70]])];
		const rule = { ...basis, unbridged: unbridgedPrinters([a, b, c], basis, 'North') };
		expect(rule.unbridged).toEqual([{ quantity: 'overhang', kind: 'printer', name: 'South' }]);
		const find = (spool: typeof a) => printsStation.find(spool, rule).find((f) => f.quantity === 'overhang');
		expect(find(a)?.shared).toEqual([]);
		expect(find(b)?.shared).toEqual([{ source: 'printer South', sd: 5 }]);
		expect(
			unbridgedPrinters(
				[
					a,
					printed('KA4', [
						['North', 60],
						['South', 50]
					])
				],
				basis,
				'North'
			)
		).toEqual([]);
	});
});
