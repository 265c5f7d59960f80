import { expect, it } from 'vitest';
import { waterNowWords, waterSinceStartWords } from './water';

it('water since the start has its sign and its range', () => {
	expect(waterSinceStartWords({ waterG: 0.84, uG: 0.1 })).toBe('Water since the start: +0.8 ± 0.2 g (filament used excluded).');
	expect(waterSinceStartWords({ waterG: -2, uG: 0.05 })).toBe('Water since the start: −2.0 ± 0.1 g (filament used excluded).');
});

it('water now is beside the weighing counted from, with n and range, and says when the empty spool is not known', () => {
	const now = { share: -0.0012, low: -0.0015, high: -0.0009 };
	expect(waterNowWords(now, 4, true)).toBe('Now 0.12 % below the weighing you count from (95 % range −0.15 to −0.09 %), n 4.');
	expect(waterNowWords({ share: 0.0012, low: 0.0009, high: 0.0015 }, 4, false)).toBe(
		'Now 0.12 % above the weighing you count from (95 % range 0.09 to 0.15 %, for every likely empty spool), n 4.'
	);
});
