import { create } from 'qrcode';
import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import { addressCode } from './address-code';

const codeOf = async (address: string) => {
	const data = (await addressCode(new URL(address))) as string;
	return await sharp(Buffer.from(data.replace('data:image/png;base64,', ''), 'base64'))
		.greyscale()
		.raw()
		.toBuffer({ resolveWithObject: true });
};

describe('the address of a page for paper', () => {
	it('is the page without what was asked beside, point by point', async () => {
		const page = 'http://bench.home:4171/spools/1/scorecard';
		const { modules } = create(page, { errorCorrectionLevel: 'M' });
		const { data, info } = await codeOf(`${page}?from=mail`);
		expect(info.width).toBe(3 * modules.size);
		for (let y = 0; y < modules.size; y++)
			for (let x = 0; x < modules.size; x++) expect((data[3 * y * info.width + 3 * x] as number) < 128).toBe(modules.get(y, x) === 1);
	});
	it.each(['http://localhost:4171/', 'http://127.0.0.1/', 'http://[::1]:4171/'])('%s leads nobody here', async (address) => {
		expect(await addressCode(new URL(address))).toBeNull();
	});
});
