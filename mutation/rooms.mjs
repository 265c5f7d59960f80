/**
 * Where a seeded sample of faults is put in, room by room: what checks what comes in, what keeps it, what reads it, what shows it.
 * @type {Record<string, string[]>}
 */
export const ROOMS = {
	schemas: ['src/lib/schemas'],
	write: ['src/lib/server/base/write'],
	db: ['src/lib/server/base/db'],
	evidence: ['src/lib/server/record/evidence'],
	exchange: ['src/lib/server/exchange'],
	amendments: ['src/lib/server/answers/amendments'],
	pages: ['src/routes'],
	workers: ['src/lib/workers'],
	conditions: ['src/lib/core/record/conditions'],
	'core-evidence': ['src/lib/core/record/evidence'],
	own: ['src/lib/core/stations/own'],
	calibration: ['src/lib/core/stations/calibration'],
	log: ['src/lib/core/record/gauge-log'],
	handbook: ['src/lib/core/judging/handbook', 'src/lib/core/stations/handbook']
};

/** Which files of a room are broken: no tests, no pages' markup, nothing that only a browser runs. @param {string} path */
export const isBroken = (path) =>
	path.endsWith('.ts') &&
	!path.endsWith('.test.ts') &&
	!path.endsWith('.d.ts') &&
	(!path.startsWith('src/routes') || path.endsWith('.server.ts'));
