import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { v7 } from 'uuid';
import { amendmentBody, noteBody } from '$lib/schemas/amendment';
import { archivingBody } from '$lib/schemas/archiving';
import { printerBody, printerFactsBody } from '$lib/schemas/attempt';
import { handbookBody } from '$lib/schemas/handbook';
import { pieceBody } from '$lib/schemas/piece';
import { readingBody } from '$lib/schemas/reading';
import { intakeBody } from '$lib/schemas/spool';
import {
	blindBody,
	criteriaBody,
	ownMeasureBody,
	ownMeasureFactsBody,
	protocolBody,
	trialBody,
	trialFactsBody,
	trialLeaveBody,
	trialSpoolBody,
	verdictBody
} from '$lib/schemas/trial';
import { checked } from '../../../../../tests/support/checked';
import { testDatabase, type TestDatabase } from '../../../../../tests/support/database';
import { postAmendment } from '../amendments/post';
import { priorSet, server, trialPriorSet } from '../../base/db/schema';
import { postArchiving } from '../../record/facts/archive';
import { postHandbook } from '../../record/handbook/handbook';
import { addSpool } from '../../stations/intake/add-spool';
import { postNote } from '../../stations/notes/post';
import { postPiece } from '../../stations/pieces/post';
import { postReading } from '../../stations/readings/post';
import { toldOfSpools } from '../spools/list-spools';
import { postVerdict } from '../verdicts/post';
import { postPrinter, postPrinterFacts } from '../../stations/workshop/workshop';
import {
	postBlind,
	postCriteria,
	postOwnMeasure,
	postOwnMeasureFacts,
	postProtocol,
	postTrial,
	postTrialFacts,
	postTrialLeave,
	postTrialSpool
} from './post';
import { trialStamps } from './stamps';

/*
 * What a list shows is kept under a stamp. A stamp that stays the same although a number moved shows yesterday's number for good, so everything that a
 * number rests on is changed here in turn, and the stamp must be another one each time.
 */

const NOW = Date.parse('2026-11-01T12:00:00Z');
const at = '2026-11-01T10:00:00Z';
let t: TestDatabase;
const is = { trial: '', other: '', spool: '', loose: '', never: '', printer: '', measure: '', reading: '', verdict: '' };

beforeAll(async () => {
	t = await testDatabase();
	is.trial = (await postTrial(t.db, checked(trialBody, { name: 'Stamped' }), NOW)).answer.id;
	is.other = (await postTrial(t.db, checked(trialBody, { name: 'Another' }), NOW)).answer.id;
	is.spool = (await addSpool(t.db, checked(intakeBody, { material: 'PETG', trialId: is.trial, at }), NOW)).answer.spoolId;
	is.loose = (await addSpool(t.db, checked(intakeBody, { material: 'PETG', at }), NOW)).answer.spoolId;
	is.never = (await addSpool(t.db, checked(intakeBody, { material: 'PLA', at }), NOW)).answer.spoolId;
	is.printer = (await postPrinter(t.db, checked(printerBody, { name: 'North', nozzle: '0.4' }), NOW)).answer.id;
	is.measure = (await postOwnMeasure(t.db, checked(ownMeasureBody, { trialId: is.other, name: 'Grip', low: 0, high: 9 }), NOW)).answer.id;
});
afterAll(() => t.close());

const stampOfTrial = async () => (await trialStamps(t.db)).get(is.trial);
/** Whether what was kept of a spool is worked out anew. */
async function anew(spoolId: string): Promise<boolean> {
	let asked = false;
	await toldOfSpools(t.db, [spoolId], (_, ids) => {
		asked = true;
		return Promise.resolve(new Map(ids.map((id) => [id, 'told'])));
	});
	return asked;
}

const read = (spoolId: string) =>
	postReading(t.db, checked(readingBody, { spoolId, quantity: 'diameter', typed: '1.75', takenAt: at }), NOW);

/** All that a number of the trial rests on. */
const CHANGES: Record<string, () => Promise<unknown>> = {
	'a reading of its spool': async () => (is.reading = (await read(is.spool)).answer.id),
	'a correction of that reading': () =>
		postAmendment(
			t.db,
			checked(amendmentBody, { targetKind: 'reading', targetId: is.reading, action: 'exclude', reason: 'a slip', at }),
			NOW
		),
	'its rules': () => postProtocol(t.db, checked(protocolBody, { trialId: is.trial, repeats: 9 }), NOW),
	'its importance': () => postCriteria(t.db, checked(criteriaBody, { trialId: is.trial, items: [] }), NOW),
	'a spool that joins': () => postTrialSpool(t.db, checked(trialSpoolBody, { trialId: is.trial, spoolId: is.loose }), NOW),
	'a spool that leaves': () => postTrialLeave(t.db, checked(trialLeaveBody, { trialId: is.trial, spoolId: is.loose }), NOW),
	'a verdict': async () =>
		(is.verdict = (
			await postVerdict(t.db, checked(verdictBody, { trialId: is.trial, spoolId: is.spool, kind: 'buy', at }), NOW)
		).answer.id),
	'a verdict taken back': () => postArchiving(t.db, checked(archivingBody, { kind: 'verdict', targetId: is.verdict, archived: true }), NOW),
	'its name': () => postTrialFacts(t.db, checked(trialFactsBody, { trialId: is.trial, name: 'Stamped anew' }), NOW),
	'put away': () => postArchiving(t.db, checked(archivingBody, { kind: 'trial', targetId: is.trial, archived: true }), NOW),
	blind: () => postBlind(t.db, checked(blindBody, { trialId: is.trial, blind: true }), NOW),
	'an own measure of another trial': () =>
		postOwnMeasure(t.db, checked(ownMeasureBody, { trialId: is.other, name: 'Shine', low: 0, high: 9 }), NOW),
	'an own measure put right': () => postOwnMeasureFacts(t.db, checked(ownMeasureFactsBody, { measureId: is.measure, high: 12 }), NOW),
	'what a printer can do': () => postPrinterFacts(t.db, checked(printerFactsBody, { printerId: is.printer, enclosed: true }), NOW),
	'the handbook': () => postHandbook(t.db, checked(handbookBody, { material: 'PETG', figures: null }), NOW),
	'a test piece': () => postPiece(t.db, checked(pieceBody, { name: 'Tower', marks: [{ mark: 'strings', steps: null }] }), NOW),
	'priors that it is judged by': async () => {
		const id = v7();
		await t.db.insert(priorSet).values({ id, number: 1, learntBy: v7(), learntFrom: 'x', content: {} as never, createdAt: NOW });
		await t.db.insert(trialPriorSet).values({ id: v7(), trialId: is.trial, priorSetId: id, createdAt: NOW });
	},
	'a restore': () => t.db.update(server).set({ epoch: v7() })
};

describe('the stamp of what a list shows', () => {
	it.each(Object.entries(CHANGES))('is another one after: %s', async (_, change) => {
		await anew(is.spool);
		const before = await stampOfTrial();
		expect(await stampOfTrial()).toBe(before);
		expect(await anew(is.spool)).toBe(false);
		await change();
		expect(await stampOfTrial()).not.toBe(before);
		expect(await anew(is.spool)).toBe(true);
	});

	it('stays where something else changed', async () => {
		await anew(is.spool);
		const before = await stampOfTrial();
		await read(is.never);
		await postNote(t.db, checked(noteBody, { targetKind: 'spool', targetId: is.spool, text: 'a note moves no number', at }), NOW);
		await postProtocol(t.db, checked(protocolBody, { trialId: is.other, repeats: 3 }), NOW);
		expect(await stampOfTrial()).toBe(before);
		expect(await anew(is.spool)).toBe(false);
	});

	it('of a spool outside trials goes by its own revision', async () => {
		await anew(is.loose);
		expect(await anew(is.loose)).toBe(false);
		await read(is.loose);
		expect(await anew(is.loose)).toBe(true);
	});

	it('a spool whose trial cannot be worked out in time is left out, not told as it was', async () => {
		await read(is.loose);
		const told = await toldOfSpools(t.db, [is.loose], () => Promise.reject(new Error('not asked')), -1);
		expect(told.size).toBe(0);
	});
});
