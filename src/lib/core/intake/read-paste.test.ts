import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readPaste } from './read-paste';

describe('a pasted list of spools', () => {
	it('reads tabs, semicolons and commas, and decimal commas in the first two', () => {
		const rows = [{ material: 'PETG', price: '21,90' }];
		expect(readPaste('Material\tPrice\nPETG\t21,90')).toMatchObject({ ok: true, rows });
		expect(readPaste('material;price\nPETG;21,90\n\n')).toMatchObject({ ok: true, rows });
		expect(readPaste('material,price\nPETG,"21,90"')).toMatchObject({ ok: true, rows });
	});
	it('knows headings by their words and names what it ignores', () => {
		expect(readPaste('Brand\tProduct\tMaterial\tFilament weight (g)\tMood\nA\tB\tPLA\t1000\tgood')).toMatchObject({
			ok: true,
			fields: ['maker', 'filament', 'material', 'netMass'],
			ignored: ['Mood'],
			rows: [{ maker: 'A', filament: 'B', material: 'PLA', netMass: '1000' }]
		});
	});
	it.each([
		['', 'empty'],
		['  \n\t\n', 'empty'],
		['PETG\t21,90', 'noHeader'],
		['Material\tPrice', 'headerOnly'],
		['x'.repeat(2_000_001), 'tooLong']
	])('refuses what is no list (%#)', (text, reason) => expect(readPaste(text)).toMatchObject({ ok: false, reason }));
	it('takes any text without throwing', () => {
		fc.assert(fc.property(fc.string(), (text) => typeof readPaste(text).ok === 'boolean'));
	});
});
