import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { checked } from '../../../../../tests/support/checked';
import { testDatabase, type TestDatabase } from '../../../../../tests/support/database';
import { instrumentBody } from '../../../schemas/amendment';
import { archivingBody } from '../../../schemas/archiving';
import { intakeBody } from '../../../schemas/spool';
import { trialBody, trialFactsBody, verdictBody } from '../../../schemas/trial';
import { addSpool } from '../../stations/intake/add-spool';
import { loadPieces } from '../pieces/load';
import { recallSpools } from '../../answers/spools/recall';
import { loadSpool } from '../../answers/spools/load';
import { listTrials, loadTrial } from '../../answers/trials/load';
import { postTrial, postTrialFacts } from '../../answers/trials/post';
import { postVerdict } from '../../answers/verdicts/post';
import { listWorkshop, postInstrument } from '../../stations/workshop/workshop';
import { postArchiving } from './archive';

const NOW = Date.parse('2026-11-01T12:00:00Z');
let t: TestDatabase;
beforeAll(async () => (t = await testDatabase()));
afterAll(() => t.close());

let moment = NOW;
const archive = (kind: string, targetId: string, archived = true) =>
	postArchiving(t.db, checked(archivingBody, { kind, targetId, archived }), (moment += 1));

describe('what is put away', () => {
	it('a spool is not recalled with the others, is found by asking for it, and comes back', async () => {
		const take = async () =>
			(await addSpool(t.db, checked(intakeBody, { material: 'PETG', colourName: 'teal', at: '2026-11-01T11:00:00Z' }), NOW)).answer.spoolId;
		const [kept, away] = [await take(), await take()];
		const recalled = async (typed: string) => (await recallSpools(t.db, typed)).spools.map((s) => s.id);
		await archive('spool', away);
		expect(await recalled('teal')).toEqual([kept]);
		expect(await recalled('teal, archived')).toEqual([away]);
		expect((await loadSpool(t.db, away, NOW)).archived).toBe(true);
		expect((await loadSpool(t.db, kept, NOW)).archived).toBe(false);
		await archive('spool', away, false);
		expect((await recalled('teal')).sort()).toEqual([kept, away].sort());
	});
	it('a trial says so in the list, and its evidence stays', async () => {
		const id = (await postTrial(t.db, checked(trialBody, { name: 'Hinges' }), NOW)).answer.id;
		const listed = async () => (await listTrials(t.db)).find((one) => one.id === id)?.archived;
		expect(await listed()).toBe(false);
		await archive('trial', id);
		expect(await listed()).toBe(true);
		expect((await loadTrial(t.db, id)).head.name).toBe('Hinges');
	});
	it('an instrument stays known to what was read with it', async () => {
		const id = v7();
		await postInstrument(t.db, checked(instrumentBody, { id, name: 'Caliper C', errorLimit: '0.02 mm', resolution: '0.01 mm' }), NOW);
		await archive('instrument', id);
		expect((await listWorkshop(t.db)).instruments.map((i) => [i.name, i.archived, i.errorLimit])).toContainEqual(['Caliper C', true, 0.02]);
	});
	it('a verdict that is withdrawn decides nothing, anywhere, and is brought back', async () => {
		const trialId = v7();
		await postTrial(t.db, checked(trialBody, { id: trialId, name: 'Winter' }), NOW);
		const taken = await addSpool(t.db, checked(intakeBody, { trialId, material: 'PETG', at: '2026-11-01T11:00:00Z' }), NOW);
		const { spoolId } = taken.answer;
		const said = { trialId, spoolId, kind: 'buy', at: '2026-11-01T11:30:00Z' };
		const { id } = (await postVerdict(t.db, checked(verdictBody, said), NOW)).answer;
		const seen = async () => {
			const whole = await loadTrial(t.db, trialId);
			const [recalled] = (await recallSpools(t.db, '')).spools.filter((s) => s.id === spoolId);
			return [
				whole.verdicts.length,
				whole.withdrawn.length,
				(await loadSpool(t.db, spoolId, NOW)).verdicts.length,
				recalled?.verdict?.kind ?? null
			];
		};
		expect(await seen()).toEqual([1, 0, 1, 'buy']);
		await archive('verdict', id);
		expect(await seen()).toEqual([0, 1, 0, null]);
		await archive('verdict', id, false);
		expect(await seen()).toEqual([1, 0, 1, 'buy']);
	});

	it('a test piece is marked, and prints of it keep it', async () => {
		const [piece] = await loadPieces(t.db);
		await archive('piece', piece?.id ?? '');
		expect((await loadPieces(t.db)).map((p) => p.archived)).toEqual([true]);
		await archive('piece', piece?.id ?? '', false);
		expect((await loadPieces(t.db)).map((p) => p.archived)).toEqual([false]);
	});

	it('nothing unknown', async () => {
		await expect(archive('dryer', v7())).rejects.toMatchObject({ status: 404 });
	});
});

it('the currency of a trial is put right', async () => {
	const id = (await postTrial(t.db, checked(trialBody, { name: 'Hinges in crowns', currency: 'EUR' }), NOW)).answer.id;
	await postTrialFacts(t.db, checked(trialFactsBody, { trialId: id, currency: 'CZK' }), NOW + 10);
	const whole = await loadTrial(t.db, id);
	expect([whole.head.currency, whole.basis.currency, whole.head.name]).toEqual(['CZK', 'CZK', 'Hinges in crowns']);
});
