import type { None } from '$lib/core/judging/finding/none';

/** What can be looked for and not be there. */
export type Thing =
	| 'portion'
	| 'spool'
	| 'trial'
	| 'print'
	| 'specimen'
	| 'photograph'
	| 'instrument'
	| 'caliper'
	| 'printer'
	| 'dryer'
	| 'run'
	| 'piece'
	| 'filament'
	| 'part'
	| 'amendment'
	| 'ownMeasure'
	| 'rater';

/** What a schema by itself says of a value: its kind or its size is wrong. */
type SchemaRefusals = {
	missing: None;
	wrongKind: { kind: string };
	wrongFormat: { format: string };
	tooLong: { most: number };
	tooShort: { least: number };
	tooManyEntries: { most: number };
	tooFewEntries: { least: number };
	atLeast: { least: number | string; unit: string };
	atMost: { most: number | string; unit: string };
	above: { low: number | string };
	below: { high: number | string };
	multipleOf: { step: number };
	oneOf: { allowed: string };
	unknownFields: { names: string };
	unknownName: None;
	invalid: None;
};

/** What is wrong with something typed. */
type TypedRefusals = {
	valueMissing: None;
	notANumber: None;
	ambiguous: None;
	notWhole: None;
	unknownUnit: { allowed: string };
	unknownWord: { allowed: string };
	notPositive: None;
	negative: None;
	outOfRange: None;
	slip: { suggestion: string };
	unseenCharacters: None;
	notAUuid: None;
	notAnInstant: None;
	before1970: None;
	unknownZone: None;
	notAColour: None;
	notABenchCode: None;
	notASha256: None;
	notAVersion: None;
	notANozzle: None;
	notAPrice: None;
	tooManyDecimals: None;
	priceOutOfRange: None;
	notWholeCents: None;
	notAMass: None;
	netMassSlip: { grams: number };
	netMassOutOfRange: None;
	netMassMissing: None;
	notATolerance: None;
	toleranceOutOfRange: None;
	notANozzleTemperature: None;
	nozzleOutOfRange: { low: number; high: number };
	notAHardness: None;
	notATemperature: None;
	temperatureOutOfRange: { low: number; high: number };
	notADuration: None;
	durationOutOfRange: { mostDays: number };
	notBetween: { low: number; high: number; unit: string };
	notAnErrorLimit: { dimension: 'length' | 'mass'; most: number };
	notAReference: { dimension: 'length' | 'mass' };
	farFromReference: { most: number; unit: string };
	future: None;
	noSuchBackup: None;
	twoDryers: None;
	changedMeanwhile: { now: string; yours: string };
	keptOrFile: None;
	wrongPassphrase: None;
};

/** What the bench refuses before anything is sent. */
type BenchRefusals = {
	noSpoolToMeasure: None;
	noSpoolToWeigh: None;
	nothingToMeasure: None;
	nothingToLoad: None;
	loadedShapeMissing: None;
	nozzleNotRead: None;
	notMoreThanLast: None;
	setUpRefused: None;
	notBelowGross: { grossG: number };
	notAboveEmpty: { emptyG: number };
	suddenChange: { changeG: number };
	mustDiffer: None;
	notAMoment: None;
	oneToSixNames: None;
	notSteps: None;
	singleReading: { number: number; typed: string; why: string };
	notACodeOnPiece: None;
	conditionContradicted: { condition: string };
};

/** What does not go together. */
type TogetherRefusals = {
	unknownId: { what: Thing };
	notOfSpool: { what: 'print' | 'specimen' };
	notOfPrint: None;
	notOfTrial: None;
	notInHandbook: None;
	idReused: None;
	nothingOddSaid: None;
	noSpoolsInRun: None;
	unknownCriterion: None;
	criterionTwice: None;
	tooFewWords: { least: number };
	wordTwice: None;
	noPieces: None;
	noRowsToTakeIn: None;
	buyForMissing: None;
	reasonMissing: None;
	correctionMissing: None;
	rightValueMissing: None;
	undoneMissing: None;
	onlyLogsInPart: None;
	notCorrectable: { what: string };
	onlyUndone: None;
	onlyWeighingsHaveBefore: None;
	onlyForCorrections: None;
	noSampleBetween: None;
	nothingLeftOfLog: None;
	endBeforeStart: None;
	highBelowLow: None;
	highNotAboveLow: None;
	wordsHaveNoScale: None;
	lowestAboveHighest: None;
	mustFollow: { other: string };
	otherMaterial: None;
	percentMissing: None;
	percentWhole: None;
	causeMissing: None;
	finishedContradicted: None;
	nothingCorrected: None;
	cleanStepMissing: None;
	faultyNotBeyond: { than: number };
	belowCoolest: { than: number };
	markWithoutPrint: None;
	loadWithoutSpecimen: None;
	ownMeasureMissing: None;
	wrongStation: { station: string; quantity: string };
	valueContradictsText: { value: number; text: string; textValue: number };
	grossBelowTare: { grossG: number; tareG: number };
	notAboveTare: { tareG: number };
	codeTaken: { code: string };
	codeSpellsMaterial: { code: string };
	spellsAMaterial: None;
	codesExhausted: None;
	sizesMissing: None;
	sizeOutOfRange: { low: number; high: number };
	stepNotBelow: None;
	stepsTooFew: None;
	sizesDoNotFit: None;
	marksMissing: None;
	fourCorners: None;
	unbalancedStudy: None;
	studyTooSmall: None;
	beforeDrying: None;
	undoLaterFirst: None;
	runEnded: None;
	notEndedYet: None;
	beforeService: None;
	beyondDryer: { dryer: string; highC: number };
	belowDryer: { dryer: string; lowC: number };
	softens: { material: string; limitC: number };
	aboveDryingRange: { material: string };
	dryingNotKnown: { material: string };
	inDryer: { code: string };
};

/** What is wrong with a file. */
type FileRefusals = {
	fileEmpty: None;
	fileTooLarge: None;
	sameColumn: None;
	rowNotANumber: { row: number; text: string };
	rowEmpty: { row: number };
	rowOutOfRange: { row: number; text: string };
	rowTooShort: { row: number };
	rowBackwards: { row: number; text: string };
	slicesMissing: None;
	logNotTakenIn: None;
	channelsWithoutAlong: None;
	stepOrPositions: None;
	notABundle: None;
	newerFormat: { ours: number };
	newerVersion: { ours: string };
	notRows: { most: number };
	noSuchTable: None;
	noTrialInBundle: None;
	noRows: None;
	tooManyRows: { most: number };
	more: None;
	broken: { fault: 'missing' | 'length' | 'values' };
	csvQuotes: None;
	unknownColumn: { name: string; known: string };
	columnTwice: { name: string };
	wrongCells: { has: number; wanted: number };
	pointsNowhere: { table: string };
	rowTwice: { row: number };
	hereOtherwise: None;
	hereAlready: None;
};

/** Every reason for which something at a field is refused, with what its sentence needs. Sentences are in words, by code. */
export type RefusalParams = SchemaRefusals & TypedRefusals & BenchRefusals & TogetherRefusals & FileRefusals;

export type RefusalCode = keyof RefusalParams;

/** A reason by its code with its parameters; a code that is not known, or a parameter that is missing, does not compile. */
export type Refusal = { [C in RefusalCode]: { code: C; params: RefusalParams[C] } }[RefusalCode];
