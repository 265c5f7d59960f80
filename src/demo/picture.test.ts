import { createHash } from 'node:crypto';
import { expect, it } from 'vitest';
import { measuredOn, spikePicture } from './picture';

it('a picture of the demo is the same every time, and another for another seed: what is measured on it never flickers', async () => {
	const of = async (seed: number) =>
		createHash('sha256')
			.update(await spikePicture('#c8b99a', 2, seed))
			.digest('hex');
	expect(await of(40)).toBe(await of(40));
	expect(await of(41)).not.toBe(await of(40));
	const { strands } = await measuredOn(await spikePicture('#c8b99a', 2, 40));
	expect([strands.count, strands.quality]).toEqual([6, 'clear']);
});
