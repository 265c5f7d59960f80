import { expect, it } from 'vitest';
import { flowWords, spreadsWords } from './diameter';

it('whether spreads differ is said with the test it rests on', () => {
	expect(spreadsWords({ f: 4.2, df1: 2, df2: 21, p: 0.029 })).toBe(
		'Their spreads differ: Brown-Forsythe F 4.20 on 2 and 21 degrees of freedom, p = 0.029.'
	);
	expect(spreadsWords({ f: 40, df1: 2, df2: 21, p: 0.0004 })).toMatch(/^Their spreads differ: .* p under 0\.001\.$/);
	expect(spreadsWords({ f: 1, df1: 2, df2: 21, p: 0.05 })).toMatch(/^No difference of their spreads can be shown: .* p = 0\.05\.$/);
});

it('flow is told by the farthest reading, and from 3 % on it can show', () => {
	expect(flowWords(2.99, 12)).toBe('Hardly matters: at worst 3 % flow (worst of 12 readings).');
	expect(flowWords(3, 1)).toBe('It can show in walls and corners: at worst 3 % flow (worst of 1 reading).');
});
