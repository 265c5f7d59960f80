import { expect, it } from 'vitest';
import { apartWords, flowWords, spreadsWords } from './diameter';

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

it('spools are told apart by the farthest pair, with its range whichever is thicker', () => {
	const spool = { spoolId: 'a', places: 5, placeMeansMm: [], meanMm: 1.75, sdMm: null, instrument: '', limits: null, letters: '' };
	const code = (id: string) => id.toUpperCase();
	expect(apartWords({ spools: [spool], apart: [] }, code)).toBe('One spool alone: there is nothing to compare it with.');
	expect(apartWords({ spools: [spool, spool], apart: [] }, code)).toBe(
		'No clear difference in mean diameter between any two of these spools.'
	);
	const apart = [{ a: 'a', b: 'b', differenceMm: -0.023, lowMm: -0.034, highMm: -0.012 }];
	expect(apartWords({ spools: [spool, spool], apart }, code)).toBe(
		'1 pair clearly differs in mean diameter; the farthest are A and B, 0.023 mm apart (95 % over all pairs 0.012 to 0.034).'
	);
});
