import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readReading } from './read-reading';

describe('what was typed for a quantity', () => {
	it.each([
		['1.76', 1.76],
		['1,76', 1.76],
		['1760 um', 1.76],
		['0.0689 in', 1.75006],
		['2.85', 2.85],
		['174', 1.74],
		[' 285 ', 2.85]
	])('diameter %s is %f mm', (typed, value) => expect(readReading('diameter', typed)).toMatchObject({ ok: true, value }));

	it.each([
		['1750', '1.75 mm'],
		['17.6', '1.76 mm'],
		['176 mm', '1.76 mm'],
		['0.069', '0.069 in']
	])('diameter %s is asked about: %s?', (typed, suggestion) =>
		expect(readReading('diameter', typed)).toMatchObject({ ok: false, reason: 'slip', suggestion })
	);

	it.each([
		['0', 'notPositive'],
		['-1.75', 'notPositive'],
		['9', 'outOfRange'],
		['wide', 'notANumber'],
		['1.75 furlongs', 'unknownUnit'],
		['', 'empty']
	])('diameter %s is refused as %s', (typed, reason) => expect(readReading('diameter', typed)).toMatchObject({ ok: false, reason }));

	it('keeps an odd but possible reading: 1.57 is for the tester to judge', () => {
		expect(readReading('diameter', '1.57')).toMatchObject({ ok: true, value: 1.57 });
	});

	it('reads the four words of strings and no fifth', () => {
		expect(readReading('strings', 'Wisp')).toMatchObject({ ok: true, value: 1 });
		expect(readReading('strings', 'some')).toMatchObject({
			ok: false,
			reason: 'unknownWord',
			allowed: ['none', 'wisp', 'slight', 'heavy']
		});
	});

	it('an own measure keeps its own unit', () => {
		expect(readReading('own', '3,5', 'clicks')).toMatchObject({ ok: true, value: 3.5, typedUnit: 'clicks' });
		expect(readReading('own', '3 mm', 'clicks')).toMatchObject({ ok: false, reason: 'unknownUnit' });
	});

	it('never throws and never returns a value outside its limits', () => {
		fc.assert(
			fc.property(fc.string(), (text) => {
				const r = readReading('diameter', text);
				if (r.ok) expect(r.value >= 0.5 && r.value <= 5).toBe(true);
			})
		);
	});
});
