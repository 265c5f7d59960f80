import { expect, it } from 'vitest';
import { ableWords, checkWords, scaleWords, studyInForceWords } from './instruments';

const at = Date.parse('2026-11-01T10:00:00Z');
const check = { id: 'c', at, reference: 1.7, referenceLimit: 0, bias: -0.004, repeatability: 0.0021, n: 10, near: true };
const study = { id: 's', at, places: 5, raters: 2, repeats: 3, repeatabilitySd: 0.0071, ratersSd: 0.004 };

it('an instrument is told by what it can decide', () => {
	expect(ableWords(0.0001)).toBe('confirm or reject ±0.02 mm, confirm or reject ±0.03 mm, confirm or reject ±0.05 mm');
	expect(ableWords(0.0115)).toMatch(/^only reject ±0\.02 mm, /);
});

it('its last check and study are told with n, and what a check far off is worth', () => {
	expect(checkWords({ check: null })).toBe('not checked yet');
	expect(checkWords({ check })).toBe('checked 1 Nov 2026 against 1.7 mm: shows −0.0040 mm, scatter 0.0021 mm, n 10');
	expect(checkWords({ check: { ...check, bias: 0.004, repeatability: null, n: 1, near: false } })).toBe(
		'checked 1 Nov 2026 against 1.7 mm: shows +0.0040 mm, no scatter from one reading, n 1; too far from a strand to be used'
	);
	expect(studyInForceWords({ study: null })).toBeNull();
	expect(studyInForceWords({ study })).toBe(
		'gauge study 1 Nov 2026: scatter 0.0071 mm, people differ by 0.0040 mm, n 30; see the study for ranges'
	);
	expect(studyInForceWords({ study: { ...study, raters: 1 } })).toBe(
		'gauge study 1 Nov 2026: scatter 0.0071 mm, n 15; see the study for ranges'
	);
});

it('a scale is told by the smallest change it sees: two weighings, twice their uncertainty', () => {
	// u of one: 0.1 g step and 0.1 g limit, both rectangular: hypot(0.05, 0.1) / sqrt 3 = 0.0645 g; times 2 sqrt 2 = 0.1826 g
	expect(scaleWords({ errorLimit: 0.1, resolution: 0.1 })).toBe('sees changes of water over 0.2 g, 0.02 % of a kilogram');
});
