import { saying } from './field-error';
import { QUOTE_KINDS, TRIAL_ROLES } from '$lib/core/record/lists/closed-lists';
import { SPOOL_FACTS } from '$lib/core/record/facts/spool-facts';
import { z } from 'zod';
import { ODDITIES } from '$lib/core/stations/intake/station';
import { CURRENCIES } from '$lib/core/kernel/units/money';
import { factFields } from './fact-fields';
import { benchCode, id, instant, requiredWords, seen, typed, words, zone } from './common';

const claimFields = {
	labelNozzle: typed.optional().describe('nozzle temperature on the label, such as 215 or 210-230 C'),
	nominalDiameter: typed.optional().describe('nominal diameter of the strand, 1.75 mm if not said'),
	hardness: typed.optional().describe('of a flexible, as it is stated: 95A or 45D'),
	timesAsStrong: typed.optional().describe('how many times as strong as an ordinary filament it is said to be: 3'),
	labelTolerance: typed.optional().describe('stated diameter tolerance on the label'),
	listingTolerance: typed.optional().describe('stated diameter tolerance in the listing')
};

const quoteFields = {
	price: typed.describe('for the whole order'),
	shipping: typed.optional(),
	quantity: z
		.int()
		.min(1, { error: saying('atLeast', { least: 1, unit: '' }) })
		.max(1000)
		.default(1),
	netMass: typed.describe('of one spool'),
	quoteKind: z.enum(QUOTE_KINDS).default('list')
};

/** What was seen at unboxing. */
const unboxed = {
	nothingOdd: z.boolean().optional(),
	odd: z.partialRecord(z.enum(ODDITIES), words()).optional(),
	good: words().optional().describe('good points: wound neatly, a bag that can be closed again')
};

/** What intake asks: material, price, net mass and label temperature; everything else may come later. */
export const intakeBody = z.strictObject({
	id,
	trialId: id.optional(),
	role: z.enum(TRIAL_ROLES).default('candidate'),
	material: requiredWords(40),
	price: typed.optional(),
	netMass: typed.optional(),
	labelNozzle: claimFields.labelNozzle,
	hardness: claimFields.hardness,
	timesAsStrong: claimFields.timesAsStrong,
	maker: words().optional(),
	filament: words().optional(),
	benchCode: benchCode.optional(),
	currency: z.enum(CURRENCIES).default('EUR'),
	...factFields(SPOOL_FACTS),
	tare: typed.optional(),
	grossMass: typed.optional(),
	nominalDiameter: claimFields.nominalDiameter,
	labelTolerance: claimFields.labelTolerance,
	listingTolerance: claimFields.listingTolerance,
	quantity: quoteFields.quantity,
	shipping: quoteFields.shipping,
	quoteKind: quoteFields.quoteKind,
	...unboxed,
	note: words(2000).optional(),
	at: instant,
	zone
});
export type IntakeBody = z.output<typeof intakeBody>;
export type IntakeInput = z.input<typeof intakeBody>;

/** Several spools from a spreadsheet, taken whole or not at all. */
export const intakeListBody = z.strictObject({
	id,
	trialId: id.optional(),
	rows: z
		.array(intakeBody.omit({ trialId: true }))
		.min(1, { error: saying('noRowsToTakeIn') })
		.max(200, { error: saying('tooManyEntries', { most: 200 }) })
});

export const unboxingBody = z
	.strictObject({
		id,
		spoolId: id,
		...unboxed,
		at: instant,
		zone
	})
	.refine((b) => b.nothingOdd || b.good || Object.keys(b.odd ?? {}).length > 0, { error: saying('nothingOddSaid'), path: ['odd'] });

export const filamentBody = z.strictObject({
	id,
	maker: requiredWords(),
	name: requiredWords(),
	material: requiredWords(40),
	variant: words().optional(),
	...claimFields
});

export const spoolBody = z.strictObject({
	id,
	filamentId: id,
	benchCode: benchCode.optional(),
	...factFields(SPOOL_FACTS),
	trialId: id.optional(),
	role: z.enum(TRIAL_ROLES).default('candidate'),
	at: instant,
	zone
});

export const quoteBody = z.strictObject({
	id,
	filamentId: id,
	spoolId: id.optional().describe('joins the quote to this spool as what was paid'),
	currency: z.enum(CURRENCIES),
	...quoteFields,
	at: instant,
	zone
});

/** What a reel is called by, put right: what is left out stays. Maker, product, material and net mass are those of all reels of the product. */
export const productFactsBody = z.strictObject({
	id,
	spoolId: id,
	maker: words().optional(),
	filament: words().optional(),
	material: requiredWords(40).optional(),
	benchCode: benchCode.optional(),
	netMass: typed.optional(),
	reason: words(300).refine((text) => text !== '', { error: saying('reasonMissing') }),
	seen
});

/** Facts of a spool that may be completed later; each change is an amendment. */
export const spoolFactsBody = z.strictObject({
	id,
	spoolId: id,
	...factFields(SPOOL_FACTS),
	tare: typed.optional(),
	grossMass: typed.optional(),
	...claimFields,
	seen,
	at: instant,
	zone
});
