import { OBTAINED, REEL_MATERIALS } from '../lists/closed-lists';
import type { FactEntries, FactsOf } from './fact-entry';

/**
 * What is said of a spool beside what is measured of it. Columns, forms, pages, pasted lists, files, amendments and evidence follow from this
 * list; its words are in words/facts (docs/adding.md).
 */
export const SPOOL_FACTS = {
	colourName: { kind: 'text', pasted: ['colour', 'color'] },
	colourHex: { kind: 'colour' },
	lot: { kind: 'text', apart: true, pasted: ['lot', 'batch'] },
	/** What the spool body is made of. */
	reelMaterial: { kind: 'choice', of: REEL_MATERIALS, spelt: { cardboard: 'card' }, pasted: ['spoolbody', 'reel', 'reelmaterial'] },
	/** What the packet in its bag weighs: a tiny one foretells a wet spool. */
	desiccantG: {
		kind: 'measure',
		typedAs: 'desiccant',
		dimension: 'mass',
		low: 0.1,
		high: 500,
		pasted: ['desiccantpacket', 'desiccant', 'packet']
	},
	obtained: { kind: 'choice', of: OBTAINED, blind: true }
} as const satisfies FactEntries;

export type SpoolFacts = FactsOf<typeof SPOOL_FACTS>;
