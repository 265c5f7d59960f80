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
	it('takes the empty and the full spool, the reel, what the box was like, and a list or a sale price', () => {
		const heads = 'Material\tList price\tSale price\tFull spool\tEmpty spool\tReel\tUnboxing\tGood points\tNote';
		expect(
			readPaste(`${heads}\nPETG\t25\t19,90\t1240 g\t240 g\tCardboard\tfine\twound neatly\tblue\nPLA\t20\t\t\t\t\tseal open\t\t`)
		).toEqual({
			ok: true,
			fields: ['material', 'grossMass', 'tare', 'reelMaterial', 'good', 'note', 'price', 'quoteKind', 'nothingOdd'],
			ignored: [],
			rows: [
				{
					material: 'PETG',
					price: '19,90',
					quoteKind: 'sale',
					grossMass: '1240 g',
					tare: '240 g',
					reelMaterial: 'card',
					nothingOdd: 'yes',
					good: 'wound neatly',
					note: 'blue; list price 25'
				},
				{ material: 'PLA', price: '20', quoteKind: 'list', note: 'unboxing: seal open' }
			]
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
