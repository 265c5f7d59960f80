import type { Dimension } from '../../kernel/units/dimension';

/** What is known of a raw reading before it is taken. */
export type ReadingQuantity = {
	station: string;
	dimension: Dimension;
	/** Hard limits in the canonical unit: outside them a value cannot be what was meant. */
	low: number;
	high: number;
	/** An ordinal mark: the typed word's place in this list is the value. */
	words?: readonly string[];
	/** What such a reading belongs to. */
	of?: 'attempt' | 'specimen';
};
