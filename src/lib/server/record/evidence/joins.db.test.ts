import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { checked } from '../../../../../tests/support/checked';
import { testDatabase, type TestDatabase } from '../../../../../tests/support/database';
import { HANDBOOK } from '$lib/core/judging/handbook/defaults';
import { instrumentBody, instrumentCheckBody } from '$lib/schemas/amendment';
import { attemptBody, printerBody } from '$lib/schemas/attempt';
import { handbookBody } from '$lib/schemas/handbook';
import { readingBody } from '$lib/schemas/reading';
import { intakeBody, quoteBody, spoolBody, spoolFactsBody, type IntakeInput } from '$lib/schemas/spool';
import { blindBody, criteriaBody, houseSpoolBody, protocolBody, trialBody, trialLeaveBody, trialSpoolBody } from '$lib/schemas/trial';
import { eq } from 'drizzle-orm';
import { postQuote } from '../../stations/cost/post';
import { reading } from '../../base/db/schema';
import { postHandbook } from '../handbook/handbook';
import { addSpool } from '../../stations/intake/add-spool';
import { postSpoolFacts } from '../../stations/intake/facts';
import { postAttempt } from '../../stations/prints/post-attempt';
import { postReading } from '../../stations/readings/post';
import { postSpool } from '../../stations/intake/post';
import { pickOf } from '../../answers/trials/findings';
import { loadTrial } from '../../answers/trials/load';
import { postSpecimen } from '../../stations/strength/post-specimen';
import { specimenBody } from '$lib/schemas/strength';
import {
	postBlind,
	postCriteria,
	postHouseSpool,
	postProtocol,
	postTrial,
	postTrialLeave,
	postTrialSpool
} from '../../answers/trials/post';
import { postInstrumentCheck } from '../instruments/checks';
import { postInstrument, postPrinter } from '../../stations/workshop/workshop';
import { loadEvidence } from './load';

// What feeds what between the tables and the evidence core is given: precedence, blind fields, whose is whose.

const NOW = Date.parse('2026-10-20T12:00:00Z');
const at = (day: number) => `2026-10-${String(day).padStart(2, '0')}T10:00:00Z`;
let t: TestDatabase;
beforeAll(async () => (t = await testDatabase()));
afterAll(() => t.close());

const take = async (given: Partial<IntakeInput> = {}) =>
	(await addSpool(t.db, checked(intakeBody, { material: 'PETG', at: at(1), ...given }), NOW)).answer;
const evidenceOf = async (spoolId: string) => {
	const [found] = await loadEvidence(t.db, [spoolId]);
	if (!found) throw new Error('no such spool');
	return found;
};
const see = (filamentId: string, price: string, day: number, more: object = {}) =>
	postQuote(t.db, checked(quoteBody, { filamentId, price, netMass: '1 kg', currency: 'EUR', at: at(day), ...more }), NOW);
const prices = async (spoolId: string) => (await evidenceOf(spoolId)).quotes.map((q) => q.priceMinor);

describe('prices', () => {
	it('what was paid for the spool comes first, then what was seen for its filament, the newest first', async () => {
		const { spoolId, filamentId } = await take({ price: '20', netMass: '1 kg' });
		const twin = (await postSpool(t.db, checked(spoolBody, { filamentId, at: at(1) }), NOW)).answer.id;
		await see(filamentId, '18', 5);
		await see(filamentId, '25', 3);
		const [paid, ...seen] = await prices(spoolId);
		expect([paid, seen]).toEqual([2000, [1800, 2500]]);
		// Nothing was paid for the twin: what was seen last counts.
		expect((await prices(twin))[0]).toBe(1800);
		// Bought again at another price: the last purchase is what was paid.
		await see(filamentId, '30', 2, { spoolId });
		expect((await prices(spoolId))[0]).toBe(3000);
		expect((await prices(twin)).slice(0, 2)).toEqual([1800, 2500]);
	});
	it('of another filament say nothing, also when both are read at once', async () => {
		const [one, other] = [await take(), await take()];
		await see(one.filamentId, '18', 5);
		const both = await loadEvidence(t.db, [one.spoolId, other.spoolId]);
		expect(both.map((e) => e.quotes.map((q) => q.priceMinor))).toEqual([[1800], []]);
	});
});

describe('blindness', () => {
	it('withholds maker, product, where it came from and every price, and nothing else, while a blind trial has the spool', async () => {
		const { spoolId } = await take({
			maker: 'Mill',
			filament: 'Line',
			obtained: 'gift',
			price: '20',
			netMass: '1 kg',
			colourName: 'slate'
		});
		const trials = [];
		for (const name of ['One', 'Two']) trials.push((await postTrial(t.db, checked(trialBody, { name }), NOW)).answer.id);
		for (const trialId of trials) await postTrialSpool(t.db, checked(trialSpoolBody, { trialId, spoolId }), NOW);
		const shown = async () => {
			const { spool, quotes, pricesHidden } = await evidenceOf(spoolId);
			return { ...spool, prices: quotes.length, pricesHidden };
		};
		const open = { maker: 'Mill', filament: 'Line', obtained: 'gift', prices: 1, pricesHidden: false };
		const closed = { maker: null, filament: null, obtained: null, prices: 0, pricesHidden: true };
		const kept = { material: 'PETG', colourName: 'slate' };
		const blind = (trialId: string, on: boolean) => postBlind(t.db, checked(blindBody, { trialId, blind: on }), NOW);
		expect(await shown()).toMatchObject({ ...open, ...kept });
		await blind(trials[0] as string, true);
		expect(await shown()).toMatchObject({ ...closed, ...kept });
		await blind(trials[1] as string, true);
		await blind(trials[0] as string, false);
		expect(await shown()).toMatchObject(closed);
		await postTrialLeave(t.db, checked(trialLeaveBody, { trialId: trials[1], spoolId }), NOW);
		expect(await shown()).toMatchObject(open);
	});
});

describe('stated figures and facts', () => {
	it('the newest claim of a filament comes first, for all its spools', async () => {
		const { spoolId, filamentId } = await take({ labelTolerance: '0.05 mm' });
		const twin = (await postSpool(t.db, checked(spoolBody, { filamentId, at: at(1) }), NOW)).answer.id;
		await postSpoolFacts(t.db, checked(spoolFactsBody, { spoolId: twin, labelTolerance: '0.03 mm', at: at(3) }), NOW + 1);
		for (const id of [spoolId, twin])
			expect((await evidenceOf(id)).claims.filter((c) => c.quantity === 'diameterTolerance').map((c) => c.value)).toEqual([0.03, 0.05]);
	});
	it('a fact that was completed later is the spool’s own', async () => {
		const { spoolId, filamentId } = await take({ colourName: 'slate', lot: 'A1' });
		const twin = (await postSpool(t.db, checked(spoolBody, { filamentId, colourName: 'slate', at: at(1) }), NOW)).answer.id;
		await postSpoolFacts(t.db, checked(spoolFactsBody, { spoolId, colourName: 'ash', lot: 'B2', at: at(3) }), NOW);
		expect((await evidenceOf(spoolId)).spool).toMatchObject({ colourName: 'ash', lot: 'B2' });
		expect((await evidenceOf(twin)).spool).toMatchObject({ colourName: 'slate', lot: null });
	});
});

describe('a reading', () => {
	it('is kept in the zone it was taken in', async () => {
		const { spoolId } = await take();
		await postReading(
			t.db,
			checked(readingBody, { spoolId, quantity: 'diameter', typed: '1.75', takenAt: at(4), zone: 'Asia/Tokyo' }),
			NOW
		);
		expect(await t.db.select({ zone: reading.zone }).from(reading).where(eq(reading.spoolId, spoolId))).toEqual([{ zone: 'Asia/Tokyo' }]);
	});
});

describe('what a trial is judged by', () => {
	it('the price that others are weighed against: what one pays today, and once weights were set it stays', async () => {
		const trialId = (await postTrial(t.db, checked(trialBody, { name: 'Priced' }), NOW)).answer.id;
		const priced = async (price: string) => {
			const { spoolId, filamentId } = await take();
			await postQuote(t.db, checked(quoteBody, { spoolId, filamentId, price, currency: 'EUR', netMass: '1 kg', at: at(4) }), NOW);
			await postTrialSpool(t.db, checked(trialSpoolBody, { trialId, spoolId }), NOW);
		};
		const reference = async () => (await loadTrial(t.db, trialId)).basis.costReference;
		expect(await reference()).toBeNull();
		await priced('20');
		expect(await reference()).toBe(20);
		await priced('30');
		expect(await reference()).toBe(25);
		await postCriteria(t.db, checked(criteriaBody, { trialId, items: [{ quantity: 'overhang', weight: 3, gate: null }] }), NOW);
		await priced('90');
		expect(await reference()).toBe(25);
	});
	it('an instrument’s checks are its own, oldest first, and reach the spools that were read with it', async () => {
		const instrument = async (name: string) =>
			(await postInstrument(t.db, checked(instrumentBody, { name, measures: 'length', resolution: '0.01 mm', errorLimit: '0.02 mm' }), NOW))
				.answer.id;
		const [mine, other] = [await instrument('Mine'), await instrument('Other')];
		const { spoolId } = await take();
		await postReading(
			t.db,
			checked(readingBody, { spoolId, quantity: 'diameter', typed: '1.75', instrumentId: mine, takenAt: at(4) }),
			NOW
		);
		const before = (await evidenceOf(spoolId)).spool.revision;
		const check = (instrumentId: string, day: number, readings: string[]) =>
			postInstrumentCheck(
				t.db,
				checked(instrumentCheckBody, { instrumentId, reference: '2 mm', referenceLimit: '', readings, at: at(day) }),
				NOW
			);
		await check(mine, 9, ['2.02', '2.02']);
		await check(mine, 3, ['2.01', '2.01']);
		await check(other, 5, ['1.90', '1.90']);
		const { instruments, spool } = await evidenceOf(spoolId);
		expect(instruments.find((i) => i.id === mine)?.checks.map((c) => Number(c.bias.toFixed(6)))).toEqual([0.01, 0.02]);
		expect(instruments.find((i) => i.id === other)?.checks.map((c) => Number(c.bias.toFixed(6)))).toEqual([-0.1]);
		expect(spool.revision).toBe(before + 2);
	});
	it('what scorers add is out before it is asked what printers add', async () => {
		const printer = async (name: string) => (await postPrinter(t.db, checked(printerBody, { name, nozzle: '0.4 brass' }), NOW)).answer.id;
		const [north, south] = [await printer('Pole'), await printer('Plain')];
		const trialId = (await postTrial(t.db, checked(trialBody, { name: 'Scorers first' }), NOW)).answer.id;
		const print = async (spoolId: string, printerId: string) =>
			(await postAttempt(t.db, checked(attemptBody, { spoolId, trialId, printerId, outcome: 'finished', at: at(4) }), NOW)).answer.id;
		const score = (spoolId: string, attemptId: string, scorer: string, typed: number) =>
			postReading(
				t.db,
				checked(readingBody, { spoolId, attemptId, quantity: 'overhangLastClean', typed: String(typed), scorer, takenAt: at(5) }),
				NOW
			);
		// Ben sees ten degrees more than Ada. All on the one printer is marked by Ada, all on the other by Ben; the printers are alike.
		for (const [i, clean] of [50, 55, 60, 65].entries()) {
			const { spoolId } = await take();
			await postTrialSpool(t.db, checked(trialSpoolBody, { trialId, spoolId }), NOW);
			const first = await print(spoolId, north);
			await score(spoolId, first, 'Ada', clean);
			await score(spoolId, await print(spoolId, south), 'Ben', clean + 10 + (i % 2));
			await score(spoolId, first, 'Ben', clean + 10);
		}
		const shifts = async (rules: object) => {
			await postProtocol(t.db, checked(protocolBody, { trialId, printerId: north, ...rules }), NOW);
			const { basis } = await loadTrial(t.db, trialId);
			return [basis.scorerEffects, basis.printerEffects].map((effects) => effects.map((e) => Number(e.shift.toFixed(6))));
		};
		expect(await shifts({ takeOutLeniency: false, takeOutPrinter: false })).toEqual([[], []]);
		// Two marks of one print count once, by their mean: half of what Ben adds stands in the first printer's.
		expect(await shifts({ takeOutPrinter: true })).toEqual([[], [5.5]]);
		// Against Ben, who marked most, Ada is ten degrees stricter.
		expect(await shifts({ takeOutLeniency: true })).toEqual([[-10], [0.5]]);
	});
	it('the newest rules, the printer they name, the bench’s own handbook, and the house spool as reference', async () => {
		const printer = (await postPrinter(t.db, checked(printerBody, { name: 'North', nozzle: '0.4 brass', hotEndMax: '260 C' }), NOW)).answer
			.id;
		const house = (await take()).spoolId;
		await postHouseSpool(t.db, checked(houseSpoolBody, { spoolId: house }), NOW);
		const trialId = (await postTrial(t.db, checked(trialBody, { name: 'Rules' }), NOW)).answer.id;
		const rules = (given: object) => postProtocol(t.db, checked(protocolBody, { trialId, ...given }), NOW);
		await rules({ repeats: 3, printerId: printer });
		await rules({ diameterPlaces: 7 });
		const { edited: _, ...first } = HANDBOOK.find((m) => m.material === 'PETG') as (typeof HANDBOOK)[number];
		const figures = { ...first, dryingC: { low: 41, high: 44, source: 'ours' } };
		await postHandbook(t.db, checked(handbookBody, { material: 'PETG', figures }), NOW);
		const { basis, spools } = await loadTrial(t.db, trialId);
		expect(basis).toMatchObject({ repeats: 3, diameterPlaces: 7, printer: { name: 'North', hotEndMaxC: 260 } });
		expect(basis.handbook.find((m) => m.material === 'PETG')).toMatchObject({ dryingC: { low: 41, high: 44 }, edited: true });
		expect(basis.handbook.find((m) => m.material === 'PLA')?.edited).toBe(false);
		expect(spools.map((s) => s.spool.id)).toEqual([house]);
	});
	it('the house spool stands beside candidates of its own material, takes no place and chooses nothing; or it competes, where it is asked to', async () => {
		const house = (await take({ material: 'PLA', price: '15', netMass: '1 kg' })).spoolId;
		await postHouseSpool(t.db, checked(houseSpoolBody, { spoolId: house }), NOW);
		const load = async (spoolId: string, shape: string, n: number) => {
			for (let i = 0; i < n; i++) {
				const body = { spoolId, shape, orientation: 'flat', method: 'direct', at: at(3) };
				const specimenId = (await postSpecimen(t.db, checked(specimenBody, body), NOW)).answer.id;
				const reading = { spoolId, quantity: 'loadBroke', typed: `${100 + i} N`, specimenId, takenAt: at(3) };
				await postReading(t.db, checked(readingBody, reading), NOW);
			}
		};
		const [pla, tpu] = [await take({ material: 'PLA' }), await take({ material: 'TPU' })].map((s) => s.spoolId) as [string, string];
		await load(house, 'bar', 3);
		await load(pla, 'hook', 1);
		const trial = async (name: string, spoolIds: string[]) =>
			(await postTrial(t.db, checked(trialBody, { name, spoolIds }), NOW)).answer.id;

		const alike = await loadTrial(t.db, await trial('Alike', [pla]));
		expect(alike.spools.map((s) => s.spool.id)).toEqual([house, pla]);
		expect([alike.head.houseId, alike.head.houseAside]).toEqual([house, null]);
		// The bars of the house spool are more, and choose nothing.
		expect(alike.basis.specimenKinds.load).toBe('hook · flat · direct');
		expect(pickOf(alike).rows.map((r) => r.spoolId)).toEqual([pla]);
		expect(pickOf(alike).references.map((r) => r.spoolId)).toEqual([house]);

		const soft = await trial('Soft', [tpu]);
		const other = await loadTrial(t.db, soft);
		expect(other.spools.map((s) => s.spool.id)).toEqual([tpu]);
		expect(other.head.houseAside).toMatchObject({ id: house, material: 'PLA' });
		await postTrialSpool(t.db, checked(trialSpoolBody, { trialId: soft, spoolId: house, role: 'houseInvited' }), NOW);
		const asked = await loadTrial(t.db, soft);
		expect(new Set(asked.spools.map((s) => s.spool.id))).toEqual(new Set([house, tpu]));
		expect([asked.head.houseId, asked.head.houseAside]).toEqual([house, null]);
		expect(pickOf(asked).rows).toHaveLength(2);

		// Chosen for a trial it is one of its candidates.
		const chosen = await loadTrial(t.db, await trial('Chosen', [house, pla]));
		expect([chosen.roles[house], pickOf(chosen).rows.length]).toEqual(['houseInvited', 2]);
	});
});
