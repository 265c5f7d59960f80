import { afterAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { drawnPhoto } from '../../../tests/support/drawn-strings';
import { basis, diameters, evidence } from '../../../tests/support/evidence';
import { blocksOf, pickFrom } from '../core/answers/pick/pick-from';
import { PICK_SEED } from '../core/answers/pick/seed';
import type { PickInput } from '../core/answers/pick/types';
import { makeFinding } from '../core/judging/finding/make-finding';
import { pieceKind } from '../core/judging/pieces/library/library';
import { usualParams } from '../core/judging/pieces/kit/usual';
import { betweenSpools } from '../core/stations/diameter/between-spools';
import { measureStringCover } from '../core/stations/prints/cover/measure-string-cover';
import type { Corners, Pixels } from '../core/stations/prints/cover/types';
import { markQuantity } from '../core/stations/prints/marks/marks';
import type { DiameterWorker } from './diameter.worker';
import type { PickWorker } from './pick.worker';
import type { PiecesWorker } from './pieces.worker';
import type { StringCoverWorker } from './string-cover.worker';

// Workers are thin shells; what a thin shell can get wrong is a seed, a progress, a part of a picture, a file's format.

const { exposed, handed, located } = vi.hoisted(() => ({ exposed: [] as unknown[], handed: [] as unknown[], located: [] as unknown[] }));
vi.mock('comlink', () => ({
	expose: (api: unknown) => void exposed.push(api),
	transfer: (value: unknown, list: unknown[]) => {
		handed.push(list);
		return value;
	}
}));
vi.mock('manifold-3d/manifold.wasm?url', () => ({ default: '/the.wasm' }));
vi.mock('manifold-3d', async (original) => {
	const { default: module } = await original<{ default: () => Promise<unknown> }>();
	return {
		default: ({ locateFile }: { locateFile: () => string }) => {
			located.push(locateFile());
			return module();
		}
	};
});

/** What a worker offers, anew. */
async function workerOf<T>(name: string): Promise<T> {
	vi.resetModules();
	exposed.length = 0;
	await import(`./${name}.worker.ts`);
	expect(exposed).toHaveLength(1);
	return exposed[0] as T;
}

afterAll(() => void vi.unstubAllGlobals());

describe('the worker of the pick', () => {
	const overhang = markQuantity('overhang');
	const candidate = (code: string, mean: number) => ({
		spoolId: code,
		code,
		findings: {
			overhang: makeFinding(overhang, {
				subject: { spoolId: code, condition: null, pieceId: null },
				estimate: mean,
				n: 5,
				interval: { low: mean - 5, high: mean + 5, level: 0.95, kind: 'confidence' },
				sampling: { kind: 't', mean, standardError: 2.5, df: 4 },
				method: 'test',
				source: 'test'
			})
		}
	});
	const input: PickInput = {
		candidates: [candidate('KE1', 60), candidate('DO2', 61)],
		criteria: [{ quantity: 'overhang', weight: 5, gate: null }],
		defs: [overhang],
		rule: 'weighted'
	};
	it('draws what the server draws: the same seed gives the same chances', async () => {
		const worker = await workerOf<PickWorker>('pick');
		const served = pickFrom(input, blocksOf(input, 5000, PICK_SEED));
		const told: number[] = [];
		expect(worker.pick(input, 5000, (share) => told.push(share))).toEqual(served);
		expect(pickFrom(input, blocksOf(input, 5000, PICK_SEED + 1)).chances).not.toEqual(served.chances);
		expect(told.at(-1)).toBe(1);
		expect(told).toEqual(told.toSorted((a, b) => a - b));
		expect(told[0]).toBeLessThan(1);
		expect(worker.pick(input, 5000).chances.draws).toBe(5000);
	});
});

describe('the worker of the strands', () => {
	it('compares spools as core does', async () => {
		const worker = await workerOf<DiameterWorker>('diameter');
		const spools = [1.75, 1.76].map((mm) => evidence({ readings: diameters([mm, mm + 0.01, mm, mm - 0.01]) }));
		expect(worker.betweenSpools(spools, basis)).toEqual(betweenSpools(spools, basis));
	});
});

describe('the worker of pieces', () => {
	it('draws a piece and makes its files', async () => {
		const worker = await workerOf<PiecesWorker>('pieces');
		const id = 'spikePair';
		const params = usualParams(pieceKind(id) ?? { params: [] });
		const { drawing, volumeMm3, size } = await worker.draw(id, params, 'KE1');
		expect(located).toContain('/the.wasm');
		expect(drawing.faces.length).toBeGreaterThan(10);
		expect(volumeMm3).toBeGreaterThan(100);
		expect([size.x, size.y, size.z].every((mm) => mm > 1)).toBe(true);
		const stl = await worker.file(id, params, 'KE1', 'stl', 'Piece');
		expect((stl.byteLength - 84) % 50).toBe(0);
		const zip = await worker.file(id, params, 'KE1', '3mf', 'Piece');
		expect([...zip.subarray(0, 2)]).toEqual([0x50, 0x4b]);
		// Handed over, not copied.
		expect(handed).toEqual([[stl.buffer], [zip.buffer]]);
		// The code stands on it.
		expect((await worker.draw(id, params, '')).volumeMm3).not.toBe(volumeMm3);
		await expect(worker.draw('none', {}, '')).rejects.toThrow('no piece none');
	});
});

describe('the worker of string cover', () => {
	const drawn = drawnPhoto({
		width: 640,
		height: 480,
		strands: [0.1, 0.3, 0.6].map((from) => ({ from, to: from + 0.03, sag: 0.02, thick: 3 })),
		ground: [28, 30, 34],
		filament: [225, 222, 215],
		noise: 1.5
	});
	type Picture = Pixels & { close: () => void };
	const pictures = new Map<string, Picture>();
	const closed: string[] = [];
	const looked: number[][] = [];
	let fetched: string[] = [];

	beforeEach(() => {
		pictures.clear();
		closed.length = looked.length = 0;
		fetched = [];
		for (const name of ['/one', '/two']) pictures.set(name, { ...drawn.pixels, close: () => void closed.push(name) });
		vi.stubGlobal('fetch', (url: string) => {
			fetched.push(url);
			const picture = pictures.get(url);
			return Promise.resolve({ ok: picture !== undefined, blob: () => Promise.resolve(picture) });
		});
		vi.stubGlobal('createImageBitmap', (picture: Picture) => Promise.resolve(picture));
		vi.stubGlobal(
			'OffscreenCanvas',
			class {
				#drawn: { picture: Picture; dx: number; dy: number } | null = null;
				constructor(
					readonly width: number,
					readonly height: number
				) {}
				getContext() {
					return {
						drawImage: (picture: Picture, dx: number, dy: number) => (this.#drawn = { picture, dx, dy }),
						getImageData: (x: number, y: number, width: number, height: number): Pixels => {
							const { picture, dx, dy } = this.#drawn as { picture: Picture; dx: number; dy: number };
							looked.push([x - dx, y - dy, width, height, this.width, this.height]);
							const data = new Uint8ClampedArray(width * height * 4);
							for (let row = 0; row < height; row++) {
								const from = ((row + y - dy) * picture.width + x - dx) * 4;
								data.set(picture.data.subarray(from, from + width * 4), row * width * 4);
							}
							return { width, height, data };
						}
					};
				}
			}
		);
	});

	it('looks at the part around the gap, and says where in the whole picture', async () => {
		const worker = await workerOf<StringCoverWorker>('string-cover');
		const found = await worker.measure('/one', drawn.corners);
		const whole = measureStringCover(drawn.pixels, drawn.corners);
		expect(found.count).toBe(whole.count);
		expect(found.coveragePct).toBeCloseTo(whole.coveragePct, 1);
		expect(found.seenAt).toHaveLength(whole.seenAt.length);
		for (const [i, [x, y]] of found.seenAt.entries()) {
			expect(Math.abs(x - (whole.seenAt[i]?.[0] ?? 0))).toBeLessThan(2);
			expect(Math.abs(y - (whole.seenAt[i]?.[1] ?? 0))).toBeLessThan(2);
		}
	});
	it('takes fifteen hundredths of its width more on both sides, and nothing beyond the picture', async () => {
		const worker = await workerOf<StringCoverWorker>('string-cover');
		const gap = (left: number, right: number, top: number, foot: number): Corners => [
			[left, top],
			[right, top],
			[right, foot],
			[left, foot]
		];
		await worker.measure('/one', gap(200.5, 400.5, 100.5, 300.5));
		expect(looked.at(-1)).toEqual([170, 100, 261, 202, 261, 202]);
		await worker.measure('/one', gap(10, 630, 0, 479.5));
		expect(looked.at(-1)).toEqual([0, 0, 640, 480, 640, 480]);
	});
	it('reads a photograph once, another instead of it, and one that could not be read again', async () => {
		const worker = await workerOf<StringCoverWorker>('string-cover');
		await worker.open('/one');
		await worker.measure('/one', drawn.corners);
		await worker.measure('/one', drawn.corners);
		expect(fetched).toEqual(['/one']);
		await worker.measure('/two', drawn.corners);
		expect([fetched, closed]).toEqual([['/one', '/two'], ['/one']]);
		// Reading ahead says nothing of what fails; measuring does, each time it is asked.
		await worker.open('/none');
		await expect(worker.measure('/none', drawn.corners)).rejects.toThrow('the photograph could not be read');
		expect(fetched).toEqual(['/one', '/two', '/none', '/none']);
		pictures.set('/none', { ...drawn.pixels, close: () => undefined });
		expect((await worker.measure('/none', drawn.corners)).count).toBe(3);
	});
	it('says so where the browser cannot read pictures', async () => {
		vi.stubGlobal(
			'OffscreenCanvas',
			class {
				getContext = () => null;
			}
		);
		const worker = await workerOf<StringCoverWorker>('string-cover');
		await expect(worker.measure('/one', drawn.corners)).rejects.toThrow('this browser has no canvas');
	});
});
