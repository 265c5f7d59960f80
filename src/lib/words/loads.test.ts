import { expect, it } from 'vitest';
import { jumpWords } from './loads';

it('strength jumps up or down from a temperature on', () => {
	expect(jumpWords({ fromC: 230, toC: 240, stronger: true })).toBe('Stronger from 240 °C on: the largest step, from 230 °C.');
	expect(jumpWords({ fromC: 210, toC: 220, stronger: false })).toBe('Weaker from 220 °C on: the largest step, from 210 °C.');
});
