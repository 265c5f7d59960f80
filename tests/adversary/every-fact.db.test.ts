/* eslint-disable max-lines -- one entry for each column of the record: cut in two, neither half would tell what is missing */
import { sentAs, type FactEntries, type FactEntry } from '../../src/lib/core/record/facts/fact-entry';
import { DRYER_FACTS } from '../../src/lib/core/record/facts/dryer-facts';
import { INSTRUMENT_FACTS } from '../../src/lib/core/record/facts/instrument-facts';
import { PRINTER_FACTS } from '../../src/lib/core/record/facts/printer-facts';
import { SPOOL_FACTS } from '../../src/lib/core/record/facts/spool-facts';
import { canonicalUnit } from '../../src/lib/core/kernel/units/dimension';
import { getTableColumns } from 'drizzle-orm';
import { MySqlTable } from 'drizzle-orm/mysql-core';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { HANDBOOK } from '$lib/core/judging/handbook/defaults';
import { amendmentBody, gaugeStudyBody, instrumentBody, instrumentCheckBody, instrumentFactsBody } from '$lib/schemas/amendment';
import { attemptBody, printerBody, printerFactsBody } from '$lib/schemas/attempt';
import { dryerBody, dryerCheckBody, dryerFactsBody, dryingEndBody, dryingFactsBody, dryingRunBody } from '$lib/schemas/drying';
import { eventBody } from '$lib/schemas/event';
import { bundle as bundleSchema, bundleImportBody } from '$lib/schemas/exchange';
import { handbookBody } from '$lib/schemas/handbook';
import { readingBody } from '$lib/schemas/reading';
import { intakeBody, productFactsBody, quoteBody, spoolFactsBody } from '$lib/schemas/spool';
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
	trialSpoolBody
} from '$lib/schemas/trial';
import { postAmendment } from '../../src/lib/server/answers/amendments/post';
import { postQuote } from '../../src/lib/server/stations/cost/post';
import { STEP_PIECE } from '../../src/lib/server/base/db/defaults';
import * as tables from '../../src/lib/server/base/db/schema';
import { postDryer, postDryerFacts, postDryingEnd, postDryingRun } from '../../src/lib/server/stations/drying/post';
import { postDryingFacts } from '../../src/lib/server/stations/drying/correct-run';
import { runsOf } from '../../src/lib/server/stations/drying/runs';
import { loadEvidence } from '../../src/lib/server/record/evidence/load';
import { exportBundle, importBundle } from '../../src/lib/server/exchange/bundle';
import { postProductFacts } from '../../src/lib/server/stations/intake/product';
import { loadHandbook, postHandbook } from '../../src/lib/server/record/handbook/handbook';
import { addSpool } from '../../src/lib/server/stations/intake/add-spool';
import { postSpoolFacts } from '../../src/lib/server/stations/intake/facts';
import { postAttempt } from '../../src/lib/server/stations/prints/post-attempt';
import { postReading } from '../../src/lib/server/stations/readings/post';
import { postEvent } from '../../src/lib/server/stations/events/post-event';
import { postSpecimen } from '../../src/lib/server/stations/strength/post-specimen';
import { loadTrial } from '../../src/lib/server/answers/trials/load';
import {
	postBlind,
	postCriteria,
	postHouseSpool,
	postOwnMeasure,
	postOwnMeasureFacts,
	postProtocol,
	postTrial,
	postTrialFacts,
	postTrialLeave,
	postTrialSpool
} from '../../src/lib/server/answers/trials/post';
import { postGaugeStudy } from '../../src/lib/server/record/instruments/studies';
import { postDryerCheck } from '../../src/lib/server/record/dryers/checks';
import { postInstrumentCheck } from '../../src/lib/server/record/instruments/checks';
import {
	listWorkshop,
	postInstrument,
	postInstrumentFacts,
	postPrinter,
	postPrinterFacts
} from '../../src/lib/server/stations/workshop/workshop';
import { checked } from '../support/checked';
import { testDatabase, type TestDatabase } from '../support/database';

/*
 * Put right means put right: every column of the record either has a way to be edited, and then what is computed with is what was said last;
 * or it says here why it has none. A column that is added is asked for by the first test.
 */

const NOW = Date.parse('2026-11-01T12:00:00Z');
const at = '2026-11-01T10:00:00Z';
let t: TestDatabase;
let is: Awaited<ReturnType<typeof aBench>>;
beforeAll(async () => {
	t = await testDatabase();
	is = await aBench();
});
afterAll(() => t.close());

/** One of everything, as a tester would have entered it. */
async function aBench() {
	const post = {
		caliper: (await postInstrument(t.db, checked(instrumentBody, { name: 'Caliper', errorLimit: '0.02 mm', resolution: '0.01 mm' }), NOW))
			.answer.id,
		printer: (await postPrinter(t.db, checked(printerBody, { name: 'North', nozzle: '0.4 brass', hotEndMax: '240 C' }), NOW)).answer.id,
		other: (await postPrinter(t.db, checked(printerBody, { name: 'South', nozzle: '0.6 steel' }), NOW)).answer.id,
		dryer: (await postDryer(t.db, checked(dryerBody, { name: 'Box', setPointLow: '40 C', setPointHigh: '70 C' }), NOW)).answer.id,
		trial: (await postTrial(t.db, checked(trialBody, { name: 'Brackets' }), NOW)).answer.id
	};
	const typed = { material: 'PETG', maker: 'Ash', filament: 'Plain', price: '20', netMass: '1 kg', labelTolerance: '0.03 mm', lot: 'L1' };
	const entered = { ...typed, colourName: 'grey', colourHex: '#888888', obtained: 'bought', reelMaterial: 'card', trialId: post.trial, at };
	const spool = (await addSpool(t.db, checked(intakeBody, entered), NOW)).answer.spoolId;
	const cut = (await postEvent(t.db, checked(eventBody, { spoolId: spool, kind: 'cutOff', portion: 'coil', at }), NOW)).answer.id;
	const print = (
		await postAttempt(
			t.db,
			checked(attemptBody, {
				spoolId: spool,
				printerId: post.printer,
				outcome: 'finished',
				settings: { nozzleC: 230 },
				gramsG: 20,
				setUp: { bedSurface: 'glass' },
				fileHash: 'a'.repeat(64),
				at
			}),
			NOW
		)
	).answer.id;
	const part = (
		await postSpecimen(
			t.db,
			checked(specimenBody, { spoolId: spool, attemptId: print, shape: 'hook', orientation: 'flat', method: 'steps', at }),
			NOW
		)
	).answer.id;
	const measure = (
		await postOwnMeasure(
			t.db,
			checked(ownMeasureBody, { trialId: post.trial, name: 'Grip', unit: 'N', direction: 'more', low: 5, high: 25 }),
			NOW
		)
	).answer.id;
	const house = (await addSpool(t.db, checked(intakeBody, { material: 'PETG', at }), NOW)).answer.spoolId;
	await postReading(
		t.db,
		checked(readingBody, { spoolId: spool, quantity: 'diameter', typed: '1.75', instrumentId: post.caliper, takenAt: at }),
		NOW
	);
	const elsewhere = (await postTrial(t.db, checked(trialBody, { name: 'Elsewhere' }), NOW)).answer.id;
	return { ...post, elsewhere, spool, house, cut, print, part, measure };
}

const evidence = async () => (await loadEvidence(t.db, [is.spool]))[0] as Awaited<ReturnType<typeof loadEvidence>>[number];
const trial = async () => await loadTrial(t.db, is.trial);
const amend = (targetKind: string, targetId: string, more: object) =>
	postAmendment(t.db, checked(amendmentBody, { targetKind, targetId, reason: 'a slip', at, ...more }), NOW);
/** Something else that may be said of a fact, as it is sent and as it is kept. */
function another(name: string, entry: FactEntry): { sent: Record<string, unknown>; kept: unknown } {
	switch (entry.kind) {
		case 'measure': {
			// Near the lower end, where it contradicts no other.
			const kept = Math.round((entry.low + (entry.high - entry.low) / 20) * 100) / 100;
			return { sent: { [sentAs(name, entry)]: `${kept} ${canonicalUnit(entry.dimension)}` }, kept };
		}
		case 'limit':
			return { sent: { [name]: '0.04 mm' }, kept: 0.04 };
		case 'choice':
			return { sent: { [name]: entry.of.at(-1) }, kept: entry.of.at(-1) };
		case 'yesNo':
			return { sent: { [name]: !entry.usual }, kept: !entry.usual };
		default: {
			const kept = entry.kind === 'colour' ? '#cc0000' : entry.kind === 'nozzle' ? '0.6 ruby' : 'another';
			return { sent: { [name]: kept }, kept };
		}
	}
}

const facts = {
	spool: (more: object) => postSpoolFacts(t.db, checked(spoolFactsBody, { spoolId: is.spool, at, ...more }), NOW),
	product: (more: object) => postProductFacts(t.db, checked(productFactsBody, { spoolId: is.spool, reason: 'a slip', ...more }), NOW),
	trial: (more: object) => postTrialFacts(t.db, checked(trialFactsBody, { trialId: is.trial, ...more }), NOW),
	instrument: (more: object) => postInstrumentFacts(t.db, checked(instrumentFactsBody, { instrumentId: is.caliper, ...more }), NOW),
	printer: (more: object) => postPrinterFacts(t.db, checked(printerFactsBody, { printerId: is.printer, ...more }), NOW),
	dryer: (more: object) => postDryerFacts(t.db, checked(dryerFactsBody, { dryerId: is.dryer, ...more }), NOW),
	measure: (more: object) => postOwnMeasureFacts(t.db, checked(ownMeasureFactsBody, { measureId: is.measure, ...more }), NOW),
	rules: (more: object) => postProtocol(t.db, checked(protocolBody, { trialId: is.trial, ...more }), NOW),
	print: (replacement: object) => amend('attempt', is.print, { action: 'correct', replacement }),
	part: (specimen: object) => amend('specimen', is.part, { action: 'correct', specimen })
};

/** How a column is put right, and what is computed with then. */
type Way = {
	/** What is computed with now. */
	now: () => Promise<unknown>;
	edit: () => Promise<unknown>;
	/** Or how to say it, where it is known only once the bench is there. */
	then: unknown;
};
const way = (now: Way['now'], edit: Way['edit'], then: unknown): Way => ({ now, edit, then });

/** A way for every fact of a list that has a column of its own. */
const factWays = (entries: FactEntries, now: () => Promise<unknown>, edit: (more: object) => Promise<unknown>): Record<string, Way> =>
	Object.fromEntries(
		Object.entries(entries)
			.filter(([, { apart }]) => !apart)
			.map(([name, entry]) => {
				const { sent, kept } = another(name, entry);
				const told = async () => ((await now()) as Record<string, unknown> | undefined)?.[name];
				return [name, way(told, () => edit(sent), kept)];
			})
	);

const onePrint = async () => (await evidence()).attempts.find((a) => a.id === is.print);
const onePart = async () => (await evidence()).specimens.find((s) => s.id === is.part);
const oneCaliper = async () => (await evidence()).instruments.find((i) => i.id === is.caliper);
const onePrinter = async () => (await listWorkshop(t.db)).printers.find((p) => p.id === is.printer);
const oneDryer = async () => (await listWorkshop(t.db)).dryers.find((d) => d.id === is.dryer);
const oneMeasure = async () => {
	// Seen from another trial, which has nothing else to do with it.
	return (await loadTrial(t.db, is.elsewhere)).basis.ownMeasures.find((m) => m.id === is.measure);
};
const ruled = (name: string, value: unknown) =>
	way(
		async () => (await rulesNow())[name],
		() => facts.rules({ [name]: value }),
		value
	);
async function rulesNow(): Promise<Record<string, unknown>> {
	const { basis, head } = await trial();
	return { ...basis, ...head };
}

/** Struck out with a reason and entered again: what is told then is the new one alone. */
const again = (now: Way['now'], edit: Way['edit'], then: unknown): Way => way(now, edit, then);

async function diameters(): Promise<(number | null)[]> {
	return (await evidence()).readings.filter((r) => r.quantity === 'diameter' && r.status === 'counts').map((r) => r.value);
}
const oneReading = (more: object = {}) =>
	postReading(t.db, checked(readingBody, { spoolId: is.spool, quantity: 'diameter', typed: '1.80', takenAt: at, ...more }), NOW);
/** A reading of its own for a column, so that no case leans on another. */
function readingWay(field: string, before: object, change: object | (() => object), then: unknown): Way {
	let id = '';
	return way(
		async () => {
			id ||= (await oneReading(before)).answer.id;
			return ((await evidence()).readings.find((r) => r.id === id) as unknown as Record<string, unknown>)[field];
		},
		() => amend('reading', id, { action: 'correct', ...(typeof change === 'function' ? (change() as object) : change) }),
		then
	);
}
const weighing = { quantity: 'grossMass', typed: '1200 g' };
const readingAgain = again(diameters, async () => {
	for (const r of (await evidence()).readings.filter((one) => one.quantity === 'diameter' && one.status === 'counts'))
		await amend('reading', r.id, { action: 'exclude' });
	await oneReading({ typed: '1.74', placeIndex: 3, positionM: 2, direction: 'across' });
}, [1.74]);

const prices = async () => (await evidence()).quotes.map((q) => [q.priceMinor, q.shippingMinor, q.currency, q.quantity, q.kind, q.seenAt]);
const quoteAgain = again(prices, async () => {
	for (const q of (await evidence()).quotes) await amend('quote', q.id, { action: 'exclude' });
	const right = {
		filamentId: await filamentId(),
		spoolId: is.spool,
		currency: 'USD',
		price: '44',
		shipping: '3',
		quantity: 2,
		quoteKind: 'sale',
		netMass: '1 kg'
	};
	await postQuote(t.db, checked(quoteBody, { ...right, at: '2026-10-30T10:00:00Z' }), NOW);
}, [[4400, 300, 'USD', 2, 'sale', Date.parse('2026-10-30T10:00:00Z')]]);
const filamentId = async () => (await t.db.select().from(tables.spool)).find((s) => s.id === is.spool)?.filamentId;

const events = async () =>
	(await evidence()).events.filter((e) => e.status === 'counts' && e.kind === 'soaked').map((e) => [e.at, e.hours]);
const eventAgain = again(events, async () => {
	const wrong = (await postEvent(t.db, checked(eventBody, { spoolId: is.spool, kind: 'soaked', hours: 5, at }), NOW)).answer.id;
	await amend('event', wrong, { action: 'exclude' });
	await postEvent(t.db, checked(eventBody, { spoolId: is.spool, kind: 'soaked', hours: 12, at: '2026-11-01T09:00:00Z' }), NOW);
}, [[Date.parse('2026-11-01T09:00:00Z'), 12]]);

const checks = async () => (await oneCaliper())?.checks.map((c) => [c.reference, c.referenceLimit, c.at]);
const checkAgain = again(checks, async () => {
	const wrong = { instrumentId: is.caliper, reference: '2 mm', readings: ['2.5', '2.5'], at };
	const id = (await postInstrumentCheck(t.db, checked(instrumentCheckBody, wrong), NOW)).answer.id;
	expect(await checks()).toHaveLength(1);
	await amend('check', id, { action: 'exclude' });
	expect(await checks()).toEqual([]);
	const right = {
		instrumentId: is.caliper,
		reference: '1.5 mm',
		referenceLimit: '0.001 mm',
		readings: ['1.5', '1.51'],
		at: '2026-11-01T09:00:00Z'
	};
	await postInstrumentCheck(t.db, checked(instrumentCheckBody, right), NOW);
}, [[1.5, 0.001, Date.parse('2026-11-01T09:00:00Z')]]);

const dryerChecks = async () => (await oneDryer())?.checks.map((c) => [c.setPointC, c.probeC, c.at]);
const dryerCheckAgain = again(dryerChecks, async () => {
	const check = (more: object) => checked(dryerCheckBody, { dryerId: is.dryer, setPoint: '60 C', probe: '154 C', at, ...more });
	const id = (await postDryerCheck(t.db, check({}), NOW)).answer.id;
	expect(await dryerChecks()).toHaveLength(1);
	await amend('dryerCheck', id, { action: 'exclude' });
	expect(await dryerChecks()).toEqual([]);
	await postDryerCheck(t.db, check({ setPoint: '65 C', probe: '54 C', at: '2026-11-01T09:00:00Z' }), NOW);
}, [[65, 54, Date.parse('2026-11-01T09:00:00Z')]]);

const studies = async () => (await oneCaliper())?.studies.map((s) => [s.places, s.raters]);
const studyOf = (raters: string[]) => ({
	instrumentId: is.caliper,
	raters,
	readings: [0, 1].flatMap((place) => raters.flatMap((_, rater) => ['1.74', '1.75'].map((typed) => ({ place, rater, typed })))),
	at
});
const studyAgain = again(studies, async () => {
	const id = (await postGaugeStudy(t.db, checked(gaugeStudyBody, studyOf(['Ada', 'Ben', 'Cleo'])), NOW)).answer.id;
	expect(await studies()).toEqual([[2, 3]]);
	await amend('gaugeStudy', id, { action: 'exclude' });
	expect(await studies()).toEqual([]);
	await postGaugeStudy(t.db, checked(gaugeStudyBody, studyOf(['Ada', 'Ben'])), NOW);
}, [[2, 2]]);

/** A run of its own that is over, for each column that is put right. */
function runWay(now: (run: Awaited<ReturnType<typeof runsOf>>[number]) => unknown, change: object, then: unknown): Way {
	let id = '';
	const find = async () => (await runsOf(t.db, [is.spool])).find((r) => r.id === id);
	return way(
		async () => {
			const ran = {
				dryerId: is.dryer,
				spoolIds: [is.spool],
				setPoint: '60 C',
				duration: '1 h',
				at: '2026-10-31T08:00:00Z',
				endedAt: '2026-10-31T09:00:00Z'
			};
			id ||= (await postDryingRun(t.db, checked(dryingRunBody, { ...ran, accepted: true }), NOW)).answer.id;
			const run = await find();
			return run ? now(run) : null;
		},
		() => postDryingFacts(t.db, checked(dryingFactsBody, { runId: id, reason: 'a slip', ...change }), NOW),
		then
	);
}
/** A run with the wrong spools or in the wrong dryer is void, and the right one is noted. */
const runAgain = again(
	async () => (await evidence()).events.filter((e) => e.kind === 'dried' && e.drying?.setPointC === 51).map((e) => [e.drying?.dryer, e.at]),
	async () => {
		const other = (await postDryer(t.db, checked(dryerBody, { name: 'Drum' }), NOW)).answer.id;
		const wrong = {
			dryerId: is.dryer,
			spoolIds: [is.spool],
			setPoint: '51 C',
			duration: '1 h',
			accepted: true,
			at: '2026-11-01T08:00:00Z'
		};
		const id = (await postDryingRun(t.db, checked(dryingRunBody, wrong), NOW)).answer.id;
		await postDryingEnd(t.db, checked(dryingEndBody, { runId: id, outcome: 'void', at }), NOW);
		await postDryingRun(t.db, checked(dryingRunBody, { ...wrong, id: v7(), dryerId: other, endedAt: '2026-11-01T09:00:00Z' }), NOW);
	},
	[['Drum', Date.parse('2026-11-01T09:00:00Z')]]
);

const handbook = async () => (await loadHandbook(t.db)).find((m) => m.material === 'PETG')?.hotEndC?.low;
function petg(): object {
	const { edited: _, ...figures } = HANDBOOK.find((m) => m.material === 'PETG') as (typeof HANDBOOK)[number];
	return figures;
}

const RAW = 'raw: what it says is put right by striking it out or correcting it, never in place';
const IDENTITY = 'says which row it is';
const NOT_COMPUTED = 'told, and nothing computes with it';
const KEPT = 'worked out and kept; another one is worked out where anything it rests on changes';
const BOOK = 'the bookkeeping of the record itself';

const COLUMNS: Record<string, Record<string, Way | string> | string> = {
	server: BOOK,
	writeLog: BOOK,
	endedSession: BOOK,
	keptListing: KEPT,
	amendment: 'is undone by another one',
	note: NOT_COMPUTED,
	part: NOT_COMPUTED,
	partState: NOT_COMPUTED,
	trainingRun: NOT_COMPUTED,
	priorSet: 'learnt from the record, never changed; another set is learnt',
	trialPriorSet: 'the newest adopted is in force',
	photo: RAW,
	series: RAW,
	seriesChunk: RAW,
	seriesSlice: RAW,
	seriesSummary: KEPT,
	verdict: 'frozen as it was decided; withdrawn by putting it away',
	maker: {
		name: way(
			async () => (await evidence()).spool.maker,
			() => facts.product({ maker: 'Birch' }),
			'Birch'
		)
	},
	filament: {
		makerId: 'by the name of the maker',
		name: way(
			async () => (await evidence()).spool.filament,
			() => facts.product({ filament: 'Tough' }),
			'Tough'
		),
		material: way(
			async () => (await evidence()).spool.material,
			() => facts.product({ material: 'PETG-CF' }),
			'PETG-CF'
		),
		variant: NOT_COMPUTED
	},
	claim: {
		filamentId: IDENTITY,
		quantity: IDENTITY,
		source: IDENTITY,
		value: way(
			async () => (await evidence()).claims.find((c) => c.quantity === 'diameterTolerance')?.value,
			() => facts.spool({ labelTolerance: '0.05 mm' }),
			0.05
		),
		typedText: RAW,
		typedUnit: RAW
	},
	lot: {
		filamentId: IDENTITY,
		code: way(
			async () => (await evidence()).spool.lot,
			() => facts.spool({ lot: 'L2' }),
			'L2'
		)
	},
	spool: {
		filamentId: 'a spool of another product is another spool: put away, and taken in again',
		lotId: 'by the code of the lot',
		benchCode: way(
			async () => (await evidence()).spool.code,
			() => facts.product({ benchCode: 'QX7' }),
			'QX7'
		),
		...factWays(SPOOL_FACTS, async () => (await evidence()).spool, facts.spool),
		revision: BOOK
	},
	houseSpool: {
		spoolId: way(
			async () => {
				const fresh = (await postTrial(t.db, checked(trialBody, { name: 'With the house spool', spoolIds: [is.spool] }), NOW)).answer.id;
				return (await loadTrial(t.db, fresh)).head.houseId;
			},
			() => postHouseSpool(t.db, checked(houseSpoolBody, { spoolId: is.house }), NOW),
			() => is.house
		)
	},
	quote: {
		filamentId: IDENTITY,
		priceMinor: quoteAgain,
		shippingMinor: quoteAgain,
		currency: quoteAgain,
		quantity: quoteAgain,
		kind: quoteAgain,
		seenAt: quoteAgain,
		netMassG: way(
			async () => (await evidence()).quotes[0]?.netMassG,
			() => facts.product({ netMass: '750 g' }),
			750
		)
	},
	purchase: { spoolId: IDENTITY, quoteId: quoteAgain },
	instrument: {
		...factWays(INSTRUMENT_FACTS, oneCaliper, facts.instrument),
		quantity: 'a caliper is no scale: what was read with it is corrected to the right one'
	},
	instrumentCheck: {
		instrumentId: checkAgain,
		reference: checkAgain,
		referenceLimit: checkAgain,
		readings: checkAgain,
		bias: checkAgain,
		repeatability: checkAgain,
		n: checkAgain,
		at: checkAgain
	},
	gaugeStudy: { instrumentId: studyAgain, raters: studyAgain, readings: studyAgain, at: studyAgain },
	printer: {
		...factWays(PRINTER_FACTS, onePrinter, facts.printer),
		// As a print tells it.
		nozzle: way(
			async () => (await onePrint())?.nozzle,
			() => facts.printer({ nozzle: '0.4 ruby' }),
			'0.4 ruby'
		)
	},
	dryer: factWays(DRYER_FACTS, oneDryer, facts.dryer),
	dryerCheck: {
		dryerId: dryerCheckAgain,
		setPointC: dryerCheckAgain,
		probeC: dryerCheckAgain,
		probeTyped: RAW,
		at: dryerCheckAgain
	},
	dryingRun: {
		dryerId: runAgain,
		setPointC: runWay((r) => r.setPointC, { setPoint: '55 C' }, 55),
		startedAt: runWay((r) => r.startedAt, { startedAt: '2026-10-31T08:30:00Z' }, Date.parse('2026-10-31T08:30:00Z')),
		plannedEndAt: runWay((r) => r.plannedEndAt, { startedAt: '2026-10-31T08:30:00Z' }, Date.parse('2026-10-31T09:30:00Z'))
	},
	dryingRunSpool: { runId: IDENTITY, spoolId: runAgain },
	dryingRunEnd: {
		runId: IDENTITY,
		endedAt: runWay((r) => r.end?.at, { endedAt: '2026-10-31T08:40:00Z' }, Date.parse('2026-10-31T08:40:00Z')),
		outcome: runAgain
	},
	handbookEntry: {
		material: IDENTITY,
		figures: way(
			handbook,
			() =>
				postHandbook(
					t.db,
					checked(handbookBody, { material: 'PETG', figures: { ...petg(), hotEndC: { low: 211, high: 260, source: 'our own' } } }),
					NOW
				),
			211
		)
	},
	piece: Object.fromEntries(
		['familyId', 'version', 'name', 'overhangStepDeg', 'bridgeStepMm', 'gramsG', 'kind', 'params', 'marks', 'volumeMm3', 'fileHash'].map(
			(c) => [c, 'a piece that was printed stays as it was; a corrected one is a new version of it, and a print is corrected to it']
		)
	),
	trial: {
		name: way(
			async () => (await trial()).head.name,
			() => facts.trial({ name: 'Hooks' }),
			'Hooks'
		),
		question: way(
			async () => (await trial()).head.question,
			() => facts.trial({ question: 'Which holds?' }),
			'Which holds?'
		),
		preset: 'where its importance began; importance has its own form',
		currency: way(
			async () => (await trial()).head.currency,
			() => facts.trial({ currency: 'USD' }),
			'USD'
		),
		blind: way(
			async () => (await trial()).head.blind,
			() => postBlind(t.db, checked(blindBody, { trialId: is.trial, blind: true }), NOW),
			true
		),
		revision: BOOK
	},
	trialSpool: {
		trialId: IDENTITY,
		spoolId: IDENTITY,
		position: NOT_COMPUTED,
		role: way(
			async () => (await trial()).roles[is.spool],
			async () => {
				await postTrialLeave(t.db, checked(trialLeaveBody, { trialId: is.trial, spoolId: is.spool }), NOW);
				await postTrialSpool(t.db, checked(trialSpoolBody, { trialId: is.trial, spoolId: is.spool, role: 'houseInvited' }), NOW);
			},
			'houseInvited'
		),
		leftAt: 'joins again'
	},
	protocol: {
		trialId: IDENTITY,
		version: IDENTITY,
		settingsPolicy: ruled('settingsPolicy', 'calibrated'),
		conditionPolicy: ruled('conditionPolicy', 'driedFirst'),
		valueRule: ruled('valueRule', 'cheapest'),
		mainPieceId: 'the first of the pieces',
		pieceIds: way(
			async () => (await trial()).basis.pieceIds,
			() => facts.rules({ pieceIds: [STEP_PIECE.id, STEP_PIECE.id] }),
			[STEP_PIECE.id, STEP_PIECE.id]
		),
		printerId: way(
			async () => (await trial()).basis.printer?.name,
			() => facts.rules({ printerId: is.other }),
			'South'
		),
		repeats: ruled('repeats', 7),
		diameterPlaces: ruled('diameterPlaces', 17),
		diameterDirections: ruled('diameterDirections', 1),
		strengthHighN: ruled('strengthHighN', 777),
		claimRule: ruled('claimRule', 'anyReading'),
		failureRule: ruled('failureRule', 'unknown'),
		takeOutPrinter: ruled('takeOutPrinter', true),
		takeOutLeniency: ruled('takeOutLeniency', true),
		specimenKinds: way(
			async () => (await trial()).basis.chosenKinds,
			() => facts.rules({ specimenKinds: { load: 'hook' } }),
			{ load: 'hook' }
		),
		ownMeasureIds: 'which measures are asked for: its form adds to them'
	},
	criteria: {
		trialId: IDENTITY,
		version: IDENTITY,
		items: way(
			async () => (await trial()).criteria.length,
			() => postCriteria(t.db, checked(criteriaBody, { trialId: is.trial, items: [] }), NOW),
			0
		),
		costReference: 'worked out with each version'
	},
	ownMeasure: {
		trialId: IDENTITY,
		name: way(
			async () => (await oneMeasure())?.name,
			() => facts.measure({ name: 'Clip grip' }),
			'Clip grip'
		),
		unit: 'readings were typed in it: another unit is another measure',
		direction: way(
			async () => (await oneMeasure())?.direction,
			() => facts.measure({ direction: 'less' }),
			'less'
		),
		scaleLow: way(
			async () => (await oneMeasure())?.low,
			() => facts.measure({ low: 1 }),
			1
		),
		scaleHigh: way(
			async () => (await oneMeasure())?.high,
			() => facts.measure({ high: 30 }),
			30
		),
		words: 'readings were typed in them: other words are another measure',
		family: way(
			async () => (await oneMeasure())?.family,
			() => facts.measure({ family: 'holds' }),
			'holds'
		)
	},
	event: {
		spoolId: IDENTITY,
		kind: eventAgain,
		at: eventAgain,
		dryerId: 'by its drying run',
		portionId: eventAgain,
		detail: eventAgain
	},
	attempt: {
		spoolId: 'a print of another spool is marked invalid and noted there',
		pieceId: NOT_COMPUTED,
		printerId: way(
			async () => (await onePrint())?.printer,
			() => facts.print({ printerId: is.other }),
			'South'
		),
		at: way(
			async () => (await onePrint())?.at,
			() => facts.print({ at: '2026-11-01T09:30:00Z' }),
			Date.parse('2026-11-01T09:30:00Z')
		),
		outcome: way(
			async () => (await onePrint())?.outcome,
			() => facts.print({ outcome: 'ofNoUse', cause: 'filament' }),
			'ofNoUse'
		),
		percentReached: way(
			async () => (await onePrint())?.percentReached,
			() => facts.print({ outcome: 'failed', cause: 'filament', percentReached: 40 }),
			40
		),
		cause: way(
			async () => (await onePrint())?.cause,
			() => facts.print({ outcome: 'failed', percentReached: 40, cause: 'handling' }),
			'handling'
		),
		failure: way(
			async () => (await onePrint())?.failure,
			() => facts.print({ failure: 'clogged' }),
			'clogged'
		),
		tuning: way(
			async () => (await onePrint())?.tuning,
			() => facts.print({ tuning: true }),
			true
		),
		signs: way(
			async () => (await onePrint())?.signs,
			() => facts.print({ signs: ['pops'] }),
			['pops']
		),
		portionId: way(
			async () => (await onePrint())?.portionId,
			() => facts.print({ portionId: is.cut }),
			() => is.cut
		),
		settings: way(
			async () => (await onePart())?.nozzleC,
			() => facts.print({ settings: { nozzleC: 245 } }),
			245
		),
		setUp: way(
			async () => (await onePrint())?.setUp,
			() => facts.print({ setUp: { bedSurface: 'steel' } }),
			{ bedSurface: 'steel' }
		),
		roomTemperatureC: NOT_COMPUTED,
		roomHumidityPct: NOT_COMPUTED,
		settingsPolicy: NOT_COMPUTED,
		gramsG: way(
			async () => (await onePrint())?.gramsG,
			() => facts.print({ gramsG: 31 }),
			31
		),
		minutes: NOT_COMPUTED,
		fileHash: way(
			async () => (await onePrint())?.fileHash,
			() => facts.print({ fileHash: null }),
			null
		),
		midPrint: way(
			async () => (await onePrint())?.midPrint,
			() => facts.print({ midPrint: 'fan off' }),
			'fan off'
		)
	},
	specimen: {
		spoolId: 'a test part of another spool is marked invalid and noted there',
		attemptId: 'tells its temperature, which has its own column',
		pieceId: NOT_COMPUTED,
		shape: way(
			async () => (await onePart())?.shape,
			() => facts.part({ shape: 'bar' }),
			'bar'
		),
		orientation: way(
			async () => (await onePart())?.orientation,
			() => facts.part({ orientation: 'upright' }),
			'upright'
		),
		method: way(
			async () => (await onePart())?.method,
			() => facts.part({ method: 'direct' }),
			'direct'
		),
		nozzleC: way(
			async () => (await onePart())?.nozzleC,
			() => facts.part({ nozzleC: 251 }),
			251
		),
		made: way(
			async () => (await onePart())?.made,
			() => facts.part({ made: 'six walls' }),
			'six walls'
		),
		at: NOT_COMPUTED
	},
	reading: {
		spoolId: 'a reading of another spool is marked invalid and taken there',
		station: IDENTITY,
		quantity: readingAgain,
		value: readingWay('value', {}, { typed: '1.71' }, 1.71),
		typedText: readingWay('typedText', {}, { typed: '1.72' }, '1.72'),
		typedUnit: readingWay('typedUnit', weighing, { typed: '1.3 kg' }, 'kg'),
		resolution: readingWay('resolution', {}, { typed: '1.725' }, 0.001),
		instrumentId: readingWay(
			'instrumentId',
			{},
			() => ({ instrumentId: is.caliper }),
			() => is.caliper
		),
		instrumentCheckId: 'asked for anew by its instrument and time',
		takenAt: readingWay('takenAt', weighing, { takenAt: '2026-11-01T07:00:00Z' }, Date.parse('2026-11-01T07:00:00Z')),
		roomTemperatureC: NOT_COMPUTED,
		roomHumidityPct: NOT_COMPUTED,
		placeIndex: readingAgain,
		positionM: readingAgain,
		direction: readingAgain,
		attemptId: IDENTITY,
		specimenId: IDENTITY,
		ownMeasureId: IDENTITY,
		before: readingWay('before', weighing, { before: 'dried' }, 'dried'),
		scorer: readingWay('scorer', { scorer: 'Ada' }, { scorer: 'Ben' }, 'Ben'),
		photoId: RAW,
		photoCorners: RAW
	}
};

/** Columns of every row that say when and in which order it was written, or in which zone. */
const OF_EVERY_ROW = new Set(['id', 'createdAt', 'seq', 'zone']);

const isTable = (of: unknown): of is MySqlTable => of instanceof MySqlTable;
const ALL = Object.entries(tables).flatMap(([name, table]) =>
	isTable(table) ? Object.keys(getTableColumns(table)).flatMap((column) => (OF_EVERY_ROW.has(column) ? [] : [{ name, column }])) : []
);
const said = (name: string, column: string): Way | string | undefined => {
	const of = COLUMNS[name];
	return typeof of === 'string' ? of : of?.[column];
};

describe('every stored fact', () => {
	it('has a way to be put right, or a reason for none', () => {
		expect(ALL.filter(({ name, column }) => said(name, column) === undefined)).toEqual([]);
		const known = new Set(ALL.map(({ name, column }) => `${name}.${column}`));
		const told = Object.entries(COLUMNS).flatMap(([name, of]) =>
			typeof of === 'string' ? [] : Object.keys(of).map((column) => `${name}.${column}`)
		);
		expect(told.filter((one) => !known.has(one))).toEqual([]);
	});

	const ways = new Map<Way, string>();
	for (const { name, column } of ALL) {
		const one = said(name, column);
		if (one && typeof one !== 'string') ways.set(one, ways.has(one) ? `${ways.get(one)} ${column}` : `${name} ${column}`);
	}
	it.each([...ways].map(([one, what]) => ({ what, one })))('$what', async ({ one }) => {
		const before = await one.now();
		const after = typeof one.then === 'function' ? (one.then as () => unknown)() : one.then;
		expect(before).not.toEqual(after);
		await one.edit();
		expect(await one.now()).toEqual(after);
	});

	it.each([
		['instrument', () => is.caliper, async () => (await oneCaliper())?.errorLimit, () => facts.instrument({ errorLimit: '0.04 mm' }), 0.04],
		[
			'printer',
			() => is.other,
			async () => (await onePrint())?.printer,
			() => facts.printer({ printerId: is.other, name: 'South two' }),
			'South two'
		],
		['dryer', () => is.dryer, async () => (await oneDryer())?.name, () => facts.dryer({ name: 'Low box' }), 'Low box'],
		['ownMeasure', () => is.measure, async () => (await oneMeasure())?.high, () => facts.measure({ high: 35 }), 35]
	] as const)('%s: undone, the fact before is in force again', async (kind, id, now, edit, then) => {
		const before = await now();
		await edit();
		expect(await now()).toBe(then);
		const said = (await t.db.select().from(tables.amendment)).filter((a) => a.targetId === id() && a.action === 'correct');
		await amend(kind, id(), { action: 'undo', undoesId: said.toSorted((a, b) => b.seq - a.seq)[0]?.id });
		expect(await now()).toBe(before);
	});

	it('goes with its trial as it was put right', async () => {
		await postBlind(t.db, checked(blindBody, { trialId: is.trial, blind: false }), NOW);
		const here = await evidence();
		const bundle = bundleSchema.parse(JSON.parse(JSON.stringify(await exportBundle(t.db, is.trial, NOW))));
		const other = await testDatabase();
		try {
			await importBundle(other.db, bundleImportBody.parse({ id: v7(), bundle }), NOW);
			const there = (await loadEvidence(other.db, [is.spool]))[0];
			const told = (of: typeof here | undefined) => {
				const { spool, ...rest } = of as typeof here;
				return { ...rest, spool: { ...spool, revision: 0 } };
			};
			expect(told(there)).toEqual(told(here));
			expect((await loadTrial(other.db, is.trial)).basis.ownMeasures).toEqual((await trial()).basis.ownMeasures);
		} finally {
			await other.close();
		}
	});
});
