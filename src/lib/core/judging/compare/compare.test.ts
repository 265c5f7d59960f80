import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import reference from '../../../../../tests/reference/statistics.json';
import { basis, printerNamed } from '../../../../../tests/support/evidence';
import { EMPTY_CONTEXT, makeFinding } from '../finding/make-finding';
import type { Finding, Sampling } from '../finding/types';
import { markQuantity } from '../../stations/prints/marks/marks';
import { meanInterval } from '../../kernel/stats/mean-interval';
import { diameterMean } from '../../stations/diameter/quantities';
import { alikeEnough, differenceOf, toldApart, toldApartAmong, type Compared } from './apart';
import { compare } from './compare';
import { compactLetterDisplay } from './compact-letter-display';
import { moments } from '../sampling/moments';

const overhang = markQuantity('overhang');
const mean = diameterMean(basis);

describe('letters (insert and absorb)', () => {
	it('chain: ends apart, neighbours not', () => {
		expect(compactLetterDisplay(3, (i, j) => Math.abs(i - j) === 2)).toEqual(['a', 'ab', 'b']);
	});
	it('all alike, all apart, none', () => {
		expect(compactLetterDisplay(3, () => false)).toEqual(['a', 'a', 'a']);
		expect(compactLetterDisplay(3, () => true)).toEqual(['a', 'b', 'c']);
		expect(compactLetterDisplay(0, () => true)).toEqual([]);
	});
	it('letters go in the order of the spools, and after z come aa, ab', () => {
		const all = compactLetterDisplay(28, () => true);
		expect([all[0], all[25], all[26], all[27]]).toEqual(['a', 'z', 'aa', 'ab']);
		// 0-1 and 2-3 alike: the letter of the better pair comes first.
		expect(compactLetterDisplay(4, (i, j) => Math.floor(i / 2) !== Math.floor(j / 2))).toEqual(['a', 'a', 'b', 'b']);
		// Two columns begin with the first spool: the one that ends sooner is a.
		expect(compactLetterDisplay(3, (i, j) => i === 1 && j === 2)).toEqual(['ab', 'a', 'b']);
	});
	it('no letter stands in another: as few as say it', () => {
		fc.assert(
			fc.property(fc.integer({ min: 2, max: 7 }), fc.array(fc.boolean(), { minLength: 21, maxLength: 21 }), (n, bits) => {
				const apart = (i: number, j: number) => bits[(Math.max(i, j) * (Math.max(i, j) - 1)) / 2 + Math.min(i, j)] as boolean;
				const given = compactLetterDisplay(n, apart);
				const letters = [...new Set(given.join(''))].sort();
				const members = letters.map((l) => new Set(given.flatMap((g, i) => (g.includes(l) ? [i] : []))));
				members.forEach((a, i) => members.forEach((b, j) => expect(i !== j && [...a].every((m) => b.has(m))).toBe(false)));
				// Without gaps from a on.
				expect(letters).toEqual(Array.from({ length: letters.length }, (_, k) => String.fromCharCode(97 + k)));
			})
		);
	});
	it('two share a letter exactly when not told apart', () => {
		fc.assert(
			fc.property(fc.integer({ min: 1, max: 8 }), fc.array(fc.boolean(), { minLength: 28, maxLength: 28 }), (n, bits) => {
				const apart = (i: number, j: number) => bits[(Math.max(i, j) * (Math.max(i, j) - 1)) / 2 + Math.min(i, j)] as boolean;
				const given = compactLetterDisplay(n, apart);
				for (let i = 0; i < n; i++)
					for (let j = 0; j < i; j++) {
						const share = [...(given[i] as string)].some((l) => (given[j] as string).includes(l));
						expect(share).toBe(!apart(i, j));
					}
			})
		);
	});
});

const alone = (sampling: Sampling): Compared => ({ sampling, shared: [] });
const exact = (value: number) => alone({ kind: 'exact', value });
const t = (mean: number, standardError: number, shared: Compared['shared'] = []): Compared => ({
	sampling: { kind: 't', mean, standardError, df: null },
	shared
});

describe('alike enough', () => {
	const within = { ...overhang, differenceThatMatters: 5 };
	it('is the whole 95 % range of the difference inside what matters: 1.96 x sqrt(2) x 1 = 2.77 by hand', () => {
		expect(alikeEnough(t(60, 1), t(62.2, 1), within)).toBe(true);
		expect(alikeEnough(t(60, 1), t(62.3, 1), within)).toBe(false);
		expect(alikeEnough(t(62.3, 1), t(60, 1), within)).toBe(false);
	});
	it('is not the same as not told apart: few data are neither', () => {
		expect(toldApart(t(60, 4), t(62, 4), within, 1)).toBe(false);
		expect(alikeEnough(t(60, 4), t(62, 4), within)).toBe(false);
	});
	it('may be said of what differs clearly, but by less than matters', () => {
		expect([toldApart(t(60, 0.1), t(62, 0.1), within, 1), alikeEnough(t(60, 0.1), t(62, 0.1), within)]).toEqual([true, true]);
	});
	it('takes out what both share, and knows nothing of what is unknown', () => {
		const shared = [{ source: 'scorer', sd: 10 }];
		expect(alikeEnough(t(60, 1, shared), t(61, 1, shared), within)).toBe(true);
		expect(alikeEnough(t(60, 1, shared), t(61, 1), within)).toBe(false);
		expect(alikeEnough(alone({ kind: 'unknown', reason: { id: 'noReadings', params: {} } }), exact(3), within)).toBe(false);
	});
	it('exactly what matters still is alike', () => expect(alikeEnough(exact(60), exact(65), within)).toBe(true));
	it('the difference is the first less the second', () =>
		expect(differenceOf(t(60, 3), t(62, 4), overhang)).toMatchObject({ mean: -2, sd: 5 }));
});

describe('told apart', () => {
	it.each(reference.welch)('decides as the Welch test of scipy, p = $p', ({ a, b, p }) => {
		const of = (values: number[]) => {
			const m = meanInterval(values);
			return alone({ kind: 't' as const, mean: m.mean as number, standardError: m.standardError as number, df: m.df });
		};
		expect(toldApart(of(a), of(b), overhang, 1)).toBe(p < 0.05);
	});
	it('never parts what is unknown, nor overlapping bounds', () => {
		const unknown = alone({ kind: 'unknown', reason: { id: 'noReadings', params: {} } });
		const bounds = (low: number, high: number) => alone({ kind: 'bounds', low, high });
		expect(toldApart(unknown, exact(3), overhang, 1)).toBe(false);
		expect(toldApart(bounds(60, 75), bounds(70, 85), overhang, 1)).toBe(false);
		expect(toldApart(bounds(60, 69), bounds(70, 85), overhang, 1)).toBe(true);
	});
	it('an error that both share cancels, one that only one has does not', () => {
		const caliper = (sd: number) => [{ source: 'caliper', sd }];
		// Difference 5, own errors 1 each: 5 > 1.96 sqrt 2. With an unshared error of 3: 5 < 1.96 sqrt 11.
		expect(toldApart(t(60, 1, caliper(3)), t(65, 1, caliper(3)), overhang, 1)).toBe(true);
		expect(toldApart(t(60, 1, caliper(3)), t(65, 1), overhang, 1)).toBe(false);
		expect(toldApart(t(60, 1, caliper(3)), t(65, 1, [{ source: 'other', sd: 3 }]), overhang, 1)).toBe(false);
	});
	it('every two of many are told apart as any two alone', () => {
		const SHARED = [{ source: 'caliper', sd: 3 }];
		const within: Compared = { sampling: { kind: 'bounds', low: 60, high: 75 }, shared: [] };
		const all = [t(60, 0.4), t(62, 0.4), t(62.9, 0.4), t(60, 1, SHARED), t(65, 1, SHARED), within];
		for (const def of [overhang, { ...overhang, direction: 'nearest' as const, target: 61 }]) {
			const among = toldApartAmong(all, def, 3);
			all.forEach((a, i) => all.forEach((b, j) => expect(among(i, j)).toBe(toldApart(a, b, def, 3))));
		}
		expect([toldApartAmong(all, overhang, 3)(0, 1), toldApartAmong(all, overhang, 3)(0, 2)]).toEqual([true, true]);
		expect(toldApartAmong(all, overhang, 3)(1, 2)).toBe(false);
	});
	it('where nearest is best, distances from the target are compared', () => {
		// On either side of 1.75 and as far from it: alike, though 0.06 apart.
		expect(toldApart(t(1.72, 0.002), t(1.78, 0.002), mean, 1)).toBe(false);
		expect(toldApart(t(1.72, 0.002), t(1.751, 0.002), mean, 1)).toBe(true);
		expect(toldApart(exact(1.72), exact(1.78), mean, 1)).toBe(false);
	});
	it('a shift that is shared moves both sides of a target apart: there it does not cancel', () => {
		const caliper = [{ source: 'caliper', sd: 0.01 }];
		// Same side: distances 0.03 and 0.05 differ by 0.02, own errors 0.002 each.
		expect(toldApart(t(1.78, 0.002, caliper), t(1.8, 0.002, caliper), mean, 1)).toBe(true);
		// Opposite sides: the same difference of distances, but the caliper counts twice (1.96 x 0.0202 > 0.02).
		expect(toldApart(t(1.72, 0.002, caliper), t(1.8, 0.002, caliper), mean, 1)).toBe(false);
	});
	const between = (low: number, high: number, shared: Compared['shared'] = []): Compared => ({
		sampling: { kind: 'bounds', low, high },
		shared
	});
	it('bounds are told apart exactly when they do not touch, however narrow the gap', () => {
		for (const [a, b, apart] of [
			[between(0, 10), between(10, 20), false],
			[between(0, 10), between(10.001, 20), true],
			[between(10.001, 20), between(0, 10), true],
			[between(10, 20), between(0, 10), false]
		] as const)
			expect(toldApart(a, b, overhang, 1)).toBe(apart);
	});
	it('but by their spread where an error does not cancel, where the other is none, or where nearest is best', () => {
		// Uniform on 10 degrees: SD 2.89 each; 11 apart is under 1.96 x sqrt(2 x 8.33 + 16) = 11.2.
		expect(toldApart(between(0, 10, [{ source: 'x', sd: 4 }]), between(11, 21), overhang, 1)).toBe(false);
		expect(toldApart(between(0, 10, [{ source: 'x', sd: 4 }]), between(11, 21, [{ source: 'x', sd: 4 }]), overhang, 1)).toBe(true);
		// 1.96 x sqrt(8.33 + 0.01) = 5.66: bounds beside a t do not overlap, and are not apart.
		expect(toldApart(between(0, 10), t(10.5, 0.1), overhang, 1)).toBe(false);
		expect(toldApart(t(10.8, 0.1), between(0, 10), overhang, 1)).toBe(true);
		// Either side of 1.75: as far from it.
		expect(toldApart(between(1.7, 1.72), between(1.78, 1.8), mean, 1)).toBe(false);
	});
	it('with few degrees of freedom more is asked, by Welch: df 5.88 here', () => {
		const few = (mean: number, standardError: number, df: number): Compared => ({
			sampling: { kind: 't', mean, standardError, df },
			shared: []
		});
		// (1 + 4)^2 / (1/4 + 16/4) = 5.88; t(0.975) = 2.459, times sqrt(5) = 5.50.
		expect(toldApart(few(0, 1, 4), few(5.4, 2, 4), overhang, 1)).toBe(false);
		expect(toldApart(few(0, 1, 4), few(5.6, 2, 4), overhang, 1)).toBe(true);
		// Known scatter: 1.96 x sqrt(5) = 4.38.
		expect(toldApart(t(0, 1), t(4.3, 2), overhang, 1)).toBe(false);
		expect(toldApart(t(0, 1), t(4.5, 2), overhang, 1)).toBe(true);
	});
	it('where nearest is best and no target is said, the middle of the scale is it', () => {
		const middle = { ...mean, target: null, scale: { low: 1, high: 3 } };
		// Distances from 2: 0.5 and 0.1.
		expect(differenceOf(t(1.5, 0.001), t(2.1, 0.001), middle)?.mean).toBeCloseTo(0.4, 3);
	});
	it('binary dust is no difference', () => {
		expect(toldApart(exact(0.1 + 0.2), exact(0.3), overhang, 1)).toBe(false);
	});
});

describe('moments', () => {
	it('match closed forms', () => {
		expect(moments({ kind: 'beta', a: 2, b: 6 })).toMatchObject({ mean: 0.25, sd: Math.sqrt((2 * 6) / (64 * 9)) });
		expect(moments({ kind: 'bounds', low: 0, high: 12 })?.sd).toBeCloseTo(Math.sqrt(12), 12);
		// A straight quantile function is a uniform distribution.
		expect(moments({ kind: 'quantiles', probabilities: [0, 0.5, 1], values: [0, 6, 12] })?.sd).toBeCloseTo(Math.sqrt(12), 12);
	});
});

describe('flags', () => {
	const finding = (spoolId: string, printer: string, nozzle: string): Finding =>
		makeFinding(overhang, {
			subject: { spoolId, condition: 'asReceived', pieceId: 'p' },
			estimate: 65,
			n: 1,
			interval: { low: 60, high: 75, level: null, kind: 'bounds' },
			sampling: { kind: 'bounds', low: 60, high: 75 },
			method: 'x',
			source: 'x',
			context: { ...EMPTY_CONTEXT, printers: [printer], nozzles: [nozzle] }
		});
	it('names the minority on another printer', () => {
		const { flags } = compare([finding('a', 'North', '0.4'), finding('b', 'North', '0.4'), finding('c', 'South', '0.4')], overhang, basis);
		expect(flags).toEqual([{ quantity: 'overhang', kind: 'unlikePrinter', detail: null, is: ['South'], rest: ['North'], spoolIds: ['c'] }]);
	});
	it('names prices of another currency: they are not converted', () => {
		const priced = (spoolId: string, currency: string) => ({
			...finding(spoolId, 'North', '0.4'),
			context: { ...EMPTY_CONTEXT, currencies: [currency] }
		});
		const { flags } = compare([priced('a', 'EUR'), priced('b', 'EUR'), priced('c', 'SEK')], overhang, basis);
		expect(flags).toEqual([{ quantity: 'overhang', kind: 'unlikeCurrency', detail: null, is: ['SEK'], rest: ['EUR'], spoolIds: ['c'] }]);
	});
	it('measures against the rules, not against what most have', () => {
		const three = [finding('a', 'North', '0.4'), finding('b', 'South', '0.4'), finding('c', 'South', '0.4')];
		const north = {
			...basis,
			printer: printerNamed('North')
		};
		expect(compare(three, overhang, north).flags[0]?.spoolIds).toEqual(['b', 'c']);
		expect(compare(three, overhang, basis).flags[0]?.spoolIds).toEqual(['a']);
	});
	it('names no lone spool, and none that was seen on both sides', () => {
		const both = { ...finding('a', 'North', '0.4'), context: { ...EMPTY_CONTEXT, printers: ['North', 'South'] } };
		expect(compare([both], overhang, basis).flags).toEqual([]);
		expect(compare([both, finding('b', 'North', '0.4')], overhang, basis).flags).toEqual([]);
		// Beside a third it stands with the others, and is told by what the third does not have.
		expect(compare([both, finding('b', 'North', '0.4'), finding('c', 'South', '0.4')], overhang, basis).flags).toMatchObject([
			{ kind: 'unlikePrinter', is: ['South'], rest: ['North'], spoolIds: ['c'] }
		]);
	});
	it('a sale price beside list prices is named', () => {
		const priced = (spoolId: string, kind: string) => ({
			...finding(spoolId, 'North', '0.4'),
			context: { ...EMPTY_CONTEXT, priceKinds: [kind] }
		});
		expect(compare([priced('a', 'list'), priced('b', 'list'), priced('c', 'sale')], overhang, basis).flags).toEqual([
			{ quantity: 'overhang', kind: 'unlikePriceKind', detail: null, is: ['sale'], rest: ['list'], spoolIds: ['c'] }
		]);
	});
	it('is silent when all is alike', () => {
		expect(compare([finding('a', 'North', '0.4'), finding('b', 'North', '0.4')], overhang, basis).flags).toEqual([]);
	});
	const settled = (spoolId: string, settings: { name: string; value: number }[]): Finding => ({
		...finding(spoolId, 'North', '0.4'),
		context: { ...EMPTY_CONTEXT, settings }
	});
	it('settings are held equal as far as the policy says', () => {
		const set = [
			settled('a', [
				{ name: 'nozzleC', value: 215 },
				{ name: 'fanPct', value: 50 }
			]),
			settled('b', [
				{ name: 'nozzleC', value: 240 },
				{ name: 'fanPct', value: 50 }
			]),
			settled('c', [{ name: 'fanPct', value: 20 }])
		];
		const details = (settingsPolicy: typeof basis.settingsPolicy) =>
			compare(set, overhang, { ...basis, settingsPolicy }).flags.map((f) => [f.detail, f.spoolIds]);
		expect(details('fixed')).toEqual([
			['fanPct', ['c']],
			['nozzleC', ['b']]
		]);
		expect(details('label')).toEqual([['fanPct', ['c']]]);
		expect(details('preset')).toEqual([]);
	});
	it('a setting that was not noted is no other setting', () => {
		expect(compare([settled('a', [{ name: 'fanPct', value: 50 }]), settled('b', [])], overhang, basis).flags).toEqual([]);
	});
	const with_ = (spoolId: string, context: Partial<Finding['context']>): Finding => ({
		...finding(spoolId, 'North', '0.4'),
		context: { ...EMPTY_CONTEXT, ...context }
	});
	it.each([
		['unlikePiece', 'pieces'],
		['unlikePrinter', 'printers'],
		['unlikeNozzle', 'nozzles'],
		['unlikeSpecimen', 'variants'],
		['unlikeExposure', 'exposures'],
		['unlikeCurrency', 'currencies'],
		['unlikePriceKind', 'priceKinds']
	] as const)('%s goes by %s', (kind, key) => {
		const { flags } = compare([with_('a', { [key]: ['x'] }), with_('b', { [key]: ['x'] }), with_('c', { [key]: ['y'] })], overhang, basis);
		expect(flags).toEqual([{ quantity: 'overhang', kind, detail: null, is: ['y'], rest: ['x'], spoolIds: ['c'] }]);
	});
	it('the state is that of the finding, and of what speaks of all prints that of the prints', () => {
		const dried: Finding = { ...with_('c', {}), subject: { ...with_('c', {}).subject, condition: 'dried' } };
		expect(compare([with_('a', {}), with_('b', {}), dried], overhang, basis).flags).toMatchObject([
			{ kind: 'unlikeCondition', spoolIds: ['c'] }
		]);
		const all = (spoolId: string, conditions: Finding['context']['conditions']): Finding => ({
			...with_(spoolId, { conditions }),
			subject: { ...with_(spoolId, {}).subject, condition: null }
		});
		const { flags } = compare([all('a', ['asReceived']), all('b', ['asReceived']), all('c', ['dried'])], overhang, basis);
		expect(flags).toMatchObject([{ kind: 'unlikeCondition', is: ['dried'], rest: ['asReceived'], spoolIds: ['c'] }]);
	});
	it('what is asked for and nobody has counts for nothing: then what most have is like', () => {
		const west = {
			...basis,
			printer: printerNamed('West')
		};
		const three = [finding('a', 'North', '0.4'), finding('b', 'South', '0.4'), finding('c', 'South', '0.4')];
		expect(compare(three, overhang, west).flags[0]?.spoolIds).toEqual(['a']);
	});
	it('what stands around a print is held equal whatever the policy; a profile is the product’s', () => {
		const said = (name: string, value: string) => ({ settings: [{ name, value }] });
		const details = (name: string) =>
			compare([with_('a', said(name, 'x')), with_('b', said(name, 'y'))], overhang, { ...basis, settingsPolicy: 'preset' }).flags.map(
				(f) => f.detail
			);
		expect(['bedSurface', 'bedAgent', 'enclosure', 'fedFrom', 'midPrint'].map((n) => details(n))).toEqual(
			['bedSurface', 'bedAgent', 'enclosure', 'fedFrom', 'midPrint'].map((n) => [n])
		);
		expect([details('profile'), details('profileVersion')]).toEqual([[], []]);
	});
	it('a print of which no change is told was not changed; what was not printed was neither', () => {
		const changed = { pieces: ['p'], settings: [{ name: 'midPrint', value: 'fan 80 %' }] };
		const flagged = (other: Partial<Finding['context']>) =>
			compare([with_('a', changed), with_('b', other), with_('c', other)], overhang, basis).flags.map((f) => [f.detail, f.spoolIds]);
		expect(flagged({ pieces: ['p'] })).toEqual([['midPrint', ['a']]]);
		expect(flagged({})).toEqual([]);
		// Any other setting that is not told may have been equal.
		expect(
			compare([with_('a', { pieces: ['p'], settings: [{ name: 'fanPct', value: 5 }] }), with_('b', { pieces: ['p'] })], overhang, basis)
				.flags
		).toEqual([]);
	});
	it('a printer whose shift is taken out of this quantity stands for the one it is held against', () => {
		const out = (quantity: string, printer: string) => ({
			...basis,
			printerEffects: [
				{ quantity, printer, against: 'North', kind: 'measured', difference: 1, standardError: 0.1, spools: ['a'] }
			] as unknown as typeof basis.printerEffects
		});
		const two = [finding('a', 'North', '0.4'), finding('b', 'South', '0.4')];
		expect(compare(two, overhang, out('overhang', 'South')).flags).toEqual([]);
		expect(compare(two, overhang, out('bridge', 'South')).flags).toHaveLength(1);
		expect(compare(two, overhang, out('overhang', 'East')).flags).toHaveLength(1);
	});
});

describe('letters of a column', () => {
	const at = (spoolId: string, mean: number, standardError: number): Finding =>
		makeFinding(overhang, {
			subject: { spoolId, condition: 'asReceived', pieceId: 'p' },
			estimate: mean,
			n: 3,
			interval: { low: mean - 1, high: mean + 1, level: 0.95, kind: 'credible' },
			sampling: { kind: 't', mean, standardError, df: null },
			method: 'x',
			source: 'x'
		});
	const three = (direction: 'more' | 'less' | 'nearest', target: number | null = null) =>
		compare([at('a', 40, 1), at('b', 60, 1), at('c', 50, 1)], { ...overhang, direction, target }, basis).letters;
	it('are given from the best on, whichever way is best', () => {
		expect(three('more')).toEqual({ b: 'a', c: 'b', a: 'c' });
		expect(three('less')).toEqual({ a: 'a', c: 'b', b: 'c' });
		expect(three('nearest', 53)).toEqual({ c: 'a', b: 'b', a: 'c' });
		// Without a target the middle of the scale, 55: b and c are equally far from it.
		expect(three('nearest')).toEqual({ b: 'a', c: 'a', a: 'b' });
	});
	it('are asked more of where more pairs are compared: 6 apart, 2 each, is enough for one pair (2.12), not for ten (2.81)', () => {
		const many = Array.from({ length: 5 }, (_, i) => at(`s${i}`, i === 0 ? 66 : 60, 2));
		expect(new Set(Object.values(compare(many.slice(0, 2), overhang, basis).letters)).size).toBe(2);
		expect(new Set(Object.values(compare(many, overhang, basis).letters)).size).toBe(1);
	});
	it('a lone spool has none, nor has one of which nothing is known', () => {
		expect(compare([at('a', 40, 1)], overhang, basis).letters).toEqual({});
		const unknown: Finding = { ...at('b', 60, 1), estimate: null, sampling: { kind: 'unknown', reason: { id: 'noReadings', params: {} } } };
		expect(compare([at('a', 40, 1), unknown], overhang, basis).letters).toEqual({});
		expect(Object.keys(compare([at('a', 40, 1), at('c', 50, 1), { ...at('d', 50, 1), estimate: null }], overhang, basis).letters)).toEqual([
			'c',
			'a'
		]);
	});
});
