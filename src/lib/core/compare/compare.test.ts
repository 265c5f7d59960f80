import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import reference from '../../../../tests/reference/statistics.json';
import { basis } from '../../../../tests/support/evidence';
import { EMPTY_CONTEXT, makeFinding } from '../finding/make-finding';
import type { Finding } from '../finding/types';
import { markQuantity } from '../prints/mark-entries';
import { meanInterval } from '../stats/mean-interval';
import { toldApart } from './apart';
import { compare } from './compare';
import { compactLetterDisplay } from './compact-letter-display';
import { moments } from './moments';

const overhang = markQuantity('overhang');

describe('letters (insert and absorb)', () => {
	it('chain: ends apart, neighbours not', () => {
		expect(compactLetterDisplay(3, (i, j) => Math.abs(i - j) === 2)).toEqual(['a', 'ab', 'b']);
	});
	it('all alike, all apart, none', () => {
		expect(compactLetterDisplay(3, () => false)).toEqual(['a', 'a', 'a']);
		expect(compactLetterDisplay(3, () => true)).toEqual(['a', 'b', 'c']);
		expect(compactLetterDisplay(0, () => true)).toEqual([]);
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

describe('told apart', () => {
	it.each(reference.welch)('decides as the Welch test of scipy, p = $p', ({ a, b, p }) => {
		const t = (values: number[]) => {
			const m = meanInterval(values);
			return { kind: 't' as const, mean: m.mean as number, standardError: m.standardError as number, df: m.df };
		};
		expect(toldApart(t(a), t(b), 1)).toBe(p < 0.05);
	});
	it('never parts what is unknown, nor overlapping bounds', () => {
		const unknown = { kind: 'unknown' as const, reason: { id: 'noReadings' as const, params: {} } };
		expect(toldApart(unknown, { kind: 'exact', value: 3 }, 1)).toBe(false);
		expect(toldApart({ kind: 'bounds', low: 60, high: 75 }, { kind: 'bounds', low: 70, high: 85 }, 1)).toBe(false);
		expect(toldApart({ kind: 'bounds', low: 60, high: 69 }, { kind: 'bounds', low: 70, high: 85 }, 1)).toBe(true);
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
		expect(flags).toEqual([{ quantity: 'overhang', kind: 'unlikePrinter', detail: null, values: ['North', 'South'], spoolIds: ['c'] }]);
	});
	it('names prices of another currency: they are not converted', () => {
		const priced = (spoolId: string, currency: string) => ({
			...finding(spoolId, 'North', '0.4'),
			context: { ...EMPTY_CONTEXT, currencies: [currency] }
		});
		const { flags } = compare([priced('a', 'EUR'), priced('b', 'EUR'), priced('c', 'SEK')], overhang, basis);
		expect(flags).toEqual([{ quantity: 'overhang', kind: 'unlikeCurrency', detail: null, values: ['EUR', 'SEK'], spoolIds: ['c'] }]);
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
});
