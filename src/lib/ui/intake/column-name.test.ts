import { expect, it } from 'vitest';
import { readPaste } from '$lib/core/stations/intake/read-paste';
import { columnName } from './column-name';

it('every heading that is named to the tester is read as the column it names', () => {
	const none = readPaste('');
	const known = none.ok ? [] : none.known;
	expect(known.map(columnName)).toEqual(expect.arrayContaining(['material', 'filament weight', 'list price', 'sale price', 'empty spool']));
	for (const field of known) {
		const { ok, ...read } = readPaste(`material\t${columnName(field)}\nPLA\t1`);
		expect({ field, ok, ignored: 'ignored' in read ? read.ignored : null }).toEqual({ field, ok: true, ignored: [] });
	}
});
