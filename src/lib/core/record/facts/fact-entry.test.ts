import { describe, expect, it } from 'vitest';
import { blindFacts, factsAmong } from './fact-entry';
import { SPOOL_FACTS } from './spool-facts';

describe('facts of a list', () => {
	it('are taken from what is known of a thing, in the order of the list, and nothing else is', () => {
		const facts = factsAmong(SPOOL_FACTS, { id: 'a', revision: 4, lot: 'B7', reelMaterial: 'card' });
		expect(Object.keys(facts)).toEqual(Object.keys(SPOOL_FACTS));
		expect([facts.lot, facts.reelMaterial, facts.colourName]).toEqual(['B7', 'card', null]);
	});
	it('keep what is nothing but was said', () => {
		expect(factsAmong({ turns: { kind: 'yesNo' } }, { turns: false })).toEqual({ turns: false });
	});
	it('hide in a blind trial what would tell who was paid, and nothing else', () => {
		const facts = factsAmong(SPOOL_FACTS, { lot: 'B7', obtained: 'gift', colourName: 'grey' });
		expect(blindFacts(SPOOL_FACTS, facts)).toEqual({ ...facts, obtained: null });
	});
});
