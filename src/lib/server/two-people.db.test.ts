import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { pieceBody } from '$lib/schemas/piece';
import { intakeBody, productFactsBody, spoolFactsBody } from '$lib/schemas/spool';
import { criteriaBody, protocolBody, trialBody, trialFactsBody } from '$lib/schemas/trial';
import { checked, errorsOf } from '../../../tests/support/checked';
import { testDatabase, type TestDatabase } from '../../../tests/support/database';
import { loadEvidence } from './record/evidence/load';
import { postProductFacts } from './stations/intake/product';
import { addSpool } from './stations/intake/add-spool';
import { postSpoolFacts } from './stations/intake/facts';
import { postPiece } from './stations/pieces/post';
import { loadTrial } from './answers/trials/load';
import { postCriteria, postProtocol, postTrial, postTrialFacts } from './answers/trials/post';

const NOW = Date.parse('2026-11-01T12:00:00Z');
const at = '2026-11-01T11:00:00Z';
let t: TestDatabase;
let trialId: string;
let spoolId: string;
beforeAll(async () => {
	t = await testDatabase();
	trialId = (await postTrial(t.db, checked(trialBody, { name: 'Shared' }), NOW)).answer.id;
	const taken = await addSpool(
		t.db,
		checked(intakeBody, { material: 'PETG', maker: 'Heron', filament: 'Rigid', netMass: '1 kg', price: '20', at, trialId }),
		NOW
	);
	spoolId = taken.answer.spoolId;
});
afterAll(() => t.close());

const rules = (body: object) => postProtocol(t.db, checked(protocolBody, { trialId, ...body }), NOW);
const weights = (body: object) => postCriteria(t.db, checked(criteriaBody, { trialId, ...body }), NOW);
const facts = (body: object) => postTrialFacts(t.db, checked(trialFactsBody, { trialId, ...body }), NOW);
const product = (body: object) => postProductFacts(t.db, checked(productFactsBody, { spoolId, reason: 'a slip', ...body }), NOW);
const later = (body: object) => postSpoolFacts(t.db, checked(spoolFactsBody, { spoolId, at, ...body }), NOW);
const clash = (path: string, now: string, yours: string) => [{ path, code: 'changedMeanwhile', params: { now, yours } }];

describe('two people at one form', () => {
	it('rules: unlike fields both go in, the same field is refused with both values', async () => {
		await rules({ repeats: 3, seen: { repeats: 1 } });
		await rules({ claimRule: 'anyReading', seen: { claimRule: 'share' } });
		expect((await loadTrial(t.db, trialId)).basis).toMatchObject({ repeats: 3, claimRule: 'anyReading' });
		expect(await errorsOf(() => rules({ repeats: 5, diameterPlaces: 7, seen: { repeats: 1, diameterPlaces: 5 } }))).toEqual(
			clash('repeats', '3', '5')
		);
		expect((await loadTrial(t.db, trialId)).basis).toMatchObject({ repeats: 3, diameterPlaces: 5 });
		await rules({ repeats: 5, seen: { repeats: 3 } });
		expect((await loadTrial(t.db, trialId)).basis.repeats).toBe(5);
	});

	it('weights', async () => {
		const { criteria } = await loadTrial(t.db, trialId);
		const [one, two] = [[{ quantity: 'costPerGoodKg', weight: 3, gate: null }], [{ quantity: 'costPerGoodKg', weight: 9, gate: null }]];
		await weights({ items: one, seen: { items: criteria } });
		expect(await errorsOf(() => weights({ items: two, seen: { items: criteria } }))).toEqual(
			clash('items', JSON.stringify(one), JSON.stringify(two))
		);
		expect((await loadTrial(t.db, trialId)).criteria).toEqual(one);
	});

	it('facts of a trial', async () => {
		await facts({ name: 'Clips', seen: { name: 'Shared' } });
		await facts({ question: 'Which?', seen: { question: '' } });
		expect(await errorsOf(() => facts({ name: 'Hooks', question: 'What?', seen: { name: 'Shared', question: '' } }))).toEqual([
			...clash('name', 'Clips', 'Hooks'),
			...clash('question', 'Which?', 'What?')
		]);
		expect((await loadTrial(t.db, trialId)).head).toMatchObject({ name: 'Clips', question: 'Which?' });
	});

	it('facts of a spool', async () => {
		await later({ lot: 'B7', seen: { lot: '' } });
		await later({ colourName: 'teal', seen: { colourName: '' } });
		expect(await errorsOf(() => later({ lot: 'C9', seen: { lot: '' } }))).toEqual(clash('lot', 'B7', 'C9'));
		expect((await loadEvidence(t.db, [spoolId]))[0]?.spool).toMatchObject({ lot: 'B7', colourName: 'teal' });
	});

	it('a product and its net mass, in whatever unit', async () => {
		await product({ maker: 'Heron Works', seen: { maker: 'Heron' } });
		await product({ netMass: '800 g', seen: { netMass: '1 kg' } });
		expect(await errorsOf(() => product({ maker: 'Tern', seen: { maker: 'Heron' } }))).toEqual(clash('maker', 'Heron Works', 'Tern'));
		expect(await errorsOf(() => product({ netMass: '750 g', seen: { netMass: '1 kg' } }))).toEqual(clash('netMass', '800 g', '750 g'));
		await product({ netMass: '750 g', seen: { netMass: '0.8 kg' } });
	});

	it('a test piece is made from its newest version', async () => {
		const piece = (body: object) =>
			postPiece(t.db, checked(pieceBody, { name: 'Clip', marks: [{ mark: 'strings', steps: null }], ...body }), NOW);
		const first = (await piece({})).answer.id;
		await piece({ replaces: first });
		expect(await errorsOf(() => piece({ replaces: first }))).toEqual(clash('replaces', 'version 2', 'version 1'));
	});

	it('at the same moment: one is saved, the other is told', async () => {
		const { repeats } = (await loadTrial(t.db, trialId)).basis;
		const both = await Promise.allSettled([7, 8].map((n) => rules({ id: v7(), repeats: n, seen: { repeats } })));
		expect(both.map((b) => b.status).sort()).toEqual(['fulfilled', 'rejected']);
	});
});
