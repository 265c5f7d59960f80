import { describe, expect, it } from 'vitest';
import { PassphraseCheck } from './passphrase';

describe('the passphrase', () => {
	it('is logged when wrong, with the address and without what was typed', async () => {
		const lines: string[] = [];
		const check = new PassphraseCheck('three herons', (line) => lines.push(line));
		expect(await check.check('two herons', '10.0.0.7')).toEqual({ known: false, retryAfterS: null });
		expect(await check.check('three herons', '10.0.0.7')).toEqual({ known: true });
		expect(lines).toEqual(['draught: wrong passphrase from 10.0.0.7, 1 of 10 in ten minutes']);
	});
	it('is slowed down by address and in all', async () => {
		const check = new PassphraseCheck('three herons', () => undefined);
		for (let n = 0; n < 10; n++) await check.check('x', '10.0.0.7');
		expect(await check.check('three herons', '10.0.0.7')).toMatchObject({ known: false, retryAfterS: 600 });
		expect(await check.check('three herons', '10.0.0.8')).toEqual({ known: true });
		for (let n = 0; n < 50; n++) await check.check('x', `10.0.1.${n}`);
		expect(await check.check('three herons', '10.0.0.8')).toMatchObject({ known: false });
	});
});
