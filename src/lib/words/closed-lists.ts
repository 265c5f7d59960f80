import type {
	AMENDMENT_ACTIONS,
	BEFORE,
	CLAIM_RULES,
	CONDITIONS,
	CONDITION_POLICIES,
	DIRECTIONS,
	FAILURE_CAUSES,
	FAILURE_KINDS,
	FAILURE_RULES,
	LOAD_METHODS,
	OBTAINED,
	ORIENTATIONS,
	PART_STATES,
	PRINT_OUTCOMES,
	QUOTE_KINDS,
	REEL_MATERIALS,
	SAID_EVENTS,
	SETTINGS_POLICIES,
	FAMILIES,
	USE_PRESETS,
	VALUE_RULES,
	VERDICT_KINDS,
	WATER_SIGNS
} from '$lib/core/record/lists/closed-lists';
import type { BY_HAND_WORDS, DAMAGE_WORDS, FAILURE_WORDS } from '$lib/core/stations/strength/words';

/** Words for the closed lists of the record: a word added to a list does not compile until it is told here. */
type Words<L extends readonly string[]> = Readonly<Record<L[number], string>>;

/** What can be chosen, in the order of its list. */
export const choices = <T extends string>(list: readonly T[], words: Readonly<Record<T, string>>): { value: T; label: string }[] =>
	list.map((value) => ({ value, label: words[value] }));

export const CONDITION_WORDS: Words<typeof CONDITIONS> = {
	asReceived: 'as received',
	dried: 'dried',
	exposed: 'in the air',
	soaked: 'soaked'
};

export const SAID_EVENT_WORDS: Words<typeof SAID_EVENTS> = {
	exposed: 'left in the open',
	soaked: 'soaked in water',
	stored: 'put away dry',
	printed: 'printed from, not recorded here',
	respooled: 'wound onto another spool',
	cutOff: 'filament cut off'
};

export const OUTCOME_WORDS: Words<typeof PRINT_OUTCOMES> = { finished: 'finished', failed: 'failed', ofNoUse: 'finished, of no use' };

export const FAILURE_KIND_WORDS: Words<typeof FAILURE_KINDS> = {
	wouldNotStick: 'would not stick',
	lifted: 'lifted off',
	clogged: 'clogged',
	ground: 'ground by the gear',
	tangled: 'tangled',
	stopped: 'stopped feeding',
	collapsed: 'collapsed',
	other: 'something else'
};

export const WATER_SIGN_WORDS: Words<typeof WATER_SIGNS> = {
	hiss: 'hissing',
	pops: 'popping',
	dots: 'dots and bubbles',
	brittle: 'strand snaps'
};

export const CAUSE_WORDS: Words<typeof FAILURE_CAUSES> = {
	filament: 'the filament',
	printer: 'the printer',
	setUp: 'the set-up',
	handling: 'handling',
	onPurpose: 'done on purpose',
	unknown: 'unknown'
};

/** By what each cause of a failure is told. */
export const CAUSE_TELLS: Words<typeof FAILURE_CAUSES> = {
	filament: 'pops and steam, a brittle or snapped strand, a crossed winding nobody touched, thin and thick by turns',
	printer: 'the same wave or shift with every spool, a slipping feeder, a clogged nozzle that stays clogged with the next spool',
	setUp: 'first layer, bed not clean, the wrong profile or temperature',
	handling: 'a tangle after the free end was let go, a door opened, a knock',
	onPurpose: 'you soaked it, clogged it or ran it too hot to see what happens',
	unknown: 'nobody saw it'
};

export const ORIENTATION_WORDS: Words<typeof ORIENTATIONS> = { flat: 'flat', edge: 'on edge', upright: 'upright' };

export const METHOD_WORDS: Words<typeof LOAD_METHODS> = {
	steps: 'weight in steps',
	direct: 'read from a scale',
	blows: 'hammer blows',
	byHand: 'by hand'
};

export const BEFORE_WORDS: Words<readonly [...typeof BEFORE, 'first']> = {
	first: 'first weighing',
	print: 'print',
	dried: 'drying',
	air: 'air'
};

export const FAILURE_MODE_WORDS: Words<typeof FAILURE_WORDS> = {
	snapped: 'snapped clean',
	bent: 'bent, then broke',
	layers: 'layers parted',
	shattered: 'shattered',
	tore: 'tore at the hole',
	slipped: 'slipped out'
};

/** How it gave way in the hands, in full. */
export const BY_HAND_TELLS: Words<typeof BY_HAND_WORDS> = {
	crumbles: 'crumbles',
	snaps: 'snaps',
	resists: 'resists, then breaks',
	bends: 'bends, then breaks',
	holds: 'did not break'
};

export const DAMAGE_TELLS: Words<typeof DAMAGE_WORDS> = {
	none: 'no damage',
	whitened: 'whitened',
	bentForGood: 'bent for good',
	cracked: 'cracked'
};

export const PART_STATE_WORDS: Words<typeof PART_STATES> = {
	holds: 'holds',
	worn: 'worn',
	crept: 'crept',
	cracked: 'cracked',
	broke: 'broke',
	takenOut: 'removed'
};

export const PRESET_WORDS: Words<typeof USE_PRESETS> = {
	fineLooks: 'looks',
	benchJigs: 'bench jigs',
	outdoorBrackets: 'outdoor brackets',
	flexibleParts: 'flexible parts',
	own: 'set my own importance'
};

/** By whose importance a trial weighs. @example importanceWords('fineLooks') // 'importance for looks' */
export const importanceWords = (preset: (typeof USE_PRESETS)[number]): string =>
	preset === 'own' ? 'my own importance' : `importance for ${PRESET_WORDS[preset]}`;

export const SETTINGS_POLICY_WORDS: Words<typeof SETTINGS_POLICIES> = {
	fixed: 'one fixed profile',
	label: 'label temperature, one profile',
	preset: "each product's preset",
	calibrated: 'calibrated for each'
};

export const CONDITION_POLICY_WORDS: Words<typeof CONDITION_POLICIES> = {
	asReceived: 'as received',
	driedFirst: 'dried first',
	both: 'as received and dried'
};

/** What the state that counts means at the bench. */
export const CONDITION_POLICY_TELLS: Readonly<Record<(typeof CONDITION_POLICIES)[number], readonly string[]>> = {
	asReceived: [
		'Print each spool as it comes out of its bag, before it is dried.',
		'Prints after drying are kept and show what drying does; they do not count in the pick.'
	],
	driedFirst: [
		'Weigh each spool, dry it, weigh it again, then print it.',
		'Prints before drying are kept and show what drying does; they do not count in the pick.'
	],
	both: [
		'Print each test piece twice with each spool: as it comes out of its bag, then after drying.',
		'The pick goes by the first; the two are compared.'
	]
};

export const FAMILY_WORDS: Words<typeof FAMILIES> = {
	looks: 'Looks',
	holds: 'Holds',
	printsEasily: 'Prints easily',
	feeds: 'Feeds',
	keepsSize: 'Keeps size',
	keepsDry: 'Keeps dry',
	cost: 'Cost'
};

export const RULE_WORDS: Words<typeof VALUE_RULES> = {
	cheapestOfBest: 'the cheapest of the best',
	weighted: 'weighted value',
	perMoney: 'most value per money',
	cheapest: 'cheapest that passes',
	strongest: 'strongest that passes'
};

export const VERDICT_WORDS: Words<typeof VERDICT_KINDS> = {
	buy: 'buy',
	leave: 'do not buy',
	buyFor: 'buy only for',
	dryFirst: 'buy, but dry it first'
};

export const CLAIM_RULE_WORDS: Words<typeof CLAIM_RULES> = {
	share: '95 % of the length is inside it',
	anyReading: 'no reading is clearly outside'
};

export const FAILURE_RULE_WORDS: Words<typeof FAILURE_RULES> = {
	filament: 'only those the filament caused',
	unknown: 'those of unknown cause too'
};

/** The same, as a sentence where a failure is charged. */
export const FAILURE_RULE_TELLS: Words<typeof FAILURE_RULES> = {
	filament: 'Only filament failures count against the spool.',
	unknown: 'Filament failures, and those of unknown cause, count against the spool.'
};

export const AMENDMENT_WORDS: Words<typeof AMENDMENT_ACTIONS> = {
	correct: 'corrected',
	exclude: 'marked invalid',
	reinstate: 'counts again',
	confirm: 'confirmed',
	undo: 'edit undone'
};

export const OBTAINED_WORDS: Words<typeof OBTAINED> = { bought: 'bought', suppliedFree: 'supplied free', gift: 'a gift' };

export const REEL_MATERIAL_WORDS: Words<typeof REEL_MATERIALS> = { plastic: 'plastic', card: 'card', wire: 'wire' };

export const QUOTE_KIND_WORDS: Words<typeof QUOTE_KINDS> = { list: 'list', sale: 'sale', bundle: 'bundle' };

/** Which way of a measure of one's own is better. */
export const DIRECTION_WORDS: Words<typeof DIRECTIONS> = { more: 'more', less: 'less', nearest: 'nearest the middle' };

/** A word that comes as plain text, in the words of its list; one that is none of the list as it is. */
export const wordOf = (words: Readonly<Record<string, string>>, text: string): string => words[text] ?? text;

/** A kind of specimen in words. */
export function kindWords(kind: string): string {
	const [shape = '', orientation, method, ...rest] = kind.split(' · ');
	// Not every variant is a kind of test part: a tolerance is the label's or the listing's.
	if (orientation === undefined || method === undefined) return kind;
	const made = rest.map((part) => part.replace(/^(\d+(?:\.\d+)?) C$/, '$1 °C'));
	return [shape, wordOf(ORIENTATION_WORDS, orientation), wordOf(METHOD_WORDS, method), ...made].join(', ');
}
