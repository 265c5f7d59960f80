import { asc, eq, getTableColumns, type SQL } from 'drizzle-orm';
import type { MySqlTable } from 'drizzle-orm/mysql-core';
import { z } from 'zod';
import { WATER_SIGNS } from '$lib/core/record/lists/closed-lists';
import { TRAINER_SUBJECTS } from '$lib/core/stations/prints/trainer/subjects';
import { PIECE_KINDS } from '$lib/core/judging/pieces/library/library';
import { MARK_IDS } from '$lib/core/record/marks/piece-mark';
import { spellsMaterial } from '$lib/core/stations/intake/bench-code';
import { UNBOXING_READINGS } from '$lib/core/stations/intake/station';
import { READING_QUANTITIES } from '$lib/core/joins/quantities';
import { CURRENCIES } from '$lib/core/kernel/units/money';
import { settings, setUp, sha256 } from '$lib/schemas/attempt';
import { nozzle } from '$lib/schemas/fact-fields';
import { benchCode, colourHex, requiredWords, words } from '$lib/schemas/common';
import { knownCore } from '$lib/schemas/exchange';
import { materialFigures } from '$lib/schemas/handbook';
import { saying } from '$lib/schemas/field-error';
import { pieceMark } from '$lib/schemas/piece';
import { priorSetContent } from '$lib/schemas/prior-set';
import { readingContextCells } from '$lib/schemas/reading';
import { criteriaItems, ownWords, protocolRules } from '$lib/schemas/trial';
import { CLAIM_QUANTITIES } from '../claims/claims';
import { storedAxis } from '../logs/samples';
import * as db from '../../base/db/schema';
import { oneWordOf } from './column';
import { referencesOf } from './references';

export type RecordTable = {
	/** As it stands in addresses, file names and bundles. */
	name: string;
	table: MySqlTable;
	about: string;
	/** Columns that make a row one of its kind; `id` unless said. */
	key?: string[];
	/** What a cell may hold beyond its kind. */
	rules?: Record<string, z.ZodType>;
	/** Columns that may differ when a row comes in again: switches and places that each bench has for itself. */
	ofThisBench?: string[];
	/** By what else than its id a row is known; a row known by it is the same thing. */
	knownBy?: string;
	/** Columns that may stand only once together. */
	unique?: string[];
	/** Which rows go out; all unless said. */
	only?: SQL;
	/** Tells makers, products or prices: closed while a trial is blind. */
	reveals?: true;
};

const name = requiredWords();
const finite = z.number({ error: saying('notANumber') });
/** Readings kept as a list beside the figures worked out of them. */
const listedReading = { typed: requiredWords(40), value: finite };
const positive = z.number({ error: saying('notANumber') }).positive({ error: saying('notPositive') });
const share = z
	.number({ error: saying('notANumber') })
	.min(0)
	.max(100, { error: saying('sizeOutOfRange', { low: 0, high: 100 }) });
const whole = z.int({ error: saying('notWhole') }).min(1, { error: saying('atLeast', { least: 1, unit: '' }) });
const minor = z.int({ error: saying('notWholeCents') }).min(0, { error: saying('negative') });
const bore = z
	.number({ error: saying('notANumber') })
	.min(1)
	.max(6);
const currency = oneWordOf(CURRENCIES);
/** What an instrument of a bench shows or is wrong by, in mm or g: between a dust grain and the heaviest spool. */
const shown = positive.min(1e-6).max(50_000);
const strayed = finite.min(0).max(1000);

/** What is kept beside an event: of a drying its run, of others what the tester said. */
const eventDetail = z
	.strictObject({
		runId: z.uuid({ error: saying('notAUuid') }),
		startedAt: z.int().min(0),
		setPointC: finite.min(20).max(500),
		portion: words(30),
		humidityPct: share,
		hours: positive.max(10_000),
		saidWith: z.uuid({ error: saying('notAUuid') })
	})
	.partial();

/** Every table of the record, each after those it points into. Photographs are files of their own and come later. */
export const RECORD_TABLES: readonly RecordTable[] = [
	{ name: 'makers', table: db.maker, about: 'who makes filament', rules: { name: words() }, knownBy: 'name', reveals: true },
	{
		name: 'filaments',
		table: db.filament,
		about: 'products of a maker',
		rules: { name: words(), material: requiredWords(40) },
		reveals: true
	},
	{
		name: 'claims',
		table: db.claim,
		about: 'what maker or shop states about a filament',
		rules: { quantity: oneWordOf(CLAIM_QUANTITIES), value: positive.max(1000) }
	},
	{
		name: 'lots',
		table: db.lot,
		about: 'lots of a filament',
		rules: { code: requiredWords() }
	},
	{
		name: 'spools',
		table: db.spool,
		about: 'physical reels',
		rules: {
			benchCode: benchCode.refine((code) => !spellsMaterial(code), { error: saying('spellsAMaterial') }),
			colourHex
		},
		ofThisBench: ['benchCode']
	},
	{
		name: 'house-spools',
		table: db.houseSpool,
		about: 'which spool is the standing reference, the newest in force'
	},
	{
		name: 'quotes',
		table: db.quote,
		about: 'prices seen, for the whole order',
		rules: {
			priceMinor: minor.max(1e9),
			shippingMinor: minor.max(1e9),
			currency,
			quantity: whole.max(1000),
			netMassG: positive.max(50_000)
		},
		reveals: true
	},
	{
		name: 'purchases',
		table: db.purchase,
		about: 'which quote was paid for a spool',
		reveals: true
	},
	{
		name: 'instruments',
		table: db.instrument,
		about: 'calipers and scales',
		rules: { name, resolution: shown.max(1000), errorLimit: shown.max(1000) }
	},
	{
		name: 'instrument-checks',
		table: db.instrumentCheck,
		about: 'checks of an instrument against a known size',
		rules: {
			reference: shown,
			referenceLimit: z
				.number({ error: saying('notANumber') })
				.min(0, { error: saying('negative') })
				.max(1000),
			bias: finite.min(-1000).max(1000),
			readings: z.array(z.strictObject(listedReading)).min(1).max(100),
			repeatability: strayed,
			n: whole.max(100)
		}
	},
	{
		name: 'gauge-studies',
		table: db.gaugeStudy,
		about: 'places read by several raters several times',
		rules: {
			raters: z.array(requiredWords(60)).min(1).max(6),
			readings: z
				.array(z.strictObject({ place: z.int().min(0).max(19), rater: z.int().min(0).max(5), ...listedReading }))
				.min(4)
				.max(600)
		}
	},
	{
		name: 'trainings',
		table: db.trainingRun,
		about: 'runs of the scorer’s trainer: known grade and answer of each drawing',
		rules: {
			scorer: requiredWords(60),
			subject: oneWordOf(TRAINER_SUBJECTS),
			pairs: z.array(z.tuple([z.int().min(0).max(9), z.int().min(0).max(9)])).max(100)
		}
	},
	{
		name: 'printers',
		table: db.printer,
		about: 'printers with their nozzle',
		rules: {
			name,
			nozzle,
			hotEndMaxC: finite.min(20).max(1000),
			feedPathMm: bore,
			throatMm: bore,
			bedMaxC: finite.min(0).max(400),
			reelMaxG: positive.max(50_000)
		}
	},
	{
		name: 'dryers',
		table: db.dryer,
		about: 'dryers',
		rules: { name, setPointLowC: finite.min(0).max(500), setPointHighC: finite.min(0).max(500) }
	},
	{
		name: 'dryer-checks',
		table: db.dryerCheck,
		about: 'what an own probe showed in a dryer, beside what was set',
		rules: { setPointC: finite.min(20).max(500), probeC: finite.min(0).max(500), probeTyped: requiredWords(40) }
	},
	{
		name: 'pieces',
		table: db.piece,
		about: 'test models, a version a row',
		rules: {
			name,
			version: whole,
			kind: oneWordOf(PIECE_KINDS.map((k) => k.id)),
			params: z.record(z.string().max(40), finite.min(-1e6).max(1e6)),
			marks: z.array(pieceMark).max(MARK_IDS.length),
			overhangStepDeg: positive.max(90),
			bridgeStepMm: positive.max(500),
			gramsG: positive.max(10_000),
			volumeMm3: positive.max(1e9),
			fileHash: sha256
		}
	},
	{
		name: 'trials',
		table: db.trial,
		about: 'questions put to spools',
		rules: { name, question: words(2000), currency },
		ofThisBench: ['blind']
	},
	{
		name: 'trial-spools',
		table: db.trialSpool,
		about: 'which spools a trial is laid over',
		key: ['trialId', 'spoolId'],
		ofThisBench: ['leftAt', 'position', 'role']
	},
	{
		name: 'protocols',
		table: db.protocol,
		about: 'what a trial holds equal, a version a row',
		unique: ['trialId', 'version'],
		rules: {
			...protocolRules.shape,
			version: whole
		}
	},
	{
		name: 'criteria',
		table: db.criteria,
		about: 'weights and gates of a trial, a version a row',
		unique: ['trialId', 'version'],
		rules: { version: whole, items: criteriaItems, costReference: positive.max(1e7) }
	},
	{
		name: 'prior-sets',
		table: db.priorSet,
		about: 'what the record had taught at one time',
		rules: { number: whole, learntFrom: sha256, content: priorSetContent }
	},
	{
		name: 'trial-prior-sets',
		table: db.trialPriorSet,
		about: 'which of these sets a trial is judged by, the newest in force'
	},
	{
		name: 'own-measures',
		table: db.ownMeasure,
		about: 'measures a tester defined',
		rules: {
			name: requiredWords(60),
			unit: words(16),
			words: ownWords,
			scaleLow: finite.min(-1e9).max(1e9),
			scaleHigh: finite.min(-1e9).max(1e9)
		}
	},
	{
		name: 'drying-runs',
		table: db.dryingRun,
		about: 'loads of a dryer with their timer',
		rules: {
			setPointC: z
				.number({ error: saying('notANumber') })
				.min(20)
				.max(500)
		}
	},
	{
		name: 'drying-run-spools',
		table: db.dryingRunSpool,
		about: 'which spools were in a load',
		key: ['runId', 'spoolId']
	},
	{
		name: 'drying-run-ends',
		table: db.dryingRunEnd,
		about: 'how a load ended',
		key: ['runId']
	},
	{
		name: 'events',
		table: db.event,
		about: 'what happened to a spool',
		rules: {
			detail: eventDetail
		}
	},
	{
		name: 'attempts',
		table: db.attempt,
		about: 'prints that were tried',
		rules: {
			percentReached: share,
			settings,
			setUp,
			roomTemperatureC: finite.min(-10).max(60),
			roomHumidityPct: share,
			midPrint: words(300),
			signs: z.array(oneWordOf(WATER_SIGNS)).max(WATER_SIGNS.length),
			gramsG: positive.max(100_000),
			minutes: positive.max(100_000),
			fileHash: sha256
		}
	},
	{
		name: 'specimens',
		table: db.specimen,
		about: 'things loaded until they broke or held',
		rules: { shape: requiredWords(60), made: words(60), nozzleC: finite.min(20).max(500) }
	},
	{
		name: 'readings',
		table: db.reading,
		about: 'raw observations as typed',
		rules: {
			quantity: oneWordOf([...Object.keys(READING_QUANTITIES), ...UNBOXING_READINGS]),
			typedText: requiredWords(),
			...readingContextCells,
			resolution: finite.min(0).max(1000),
			roomTemperatureC: finite.min(-40).max(80),
			roomHumidityPct: share,
			photoCorners: z.array(z.tuple([z.number(), z.number()])).length(4, { error: saying('fourCorners') })
		}
	},
	{
		name: 'logs',
		table: db.series,
		about: 'logs of a line gauge',
		rules: {
			station: oneWordOf(['diameter']),
			quantity: oneWordOf(['diameter']),
			unit: oneWordOf(['mm']),
			axis: storedAxis,
			samples: whole.max(10_000_000),
			committed: z.literal(true, { error: saying('logNotTakenIn') })
		},
		only: eq(db.series.committed, true)
	},
	{
		name: 'log-chunks',
		table: db.seriesChunk,
		about: 'samples of a log, base64 of little-endian doubles, channel by channel',
		key: ['seriesId', 'position'],
		rules: { position: z.int().min(0), samples: whole }
	},
	{
		name: 'verdicts',
		table: db.verdict,
		about: 'decisions, frozen with what they rest on',
		// What it rests on goes out without the spools that left the trial since.
		ofThisBench: ['snapshot'],
		rules: {
			buyFor: words(),
			note: words(2000),
			coreVersion: knownCore,
			snapshot: z.record(z.string(), z.unknown())
		},
		reveals: true
	},
	{
		name: 'amendments',
		table: db.amendment,
		about:
			'corrections, exclusions and their undoing; for a trial, filament, printer, instrument, dryer, drying run, test piece, own measure or verdict its own id stands in spoolId, for a price that of its filament, for a check or gauge study that of its instrument, for a check of a dryer that of the dryer',
		rules: {
			reason: words(500),
			rangeFrom: z.int().min(0),
			rangeTo: z.int().min(0),
			replacement: z.record(z.string(), z.unknown())
		}
	},
	{
		name: 'notes',
		table: db.note,
		about: 'free notes; for a trial its own id stands in spoolId',
		rules: { text: requiredWords(2000) },
		reveals: true
	},
	{ name: 'parts', table: db.part, about: 'parts in service', rules: { name, place: words() } },
	{
		name: 'part-states',
		table: db.partState,
		about: 'how a part in service was found',
		rules: { note: words(2000) }
	},
	{
		name: 'handbook',
		table: db.handbookEntry,
		about: 'own copies of what the handbook says of a material',
		rules: { figures: materialFigures }
	}
];

/** What an amendment or note points at, by its kind. */
export const TARGET_TABLES: Record<string, string> = {
	reading: 'readings',
	attempt: 'attempts',
	event: 'events',
	specimen: 'specimens',
	log: 'logs',
	spool: 'spools',
	trial: 'trials',
	printer: 'printers',
	filament: 'filaments',
	instrument: 'instruments',
	dryer: 'dryers',
	dryingRun: 'drying-runs',
	piece: 'pieces',
	verdict: 'verdicts',
	quote: 'quotes',
	check: 'instrument-checks',
	gaugeStudy: 'gauge-studies',
	dryerCheck: 'dryer-checks',
	ownMeasure: 'own-measures'
};

/** Whose id stands in `spoolId` of an amendment or note that is of no spool. */
export const OWNER_TABLES: Record<string, string> = {
	trial: 'trials',
	printer: 'printers',
	instrument: 'instruments',
	dryer: 'dryers',
	dryingRun: 'drying-runs',
	piece: 'pieces',
	verdict: 'verdicts',
	filament: 'filaments',
	quote: 'filaments',
	check: 'instruments',
	gaugeStudy: 'instruments',
	dryerCheck: 'dryers',
	ownMeasure: 'own-measures'
};

/** Which table of the record each column points into, by the schema's foreign keys. */
export const referencesIn = ({ table }: RecordTable): Record<string, string> =>
	Object.fromEntries([...referencesOf(table)].map(([column, into]) => [column, RECORD_TABLES.find((t) => t.table === into)?.name ?? '']));

/** By what rows are put in order where the order in which they were written says which is in force: a file keeps it, row by row. */
export function writtenOrder({ table }: RecordTable): SQL[] {
	const { seq } = getTableColumns(table);
	return seq ? [asc(seq)] : [];
}

export const recordTable = (name: string): RecordTable | null => RECORD_TABLES.find((t) => t.name === name) ?? null;
