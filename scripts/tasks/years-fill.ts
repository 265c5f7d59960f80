import { randomBytes } from 'node:crypto';
import { v7 } from 'uuid';
import { randomSource } from '../../src/lib/core/kernel/random/source';
import { proposeBenchCode } from '../../src/lib/core/stations/intake/bench-code';
import { presetCriteria } from '../../src/lib/core/answers/pick/presets';
import type { Database } from '../../src/lib/server/base/db/client';
import { STEP_PIECE } from '../../src/lib/server/base/db/defaults';
import * as table from '../../src/lib/server/base/db/schema';
import { PLAIN_RULES } from '../../src/lib/server/answers/trials/plain-rules';

/** A bench after ten years. */
export const YEARS = { spools: 2000, printsEach: 20, diametersEach: 60, photos: 5000, logs: 50, trials: 200 } as const;

const DAY_MS = 86_400_000;
const SPAN_MS = 3650 * DAY_MS;
const CHUNK = 1000;
const MATERIALS = ['PLA', 'PETG', 'ABS', 'ASA', 'TPU', 'PA', 'PC', 'PLA+'];
const COLOURS = ['slate', 'teal', 'brick', 'sand', 'chalk', 'soot', 'moss', 'plum'];

type Table = Parameters<Database['insert']>[0];

/** Fills an empty record by plain inserts: as rows it is what testers would have entered, and it is made in a minute or two. */
export async function fillYears(db: Database, now: number, share = 1): Promise<void> {
	const source = randomSource(7);
	const pick = <T>(of: readonly T[]): T => of[Math.floor(source() * of.length)] as T;
	const put = async (into: Table, rows: object[], chunk: number = CHUNK): Promise<void> => {
		for (let i = 0; i < rows.length; i += chunk) await db.insert(into).values(rows.slice(i, i + chunk));
	};
	const at = (k: number, of: number): number => Math.round(now - SPAN_MS + (SPAN_MS * (k + 1)) / (of + 1));
	const spools = Math.round(YEARS.spools * share);
	const made = { zone: 'UTC', createdAt: now - SPAN_MS };
	const makers = Array.from({ length: 40 }, (_, i) => ({ id: v7(), name: `Maker ${i + 1}`, createdAt: made.createdAt }));
	await put(table.maker, makers);
	const filaments = Array.from({ length: Math.ceil(spools / 3) }, (_, i) => ({
		id: v7(),
		makerId: pick(makers).id,
		name: `Product ${i + 1}`,
		material: pick(MATERIALS),
		createdAt: made.createdAt
	}));
	await put(table.filament, filaments);
	await put(
		table.claim,
		filaments.flatMap(({ id: filamentId }) =>
			(
				[
					['netMassG', 1000, '1 kg', 'kg'],
					['diameterTolerance', 0.02, '0.02', 'mm'],
					['nozzleLowC', 205, '205', 'C'],
					['nozzleHighC', 225, '225', 'C']
				] as const
			).map(([quantity, value, typedText, typedUnit]) => ({
				id: v7(),
				filamentId,
				quantity,
				source: 'label' as const,
				value,
				typedText,
				typedUnit,
				createdAt: made.createdAt
			}))
		)
	);
	const quotes = filaments.map(({ id: filamentId }) => ({
		id: v7(),
		filamentId,
		priceMinor: 1200 + Math.floor(source() * 2500),
		shippingMinor: 0,
		currency: 'EUR',
		quantity: 1,
		netMassG: 1000,
		kind: 'list' as const,
		seenAt: made.createdAt,
		...made
	}));
	await put(table.quote, quotes);
	const printer = { id: v7(), name: 'North', nozzle: '0.4 brass', createdAt: made.createdAt };
	const caliper = { id: v7(), name: 'Caliper', quantity: 'length' as const, resolution: 0.01, errorLimit: 0.02, createdAt: made.createdAt };
	await put(table.printer, [printer]);
	await put(table.instrument, [caliper]);
	const used = new Set<string>();
	const reels = Array.from({ length: spools }, (_, i) => {
		const f = Math.floor(source() * filaments.length);
		const benchCode = proposeBenchCode(used) ?? '';
		used.add(benchCode);
		const filament = filaments[f];
		const quote = quotes[f];
		if (!filament || !quote) throw new Error('no filament');
		return {
			id: v7(),
			filamentId: filament.id,
			quoteId: quote.id,
			benchCode,
			colourName: pick(COLOURS),
			colourHex: '#446688',
			createdAt: at(i, spools)
		};
	});
	await put(
		table.spool,
		reels.map(({ quoteId: _, ...reel }) => reel)
	);
	await put(
		table.purchase,
		reels.map((r) => ({ id: v7(), spoolId: r.id, quoteId: r.quoteId, createdAt: r.createdAt }))
	);
	await put(
		table.event,
		reels.map((r) => ({ id: v7(), spoolId: r.id, kind: 'opened' as const, at: r.createdAt, zone: 'UTC', createdAt: r.createdAt }))
	);
	await put(
		table.note,
		reels.map((r, i) => ({
			id: v7(),
			spoolId: r.id,
			targetKind: 'spool' as const,
			targetId: r.id,
			text: `smooth winding, box ${i % 97}`,
			at: r.createdAt,
			zone: 'UTC',
			createdAt: r.createdAt
		}))
	);
	const trials = Array.from({ length: Math.round(YEARS.trials * share) }, (_, i) => ({
		id: v7(),
		name: `Trial ${i + 1}`,
		question: 'Which to keep buying?',
		preset: 'own' as const,
		currency: 'EUR',
		createdAt: at(i, Math.round(YEARS.trials * share))
	}));
	await put(table.trial, trials);
	await put(
		table.protocol,
		trials.map((t) => ({
			...PLAIN_RULES,
			pieceIds: [...PLAIN_RULES.pieceIds],
			printerId: printer.id,
			id: v7(),
			trialId: t.id,
			version: 1,
			createdAt: t.createdAt
		}))
	);
	await put(
		table.criteria,
		trials.map((t) => ({ id: v7(), trialId: t.id, version: 1, items: presetCriteria('own'), costReference: 20, createdAt: t.createdAt }))
	);
	// Ten spools of about the same time each; every hundredth trial has forty.
	await put(
		table.trialSpool,
		trials.flatMap((t, i) =>
			Array.from({ length: i % 100 === 99 ? 40 : 10 }, (_, k) => reels[(i * 10 + k) % reels.length])
				.filter((r) => r !== undefined)
				.map((r, position) => ({ trialId: t.id, spoolId: r.id, role: 'candidate' as const, position, createdAt: t.createdAt }))
		)
	);
	const attempts: (typeof table.attempt.$inferInsert)[] = [];
	const readings: (typeof table.reading.$inferInsert)[] = [];
	for (const reel of reels) {
		type Read = Pick<typeof table.reading.$inferInsert, 'station' | 'quantity' | 'value' | 'typedText' | 'typedUnit'>;
		const reading = (takenAt: number, read: Read, more: Partial<typeof table.reading.$inferInsert>) =>
			readings.push({ id: v7(), spoolId: reel.id, resolution: null, takenAt, zone: 'UTC', createdAt: takenAt, ...read, ...more });
		const thick = 1.75 + (source() - 0.5) / 100;
		for (let k = 0; k < YEARS.diametersEach; k++) {
			const mm = Math.round((thick + (source() - 0.5) / 40) * 100) / 100;
			reading(
				reel.createdAt + k * 5000,
				{ station: 'diameter', quantity: 'diameter', value: mm, typedText: mm.toFixed(2), typedUnit: 'mm' },
				{
					resolution: 0.01,
					instrumentId: caliper.id,
					placeIndex: k >> 1,
					direction: k % 2 ? 'across' : 'along'
				}
			);
		}
		const steady = source() * 10;
		for (let k = 0; k < YEARS.printsEach; k++) {
			const when = reel.createdAt + (k + 1) * 5 * DAY_MS;
			const failed = source() < 0.08;
			const attempt = {
				id: v7(),
				spoolId: reel.id,
				pieceId: STEP_PIECE.id,
				printerId: printer.id,
				at: when,
				zone: 'UTC',
				outcome: failed ? ('failed' as const) : ('finished' as const),
				percentReached: failed ? 40 : 100,
				cause: failed ? ('filament' as const) : null,
				settings: { nozzleC: 215, bedC: 60, fanPct: 100, speedPct: 100, flowPct: 100, retractionMm: null, pressureAdvance: null },
				settingsPolicy: 'label' as const,
				gramsG: 18,
				createdAt: when
			};
			attempts.push(attempt);
			if (failed) continue;
			const of = { attemptId: attempt.id };
			const step = 55 + 5 * Math.round(steady / 3 + source() * 2);
			reading(when, { station: 'prints', quantity: 'overhangLastClean', value: step, typedText: String(step), typedUnit: 'deg' }, of);
			reading(
				when,
				{ station: 'prints', quantity: 'overhangFirstFaulty', value: step + 5, typedText: String(step + 5), typedUnit: 'deg' },
				of
			);
			reading(when, { station: 'prints', quantity: 'bridgeLongestClean', value: 30, typedText: '30', typedUnit: 'mm' }, of);
			const word = Math.floor(source() * 3);
			reading(
				when,
				{ station: 'prints', quantity: 'strings', value: word, typedText: ['none', 'wisp', 'light'][word] ?? 'none', typedUnit: '' },
				of
			);
		}
	}
	await put(table.attempt, attempts);
	await put(table.reading, readings);
	const [large, small] = [randomBytes(24_000), randomBytes(4_000)];
	const photos = Math.round(YEARS.photos * share);
	await put(
		table.photo,
		Array.from({ length: photos }, (_, k) => attempts[Math.floor((k * attempts.length) / photos)])
			.filter((a) => a !== undefined)
			.map((a) => ({
				id: v7(),
				spoolId: a.spoolId,
				targetKind: 'attempt',
				targetId: a.id ?? '',
				mediaType: 'image/jpeg',
				bytes: large,
				small,
				width: 1600,
				height: 1200,
				at: a.at,
				zone: 'UTC',
				createdAt: a.at
			})),
		100
	);
	for (let k = 0; k < Math.round(YEARS.logs * share); k++)
		await putLog(db, reels[Math.floor((k * reels.length) / YEARS.logs)]?.id ?? '', now, source);
	await put(
		table.verdict,
		trials.slice(0, Math.floor(trials.length * 0.8)).map((t, i) => ({
			id: v7(),
			trialId: t.id,
			spoolId: reels[(i * 10) % reels.length]?.id ?? '',
			kind: 'buy' as const,
			snapshot: {},
			coreVersion: '0.1.0',
			at: t.createdAt,
			zone: 'UTC',
			createdAt: t.createdAt
		}))
	);
}

const SAMPLES = 20_000;

/** A gauge's log of two hundred metres, a sample a centimetre. */
async function putLog(db: Database, spoolId: string, now: number, source: () => number): Promise<void> {
	const id = v7();
	await db.insert(table.series).values({
		id,
		spoolId,
		station: 'diameter',
		quantity: 'diameter',
		unit: 'mm',
		name: 'gauge.csv',
		axis: { channels: ['along'], startM: 0, stepM: 0.01 },
		samples: SAMPLES,
		committed: true,
		startedAt: now,
		zone: 'UTC',
		createdAt: now
	});
	const values = Float64Array.from({ length: SAMPLES }, (_, i) => 1.75 + Math.sin(i / 300) / 200 + (source() - 0.5) / 200);
	await db.insert(table.seriesChunk).values({ seriesId: id, position: 0, samples: SAMPLES, bytes: Buffer.from(values.buffer) });
}
