import { describe, expect, it } from 'vitest';
import { markQuantity } from '$lib/core/prints/mark-entries';
import type { Chances, PickRow } from '$lib/core/pick/types';
import { gateWords, pickSentence } from './pick-sentence';

const overhang = markQuantity('overhang');

const row = (code: string, more: Partial<PickRow> = {}): PickRow => ({
	spoolId: code,
	code,
	eligible: true,
	gates: [],
	score: 0.5,
	worth: 0.5,
	cost: 20,
	parts: [],
	knownShare: 1,
	place: 1,
	...more
});
const chances = (shares: Record<string, number>): Chances => ({
	draws: 20000,
	seed: 1,
	places: Object.fromEntries(Object.entries(shares).map(([k, v]) => [k, [v]])),
	worth: {},
	cost: {}
});

describe('the pick in one sentence', () => {
	it('is as sure as the draws, not surer', () => {
		expect(pickSentence([row('KE1'), row('DO2')], chances({ KE1: 0.91, DO2: 0.09 }))).toMatch(/^Take KE1: first in 91 % .* DO2 in 9 %\.$/);
		expect(pickSentence([row('KE1'), row('DO2')], chances({ KE1: 0.6, DO2: 0.4 }))).toMatch(/^KE1 is the better bet/);
		expect(pickSentence([row('KE1'), row('DO2')], chances({ KE1: 0.4, DO2: 0.35 }))).toMatch(/not decided/);
	});
	it('says so when another is first more often than the leader on the estimates', () => {
		expect(pickSentence([row('TU5'), row('KE1')], chances({ TU5: 0.26, KE1: 0.56 }))).toMatch(
			/^On the estimates TU5 leads, but it rests on less: KE1 is first in 56 %/
		);
	});
	it('never says certain', () => {
		expect(pickSentence([row('KE1'), row('DO2')], chances({ KE1: 1, DO2: 0 }))).toMatch(/first in over 9.* DO2 in under/);
	});
	it('says when there is nothing to pick', () => {
		expect(pickSentence([], null)).toMatch(/no spool/);
		expect(pickSentence([row('KE1', { eligible: false })], null)).toMatch(/No spool passes/);
		expect(pickSentence([row('KE1', { knownShare: 0 }), row('DO2', { knownShare: 0 })], null)).toMatch(/nothing to pick on/);
		expect(pickSentence([row('KE1')], null)).toMatch(/only one/);
	});
	it('says by how much a gate is missed', () => {
		const words = { defs: [overhang], currency: 'EUR', codeOf: (x: string) => x };
		expect(gateWords({ quantity: 'overhang', gate: { op: 'atLeast', limit: 60 }, state: 'fail', by: -15, n: 3 }, words)).toBe(
			'Overhang at least 60 °: failed (15 ° on the bad side, n 3)'
		);
		expect(gateWords({ quantity: 'overhang', gate: { op: 'atLeast', limit: 60 }, state: 'undecided', by: null, n: 0 }, words)).toMatch(
			/undecided, nothing measured/
		);
	});
});
