import { nth } from '../../kernel/lists/nth';
import { SET_UP, UNCHANGED } from '../../record/evidence/attempt';
import { wantedCondition } from '../trial/wanted';
import type { Basis } from '../trial/basis';
import type { Finding, QuantityDef } from '../finding/types';
import { targetOf } from '../finding/target';
import { toldApartAmong } from './apart';
import { compactLetterDisplay } from './compact-letter-display';

/** A set of findings of one quantity that are not like with like. */
export type Flag = {
	quantity: string;
	kind:
		| 'unlikePiece'
		| 'unlikePrinter'
		| 'unlikeNozzle'
		| 'unlikeCondition'
		| 'unlikeSettings'
		| 'unlikeCurrency'
		| 'unlikePriceKind'
		| 'unlikeSpecimen'
		| 'unlikeExposure';
	/** For settings, which one. */
	detail: string | null;
	/** What those spools have there, and what only the others have. */
	is: string[];
	rest: string[];
	spoolIds: string[];
};

export type Comparison = { flags: Flag[]; letters: Record<string, string> };

/**
 * Compares one quantity over the spools of a trial: what makes the set unlike, and letters for what cannot be told apart.
 * Letters are given best first; a spool without a finding gets none, nor one that was seen on another piece than most, unless the two are tied. Unlike settings are flagged as far
 * as the policy holds them equal: all under a fixed profile, all but the nozzle temperature under the label's, none where each product
 * has its own.
 * @param findings the primary finding of each spool
 * @example compare(findings, overhang, basis).letters // { 'spool-1': 'a', 'spool-2': 'ab' }
 */
export function compare(findings: readonly Finding[], def: QuantityDef, basis: Basis): Comparison {
	const known = findings.filter((f) => f.sampling.kind !== 'unknown' && f.estimate !== null);
	const worth = (f: Finding) => {
		const estimate = f.estimate as number;
		if (def.direction === 'nearest') return Math.abs(estimate - targetOf(def));
		return def.direction === 'less' ? estimate : -estimate;
	};
	const ordered = [...known].sort((a, b) => worth(a) - worth(b));
	const like = onePiece(ordered);
	const pairs = Math.max(1, (like.length * (like.length - 1)) / 2);
	const given = compactLetterDisplay(like.length, toldApartAmong(like, def, pairs));
	return {
		flags: flagsOf(known, def.id, basis),
		letters: like.length < 2 ? {} : Object.fromEntries(like.map((f, i) => [f.subject.spoolId, nth(given, i)]))
	};
}

const AROUND: readonly string[] = [...SET_UP.filter((name) => name !== 'profile' && name !== 'profileVersion'), 'midPrint'];

/** Settings that a policy means to be equal. */
function heldEqual(basis: Basis, name: string): boolean {
	// Bed, agent, enclosure and feed belong to the bench, not to a product's profile: whatever the policy, they are held equal.
	if (AROUND.includes(name)) return true;
	return basis.settingsPolicy === 'fixed' || (basis.settingsPolicy === 'label' && name !== 'nozzleC');
}

/** Those of the piece that most were seen on, in their order. */
function onePiece(findings: readonly Finding[]): Finding[] {
	const count = (f: Finding) => findings.filter((other) => other.subject.pieceId === f.subject.pieceId).length;
	const like = findings.reduce<Finding | null>((best, f) => (best === null || count(f) > count(best) ? f : best), null);
	return findings.filter((f) => f.subject.pieceId === like?.subject.pieceId);
}

/** A piece whose effect is taken out stands for the one the mark is compared on. */
const tiedTo = (basis: Basis, quantity: string, piece: string): string | null =>
	basis.pieceEffects.find((e) => e.quantity === quantity && e.piece === piece)?.againstPiece ?? null;

/** A printer whose shift is taken out stands for the one it is held against. */
function takenOut(basis: Basis, quantity: string, printer: string): string | null {
	return basis.printerEffects.find((e) => e.quantity === quantity && e.printer === printer)?.against ?? null;
}

/** Values of a setting behind a finding. A change while printing that is not on record was not made; other settings may just not be noted. */
function settingsOf(finding: Finding, name: string): string[] {
	const values = finding.context.settings.filter((s) => s.name === name).map((s) => String(s.value));
	return name === 'midPrint' && values.length === 0 && finding.context.pieces.length > 0 ? [UNCHANGED] : values;
}

/** `asked`: what the rules of the trial ask for, where they do. */
type FlagRule = { kind: Flag['kind']; detail: string | null; of: (f: Finding) => string[]; asked?: string | null };

function flagsOf(known: readonly Finding[], quantity: string, basis: Basis): Flag[] {
	const settingNames = [...new Set(known.flatMap((f) => f.context.settings.map((s) => s.name)))].sort();
	const rules: FlagRule[] = [
		{ kind: 'unlikePiece', detail: null, of: (f) => [...new Set(f.context.pieces.map((p) => tiedTo(basis, quantity, p) ?? p))] },
		{
			kind: 'unlikePrinter',
			detail: null,
			of: (f) => f.context.printers.map((p) => takenOut(basis, quantity, p) ?? p),
			asked: basis.printer?.name ?? null
		},
		{ kind: 'unlikeNozzle', detail: null, of: (f) => f.context.nozzles },
		{ kind: 'unlikeCurrency', detail: null, of: (f) => f.context.currencies },
		{ kind: 'unlikePriceKind', detail: null, of: (f) => f.context.priceKinds },
		{ kind: 'unlikeSpecimen', detail: null, of: (f) => f.context.variants },
		{ kind: 'unlikeExposure', detail: null, of: (f) => f.context.exposures },
		{ kind: 'unlikeCondition', detail: null, of: conditionsOf, asked: wantedCondition(basis) },
		...settingNames
			.filter((name) => heldEqual(basis, name))
			.map((name): FlagRule => ({
				kind: 'unlikeSettings',
				detail: name,
				of: (f) => settingsOf(f, name)
			}))
	];
	return rules.flatMap(({ kind, detail, of, asked }) => {
		const values = [...new Set(known.flatMap(of))].sort();
		if (values.length < 2) return [];
		const count = (value: string) => known.filter((f) => of(f).includes(value)).length;
		// Against the rules; where they ask for nothing, against what most have: the fewest spools that would have to be done again.
		const like = asked && values.includes(asked) ? asked : values.reduce((best, value) => (count(value) > count(best) ? value : best));
		// A spool that was seen on both sides can be compared with either.
		const unlike = known.filter((f) => of(f).length > 0 && !of(f).includes(like));
		const is = values.filter((value) => unlike.some((f) => of(f).includes(value)));
		const rest = values.filter((value) => !is.includes(value));
		return unlike.length === 0 ? [] : [{ quantity, kind, detail, is, rest, spoolIds: unlike.map((f) => f.subject.spoolId) }];
	});
}

/** The state a finding speaks of; of success and cost, which speak of all prints that count, those of the prints. */
const conditionsOf = (f: Finding): string[] => (f.subject.condition ? [f.subject.condition] : f.context.conditions);
