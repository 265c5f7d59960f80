import { describe, expect, it } from 'vitest';
import { guessLayout } from './guess-layout';

const lines = (...rows: string[]) => rows.join('\n');

describe('how a gauge’s file seems to be laid out', () => {
	it('position and two axes under a heading', () => {
		const { layout, rows } = guessLayout(lines('m,a,b', '0.00,1.751,1.753', '0.01,1.752,1.754', '0.02,1.750,1.752'));
		expect(layout).toEqual({
			headerRows: 1,
			delimiter: ',',
			decimal: '.',
			unit: 'mm',
			along: 1,
			across: 2,
			place: { kind: 'position', column: 0, perMetre: 1 }
		});
		expect(rows[0]).toEqual(['m', 'a', 'b']);
	});
	it('one bare column, at even steps', () => {
		expect(guessLayout(lines('1.751', '1.752', '1.750')).layout).toMatchObject({
			headerRows: 0,
			along: 0,
			across: null,
			place: { kind: 'step' }
		});
	});
	it('decimal commas, micrometres, time in milliseconds', () => {
		const { layout } = guessLayout(lines('gauge 2', 'time ms;d um', '0,0;1751,2', '0,5;1752,0', '1,0;1750,1'));
		expect(layout).toMatchObject({
			headerRows: 2,
			delimiter: ';',
			decimal: ',',
			unit: 'um',
			along: 1,
			place: { kind: 'time', column: 0, perSecond: 1000 }
		});
	});
	it('inches by tabs, positions in millimetres', () => {
		expect(guessLayout(lines('mm\tin', '0\t0.0689', '10\t0.0690', '20\t0.0688')).layout).toMatchObject({
			delimiter: '\t',
			unit: 'in',
			along: 1,
			place: { kind: 'position', column: 0, perMetre: 1000 }
		});
	});
	it('a fault in a column does not hide it', () => {
		const rows = Array.from({ length: 20 }, (_, i) => `${i / 100},1.75,${i === 15 ? 'wet' : '1.76'}`);
		expect(guessLayout(lines('m,a,b', ...rows)).layout).toMatchObject({ along: 1, across: 2, place: { kind: 'position' } });
	});
	it('nothing at all is a guess too', () => {
		expect(guessLayout('').rows).toEqual([]);
	});
});
