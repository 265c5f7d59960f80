import sharp from 'sharp';
import { problem } from '../../base/problem';

export type Picture = { full: Buffer; small: Buffer; width: number; height: number };

const KINDS: readonly string[] = ['jpeg', 'png', 'webp'];
/** A telephone's largest pictures have some 50 million; a few bytes can pretend to many more. */
const MOST_PIXELS = 60_000_000;
const SMALL_PX = 320;
const QUALITY = 88;

/**
 * Takes a photograph in: looked at for what it is and not for what it is called, turned upright, encoded anew at its size without any
 * metadata (place, time, device), and once more small.
 * Errors: throws a Problem 422 that says in words why a file is no such picture.
 */
export async function takePicture(bytes: Buffer): Promise<Picture> {
	// The library takes no empty buffer at all.
	const seen = bytes.length === 0 ? null : await metadataOf(bytes);
	if (!seen?.format || !KINDS.includes(seen.format)) throw problem(422, 'notAPicture');
	if (seen.width * seen.height > MOST_PIXELS) throw problem(422, 'pictureTooLarge', { width: seen.width, height: seen.height });
	const read = () => sharp(bytes, { failOn: 'truncated', limitInputPixels: MOST_PIXELS }).autoOrient();
	try {
		const full = await read()
			.flatten({ background: '#ffffff' })
			.toColourspace('srgb')
			.jpeg({ quality: QUALITY })
			.toBuffer({ resolveWithObject: true });
		const small = await sharp(full.data)
			.resize(SMALL_PX, SMALL_PX, { fit: 'inside', withoutEnlargement: true })
			.jpeg({ quality: QUALITY })
			.toBuffer();
		return { full: full.data, small, width: full.info.width, height: full.info.height };
	} catch {
		throw problem(422, 'pictureDamaged');
	}
}

const metadataOf = (bytes: Buffer) =>
	sharp(bytes, { limitInputPixels: false })
		.metadata()
		.catch(() => null);
