import { and, asc, count, desc, eq, isNull } from 'drizzle-orm';
import type { TRIAL_ROLES } from '$lib/core/closed-lists';
import type { SpoolEvidence } from '$lib/core/evidence/spool-evidence';
import type { Basis } from '$lib/core/trial/basis';
import type { ValueRule } from '$lib/core/trial/protocol';
import type { UsePreset } from '$lib/core/pick/presets';
import type { Criterion } from '$lib/core/pick/types';
import type { Reader } from '../db/client';
import { criteria, ownMeasure, printer, protocol, trial, trialSpool, verdict } from '../db/schema';
import { loadEvidence } from '../evidence/load';
import { isArchived, withFacts } from '../facts/facts';
import { isValidRow } from '../exchange/row-schema';
import { asOwnMeasure } from '../own/measure';
import { loadHandbook } from '../handbook/handbook';
import { notFound, problem } from '../problem';
import { lastTurn, priorsOfTrial } from '../priors/load';
import { loadPieces } from '../pieces/load';
import { abilitiesOf, basisOf } from './basis-of';
import { housesBeside } from './house';

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
};

type TrialVerdict = {
	id: string;
	spoolId: string;
	kind: 'buy' | 'leave' | 'buyFor' | 'dryFirst';
	buyFor: string | null;
	note: string | null;
	at: number;
	coreVersion: string;
};

/** A trial with the evidence of its spools: all a page or the API needs to compute its findings. */
export async function loadTrial(db: Reader, trialId: string): Promise<TrialWhole> {
	// All at once: of a busy server every wait is a long one.
	const [[head], allRules, allWeights, measures, members, verdicts, turned, handbook, pieces, priors] = await Promise.all([
		db
			.select()
			.from(trial)
			.where(eq(trial.id, trialId))
			.then((rows) => withFacts(db, 'trial', rows)),
		db
			.select({ protocol, printer })
			.from(protocol)
			.leftJoin(printer, eq(printer.id, protocol.printerId))
			.where(eq(protocol.trialId, trialId))
			.orderBy(desc(protocol.version)),
		db.select().from(criteria).where(eq(criteria.trialId, trialId)).orderBy(desc(criteria.version)),
		db.select().from(ownMeasure).orderBy(asc(ownMeasure.createdAt), asc(ownMeasure.id)),
		db
			.select()
			.from(trialSpool)
			.where(and(eq(trialSpool.trialId, trialId), isNull(trialSpool.leftAt)))
			.orderBy(asc(trialSpool.position)),
		loadVerdicts(db, trialId),
		lastTurn(db, trialId),
		loadHandbook(db),
		loadPieces(db),
		priorsOfTrial(db, trialId)
	]);
	if (!head) throw notFound('trial');
	const rules = allRules.find((r) => isValidRow('protocols', r.protocol));
	const weights = allWeights.find((w) => isValidRow('criteria', w));
	if (!rules || !weights) throw problem(422, 'damagedTrial');
	const isBeside = new Set(members.filter((m) => m.role === 'house').map((m) => m.spoolId));
	const houseId = members.find((m) => m.role !== 'candidate')?.spoolId;
	const [loaded, [printerNow]] = await Promise.all([
		loadEvidence(
			db,
			members.map((m) => m.spoolId)
		),
		rules.printer ? withFacts(db, 'printer', [rules.printer]) : []
	]);
	const candidates = loaded.filter((s) => !isBeside.has(s.spool.id));
	const houses = loaded.filter((s) => isBeside.has(s.spool.id));
	const beside = housesBeside(houses, candidates, handbook);
	const aside = houses.find((h) => !beside.includes(h))?.spool;
	const spools = [...beside, ...candidates];
	const measuredHere = new Set(spools.flatMap((s) => s.readings.flatMap((r) => r.ownMeasureId ?? [])));
	const house = loaded.find((s) => s.spool.id === houseId) ?? null;
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
			printer: rules.printer ? `${rules.printer.name}, ${rules.printer.nozzle}` : null,
			printerId: rules.protocol.printerId,
			protocolVersion: rules.protocol.version,
			takeOutPrinter: rules.protocol.takeOutPrinter,
			takeOutLeniency: rules.protocol.takeOutLeniency,
			turned,
			houseId: house?.spool.id ?? null,
			houseAside: aside ? { id: aside.id, code: aside.code, material: aside.material } : null,
			damaged: [...(rules === allRules[0] ? [] : ['rules' as const]), ...(weights === allWeights[0] ? [] : ['weights' as const])]
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
				printer: abilitiesOf(printerNow ?? null),
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
		verdicts
	};
}

async function loadVerdicts(db: Reader, trialId: string): Promise<TrialVerdict[]> {
	return await db
		.select({
			id: verdict.id,
			spoolId: verdict.spoolId,
			kind: verdict.kind,
			buyFor: verdict.buyFor,
			note: verdict.note,
			at: verdict.at,
			coreVersion: verdict.coreVersion
		})
		.from(verdict)
		.where(eq(verdict.trialId, trialId))
		.orderBy(desc(verdict.at), desc(verdict.id));
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
