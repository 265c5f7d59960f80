import { describe, expect, it } from 'vitest';
import { attempt, maker, reading } from '../base/db/schema';
import { columnsOf } from '../record/rows/column';
import { readCsv } from './csv';

const cells = async (table: Parameters<typeof columnsOf>[0], name: string, ...given: string[]) => {
	const { rows, errors } = await readCsv([`id,${name}`, ...given.map((cell, i) => `${i},${cell}`)].join('\n'), columnsOf(table), []);
	expect(errors).toEqual([]);
	return rows.map(({ values }) => values[name]);
};

describe('a cell of a CSV file', () => {
	it('that says yes or no is read in every way people write it', async () => {
		expect(await cells(attempt, 'tuning', 'yes', 'TRUE', '1', 'no', 'False', '0', 'maybe')).toEqual([
			...[true, true, true],
			...[false, false, false],
			'maybe'
		]);
	});
	it('of text keeps its spaces; one of nothing but spaces is empty', async () => {
		expect(await cells(maker, 'name', '  two spaces ', '   ')).toEqual(['  two spaces ', null]);
	});
	it('with a number takes a decimal comma', async () => {
		expect(await cells(reading, 'value', '"1,75"', ' 1.75 ', 'many')).toEqual([1.75, 1.75, 'many']);
	});
});
