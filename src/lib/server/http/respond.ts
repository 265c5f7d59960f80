import { Readable } from 'node:stream';
import type { RequestEvent } from '@sveltejs/kit';
import type { z } from 'zod';
import type { FieldError } from '$lib/schemas/field-error';
import { read } from '$lib/schemas/read';
import type { Database, Reader } from '../base/db/client';
import { isAway, isDuplicate, isFull, isLost, isSlow, OutcomeUnknown } from '../base/db/errors';
import { database, serverContext } from '../running/context';
import { Problem, problem, problemResponse, refuse } from '../base/problem';
import { saidAheadMs, withClockAhead } from '../base/write/clock-ahead';
import { DeviceClocks, requireClockAfter } from '../base/write/server-clock';
import { addressOf } from './address';

/** Body limits in bytes, each route its own; the process refuses anything above 16 MB by itself. */
export const LIMITS = {
	capture: 256 * 1024,
	list: 2 * 1024 * 1024,
	bundle: 14 * 1024 * 1024,
	slice: 1024 * 1024,
	photo: 12 * 1024 * 1024
} as const;

function json(value: unknown, status = 200): Response {
	return new Response(JSON.stringify(value), {
		status,
		headers: { 'content-type': 'application/json', 'cache-control': 'no-store', 'x-server-now': String(Date.now()) }
	});
}

/** Looks for what is wrong in the readable rest of a body that its schema refused. */
type FaultsBeside = (body: unknown, db: Reader, now: number) => FieldError[] | Promise<FieldError[]>;

/**
 * A route that keeps something: body read under its limit, checked by its schema, written once, acknowledged after COMMIT.
 * 201 the first time, 200 when the same id and body came again.
 * @param faultsBeside what else is wrong with a body that its schema refused: all of it is told at once
 */
export function keep<S extends z.ZodType, T>(
	schema: S,
	write: (db: Database, body: z.output<S>, now: number) => Promise<{ answer: T; repeated: boolean }>,
	limit: number = LIMITS.capture,
	faultsBeside: FaultsBeside = () => []
) {
	return (event: RequestEvent): Promise<Response> =>
		answering(async () => {
			const body = await readJson(event.request, limit);
			const parsed = read(schema, body);
			if (!parsed.ok) throw refuse(withOthers(parsed.errors, await faultsBeside(body, database(), Date.now())));
			await requireServerClock(event, Date.now());
			const { answer, repeated } = await withClockAhead(event.request, () => write(database(), parsed.value, Date.now()));
			return json(answer, repeated ? 200 : 201);
		});
}

const devices = new DeviceClocks();

/** Nothing is stored under a time that is surely wrong (DRAUGHT_TRUST_CLOCK says that it is right all the same). */
async function requireServerClock(event: RequestEvent, now: number): Promise<void> {
	if (serverContext().config.DRAUGHT_TRUST_CLOCK) return;
	const { request } = event;
	// A browser tells when its clock is off; a program has none to tell of.
	if (request.headers.has('sec-fetch-site'))
		devices.hear(`${addressOf(event)} ${request.headers.get('user-agent') ?? ''}`, saidAheadMs(request), performance.now());
	devices.require(now);
	await requireClockAfter(database(), now);
}

/** Nothing is told twice of one field. */
function withOthers(refused: readonly FieldError[], beside: readonly FieldError[]): FieldError[] {
	const told = new Set(refused.map((e) => e.path));
	return [...refused, ...beside.filter((e) => !told.has(e.path))];
}

/** A route that keeps a piece of a file as it is. Sending it again is no harm, so it has no id of its own. */
export function keepBytes<T>(write: (event: RequestEvent, db: Database, bytes: Buffer) => Promise<T>) {
	return (event: RequestEvent): Promise<Response> =>
		answering(async () => json(await write(event, database(), await readBytes(event.request, LIMITS.slice))));
}

/** A route that keeps a file as one thing: 201 the first time, 200 when the same came again. */
export function keepFile<T>(
	limit: number,
	write: (event: RequestEvent, db: Database, bytes: Buffer, now: number) => Promise<{ answer: T; repeated: boolean }>
) {
	return (event: RequestEvent): Promise<Response> =>
		answering(async () => {
			await requireServerClock(event, Date.now());
			const { answer, repeated } = await write(event, database(), await readBytes(event.request, limit), Date.now());
			return json(answer, repeated ? 200 : 201);
		});
}

/** A route that changes nothing in the record, such as a login: a body of its schema, or none. */
export function act<S extends z.ZodType | null, T>(
	schema: S,
	work: (event: RequestEvent, body: S extends z.ZodType ? z.output<S> : null) => Promise<T>
) {
	type Body = S extends z.ZodType ? z.output<S> : null;
	return (event: RequestEvent): Promise<Response> =>
		answering(async () => {
			if (schema === null) return json(await work(event, null as Body));
			const parsed = read(schema, await readJson(event.request, LIMITS.capture));
			if (!parsed.ok) throw refuse(parsed.errors);
			return json(await work(event, parsed.value as Body));
		});
}

/** A route that only reads. */
export function show<T>(load: (event: RequestEvent, db: Database, now: number) => Promise<T>) {
	return (event: RequestEvent): Promise<Response> => answering(async () => json(await load(event, database(), Date.now())), READ);
}

/** A route that hands out a file to keep. */
export function showFile(
	load: (event: RequestEvent, db: Database, now: number) => Promise<{ text: string; mediaType: string; name: string }>
) {
	return (event: RequestEvent): Promise<Response> =>
		answering(async () => {
			const { text, mediaType, name } = await load(event, database(), Date.now());
			return new Response(text, {
				headers: { 'content-type': mediaType, 'content-disposition': `attachment; filename="${name}"`, 'cache-control': 'no-store' }
			});
		}, READ);
}

/** A route that hands out a file that is no text. */
export function showBytes(
	load: (event: RequestEvent, db: Database, now: number) => Promise<{ bytes: Uint8Array<ArrayBuffer>; mediaType: string; name?: string }>
) {
	return (event: RequestEvent): Promise<Response> =>
		answering(async () => {
			const { bytes, mediaType, name } = await load(event, database(), Date.now());
			return new Response(bytes, {
				headers: {
					'content-type': mediaType,
					...(name === undefined ? {} : { 'content-disposition': `attachment; filename="${name}"` }),
					'x-content-type-options': 'nosniff',
					// What has no name is a picture that never changes under its id.
					'cache-control': name === undefined ? 'private, max-age=31536000, immutable' : 'no-store'
				}
			});
		}, READ);
}

/** A route that hands out a text part by part, while it is read. */
export function showText(
	load: (event: RequestEvent, db: Database) => Promise<{ parts: AsyncGenerator<string>; mediaType: string; name: string }>
) {
	return (event: RequestEvent): Promise<Response> =>
		answering(async () => {
			const { parts, mediaType, name } = await load(event, database());
			return new Response(Readable.toWeb(Readable.from(parts, { objectMode: false })) as ReadableStream, {
				headers: {
					'content-type': mediaType,
					'content-disposition': `attachment; filename="${name}"`,
					// Not compressed: packing a large table takes longer than sending it, and the packer keeps a listener for every part.
					'cache-control': 'no-store, no-transform'
				}
			});
		}, READ);
}

/** A route that hands out a file while it is being made; one that fails on the way breaks off, so that nobody takes it for a whole one. */
export function showStream(load: (event: RequestEvent) => { stream: Readable; mediaType: string; name: string }) {
	return (event: RequestEvent): Promise<Response> =>
		answering(() => {
			const { stream, mediaType, name } = load(event);
			return Promise.resolve(
				new Response(Readable.toWeb(stream) as ReadableStream, {
					headers: { 'content-type': mediaType, 'content-disposition': `attachment; filename="${name}"`, 'cache-control': 'no-store' }
				})
			);
		}, READ);
}

/** Where nothing was to be saved, and where something was. */
const READ = { lost: 'databaseSilent', away: 'databaseAway', failed: 'failed' } as const;
const KEPT = { lost: 'notKnownWhetherSaved', away: 'databaseAwayNothingStored', failed: 'failedNotKnownWhetherSaved' } as const;

async function answering(work: () => Promise<Response>, codes: typeof READ | typeof KEPT = KEPT): Promise<Response> {
	try {
		return await work();
	} catch (error) {
		if (error instanceof Problem) return problemResponse(error);
		if (error instanceof OutcomeUnknown || isLost(error)) return problemResponse(problem(503, codes.lost));
		if (isAway(error)) return problemResponse(problem(503, codes.away));
		if (isSlow(error)) return problemResponse(problem(503, 'databaseSlow'));
		if (isFull(error)) return problemResponse(problem(507, 'diskFull'));
		// An id that came in by a file before, and now as an entry of its own.
		if (isDuplicate(error)) return problemResponse(problem(409, 'idInUse'));
		console.error(error);
		return problemResponse(problem(500, codes.failed));
	}
}

/** Reads a JSON body under its limit. */
async function readJson(request: Request, limit: number): Promise<unknown> {
	if (!/^application\/json\b/i.test(request.headers.get('content-type') ?? '')) throw problem(415, 'notSentAsJson');
	const bytes = await readBytes(request, limit);
	try {
		return JSON.parse(bytes.toString('utf8'));
	} catch {
		throw problem(400, 'notJson');
	}
}

/** Reads a body without ever holding more than its limit. */
async function readBytes(request: Request, limit: number): Promise<Buffer> {
	const tooLarge = () => problem(413, 'tooLarge', { mostKB: Math.round(limit / 1024) });
	if (Number(request.headers.get('content-length') ?? 0) > limit) throw tooLarge();
	// The server underneath drops a body that does not say what it is.
	if (!request.headers.has('content-type')) throw problem(415, 'noContentType');
	const reader = (request.body ?? new Blob([]).stream()).getReader();
	const chunks: Uint8Array[] = [];
	let size = 0;
	for (let part = await reader.read(); !part.done; part = await reader.read()) {
		size += part.value.byteLength;
		// Not cancelled: that would end the connection before the refusal is heard. The server reads the rest and throws it away.
		if (size > limit) throw tooLarge();
		chunks.push(part.value);
	}
	return Buffer.concat(chunks);
}
