import {
	AMENDED_FACTS,
	AMENDED_KINDS,
	AMENDMENT_ACTIONS,
	BEFORE,
	CLAIM_RULES,
	CLAIM_SOURCES,
	CONDITION_POLICIES,
	DIRECTIONS,
	DRYING_OUTCOMES,
	EVENT_KINDS,
	FAILURE_CAUSES,
	FAILURE_KINDS,
	FAILURE_RULES,
	FAMILIES,
	INSTRUMENT_QUANTITIES,
	LOAD_METHODS,
	NOTE_TARGETS,
	ORIENTATIONS,
	PART_STATES,
	PRINT_OUTCOMES,
	QUOTE_KINDS,
	READING_DIRECTIONS,
	SETTINGS_POLICIES,
	TRIAL_ROLES,
	USE_PRESETS,
	VALUE_RULES,
	VERDICT_KINDS,
	type WATER_SIGNS
} from '$lib/core/record/lists/closed-lists';
import type { SpecimenMeasure } from '$lib/core/record/evidence/specimen';
import type { PieceMark } from '$lib/core/record/marks/piece-mark';
import type { PriorSetContent } from '$lib/core/judging/posterior/prior-set';
import { type MySqlColumn, bigint, boolean, index, int, mysqlTable, primaryKey, uniqueIndex, varchar } from 'drizzle-orm/mysql-core';
import { DRYER_FACTS } from '$lib/core/record/facts/dryer-facts';
import { INSTRUMENT_FACTS } from '$lib/core/record/facts/instrument-facts';
import { PRINTER_FACTS } from '$lib/core/record/facts/printer-facts';
import { SPOOL_FACTS } from '$lib/core/record/facts/spool-facts';
import { hash, json, longText, mediumBlob, moment, number, oneOf, shortText, uuid, zone } from './columns';
import { factColumns } from './fact-columns';

/**
 * The whole skeleton of the record. Evidence belongs to spools, never to trials; raw rows are inserted and never changed:
 * amendments point at them. Only `revision` counters and the few plain switches of a trial are updated in place.
 */

const id = () => uuid().primaryKey();
/** Points at a row of another table, as a foreign key: the row must be there. */
const to = (id: () => MySqlColumn) => uuid().references(id);
const word = (length = 32) => varchar({ length });
const created = () => ({ createdAt: moment().notNull() });
/**
 * The order in which rows were written, given by the database inside the writing transaction. "The newest in force" goes by it: clocks of
 * servers and devices differ, and are put right.
 */
const order = () => ({ seq: bigint({ mode: 'number' }).notNull().autoincrement().unique() });

/** One row: which server this is. It keys the outbox of browsers, so that demo readings never reach real data. */
export const server = mysqlTable('server', {
	id: id(),
	createdAt: moment().notNull(),
	/** Made anew by every restore: what was worked out from the record before is not taken for what follows from it now. */
	epoch: uuid(),
	/** What logins are sealed with. */
	sessionKey: hash()
});

/** Every write that was acknowledged: same id and same body again get the first answer again. */
export const writeLog = mysqlTable(
	'write_log',
	{
		id: id(),
		kind: word().notNull(),
		bodyHash: hash().notNull(),
		answer: json<unknown>()().notNull(),
		at: moment().notNull(),
		/** How far the sender's own clock was ahead of ours, ms; what it wrote carries our time. */
		clockAheadMs: moment()
	},
	(t) => [index('write_log_at').on(t.at)]
);

/** Logins that were ended before their time: their cookie is good no more, wherever it is. */
export const endedSession = mysqlTable('ended_session', { id: id(), endedAt: moment().notNull() });

/** What a list shows of a spool or a trial, worked out once and kept. Deleting it changes no number. */
export const keptListing = mysqlTable(
	'kept_listing',
	{
		kind: oneOf(['spool', 'trial']).notNull(),
		id: uuid().notNull(),
		/** What it was worked out from: another stamp asks for it anew. */
		stamp: word(64).notNull(),
		content: json<unknown>()().notNull()
	},
	(t) => [primaryKey({ columns: [t.kind, t.id] })]
);

export const maker = mysqlTable('maker', { id: id(), name: shortText().notNull(), ...created() }, (t) => [
	uniqueIndex('maker_name').on(t.name)
]);

export const filament = mysqlTable(
	'filament',
	{
		id: id(),
		makerId: to(() => maker.id).notNull(),
		name: shortText().notNull(),
		material: word(40).notNull(),
		variant: shortText(),
		...created()
	},
	(t) => [index('filament_maker').on(t.makerId)]
);

/** What maker or shop states about a filament, with where it stands: on the label or in the listing. */
export const claim = mysqlTable(
	'claim',
	{
		id: id(),
		filamentId: to(() => filament.id).notNull(),
		quantity: word(40).notNull(),
		source: oneOf(CLAIM_SOURCES).notNull(),
		value: number().notNull(),
		typedText: shortText().notNull(),
		typedUnit: word(16).notNull(),
		...order(),
		...created()
	},
	(t) => [index('claim_filament').on(t.filamentId)]
);

export const lot = mysqlTable(
	'lot',
	{ id: id(), filamentId: to(() => filament.id).notNull(), code: shortText().notNull(), ...created() },
	(t) => [index('lot_filament').on(t.filamentId)]
);

export const spool = mysqlTable(
	'spool',
	{
		id: id(),
		filamentId: to(() => filament.id).notNull(),
		lotId: to(() => lot.id),
		benchCode: varchar({ length: 8 }).notNull(),
		...factColumns(SPOOL_FACTS),
		revision: int().notNull().default(1),
		...created()
	},
	(t) => [uniqueIndex('spool_bench_code').on(t.benchCode), index('spool_filament').on(t.filamentId)]
);

/** Which spool is the standing reference; the newest row is in force. */
export const houseSpool = mysqlTable('house_spool', { id: id(), spoolId: to(() => spool.id).notNull(), ...order(), ...created() });

/** A price seen: for the whole order of `quantity` spools of `netMassG` each. */
export const quote = mysqlTable(
	'quote',
	{
		id: id(),
		filamentId: to(() => filament.id).notNull(),
		priceMinor: int().notNull(),
		shippingMinor: int().notNull(),
		currency: varchar({ length: 3 }).notNull(),
		quantity: int().notNull(),
		netMassG: number().notNull(),
		kind: oneOf(QUOTE_KINDS).notNull(),
		seenAt: moment().notNull(),
		zone: zone(),
		...created()
	},
	(t) => [index('quote_filament').on(t.filamentId)]
);

export const purchase = mysqlTable(
	'purchase',
	{ id: id(), spoolId: to(() => spool.id).notNull(), quoteId: to(() => quote.id).notNull(), ...order(), ...created() },
	(t) => [index('purchase_spool').on(t.spoolId)]
);

export const instrument = mysqlTable('instrument', {
	id: id(),
	...factColumns(INSTRUMENT_FACTS),
	quantity: oneOf(INSTRUMENT_QUANTITIES, 40).notNull(),
	...created()
});

/** An instrument held against something of known size: its raw readings, or the figures of a certificate. */
export const instrumentCheck = mysqlTable(
	'instrument_check',
	{
		id: id(),
		instrumentId: to(() => instrument.id).notNull(),
		reference: number().notNull(),
		/** Stated error limit of the reference itself. */
		referenceLimit: number().notNull().default(0),
		/** As typed, in order; null for a certificate. */
		readings: json<CheckReading[]>()(),
		bias: number(),
		repeatability: number(),
		n: int(),
		at: moment().notNull(),
		zone: zone(),
		...created()
	},
	(t) => [index('instrument_check_instrument').on(t.instrumentId)]
);

type CheckReading = { typed: string; value: number };

/** Places of a strand read by several raters several times: raw readings in the order they were taken. */
export const gaugeStudy = mysqlTable(
	'gauge_study',
	{
		id: id(),
		instrumentId: to(() => instrument.id).notNull(),
		raters: json<string[]>()().notNull(),
		readings: json<(CheckReading & { place: number; rater: number })[]>()().notNull(),
		at: moment().notNull(),
		zone: zone(),
		...created()
	},
	(t) => [index('gauge_study_instrument').on(t.instrumentId)]
);

export const printer = mysqlTable('printer', { id: id(), ...factColumns(PRINTER_FACTS), ...created() });

export const dryer = mysqlTable('dryer', { id: id(), ...factColumns(DRYER_FACTS), ...created() });

/** What an own probe showed in a dryer, beside what was set. */
export const dryerCheck = mysqlTable(
	'dryer_check',
	{
		id: id(),
		dryerId: to(() => dryer.id).notNull(),
		setPointC: number().notNull(),
		probeC: number().notNull(),
		/** As typed, with its unit. */
		probeTyped: shortText().notNull(),
		at: moment().notNull(),
		zone: zone(),
		...created()
	},
	(t) => [index('dryer_check_dryer').on(t.dryerId)]
);

/** One load in a dryer, with its timer. Rows are never changed: the end is a row of its own. */
export const dryingRun = mysqlTable('drying_run', {
	id: id(),
	dryerId: to(() => dryer.id).notNull(),
	setPointC: number().notNull(),
	startedAt: moment().notNull(),
	plannedEndAt: moment().notNull(),
	zone: zone(),
	...created()
});

export const dryingRunSpool = mysqlTable(
	'drying_run_spool',
	{ runId: to(() => dryingRun.id).notNull(), spoolId: to(() => spool.id).notNull() },
	(t) => [primaryKey({ columns: [t.runId, t.spoolId] }), index('drying_run_spool_spool').on(t.spoolId)]
);

/** A run that was done dried its spools; one that was void (the dryer never got warm) did not. */
export const dryingRunEnd = mysqlTable('drying_run_end', {
	runId: to(() => dryingRun.id).primaryKey(),
	endedAt: moment().notNull(),
	outcome: oneOf(DRYING_OUTCOMES).notNull(),
	zone: zone(),
	...created()
});

/** A workshop's own copy of what the handbook says of a material: versions, the newest in force; null gives the first figures back. */
export const handbookEntry = mysqlTable(
	'handbook_entry',
	{ id: id(), material: word(40).notNull(), figures: json<unknown>()(), ...order(), ...created() },
	(t) => [index('handbook_entry_material').on(t.material)]
);

/** A part in service, printed from a spool. */
export const part = mysqlTable(
	'part',
	{
		id: id(),
		spoolId: to(() => spool.id).notNull(),
		name: shortText().notNull(),
		place: shortText(),
		at: moment().notNull(),
		zone: zone(),
		...created()
	},
	(t) => [index('part_spool').on(t.spoolId)]
);

/** How a part was found on a day. */
export const partState = mysqlTable(
	'part_state',
	{
		id: id(),
		partId: to(() => part.id).notNull(),
		state: oneOf(PART_STATES).notNull(),
		note: longText(),
		at: moment().notNull(),
		zone: zone(),
		...created()
	},
	(t) => [index('part_state_part').on(t.partId)]
);

/** A test model. A revision is a new row of the same family; a used row never changes. */
export const piece = mysqlTable('piece', {
	id: id(),
	familyId: uuid().notNull(),
	version: int().notNull(),
	name: shortText().notNull(),
	overhangStepDeg: number(),
	bridgeStepMm: number(),
	gramsG: number(),
	/** Which of our own pieces it is made as; null for a model of the tester's own. */
	kind: word(24),
	params: json<Record<string, number>>()(),
	marks: json<PieceMark[]>()(),
	volumeMm3: number(),
	/** SHA-256 of the file of a tester's own model, hexadecimal. */
	fileHash: varchar({ length: 64 }),
	...created()
});

export const trial = mysqlTable('trial', {
	id: id(),
	name: shortText().notNull(),
	question: longText(),
	preset: oneOf(USE_PRESETS, 32).notNull(),
	currency: varchar({ length: 3 }).notNull(),
	blind: boolean().notNull().default(false),
	revision: int().notNull().default(1),
	...created()
});

export const trialSpool = mysqlTable(
	'trial_spool',
	{
		trialId: to(() => trial.id).notNull(),
		spoolId: to(() => spool.id).notNull(),
		role: oneOf(TRIAL_ROLES).notNull(),
		position: int().notNull(),
		leftAt: moment(),
		...created()
	},
	(t) => [primaryKey({ columns: [t.trialId, t.spoolId] }), index('trial_spool_spool').on(t.spoolId)]
);

/** What a trial holds equal: versions, the newest in force, older ones kept. */
export const protocol = mysqlTable(
	'protocol',
	{
		id: id(),
		trialId: to(() => trial.id).notNull(),
		version: int().notNull(),
		settingsPolicy: oneOf(SETTINGS_POLICIES).notNull(),
		conditionPolicy: oneOf(CONDITION_POLICIES).notNull(),
		valueRule: oneOf(VALUE_RULES).notNull(),
		/** The first of the pieces, which is all of them in records of earlier versions. */
		mainPieceId: to(() => piece.id).notNull(),
		pieceIds: json<string[]>()(),
		printerId: to(() => printer.id),
		repeats: int().notNull(),
		diameterPlaces: int().notNull(),
		diameterDirections: int().notNull(),
		strengthHighN: number().notNull().default(400),
		claimRule: oneOf(CLAIM_RULES).notNull().default('share'),
		failureRule: oneOf(FAILURE_RULES).notNull().default('filament'),
		takeOutPrinter: boolean().notNull().default(false),
		takeOutLeniency: boolean().notNull().default(false),
		/** Kinds of test part compared, chosen by hand, by what they are told in; null for the most common of each. */
		specimenKinds: json<Partial<Record<SpecimenMeasure, string>>>()(),
		/** Measures of other trials that this one asks for too. */
		ownMeasureIds: json<string[]>()(),
		...created()
	},
	(t) => [uniqueIndex('protocol_version').on(t.trialId, t.version)]
);

/** Criteria, weights and gates of a trial: versions, the newest in force. */
export const criteria = mysqlTable(
	'criteria',
	{
		id: id(),
		trialId: to(() => trial.id).notNull(),
		version: int().notNull(),
		items: json<unknown>()().notNull(),
		/** Price of a kilogram that others are weighed against, in the trial's currency; null while nothing was priced. */
		costReference: number(),
		...created()
	},
	(t) => [uniqueIndex('criteria_version').on(t.trialId, t.version)]
);

/** What the record has taught of prints and parts at one time: a numbered set of priors, never changed. */
export const priorSet = mysqlTable('prior_set', {
	id: id(),
	number: int().notNull(),
	/** The server whose record it was learnt from: one that came with a bundle serves the trial it came with, and no other. */
	learntBy: uuid().notNull(),
	/** What of the record it was learnt from: the same again teaches nothing new. */
	learntFrom: word(64).notNull(),
	content: json<PriorSetContent>()().notNull(),
	...created()
});

/** Which set of priors a trial is judged by, the newest in force; none is the assumptions of the house. */
export const trialPriorSet = mysqlTable(
	'trial_prior_set',
	{
		id: id(),
		trialId: to(() => trial.id).notNull(),
		priorSetId: to(() => priorSet.id).notNull(),
		/** Who stood first before it was adopted, and after; both null where nothing turned. */
		firstBefore: to(() => spool.id),
		firstAfter: to(() => spool.id),
		...order(),
		...created()
	},
	(t) => [index('trial_prior_set_trial').on(t.trialId)]
);

export const ownMeasure = mysqlTable(
	'own_measure',
	{
		id: id(),
		trialId: to(() => trial.id).notNull(),
		name: shortText().notNull(),
		unit: word(16).notNull(),
		direction: oneOf(DIRECTIONS).notNull(),
		scaleLow: number().notNull(),
		scaleHigh: number().notNull(),
		/** Words from worst to best rank, in the tester's own; null for a number. */
		words: json<string[]>()(),
		/** What it tells of; null for nothing of these. */
		family: oneOf(FAMILIES),
		...created()
	},
	(t) => [index('own_measure_trial').on(t.trialId)]
);

export const event = mysqlTable(
	'event',
	{
		id: id(),
		spoolId: to(() => spool.id).notNull(),
		kind: oneOf(EVENT_KINDS).notNull(),
		at: moment().notNull(),
		zone: zone(),
		dryerId: to(() => dryer.id),
		/** The portion it happened to: the event that cut it off. */
		portionId: uuid(),
		detail: json<unknown>()(),
		...created()
	},
	(t) => [index('event_spool').on(t.spoolId, t.at)]
);

export const attempt = mysqlTable(
	'attempt',
	{
		id: id(),
		spoolId: to(() => spool.id).notNull(),
		pieceId: to(() => piece.id).notNull(),
		printerId: to(() => printer.id),
		at: moment().notNull(),
		zone: zone(),
		outcome: oneOf(PRINT_OUTCOMES).notNull(),
		percentReached: number().notNull(),
		cause: oneOf(FAILURE_CAUSES),
		/** How it failed. */
		failure: oneOf(FAILURE_KINDS),
		/** Printed while the settings were still being found. */
		tuning: boolean().notNull().default(false),
		/** Signs of water while it printed. */
		signs: json<(typeof WATER_SIGNS)[number][]>()(),
		/** The portion it was printed from: the event that cut it off. */
		portionId: to(() => event.id),
		settings: json<unknown>()().notNull(),
		setUp: json<Record<string, string>>()(),
		roomTemperatureC: number(),
		roomHumidityPct: number(),
		settingsPolicy: oneOf(SETTINGS_POLICIES),
		gramsG: number(),
		minutes: number(),
		/** SHA-256 of the sliced file, hexadecimal: whether two prints are of the same one. */
		fileHash: varchar({ length: 64 }),
		/** What was changed while it printed, in the tester's words. */
		midPrint: longText(),
		...created()
	},
	(t) => [index('attempt_spool').on(t.spoolId, t.at)]
);

export const specimen = mysqlTable(
	'specimen',
	{
		id: id(),
		spoolId: to(() => spool.id).notNull(),
		attemptId: to(() => attempt.id),
		pieceId: to(() => piece.id),
		shape: word(60).notNull(),
		orientation: oneOf(ORIENTATIONS).notNull(),
		method: oneOf(LOAD_METHODS).notNull(),
		/** The temperature it was printed at, C, where no print is named. */
		nozzleC: number(),
		/** How it was printed otherwise, in the tester's words: four walls. */
		made: varchar({ length: 60 }),
		at: moment().notNull(),
		zone: zone(),
		...created()
	},
	(t) => [index('specimen_spool').on(t.spoolId)]
);

/** One raw observation. Never updated, never deleted. */
export const reading = mysqlTable(
	'reading',
	{
		id: id(),
		spoolId: to(() => spool.id).notNull(),
		station: word().notNull(),
		quantity: word(40).notNull(),
		/** In the canonical unit; null for words only. */
		value: number(),
		typedText: shortText().notNull(),
		typedUnit: word(16).notNull(),
		resolution: number(),
		instrumentId: to(() => instrument.id),
		instrumentCheckId: to(() => instrumentCheck.id),
		takenAt: moment().notNull(),
		zone: zone(),
		roomTemperatureC: number(),
		roomHumidityPct: number(),
		placeIndex: int(),
		positionM: number(),
		direction: oneOf(READING_DIRECTIONS),
		attemptId: to(() => attempt.id),
		specimenId: to(() => specimen.id),
		ownMeasureId: to(() => ownMeasure.id),
		/** For a weighing: what the tester says lay before it. */
		before: oneOf(BEFORE, 8),
		/** Who scored a mark, by the name given at the bench. */
		scorer: varchar({ length: 60 }),
		/** For what was measured on a photograph: which, and the four corners that were set on it, in its points. No foreign key: a trial's file brings the reading without the photograph. */
		photoId: uuid(),
		photoCorners: json<[number, number][]>()(),
		...created()
	},
	(t) => [index('reading_spool').on(t.spoolId, t.station), index('reading_attempt').on(t.attemptId)]
);

/** One run of the scorer's trainer: for each drawing its known grade and what was answered. */
export const trainingRun = mysqlTable('training_run', {
	id: id(),
	scorer: varchar({ length: 60 }).notNull(),
	subject: word(24).notNull(),
	seed: int().notNull(),
	pairs: json<[grade: number, answer: number][]>()().notNull(),
	at: moment().notNull(),
	zone: zone(),
	...created()
});

/** Correct, exclude, reinstate, confirm, undo. Points at a record, or at a range of a series. */
export const amendment = mysqlTable(
	'amendment',
	{
		id: id(),
		spoolId: uuid().notNull(),
		targetKind: oneOf([...AMENDED_KINDS, ...AMENDED_FACTS]).notNull(),
		targetId: uuid().notNull(),
		rangeFrom: int(),
		rangeTo: int(),
		action: oneOf(AMENDMENT_ACTIONS).notNull(),
		undoesId: uuid(),
		replacement: json<Record<string, unknown>>()(),
		reason: varchar({ length: 500 }).notNull(),
		at: moment().notNull(),
		...order(),
		...created()
	},
	(t) => [index('amendment_spool').on(t.spoolId), index('amendment_target').on(t.targetId)]
);

export const note = mysqlTable(
	'note',
	{
		id: id(),
		spoolId: uuid().notNull(),
		targetKind: oneOf(NOTE_TARGETS).notNull(),
		targetId: uuid().notNull(),
		text: longText().notNull(),
		at: moment().notNull(),
		zone: zone(),
		...created()
	},
	(t) => [index('note_spool').on(t.spoolId), index('note_target').on(t.targetId)]
);

/** A photograph of a print: upright, without metadata, at full size and small. */
export const photo = mysqlTable(
	'photo',
	{
		id: id(),
		spoolId: uuid().notNull(),
		targetKind: word(16).notNull(),
		targetId: uuid().notNull(),
		mediaType: word(40).notNull(),
		bytes: mediumBlob().notNull(),
		small: mediumBlob().notNull(),
		width: int().notNull(),
		height: int().notNull(),
		at: moment().notNull(),
		zone: zone(),
		...created()
	},
	(t) => [index('photo_target').on(t.targetId), index('photo_spool').on(t.spoolId)]
);

/** A long log (gauge, climate, force and travel): a header, and chunks of at most 1 MiB. It is seen once it is committed. */
export const series = mysqlTable(
	'series',
	{
		id: id(),
		spoolId: to(() => spool.id),
		station: word().notNull(),
		quantity: word(40).notNull(),
		unit: word(16).notNull(),
		name: shortText(),
		instrumentId: to(() => instrument.id),
		/** How the file was laid out while it arrives; then where its samples lie. */
		axis: json<unknown>()().notNull(),
		samples: int().notNull(),
		/** Slices the file was announced with. */
		slices: int(),
		committed: boolean().notNull(),
		startedAt: moment().notNull(),
		zone: zone(),
		...created()
	},
	(t) => [index('series_spool').on(t.spoolId)]
);

/** Samples of a log: for each of its channels in turn, little-endian doubles. */
export const seriesChunk = mysqlTable(
	'series_chunk',
	{ seriesId: to(() => series.id).notNull(), position: int().notNull(), samples: int().notNull(), bytes: mediumBlob().notNull() },
	(t) => [primaryKey({ columns: [t.seriesId, t.position] })]
);

/** Pieces of a file that is still arriving; gone when it is committed or cancelled. */
export const seriesSlice = mysqlTable(
	'series_slice',
	{ seriesId: to(() => series.id).notNull(), position: int().notNull(), bodyHash: hash().notNull(), bytes: mediumBlob().notNull() },
	(t) => [primaryKey({ columns: [t.seriesId, t.position] })]
);

/** What was worked out from a log, kept because it takes a second. Deleting it changes no number. */
export const seriesSummary = mysqlTable('series_summary', {
	seriesId: to(() => series.id).primaryKey(),
	madeBy: word(60).notNull(),
	summary: json<unknown>()().notNull()
});

/** What was decided, frozen with the findings and the version of core it rests on. */
export const verdict = mysqlTable(
	'verdict',
	{
		id: id(),
		trialId: to(() => trial.id).notNull(),
		spoolId: to(() => spool.id).notNull(),
		kind: oneOf(VERDICT_KINDS).notNull(),
		buyFor: shortText(),
		note: longText(),
		snapshot: json<unknown>()().notNull(),
		coreVersion: word(16).notNull(),
		at: moment().notNull(),
		zone: zone(),
		...created()
	},
	(t) => [index('verdict_trial').on(t.trialId), index('verdict_spool').on(t.spoolId)]
);
