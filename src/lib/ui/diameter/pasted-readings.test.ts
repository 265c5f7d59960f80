import { describe, expect, it } from 'vitest';
import { guessLayout } from './guess-layout';
import { pastedReadings } from './pasted-readings';

const take = (text: string) => pastedReadings(text, guessLayout(text).layout);

describe('pasted readings', () => {
	it('a column is a place a row, in order', () => {
		const read = take('1.75\n1.76\n1,74'.replace(',', '.'));
		expect(read.ok && read.readings).toEqual([
			{ typed: '1.75 mm', place: 0, direction: 'along', positionM: null },
			{ typed: '1.76 mm', place: 1, direction: 'along', positionM: null },
			{ typed: '1.74 mm', place: 2, direction: 'along', positionM: null }
		]);
	});
	it('two directions and positions, decimal commas, micrometres', () => {
		const read = take('m;a;b\n0,5;1751;1749\n100;1752;1750\n200;1750;1751\n');
		expect(read.ok && read.readings.map((r) => [r.typed, r.place, r.direction, r.positionM])).toEqual([
			['1751 um', 0, 'along', 0.5],
			['1749 um', 0, 'across', 0.5],
			['1752 um', 1, 'along', 100],
			['1750 um', 1, 'across', 100],
			['1750 um', 2, 'along', 200],
			['1751 um', 2, 'across', 200]
		]);
	});
	it('names the row of a fault', () => {
		const rows = Array.from({ length: 20 }, (_, i) => (i === 16 ? 'damp' : '1.75'));
		expect(take(rows.join('\n'))).toEqual({ ok: false, errors: [{ row: 17, code: 'notANumber', text: 'damp' }] });
	});
});
