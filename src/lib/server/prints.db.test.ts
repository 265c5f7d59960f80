import { unzipSync } from 'fflate';
import sharp from 'sharp';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testDatabase, type TestDatabase } from '../../../tests/support/database';
import { checked as check, errorsOf } from '../../../tests/support/checked';
import { amendmentBody } from '../schemas/amendment';
import { compound } from '../core/judging/pieces/shapes/compound';
import { solidOf } from '../core/judging/pieces/files/solid';
import { attemptBody } from '../schemas/attempt';
import { photoQuery } from '../schemas/photo';
import { pieceBody } from '../schemas/piece';
import { intakeBody } from '../schemas/spool';
import { protocolBody, trialBody } from '../schemas/trial';
import { piece } from './base/db/schema';
import { postAmendment } from './answers/amendments/post';
import { addSpool } from './stations/intake/add-spool';
import { loadPhotos, photoFile, putPhoto } from './stations/photos/photos';
import { Problem } from './base/problem';
import { STEP_PIECE } from './base/db/defaults';
import { geometryEngine } from './stations/pieces/engine';
import { pieceFile } from './stations/pieces/file';
import { loadPieces } from './record/pieces/load';
import { postPiece } from './stations/pieces/post';
import { postAttempt } from './stations/prints/post-attempt';
import { loadSpool } from './answers/spools/load';
import { loadTrial } from './answers/trials/load';
import { postProtocol, postTrial } from './answers/trials/post';

const NOW = Date.parse('2026-10-10T12:00:00Z');
const AT = new Date(NOW).toISOString();
const TILE = { wide: 40, deep: 40, thick: 2 };
let t: TestDatabase;
beforeAll(async () => (t = await testDatabase()));
afterAll(() => t.close());

const register = async (body: object) => (await postPiece(t.db, check(pieceBody, body), NOW)).answer;

describe('pieces', () => {
	it('a piece from sizes knows its marks and its volume; a better one is a new version, the old one stays', async () => {
		const first = await register({ name: 'Tile', kind: 'flatTile', params: TILE });
		const second = await register({ name: 'Tile', kind: 'flatTile', params: { ...TILE, thick: 3 }, replaces: first.id });
		const third = await register({ name: 'Tile', kind: 'flatTile', params: { ...TILE, thick: 4 }, replaces: second.id });
		expect([first.version, second.version, third.version]).toEqual([1, 2, 3]);
		const known = (await loadPieces(t.db)).filter((p) => p.name === 'Tile');
		expect(new Set(known.map((p) => p.familyId))).toEqual(new Set([first.id]));
		expect(known[0]).toMatchObject({
			params: TILE,
			marks: [
				{ mark: 'surface', steps: null },
				{ mark: 'cornerLift', steps: null }
			]
		});
		expect(known[0]?.volumeMm3).toBeCloseTo(3200, 3);
	});
	it('the step piece of earlier versions tells its marks by its steps', async () => {
		const early = { id: v7(), name: 'Early', version: 1, overhangStepDeg: 5, bridgeStepMm: 5, gramsG: 14, createdAt: NOW };
		await t.db.insert(piece).values({ ...early, familyId: early.id });
		const known = (await loadPieces(t.db)).find((p) => p.id === early.id);
		expect(known?.marks.find((m) => m.mark === 'overhang')?.steps?.slice(0, 3)).toEqual([5, 10, 15]);
		expect(known?.marks.map((m) => m.mark)).toContain('strings');
	});
	it('the piece that every new trial starts with has its file, and the volume that stands beside it', async () => {
		const step = (await loadPieces(t.db)).find((p) => p.id === STEP_PIECE.id);
		const { volumeMm3, size } = solidOf(await geometryEngine(), compound.shape(STEP_PIECE.params, ''));
		expect(step?.volumeMm3).toBeCloseTo(volumeMm3, 0);
		// It lies on a small bed.
		expect([size.x, size.y, size.z].map(Math.round)).toEqual([87, 121, 21]);
		expect(step?.marks.map(({ mark, steps }) => (steps ? `${mark} ${steps.join(' ')}` : mark))).toEqual([
			'overhang 40 45 50 55 60 65 70 75 80',
			'bridge 10 15 20 25 30 35 40 45 50',
			'strings',
			'surface',
			'cornerLift',
			'adhesion',
			'supports',
			'odour'
		]);
		const { name } = await pieceFile(t.db, STEP_PIECE.id, { format: '3mf', code: 'KE1' });
		expect(name).toBe('step-piece-1-ke1.3mf');
	});
	it('refuses sizes by their names, what is no piece, a model without marks; nothing is stored', async () => {
		const before = (await t.db.select({ id: piece.id }).from(piece)).length;
		const bad = (body: object) => errorsOf(() => register({ name: 'X', ...body }));
		expect(await bad({ kind: 'flatTile', params: { wide: 1, deep: 40 } })).toMatchObject([
			{ path: 'params.wide', code: 'sizeOutOfRange', params: { low: 10, high: 200 } },
			{ path: 'params.thick', code: 'missing' }
		]);
		expect(await bad({ kind: 'spikePair', params: { gap: 30, high: 40, foot: 5, tip: 6, plate: 2 } })).toMatchObject([
			{ path: 'params.tip' }
		]);
		expect(await bad({ kind: 'sphere', params: {} })).toMatchObject([{ path: 'kind' }]);
		expect(await bad({})).toMatchObject([{ path: 'marks' }]);
		expect(await bad({ kind: 'flatTile' })).toMatchObject([{ path: 'params' }]);
		expect(await bad({ marks: [{ mark: 'overhang', steps: [45] }] })).toMatchObject([{ path: 'marks.0.steps' }]);
		expect(await bad({ marks: [{ mark: 'strings', steps: null }], fileHash: 'abc' })).toMatchObject([{ path: 'fileHash' }]);
		expect(await bad({ kind: 'flatTile', params: TILE, replaces: v7() })).toMatchObject([{ path: 'replaces' }]);
		expect(await t.db.select({ id: piece.id }).from(piece)).toHaveLength(before);
	});
	it('is known to spools that were looked at before', async () => {
		const { spoolId } = (await addSpool(t.db, check(intakeBody, { material: 'PETG', at: AT }), NOW)).answer;
		const pieces = async () => (await loadSpool(t.db, spoolId, NOW)).evidence.pieces.length;
		const before = await pieces();
		await register({ name: 'Later', kind: 'flatTile', params: TILE });
		expect(await pieces()).toBe(before + 1);
	});
	it('comes as a file with a bench code on it; a model of one’s own has none here', async () => {
		const { id } = await register({ name: 'Tile <1>', kind: 'flatTile', params: TILE });
		const plain = await pieceFile(t.db, id, { format: 'stl', code: '' });
		const named = await pieceFile(t.db, id, { format: 'stl', code: 'KE1' });
		expect(named.bytes.byteLength).toBeGreaterThan(plain.bytes.byteLength);
		expect(named.name).toBe('tile-1-1-ke1.stl');
		expect(Object.keys(unzipSync((await pieceFile(t.db, id, { format: '3mf', code: '' })).bytes))).toContain('3D/3dmodel.model');
		const own = await register({ name: 'Bracket', marks: [{ mark: 'strings', steps: null }] });
		await expect(pieceFile(t.db, own.id, { format: 'stl', code: '' })).rejects.toMatchObject({ status: 404 });
		await expect(pieceFile(t.db, v7(), { format: 'stl', code: '' })).rejects.toMatchObject({ status: 404 });
	});
});

describe('prints of pieces', () => {
	it('a trial prints several; each mark is compared on the piece that carries it', async () => {
		const { id: tile } = await register({ name: 'T', kind: 'flatTile', params: TILE });
		const { id: block } = await register({ name: 'B', kind: 'measuringBlock', params: { alongX: 20, alongY: 20, alongZ: 20, bore: 0 } });
		const trialId = v7();
		await postTrial(t.db, check(trialBody, { id: trialId, name: 'Several' }), NOW);
		const rules = {
			settingsPolicy: 'label',
			conditionPolicy: 'asReceived',
			valueRule: 'weighted',
			repeats: 1,
			diameterPlaces: 5,
			diameterDirections: 2
		};
		await postProtocol(t.db, check(protocolBody, { trialId, ...rules, pieceIds: [tile, block] }), NOW);
		expect(await errorsOf(() => postProtocol(t.db, check(protocolBody, { trialId, ...rules, pieceIds: [v7()] }), NOW))).toMatchObject([
			{ path: 'pieceIds' }
		]);
		// What is left out stays as it was.
		await postProtocol(t.db, check(protocolBody, { trialId, ...rules, repeats: 2 }), NOW);
		const { basis } = await loadTrial(t.db, trialId);
		expect(basis.pieceIds).toEqual([tile, block]);
		expect(basis.markPieces.surface).toEqual([tile]);
		expect(basis.markPieces.shrinkageX).toEqual([block]);
		expect(basis.markPieces.overhang).toBeUndefined();
	});
	it('keeps bed, agent, room and every kind of mark; sizes become shrinkage against the piece’s own', async () => {
		const { id: pieceId } = await register({ name: 'B', kind: 'measuringBlock', params: { alongX: 20, alongY: 20, alongZ: 20, bore: 0 } });
		const { spoolId } = (await addSpool(t.db, check(intakeBody, { material: 'PETG', at: AT }), NOW)).answer;
		const given = { spoolId, pieceId, outcome: 'finished', at: AT };
		const body = { ...given, setUp: { bedSurface: 'glass', profile: '' }, roomTemperature: '66 F', roomHumidityPct: 40 };
		const marks = { sizeX: '19.9', sizeY: '20.05 mm', surfaceZits: 'plain', surfaceGaps: 'faint' };
		await postAttempt(t.db, check(attemptBody, { ...body, marks }), NOW);
		const { evidence, findings } = await loadSpool(t.db, spoolId, NOW);
		expect(evidence.attempts[0]).toMatchObject({ setUp: { bedSurface: 'glass' }, settings: { pressureAdvance: null } });
		const of = (quantity: string) => findings.find((f) => f.quantity === quantity && f.subject.pieceId === pieceId);
		const points = (quantity: string) => {
			const figure = of(quantity)?.figure;
			return figure?.kind === 'dot' ? figure.points.map((p) => Number(p.toFixed(9))) : null;
		};
		expect(points('shrinkageX')).toEqual([0.5]);
		expect(points('shrinkageY')).toEqual([-0.25]);
		expect(of('shrinkageZ')?.n).toBe(0);
		expect(of('surface')).toMatchObject({ n: 1, figure: { kind: 'words', counts: [0, 0, 1, 0] } });
		expect(of('overhang')).toBeUndefined();
		expect(of('surface')?.context).toMatchObject({ pieces: ['B 1'], settings: [{ name: 'bedSurface', value: 'glass' }] });
		expect(await errorsOf(() => postAttempt(t.db, check(attemptBody, { ...given, roomTemperature: '90 C' }), NOW))).toMatchObject([
			{ path: 'roomTemperature' }
		]);
		expect(await errorsOf(() => check(attemptBody, { ...given, setUp: { bedColour: 'red' } }))).toHaveLength(1);
	});
});

describe('photographs', () => {
	/** A picture of so many points that a telephone took lying on its side, with a place written into it. */
	const taken = (width: number, height: number) =>
		sharp({ create: { width, height, channels: 3, background: '#a05020' } })
			.withExif({ IFD0: { Artist: 'somebody' }, IFD3: { GPSLatitude: '48/1 12/1 0/1' } })
			.withMetadata({ orientation: 6 })
			.jpeg()
			.toBuffer();
	const printOf = async () => {
		const { spoolId } = (await addSpool(t.db, check(intakeBody, { material: 'PETG', at: AT }), NOW)).answer;
		const { id } = (await postAttempt(t.db, check(attemptBody, { spoolId, outcome: 'finished', at: AT }), NOW)).answer;
		return { spoolId, attemptId: id };
	};
	const put = (attemptId: string, bytes: Buffer, id = v7()) => putPhoto(t.db, check(photoQuery, { id, attemptId, at: AT }), bytes, NOW);

	it('is turned upright, encoded anew at its size without metadata, and once small; sent again it is kept once', async () => {
		const { spoolId, attemptId } = await printOf();
		const original = await taken(800, 600);
		expect((await sharp(original).metadata()).exif).toBeDefined();
		const id = v7();
		const kept = await put(attemptId, original, id);
		expect(kept.answer).toEqual({ id, width: 600, height: 800 });
		expect((await put(attemptId, original, id)).repeated).toBe(true);
		await expect(put(attemptId, await taken(80, 60), id)).rejects.toMatchObject({ status: 409 });
		const full = await sharp(Buffer.from((await photoFile(t.db, id, 'full')).bytes)).metadata();
		expect(full).toMatchObject({ format: 'jpeg', width: 600, height: 800 });
		expect(full.exif).toBeUndefined();
		expect(full.orientation).toBeUndefined();
		const small = await sharp(Buffer.from((await photoFile(t.db, id, 'small')).bytes)).metadata();
		expect(Math.max(small.width, small.height)).toBe(320);
		expect(await loadPhotos(t.db, [spoolId])).toMatchObject([{ id, attemptId }]);
		const strike = { targetKind: 'photo', targetId: id, action: 'exclude', reason: 'blurred', at: AT };
		await postAmendment(t.db, check(amendmentBody, strike), NOW);
		expect(await loadPhotos(t.db, [spoolId])).toEqual([]);
		expect((await photoFile(t.db, id, 'full')).bytes.byteLength).toBeGreaterThan(0);
	});
	it('PNG with nothing behind it and WebP are taken too', async () => {
		const { attemptId } = await printOf();
		const blank = sharp({ create: { width: 40, height: 30, channels: 4, background: { r: 0, g: 0, b: 0, alpha: 0 } } });
		for (const bytes of [await blank.clone().png().toBuffer(), await blank.clone().webp().toBuffer()]) {
			const { answer } = await put(attemptId, bytes);
			const { data } = await sharp(Buffer.from((await photoFile(t.db, answer.id, 'full')).bytes))
				.raw()
				.toBuffer({ resolveWithObject: true });
			expect(data[0]).toBeGreaterThan(240);
		}
	});
	it('refuses in words: renamed text, another kind, one that ends early, one that pretends to be huge; nothing is stored', async () => {
		const { spoolId, attemptId } = await printOf();
		const why = async (bytes: Buffer) =>
			await put(attemptId, bytes).catch((error: unknown) => (error instanceof Problem ? [error.status, error.title] : error));
		expect(await why(Buffer.from('this is a letter'))).toEqual([422, 'This is no JPEG, PNG or WebP picture. Nothing was stored.']);
		expect(await why(Buffer.alloc(0))).toMatchObject([422, expect.stringContaining('no JPEG')]);
		const tiff = await sharp({ create: { width: 9, height: 9, channels: 3, background: 'red' } })
			.tiff()
			.toBuffer();
		expect(await why(tiff)).toMatchObject([422, expect.stringContaining('no JPEG')]);
		const svg = Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>');
		expect(await why(svg)).toMatchObject([422, expect.stringContaining('no JPEG')]);
		const whole = await taken(900, 700);
		expect(await why(whole.subarray(0, whole.length / 2))).toMatchObject([422, expect.stringContaining('ends early')]);
		const huge = await sharp({ create: { width: 12_000, height: 9000, channels: 3, background: 'white' }, limitInputPixels: false })
			.png({ compressionLevel: 9 })
			.toBuffer();
		expect(huge.length).toBeLessThan(1_000_000);
		expect(await why(huge)).toMatchObject([422, expect.stringContaining('12000 by 9000 points')]);
		expect(await errorsOf(() => put(v7(), whole))).toMatchObject([{ path: 'attemptId' }]);
		expect(await loadPhotos(t.db, [spoolId])).toEqual([]);
	});
});
