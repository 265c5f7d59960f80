import { CURRENCIES } from '../../kernel/units/money';
import type { FactEntries } from './fact-entry';

/** What is said of a trial; its rules and weights are versions of their own. */
export const TRIAL_FACTS = {
	name: { kind: 'name' },
	question: { kind: 'text', most: 2000 },
	currency: { kind: 'choice', of: CURRENCIES }
} as const satisfies FactEntries;
