import type { None } from '$lib/core/judging/finding/none';
import type { AMENDED_KINDS, ARCHIVED_KINDS, NOTE_TARGETS } from '$lib/core/record/lists/closed-lists';

/** What an address can name and not find. */
export type Addressed =
	| (typeof AMENDED_KINDS)[number]
	| (typeof ARCHIVED_KINDS)[number]
	| (typeof NOTE_TARGETS)[number]
	| 'piece'
	| 'page'
	| 'slice'
	| 'table'
	| 'restore';

/** Why a request as a whole was not carried out, with what its sentence needs. Sentences are in words, by code. */
export type ProblemParams = {
	/** One error at a field or several: the first says it all where it is the only one. */
	refused: { count: number };
	notFound: { what: Addressed };
	notSentAsJson: None;
	notJson: None;
	noContentType: None;
	tooLarge: { mostKB: number };
	otherHost: { origin: string };
	otherSite: None;
	logInFirst: None;
	wrongPassphrase: None;
	noSuchAddress: None;
	noSuchMethod: None;
	refusedByFramework: None;
	databaseAwayNothingLost: None;
	tooManyTries: { seconds: number };
	databaseSlow: None;
	clockBehind: { says: string; newest: string };
	clockApart: { says: string; devices: string };
	databaseSilent: None;
	databaseAway: None;
	databaseAwayNothingStored: None;
	failed: None;
	notKnownWhetherSaved: None;
	failedNotKnownWhetherSaved: None;
	diskFull: None;
	idInUse: None;
	idReused: None;
	runEnded: None;
	tooManySlices: { most: number };
	sliceReused: None;
	sliceNotArrived: { slice: number; slices: number };
	restoreGoingOn: None;
	changedMeanwhile: None;
	logTakenIn: None;
	damagedLog: None;
	damagedPiece: None;
	damagedTrial: None;
	ownModel: None;
	blindBundle: None;
	blindTable: { table: string };
	notAPicture: None;
	pictureTooLarge: { width: number; height: number };
	pictureDamaged: None;
};

export type ProblemCode = keyof ProblemParams;

export type ProblemSaid = { [C in ProblemCode]: { code: C; params: ProblemParams[C] } }[ProblemCode];
