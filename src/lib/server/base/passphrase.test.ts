import { describe, expect, it } from 'vitest';
import { PassphraseCheck } from './passphrase';

describe('the passphrase', () => {
	it('is logged when wrong, with the address and without what was typed', async () => {
		const lines: string[] = [];
		const check = new PassphraseCheck('three herons', (line) => lines.push(line));
		expect(await check.check('two herons', '10.0.0.7')).toEqual({ known: false, retryAfterS: null });
		expect(await check.check('three herons', '10.0.0.7')).toEqual({ known: true });
		expect(lines).toEqual(['draught: wrong passphrase from 10.0.0.7, 1 in ten minutes']);
	});
	it('the right one passes at once, whatever others and the same address try', async () => {
		const waits: number[] = [];
		const check = new PassphraseCheck(
			'three herons',
			() => undefined,
			(ms) => (waits.push(ms), Promise.resolve())
		);
		for (let n = 0; n < 200; n++) await check.check('x', '10.0.0.7');
		for (let n = 0; n < 200; n++) await check.check('x', `10.0.1.${n}`);
		for (const address of ['10.0.0.7', '10.0.0.8', '10.0.1.1']) expect(await check.check('three herons', address)).toEqual({ known: true });
		// Wrong ones wait from the eleventh of an address on.
		expect(waits).toEqual(Array.from({ length: 190 }, () => 2000));
		expect(await check.check('x', '10.0.0.7')).toEqual({ known: false, retryAfterS: null });
	});
	it('no more than twenty wrong ones wait; the rest are told to come back', async () => {
		const ends: (() => void)[] = [];
		const check = new PassphraseCheck(
			'three herons',
			() => undefined,
			() => new Promise((done) => ends.push(done))
		);
		for (let n = 0; n < 10; n++) await check.check('x', '10.0.0.7');
		const waiting = Array.from({ length: 20 }, () => check.check('x', '10.0.0.7'));
		while (ends.length < 20) await Promise.resolve();
		expect(await check.check('x', '10.0.0.7')).toEqual({ known: false, retryAfterS: 2 });
		expect(await check.check('three herons', '10.0.0.7')).toEqual({ known: true });
		ends.forEach((end) => end());
		expect(await Promise.all(waiting)).toEqual(waiting.map(() => ({ known: false, retryAfterS: null })));
	});
});
