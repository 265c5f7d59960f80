import type { FactEntries, FactsOf } from './fact-entry';

/** A set-point as people can own a dryer for, degrees Celsius. */
const HEAT = { kind: 'measure', dimension: 'temperature', low: 20, high: 500 } as const;

/** What is said of a dryer. */
export const DRYER_FACTS = {
	name: { kind: 'name' },
	setPointLowC: { ...HEAT, typedAs: 'setPointLow' },
	setPointHighC: { ...HEAT, typedAs: 'setPointHigh' }
} as const satisfies FactEntries;

export type DryerFacts = FactsOf<typeof DRYER_FACTS>;
