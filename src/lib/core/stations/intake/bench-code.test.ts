import { describe, expect, it } from 'vitest';
import { proposeBenchCode, spellsMaterial } from './bench-code';

describe('bench codes', () => {
	it('are two letters and a digit, never used twice, never a material, for hundreds of spools', () => {
		const used = new Set<string>();
		for (let i = 0; i < 500; i++) {
			const code = proposeBenchCode(used) as string;
			expect(code).toMatch(/^[A-Z]{2}[1-9]$/);
			expect(used.has(code)).toBe(false);
			expect(spellsMaterial(code)).toBe(false);
			used.add(code);
		}
	});
	it('neighbours differ in every place', () => {
		const used = new Set<string>();
		let before = '';
		for (let i = 0; i < 20; i++) {
			const code = proposeBenchCode(used) as string;
			if (before) expect([...code].every((letter, at) => letter !== before[at])).toBe(true);
			used.add(code);
			before = code;
		}
	});
	it('do not run out: when the pairs are used there are three letters and a digit, and never a material', () => {
		const used = new Set<string>();
		for (let i = 0; i < 3000; i++) {
			const code = proposeBenchCode(used) as string;
			expect(code).toMatch(/^[A-Z]{2,3}[1-9]$/);
			expect(used.has(code)).toBe(false);
			expect(code).not.toMatch(/^(PLA|PET|TPU|SAN|ABS|ASA)/);
			used.add(code);
		}
		const pairs = [...used].filter((code) => code.length === 3);
		expect(pairs).toHaveLength(738);
		// All pairs come before the first of three letters.
		expect([...used].slice(0, 738)).toEqual(pairs);
		const threes = [...used].slice(738, 760);
		threes.slice(1).forEach((code, i) => expect([...code].every((letter, at) => letter !== threes[i]?.[at])).toBe(true));
	});
	it.each(['PLA1', 'tpu2', 'PET9', 'SAN1'])('%s spells a material', (code) => expect(spellsMaterial(code)).toBe(true));
	it.each(['PA4', 'PC2', 'PP1', 'TP3', 'pe5'])('%s spells a material', (code) => expect(spellsMaterial(code)).toBe(true));
});
