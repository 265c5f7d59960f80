import { describe, expect, it } from 'vitest';
import { shownReading } from './shown-reading';

describe('a reading in a list', () => {
	it.each([
		['diameter', '174', 1.74, '1.74'],
		['diameter', '1,74', 1.74, '1,74'],
		['diameter', '0.069 in', 1.7526, '0.069 in'],
		['grossMass', '174', 1.74, '174']
	])('%s typed %s, taken for %d: %s', (quantity, typedText, value, shown) =>
		expect(shownReading({ quantity, typedText, value })).toBe(shown)
	);
});
