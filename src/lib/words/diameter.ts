import type { BrownForsythe } from '$lib/core/kernel/stats/brown-forsythe';
import type { BetweenSpools } from '$lib/core/stations/diameter/between-spools';
import type { DiameterMessages } from '$lib/core/stations/diameter/message-params';
import { fixed, grouped, percent, plural, upTo } from './numbers';
import { bareLength, bareTolerance, lengthUnit, lengthWords, toleranceWords } from './units';

const tol = (p: { tolerance: number }) => toleranceWords(p.tolerance);
/** Under a head that names the unit. */
const bareTol = (p: { tolerance: number }) => bareTolerance(p.tolerance);
const readings = (p: { n: number }) => plural(p.n, 'reading');
/** The claim as it stands in a sentence. */
const claim = (p: { source: string; tolerance: number }) => `the ${p.source === 'listing' ? 'shop listing' : p.source}’s ${tol(p)}`;
const pct = (value: number) => percent(value / 100);
const signed = (mm: number, decimals: number) => `${mm < 0 ? '−' : '+'}${bareLength(Math.abs(mm), decimals)}`;

/** What the diameter station says. */
export const DIAMETER_SENTENCES: { [I in keyof DiameterMessages]: (p: DiameterMessages[I]) => string } = {
	noToleranceStated: () => 'No tolerance is stated.',
	diameterNoClaim: (p) => `No tolerance stated. ${readings(p)}: ${bareLength(p.low, 2)} to ${lengthWords(p.high, 2)}.`,
	claimKept: (p) => `It meets ${claim(p)}: at least ${pct(p.lowPct)} of the length is inside.`,
	claimBroken: (p) => `It misses ${claim(p)}: at most ${pct(p.highPct)} of the length is inside, the caliper’s error allowed for.`,
	claimMore: (p) =>
		`Unclear yet whether it meets ${claim(p)}: ${pct(p.lowPct)} to ${pct(p.highPct)} of the length may be inside. Next answer at ${p.next} readings${p.decidesAt > p.next ? `; readings like these would decide it at ${p.decidesAt}` : ''}.`,
	claimFewSpots: (p) =>
		`Unclear yet whether it meets ${claim(p)}: that takes at least ${p.least} spots, and ${p.have} ${p.have === 1 ? 'was' : 'were'} read.`,
	claimLogUndecided: (p) =>
		`Unclear whether it meets ${claim(p)}: ${pct(p.lowPct)} to ${pct(p.highPct)} of the length may be inside. A longer log or a better known gauge would help.`,
	claimLogTooShort: (p) =>
		`The log is too short to say whether it meets ${claim(p)}: it is worth ${plural(p.have, 'independent reading')}, and ${p.least} are needed.`,
	claimNeverCheck: (p) =>
		`${fits(p)} More readings will not show whether it meets ${claim(p)}: the caliper may be off by as much. Check it ten times on a pin of known size; that may decide it.`,
	claimNeverFiner: (p) =>
		`${fits(p)} More readings with this instrument will not show whether it meets ${claim(p)}: ${pct(p.lowPct)} to ${pct(p.highPct)} of the length may be inside. A finer one is needed.`,
	claimOnePlace: (p) => `All readings are from one spot: they say nothing yet about ${claim(p)}.`,
	'strict.kept': (p) =>
		`It meets ${claim(p)} by the stricter rule: all ${readings(p)} are inside by more than the guard band of ${lengthWords(p.guard)}.`,
	'strict.broken': (p) =>
		`It misses ${claim(p)} by the stricter rule: a reading is outside by more than the guard band of ${lengthWords(p.guard)} (chance that the farthest is really inside: ${percent(p.chance)}).`,
	'strict.undecided': (p) =>
		`Unclear by the stricter rule: no reading is clearly outside ${claim(p)}, but not all are clearly inside (guard band ${lengthWords(p.guard)}; chance that the farthest is inside: ${percent(p.chance)}).`,
	'instrument.both': (p) => `This instrument can confirm or reject ${tol(p)}.`,
	'instrument.evenFilament': (p) =>
		`This instrument can confirm ${tol(p)} only if the strand varies by less than ${lengthWords(p.keepSd, 4)}, and reject it only if the mean is ${lengthWords(p.breakFrom)} off.`,
	'instrument.onlyBroken': (p) =>
		`This instrument cannot confirm ${tol(p)}, not even on a perfect strand; it can reject it if the mean is ${lengthWords(p.breakFrom)} off.`,
	instrumentUnnamed: (p) => `No instrument chosen: assuming a common caliper, accurate to ${toleranceWords(p.errorLimit)}.`,
	'budget.errorLimit': () => 'Main uncertainty: the caliper’s rated error. Check it on a pin of known size.',
	'budget.reference': () => 'Main uncertainty: how well the pin’s size is known.',
	'budget.checkScatter': () => 'Main uncertainty: the scatter of the check. Read the pin more often.',
	'budget.raters': () => 'Main uncertainty: people differ. Agree how hard to close the jaws, or let one person measure.',
	'budget.step': () => 'Main uncertainty: the step of its display.',
	biasTaken: (p) =>
		`Checked against ${lengthWords(p.reference)} with ${readings(p)}: it shows ${signed(p.bias, 4)} ${lengthUnit()}; every reading is corrected for that.`,
	checkFar: (p) => `Its check was at ${lengthWords(p.reference, 2)}, too far from this strand to be used.`,
	finestOnly: (p) =>
		`Only the finest instrument counts here: ${readings(p)}; ${plural(p.leftAside, 'reading')} with coarser ones left out.`,
	diameterOdd: (p) => `The reading ${p.typed} is far from its neighbours.`,
	outsideCount: (p) => `${p.outside} of ${readings(p)} outside as read.`,
	outsideModelled: (p) =>
		`Without the caliper’s own scatter, about ${pct(p.pct)} of the length is outside (95 % range ${pct(p.lowPct)} to ${pct(p.highPct)}).`,
	differsByChance: (p) => `The two agree as far as ${readings(p)} can show.`,
	differsByScatter: () => 'More is read outside than is outside: the instrument’s own scatter pushes readings over the limit.',
	differsByTails: () =>
		'More is read outside than an even spread would give: single thick or thin spots. Look for them; a mean hides them.',
	differsByStep: (p) =>
		`Fewer are read outside: a display of ${lengthWords(p.step, 3)} steps rounds onto the limit, and a reading on the limit is inside.`,
	differsByBunching: () => 'Fewer are read outside than an even spread would give: the diameter swings between two levels.',
	'word.kept': (p) => `meets ${bareTol(p)}`,
	'word.broken': (p) => `misses ${bareTol(p)}`,
	'word.undecided': (p) => `${bareTol(p)} unclear`,
	'word.onePlace': () => 'one spot only',
	'word.jams': () => 'may jam',
	spreadHidden: (p) =>
		`The readings scatter by ${lengthWords(p.sd, 4)}, hardly more than the instrument alone (${lengthWords(p.repeat, 4)}), which hides the strand’s own variation.`,
	spreadSeen: (p) =>
		`The readings scatter by ${lengthWords(p.sd, 4)}; without the instrument’s ${lengthWords(p.repeat, 4)} the strand varies by ${lengthWords(p.own, 4)}.`,
	capability: (p) =>
		`Pp ${fixed(p.pp, 2)} (95 % ${fixed(p.ppLow, 2)} to ${fixed(p.ppHigh, 2)}), Ppk ${fixed(p.ppk, 2)} (${fixed(p.ppkLow, 2)} to ${fixed(p.ppkHigh, 2)}), over all readings, instrument included; effective n ${p.nEffective}.`,
	capabilityUndefined: () => 'No capability: all readings are the same.',
	toleranceInterval: (p) =>
		`95 % of the length is between ${lengthWords(p.low)} and ${lengthWords(p.high)} with 95 % confidence (factor ${fixed(p.k, 3)}, effective n ${p.nEffective}, as read).`,
	driftSeen: (p) => `It drifts ${drift(p.slope, p)} ${driftUnit(p)} (95 % ${drift(p.low, p)} to ${drift(p.high, p)}, ${driftFrom(p)}).`,
	driftNotSeen: (p) => `No drift seen in ${driftFrom(p)} (95 % ${drift(p.low, p)} to ${drift(p.high, p)} ${driftUnit(p)}).`,
	firstMetresOnly: () => 'All readings are from the first metres: the rest of the spool may differ. A full test goes along it.',
	ovalityOfLog: (p) => `Mean difference of the gauge’s two axes, effective n ${p.n}. Gauge scatter makes it look larger.`,
	logWorth: (p) =>
		`${grouped(p.n)} samples over ${fixed(p.metres, 1)} m; neighbours repeat each other (correlation ${fixed(p.lag1, 2)}), so they are worth ${grouped(p.nEffective)} independent ones.`,
	periodicity: (p) =>
		`It comes and goes every ${upTo(p.period, 3)} m by ±${lengthWords(p.amplitude, 4)}: ${fixed(p.sharePct, 0)} % of its variation, not noise.`,
	periodicityAliased: (p) =>
		`It seems to come and go every ${upTo(p.period, 3)} m by ±${lengthWords(p.amplitude, 4)}, but the samples are too far apart: the true rhythm may be shorter.`,
	noPeriodicity: () => 'No rhythm stands out of the noise.',
	thickSpotsJam: (p) =>
		`${plural(p.count, 'thickening')} may jam: the thickest is ${lengthWords(p.peak)} at ${fixed(p.at, 2)} m, where ${lengthWords(p.limit, 2)} is the narrowest of the path${assumed(p)}.`,
	thickSpotsFit: (p) =>
		`${plural(p.count, 'thickening')} over ${lengthWords(p.over, 2)}, the thickest ${lengthWords(p.peak)} at ${fixed(p.at, 2)} m; ${lengthWords(p.limit, 2)} pass${assumed(p)}.`,
	noThickSpots: (p) => `No thickening over ${lengthWords(p.over, 2)}.`,
	worstMetre: (p) => `The worst metre begins at ${fixed(p.at, 2)} m: ${lengthWords(p.rms)} from nominal in the root mean square.`,
	noTwoDirections: () => 'No two spots read in two directions yet.',
	ovalityDefined: (p) => `Largest minus smallest diameter per spot, mean of ${p.n}. Caliper error makes it look larger.`,
	flowAdvice: (p) => `Set your slicer’s flow to this ratio if it assumes ${upTo(p.nominal, 3)} mm (true mean ${fixed(p.rms, 4)} mm).`,
	flowRipple: (p) =>
		`95 % of the length flows within ±${fixed(p.pct, 1)} %: a ${fixed(p.width, 2)} mm line gets ±${fixed(p.widthPlus, 3)} mm wide at fixed height (${readings(p)}, no interval).`
};

/** How the readings stand to the claim, before it is said that they cannot decide. */
function fits(p: { outside: number; n: number }): string {
	const outside = p.outside;
	return outside === 0 ? `No gross fault: all ${readings(p)} fit.` : `${outside} of ${readings(p)} outside as read.`;
}

/** A slope that can be read: over a hundred metres where positions are known, else from place to place. */
type Per = { per: 'metre' | 'place' };
const drift = (slope: number, p: Per) => signed(slope * (p.per === 'metre' ? 100 : 1), 4);
const driftUnit = (p: Per) => (p.per === 'metre' ? `${lengthUnit()} over 100 m` : `${lengthUnit()} per spot`);

const assumed = (p: { assumed: boolean }) => (p.assumed ? ' (usual bores assumed; enter yours in the workshop)' : '');
const driftFrom = (p: { of: 'log' | 'places'; n: number }) => (p.of === 'log' ? `effective n ${p.n}` : plural(p.n, 'spot'));

/** Whether spools are unlike even. @example spreadsWords({ f: 4.2, df1: 2, df2: 21, p: 0.029 }) // 'Their spreads differ: Brown-Forsythe F 4.20 on ...' */
export const spreadsWords = ({ f, df1, df2, p }: BrownForsythe): string =>
	`${p < 0.05 ? 'Their spreads differ' : 'No difference of their spreads can be shown'}: Brown-Forsythe F ${fixed(f, 2)} on ${df1} and ${df2} degrees of freedom, p ${p < 0.001 ? 'under 0.001' : `= ${upTo(p, 3)}`}.`;

/** Below this a flow error is hard to see, % (common practice, no source). */
const LITTLE_FLOW_PCT = 3;

/** What the farthest of the readings does to the flow. @example flowWords(1.2, 12) // 'Hardly matters: at worst 1.2 % flow (worst of 12 readings).' */
export const flowWords = (worstPct: number, n: number): string =>
	`${worstPct < LITTLE_FLOW_PCT ? 'Hardly matters' : 'It can show in walls and corners'}: at worst ${upTo(worstPct, 1)} % flow (worst of ${plural(n, 'reading')}).`;

/** Whether spools differ in mean diameter; the farthest pair with its range over all pairs. */
export function apartWords({ spools, apart }: Pick<BetweenSpools, 'spools' | 'apart'>, codeOf: (spoolId: string) => string): string {
	if (spools.length < 2) return 'One spool alone: there is nothing to compare it with.';
	const [first] = apart;
	if (!first) return 'No clear difference in mean diameter between any two of these spools.';
	const [near = 0, far = 0] = [Math.abs(first.lowMm), Math.abs(first.highMm)].sort((a, b) => a - b);
	return `${plural(apart.length, 'pair')} clearly ${apart.length === 1 ? 'differs' : 'differ'} in mean diameter; the farthest are ${codeOf(first.a)} and ${codeOf(first.b)}, ${lengthWords(Math.abs(first.differenceMm))} apart (95 % over all pairs ${bareLength(near)} to ${bareLength(far)}).`;
}
