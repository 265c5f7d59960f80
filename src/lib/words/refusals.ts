import type { Refusal, RefusalCode, RefusalParams, Thing } from '$lib/schemas/refusals';
import { CONDITION_WORDS, wordOf } from './closed-lists';
import { grouped, upTo } from './numbers';
import { massWords, temperatureWords } from './units';

/** Kinds of JSON values as a person would call them. */
const KINDS: Record<string, string> = {
	string: 'text',
	number: 'a number',
	int: 'a whole number',
	boolean: 'yes or no',
	array: 'a list',
	tuple: 'a list',
	object: 'an object',
	record: 'an object',
	date: 'a date'
};

const THINGS: Record<Thing, string> = {
	portion: 'portion',
	spool: 'spool',
	trial: 'trial',
	print: 'print',
	specimen: 'test part',
	photograph: 'photograph',
	instrument: 'instrument',
	caliper: 'caliper or micrometer',
	printer: 'printer',
	dryer: 'dryer',
	run: 'run',
	piece: 'piece',
	filament: 'filament',
	part: 'part',
	amendment: 'edit of this record',
	ownMeasure: 'own measure',
	rater: 'person in this study'
};

const BROKEN = {
	missing: 'is not followed by all samples of its log',
	length: 'does not hold as many samples as it says',
	values: 'holds what is no diameter'
};

const INSTRUMENT_ERRORS = { length: ['length', 'mm', '0.02 mm'], mass: ['mass', 'g', '0.1 g'] } as const;

const withUnit = (value: number | string, unit: string) => `${typeof value === 'number' ? grouped(value) : value}${unit && ` ${unit}`}`;

/** Why something at a field was refused, by its code. The field's label stands before the words. */
const REFUSALS: { [C in RefusalCode]: (p: RefusalParams[C]) => string } = {
	missing: () => 'is missing',
	wrongKind: (p) => `must be ${KINDS[p.kind] ?? p.kind}`,
	wrongFormat: (p) => (p.format === 'base64' ? 'must be base64' : 'is not written as it must be'),
	tooLong: (p) => `must be at most ${p.most} characters long`,
	tooShort: (p) => `must be at least ${p.least} characters long`,
	tooManyEntries: (p) => `must be at most ${p.most} entries long`,
	tooFewEntries: (p) => `must be at least ${p.least} entries long`,
	atLeast: (p) => `must be at least ${withUnit(p.least, p.unit)}`,
	atMost: (p) => `must be at most ${withUnit(p.most, p.unit)}`,
	above: (p) => `must be above ${p.low}`,
	below: (p) => `must be below ${p.high}`,
	multipleOf: (p) => `must be a multiple of ${p.step}`,
	oneOf: (p) => `must be one of ${p.allowed}`,
	unknownFields: (p) => `has fields that are not known here: ${p.names}`,
	unknownName: () => 'has a name that is not known here',
	invalid: () => 'is not right',

	valueMissing: () => 'Enter a value',
	notANumber: () => 'is not a number',
	ambiguous: () => 'has two decimal marks; type one, comma or point',
	notWhole: () => 'is not a whole number',
	unknownUnit: (p) => `has an unknown unit. Use ${p.allowed}`,
	unknownWord: (p) => `is not one of: ${p.allowed}`,
	notPositive: () => 'must be above zero',
	negative: () => 'cannot be below zero',
	outOfRange: () => 'looks wrong for this field',
	slip: (p) => `may be a slip. Did you mean ${p.suggestion}?`,
	unseenCharacters: () => 'contains characters that cannot be seen; type it again',
	notAUuid: () => 'must be a version 7 UUID made by the sender',
	notAnInstant: () => 'must be a date and time, such as 2026-03-01T09:30:00Z; in a file also 2026-03-01 9:30',
	before1970: () => 'must not be before 1970',
	unknownZone: () => 'is not a known time zone, such as Europe/Vienna',
	notAColour: () => 'must be a colour such as #3a4b5c',
	notABenchCode: () => 'must be two or three letters and a digit from 1 to 9',
	notASha256: () => 'is no SHA-256 in hexadecimal',
	notAVersion: () => 'is no version such as 0.5.0',
	notANozzle: () => 'must begin with its size in mm, such as 0.4 brass',
	notAPrice: () => 'is not a price such as 21.90',
	tooManyDecimals: () => 'has more than two decimals',
	priceOutOfRange: () => 'looks wrong for a price',
	notWholeCents: () => 'must be whole cents',
	notAMass: () => 'is not a mass such as 1000 g or 1 kg',
	netMassSlip: (p) => `${upTo(p.grams, 2)} g? Did you mean ${upTo(p.grams, 2)} kg?`,
	netMassOutOfRange: () => 'looks wrong for the filament of one spool',
	netMassMissing: () => 'is missing: without it there is no price per kilogram',
	notATolerance: () => 'is not a tolerance such as 0.02 mm',
	toleranceOutOfRange: () => 'looks wrong for a tolerance; write it in mm, such as 0.02',
	notANozzleTemperature: () => 'is not a temperature such as 215 or 210-230 C',
	nozzleOutOfRange: (p) => `looks wrong for a nozzle temperature (${p.low} to ${p.high} °C)`,
	notAHardness: () => 'is not a hardness with its scale, such as 95A or 45D',
	notATemperature: () => 'is not a temperature such as 50 C',
	temperatureOutOfRange: (p) => `looks wrong for this field (${p.low} to ${p.high} °C)`,
	notADuration: () => 'is not a time such as 4 h or 240 min',
	durationOutOfRange: (p) => `must be more than nothing and at most ${p.mostDays} days`,
	notBetween: (p) => `must be between ${p.low} and ${p.high} ${p.unit}`,
	notAnErrorLimit: (p) => {
		const [what, unit, such] = INSTRUMENT_ERRORS[p.dimension];
		return `must be a ${what} above 0 and at most ${p.most} ${unit}, such as ${such}`;
	},
	notAReference: (p) => `must be a ${p.dimension}, such as ${p.dimension === 'mass' ? '100 g' : '1.700 mm'}`,
	farFromReference: (p) => `is over ${p.most} ${p.unit} from the reference`,
	future: () => 'is in the future',
	changedMeanwhile: (p) =>
		`somebody else changed this to ${p.now === '' ? 'nothing' : `“${p.now}”`}; you have ${p.yours === '' ? 'nothing' : `“${p.yours}”`}. Save again to keep yours`,
	twoDryers: () => 'is in another dryer that still runs',
	noSuchBackup: () => 'there is no such backup here',
	keptOrFile: () => 'must be a backup that is kept here, or a file that was sent',
	wrongPassphrase: () => 'is not the one',

	noSpoolToMeasure: () => 'there is no spool to measure',
	noSpoolToWeigh: () => 'there is no spool to weigh',
	nothingToMeasure: () => 'there is nothing to measure',
	nothingToLoad: () => 'there is nothing to load',
	nozzleNotRead: () => 'First give the nozzle temperature in °C, or leave it empty',
	loadedShapeMissing: () => 'First enter what you are loading, e.g. a hook',
	notMoreThanLast: () => 'is not more than the last step',
	setUpRefused: () => 'First put right what is marked above, then save it again',
	notBelowGross: (p) => `must be less than the last weighing (${massWords(p.grossG, 1, upTo)})`,
	suddenChange: (p) =>
		`is ${massWords(Math.abs(p.changeG), 1, upTo)} ${p.changeG < 0 ? 'less' : 'more'} than a moment ago, with nothing in between. If it is right, save it again`,
	notAboveEmpty: (p) => `must be more than the empty spool (${massWords(p.emptyG, 1, upTo)})`,
	notAMoment: () => 'is no time; try yesterday 9:00, -2 h or 26 Nov 18:30',
	mustDiffer: () => 'must differ from each other',
	oneToSixNames: () => 'must be one to six names',
	notSteps: () => 'must be numbers with spaces between them',
	singleReading: (p) => `no. ${p.number} (${p.typed}) ${p.why}`,
	notACodeOnPiece: () => 'must be like AB1',
	conditionContradicted: (p) =>
		`this spool was ${wordOf(CONDITION_WORDS, p.condition)} before this print; mark that event invalid if it is wrong, or set the print's time before it`,

	unknownId: (p) => `there is no such ${THINGS[p.what]}`,
	notOfSpool: (p) => `this spool has no such ${THINGS[p.what]}`,
	notOfPrint: () => 'this print has no such photograph',
	notOfTrial: () => 'this trial has no such spool',
	notInHandbook: () => 'is not in the handbook',
	idReused: () => 'already used with another body',
	nothingOddSaid: () => 'Say what is wrong, or that nothing is',
	noSpoolsInRun: () => 'Choose the spools in the dryer',
	unknownCriterion: () => 'cannot be given importance',
	tooFewWords: (p) => `Give at least ${p.least} words`,
	wordTwice: () => 'has the same word twice',
	criterionTwice: () => 'each one may be listed once',
	noPieces: () => 'Choose at least one test piece',
	noRowsToTakeIn: () => 'there is no row to import',
	buyForMissing: () => 'Enter what to buy it for',
	reasonMissing: () => 'Give a reason',
	correctionMissing: () => 'Choose what to correct',
	rightValueMissing: () => 'Enter the right value',
	undoneMissing: () => 'Choose which edit to undo',
	onlyLogsInPart: () => 'only a log can be left out in part, from its first sample to its last',
	onlyUndone: () => 'can only be undone here; correct it on its own page',
	notCorrectable: (p) => `a ${p.what} cannot be corrected; mark it invalid and record the right one`,
	onlyWeighingsHaveBefore: () => 'only a weighing has something before it',
	onlyForCorrections: () => 'belongs to corrections only',
	noSampleBetween: () => 'there is no sample between these positions',
	nothingLeftOfLog: () => 'this leaves nothing of the log; mark it invalid instead',
	endBeforeStart: () => 'must be after the start',
	highBelowLow: () => 'must not be below the low end',
	wordsHaveNoScale: () => 'words are their own scale, from the worst to the best',
	highNotAboveLow: () => 'the high end must be above the low end',
	lowestAboveHighest: () => 'must not be below the lowest',
	mustFollow: (p) => `must be above ${p.other}`,
	otherMaterial: () => 'must be the same material',
	percentMissing: () => 'Enter how far it got, in %',
	percentWhole: () => 'a failed print got less far than 100 %',
	causeMissing: () => 'Choose a cause; "unknown" is fine',
	finishedContradicted: () => 'a finished print reached 100 % and has no cause of failure',
	nothingCorrected: () => 'nothing is corrected',
	cleanStepMissing: () => 'is missing: a faulty step alone does not say what came out clean',
	faultyNotBeyond: (p) => `must be beyond the last clean one (${upTo(p.than, 2)})`,
	belowCoolest: (p) => `must not be below the coolest clean floor (${upTo(p.than, 2)})`,
	markWithoutPrint: () => 'a mark belongs to a print',
	loadWithoutSpecimen: () => 'a load belongs to a test part',
	ownMeasureMissing: () => 'Choose the measure of your own',
	wrongStation: (p) => `must be ${p.station} for ${p.quantity}`,
	valueContradictsText: (p) => `is ${upTo(p.value, 6)}, but “${p.text}” says ${upTo(p.textValue, 6)}`,
	grossBelowTare: (p) =>
		`the full spool (${massWords(p.grossG, 3, upTo)}) must weigh more than the empty one (${massWords(p.tareG, 3, upTo)})`,
	notAboveTare: (p) => `must be more than the empty spool (${massWords(p.tareG, 3, upTo)})`,
	codeTaken: (p) => `${p.code} is already on the bench`,
	codeSpellsMaterial: (p) => `${p.code} could be read as a material; take other letters`,
	spellsAMaterial: () => 'could be read as a material; take other letters',
	codesExhausted: () => 'all proposed codes are used; type one',
	sizesMissing: () => 'a piece that is made has sizes',
	sizeOutOfRange: (p) => `must be ${p.low} to ${p.high}`,
	stepNotBelow: () => 'is on the wrong side of the first step',
	stepsTooFew: () => 'leaves fewer than two steps',
	sizesDoNotFit: () => 'does not fit with the other sizes',
	marksMissing: () => 'Choose what it tests',
	fourCorners: () => 'must be four corners',
	unbalancedStudy: () => 'everyone has to read every spot equally often, at least twice',
	studyTooSmall: () => 'needs at least two spots read twice',
	beforeDrying: () => 'is before the start of the run',
	undoLaterFirst: () => 'Undo the later edit of this run first',
	runEnded: () => 'was already ended',
	notEndedYet: () => 'is not known yet: this load is still in the dryer',
	beforeService: () => 'is before the part went into use',
	beyondDryer: (p) => `is more than ${p.dryer} reaches (${temperatureWords(p.highC, 3)})`,
	belowDryer: (p) => `is less than ${p.dryer} can be set to (${temperatureWords(p.lowC, 3)})`,
	softens: (p) => `Too hot: ${p.material} softens at ${temperatureWords(p.limitC, 3)} (handbook)`,
	aboveDryingRange: (p) => `is above the handbook's range for ${p.material}. Tick that you mean it, or go lower`,
	dryingNotKnown: (p) => `cannot be checked: the handbook has no drying figures for ${p.material}. Tick that you mean it`,
	inDryer: (p) => `${p.code} is in a run that was not ended yet`,

	fileEmpty: () => 'the file is empty',
	fileTooLarge: () => 'the file is too large',
	sameColumn: () => 'the two axes are one column',
	rowNotANumber: (p) => `row ${p.row}: "${p.text}" is not a number`,
	rowEmpty: (p) => `row ${p.row}: is empty`,
	rowOutOfRange: (p) => `row ${p.row}: "${p.text}" is no diameter of a strand (0.5 to 5 mm)`,
	rowTooShort: (p) => `row ${p.row}: has too few columns`,
	rowBackwards: (p) => `row ${p.row}: "${p.text}" is before the row above`,
	slicesMissing: () => 'the log was announced without its number of slices',
	logNotTakenIn: () => 'only complete logs can be exported and imported',
	channelsWithoutAlong: () => 'must begin with "along"',
	stepOrPositions: () => 'must have either a step or positions',
	notABundle: () => 'this is not a trial bundle from Draught',
	newerFormat: (p) => `was written by a newer version of Draught (this one reads up to ${p.ours})`,
	newerVersion: (p) => `was computed by a newer version of Draught (this one has ${p.ours})`,
	notRows: (p) => `must be a list of at most ${grouped(p.most)} rows`,
	noSuchTable: () => 'is not a table here',
	noTrialInBundle: () => 'is not a trial in this bundle',
	noRows: () => 'has a header but no row',
	tooManyRows: (p) => `has more than ${p.most} rows; split it`,
	more: () => 'and perhaps more: looking stopped here',
	broken: (p) => BROKEN[p.fault],
	csvQuotes: () => 'has a quotation mark that is not closed, or one too many',
	unknownColumn: (p) => `there is no column “${p.name}”; known are ${p.known}`,
	columnTwice: (p) => `the column “${p.name}” appears twice`,
	wrongCells: (p) => `has ${p.has} cells where the header has ${p.wanted}`,
	pointsNowhere: (p) => `no such row in ${p.table}`,
	rowTwice: (p) => `is already in row ${p.row} of this file`,
	hereOtherwise: () => 'is here already with another value; edit it on its page; an import never overwrites',
	hereAlready: () => 'is already here'
};

/** Every code, for those who read answers with a program. */
export const REFUSAL_CODES = Object.keys(REFUSALS) as [RefusalCode, ...RefusalCode[]];

/**
 * Why something was refused, as it stands behind the label of its field.
 * @example refusalWords({ code: 'atMost', params: { most: 1, unit: 'mm' } }) // 'must be at most 1 mm'
 */
export function refusalWords(refusal: Refusal): string {
	const words = REFUSALS[refusal.code] as ((p: Refusal['params']) => string) | undefined;
	// A page that was open before an upgrade may hear a code it does not know: the server's own words stand beside it.
	return words?.(refusal.params) ?? (refusal as { message?: string }).message ?? String(refusal.code);
}

/**
 * The same with the label of its field: words that say what to do need none.
 * @example fieldWords('Filament weight', { code: 'missing', params: {} }) // 'Filament weight is missing'
 */
export function fieldWords(label: string, refusal: Refusal): string {
	const words = refusalWords(refusal);
	return /^\p{Lu}/u.test(words) ? words : `${label} ${words}`;
}

/** The same as a sentence, about what was typed where it is told. */
export function sentenceOf(refusal: Refusal, typed = ''): string {
	const words = typed ? fieldWords(typed, refusal) : refusalWords(refusal);
	return /[.?]$/.test(words) ? words : `${words}.`;
}
