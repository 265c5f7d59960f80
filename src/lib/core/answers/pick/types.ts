import type { ValueRule } from '../../judging/trial/protocol';
import type { Family } from '../../record/lists/closed-lists';
import type { QuantityDef } from '../../judging/finding/types';
import type { RankedFinding } from './ranked-finding';

export type Gate = { op: 'atLeast' | 'atMost'; limit: number };

/** One thing weighed, and perhaps a limit that must be met whatever the rest says. Weight 0 with a gate only gates. */
export type Criterion = { quantity: string; weight: number; gate: Gate | null };

/** A criterion about one quantity, and the family it counts in. */
export type Weighed = Criterion & { family?: Family | null };

export type GateResult = { quantity: string; gate: Gate; state: 'pass' | 'fail' | 'undecided'; by: number | null; n: number };

export type Candidate = { spoolId: string; code: string; findings: Record<string, RankedFinding | undefined> };

export type PickInput = {
	candidates: Candidate[];
	criteria: Weighed[];
	defs: QuantityDef[];
	rule: ValueRule;
	/** Spools that are only looked at beside the others, such as the house spool: they take no place. */
	references?: readonly string[];
};

export type PickPart = { quantity: string; weight: number; value: number; known: boolean };

/** What a candidate is worth in one family, or in one quantity that is weighed by itself: 0 to 1, with the middle 95 % of its draws. */
export type FamilyValue = { id: string; weight: number; value: number; low: number; high: number; known: boolean };

export type PickRow = {
	spoolId: string;
	code: string;
	/** Gates all passed or undecided; a spool that fails one is ranked behind. */
	eligible: boolean;
	/** Tried, and never finished a print: behind all that finished one. */
	neverFinished: boolean;
	gates: GateResult[];
	/** Weighted value, 0 to 1, cost included when it is weighed. */
	score: number;
	/** The same without cost, for the chart against cost. */
	worth: number;
	cost: number | null;
	/** Load it bears, in newtons, where the rule goes by it. */
	strength: number | null;
	parts: PickPart[];
	/** The same by family, cost left out, heaviest first. */
	families: FamilyValue[];
	/** Share of the weight that rests on evidence. */
	knownShare: number;
	place: number;
	/** Spools of one tier cannot be told apart by what they are worth; 0 is the best, null is in none. */
	tier: number | null;
};

/** What the draws say beside the places: null where there is nothing to be drawn. */
export type Chances = {
	draws: number;
	/** For each spool the share of draws in which it was first, second, ... */
	places: Record<string, number[]>;
	worth: Record<string, { low: number; high: number } | null>;
	cost: Record<string, { low: number; high: number } | null>;
};

/** The pick: spools in their order, and how sure it is. */
export type Picked = { rows: PickRow[]; references: PickRow[]; chances: Chances };
