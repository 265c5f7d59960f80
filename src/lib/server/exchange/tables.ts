import { eq, type SQL } from 'drizzle-orm';
import type { MySqlTable } from 'drizzle-orm/mysql-core';
import { z } from 'zod';
import { TRAINER_SUBJECTS } from '$lib/core/prints/trainer/subjects';
import { FAILURE_CAUSES } from '$lib/core/evidence';
import { spellsMaterial } from '$lib/core/intake/bench-code';
import { ODDITIES } from '$lib/core/intake/station';
import { READING_QUANTITIES } from '$lib/core/readings/quantities';
import { CURRENCIES } from '$lib/core/units/money';
import { settings, sha256 } from '$lib/schemas/attempt';
import { benchCode, colourHex } from '$lib/schemas/common';
import { materialFigures } from '$lib/schemas/handbook';
import { criterion } from '$lib/schemas/trial';
import { PART_STATES } from '$lib/schemas/use-log';
import * as db from '../db/schema';

export type RecordTable = {
	/** As it stands in addresses, file names and bundles. */
	name: string;
	table: MySqlTable;
	about: string;
	/** Columns that make a row one of its kind; `id` unless said. */
	key?: string[];
	/** Which table a column points into. */
	refs: Record<string, string>;
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

const word = (...allowed: readonly string[]) => z.enum(allowed as [string, ...string[]], { error: `must be one of ${allowed.join(', ')}` });
const positive = z.number({ error: 'must be a number' }).positive({ error: 'must be above zero' });
const share = z.number({ error: 'must be a number' }).min(0).max(100, { error: 'must be 0 to 100' });
const whole = z.int({ error: 'must be a whole number' }).min(1, { error: 'must be at least 1' });
const minor = z.int({ error: 'must be whole cents' }).min(0, { error: 'cannot be below 0' });
const currency = word(...CURRENCIES);
const direction = word('more', 'less', 'nearest');

/** Every table of the record, each after those it points into. Photographs are files of their own and come later. */
export const RECORD_TABLES: readonly RecordTable[] = [
	{ name: 'testers', table: db.tester, about: 'who measures', refs: {} },
	{ name: 'places', table: db.place, about: 'where spools lie', refs: {} },
	{ name: 'makers', table: db.maker, about: 'who makes filament', refs: {}, knownBy: 'name', reveals: true },
	{ name: 'filaments', table: db.filament, about: 'products of a maker', refs: { makerId: 'makers' }, reveals: true },
	{
		name: 'claims',
		table: db.claim,
		about: 'what maker or shop states about a filament',
		refs: { filamentId: 'filaments' },
		rules: { source: word('label', 'listing') }
	},
	{ name: 'lots', table: db.lot, about: 'lots of a filament', refs: { filamentId: 'filaments' } },
	{
		name: 'spools',
		table: db.spool,
		about: 'physical reels',
		refs: { filamentId: 'filaments', lotId: 'lots' },
		rules: {
			benchCode: benchCode.refine((code) => !spellsMaterial(code), { error: 'could be read as a material; take other letters' }),
			colourHex,
			obtained: word('bought', 'suppliedFree', 'gift'),
			reelMaterial: word('plastic', 'card', 'wire')
		},
		ofThisBench: ['benchCode']
	},
	{
		name: 'house-spools',
		table: db.houseSpool,
		about: 'which spool is the standing reference, the newest in force',
		refs: { spoolId: 'spools' }
	},
	{
		name: 'quotes',
		table: db.quote,
		about: 'prices seen, for the whole order',
		refs: { filamentId: 'filaments' },
		rules: { priceMinor: minor, shippingMinor: minor, currency, quantity: whole, netMassG: positive, kind: word('list', 'sale', 'bundle') },
		reveals: true
	},
	{
		name: 'purchases',
		table: db.purchase,
		about: 'which quote was paid for a spool',
		refs: { spoolId: 'spools', quoteId: 'quotes' },
		reveals: true
	},
	{
		name: 'instruments',
		table: db.instrument,
		about: 'calipers and scales',
		refs: {},
		rules: { quantity: word('length', 'mass'), resolution: positive, errorLimit: positive }
	},
	{
		name: 'instrument-checks',
		table: db.instrumentCheck,
		about: 'checks of an instrument against a known size',
		refs: { instrumentId: 'instruments' }
	},
	{
		name: 'gauge-studies',
		table: db.gaugeStudy,
		about: 'places read by several raters several times',
		refs: { instrumentId: 'instruments' }
	},
	{
		name: 'trainings',
		table: db.trainingRun,
		about: 'runs of the scorer’s trainer: known grade and answer of each drawing',
		refs: {},
		rules: { subject: word(...TRAINER_SUBJECTS), pairs: z.array(z.tuple([z.int().min(0).max(9), z.int().min(0).max(9)])).max(100) }
	},
	{ name: 'printers', table: db.printer, about: 'printers with their nozzle', refs: {} },
	{ name: 'dryers', table: db.dryer, about: 'dryers', refs: {} },
	{ name: 'pieces', table: db.piece, about: 'test models, a version a row', refs: {} },
	{
		name: 'trials',
		table: db.trial,
		about: 'questions put to spools',
		refs: {},
		rules: { preset: word('fineLooks', 'benchJigs', 'outdoorBrackets', 'flexibleParts', 'own'), currency },
		ofThisBench: ['blind']
	},
	{
		name: 'trial-spools',
		table: db.trialSpool,
		about: 'which spools a trial is laid over',
		key: ['trialId', 'spoolId'],
		refs: { trialId: 'trials', spoolId: 'spools' },
		rules: { role: word('candidate', 'house') },
		ofThisBench: ['leftAt', 'position', 'role']
	},
	{
		name: 'protocols',
		table: db.protocol,
		about: 'what a trial holds equal, a version a row',
		unique: ['trialId', 'version'],
		refs: { trialId: 'trials', mainPieceId: 'pieces', printerId: 'printers' },
		rules: {
			settingsPolicy: word('fixed', 'label', 'preset', 'calibrated'),
			conditionPolicy: word('asReceived', 'driedFirst', 'both'),
			valueRule: word('weighted', 'perMoney', 'cheapest'),
			repeats: whole,
			diameterPlaces: whole,
			diameterDirections: whole.max(2)
		}
	},
	{
		name: 'criteria',
		table: db.criteria,
		about: 'weights and gates of a trial, a version a row',
		unique: ['trialId', 'version'],
		refs: { trialId: 'trials' },
		rules: { items: z.array(criterion).max(60) }
	},
	{ name: 'own-measures', table: db.ownMeasure, about: 'measures a tester defined', refs: { trialId: 'trials' }, rules: { direction } },
	{
		name: 'drying-runs',
		table: db.dryingRun,
		about: 'loads of a dryer with their timer',
		refs: { dryerId: 'dryers' },
		rules: { setPointC: z.number({ error: 'must be a number' }).min(20).max(500) }
	},
	{
		name: 'drying-run-spools',
		table: db.dryingRunSpool,
		about: 'which spools were in a load',
		key: ['runId', 'spoolId'],
		refs: { runId: 'drying-runs', spoolId: 'spools' }
	},
	{
		name: 'drying-run-ends',
		table: db.dryingRunEnd,
		about: 'how a load ended',
		key: ['runId'],
		refs: { runId: 'drying-runs' },
		rules: { outcome: word('done', 'void') }
	},
	{
		name: 'events',
		table: db.event,
		about: 'what happened to a spool',
		refs: { spoolId: 'spools', placeId: 'places', dryerId: 'dryers' },
		rules: {
			kind: word('opened', 'exposed', 'dried', 'printed', 'respooled', 'cutOff'),
			detail: z.record(z.string(), z.unknown())
		}
	},
	{
		name: 'attempts',
		table: db.attempt,
		about: 'prints that were tried',
		refs: { spoolId: 'spools', pieceId: 'pieces', printerId: 'printers' },
		rules: {
			outcome: word('finished', 'failed'),
			percentReached: share,
			cause: word(...FAILURE_CAUSES),
			settings,
			gramsG: positive,
			minutes: positive,
			fileHash: sha256
		}
	},
	{
		name: 'specimens',
		table: db.specimen,
		about: 'things loaded until they broke or held',
		refs: { spoolId: 'spools', attemptId: 'attempts', pieceId: 'pieces' },
		rules: { orientation: word('flat', 'edge', 'upright'), method: word('direct', 'steps', 'blows', 'byHand') }
	},
	{
		name: 'readings',
		table: db.reading,
		about: 'raw observations as typed',
		refs: {
			spoolId: 'spools',
			instrumentId: 'instruments',
			instrumentCheckId: 'instrument-checks',
			attemptId: 'attempts',
			specimenId: 'specimens',
			eventId: 'events',
			ownMeasureId: 'own-measures'
		},
		rules: {
			quantity: word(...Object.keys(READING_QUANTITIES), 'nothingOdd', ...ODDITIES),
			before: word('print', 'dried', 'air'),
			direction: word('along', 'across'),
			roomHumidityPct: share,
			photoCorners: z.array(z.tuple([z.number(), z.number()])).length(4, { error: 'must be four corners' })
		}
	},
	{
		name: 'logs',
		table: db.series,
		about: 'logs of a line gauge',
		refs: { spoolId: 'spools', instrumentId: 'instruments' },
		rules: { station: word('diameter'), committed: z.literal(true, { error: 'only logs that were taken in go out and come in' }) },
		only: eq(db.series.committed, true)
	},
	{
		name: 'log-chunks',
		table: db.seriesChunk,
		about: 'samples of a log, base64 of little-endian doubles, channel by channel',
		key: ['seriesId', 'position'],
		refs: { seriesId: 'logs' }
	},
	{
		name: 'amendments',
		table: db.amendment,
		about: 'corrections, exclusions and their undoing; for a trial or printer its own id stands in spoolId',
		refs: {},
		rules: {
			targetKind: word('reading', 'attempt', 'event', 'specimen', 'log', 'photo', 'spool', 'trial', 'printer'),
			action: word('correct', 'exclude', 'reinstate', 'confirm', 'undo'),
			replacement: z.record(z.string(), z.unknown())
		}
	},
	{
		name: 'notes',
		table: db.note,
		about: 'free notes; for a trial its own id stands in spoolId',
		refs: {},
		rules: { targetKind: word('spool', 'attempt', 'reading', 'specimen', 'trial') },
		reveals: true
	},
	{ name: 'parts', table: db.part, about: 'parts in service', refs: { spoolId: 'spools' } },
	{
		name: 'part-states',
		table: db.partState,
		about: 'how a part in service was found',
		refs: { partId: 'parts' },
		rules: { state: word(...PART_STATES) }
	},
	{
		name: 'handbook',
		table: db.handbookEntry,
		about: 'own copies of what the handbook says of a material',
		refs: {},
		rules: { figures: materialFigures }
	},
	{
		name: 'verdicts',
		table: db.verdict,
		about: 'decisions, frozen with what they rest on',
		refs: { trialId: 'trials', spoolId: 'spools' },
		rules: { kind: word('buy', 'leave', 'buyFor', 'dryFirst') },
		reveals: true
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
	printer: 'printers'
};

export const recordTable = (name: string): RecordTable | null => RECORD_TABLES.find((t) => t.name === name) ?? null;
