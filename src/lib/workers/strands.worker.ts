import { expose } from 'comlink';
import { measureStrands, type Strands } from '$lib/core/prints/strands/measure-strands';
import type { Corners, Point } from '$lib/core/prints/strands/types';

/** Beyond the corners the spikes are looked at for the filament's colour: a part of the gap's width. */
const MARGIN = 0.15;

/** A thin shell: the picture is decoded and measured here, off the page's thread. Only the part around the gap is read. */
const strandsWorker = {
	async measure(url: string, corners: Corners): Promise<Strands> {
		const response = await fetch(url);
		if (!response.ok) throw new Error('the photograph could not be read');
		const picture = await createImageBitmap(await response.blob());
		const [xs, ys] = [corners.map((c) => c[0]), corners.map((c) => c[1])];
		const margin = MARGIN * (Math.max(...xs) - Math.min(...xs));
		const left = Math.max(0, Math.floor(Math.min(...xs) - margin));
		const top = Math.max(0, Math.floor(Math.min(...ys)));
		const width = Math.max(1, Math.min(picture.width, Math.ceil(Math.max(...xs) + margin)) - left);
		const height = Math.max(1, Math.min(picture.height, Math.ceil(Math.max(...ys)) + 1) - top);
		const canvas = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true });
		if (!canvas) throw new Error('this browser has no canvas to read pictures with');
		canvas.drawImage(picture, -left, -top);
		picture.close();
		const found = measureStrands(
			canvas.getImageData(0, 0, width, height),
			corners.map(([x, y]) => [x - left, y - top] as const) as unknown as Corners
		);
		return { ...found, seenAt: found.seenAt.map(([x, y]): Point => [x + left, y + top]) };
	}
};

export type StrandsWorker = typeof strandsWorker;

expose(strandsWorker);
