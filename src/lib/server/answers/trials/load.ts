import { and, count, desc, eq, isNull } from 'drizzle-orm';
import type { TRIAL_ROLES } from '$lib/core/record/lists/closed-lists';
import type { SpoolEvidence } from '$lib/core/record/evidence/spool-evidence';
import type { Basis } from '$lib/core/judging/trial/basis';
import type { ValueRule } from '$lib/core/judging/trial/protocol';
import type { UsePreset } from '$lib/core/answers/pick/presets';
import type { Criterion } from '$lib/core/answers/pick/types';
import type { Reader } from '../../base/db/client';
import { trial, trialSpool } from '../../base/db/schema';
import { loadEvidence } from '../../record/evidence/load';
import { isArchived, withFacts } from '../../record/facts/facts';
import { asOwnMeasure } from '../../record/own/measure';
import { letOthersIn } from '../../base/polite/let-others-in';
import { notFound, Problem } from '../../base/problem';
import { abilitiesOf } from '../../record/instruments/abilities';
import { basisOf } from './basis-of';
import { housesBeside } from './house';
import { saidOfTrial, type TrialVerdict } from './said';

/** How a spool takes part in a trial. */
type TrialRole = (typeof TRIAL_ROLES)[number];

type TrialHead = {
	id: string;
	name: string;
	question: string | null;
	preset: UsePreset;
	currency: string;
	blind: boolean;
	createdAt: number;
	valueRule: ValueRule;
	printer: string | null;
	printerId: string | null;
	protocolVersion: number;
	takeOutPrinter: boolean;
	takeOutLeniency: boolean;
	/** The last set of priors that put another spool first, and when it was adopted; null where none did. */
	turned: { number: number; before: string; after: string; at: number } | null;
	/** The spool the tester always buys, among the candidates or beside them. */
	houseId: string | null;
	/** The house spool that was left out for being of another material. */
	houseAside: { id: string; code: string; material: string } | null;
	/** What of the newest version cannot be read; then the newest that can is in force. */
	damaged: ('rules' | 'weights')[];
};

export type TrialWhole = {
	head: TrialHead;
	basis: Basis;
	criteria: Criterion[];
	roles: Record<string, TrialRole>;
	spools: SpoolEvidence[];
	verdicts: TrialVerdict[];
	/** Verdicts that were taken back. */
	withdrawn: TrialVerdict[];
};

/** A trial with the evidence of its spools: all a page or the API needs to compute its findings. */
export async function loadTrial(db: Reader, trialId: string): Promise<TrialWhole> {
	const said = await saidOfTrial(db, trialId);
	if (!said) throw notFound('trial');
	const { head, rules, weights, measures, members, verdicts, turned, handbook, pieces, priors } = said;
	const isBeside = new Set(members.filter((m) => m.role === 'house').map((m) => m.spoolId));
	const houseId = members.find((m) => m.role !== 'candidate')?.spoolId;
	const loaded = await loadEvidence(
		db,
		members.map((m) => m.spoolId)
	);
	const candidates = loaded.filter((s) => !isBeside.has(s.spool.id));
	const houses = loaded.filter((s) => isBeside.has(s.spool.id));
	const beside = housesBeside(houses, candidates, handbook);
	const aside = houses.find((h) => !beside.includes(h))?.spool;
	const spools = [...beside, ...candidates];
	const measuredHere = new Set<string>();
	for (const { readings } of spools) for (const { ownMeasureId } of readings) if (ownMeasureId) measuredHere.add(ownMeasureId);
	const house = loaded.find((s) => s.spool.id === houseId) ?? null;
	// Reading them was long work, and working out what they are judged by is.
	await letOthersIn();
	return {
		head: {
			id: head.id,
			name: head.name,
			question: head.question,
			preset: head.preset,
			currency: head.currency,
			blind: head.blind,
			createdAt: head.createdAt,
			valueRule: rules.protocol.valueRule,
			printer: said.printerNow ? `${said.printerNow.name}, ${said.printerNow.nozzle}` : null,
			printerId: rules.protocol.printerId,
			protocolVersion: rules.protocol.version,
			takeOutPrinter: rules.protocol.takeOutPrinter,
			takeOutLeniency: rules.protocol.takeOutLeniency,
			turned,
			houseId: house?.spool.id ?? null,
			houseAside: aside ? { id: aside.id, code: aside.code, material: aside.material } : null,
			damaged: said.damaged
		},
		basis: basisOf(
			{
				settingsPolicy: rules.protocol.settingsPolicy,
				conditionPolicy: rules.protocol.conditionPolicy,
				pieceIds: rules.protocol.pieceIds ?? [rules.protocol.mainPieceId],
				repeats: rules.protocol.repeats,
				diameterPlaces: rules.protocol.diameterPlaces,
				diameterDirections: rules.protocol.diameterDirections,
				strengthHighN: rules.protocol.strengthHighN,
				failureRule: rules.protocol.failureRule,
				takeOutPrinter: rules.protocol.takeOutPrinter,
				takeOutLeniency: rules.protocol.takeOutLeniency,
				claimRule: rules.protocol.claimRule,
				currency: head.currency,
				costReference: weights.costReference,
				chosenKinds: rules.protocol.specimenKinds ?? {},
				printer: abilitiesOf(said.printerNow),
				ownMeasures: measures.map((m) =>
					asOwnMeasure(m, m.trialId === trialId || measuredHere.has(m.id) || (rules.protocol.ownMeasureIds ?? []).includes(m.id))
				)
			},
			{ candidates, house, beside: spools },
			{ pieces, handbook, priors }
		),
		criteria: weights.items as Criterion[],
		roles: Object.fromEntries(members.map((m) => [m.spoolId, m.role])),
		spools,
		verdicts: verdicts.filter((v) => !v.archived),
		withdrawn: verdicts.filter((v) => v.archived)
	};
}

/** What one of many trials is loaded for; null where its own record cannot be read, which is told at that trial and stops nothing else. */
export async function ofReadable<T>(load: () => Promise<T>): Promise<T | null> {
	try {
		return await load();
	} catch (cause) {
		if (cause instanceof Problem && cause.said.code === 'damagedTrial') return null;
		throw cause;
	}
}

export type TrialListing = Pick<TrialHead, 'id' | 'name' | 'question' | 'createdAt' | 'blind' | 'preset' | 'currency'> & {
	spools: number;
	archived: boolean;
};

/** All trials, newest first. */
export async function listTrials(db: Reader): Promise<TrialListing[]> {
	const rows = await db
		.select({
			id: trial.id,
			name: trial.name,
			question: trial.question,
			createdAt: trial.createdAt,
			blind: trial.blind,
			preset: trial.preset,
			currency: trial.currency,
			spools: count(trialSpool.spoolId)
		})
		.from(trial)
		.leftJoin(trialSpool, and(eq(trialSpool.trialId, trial.id), isNull(trialSpool.leftAt)))
		.groupBy(trial.id)
		.orderBy(desc(trial.createdAt), desc(trial.id));
	return (await withFacts(db, 'trial', rows)).map((row) => ({ ...row, archived: isArchived(row) }));
}
