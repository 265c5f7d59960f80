import { describe, expect, it } from 'vitest';
import { sizeOf } from './size-text';

describe('sizes as typed', () => {
	it.each([
		['mm', '20', 20],
		['mm', '1.5 in', 38.1],
		['mm', '0,4 mm', 0.4],
		['deg', '45 deg', 45],
		['degC', '410 F', 210],
		['degC', '240', 240],
		['', '2', 2]
	] as const)('in %s: "%s" is %d', (unit, text, size) => expect(sizeOf({ unit }, text)).toBe(size));
	it.each([
		['mm', ''],
		['mm', 'wide'],
		['mm', '20 kg'],
		['deg', '20 mm'],
		['', '2 mm']
	] as const)('in %s: "%s" is none', (unit, text) => expect(sizeOf({ unit }, text)).toBeNaN());
});
