import { describe, expect, it } from 'vitest';
import { grade } from './grade';

const def = { differenceThatMatters: 2 };
const wide = (half: number) => ({ low: 10 - half, high: 10 + half, level: 0.95, kind: 'confidence' as const });

describe('grade: half-width over the difference that matters', () => {
	it.each([
		[5, 2.1, 'thin'],
		[5, 2, 'fair'],
		[5, 1.1, 'fair'],
		[5, 1, 'firm'],
		[1, 0.1, 'thin'],
		[2, 0.1, 'thin'],
		[3, 0.1, 'firm']
	])('n %i, half-width %f is %s', (n, half, expected) => expect(grade({ n, interval: wide(half) }, def)).toBe(expected));
	it('few spots carry little, however many readings were taken there; two weighings are a whole difference', () => {
		expect(grade({ n: 20, nEffective: 2, interval: wide(0.1) }, def)).toBe('thin');
		expect(grade({ n: 2, interval: wide(0.1) }, def, 2)).toBe('firm');
		expect(grade({ n: 1, interval: wide(0.1) }, def, 2)).toBe('thin');
	});
	it('none without readings, thin without an interval', () => {
		expect(grade({ n: 0, interval: null }, def)).toBe('none');
		expect(grade({ n: 4, interval: null }, def)).toBe('thin');
	});
});
