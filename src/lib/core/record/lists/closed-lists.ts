/**
 * Every closed list of the record, said once: forms, files, the API, the database's columns and the interface take it from here.
 * A word that is added here is asked for by the compiler wherever words are told.
 */

/** Where a maker's figure stands. */
export const CLAIM_SOURCES = ['label', 'listing'] as const;
export const QUOTE_KINDS = ['list', 'sale', 'bundle'] as const;
export const OBTAINED = ['bought', 'suppliedFree', 'gift'] as const;
export const REEL_MATERIALS = ['plastic', 'card', 'wire'] as const;

/** What an instrument measures. */
export const INSTRUMENT_QUANTITIES = ['length', 'mass'] as const;
/** What lay between two weighings of one spool. Air stands for everything in which water comes or goes by itself. */
export const BEFORE = ['print', 'dried', 'air'] as const;
/** How a diameter is read: along the plane of the first reading, or across it. */
export const READING_DIRECTIONS = ['along', 'across'] as const;

/** What takes filament away or changes the reel. */
export const REEL_EVENTS = ['printed', 'respooled', 'cutOff'] as const;
/** What lets water in, or keeps it out: left in the open, soaked, put away dry. */
export const WATER_EVENTS = ['exposed', 'soaked', 'stored'] as const;
/** What only the tester can tell of a spool. */
export const SAID_EVENTS = [...WATER_EVENTS, ...REEL_EVENTS] as const;
export const EVENT_KINDS = ['opened', 'dried', ...SAID_EVENTS] as const;
export const DRYING_OUTCOMES = ['done', 'void'] as const;

/** `ofNoUse`: it came to its end, and nobody could use it. */
export const PRINT_OUTCOMES = ['finished', 'failed', 'ofNoUse'] as const;
/** `onPurpose`: the tester provoked it; it is charged to nobody. */
export const FAILURE_CAUSES = ['filament', 'printer', 'setUp', 'handling', 'onPurpose', 'unknown'] as const;
/** How a print failed. */
export const FAILURE_KINDS = ['wouldNotStick', 'lifted', 'clogged', 'ground', 'tangled', 'stopped', 'collapsed', 'other'] as const;
/** Signs of water a tester hears and sees. */
export const WATER_SIGNS = ['hiss', 'pops', 'dots', 'brittle'] as const;
export const CONDITIONS = ['asReceived', 'dried', 'exposed', 'soaked'] as const;
export type ConditionKind = (typeof CONDITIONS)[number];

/** How the layers lay: flat and on edge are pulled along them, upright across. */
export const ORIENTATIONS = ['flat', 'edge', 'upright'] as const;
export const LOAD_METHODS = ['steps', 'direct', 'blows', 'byHand'] as const;
export const PART_STATES = ['holds', 'worn', 'crept', 'cracked', 'broke', 'takenOut'] as const;

export const USE_PRESETS = ['fineLooks', 'benchJigs', 'outdoorBrackets', 'flexibleParts', 'own'] as const;
/** `house`: what one always buys, beside the candidates; `houseInvited`: the same as one of them. */
export const TRIAL_ROLES = ['candidate', 'house', 'houseInvited'] as const;
export const SETTINGS_POLICIES = ['fixed', 'label', 'preset', 'calibrated'] as const;
export const CONDITION_POLICIES = ['asReceived', 'driedFirst', 'both'] as const;
/** `cheapestOfBest`: of those that cannot be told apart at the top, the cheapest good kilogram. */
export const VALUE_RULES = ['cheapestOfBest', 'weighted', 'perMoney', 'cheapest', 'strongest'] as const;
/** `share`: 95 % of the length inside; `anyReading`: the stricter school, one reading surely outside breaks it. */
export const CLAIM_RULES = ['share', 'anyReading'] as const;
/** `filament`: those charged to it alone; `unknown`: those of unknown cause too. */
export const FAILURE_RULES = ['filament', 'unknown'] as const;
export const DIRECTIONS = ['more', 'less', 'nearest'] as const;
export type Direction = (typeof DIRECTIONS)[number];
/** What importance is given to: quantities that tell of one thing. */
export const FAMILIES = ['looks', 'holds', 'printsEasily', 'feeds', 'keepsSize', 'keepsDry', 'cost'] as const;
export type Family = (typeof FAMILIES)[number];
export const GATE_OPERATORS = ['atLeast', 'atMost'] as const;
export const VERDICT_KINDS = ['buy', 'leave', 'buyFor', 'dryFirst'] as const;

/** What a tester amends; the record's own facts (a spool's colour, a trial's name) are amended by their forms. */
export const AMENDED_KINDS = [
	'reading',
	'attempt',
	'event',
	'specimen',
	'log',
	'photo',
	'quote',
	'check',
	'gaugeStudy',
	'dryerCheck'
] as const;
export const AMENDED_FACTS = [
	'spool',
	'filament',
	'trial',
	'printer',
	'instrument',
	'dryer',
	'dryingRun',
	'piece',
	'verdict',
	'ownMeasure'
] as const;
/** What is taken out of the lists people choose from. */
export const ARCHIVED_KINDS = ['trial', 'spool', 'instrument', 'printer', 'dryer', 'piece', 'verdict'] as const;
export const AMENDMENT_ACTIONS = ['correct', 'exclude', 'reinstate', 'confirm', 'undo'] as const;
export const NOTE_TARGETS = ['spool', 'attempt', 'reading', 'specimen', 'trial'] as const;
