import type { Addressed, ProblemCode, ProblemParams, ProblemSaid } from '$lib/schemas/problems';

const UNKNOWN = 'It is not known whether this was saved. Send it again; nothing doubles.';

const ADDRESSED: Record<Addressed, string> = {
	spool: 'spool',
	attempt: 'print',
	reading: 'reading',
	specimen: 'test part',
	trial: 'trial',
	event: 'event',
	log: 'log',
	photo: 'photo',
	quote: 'price',
	check: 'check',
	gaugeStudy: 'gauge study',
	dryerCheck: 'check of a dryer',
	instrument: 'instrument',
	printer: 'printer',
	dryer: 'dryer',
	verdict: 'verdict',
	piece: 'piece',
	page: 'page',
	slice: 'slice',
	table: 'table',
	restore: 'restore'
};

/** Why a request was not carried out, by its code. */
const PROBLEMS: { [C in ProblemCode]: (p: ProblemParams[C]) => string } = {
	refused: (p) => `${p.count} things are not right.`,
	notFound: (p) => `There is no such ${ADDRESSED[p.what]}.`,
	notSentAsJson: () => 'Send JSON (content-type application/json).',
	notJson: () => 'This is not JSON.',
	noContentType: () => 'Say what is sent in a content-type header. Nothing was stored.',
	tooLarge: (p) => `This is larger than ${p.mostKB} kB allows. Nothing was stored.`,
	otherHost: (p) => `This server is at ${p.origin}.`,
	otherSite: () => 'Writes from another site are refused.',
	logInFirst: () => 'Log in first, or send the passphrase by HTTP Basic.',
	wrongPassphrase: () => 'This is not the passphrase.',
	noSuchAddress: () => 'There is no such address.',
	noSuchMethod: () => 'This address does not take that method.',
	refusedByFramework: () => 'This was refused.',
	databaseAwayNothingLost: () => 'The database is away. Nothing was lost; try again in a moment.',
	tooManyTries: (p) => `Too many wrong passphrases at once. Try again in ${p.seconds} s.`,
	databaseSlow: () => 'The database took too long over this and was told to stop. Nothing was stored; try again in a moment.',
	clockBehind: (p) =>
		`The server’s clock says ${p.says}, but this record was written to on ${p.newest}. Nothing was stored: put the server’s clock right first.`,
	clockApart: (p) =>
		`The server’s clock says ${p.says}, every device says about ${p.devices}. Nothing was stored: put the server’s clock right first.`,
	databaseSilent: () => 'The database did not answer. Try again.',
	databaseAway: () => 'The database is away. Try again.',
	databaseAwayNothingStored: () => 'The database is away. Nothing was stored; try again.',
	failed: () => 'Something went wrong here. Try again.',
	notKnownWhetherSaved: () => UNKNOWN,
	failedNotKnownWhetherSaved: () => `Something went wrong here. ${UNKNOWN}`,
	diskFull: () => 'The disk is full. Nothing was stored; make space, then try again.',
	idInUse: () => 'This id is already in use. Nothing was stored.',
	idReused: () => 'This id was already used for something else. Nothing was stored.',
	runEnded: () => 'This run was already ended.',
	tooManySlices: (p) => `This file may have ${p.most} slices.`,
	sliceReused: () => 'This slice was sent before with other contents. Nothing was stored.',
	sliceNotArrived: (p) => `Slice ${p.slice} of ${p.slices} has not arrived yet.`,
	changedMeanwhile: () => 'Somebody else changed this meanwhile. Nothing was saved; look at both, then save again.',
	restoreGoingOn: () => 'A restore is going on already. Wait until it is over.',
	logTakenIn: () => 'This log is already imported.',
	damagedLog: () => 'This record is damaged: the samples of the log cannot be read.',
	damagedPiece: () => 'This record is damaged: its sizes cannot be read.',
	damagedTrial: () => 'The rules or weights of this trial cannot be read. Restore a backup, or bring the trial in again.',
	ownModel: () => 'This piece is a model of your own: its file is with you.',
	blindBundle: () => 'A blind trial has spools of this one, and the bundle would tell their names and prices.',
	blindTable: (p) => `A trial is blind, and ${p.table} would tell its names or prices. End the blind scoring first.`,
	notAPicture: () => 'This is no JPEG, PNG or WebP picture. Nothing was stored.',
	pictureTooLarge: (p) => `This picture says it has ${p.width} by ${p.height} points, more than is accepted. Nothing was stored.`,
	pictureDamaged: () => 'This picture is damaged: it ends early or cannot be read. Nothing was stored.'
};

/** Every code, for those who read answers with a program. */
export const PROBLEM_CODES = Object.keys(PROBLEMS) as [ProblemCode, ...ProblemCode[]];

/**
 * A problem as a sentence.
 * @example problemWords({ code: 'tooLarge', params: { mostKB: 256 } }) // 'This is larger than 256 kB allows. Nothing was stored.'
 */
export const problemWords = ({ code, params }: ProblemSaid): string => (PROBLEMS[code] as (p: ProblemSaid['params']) => string)(params);
