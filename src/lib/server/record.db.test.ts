import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testDatabase, type TestDatabase } from '../../../tests/support/database';
import { amendmentBody, instrumentBody, noteBody } from '../schemas/amendment';
import { attemptBody, type AttemptInput } from '../schemas/attempt';
import { eventBody } from '../schemas/event';
import { read } from '../schemas/read';
import { readingBody, type ReadingInput } from '../schemas/reading';
import { intakeBody, intakeListBody, quoteBody, spoolFactsBody, type IntakeInput } from '../schemas/spool';
import { trialBody, verdictBody, type TrialInput } from '../schemas/trial';
import { postAmendment } from './answers/amendments/post';
import { piece, reading, spool, verdict, writeLog } from './base/db/schema';
import { conditionOf } from '$lib/core/record/conditions/condition-at';
import { loadEvidence } from './record/evidence/load';
import { addSpool, addSpools } from './stations/intake/add-spool';
import { postNote } from './stations/notes/post';
import { postAttempt } from './stations/prints/post-attempt';
import { Problem, refuse } from './base/problem';
import { postReading } from './stations/readings/post';
import { loadSpool } from './answers/spools/load';
import { postQuote } from './stations/cost/post';
import { postSpoolFacts } from './stations/intake/facts';
import { inferBefore } from '../core/stations/moisture/weighings';
import { postEvent } from './stations/events/post-event';
import { searchSpools } from './answers/spools/search';
import { pickOf, sheetOf } from './answers/trials/findings';
import { loadTrial } from './answers/trials/load';
import { postBlind, postHouseSpool, postTrial } from './answers/trials/post';
import { postInstrument } from './stations/workshop/workshop';
import { postVerdict } from './answers/verdicts/post';
import { sql } from 'drizzle-orm';

const NOW = Date.parse('2026-10-01T12:00:00Z');
const at = '2026-10-01T11:00:00Z';
let t: TestDatabase;
beforeAll(async () => (t = await testDatabase()));
afterAll(() => t.close());

/** Through the same door as every route. */
function checked<S extends Parameters<typeof read>[0]>(schema: S, input: unknown) {
	const parsed = read(schema, input);
	if (!parsed.ok) throw refuse(parsed.errors);
	return parsed.value;
}
const intake = (given: Partial<IntakeInput> = {}) =>
	addSpool(
		t.db,
		checked(intakeBody, { id: v7(), material: 'PETG', price: '21,90', netMass: '1 kg', labelNozzle: '230-245', at, ...given }),
		NOW
	);
const readDiameter = (spoolId: string, typed: string, more: Partial<ReadingInput> = {}) =>
	postReading(t.db, checked(readingBody, { id: v7(), spoolId, quantity: 'diameter', typed, takenAt: at, ...more }), NOW);
const print = (spoolId: string, more: Partial<AttemptInput> = {}) =>
	postAttempt(t.db, checked(attemptBody, { id: v7(), spoolId, outcome: 'finished', at, ...more }), NOW);
const trialOf = async (given: Partial<TrialInput> = {}) =>
	(await postTrial(t.db, checked(trialBody, { id: v7(), name: 'Clips', ...given }), NOW)).answer.id;
const errorsOf = async (work: Promise<unknown>) => {
	const error = await work.then(
		() => null,
		(e: unknown) => e
	);
	expect(error).toBeInstanceOf(Problem);
	return (error as Problem).errors.map((e) => `${e.path} ${e.code}`);
};
const count = async (table: typeof reading | typeof spool | typeof writeLog) =>
	Number((await t.db.select({ n: sql<string>`COUNT(*)` }).from(table))[0]?.n);

describe('idempotent writes', () => {
	it('same id and body: the first answer, one row; also when sent at once', async () => {
		const { spoolId } = (await intake()).answer;
		const body = checked(readingBody, { id: v7(), spoolId, quantity: 'diameter', typed: '1,76', takenAt: at });
		const before = await count(reading);
		const results = await Promise.all([1, 2, 3, 4].map(() => postReading(t.db, body, NOW)));
		expect(new Set(results.map((r) => JSON.stringify(r.answer))).size).toBe(1);
		expect(results.filter((r) => !r.repeated)).toHaveLength(1);
		expect(await count(reading)).toBe(before + 1);
	});
	it('same id, other body: 409, nothing stored', async () => {
		const { spoolId } = (await intake()).answer;
		const id = v7();
		await readDiameter(spoolId, '1.75', { id });
		await expect(readDiameter(spoolId, '1.76', { id })).rejects.toMatchObject({ status: 409 });
		const [evidence] = await loadEvidence(t.db, [spoolId]);
		expect(evidence?.readings.filter((r) => r.quantity === 'diameter').map((r) => r.value)).toEqual([1.75]);
	});
	it('a refused write leaves no mark, so that the corrected one may use the id', async () => {
		const { spoolId } = (await intake()).answer;
		const id = v7();
		const before = await count(writeLog);
		expect(await errorsOf(readDiameter(spoolId, '1750', { id }))).toEqual(['typed slip']);
		expect(await count(writeLog)).toBe(before);
		expect((await readDiameter(spoolId, '1.75', { id })).repeated).toBe(false);
	});
});

describe('intake', () => {
	it('takes four things and proposes the code', async () => {
		const { answer } = await intake();
		const [evidence] = await loadEvidence(t.db, [answer.spoolId]);
		expect(evidence?.spool).toMatchObject({ code: answer.benchCode, material: 'PETG', maker: 'maker not noted' });
		expect(evidence?.quotes[0]).toMatchObject({ priceMinor: 2190, netMassG: 1000, quantity: 1 });
		expect(evidence?.claims.find((c) => c.quantity === 'nozzleHighC')?.value).toBe(245);
		expect(evidence?.events[0]?.kind).toBe('opened');
	});
	it('two spools of one product share the filament and its claims', async () => {
		const a = await intake({ maker: 'Osmund Reel', filament: 'Plain', labelTolerance: '±0.03 mm' });
		const b = await intake({ maker: 'Osmund Reel', filament: 'Plain', lot: 'L2' });
		expect(b.answer.filamentId).toBe(a.answer.filamentId);
		const [second] = await loadEvidence(t.db, [b.answer.spoolId]);
		expect(second?.claims.find((c) => c.quantity === 'diameterTolerance')?.value).toBe(0.03);
		expect(second?.spool.lot).toBe('L2');
	});
	it.each([
		[{ price: 'cheap' }, 'price notAPrice'],
		[{ price: '-3' }, 'price notPositive'],
		[{ netMass: '0' }, 'netMass notPositive'],
		[{ netMass: '1' }, 'netMass netMassSlip'],
		[{ netMass: '3 stone' }, 'netMass unknownUnit'],
		[{ labelNozzle: 'hot' }, 'labelNozzle notANozzleTemperature'],
		[{ labelNozzle: '21' }, 'labelNozzle nozzleOutOfRange'],
		[{ grossMass: '200', tare: '240' }, 'grossMass notAboveTare'],
		[{ benchCode: 'PA4' }, 'benchCode codeSpellsMaterial'],
		[{ benchCode: 'toolong' }, 'benchCode notABenchCode'],
		[{ material: 'x'.repeat(41) }, 'material tooLong'],
		[{ note: 'x'.repeat(2001) }, 'note tooLong'],
		[{ at: '2027-01-01T00:00:00Z' }, 'at future'],
		[{ zone: 'Mars/Olympus' }, 'zone unknownZone']
	])('refuses %j at its field and stores nothing', async (given, expected) => {
		const before = await count(spool);
		expect(await errorsOf((async () => await intake(given as Partial<IntakeInput>))())).toContain(expected);
		expect(await count(spool)).toBe(before);
	});
	it('spools taken in at the same moment get codes of their own', async () => {
		const taken = await Promise.all(Array.from({ length: 6 }, () => intake()));
		expect(new Set(taken.map((x) => x.answer.benchCode)).size).toBe(6);
	});
	it('refuses a code that is on the bench', async () => {
		await intake({ benchCode: 'ZU9' });
		expect(await errorsOf(intake({ benchCode: 'ZU9' }))).toEqual(['benchCode codeTaken']);
	});
	it('a list is taken whole or not at all, errors name their rows', async () => {
		const row = (more: object = {}) => ({ id: v7(), material: 'PLA', price: '18', netMass: '1000', at, ...more });
		const before = await count(spool);
		const bad = checked(intakeListBody, { id: v7(), rows: [row(), row({ price: 'abc' }), row(), row({ netMass: '-5' })] });
		expect(await errorsOf(addSpools(t.db, bad, NOW))).toEqual(['rows.1.price notAPrice', 'rows.3.netMass notPositive']);
		expect(await count(spool)).toBe(before);
		await addSpools(t.db, checked(intakeListBody, { id: v7(), rows: [row(), row()] }), NOW);
		expect(await count(spool)).toBe(before + 2);
		expect(read(intakeListBody, { id: v7(), rows: [] }).ok).toBe(false);
	});
});

describe('readings', () => {
	it('keeps text and unit as typed beside the canonical value', async () => {
		const { spoolId } = (await intake()).answer;
		await readDiameter(spoolId, '1760 um', { placeIndex: 2, direction: 'across' });
		const [evidence] = await loadEvidence(t.db, [spoolId]);
		expect(evidence?.readings.at(-1)).toMatchObject({
			value: 1.76,
			typedText: '1760 um',
			typedUnit: 'um',
			placeIndex: 2,
			direction: 'across'
		});
	});
	it.each([
		['abc', 'typed notANumber'],
		['1750', 'typed slip'],
		['0', 'typed notPositive'],
		['1.75 furlong', 'typed unknownUnit']
	])('refuses %s', async (typed, expected) => {
		const { spoolId } = (await intake()).answer;
		expect(await errorsOf(readDiameter(spoolId, typed))).toEqual([expected]);
	});
	it('refuses unknown spools, prints and instruments, and the future', async () => {
		const { spoolId } = (await intake()).answer;
		expect(await errorsOf(readDiameter(v7(), '1.75'))).toEqual(['spoolId unknownId']);
		expect(await errorsOf(readDiameter(spoolId, '1.75', { instrumentId: v7() }))).toEqual(['instrumentId unknownId']);
		expect(await errorsOf(readDiameter(spoolId, '1.75', { takenAt: '2026-10-02T00:00:00Z' }))).toEqual(['takenAt future']);
		expect(await errorsOf(readDiameter(spoolId, 'none', { quantity: 'strings' }))).toEqual(['attemptId markWithoutPrint']);
	});
	it('refuses a tare above the gross mass already weighed', async () => {
		const { spoolId } = (await intake({ grossMass: '1240' })).answer;
		expect(await errorsOf(readDiameter(spoolId, '1300', { quantity: 'tareMass' }))).toEqual(['typed grossBelowTare']);
	});
});

describe('remembered evidence', () => {
	it('is read anew when anything it rests on changed, also through another spool of the filament', async () => {
		const product = { maker: 'Osmund Reel', filament: 'Twin' };
		const a = (await intake(product)).answer;
		const b = (await intake(product)).answer;
		const load = async (id: string) => (await loadEvidence(t.db, [id]))[0];
		const first = await load(a.spoolId);
		expect(await load(a.spoolId)).toBe(first);
		await postQuote(
			t.db,
			checked(quoteBody, { id: v7(), filamentId: a.filamentId, spoolId: b.spoolId, currency: 'EUR', price: '30', netMass: '1 kg', at }),
			NOW
		);
		expect((await load(a.spoolId))?.quotes.map((q) => q.priceMinor)).toContain(3000);
		await postSpoolFacts(t.db, checked(spoolFactsBody, { id: v7(), spoolId: b.spoolId, labelTolerance: '0.04', at }), NOW);
		expect((await load(a.spoolId))?.claims.find((c) => c.quantity === 'diameterTolerance')?.value).toBe(0.04);
		await readDiameter(a.spoolId, '1.75');
		expect((await load(a.spoolId))?.readings.filter((r) => r.quantity === 'diameter')).toHaveLength(1);
	});
});

describe('amendments', () => {
	const amend = (targetId: string, more: object) =>
		postAmendment(t.db, checked(amendmentBody, { id: v7(), targetKind: 'reading', targetId, at, ...more }), NOW);
	it('correct, exclude, undo: all stay, the raw row never changes', async () => {
		const { spoolId } = (await intake()).answer;
		const { id } = (await readDiameter(spoolId, '1.57')).answer;
		const now = async () => (await loadEvidence(t.db, [spoolId]))[0]?.readings.find((r) => r.id === id);
		await amend(id, { action: 'correct', typed: '1.75', reason: 'digits swapped' });
		expect(await now()).toMatchObject({ value: 1.75, corrected: true, status: 'counts' });
		const exclusion = (await amend(id, { action: 'exclude', reason: 'kink' })).answer.id;
		expect(await now()).toMatchObject({ status: 'excluded' });
		await amend(id, { action: 'undo', undoesId: exclusion });
		expect(await now()).toMatchObject({ value: 1.75, status: 'counts' });
		const whole = await loadSpool(t.db, spoolId, NOW);
		expect(whole.amendments.filter((a) => a.targetId === id)).toHaveLength(3);
		expect(whole.raw).toEqual([{ id, value: 1.57, typedText: '1.57', typedUnit: 'mm' }]);
	});
	it('a corrected value passes the same door, and wants a reason', async () => {
		const { spoolId } = (await intake()).answer;
		const { id } = (await readDiameter(spoolId, '1.57')).answer;
		expect(await errorsOf(amend(id, { action: 'correct', typed: '1750', reason: 'x' }))).toEqual(['typed slip']);
		expect(() => checked(amendmentBody, { id: v7(), targetKind: 'reading', targetId: id, action: 'exclude', at })).toThrow(Problem);
		await expect(amend(v7(), { action: 'exclude', reason: 'x' })).rejects.toMatchObject({ status: 404 });
		expect(await errorsOf(amend(id, { action: 'undo', undoesId: v7() }))).toEqual(['undoesId unknownId']);
	});
	it('a failure charged wrongly can be charged anew', async () => {
		const { spoolId } = (await intake()).answer;
		const { id } = (await print(spoolId, { outcome: 'failed', percentReached: 30, cause: 'filament' })).answer;
		await amend(id, { targetKind: 'attempt', action: 'correct', replacement: { cause: 'printer' }, reason: 'belt was loose' });
		expect((await loadEvidence(t.db, [spoolId]))[0]?.attempts[0]).toMatchObject({ cause: 'printer', corrected: true, percentReached: 30 });
	});
	it('a print is put right: how it ended, its piece, settings and time, and then stands in its right place', async () => {
		const { spoolId } = (await intake()).answer;
		const first = (await print(spoolId, { at: '2026-10-01T08:00:00Z' })).answer.id;
		const second = (await print(spoolId, { at: '2026-10-01T09:00:00Z' })).answer.id;
		const other = v7();
		await t.db.insert(piece).values({ id: other, familyId: other, version: 1, name: 'hook', createdAt: NOW });
		const replace = (replacement: object) =>
			amend(second, { targetKind: 'attempt', action: 'correct', replacement, reason: 'noted on the wrong line' });
		await replace({ pieceId: other, settings: { nozzleC: 245 }, at: '2026-10-01T07:00:00Z' });
		await replace({ outcome: 'failed', percentReached: 60, cause: 'filament', failure: 'lifted' });
		const attempts = (await loadEvidence(t.db, [spoolId]))[0]?.attempts ?? [];
		expect(attempts.map((a) => a.id)).toEqual([second, first]);
		expect(attempts[0]).toMatchObject({
			pieceId: other,
			at: Date.parse('2026-10-01T07:00:00Z'),
			settings: { nozzleC: 245, bedC: null },
			outcome: 'failed',
			percentReached: 60,
			failure: 'lifted'
		});
		expect(await errorsOf(replace({ pieceId: v7() }))).toEqual(['replacement.pieceId unknownId']);
		expect(await errorsOf(replace({ at: '2026-10-09T07:00:00Z' }))).toEqual(['replacement.at future']);
		expect(await errorsOf(replace({ outcome: 'failed', cause: 'filament' }))).toEqual(['replacement.percentReached percentMissing']);
		expect(await errorsOf(replace({ outcome: 'failed', percentReached: 100, cause: 'filament' }))).toEqual([
			'replacement.percentReached percentWhole'
		]);
		expect(await errorsOf(replace({ outcome: 'ofNoUse' }))).toEqual(['replacement.cause causeMissing']);
	});
	it('a print noted in the wrong state has the one that was said, until that is undone; its spool keeps its history', async () => {
		const { spoolId } = (await intake()).answer;
		const { id, condition } = (await print(spoolId, { condition: 'dried', at: '2026-10-01T08:00:00Z' })).answer;
		expect(condition).toBe('dried');
		const states = async () => {
			const [spool] = await loadEvidence(t.db, [spoolId]);
			return spool?.attempts.map((a) => conditionOf(spool, a).kind);
		};
		const wrong = { targetKind: 'attempt' as const, action: 'correct' as const, reason: 'never was in the dryer' };
		const { id: corrected } = (await amend(id, { ...wrong, replacement: { condition: 'asReceived' } })).answer;
		await print(spoolId, { at: '2026-10-01T09:00:00Z' });
		expect(await states()).toEqual(['asReceived', 'dried']);
		await amend(id, { targetKind: 'attempt', action: 'undo', undoesId: corrected });
		expect(await states()).toEqual(['dried', 'dried']);
	});
	it('a reading taken with another caliper than was noted', async () => {
		const { spoolId } = (await intake()).answer;
		const { id } = (await readDiameter(spoolId, '1.75')).answer;
		const caliper = v7();
		await postInstrument(
			t.db,
			checked(instrumentBody, { id: caliper, name: 'second caliper', errorLimit: '0.02 mm', resolution: '0.01 mm' }),
			NOW
		);
		const right = (instrumentId: string) => amend(id, { action: 'correct', instrumentId, reason: 'the other drawer' });
		await right(caliper);
		expect((await loadEvidence(t.db, [spoolId]))[0]?.readings.find((r) => r.id === id)).toMatchObject({
			instrumentId: caliper,
			value: 1.75,
			corrected: true
		});
		expect(await errorsOf(right(v7()))).toEqual(['instrumentId unknownId']);
	});
});

describe('what else happened to a spool', () => {
	const say = (spoolId: string, kind: string, when = at) =>
		Promise.resolve(postEvent(t.db, checked(eventBody, { id: v7(), spoolId, kind, at: when, zone: 'UTC' }), NOW));
	it('is kept with its moment, and what it lost since is then no water', async () => {
		const { spoolId } = (await intake()).answer;
		await say(spoolId, 'cutOff');
		const [evidence] = await loadEvidence(t.db, [spoolId]);
		expect(evidence?.events.map((e) => [e.kind, e.at])).toEqual([
			['opened', Date.parse(at)],
			['cutOff', Date.parse(at)]
		]);
		expect(evidence && inferBefore(evidence, Date.parse(at) - 1, NOW)).toBe('print');
	});
	it('refuses what other entries tell, an unknown spool and the future', async () => {
		const { spoolId } = (await intake()).answer;
		expect(await errorsOf((async () => await say(spoolId, 'dried'))())).toEqual(['kind oneOf']);
		expect(await errorsOf(say(v7(), 'cutOff'))).toEqual(['spoolId unknownId']);
		expect(await errorsOf(say(spoolId, 'cutOff', '2026-10-09T11:00:00Z'))).toEqual(['at future']);
	});
});

describe('attempts', () => {
	it('keeps marks as readings of the print', async () => {
		const { spoolId } = (await intake()).answer;
		const { answer } = await print(spoolId, {
			marks: { overhangLastClean: '65', overhangFirstFaulty: '70', bridgeLongestClean: '30', strings: 'wisp' }
		});
		expect(answer).toMatchObject({ condition: 'asReceived', marks: 4 });
		const [evidence] = await loadEvidence(t.db, [spoolId]);
		expect(evidence?.readings.filter((r) => r.attemptId === answer.id)).toHaveLength(4);
	});
	it('saying "dried" records the drying; going back is refused', async () => {
		const { spoolId } = (await intake()).answer;
		expect((await print(spoolId, { condition: 'dried' })).answer.condition).toBe('dried');
		expect((await loadEvidence(t.db, [spoolId]))[0]?.events.map((e) => e.kind)).toContain('dried');
		expect((await print(spoolId)).answer.condition).toBe('dried');
		expect(await errorsOf(print(spoolId, { condition: 'asReceived' }))).toEqual(['condition conditionContradicted']);
	});
	it.each([
		[{ outcome: 'failed', cause: 'filament' }, 'percentReached percentMissing'],
		[{ outcome: 'failed', percentReached: 30 }, 'cause causeMissing'],
		[{ outcome: 'failed', percentReached: 140, cause: 'printer' }, 'percentReached atMost'],
		[{ marks: { overhangLastClean: '70', overhangFirstFaulty: '65' } }, 'marks.overhangFirstFaulty faultyNotBeyond'],
		[{ marks: { overhangFirstFaulty: '65' } }, 'marks.overhangLastClean cleanStepMissing'],
		[{ marks: { overhangLastClean: '140' } }, 'marks.overhangLastClean outOfRange'],
		[{ marks: { strings: 'some' } }, 'marks.strings oneOf'],
		[{ settings: { nozzleC: 2000 } }, 'settings.nozzleC atMost']
	])('refuses %j', async (given, expected) => {
		const { spoolId } = (await intake()).answer;
		expect(await errorsOf((async () => await print(spoolId, given as Partial<AttemptInput>))())).toContain(expected);
		expect((await loadEvidence(t.db, [spoolId]))[0]?.attempts).toEqual([]);
	});
});

describe('trials', () => {
	it('the house spool joins by itself, first on the sheet', async () => {
		const house = (await intake({ maker: 'Osmund Reel' })).answer.spoolId;
		await postHouseSpool(t.db, { id: v7(), spoolId: house }, NOW);
		const candidate = (await intake()).answer.spoolId;
		const whole = await loadTrial(t.db, await trialOf({ spoolIds: [candidate] }));
		expect(whole.spools.map((s) => s.spool.id)).toEqual([house, candidate]);
		expect(whole.roles[house]).toBe('house');
	});
	it('refuses an unknown spool by its place', async () => {
		expect(await errorsOf(trialOf({ spoolIds: [v7()] }))).toEqual(['spoolIds.0 unknownId']);
	});
	it('blind withholds names and prices everywhere, also from search', async () => {
		const { spoolId, benchCode } = (await intake({ maker: 'Secretmaker', filament: 'Hidden line', colourName: 'moss' })).answer;
		const trialId = await trialOf({ spoolIds: [spoolId], blind: true });
		const whole = await loadTrial(t.db, trialId);
		const text = JSON.stringify([
			whole,
			sheetOf(whole),
			pickOf(whole),
			await loadSpool(t.db, spoolId, NOW),
			await searchSpools(t.db, benchCode)
		]);
		for (const secret of ['Secretmaker', 'Hidden line', '2190']) expect(text).not.toContain(secret);
		expect(await searchSpools(t.db, 'Secretmaker')).toEqual([]);
		expect((await searchSpools(t.db, 'moss')).map((s) => s.code)).toContain(benchCode);
		await postBlind(t.db, { id: v7(), trialId, blind: false }, NOW);
		expect((await searchSpools(t.db, 'Secretmaker')).map((s) => s.code)).toEqual([benchCode]);
	});
	it('search takes all words, finds notes, and takes % as a letter', async () => {
		const { spoolId, benchCode } = (await intake({ material: 'ASA', colourName: 'ochre' })).answer;
		await postNote(t.db, checked(noteBody, { id: v7(), targetKind: 'spool', targetId: spoolId, text: 'smells of 50% pine', at }), NOW);
		expect((await searchSpools(t.db, 'asa ochre')).map((s) => s.code)).toEqual([benchCode]);
		expect((await searchSpools(t.db, '50% pine')).map((s) => s.code)).toEqual([benchCode]);
		expect(await searchSpools(t.db, 'asa %%%')).toEqual([]);
	});
	it('a verdict is frozen with its evidence', async () => {
		const { spoolId } = (await intake()).answer;
		await print(spoolId, { marks: { overhangLastClean: '65' } });
		const trialId = await trialOf({ spoolIds: [spoolId] });
		await postVerdict(t.db, checked(verdictBody, { id: v7(), trialId, spoolId, kind: 'buyFor', buyFor: 'brackets', at }), NOW);
		const [frozen] = await t.db.select().from(verdict).limit(1);
		const before = JSON.stringify(frozen?.snapshot);
		await print(spoolId, { outcome: 'failed', cause: 'filament', percentReached: 10 });
		const [later] = await t.db.select().from(verdict).limit(1);
		expect(JSON.stringify(later?.snapshot)).toBe(before);
		expect(before).toContain('overhang');
		expect(() => checked(verdictBody, { id: v7(), trialId, spoolId, kind: 'buyFor', at })).toThrow(Problem);
	});
	it('asking for what is not there is 404', async () => {
		await expect(loadTrial(t.db, v7())).rejects.toMatchObject({ status: 404 });
		await expect(loadSpool(t.db, v7(), NOW)).rejects.toMatchObject({ status: 404 });
	});
});
