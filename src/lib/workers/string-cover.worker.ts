import { expose } from 'comlink';
import { measureStringCover, type StringCover } from '$lib/core/stations/prints/cover/measure-string-cover';
import type { Corners, Point } from '$lib/core/stations/prints/cover/types';

/** Beyond the corners the spikes are looked at for the filament's colour: a part of the gap's width. */
const MARGIN = 0.15;

/** The photograph at hand, read once for all measures of it. */
let opened: { url: string; picture: Promise<ImageBitmap> } | null = null;

async function read(url: string): Promise<ImageBitmap> {
	const response = await fetch(url);
	if (!response.ok) throw new Error('the photograph could not be read');
	return await createImageBitmap(await response.blob());
}

function pictureOf(url: string): Promise<ImageBitmap> {
	if (opened?.url !== url) {
		void opened?.picture.then((picture) => picture.close()).catch(() => undefined);
		const picture = read(url);
		opened = { url, picture };
		// What could not be read is tried again the next time.
		picture.catch(() => (opened = null));
	}
	return opened.picture;
}

/** A thin shell: the picture is decoded and measured here, off the page's thread. Only the part around the gap is looked at. */
const stringCoverWorker = {
	/** Reads a photograph ahead, while the corners are still being set. */
	async open(url: string): Promise<void> {
		await pictureOf(url).catch(() => undefined);
	},
	async measure(url: string, corners: Corners): Promise<StringCover> {
		const picture = await pictureOf(url);
		const [xs, ys] = [corners.map((c) => c[0]), corners.map((c) => c[1])];
		const margin = MARGIN * (Math.max(...xs) - Math.min(...xs));
		const left = Math.max(0, Math.floor(Math.min(...xs) - margin));
		const top = Math.max(0, Math.floor(Math.min(...ys)));
		const width = Math.max(1, Math.min(picture.width, Math.ceil(Math.max(...xs) + margin)) - left);
		const height = Math.max(1, Math.min(picture.height, Math.ceil(Math.max(...ys)) + 1) - top);
		const canvas = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true });
		if (!canvas) throw new Error('this browser has no canvas to read pictures with');
		canvas.drawImage(picture, -left, -top);
		const found = measureStringCover(
			canvas.getImageData(0, 0, width, height),
			corners.map(([x, y]) => [x - left, y - top] as const) as unknown as Corners
		);
		return { ...found, seenAt: found.seenAt.map(([x, y]): Point => [x + left, y + top]) };
	}
};

export type StringCoverWorker = typeof stringCoverWorker;

expose(stringCoverWorker);
