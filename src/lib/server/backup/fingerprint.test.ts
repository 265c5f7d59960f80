import { describe, expect, it } from 'vitest';
import { change, type Fingerprint } from './fingerprint';

const record = (tables: Record<string, [sum: string, rows: number]>): Fingerprint =>
	new Map(Object.entries(tables).map(([name, [sum, rows]]) => [name, { sum, rows }]));

describe('what became of a record', () => {
	const before = record({ maker: ['7', 2], write_log: ['3', 5] });
	it.each([
		['nothing', record({ write_log: ['3', 5], maker: ['7', 2] }), 'none'],
		['somebody went on writing', record({ maker: ['8', 3], write_log: ['4', 6] }), 'written'],
		['a row is gone', record({ maker: ['8', 1], write_log: ['4', 6] }), 'lost'],
		['a table is gone', record({ write_log: ['4', 6] }), 'lost'],
		['a value changed and nobody wrote', record({ maker: ['8', 2], write_log: ['3', 5] }), 'lost'],
		['a table came that nobody of ours makes', record({ maker: ['7', 2], write_log: ['3', 5], other: ['1', 1] }), 'lost']
	] as const)('%s', (_, after, became) => {
		expect(change(before, after)).toBe(became);
	});
});
