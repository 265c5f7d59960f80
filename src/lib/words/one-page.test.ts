import { describe, expect, it } from 'vitest';
import { CONDITION_POLICY_WORDS, RULE_WORDS, SETTINGS_POLICY_WORDS, VERDICT_WORDS } from './closed-lists';
import { markQuantity } from '../core/stations/prints/marks/marks';
import { strengthLoad } from '../core/stations/strength/quantities';
import { basis } from '../../../tests/support/evidence';
import { heldWords, howTested, notKnown, verdictWords } from './one-page';

describe('sentences of a page on paper', () => {
	it('a verdict says what for, where it says that', () => {
		expect(verdictWords({ kind: 'buyFor', buyFor: 'brackets' })).toBe('buy for brackets');
		expect(verdictWords({ kind: 'buy', buyFor: null })).toBe(VERDICT_WORDS.buy);
	});
	it('what is not known is told as far as there is anything', () => {
		expect(notKnown({ unmeasured: [] })).toBe('');
		expect(notKnown({ unmeasured: ['strings', 'overhang'], uncounted: [markQuantity('bridge')], lost: 2 })).toBe(
			'Not measured: strings, overhang. Measured, not counted: bridge. 2 prints lost to other causes than the filament.'
		);
		expect(notKnown({ unmeasured: [], lost: 1 })).toBe('1 print lost to other causes than the filament.');
	});
	it('what did not break is stronger than what it held', () => {
		expect(heldWords(strengthLoad(basis), 'hook, upright', { n: 1, leastN: 150 }, 'EUR')).toMatch(
			/^.+, hook, upright: over 150 N\. The one test part did not break\.$/
		);
		expect(heldWords(strengthLoad(basis), 'hook, upright', { n: 3, leastN: 150 }, 'EUR')).toMatch(/None of 3 test parts broke\.$/);
	});
	it('how it was tested leaves out what was not said', () => {
		const rules = { conditionPolicy: 'asReceived', settingsPolicy: 'label', rule: 'weighted' } as const;
		const words = [CONDITION_POLICY_WORDS.asReceived, `settings: ${SETTINGS_POLICY_WORDS.label}`];
		const rule = `Rule: ${RULE_WORDS.weighted}.`;
		expect(howTested({ ...rules, prints: 1, pieces: [], printer: null, scorers: [], instruments: [] })).toBe(
			`1 print; ${words.join('; ')}. ${rule}`
		);
		expect(
			howTested({
				...rules,
				prints: 12,
				pieces: ['Ladder 2', 'Spikes 1'],
				printer: 'North',
				scorers: ['Ada', 'Ben'],
				instruments: ['Caliper']
			})
		).toBe(`12 prints of Ladder 2, Spikes 1; ${words.join('; ')}; North; marked by Ada, Ben; Caliper. ${rule}`);
	});
});
