import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { checked } from '../../../../../tests/support/checked';
import { testDatabase, type TestDatabase } from '../../../../../tests/support/database';
import { attemptBody } from '../../../schemas/attempt';
import { bundleImportBody } from '../../../schemas/exchange';
import { houseSpoolBody, trialBody, verdictBody } from '../../../schemas/trial';
import { intakeBody } from '../../../schemas/spool';
import { archivingBody } from '../../../schemas/archiving';
import { priorSet, trialPriorSet } from '../../base/db/schema';
import { exportBundle, importBundle } from '../../exchange/bundle';
import { addSpool } from '../../stations/intake/add-spool';
import { postAttempt } from '../../stations/prints/post-attempt';
import { loadSpool } from '../spools/load';
import { sheetOf } from '../trials/findings';
import { loadTrial } from '../trials/load';
import { postHouseSpool, postTrial } from '../trials/post';
import { postArchiving } from '../../record/facts/archive';
import { postVerdict } from '../verdicts/post';
import { adoptPriors } from './adopt';
import { learnPriors } from './learn';

const NOW = Date.parse('2026-10-10T12:00:00Z');
const at = (minutes: number) => new Date(NOW - 100_000_000 + minutes * 60_000).toISOString();
let t: TestDatabase;
let minute = 0;
beforeAll(async () => (t = await testDatabase()));
afterAll(() => t.close());

const newTrial = async (name: string) => (await postTrial(t.db, checked(trialBody, { id: v7(), name }), NOW)).answer.id;
const take = async (trialId?: string) =>
	(
		await addSpool(
			t.db,
			checked(intakeBody, { ...(trialId ? { trialId } : {}), material: 'PETG', nothingOdd: true, at: at(minute++) }),
			NOW
		)
	).answer.spoolId;
const print = async (spoolId: string, ...cleans: number[]) => {
	for (const clean of cleans)
		await postAttempt(
			t.db,
			checked(attemptBody, {
				spoolId,
				outcome: 'finished',
				at: at(minute++),
				marks: { overhangLastClean: String(clean), overhangFirstFaulty: String(clean + 5) }
			}),
			NOW
		);
};
const sets = () => t.db.select().from(priorSet).orderBy(priorSet.number);
const overhangOf = async (trialId: string, spoolId: string, db = t.db) =>
	sheetOf(await loadTrial(db, trialId))
		.rows.find((r) => r.spoolId === spoolId)
		?.cells.find((c) => c.quantity === 'overhang')?.findings[0];

describe('what the record teaches', () => {
	let house: string;
	let open: string;
	let candidate: string;
	it('without a record trials are judged by what the house assumes', async () => {
		open = await newTrial('Open');
		candidate = await take(open);
		await print(candidate, 60, 65, 60, 65);
		expect(await learnPriors(t.db, NOW)).toBeNull();
		expect(await adoptPriors(t.db, NOW)).toEqual({ adopted: 0, changed: 0 });
		expect((await loadTrial(t.db, open)).basis.priors).toMatchObject({ id: null, number: 0, marks: [] });
		expect(await overhangOf(open, candidate)).toMatchObject({ n: 4, priorSet: 0 });
	});
	it('a trial teaches nothing about itself while it is not decided; other spools and the house spool do', async () => {
		house = await take();
		await postHouseSpool(t.db, checked(houseSpoolBody, { spoolId: house }), NOW);
		await print(house, 55, 60, 55, 60);
		const loose = await take();
		await print(loose, 70, 70);
		expect(await learnPriors(t.db, NOW + 1)).not.toBeNull();
		const [set] = await sets();
		expect(set).toMatchObject({ number: 1 });
		expect(set?.content.marks.filter((m) => m.quantity === 'overhang' && m.kind === null && m.material === null)).toMatchObject([
			{ cells: 2 }
		]);
		expect(set?.content.success.filter((m) => m.kind === null && m.material === null)).toMatchObject([{ cells: 2 }]);
	});
	it('is learnt once: nothing new, no new set', async () => {
		expect(await learnPriors(t.db, NOW + 2)).toBeNull();
		expect(await sets()).toHaveLength(1);
	});
	it('open trials adopt the set, and every page names it and says the same number', async () => {
		const before = await overhangOf(open, candidate);
		expect(await adoptPriors(t.db, NOW + 3)).toEqual({ adopted: 1, changed: 0 });
		expect(await adoptPriors(t.db, NOW + 4)).toEqual({ adopted: 0, changed: 0 });
		const found = await overhangOf(open, candidate);
		expect(found?.priorSet).toBe(1);
		expect(found?.interval).not.toEqual(before?.interval);
		const onItsPage = (await loadSpool(t.db, candidate, NOW)).findings.find((f) => f.quantity === 'overhang');
		expect(onItsPage).toMatchObject({ estimate: found?.estimate, interval: found?.interval, priorSet: 1 });
	});
	it('a decided trial teaches, and keeps the set it was decided by; a new one begins with the newest', async () => {
		await postVerdict(t.db, checked(verdictBody, { trialId: open, spoolId: candidate, kind: 'buy', at: at(minute++) }), NOW);
		expect(await learnPriors(t.db, NOW + 5)).not.toBeNull();
		expect((await sets()).at(-1)).toMatchObject({ number: 2 });
		expect((await sets()).at(-1)?.content.marks.find((m) => m.quantity === 'overhang' && m.kind === null)?.cells).toBe(3);
		await adoptPriors(t.db, NOW + 6);
		expect((await loadTrial(t.db, open)).basis.priors.number).toBe(1);
		const next = await newTrial('Next');
		expect((await loadTrial(t.db, next)).basis.priors.number).toBe(2);
	});
	it('a bundle carries the set: on another bench the numbers are the same', async () => {
		const bundle = await exportBundle(t.db, open, NOW);
		expect(bundle.tables['prior-sets']).toHaveLength(1);
		const other = await testDatabase();
		await importBundle(other.db, bundleImportBody.parse({ id: v7(), bundle: JSON.parse(JSON.stringify(bundle)) as unknown }), NOW);
		const [here, there] = [await overhangOf(open, candidate), await overhangOf(open, candidate, other.db)];
		expect(there?.priorSet).toBe(1);
		expect(there?.interval).toEqual(here?.interval);
		expect(there?.sampling).toEqual(here?.sampling);
		// It serves the trial it came with: a trial of that bench's own does not begin with what another bench has learnt.
		const own = (await postTrial(other.db, checked(trialBody, { id: v7(), name: 'Own' }), NOW)).answer.id;
		expect((await loadTrial(other.db, own)).basis.priors.number).toBe(0);
		await other.close();
	});
	it('a trial whose verdict was withdrawn is open again, and adopts', async () => {
		const [decided] = (await loadTrial(t.db, open)).verdicts;
		await postArchiving(t.db, checked(archivingBody, { kind: 'verdict', targetId: decided?.id, archived: true }), NOW + 7);
		await adoptPriors(t.db, NOW + 8);
		expect((await loadTrial(t.db, open)).basis.priors.number).toBe(2);
	});
	it('a set that puts another spool first is told with the trial', async () => {
		const close = await newTrial('Close');
		const [one, two] = [await take(close), await take(close)];
		await print(one, 70);
		await print(two, 60, 60);
		const set = (await sets()).at(-1);
		// A record in which such prints hardly differ and no spool is better than 40 degrees: the single good print is drawn in.
		const id = v7();
		await t.db
			.insert(priorSet)
			.values({ ...(set as NonNullable<typeof set>), id, number: 9, learntFrom: 'x'.repeat(64), createdAt: NOW + 9 });
		await t.db
			.insert(trialPriorSet)
			.values({ id: v7(), trialId: close, priorSetId: id, firstBefore: one, firstAfter: two, createdAt: NOW + 9 });
		expect((await loadTrial(t.db, close)).head.turned).toMatchObject({ number: 9, before: one, after: two });
	});
	it('a set that is damaged teaches nothing, and the page works', async () => {
		const trialId = await newTrial('Damaged');
		const id = v7();
		await t.db
			.insert(priorSet)
			.values({ id, number: 10, learntBy: v7(), learntFrom: 'a'.repeat(64), content: { marks: 'gone' } as never, createdAt: NOW + 10 });
		await t.db.insert(trialPriorSet).values({ id: v7(), trialId, priorSetId: id, createdAt: NOW + 10 });
		expect((await loadTrial(t.db, trialId)).basis.priors.number).toBe(0);
	});
});
