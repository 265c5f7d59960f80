import { randomNormal } from 'd3-random';
import sharp from 'sharp';
import { randomSource } from '$lib/core/kernel/random/source';
import { measureStringCover, type StringCover } from '$lib/core/stations/prints/cover/measure-string-cover';
import type { Corners } from '$lib/core/stations/prints/cover/types';
import { drawSample } from '$lib/core/stations/prints/trainer/sample';

/** A picture of a spike pair is drawn at this many points to a unit of the drawing. */
const POINTS = 12;
const WIDTH = 120 * POINTS;
const HEIGHT = 90 * POINTS;

/**
 * A picture of a spike pair as a camera would give it, drawn: the demo has no printer. Dark card behind, light from the side, grain.
 * @param grade how many strands hang between the spikes, as the trainer grades them
 */
export async function spikePicture(colourHex: string, grade: number, seed: number): Promise<Buffer> {
	const { outlines, lines } = drawSample('strings', grade, seed);
	const path = (points: readonly (readonly [number, number])[]) =>
		`M${points.map(([x, y]) => `${x.toFixed(2)},${y.toFixed(2)}`).join('L')}`;
	const spikes = outlines.map((o) => `<path d="${path(o)}Z" fill="url(#body)"/>`).join('');
	const strands = lines
		.map(
			(l) =>
				`<path d="${path(l.points)}" fill="none" stroke="${colourHex}" stroke-width="${(l.width * 0.45).toFixed(2)}" stroke-linecap="round"/>`
		)
		.join('');
	const svg = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 120 90" width="${WIDTH}" height="${HEIGHT}">
		<defs><linearGradient id="card"><stop offset="0" stop-color="#20252b"/><stop offset="1" stop-color="#14181c"/></linearGradient>
		<linearGradient id="body"><stop offset="0" stop-color="#fff" stop-opacity="0.25"/><stop offset="0.4" stop-color="#fff" stop-opacity="0"/>
		<stop offset="1" stop-color="#000" stop-opacity="0.35"/></linearGradient></defs>
		<rect width="120" height="90" fill="url(#card)"/>
		<g fill="${colourHex}">${outlines.map((o) => `<path d="${path(o)}Z"/>`).join('')}<rect x="6" y="84" width="108" height="6"/></g>
		${spikes}${strands}</svg>`;
	return await sharp(Buffer.from(svg))
		.flatten({ background: '#14181c' })
		.composite([{ input: grainOf(seed), raw: { width: GRAIN, height: GRAIN, channels: 3 }, tile: true, blend: 'soft-light' }])
		.jpeg({ quality: 90 })
		.toBuffer();
}

/** Points across one tile of grain. */
const GRAIN = 256;

/** Grain about its own middle, so that it makes nothing lighter or darker; the same for the same seed, or a mark on the demo's pictures would flicker. */
function grainOf(seed: number): Buffer {
	const level = randomNormal.source(randomSource(seed))(128, 9);
	return Buffer.from(Uint8ClampedArray.from({ length: 3 * GRAIN * GRAIN }, () => level()));
}

/** Where somebody would click: the inner edges of the spikes at their tips and their feet. */
const CORNERS = [
	[30.5, 8.5],
	[89.5, 8.5],
	[81.8, 83],
	[38.2, 83]
].map(([x = 0, y = 0]) => [x * POINTS, y * POINTS] as const) as unknown as Corners;

/** The strings on such a picture, measured as the page does it. */
export async function measuredOn(picture: Buffer): Promise<{ corners: Corners; strands: StringCover }> {
	const { data, info } = await sharp(picture).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
	const pixels = { width: info.width, height: info.height, data: new Uint8ClampedArray(data) };
	return { corners: CORNERS, strands: measureStringCover(pixels, CORNERS) };
}
