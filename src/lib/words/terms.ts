/** Words that a page cannot do without, each told in one or two sentences where it is first used. */
export const TERMS = {
	range: 'The true figure is in this range in 95 of 100 cases, as far as these tests can tell. The more is measured, the shorter it gets.',
	n: 'How many readings, prints or test parts a figure comes from. “Few data”, “some” and “good” say how well that settles it; with fewer than three it is always few data.',
	letters:
		'Spools that share a letter in a column differ there by no more than chance may do. Spools without a letter in common clearly differ.',
	told: 'Each spool in this group may well be as good as the best one. So the cheapest is on top. More tests can shorten the group.',
	best: 'How likely it is that this spool is truly the best of all, cost left out.',
	goodKg: 'What one kilogram of finished prints costs: price and shipping, and the filament that failed prints waste.',
	value: 'All that counts here, put together by your importance: 0 is the poorest, 100 the best one could ask for. Cost is left out.',
	stated: 'How far the label or the shop says the diameter may be off. Draught checks whether the strand keeps to it.',
	states:
		'As received: out of its bag, not dried. Dried: out of the dryer, or printed from it. In the air: left open for longer than it stays dry. Soaked: kept wet on purpose.',
	emptySpool:
		'The bare spool, without filament. Taking its weight off leaves the filament, and so what share of it is water. Until you weigh it, a likely range is assumed.',
	softens: 'From this temperature on filament may warp or stick together on its spool. The softest material in the dryer sets the limit.',
	testPiece:
		'A model made to be looked at: steps that get harder, gaps to bridge, spikes that show strings. Always the same one, so that prints can be compared.',
	testPart: 'A small part that is loaded until it breaks: by hand, with a bucket of weights, or by blows.',
	blind: 'Makers, products and prices are hidden, so that nobody marks a print by its name.'
} as const satisfies Record<string, string>;

export type TermId = keyof typeof TERMS;
