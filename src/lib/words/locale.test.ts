import { afterEach, describe, expect, it } from 'vitest';
import { localeFrom, preferredLocale } from './locale';
import { day, dayAndTime, fixed, grouped, percent, upTo } from './numbers';

afterEach(() => localeFrom(() => null));

const AT = Date.parse('2026-11-26T12:00:00Z');

describe('numbers and dates in the browser’s locale', () => {
	it('nobody asks: as in British English', () => {
		expect([fixed(-1.75, 2), upTo(1234.5, 1), percent(0.1234, 1), grouped(20_000), day(AT)]).toEqual([
			'−1.75',
			'1234.5',
			'12.3 %',
			'20,000',
			'26 Nov 2026'
		]);
	});
	it('German: comma, points between thousands, its own dates; the digits are the same', () => {
		localeFrom(() => 'de-DE');
		expect([fixed(-1.75, 2), fixed(-0.001, 2), upTo(1234.5, 1), percent(0.1234, 1), grouped(20_000)]).toEqual([
			'−1,75',
			'0,00',
			'1234,5',
			'12,3 %',
			'20.000'
		]);
		expect(day(AT)).toBe('26. Nov. 2026');
		expect(percent(0.9999)).toBe('over 99 %');
	});
	it('the page is told the mark with the locale, and looks nothing up', () => {
		localeFrom(
			() => 'pt-PT',
			() => '·'
		);
		expect(fixed(1.5, 1)).toBe('1·5');
	});
	it('follows from one request to the next', () => {
		let here = 'en-US';
		localeFrom(() => here);
		expect([day(AT), dayAndTime(AT).slice(0, 12), fixed(1.5, 1)]).toEqual(['Nov 26, 2026', 'Nov 26, 2026', '1.5']);
		here = 'fr-FR';
		expect(fixed(1.5, 1)).toBe('1,5');
	});
});

describe('the locale a browser asks for', () => {
	it.each([
		['de-AT,de;q=0.9,en;q=0.8', 'de-AT'],
		['en;q=0.8, de-CH', 'de-CH'],
		['fr;q=0, en-US;q=0.5', 'en-US'],
		['*', null],
		['xx-nonsense-too-long-to-be-one, en-GB', 'en-GB'],
		['"><script>, en-GB;q=0.1', 'en-GB'],
		['', null],
		[null, null]
	])('%s: %s', (header, locale) => expect(preferredLocale(header)).toBe(locale));
});
