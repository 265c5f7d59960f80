import { z } from 'zod';
import { saying } from '$lib/schemas/field-error';
import type { GaugeLog, LogPosition } from '$lib/core/record/gauge-log/gauge-log';

/** Three channels of doubles stay under a mebibyte. */
export const CHUNK_SAMPLES = 40_000;

/** Where samples lie, as it is kept beside them; listed positions are a channel of their own. */
export const storedAxis = z
	.object({
		channels: z
			.array(z.enum(['along', 'across', 'metres']))
			.min(1)
			.max(3),
		startM: z.number().min(0).max(100_000),
		stepM: z.number().positive().max(10).nullable()
	})
	.refine((a) => a.channels[0] === 'along' && new Set(a.channels).size === a.channels.length, { error: saying('channelsWithoutAlong') })
	.refine((a) => a.channels.includes('metres') === (a.stepM === null), { error: saying('stepOrPositions') });
export type StoredAxis = z.output<typeof storedAxis>;

/** What is wrong with the chunks of a log; null when they are whole: in order, as long as they say, of readable diameters. */
export function chunksFault(
	axis: StoredAxis,
	samples: number,
	chunks: readonly { position: number; samples: number; bytes: Buffer }[]
): { position: number; fault: 'missing' | 'length' | 'values' } | null {
	let from = 0;
	for (const [i, chunk] of chunks.entries()) {
		if (chunk.position !== i) return { position: i, fault: 'missing' };
		if (chunk.bytes.length !== chunk.samples * 8 * axis.channels.length) return { position: i, fault: 'length' };
		const values = new Float64Array(new Uint8Array(chunk.bytes).buffer);
		if (!values.every((v, k) => Number.isFinite(v) && (axis.channels[Math.floor(k / chunk.samples)] === 'metres' || (v > 0 && v < 10))))
			return { position: i, fault: 'values' };
		from += chunk.samples;
	}
	return from === samples ? null : { position: chunks.length, fault: 'missing' };
}

export function axisOf(log: GaugeLog): StoredAxis {
	const even = log.position.kind === 'even' ? log.position : null;
	return {
		channels: ['along', ...(log.across ? (['across'] as const) : []), ...(even ? [] : (['metres'] as const))],
		startM: even?.startM ?? 0,
		stepM: even?.stepM ?? null
	};
}

function channelsOf(log: GaugeLog): Float64Array[] {
	return [log.along, ...(log.across ? [log.across] : []), ...(log.position.kind === 'listed' ? [log.position.metres] : [])];
}

/** One chunk: its channels one after the other, little-endian as every machine of today is. */
export function chunkBytes(log: GaugeLog, from: number, to: number): Buffer {
	return Buffer.concat(
		channelsOf(log).map((channel) => {
			const part = channel.subarray(from, to);
			return Buffer.from(part.buffer, part.byteOffset, part.byteLength);
		})
	);
}

/** The log from its chunks in order. */
export function logOfChunks(axis: StoredAxis, samples: number, chunks: Iterable<{ samples: number; bytes: Buffer }>): GaugeLog {
	const channels = Object.fromEntries(axis.channels.map((name) => [name, new Float64Array(samples)])) as Record<string, Float64Array>;
	let from = 0;
	for (const chunk of chunks) {
		axis.channels.forEach((name, i) => {
			// A copy: the driver's buffer need not begin on a multiple of eight.
			const bytes = chunk.bytes.subarray(i * chunk.samples * 8, (i + 1) * chunk.samples * 8);
			channels[name]?.set(new Float64Array(new Uint8Array(bytes).buffer), from);
		});
		from += chunk.samples;
	}
	const position: LogPosition =
		axis.stepM === null
			? { kind: 'listed', metres: channels.metres ?? new Float64Array(samples) }
			: { kind: 'even', startM: axis.startM, stepM: axis.stepM };
	return { along: channels.along as Float64Array, across: channels.across ?? null, position };
}
