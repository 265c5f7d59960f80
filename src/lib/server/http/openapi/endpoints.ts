import type { z } from 'zod';
import { amendmentBody, gaugeStudyBody, instrumentBody, instrumentCheckBody, instrumentFactsBody, noteBody } from '$lib/schemas/amendment';
import { attemptBody, printerBody, printerFactsBody } from '$lib/schemas/attempt';
import { dryerBody, dryerCheckBody, dryerFactsBody, dryingEndBody, dryingFactsBody, dryingRunBody } from '$lib/schemas/drying';
import { eventBody } from '$lib/schemas/event';
import { restoreBody } from '$lib/schemas/backup';
import { bundle, bundleImportBody, csvImportBody } from '$lib/schemas/exchange';
import { spoolFindings, trialFindings } from '$lib/schemas/finding';
import { trainingBody } from '$lib/schemas/training';
import { logBody, logEndBody } from '$lib/schemas/gauge-log';
import { handbookBody } from '$lib/schemas/handbook';
import { pieceBody } from '$lib/schemas/piece';
import { readingBody } from '$lib/schemas/reading';
import { archivingBody } from '$lib/schemas/archiving';
import {
	filamentBody,
	intakeBody,
	intakeListBody,
	productFactsBody,
	quoteBody,
	spoolBody,
	spoolFactsBody,
	unboxingBody
} from '$lib/schemas/spool';
import { specimenBody } from '$lib/schemas/strength';
import {
	blindBody,
	criteriaBody,
	houseSpoolBody,
	ownMeasureBody,
	ownMeasureFactsBody,
	protocolBody,
	trialBody,
	trialFactsBody,
	trialLeaveBody,
	trialSpoolBody,
	verdictBody
} from '$lib/schemas/trial';
import { partBody, partStateBody } from '$lib/schemas/use-log';
import { LIMITS } from '../respond';

type Post = { method: 'post'; path: string; summary: string; body: z.ZodType; limit: number };
type Get = { method: 'get'; path: string; summary: string; answer: z.ZodType | 'csv' | null; query?: string };
type Put = { method: 'put'; path: string; summary: string; limit: number };
export type Endpoint = Post | Get | Put;

const post = (path: string, body: z.ZodType, summary: string, limit: number = LIMITS.capture): Post => ({
	method: 'post',
	path,
	summary,
	body,
	limit
});
const put = (path: string, summary: string, limit: number = LIMITS.slice): Put => ({ method: 'put', path, summary, limit });
const get = (path: string, answer: Get['answer'], summary: string, query?: string): Get => ({
	method: 'get',
	path,
	summary,
	answer,
	...(query ? { query } : {})
});

/** Every address under /api/v1 with the schema that guards it. A test holds this list to the routes that are there. */
export const ENDPOINTS: readonly Endpoint[] = [
	post('trials', trialBody, 'make a trial'),
	post('trial-facts', trialFactsBody, 'say the name or question of a trial better'),
	post('trial-spools', trialSpoolBody, 'lay a trial over a spool'),
	post('trial-leaves', trialLeaveBody, 'take a spool out of a trial'),
	post('protocols', protocolBody, 'a new version of what a trial holds equal'),
	post('criteria', criteriaBody, 'a new version of weights and gates'),
	post('blind', blindBody, 'hide or show makers, products and prices'),
	post('house-spool', houseSpoolBody, 'name the standing reference'),
	post('own-measures', ownMeasureBody, 'define an own measure'),
	post('own-measure-facts', ownMeasureFactsBody, 'put right what an own measure is called and tells of'),
	post('verdicts', verdictBody, 'freeze a verdict'),
	post('intake', intakeBody, 'take in one spool with all that was typed'),
	post('intake/list', intakeListBody, 'take in a list of spools, whole or not at all', LIMITS.list),
	post('filaments', filamentBody, 'a product line with its stated figures'),
	post('spools', spoolBody, 'one reel of a filament'),
	post('spool-facts', spoolFactsBody, 'complete what was left for later'),
	post('product-facts', productFactsBody, 'put right what a reel is called by: maker, product, material, bench code, net mass'),
	post('unboxings', unboxingBody, 'what was odd at unboxing, or that nothing was'),
	post('quotes', quoteBody, 'a price seen or paid'),
	post('readings', readingBody, 'keep one reading: a diameter, a weighing, a mark, a load, an own measure'),
	post('attempts', attemptBody, 'keep a print with its marks'),
	post('specimens', specimenBody, 'name a thing that will be loaded; its loads are readings'),
	post('dryers', dryerBody, 'add a dryer'),
	post('dryer-facts', dryerFactsBody, 'put right what a dryer is called, how low and how high it goes'),
	post('dryer-checks', dryerCheckBody, 'what an own probe showed in a dryer, beside what was set'),
	post('drying-runs', dryingRunBody, 'start a load with its timer'),
	post('drying-ends', dryingEndBody, 'end a load'),
	post('drying-facts', dryingFactsBody, 'put right when a load was dried, or how hot'),
	post('events', eventBody, 'say that something happened to a spool: printed from, wound onto another reel, filament cut off'),
	post('parts', partBody, 'put a part into service'),
	post('part-states', partStateBody, 'how a part in service was found'),
	post('archivings', archivingBody, 'put a spool, trial, printer, instrument, dryer, test piece or verdict away, or bring it back'),
	post('amendments', amendmentBody, 'correct, exclude, reinstate, confirm or undo; the record itself stays'),
	post('notes', noteBody, 'a free note'),
	post('instruments', instrumentBody, 'add a caliper or a scale'),
	post('instrument-facts', instrumentFactsBody, 'put right what an instrument is called, and how good it is'),
	post('instrument-checks', instrumentCheckBody, 'hold an instrument against something of known size'),
	post('trainings', trainingBody, 'keep a run of the scorer’s trainer: drawings of known grade with the answers'),
	post('gauge-studies', gaugeStudyBody, 'keep a gauge study: places read by several raters several times'),
	post('logs', logBody, 'announce a gauge’s log; its slices follow'),
	put('logs/{id}/slices/{k}', 'one slice of at most a megabyte of the file, counted from 0'),
	put('photos/{id}', 'a photograph of a print as the body: JPEG, PNG or WebP; attemptId, at and zone in the query', LIMITS.photo),
	get('photos/{id}', null, 'a photograph as a JPEG, upright and without metadata', 'size'),
	post('log-ends', logEndBody, 'take in a log that has arrived, whole or not at all; or forget it'),
	post('pieces', pieceBody, 'register a piece: made from sizes, or a model of your own; with `replaces` a new version'),
	post('printers', printerBody, 'add a printer'),
	post('printer-facts', printerFactsBody, 'put right what a printer is called, and say later what it can do'),
	post('handbook', handbookBody, 'an own copy of what the handbook says of a material'),
	post('csv-imports', csvImportBody, 'look at a CSV file, or take it: whole or not at all', LIMITS.list),
	post('bundles', bundleImportBody, 'take in a trial bundle, whole or not at all', LIMITS.bundle),
	put('restores/{id}/slices/{k}', 'one slice of at most a megabyte of a backup that is to be restored, counted from 0'),
	post('restores', restoreBody, 'replace the record by a backup; what was there is kept as a backup first'),
	get('restores/{id}', null, 'how far a restore is, and what became of it'),
	get('backups', null, 'the backups that are kept on the server, and when one was last taken away'),
	get('backup', null, 'the whole record, photographs too, as one compressed file that is made now'),
	get('spools', null, 'recall: every spool ever seen, a hundred a page', 'q, page'),
	get('spools/{id}/findings', spoolFindings, 'all findings of one spool'),
	get('spools/{id}/evidence', null, 'what was measured and noted of one spool at one station', 'station'),
	get('trials/{id}/findings', trialFindings, 'the trial sheet: findings of every station, flags, letters, what is next'),
	get('trials/{id}/pick', null, 'the ranking with its chances and what would turn it'),
	get('trials/{id}/bundle', bundle, 'a trial with all its evidence as one document'),
	get('pieces', null, 'every piece in every version, with its marks and its volume'),
	get('pieces/{id}/file', null, 'a piece as a file to print, with a bench code on it if wanted', 'format, code'),
	get('logs/{id}', null, 'what has arrived of a log'),
	get('logs/{id}/picture', null, 'smallest and largest diameter of each column of a picture of a log', 'fromM, toM, columns'),
	get('drying-runs', null, 'loads that were not ended yet, with the server’s clock'),
	get('handbook', null, 'materials with their figures and sources'),
	get('csv', null, 'the tables and their headers'),
	get('csv/{id}', 'csv', 'one table as CSV; its name stands for {id}'),
	get('openapi.json', null, 'this document')
];
