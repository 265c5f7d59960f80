import { createHash } from 'node:crypto';
import { expect, it } from 'vitest';
import { FORMAT_VERSION } from '$lib/schemas/exchange';
import { columnsOf } from '../record/rows/column';
import { RECORD_TABLES } from '../record/rows/tables';

/** What the tables of a bundle hold in the format it says. */
const HELD = { format: 11, columns: '49ab6f6f35e9' };

it('a bundle that holds another column says another format, so that an older Draught refuses it in words', () => {
	const held = RECORD_TABLES.map(({ name, table }) => [
		name,
		columnsOf(table)
			.map((c) => c.name)
			.sort()
	]);
	const columns = createHash('sha256').update(JSON.stringify(held)).digest('hex').slice(0, 12);
	expect({ format: FORMAT_VERSION, columns }, 'raise FORMAT_VERSION, and write what it holds now into this test').toEqual(HELD);
});
