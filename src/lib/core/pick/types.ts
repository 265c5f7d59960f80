import type { ValueRule } from '../trial/protocol';
import type { QuantityDef } from '../finding/types';
import type { RankedFinding } from './ranked-finding';

export type Gate = { op: 'atLeast' | 'atMost'; limit: number };

/** One thing weighed, and perhaps a limit that must be met whatever the rest says. Weight 0 with a gate only gates. */
export type Criterion = { quantity: string; weight: number; gate: Gate | null };

export type GateResult = { quantity: string; gate: Gate; state: 'pass' | 'fail' | 'undecided'; by: number | null; n: number };

export type Candidate = { spoolId: string; code: string; findings: Record<string, RankedFinding | undefined> };

export type PickInput = { candidates: Candidate[]; criteria: Criterion[]; defs: QuantityDef[]; rule: ValueRule };

export type PickPart = { quantity: string; weight: number; value: number; known: boolean };

export type PickRow = {
	spoolId: string;
	code: string;
	/** Gates all passed or undecided; a spool that fails one is ranked behind. */
	eligible: boolean;
	gates: GateResult[];
	/** Weighted value, 0 to 1, cost included when it is weighed. */
	score: number;
	/** The same without cost, for the chart against cost. */
	worth: number;
	cost: number | null;
	parts: PickPart[];
	/** Share of the weight that rests on evidence. */
	knownShare: number;
	place: number;
};

export type Chances = {
	draws: number;
	seed: number;
	places: Record<string, number[]>;
	worth: Record<string, { low: number; high: number }>;
	cost: Record<string, { low: number; high: number }>;
};
