import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { checked, errorsOf } from '../../../../../tests/support/checked';
import { testDatabase, type TestDatabase } from '../../../../../tests/support/database';
import { pricePerKgOf } from '../../../core/stations/cost/price-per-kg';
import { stated } from '../../../core/record/claims/stated';
import { amendmentBody } from '../../../schemas/amendment';
import { bundle as bundleSchema, bundleImportBody } from '../../../schemas/exchange';
import { intakeBody, productFactsBody, spoolFactsBody } from '../../../schemas/spool';
import { blindBody, trialBody } from '../../../schemas/trial';
import { postAmendment } from '../../answers/amendments/post';
import { amendment } from '../../base/db/schema';
import { loadEvidence } from '../../record/evidence/load';
import { exportBundle, importBundle } from '../../exchange/bundle';
import { addSpool } from './add-spool';
import { searchSpools } from '../../answers/spools/search';
import { postSpoolFacts } from './facts';
import { loadSpool } from '../../answers/spools/load';
import { postBlind, postTrial } from '../../answers/trials/post';
import { postProductFacts } from './product';

const NOW = Date.parse('2026-11-01T12:00:00Z');
const at = '2026-11-01T11:00:00Z';
let t: TestDatabase;
beforeAll(async () => (t = await testDatabase()));
afterAll(() => t.close());

const reel = async (given: object = {}, trialId?: string) =>
	(
		await addSpool(
			t.db,
			checked(intakeBody, { material: 'PETG', maker: 'Lathe', filament: 'Everyday', price: '20', netMass: '1 kg', at, trialId, ...given }),
			NOW
		)
	).answer;
const correct = (spoolId: string, said: object) =>
	postProductFacts(t.db, checked(productFactsBody, { spoolId, reason: 'a slip', ...said }), NOW);
const spoolOf = async (id: string, db = t.db) => (await loadEvidence(db, [id]))[0]?.spool;
const undo = async (targetKind: string, targetId: string) => {
	const rows = (await t.db.select().from(amendment)).filter((a) => a.targetId === targetId && a.action === 'correct');
	return postAmendment(t.db, checked(amendmentBody, { targetKind, targetId, action: 'undo', undoesId: rows.at(-1)?.id, at }), NOW + 1);
};

describe('what a reel is called by', () => {
	it('is put right for every reel of the product, found by its new name, and undone', async () => {
		const [a, b] = [await reel(), await reel()];
		expect(a.filamentId).toBe(b.filamentId);
		const before = (await spoolOf(b.spoolId))?.revision ?? 0;
		await correct(a.spoolId, { material: 'ASA', maker: 'Lathe & Sons', filament: 'Outdoor' });
		expect(await spoolOf(b.spoolId)).toMatchObject({ material: 'ASA', maker: 'Lathe & Sons', filament: 'Outdoor' });
		expect((await spoolOf(b.spoolId))?.revision).toBeGreaterThan(before);
		expect((await searchSpools(t.db, 'Outdoor')).map((s) => s.id).sort()).toEqual([a.spoolId, b.spoolId].sort());
		await correct(a.spoolId, { material: 'ABS' });
		expect(await spoolOf(a.spoolId)).toMatchObject({ material: 'ABS', maker: 'Lathe & Sons', filament: 'Outdoor' });
		await undo('filament', a.filamentId);
		expect(await spoolOf(b.spoolId)).toMatchObject({ material: 'ASA', maker: 'Lathe & Sons' });
	});
	it('goes back to what was entered first when the only correction is undone', async () => {
		const { spoolId, filamentId } = await reel({ maker: 'Tern', filament: 'Plain' });
		await correct(spoolId, { material: 'PLA' });
		await undo('filament', filamentId);
		expect(await spoolOf(spoolId)).toMatchObject({ material: 'PETG', maker: 'Tern', filament: 'Plain' });
	});
	it('a bench code is changed to a free one only, and comes back', async () => {
		const [a, b] = [await reel(), await reel()];
		expect(await errorsOf(() => correct(a.spoolId, { benchCode: b.benchCode }))).toMatchObject([{ path: 'benchCode', code: 'codeTaken' }]);
		await correct(a.spoolId, { benchCode: 'QQ7' });
		expect((await spoolOf(a.spoolId))?.code).toBe('QQ7');
		await undo('spool', a.spoolId);
		expect((await spoolOf(a.spoolId))?.code).toBe(a.benchCode);
		expect((await spoolOf(b.spoolId))?.code).toBe(b.benchCode);
	});
	it('the net mass is that of the label and of every price reckoned with it', async () => {
		const { spoolId } = await reel({ maker: 'Tern', filament: 'Small' });
		await correct(spoolId, { netMass: '800 g' });
		const [e] = await loadEvidence(t.db, [spoolId]);
		expect(stated(e?.claims ?? [], 'netMassG')?.value).toBe(800);
		expect(e?.quotes.map((q) => pricePerKgOf(q))).toEqual([25]);
		expect(await errorsOf(() => correct(spoolId, { netMass: '1' }))).toMatchObject([{ path: 'netMass', code: 'netMassSlip' }]);
	});
	it('a price can be marked invalid, and restored', async () => {
		const { spoolId } = await reel({ maker: 'Tern', filament: 'Dear' });
		const quotes = async () => (await loadEvidence(t.db, [spoolId]))[0]?.quotes.map((q) => q.id);
		const [id] = (await quotes()) ?? [];
		const amend = (action: string) =>
			postAmendment(t.db, checked(amendmentBody, { targetKind: 'quote', targetId: id, action, reason: 'another shop', at }), NOW + 2);
		await amend('exclude');
		expect(await quotes()).toEqual([]);
		await amend('reinstate');
		expect(await quotes()).toEqual([id]);
	});
	it('is no way around a blind trial', async () => {
		const trialId = (await postTrial(t.db, checked(trialBody, { name: 'Unseen' }), NOW)).answer.id;
		const { spoolId } = await reel({ maker: 'Plover', filament: 'Plain' }, trialId);
		await correct(spoolId, { maker: 'Plover Works', netMass: '900 g' });
		await postSpoolFacts(t.db, checked(spoolFactsBody, { spoolId, obtained: 'suppliedFree', colourName: 'slate', at }), NOW);
		const told = async () => (await loadSpool(t.db, spoolId, NOW)).amendments.map((a) => a.targetKind);
		expect((await told()).sort()).toEqual(['filament', 'quote', 'spool']);
		await postSpoolFacts(t.db, checked(spoolFactsBody, { spoolId, colourName: 'dark slate', at }), NOW + 1);
		await postBlind(t.db, checked(blindBody, { trialId, blind: true }), NOW + 2);
		const hidden = await loadSpool(t.db, spoolId, NOW);
		expect(hidden.amendments.map((a) => a.replacement)).toEqual([{ colourName: 'dark slate' }]);
		expect(hidden.struckQuotes).toEqual([]);
	});
	it('needs a reason and a change', async () => {
		const { spoolId } = await reel({ maker: 'Tern', filament: 'Same' });
		expect(await errorsOf(() => correct(spoolId, { material: 'PETG' }))).toMatchObject([{ path: 'reason', code: 'nothingCorrected' }]);
		expect(await errorsOf(() => correct(spoolId, { material: 'PLA', reason: '' }))).toMatchObject([{ path: 'reason' }]);
		expect(await errorsOf(() => correct(v7(), { material: 'PLA' }))).toMatchObject([{ path: 'spoolId', code: 'unknownId' }]);
	});
	it('such facts are only undone by an amendment, never struck out', async () => {
		const { spoolId } = await reel();
		const strike = () =>
			postAmendment(t.db, checked(amendmentBody, { targetKind: 'spool', targetId: spoolId, action: 'exclude', reason: 'x', at }), NOW);
		expect(await errorsOf(strike)).toMatchObject([{ path: 'action', code: 'onlyUndone' }]);
	});
});

describe('a corrected product in bundles', () => {
	it('from before its correction fits the bench, and from after it corrects a bench that has the slip', async () => {
		const trialId = (await postTrial(t.db, checked(trialBody, { name: 'Brackets' }), NOW)).answer.id;
		const { spoolId, filamentId } = await reel({ maker: 'Heron', filament: 'Rigid' }, trialId);
		const take = (db: TestDatabase['db'], bundle: unknown) => importBundle(db, bundleImportBody.parse({ id: v7(), bundle }), NOW);
		const out = async () => bundleSchema.parse(JSON.parse(JSON.stringify(await exportBundle(t.db, trialId, NOW))));
		const before = await out();
		await correct(spoolId, { material: 'PA6', maker: 'Heron Works' });
		expect((await take(t.db, before)).answer.fresh).toBe(0);
		expect(await spoolOf(spoolId)).toMatchObject({ material: 'PA6', maker: 'Heron Works' });
		const after = await out();
		const other = await testDatabase();
		try {
			await take(other.db, before);
			expect(await spoolOf(spoolId, other.db)).toMatchObject({ material: 'PETG', maker: 'Heron' });
			await take(other.db, after);
			expect(await spoolOf(spoolId, other.db)).toMatchObject({ material: 'PA6', maker: 'Heron Works' });
			// A file may hold what no form sends: a correction struck out, or an undo of none.
			const by = (action: string) =>
				(after.tables.amendments ?? []).map((row) => ({ ...row, id: v7(), action, replacement: null, undoesId: v7() }));
			const bring = (action: string) => take(other.db, { ...after, tables: { ...after.tables, amendments: by(action) } });
			expect(await errorsOf(() => bring('exclude'))).toMatchObject([{ code: 'onlyUndone' }]);
			const third = await testDatabase();
			await take(third.db, { ...before, tables: { ...before.tables, amendments: by('undo') } }).finally(() => third.close());
			const changed = structuredClone(after);
			for (const row of changed.tables.filaments ?? []) if (row.id === filamentId) row.material = 'PC';
			expect(await errorsOf(() => take(other.db, changed))).toMatchObject([{ code: 'hereOtherwise' }]);
		} finally {
			await other.close();
		}
	});
});
