import { group } from 'd3-array';
import type { Flag } from '$lib/core/judging/compare/compare';
import { UNCHANGED, type FailureCause } from '$lib/core/record/evidence/attempt';
import type { WetDryMessage } from '$lib/core/stations/prints/ways/wet-dry';
import type { Message, MessageId, MessageParams } from '$lib/core/judging/finding/message';
import type { ConditionKind } from '$lib/core/record/lists/closed-lists';
import type { Missing } from '$lib/core/judging/finding/types';
import { fixed, plural, upTo } from './numbers';
import { CONDITION_WORDS, FAILURE_KIND_WORDS, kindWords, WATER_SIGN_WORDS } from './closed-lists';
import { markName } from './print-marks';
import { bareValue, isInWords, loadWords, quantityName, quantityUnit, shifted, valueWords } from './quantities';
import { bareMass, labelMassWords, massWords } from './units';
import { DIAMETER_SENTENCES } from './diameter';
import { settingName } from './settings';

/** The sentence of every message of core: an id that core knows does not compile until it is told here, nor one that core does not know. */
const SENTENCES: { [I in MessageId]: (p: MessageParams[I]) => string } = {
	noReadings: () => 'No reading yet.',
	onePlace: () => 'All readings are from one spot: they say nothing about the rest.',
	noMarks: () => 'Nothing marked yet.',
	noPrints: () => 'Nothing printed yet.',
	notLookedAt: () => 'Not inspected yet.',
	noPrice: () => 'No price noted.',
	priceHidden: () => 'The price is hidden while the trial is blind.',
	nothingOdd: () => 'Nothing wrong at unboxing.',
	goodPoints: (p) => `Good at unboxing: ${p.words}.`,
	'odd.seal': (p) => oddity('Seal', p),
	'odd.desiccant': (p) => oddity('Desiccant', p),
	'odd.winding': (p) => oddity('Winding', p),
	'odd.label': (p) => oddity('Label', p),
	'odd.spoolBody': (p) => oddity('Spool body', p),
	'odd.dirt': (p) => oddity('Dirt', p),
	'odd.odour': (p) => oddity('Odour', p),
	'odd.brittle': (p) => oddity('Brittle', p),
	...DIAMETER_SENTENCES,
	printerTakenOut: (p) =>
		`Prints from ${p.printer} are counted as if from ${p.against}: ${shifted(p.quantity, Math.abs(p.shift))} ${quantityUnit(p.quantity)} ${p.shift < 0 ? 'added' : 'taken off'}, its uncertainty included (${plural(p.prints, 'print')} of spools seen on both).`,
	pieceTakenOut: (p) =>
		`Prints of ${p.piece} count as if of ${p.against}: ${shifted(p.quantity, Math.abs(p.shift))} ${isInWords(p.quantity) ? 'words' : quantityUnit(p.quantity)} ${p.shift < 0 ? 'added' : 'taken off'} (${plural(p.prints, 'print')} of spools printed on both).`,
	onPiece: (p) => `On ${p.piece}: ${seenValue(p.quantity, p.middle)} (${plural(p.prints, 'print')}).`,
	leniencyTakenOut: (p) =>
		`Marks of ${p.scorer} are counted as if by ${p.against}: ${shifted(p.quantity, Math.abs(p.shift))} ${isInWords(p.quantity) ? 'words' : quantityUnit(p.quantity)} ${p.shift < 0 ? 'added' : 'taken off'} (${plural(p.scorings, 'scoring')} of prints both have seen).`,
	faultOfPrinter: (p) =>
		`${markName(p.fault).replace(/^./, (c) => c.toUpperCase())} in ${plural(p.prints, 'print')} counts against the printer, not the filament.`,
	windowShared: (p) =>
		p.from === p.to
			? `Clean at ${upTo(p.from, 0)} °C only, floors ${upTo(p.step, 0)} K apart.`
			: `Clean from ${upTo(p.from, 0)} to ${upTo(p.to, 0)} °C${p.prints > 1 ? ` in all ${p.prints} prints` : ''}; the middle of it is ${upTo(p.best, 0)} °C.`,
	windowFromTo: (p) => (p.from === p.to ? `${upTo(p.from, 0)} °C` : `${upTo(p.from, 0)} to ${upTo(p.to, 0)} °C`),
	windowsApart: (p) => `${plural(p.prints, 'print')} came out clean at no temperature in common: print once more.`,
	windowOffLabel: (p) => `The label asks for ${upTo(p.low, 0)} to ${upTo(p.high, 0)} °C, where no floor was clean in all prints.`,
	photoDoubtful: (p) =>
		`${plural(p.count, 'photograph')} of ${p.n} ${p.count === 1 ? 'is' : 'are'} doubtful: retake with a plain dark background and light from the side.`,
	noFeedRate: () => 'No feed rate noted with a print that finished.',
	feedRateNone: (p) => `Not even at ${upTo(p.slowest, 0)} % did a print finish (${plural(p.n, 'attempt')}).`,
	feedRateOpen: (p) => `It printed at ${upTo(p.best, 0)} %; nothing faster was tried, or failed.`,
	feedRateBetween: (p) => `It printed at ${upTo(p.best, 0)} % and failed at ${upTo(p.high, 0)} %.`,
	hardnessStated: (p) => `Stated hardness ${upTo(p.value, 0)}${p.scale} (Shore ${p.scale}, ${p.source}).`,
	hardnessBand: (p) =>
		`Beside others that is about ${upTo(p.low, 0)}A to ${upTo(p.high, 0)}A: a rough band, for D and A are different instruments.`,
	notPrintedAtAll: (p) => `It has not printed at all in ${plural(p.n, 'attempt')}.`,
	firstSuccess: (p) => `The first success was attempt ${p.attempt}.`,
	onePrint: (p) => `One print: the next may differ. ${differ(p.cells, 'prints')}`,
	stepsSeen: (p) => stepsSeen(p),
	oneReading: (p) => `One reading: the next may differ. ${differ(p.cells, 'readings')}`,
	successCount: (p) => `${p.finished} of ${plural(p.n, 'print')} finished.`,
	printsElsewhere: (p) => `${plural(p.count, 'print')} on other pieces or in another state ${p.count === 1 ? 'is' : 'are'} left out.`,
	successPrior: (p) =>
		p.cells > 0
			? `With so few prints, what such prints of ${plural(p.cells, 'other spool')} did counts too.`
			: 'With so few prints, what is usual counts too: nine in ten finish.',
	lostOtherwise: (p) => `${p.count} ${p.cause === null ? 'lost otherwise' : LOST_TO[p.cause]}`,
	tuningPrints: (p) => `${plural(p.count, 'print')} made while finding the settings ${p.count === 1 ? 'is' : 'are'} left out.`,
	failedHow: (p) => `${p.count} ${FAILURE_KIND_WORDS[p.kind]}.`,
	failuresNotCounted: (p) => `${plural(p.count, 'failure')} with another cause than the filament ${p.count === 1 ? 'is' : 'are'} left out.`,
	noPrintsForCost: (p) =>
		`${fixed(p.perKg, 2)} paid per kg. Not printed here yet, so failures are ${p.cells > 0 ? 'taken from such prints on record' : 'assumed'}.`,
	noGoodPrint: () => 'no good print yet',
	neverPrinted: (p) => `None of ${plural(p.n, 'print')} finished: good prints have no finite cost yet.`,
	costFormula: (p) =>
		`${fixed(p.perKg, 2)} per kg, and what failures waste: ${p.failed} of ${plural(p.n, 'print')} failed here, which makes about ${upTo(p.failurePct, 0)} % with what is known of such prints. Assumes a failed print is printed again until it succeeds.`,
	wasteAssumed: (p) =>
		p.cells > 0
			? `No failure was seen yet: how much one wastes is taken from ${plural(p.cells, 'other spool')} on record.`
			: 'No failure was seen yet: how much one wastes may be anything.',
	quoteUsed: (p) => {
		const shipping = p.shipping > 0 ? ` + ${fixed(p.shipping, 2)} shipping` : '';
		const kind = p.kind === 'list' ? '' : ` (${p.kind} price)`;
		return `${fixed(p.price, 2)}${shipping} ${p.currency} for ${plural(p.quantity, 'spool')} of ${labelMassWords(p.netMassG)}${kind}.`;
	},
	notWeighed: () => 'Not weighed yet.',
	noAirInterval: () => 'No two weighings with time in the air between them yet.',
	uptakeOver: (p) => {
		const from = p.from === 'dried' ? 'since it was dried' : 'since it was first weighed';
		const gained = p.pct >= 0 ? `gained at most ${fixed(p.pct, 2)} %` : `lost ${fixed(-p.pct, 2)} % and gained nothing`;
		return `It ${gained} of the filament’s weight in ${daysWords(p.days)} ${from} (filament used excluded).`;
	},
	cardReel: (p) =>
		`The spool is card, which takes up water itself: up to ${fixed(p.pct, 2)} % of the filament’s weight may be in the card. The range allows for it.`,
	waterNotSeen: (p) => `This scale cannot see changes under ${massWords(p.limitG, 1)}, and none in the air was larger.`,
	'tareUnknown.netMass': (p) =>
		`The empty spool is not weighed: assuming ${massWords(p.low, 0)} to ${massWords(p.high, 0)}, from the stated filament weight. Weigh it when it is empty and all results follow.`,
	'tareUnknown.usual': (p) =>
		`The empty spool is not weighed: assuming ${massWords(p.low, 0)} to ${massWords(p.high, 0)}, as usual ones weigh. Weigh it when it is empty and all results follow.`,
	tareContradicts: (p) => `The empty spool is noted as ${massWords(p.tareG, 1, upTo)}, more than the full spool weighed. It is not used.`,
	driedUnweighed: () => 'It was dried, but not weighed before and after.',
	notDried: () => 'Not dried yet.',
	driedLost: (p) =>
		`Drying took out ${massWords(p.lostG, 1)} (${massWords(p.beforeG, 1, upTo)} to ${massWords(p.afterG, 1, upTo)} with the spool, ±${massWords(2 * p.uG, 1)}).`,
	driedNotSeen: (p) => `Too small for this scale: ${bareMass(p.lostG, 1)} ±${massWords(2 * p.uG, 1)} lost in drying.`,
	laterDryings: (p) => `${plural(p.count, 'later drying')} on record too; the first shows how wet it arrived.`,
	notInHandbook: (p) => `The handbook has nothing on ${p.material}.`,
	printerNotKnown: () => 'What the trial’s printer can do is not noted; enter it in the workshop.',
	fromHandbook: (p) => `From the handbook for ${p.material} (${p.source}), not measured here.`,
	'demand.hotEnd': (p) => `It needs ${upTo(p.neededC, 0)} °C at the nozzle; this hot end reaches ${upTo(p.hasC, 0)} °C.`,
	'demand.hardenedNozzle': () => 'It needs a hardened nozzle.',
	'demand.enclosure': () => 'It needs an enclosure.',
	'demand.bed': (p) => `It needs a bed at ${upTo(p.neededC, 0)} °C; this one reaches ${upTo(p.hasC, 0)} °C.`,
	'demand.cardReel': () => 'It is on a card spool, which does not turn on this holder.',
	'demand.reelSize': (p) => `It is a spool of ${massWords(p.netG, 0, upTo)}; the holder fits ${massWords(p.mostG, 0, upTo)}.`,
	demandsNotKnown: (p) => `Of ${plural(p.count, 'other demand')} nobody noted whether the printer meets ${p.count === 1 ? 'it' : 'them'}.`,
	'ask.beyondHotEnd': (p) => `${upTo(p.isC, 0)} °C? The hot end reaches ${upTo(p.hasC, 0)} °C.`,
	'ask.beyondBed': (p) => `A bed of ${upTo(p.isC, 0)} °C? This one reaches ${upTo(p.hasC, 0)} °C.`,
	'ask.outsideLabel': (p) => `${upTo(p.isC, 0)} °C is outside the label’s ${upTo(p.lowC, 0)} to ${upTo(p.highC, 0)} °C.`,
	demandsMet: () => 'The trial’s printer has all that the material asks for.',
	atTemperature: (p) => `Printed at ${upTo(p.nozzleC, 0)} °C; ${plural(p.others, 'other temperature')} shown on the spool’s page.`,
	'damage.whitened': (p) => `${p.count} whitened.`,
	'damage.bentForGood': (p) => `${p.count} bent for good.`,
	'damage.cracked': (p) => `${p.count} cracked.`,
	noSpecimens: () => 'Nothing loaded yet.',
	neverBroke: (p) => `${p.held} of ${plural(p.n, 'test part')} did not break; counted as at least that load.`,
	allHeld: (p) =>
		`None of ${plural(p.n, 'test part')} broke; the least any of them held was ${p.measure === 'load' ? loadWords(p.low, p.unit) : plural(p.low, 'blow')}.`,
	beyondScale: (p) =>
		`Beyond the top of this trial’s scale (${p.unit ? loadWords(p.high, p.unit) : upTo(p.high, 0)}); raise it in the rules.`,
	otherCurrency: (p) => `Priced in ${p.currency} only; this trial counts in ${p.wanted}, and nothing is converted.`,
	oneSpecimen: (p) => `One test part: the next may differ. ${differ(p.cells, 'test parts')}`,
	'failed.snapped': (p) => failed(p, 'snapped clean'),
	'failed.bent': (p) => failed(p, 'bent, then broke'),
	'failed.layers': (p) => failed(p, 'parted between layers'),
	'failed.shattered': (p) => failed(p, 'shattered'),
	'failed.tore': (p) => failed(p, 'tore at the hole'),
	'failed.slipped': (p) => failed(p, 'slipped from the grip (counted as held)'),
	'wetDry.few': (p) => fewPairs(p),
	'wetDry.finished': (p) =>
		`Finished before drying: ${p.wet} of ${p.wetN}; dried: ${p.dry} of ${p.dryN}${p.p < 0.05 ? '.' : ', which may be chance.'} (Fisher’s exact test, p = ${upTo(p.p, 3)})`,
	'markOver.worse': (p) => `${Mark(p)} got worse ${withWhat(p)}: ${markOverSpan(p)} (rank test, p = ${upTo(p.p, 3)}).`,
	'markOver.better': (p) => `${Mark(p)} got better ${withWhat(p)}: ${markOverSpan(p)} (rank test, p = ${upTo(p.p, 3)}).`,
	'markOver.looksWorse': (p) => `${Mark(p)} looks worse ${withWhat(p)}: ${markOverSpan(p)}. Too few prints to be sure.`,
	'markOver.looksBetter': (p) => `${Mark(p)} looks better ${withWhat(p)}: ${markOverSpan(p)}. Too few prints to be sure.`,
	'markOver.noTrend': (p) => `${Mark(p)} shows no change ${withWhat(p)} (${plural(p.prints, 'print')}).`,
	'dryFirst.signs': (p) =>
		`${p.signs
			.split(' ')
			.map((sign) => WATER_SIGN_WORDS[sign as keyof typeof WATER_SIGN_WORDS] ?? sign)
			.join(', ')} in ${p.prints} of ${plural(p.n, 'print')} before drying`,
	'dryFirst.pairs': (p) => `drying improved ${mark(p)} in every pair`,
	'dryFirst.brittle': () => 'the strand was brittle out of the box',
	'wetDry.helped': (p) => `Drying helped ${mark(p)}: ${pairWords(p)} (exact sign test, p = ${upTo(p.p, 3)}).`,
	'wetDry.hurt': (p) => `Drying hurt ${mark(p)}: ${pairWords(p)} (exact sign test, p = ${upTo(p.p, 3)}).`,
	'wetDry.noDifference': (p) => `Drying made no difference to ${mark(p)} in these prints: ${pairWords(p)}.`,
	'wetDry.tooFew': (p) => `Not enough pairs to say whether drying changed ${mark(p)}: ${pairWords(p)}; need at least six that differ.`,
	suppliedFree: () => 'Supplied free: the price is what others would pay, and a free sample may sway you.'
};

/** How much repeats differ: as the record has it, or as is assumed while it is silent. */
function differ(cells: number, what: string): string {
	return cells > 0
		? `How much such ${what} differ is known from ${plural(cells, 'other')} on record.`
		: `How much such ${what} differ is assumed: nothing is on record yet.`;
}

function stepsSeen(p: MessageParams['stepsSeen']): string {
	const at = (value: number) => shifted(p.quantity, value);
	const unit = quantityUnit(p.quantity);
	const times = p.prints > 1 ? ` in ${p.prints} prints` : '';
	if (p.clean === null) return `Bad from the first step on${p.faulty === null ? '' : ` (${at(p.faulty)} ${unit})`}${times}.`;
	if (p.faulty === null) return `Clean to ${at(p.clean)} ${unit}, the last step${times}.`;
	return `Clean to ${at(p.clean)} ${unit}, bad at ${at(p.faulty)} ${unit}${times}.`;
}

function failed(p: { count: number }, how: string): string {
	return `${p.count} ${how}.`;
}

/** The mark that was compared, as it stands in a sentence. */
function mark(p: { quantity: string }): string {
	return quantityName({ id: p.quantity }).toLowerCase();
}

/** The same at the head of a sentence. */
const Mark = (p: { quantity: string }): string => quantityName({ id: p.quantity });

const LOST_TO: Readonly<Record<FailureCause, string>> = {
	filament: 'lost to the filament',
	printer: 'lost to the printer',
	setUp: 'lost to set-up',
	handling: 'lost to handling',
	onPurpose: 'lost on purpose',
	unknown: 'lost, cause unknown'
};

/** A state with its age, as it stands in a sentence: of a print how long before it the state began, of a spool how long ago. */
export function stateWords(kind: ConditionKind, days: number | null, from: 'before' | 'ago' = 'before'): string {
	if (days === null || kind === 'asReceived') return CONDITION_WORDS[kind];
	const age = daysWords(days);
	return kind === 'exposed' ? `${age} in the air` : `${CONDITION_WORDS[kind]} ${age} ${from}`;
}

/** One pair or two as they were seen: nobody needs a test to read them. */
function fewPairs(p: MessageParams['wetDry.few']): string {
	const value = (v: number) => seenValue(p.quantity, v);
	const pair = (wet: number, dry: number) => (wet === dry ? `${value(wet)} both times` : `${value(wet)} to ${value(dry)}`);
	const seen = [pair(p.wet, p.dry), ...(p.wet2 !== null && p.dry2 !== null ? [pair(p.wet2, p.dry2)] : [])];
	const pairs = seen.length === 1 ? 'one pair' : 'two pairs';
	const looks =
		p.better > 0 && p.worse === 0
			? 'drying looks plainly worth it; print once more to be sure'
			: p.worse > 0 && p.better === 0
				? 'it got worse; print once more to be sure'
				: p.better + p.worse === 0
					? 'no change to see'
					: 'one better, one worse: too few to say';
	return `${Mark(p)}: ${seen.join(' and ')}, ${pairs} (${stateWords(p.before, p.beforeDays)}, then ${stateWords('dried', p.afterDays)}): ${looks}.`;
}

/** What drying changed most, in the fewest words. @example changedMostWords(message) // 'dried: strings heavy to wisp' */
export function changedMostWords(message: WetDryMessage): string {
	if (message.id !== 'wetDry.few') return `dried: ${mark(message.params)} ${pairWords(message.params)}`;
	const { params: p } = message;
	const bare = (value: number) => bareValue({ id: p.quantity, unit: '', scale: { low: 0, high: 100 } }, value);
	const pair = (wet: number, dry: number) => `${bare(wet)} to ${seenValue(p.quantity, dry)}`;
	return `dried: ${mark(p)} ${pair(p.wet, p.dry)}${p.wet2 !== null && p.dry2 !== null ? `, ${pair(p.wet2, p.dry2)}` : ''}`;
}

/** A value of a mark as it was seen. */
const seenValue = (id: string, value: number): string => valueWords({ id, unit: quantityUnit(id), scale: { low: 0, high: 100 } }, value);

const withWhat = (p: MessageParams['markOver.worse']): string => (p.over === 'days' ? 'with days in the air' : 'with the water it took up');

function markOverSpan(p: MessageParams['markOver.worse']): string {
	const at = (place: number) => (p.over === 'days' ? `after ${daysWords(place)}` : `with ${fixed(place, 2)} %`);
	return `${seenValue(p.quantity, p.from)} ${at(p.fromAt)}, ${seenValue(p.quantity, p.to)} ${at(p.toAt)} (${plural(p.prints, 'print')})`;
}

function pairWords(p: { better: number; worse: number; same: number; pairs: number }): string {
	const same = p.same ? `, ${p.same} alike` : '';
	return `better in ${p.better} of ${plural(p.pairs, 'pair')}, worse in ${p.worse}${same}`;
}

/** Days in words, no finer than they matter. */
function daysWords(days: number): string {
	if (days < 1 / 24) return 'less than an hour';
	return days < 2 ? plural(Math.round(days * 24), 'hour') : plural(Math.round(days), 'day');
}

function oddity(what: string, p: { words: string }): string {
	return p.words ? `${what}: ${p.words}.` : `${what}: not right.`;
}

/** A message of core as a sentence. An id of a newer version, as a shared trial may hold it, shows itself: better ugly than silent. */
export function sentence(message: Message): string {
	const words = SENTENCES[message.id] as ((p: Message['params']) => string) | undefined;
	return words?.(message.params) ?? `${message.id}.`;
}

type Act<A extends Missing['action']> = Extract<Missing, { action: A }>;

const ACTS: { [A in Missing['action']]: (m: Act<A>) => { lead: string; rest: string } } = {
	unbox: () => ({ lead: 'inspect', rest: 'to do' }),
	measureDiameter: (m) => ({ lead: plural(m.count, 'reading'), rest: 'to do' }),
	printPiece: (m) => ({ lead: plural(m.count, 'print'), rest: 'to do' }),
	markPiece: (m) => ({ lead: plural(m.count, 'print'), rest: 'to mark' }),
	addPrice: (m) => ({ lead: 'price', rest: m.params.currency ? `in ${m.params.currency} to add` : 'to add' }),
	measureOwn: (m) => ({ lead: plural(m.count, 'reading'), rest: 'to do' }),
	weigh: (m) => ({ lead: plural(m.count, 'weighing'), rest: 'to do' }),
	dryWeighed: () => ({ lead: 'weigh, dry, weigh', rest: 'to do' }),
	loadSpecimen: (m) =>
		m.params.otherKind > 0
			? { lead: String(m.params.otherKind), rest: 'of another kind' }
			: { lead: plural(m.count, 'test part'), rest: 'to do' }
};

/** What is missing in an empty cell: the act in bold, the rest beside it. */
export function missingWords(missing: Missing): { lead: string; rest: string } {
	return (ACTS[missing.action] as (m: Missing) => { lead: string; rest: string })(missing);
}

/** The next act as a sentence about one spool. */
export function nextWords(missing: Missing, code: string, print?: { piece: string | null; condition: ConditionKind }): string {
	const minutes = missing.minutes >= 60 ? `About ${upTo(missing.minutes / 60, 1)} h` : plural(missing.minutes, 'minute');
	switch (missing.action) {
		case 'unbox':
			return `inspect ${code}. ${minutes}.`;
		case 'measureDiameter':
			return `measure ${code}: ${plural(missing.count, 'reading')}. ${minutes}.`;
		case 'printPiece':
			return `print ${print?.piece ?? 'a test piece'} with ${code}${print ? `, ${CONDITION_WORDS[print.condition]}` : ''}${missing.count > 1 ? `, ${missing.count} times` : ''}. ${minutes}.`;
		case 'markPiece':
			return `look at the print of ${code} and mark it. ${minutes}.`;
		case 'addPrice':
			return `add the price of ${code}. ${minutes}.`;
		case 'measureOwn':
			return `measure ${String(missing.params.name)} of ${code}: ${plural(missing.count, 'reading')}.`;
		case 'weigh':
			return missing.count > 1
				? `weigh ${code}, and again after some days in the air. One minute each.`
				: `weigh ${code} again. One minute.`;
		case 'dryWeighed':
			return `weigh ${code}, dry it, weigh it again. Some hours, mostly waiting.`;
		case 'loadSpecimen':
			return `load ${plural(missing.count, 'test part')} of ${code}. ${minutes}.`;
	}
}

/** What is unlike, as it stands before what the spools have and before what the others have. */
const FLAGS: Readonly<Record<Exclude<Flag['kind'], 'unlikeSettings'>, readonly [string, string]>> = {
	unlikePiece: ['test piece ', ''],
	unlikePrinter: ['on ', 'on '],
	unlikeNozzle: ['nozzle ', ''],
	unlikeCondition: ['', ''],
	unlikeSpecimen: ['test part ', ''],
	unlikeExposure: ['in the air ', ''],
	unlikeCurrency: ['not converted, priced in ', 'in '],
	unlikePriceKind: ['price: ', '']
};

/** Flags in sentences: what is unlike in the same way for the same spools is said once, for all its columns. */
export function flagLines(flags: readonly Flag[], codeOf: (spoolId: string) => string): string[] {
	const grouped = group(flags, (f) => JSON.stringify([f.kind, f.detail, f.is, f.rest, f.spoolIds]));
	return [...grouped.values()].flatMap((same) => {
		const [first] = same;
		if (!first) return [];
		const columns = same.map((f) => quantityName({ id: f.quantity }).toLowerCase()).join(', ');
		const codes = first.spoolIds.map(codeOf).join(', ');
		if (first.detail === 'midPrint') {
			const changes = [...new Set([...first.is, ...first.rest])].filter((v) => v !== UNCHANGED).join('; ');
			return [`${codes}: settings changed mid-print (${changes}): ${columns}.`];
		}
		return [`${codes}: ${unlikeWords(first)}: ${columns}.`];
	});
}

/** What some spools have there and the others have otherwise. @example unlikeWords(flag) // 'fan 20 %, the others 50 %' */
function unlikeWords({ kind, detail, is, rest }: Flag): string {
	const setting = detail ? settingName(detail) : null;
	const told = (values: readonly string[]) =>
		`${values
			.toSorted(byNumber)
			.map((v) => (kind === 'unlikeSpecimen' ? kindWords(v) : (VALUE_WORDS[v] ?? v)))
			.join(', ')}${setting?.unit ? ` ${setting.unit}` : ''}`;
	const [before, again] = setting ? [`${setting.name.toLowerCase()} `, ''] : FLAGS[kind as keyof typeof FLAGS];
	return `${before}${told(is)}, the others ${again}${told(rest)}`;
}

/** 40 comes before 100, and North before South. */
const byNumber = new Intl.Collator('en', { numeric: true }).compare;

const VALUE_WORDS: Record<string, string> = {
	...CONDITION_WORDS,
	'exposure.days2': 'up to two days',
	'exposure.days10': 'up to ten days',
	'exposure.weeks6': 'up to six weeks',
	'exposure.months': 'longer'
};
