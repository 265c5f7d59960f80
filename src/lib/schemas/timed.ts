/**
 * Addresses whose bodies say when and where something happened. Others refuse a time, as they refuse every field they do not know: what is
 * sent and not kept would be lost in silence.
 */
const TIMED = new Set([
	'amendments',
	'attempts',
	'dryer-checks',
	'drying-ends',
	'drying-runs',
	'events',
	'gauge-studies',
	'instrument-checks',
	'intake',
	'logs',
	'notes',
	'part-states',
	'parts',
	'quotes',
	'specimens',
	'spool-facts',
	'spools',
	'trainings',
	'unboxings',
	'verdicts'
]);

/**
 * Whether a body of this address says when and where.
 * @example isTimed('notes') // true
 */
export const isTimed = (path: string): boolean => TIMED.has(path);
