import { v7 } from 'uuid';
import { flatTile, spikePair } from '$lib/core/judging/pieces/shapes/plain';
import { temperatureLadder } from '$lib/core/judging/pieces/shapes/ladders';
import { usualParams } from '$lib/core/judging/pieces/kit/usual';
import { trainingPlan } from '$lib/core/stations/prints/trainer/training';
import { SEVERITY_WORDS, STRING_WORDS, SURFACE_FAULTS } from '$lib/core/record/marks/mark-words';
import { attemptBody } from '$lib/schemas/attempt';
import { dryingRunBody } from '$lib/schemas/drying';
import { photoQuery } from '$lib/schemas/photo';
import { pieceBody } from '$lib/schemas/piece';
import { readingBody } from '$lib/schemas/reading';
import { trainingBody } from '$lib/schemas/training';
import { protocolBody, trialBody, verdictBody } from '$lib/schemas/trial';
import { STEP_PIECE } from '../lib/server/base/db/defaults';
import { putPhoto } from '../lib/server/stations/photos/photos';
import { postDryingRun } from '../lib/server/stations/drying/post';
import { postPiece } from '../lib/server/stations/pieces/post';
import { postAttempt } from '../lib/server/stations/prints/post-attempt';
import { postReading } from '../lib/server/stations/readings/post';
import { postProtocol, postTrial } from '../lib/server/answers/trials/post';
import { postVerdict } from '../lib/server/answers/verdicts/post';
import { postTraining } from '../lib/server/stations/workshop/trainings';
import { DEMO_KNOBS_TRIAL, DEMO_SPOOLS } from './bench';
import { checked, DAY, START, zone, type DemoBench } from './demo-bench';
import { measuredOn, spikePicture } from './picture';

const SCORERS = ['Ines', 'Jonas', 'Mira'] as const;
const INES = { scorer: SCORERS[0] };
/** Grade of strings on each print of the spikes: house spool, then the dearer one, as received. */
const SPIKE_GRADES = [
	[2, 2, 3, 2],
	[1, 0, 1, 1]
] as const;
const WINDOWS = [
	[
		['225', '240'],
		['230', '240']
	],
	[
		['230', '250'],
		['230', '245']
	]
] as const;

/** The second trial: one dearer reel against the house spool, for knobs that are looked at. Three observers score the same prints. */
export async function judgeKnobs(
	bench: DemoBench,
	house: string,
	gable: string,
	{ printers, dryer }: { printers: Record<'North' | 'South', string>; dryer: string }
): Promise<void> {
	const { db } = bench;
	bench.jumpTo(24);
	const trialId = v7();
	await postTrial(db, checked(trialBody, { id: trialId, ...DEMO_KNOBS_TRIAL, preset: 'fineLooks', spoolIds: [gable] }), START - DAY);
	const [spikes, tile, ladder] = [v7(), v7(), v7()];
	const ladderParams = { ...usualParams(temperatureLadder), from: 255, to: 220 };
	for (const { id, name, kind, params } of [
		{ id: spikes, name: 'Knob spikes', kind: spikePair.id, params: usualParams(spikePair) },
		{ id: tile, name: 'Knob tile', kind: flatTile.id, params: usualParams(flatTile) },
		{ id: ladder, name: 'Heat ladder', kind: temperatureLadder.id, params: ladderParams }
	])
		await postPiece(db, checked(pieceBody, { id, name, kind, params }), bench.now);
	const rules = {
		id: v7(),
		trialId,
		settingsPolicy: 'label',
		conditionPolicy: 'driedFirst',
		valueRule: 'weighted',
		printerId: printers.North,
		pieceIds: [spikes, tile, ladder, STEP_PIECE.id],
		repeats: 1,
		diameterPlaces: 5,
		diameterDirections: 2
	};
	await postProtocol(db, checked(protocolBody, rules), bench.now);
	await trainScorers(bench);
	await dryAgain(bench, dryer, [house, gable]);
	for (const [which, spoolId] of [house, gable].entries()) {
		const spool = DEMO_SPOOLS[which === 0 ? 0 : 3] as (typeof DEMO_SPOOLS)[number];
		const print = async (pieceId: string, more: object = {}) => {
			const id = v7();
			const settings = { nozzleC: 240, bedC: 75, fanPct: 50 };
			const body = { id, spoolId, pieceId, printerId: printers.North, outcome: 'finished', settingsPolicy: 'label', settings, ...more };
			await postAttempt(db, checked(attemptBody, { ...body, ...bench.tick(50) }), bench.now);
			return id;
		};
		const say = async (attemptId: string, quantity: string, typed: string, more: object) =>
			await postReading(
				db,
				checked(readingBody, { id: v7(), spoolId, attemptId, quantity, typed, ...more, takenAt: bench.tick(0.3).at, zone }),
				bench.now
			);
		for (const [i, grade] of (SPIKE_GRADES[which] ?? []).entries()) {
			const attemptId = await print(spikes, i === 3 ? { midPrint: 'fan to 80 % from half way' } : {});
			const bytes = await spikePicture(spool.colourHex, grade, 40 + 10 * which + i);
			const photoId = v7();
			await putPhoto(db, checked(photoQuery, { id: photoId, attemptId, ...bench.tick(3) }), bytes, bench.now);
			const { corners, strands } = await measuredOn(bytes);
			const photo = { photo: { id: photoId, corners } };
			await say(attemptId, 'stringCoverage', strands.coveragePct.toFixed(2), photo);
			await say(attemptId, 'photoStrings', String(strands.count), photo);
			await say(attemptId, 'photoQuality', strands.quality, photo);
			for (const [s, scorer] of SCORERS.entries()) {
				// Jonas is the mild one; all slip a word now and then.
				const lean = (s === 1 && grade > 0 && bench.source() < 0.7 ? -1 : 0) + (bench.source() < 0.12 ? 1 : 0);
				const said = STRING_WORDS[Math.min(3, Math.max(0, grade + lean))] ?? 'none';
				await say(attemptId, 'strings', said, { scorer });
			}
		}
		const tilePrint = await print(tile);
		for (const fault of SURFACE_FAULTS) {
			const rank = fault === 'surfaceSeam' ? 1 : fault === 'surfaceDots' ? 1 - which : 0;
			await say(tilePrint, fault, SEVERITY_WORDS[rank] ?? 'none', INES);
		}
		await say(tilePrint, 'cornerLift', which === 0 ? '0.3 mm' : '0.1 mm', INES);
		for (const [from, to] of WINDOWS[which] ?? []) {
			const heat = await print(ladder);
			await say(heat, 'cleanFrom', `${from} C`, INES);
			await say(heat, 'cleanTo', `${to} C`, INES);
		}
	}
	await postVerdict(
		db,
		checked(verdictBody, {
			id: v7(),
			trialId,
			spoolId: gable,
			kind: 'buyFor',
			buyFor: 'focuser knobs',
			note: 'Cleaner overhangs than the house spool, but not for clips at that price.',
			...bench.tick(5)
		}),
		bench.now
	);
}

/** What was dried for the first trial has lain in the open for weeks: this one counts dried prints. */
async function dryAgain(bench: DemoBench, dryerId: string, spoolIds: string[]): Promise<void> {
	const started = bench.tick(10);
	const run = { id: v7(), dryerId, spoolIds, setPoint: '65 C', duration: '5 h', ...started, endedAt: bench.tick(300).at };
	await postDryingRun(bench.db, checked(dryingRunBody, run), bench.now);
}

/** Two observers trained their eyes on strings before; one of them takes heavy for slight. */
async function trainScorers(bench: DemoBench): Promise<void> {
	for (const [scorer, seed, slips] of [
		['Ines', 11, 0],
		['Jonas', 23, 4]
	] as const) {
		let left: number = slips;
		const answers = trainingPlan('strings', seed).map(({ grade }) => (grade > 1 && left-- > 0 ? grade - 1 : grade));
		await postTraining(
			bench.db,
			checked(trainingBody, { id: v7(), scorer, subject: 'strings', seed, answers, ...bench.tick(4) }),
			bench.now
		);
	}
}
