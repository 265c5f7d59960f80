import sharp from 'sharp';
import { v7 } from 'uuid';
import { asc } from 'drizzle-orm';
import { PIECE_KINDS } from '../../src/lib/core/judging/pieces/library/library';
import { usualParams } from '../../src/lib/core/judging/pieces/kit/usual';
import { markPieces } from '../../src/lib/core/judging/pieces/library/mark-pieces';
import { questionsOf, type Question } from '../../src/lib/core/stations/prints/marks/scoring';
import { printsStation } from '../../src/lib/core/stations/prints/station';
import { measureStringCover } from '../../src/lib/core/stations/prints/cover/measure-string-cover';
import type { Corners } from '../../src/lib/core/stations/prints/cover/types';
import type { Piece } from '../../src/lib/core/record/evidence/piece';
import type { SpoolEvidence } from '../../src/lib/core/record/evidence/spool-evidence';
import type { Database } from '../../src/lib/server/base/db/client';
import { attempt as attemptTable, photo, piece } from '../../src/lib/server/base/db/schema';
import { loadPhotos, photoFile, putPhoto } from '../../src/lib/server/stations/photos/photos';
import { attempt, evidence, mark, basis } from '../../tests/support/evidence';
import { drawnPhoto } from '../../tests/support/drawn-strings';
import { line, ms, msAsync, percentile } from './timing';

const SPOOLS = 40;
const PIECES = 12;
const REPEATS = 3;
const ROUNDS = 15;

/** Readings that answer everything a piece asks, as values. */
function answersOf(question: Question, k: number): [reading: string, value: number][] {
	switch (question.kind) {
		case 'ladder': {
			const at = k % (question.steps.length - 1);
			return [
				[question.lastClean, question.steps[at] ?? 0],
				[question.firstFaulty, question.steps[at + 1] ?? 0]
			];
		}
		case 'words':
			return [[question.reading, k % question.words.length]];
		case 'faults':
			return question.readings.map((reading, i) => [reading, (k + i) % question.words.length]);
		case 'measure':
			return [[question.reading, 1 + (k % 7) / 10]];
		case 'window':
			return [
				[question.from, question.steps[0] ?? 0],
				[question.to, question.steps[2 + (k % 3)] ?? 0]
			];
	}
}

function spoolsOfPrints(): { spools: SpoolEvidence[]; readings: number } {
	const pieces = PIECE_KINDS.map((kind): Piece => {
		const params = usualParams(kind);
		return { id: kind.id, familyId: kind.id, version: 1, name: kind.id, marks: kind.marks(params), params };
	})
		.sort((a, b) => questionsOf(b).length - questionsOf(a).length)
		.slice(0, PIECES);
	let readings = 0;
	const spools = Array.from({ length: SPOOLS }, (_, s) => {
		const attempts = pieces.flatMap((piece) =>
			Array.from({ length: REPEATS }, (__, r) => ({ ...attempt({ at: 1000 + r }), pieceId: piece.id }))
		);
		const all = attempts.flatMap((a, i) => {
			const piece = pieces.find((p) => p.id === a.pieceId);
			return piece ? questionsOf(piece).flatMap((q) => answersOf(q, s + i).map(([quantity, value]) => mark(a, quantity, value))) : [];
		});
		readings += all.length;
		return evidence({ spool: { id: `spool-${s}` }, attempts, readings: all, pieces });
	});
	return { spools, readings };
}

/** The figures of the prints station: findings, strings on a photograph, a strip of photographs. */
export async function benchPrints(db: Database, spoolId: string): Promise<void> {
	const { spools, readings } = spoolsOfPrints();
	const [first] = spools;
	const pieceIds = first?.pieces.map((p) => p.id) ?? [];
	const rules = { ...basis, pieceIds, markPieces: markPieces(pieceIds, first?.pieces ?? []) };
	const find = () => spools.flatMap((s) => printsStation.find(s, rules));
	const cold = ms(find);
	const found = Array.from({ length: ROUNDS }, () => ms(find));
	const pass = () => spools.reduce((sum, s) => sum + s.readings.reduce((a, r) => a + (r.value ?? 0), 0), 0);
	pass();
	console.log(`${SPOOLS} spools x ${PIECES} pieces x ${REPEATS} repeats, ${readings} marks, ${find().length} findings`);
	line('findings of prints, nothing remembered', cold, 1000, 'one pass over the marks', ms(pass));
	line('findings of prints, marks known, median', percentile(found, 0.5), 150, 'one pass over the marks', ms(pass));

	// Twelve million points, grain and all, as a telephone gives them.
	const [width, height] = [4000, 3000];
	const drawn = drawnPhoto({
		width: width / 4,
		height: height / 4,
		strands: [0.1, 0.3, 0.5, 0.7, 0.9].map((from) => ({ from, to: from + 0.02, sag: 0.02, thick: 2 })),
		ground: [28, 30, 34],
		filament: [220, 220, 210],
		noise: 2
	});
	const { pixels } = drawn;
	const jpeg = await sharp(Buffer.from(pixels.data), { raw: { width: pixels.width, height: pixels.height, channels: 4 } })
		.resize(width, height)
		.jpeg({ quality: 90 })
		.toBuffer();
	const corners = drawn.corners.map(([x, y]) => [4 * x, 4 * y] as const) as unknown as Corners;
	const decode = async () => await sharp(jpeg).ensureAlpha().raw().toBuffer();
	const raw = await decode();
	const plain = ms(() => raw.reduce((sum, v) => sum + v, 0));
	let said = '';
	const measure = async () => {
		const data = new Uint8ClampedArray(await decode());
		const strands = measureStringCover({ width, height, data }, corners);
		said = `${strands.count} strands, ${strands.coveragePct.toFixed(1)} %, ${strands.quality}`;
	};
	const times: number[] = [];
	for (let i = 0; i < 5; i++) times.push(await msAsync(measure));
	line('strings on 12 million points, read and measured (core)', percentile(times, 0.5), 1500, 'one pass over its bytes', plain);
	console.log(`  ${said}`);

	const [attemptId, pieceId] = [v7(), v7()];
	const now = Date.now();
	await db.insert(piece).values({ id: pieceId, familyId: pieceId, version: 1, name: 'Spike pair', params: {}, marks: [], createdAt: now });
	await db.insert(attemptTable).values({
		id: attemptId,
		spoolId,
		pieceId,
		at: now,
		zone: 'UTC',
		outcome: 'finished',
		percentReached: 100,
		settings: {},
		createdAt: now
	});
	const put = () => putPhoto(db, { id: v7(), attemptId, at: new Date(now).toISOString(), zone: 'UTC' }, jpeg, now);
	const taken = await msAsync(put);
	console.log(`  a photograph of ${(jpeg.length / 1024 / 1024).toFixed(1)} MB is taken in in ${taken.toFixed(0)} ms`);
	for (let i = 1; i < 40; i++) await put();
	const strip = async () => {
		const photos = await loadPhotos(db, [spoolId]);
		await Promise.all(photos.map((p) => photoFile(db, p.id, 'small')));
	};
	const strips: number[] = [];
	for (let i = 0; i < ROUNDS; i++) strips.push(await msAsync(strip));
	const bare = await msAsync(async () => await db.select({ small: photo.small }).from(photo).orderBy(asc(photo.id)));
	line('strip of 40 photographs, p95', percentile(strips, 0.95), 500, 'SELECT of the small pictures', bare);
	console.log('');
}
