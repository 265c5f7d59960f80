import { nth } from '../lib/core/kernel/lists/nth';
import { v7 } from 'uuid';
import { STRING_WORDS } from '$lib/core/record/marks/mark-words';
import { overhangLadder } from '$lib/core/judging/pieces/shapes/ladders';
import { measuringBlock } from '$lib/core/judging/pieces/shapes/plain';
import { usualParams } from '$lib/core/judging/pieces/kit/usual';
import { pieceBody } from '$lib/schemas/piece';
import { postPiece } from '../lib/server/stations/pieces/post';
import { studyPlan } from '$lib/core/stations/diameter/study-plan';
import { gaugeStudyBody, amendmentBody, instrumentBody, instrumentCheckBody, noteBody } from '$lib/schemas/amendment';
import { attemptBody, printerBody, type AttemptInput } from '$lib/schemas/attempt';
import { readingBody } from '$lib/schemas/reading';
import { intakeBody } from '$lib/schemas/spool';
import { dryerCheckBody, dryingRunBody } from '$lib/schemas/drying';
import { logBody, logEndBody } from '$lib/schemas/gauge-log';
import { handbookBody } from '$lib/schemas/handbook';
import { criteriaBody, ownMeasureBody, protocolBody, trialBody } from '$lib/schemas/trial';
import { HANDBOOK } from '$lib/core/judging/handbook/defaults';
import { presetCriteria } from '$lib/core/answers/pick/presets';
import { postAmendment } from '../lib/server/answers/amendments/post';
import type { Database } from '../lib/server/base/db/client';
import { trial } from '../lib/server/base/db/schema';
import { postDryingRun } from '../lib/server/stations/drying/post';
import { postHandbook } from '../lib/server/record/handbook/handbook';
import { addSpool } from '../lib/server/stations/intake/add-spool';
import { postNote } from '../lib/server/stations/notes/post';
import { postAttempt } from '../lib/server/stations/prints/post-attempt';
import { postReading } from '../lib/server/stations/readings/post';
import { postCriteria, postHouseSpool, postOwnMeasure, postProtocol, postTrial } from '../lib/server/answers/trials/post';
import { lineGaugeFile } from '$lib/standins/line-gauge';
import { announceLog, endLog, putSlice } from '../lib/server/stations/diameter/arrive';
import { postInstrumentCheck } from '../lib/server/record/instruments/checks';
import { postDryerCheck } from '../lib/server/record/dryers/checks';
import { postGaugeStudy } from '../lib/server/record/instruments/studies';
import { postInstrument, postPrinter } from '../lib/server/stations/workshop/workshop';
import { DEMO_SPOOLS, DEMO_TRIAL, type DemoSpool } from './bench';
import { checked, DemoBench, MINUTE, zone } from './demo-bench';
import { loadHooks } from './hooks';
import { judgeKnobs } from './knobs';
import { useParts } from './parts';
import { feedSoftFeet } from './soft-feet';
import { adoptPriors } from '../lib/server/answers/priors/adopt';
import { learnPriors } from '../lib/server/answers/priors/learn';
import { weighAndDry } from './water';

/**
 * Fills an empty database with the demo observatory. Deterministic: the same readings every time.
 * One load is drying at this very moment, so that the shell has a timer to show: only that needs to know the time.
 * @param now the real time
 * @returns false when there was a trial already and nothing was done
 */
export async function seedDemo(db: Database, now: number): Promise<boolean> {
	const [any] = await db.select({ id: trial.id }).from(trial).limit(1);
	if (any) return false;
	const bench = new DemoBench(db);
	const caliper = v7();
	await postInstrument(
		db,
		checked(instrumentBody, { id: caliper, name: 'Dome caliper', errorLimit: '0.02 mm', resolution: '0.01 mm' }),
		bench.now
	);
	const scale = v7();
	await postInstrument(
		db,
		checked(instrumentBody, { id: scale, name: 'Parcel scale', measures: 'mass', errorLimit: '0.1 g', resolution: '0.1 g' }),
		bench.now
	);
	const printers = { North: v7(), South: v7() };
	const south = { id: printers.South, name: 'South', nozzle: '0.4 hardened', hotEndMax: '300 C', hardenedNozzle: true, enclosed: true };
	await postPrinter(db, checked(printerBody, south), bench.now);
	const north = { id: printers.North, name: 'North', nozzle: '0.4 brass', hotEndMax: '260 C', hardenedNozzle: false, enclosed: false };
	await postPrinter(db, checked(printerBody, north), bench.now + 1);
	await postHandbook(db, checked(handbookBody, { id: v7(), material: 'PETG', figures: OWN_PETG }), bench.now);

	for (const { name, kind } of [
		{ name: 'Dome block', kind: measuringBlock },
		{ name: 'Clip ladder', kind: overhangLadder }
	])
		await postPiece(db, checked(pieceBody, { id: v7(), name, kind: kind.id, params: usualParams(kind) }), bench.now);
	const trialId = v7();
	await postTrial(db, checked(trialBody, { id: trialId, ...DEMO_TRIAL, preset: 'outdoorBrackets' }), bench.now);
	const measureId = v7();
	await postOwnMeasure(
		db,
		checked(ownMeasureBody, { id: measureId, trialId, name: 'Clip grip', unit: 'N', direction: 'more', low: 5, high: 25 }),
		bench.now
	);
	const rules = {
		id: v7(),
		trialId,
		settingsPolicy: 'label',
		conditionPolicy: 'asReceived',
		valueRule: 'cheapestOfBest',
		printerId: printers.North,
		repeats: 1,
		diameterPlaces: 5,
		diameterDirections: 2,
		strengthHighN: 200
	};
	await postProtocol(db, checked(protocolBody, rules), bench.now);
	const items = [...presetCriteria('outdoorBrackets'), { quantity: `own.${measureId}`, weight: 6, gate: null }];
	await postCriteria(db, checked(criteriaBody, { id: v7(), trialId, items }), bench.now);

	const ids: string[] = [];
	for (const [index, spool] of DEMO_SPOOLS.entries()) {
		const { truth: _, done: __, water: ___, odd, ...facts } = spool;
		const body = {
			id: v7(),
			trialId,
			role: index === 0 ? 'houseInvited' : 'candidate',
			...facts,
			...(odd ? { odd } : index === DEMO_SPOOLS.length - 2 ? {} : { nothingOdd: true }),
			...bench.tick(6)
		};
		ids.push((await addSpool(db, checked(intakeBody, body), bench.now)).answer.spoolId);
	}
	const at = (index: number) => nth(ids, index);
	await postHouseSpool(db, { id: v7(), spoolId: at(0) }, bench.now);

	for (const [index, spool] of DEMO_SPOOLS.entries()) await measureDiameters(bench, spool, at(index), caliper);
	for (const [index, spool] of DEMO_SPOOLS.entries()) await printAll(bench, spool, at(index), trialId, printers, 2 + index * 1.5);
	for (const [index, spool] of DEMO_SPOOLS.entries()) await measureGrip(bench, spool, at(index), measureId);
	await addStories(bench, ids, trialId, printers);
	const dryer = await weighAndDry(bench, ids, scale);
	for (const [index, spool] of DEMO_SPOOLS.entries()) await loadHooks(bench, spool, at(index));
	await useParts(bench, at(0), at(5));
	await testClaims(bench, ids);
	await studyCaliper(bench, caliper);
	await logStrand(bench, at(5));
	await startRunningDryer(bench, dryer, [at(2), at(8)], now);

	await judgeKnobs(bench, at(0), at(3), { printers, dryer });
	await feedSoftFeet(bench, printers);
	await learnPriors(db, bench.now);
	await adoptPriors(db, bench.now);
	return true;
}

/** Two observers read five marked places three times each with the caliper everybody uses. */
async function studyCaliper(bench: DemoBench, instrumentId: string): Promise<void> {
	const placesMm = [1.721, 1.738, 1.75, 1.762, 1.779];
	const pressMm = [0.001, -0.005];
	const readings = studyPlan({ places: 5, raters: 2, repeats: 3 }, bench.source).map(({ place, rater }) => {
		const mm = nth(placesMm, place) + nth(pressMm, rater) + bench.normal(0, 0.004);
		return { place, rater, typed: mm.toFixed(2) };
	});
	const study = { id: v7(), instrumentId, raters: ['Ines', 'Jonas'], readings, ...bench.tick(20) };
	await postGaugeStudy(bench.db, checked(gaugeStudyBody, study), bench.now);
}

/** A borrowed micrometer, checked against a pin: what it says of four spools, over their whole length where there was time. */
async function testClaims(bench: DemoBench, ids: string[]): Promise<void> {
	const micrometer = v7();
	const named = { id: micrometer, name: 'Borrowed micrometer', errorLimit: '0.004 mm', resolution: '0.001 mm' };
	await postInstrument(bench.db, checked(instrumentBody, named), bench.now);
	const pin = Array.from({ length: 10 }, () => bench.normal(1.703, 0.0008).toFixed(3));
	const check = { id: v7(), instrumentId: micrometer, reference: '1.700 mm', referenceLimit: '0.001 mm', readings: pin, ...bench.tick(5) };
	await postInstrumentCheck(bench.db, checked(instrumentCheckBody, check), bench.now);
	const lengthM = 320;
	for (const [index, count] of [
		[0, 24],
		[1, 24],
		[3, 30],
		[4, 12]
	] as const) {
		const [mean, sd] = nth(DEMO_SPOOLS, index).truth.diameterMm;
		let placeMm = mean;
		for (let i = 0; i < count; i++) {
			if (i % 2 === 0) placeMm = bench.normal(mean, sd);
			const body = {
				id: v7(),
				spoolId: ids[index],
				quantity: 'diameter',
				// Three micrometres too much, as the check found.
				typed: (bench.normal(placeMm, 0.002) + 0.003).toFixed(3),
				instrumentId: micrometer,
				placeIndex: 5 + Math.floor(i / 2),
				positionM: Math.floor((3 * i) / count) * (lengthM / 2) + Math.floor(i / 2),
				direction: i % 2 ? 'across' : 'along',
				takenAt: bench.tick(0.4).at,
				zone
			};
			await postReading(bench.db, checked(readingBody, body), bench.now);
		}
	}
}

/** A friend's winder has a line gauge: the whole of one spool, with the rhythm of its puller and one thickening. */
async function logStrand(bench: DemoBench, spoolId: string): Promise<void> {
	const gauge = v7();
	const named = { id: gauge, name: 'Winder gauge', errorLimit: '0.003 mm', resolution: '0.001 mm' };
	await postInstrument(bench.db, checked(instrumentBody, named), bench.now);
	const strand = {
		meanMm: 1.749,
		driftMmPer100M: 0.002,
		periodicity: { periodM: 1.87, amplitudeMm: 0.007 },
		wander: { sdMm: 0.006, lengthM: 8 },
		noiseMm: 0.0015,
		thickSpots: [
			{ atM: 212.4, overMm: 0.21, lengthM: 0.4 },
			{ atM: 87.1, overMm: 0.07, lengthM: 0.6 }
		]
	};
	const file = lineGaugeFile(strand, { stepM: 0.02, resolutionMm: 0.001, axes: 2, ovalityMm: 0.005 }, 16_000, 1811);
	const id = v7();
	const layout = {
		headerRows: 1,
		delimiter: ',',
		decimal: '.',
		unit: 'mm',
		along: 1,
		across: 2,
		place: { kind: 'position', column: 0, perMetre: 1 }
	};
	const log = { id, spoolId, instrumentId: gauge, name: 'winder, whole spool.csv', slices: 1, layout, ...bench.tick(30) };
	await announceLog(bench.db, checked(logBody, log), bench.now);
	await putSlice(bench.db, id, 0, Buffer.from(file));
	await endLog(bench.db, checked(logEndBody, { id: v7(), logId: id, outcome: 'commit' }), bench.now);
}

async function measureDiameters(bench: DemoBench, spool: DemoSpool, spoolId: string, caliper: string): Promise<void> {
	const [mean, sd] = spool.truth.diameterMm;
	let placeMm = mean;
	for (let i = 0; i < spool.done.diameters; i++) {
		// Two directions of one place share its diameter; the caliper adds its own scatter.
		if (i % 2 === 0) placeMm = bench.normal(mean, sd);
		const shown = bench.normal(placeMm, 0.005).toFixed(2);
		const slip = spool.lot === 'F-114' && i === 5;
		const body = {
			id: v7(),
			spoolId,
			quantity: 'diameter',
			typed: slip ? '1.57' : shown,
			instrumentId: caliper,
			placeIndex: Math.floor(i / 2),
			direction: i % 2 ? 'across' : 'along',
			takenAt: bench.tick(0.4).at,
			zone
		};
		const { answer } = await postReading(bench.db, checked(readingBody, body), bench.now);
		if (slip)
			await postAmendment(
				bench.db,
				checked(amendmentBody, {
					id: v7(),
					targetKind: 'reading',
					targetId: answer.id,
					action: 'correct',
					typed: '1.75',
					reason: 'digits swapped, measured again',
					...bench.tick(1)
				}),
				bench.now
			);
	}
}

const STEP = 5;

/** A print's marks around the truth: the last step below it is clean, the next one is faulty. */
function marksOf(bench: DemoBench, overhangDeg: number, bridgeMm: number, strings: readonly number[]): AttemptInput['marks'] {
	const clean = (truth: number, sd: number, low: number) => Math.max(low, Math.floor(bench.normal(truth, sd) / STEP) * STEP);
	const overhang = Math.min(75, clean(overhangDeg, 2.5, 30));
	const bridge = Math.min(45, clean(bridgeMm, 3, 5));
	return {
		overhangLastClean: String(overhang),
		overhangFirstFaulty: String(overhang + STEP),
		bridgeLongestClean: String(bridge),
		bridgeFirstFaulty: String(bridge + STEP),
		strings: STRING_WORDS[bench.choose(strings)] ?? 'none'
	};
}

async function printAll(
	bench: DemoBench,
	spool: DemoSpool,
	spoolId: string,
	trialId: string,
	printers: Record<'North' | 'South', string>,
	day: number
): Promise<void> {
	const { truth, done } = spool;
	bench.jumpTo(day);
	const [low = 0, high = low] = spool.labelNozzle.split('-').map(Number);
	const base = {
		spoolId,
		trialId,
		printerId: printers[done.printer ?? 'North'],
		settingsPolicy: 'label',
		settings: {
			nozzleC: Math.round((low + high) / 2),
			bedC: spool.material === 'PLA' ? 60 : spool.material === 'PETG' ? 75 : 100,
			fanPct: spool.material === 'ASA' ? 20 : spool.material === 'PLA' ? 100 : 50
		}
	} as const;
	for (let i = 0; i < done.prints; i++) {
		const failed = i < (done.failures ?? 0);
		const outcome = failed
			? { outcome: 'failed', cause: 'filament', percentReached: Math.round(20 + 60 * bench.source()), note: 'strand snapped in the feeder' }
			: { outcome: 'finished', marks: marksOf(bench, truth.overhangDeg, truth.bridgeMm, truth.strings) };
		await postAttempt(bench.db, checked(attemptBody, { id: v7(), ...base, ...outcome, ...bench.tick(75) }), bench.now);
	}
	for (let i = 0; i < done.dried; i++) {
		const marks = marksOf(bench, done.driedOverhangDeg ?? truth.overhangDeg, truth.bridgeMm + 4, done.driedStrings ?? truth.strings);
		await postAttempt(
			bench.db,
			checked(attemptBody, { id: v7(), ...base, outcome: 'finished', condition: 'dried', marks, ...bench.tick(i === 0 ? 420 : 75) }),
			bench.now
		);
	}
}

async function measureGrip(bench: DemoBench, spool: DemoSpool, spoolId: string, ownMeasureId: string): Promise<void> {
	const [mean, sd] = spool.truth.gripN;
	for (let i = 0; i < spool.done.grip; i++)
		await postReading(
			bench.db,
			checked(readingBody, {
				id: v7(),
				spoolId,
				quantity: 'own',
				typed: bench.normal(mean, sd).toFixed(1),
				ownMeasureId,
				takenAt: bench.tick(2).at,
				zone
			}),
			bench.now
		);
}

/** The observatory measured where its own PETG goes soft. */
const OWN_PETG = {
	...(({ edited: _, ...figures }) => figures)(HANDBOOK.find((m) => m.material === 'PETG') ?? (HANDBOOK[0] as (typeof HANDBOOK)[number])),
	softeningC: { low: 72, high: 76, source: 'own test: strip over a warm plate, three tries' }
};

/** A load that went in an hour and a half ago, and what a kitchen thermometer showed beside it. */
async function startRunningDryer(bench: DemoBench, dryerId: string, spoolIds: string[], now: number): Promise<void> {
	const at = new Date(now - 95 * MINUTE).toISOString();
	const run = { id: v7(), dryerId, spoolIds, setPoint: '62 C', duration: '4 h', at, zone };
	await postDryingRun(bench.db, checked(dryingRunBody, run), now);
	for (const [minutes, probe] of [
		[60, '55 C'],
		[75, '58 C'],
		[90, '57 C']
	] as const) {
		const check = { id: v7(), dryerId, setPoint: '62 C', probe, at: new Date(now - (95 - minutes) * MINUTE).toISOString(), zone };
		await postDryerCheck(bench.db, checked(dryerCheckBody, check), now);
	}
}

/** What makes real records real: a fault of the printer first charged wrongly, a sample that ran out, a note, a misjudged mark. */
async function addStories(bench: DemoBench, ids: string[], trialId: string, printers: Record<'North' | 'South', string>): Promise<void> {
	const { db } = bench;
	bench.jumpTo(17);
	const gable = nth(ids, 3);
	const fault = v7();
	await postAttempt(
		db,
		checked(attemptBody, {
			id: fault,
			spoolId: gable,
			trialId,
			printerId: printers.North,
			outcome: 'failed',
			cause: 'filament',
			percentReached: 35,
			note: 'layers shifted all on one side',
			settings: { nozzleC: 245, bedC: 75, fanPct: 50 },
			...bench.tick(30)
		}),
		bench.now
	);
	await postAmendment(
		db,
		checked(amendmentBody, {
			id: v7(),
			targetKind: 'attempt',
			targetId: fault,
			action: 'correct',
			replacement: { cause: 'printer' },
			reason: 'belt was loose: the same wave on the house spool’s print',
			...bench.tick(60)
		}),
		bench.now
	);
	const sample = nth(ids, 7);
	await postAttempt(
		db,
		checked(attemptBody, {
			id: v7(),
			spoolId: sample,
			trialId,
			printerId: printers.South,
			outcome: 'failed',
			cause: 'handling',
			percentReached: 62,
			note: 'the sample ran out',
			settings: { nozzleC: 250, bedC: 100, fanPct: 20 },
			...bench.tick(45)
		}),
		bench.now
	);
	await postNote(
		db,
		checked(noteBody, {
			id: v7(),
			targetKind: 'spool',
			targetId: ids[5],
			text: 'Prints best of all, but a clip left on the sunny sill went soft. Not for the dome.',
			...bench.tick(10)
		}),
		bench.now
	);
	await postNote(
		db,
		checked(noteBody, {
			id: v7(),
			targetKind: 'spool',
			targetId: ids[2],
			text: 'Hisses at the nozzle as it comes. Quiet after a night in the dryer.',
			...bench.tick(10)
		}),
		bench.now
	);
}
