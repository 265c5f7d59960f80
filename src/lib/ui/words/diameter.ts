import type { DiameterMessages } from '$lib/core/diameter/message-params';
import { fixed, grouped, percent, plural, upTo } from './numbers';

const tol = (p: { tolerance: number }) => `±${upTo(p.tolerance, 3)} mm`;
/** Under a head that names the unit. */
const bareTol = (p: { tolerance: number }) => `±${upTo(p.tolerance, 3)}`;
const mm = (value: number, decimals = 3) => `${fixed(value, decimals)} mm`;
const readings = (p: { n: number }) => plural(p.n, 'reading');
/** The claim as it stands in a sentence. */
const claim = (p: { source: string; tolerance: number }) => `the ${p.source}’s ${tol(p)}`;
const pct = (value: number) => percent(value / 100);
const signed = (value: number, decimals: number) => `${value < 0 ? '−' : '+'}${fixed(Math.abs(value), decimals)}`;

/** What the diameter station says. */
export const DIAMETER_SENTENCES: { [I in keyof DiameterMessages]: (p: DiameterMessages[I]) => string } = {
	noToleranceStated: () => 'No tolerance is stated.',
	diameterNoClaim: (p) =>
		`No tolerance is stated, so there is nothing to keep; ${readings(p)} run from ${fixed(p.low, 2)} to ${mm(p.high, 2)}.`,
	claimKept: (p) => `It keeps ${claim(p)}: at least ${pct(p.lowPct)} of the length is inside.`,
	claimBroken: (p) => `It breaks ${claim(p)}: at most ${pct(p.highPct)} of the length is inside, the instrument allowed for.`,
	claimMore: (p) =>
		`Not decided yet whether it keeps ${claim(p)}: ${pct(p.lowPct)} to ${pct(p.highPct)} of the length may be inside. Next answer at ${p.next} readings${p.decidesAt > p.next ? `; readings like these would decide it at ${p.decidesAt}` : ''}.`,
	claimFewSpots: (p) =>
		`Not decided yet whether it keeps ${claim(p)}: that takes ${p.least} places of the strand at least, and ${p.have} ${p.have === 1 ? 'was' : 'were'} read.`,
	claimLogUndecided: (p) =>
		`Not decided whether it keeps ${claim(p)}: ${pct(p.lowPct)} to ${pct(p.highPct)} of the length may be inside. A longer log or a gauge that is better known would tell more.`,
	claimLogTooShort: (p) =>
		`The log is too short to say whether it keeps ${claim(p)}: it is worth ${plural(p.have, 'independent reading')}, and ${p.least} are needed.`,
	claimNeverCheck: (p) =>
		`${fits(p)} Whether it keeps ${claim(p)} no number of readings up to 192 will tell, since the instrument may be off by as much. Check it ten times against a pin of known size; that could decide it.`,
	claimNeverFiner: (p) =>
		`${fits(p)} Whether it keeps ${claim(p)} no number of readings up to 192 will tell with this instrument: ${pct(p.lowPct)} to ${pct(p.highPct)} of the length may be inside. A finer one is needed.`,
	claimOnePlace: (p) => `All readings are from one place: they say nothing yet of ${claim(p)}.`,
	'strict.kept': (p) =>
		`It keeps ${claim(p)} by the stricter rule: all ${readings(p)} are inside by more than the guard band of ${mm(p.guard)}.`,
	'strict.broken': (p) =>
		`It breaks ${claim(p)} by the stricter rule: a reading lies outside by more than the guard band of ${mm(p.guard)} (chance that the farthest is really inside: ${percent(p.chance)}).`,
	'strict.undecided': (p) =>
		`Undecided by the stricter rule: no reading is surely outside ${claim(p)}, but not all are surely inside (guard band ${mm(p.guard)}; chance that the farthest is inside: ${percent(p.chance)}).`,
	'instrument.both': (p) => `This instrument (u ${mm(p.u, 4)}) can decide ${tol(p)} either way.`,
	'instrument.evenFilament': (p) =>
		`This instrument (u ${mm(p.u, 4)}) can show ${tol(p)} kept only by a strand more even than ${mm(p.keepSd, 4)} of spread; broken, from a mean ${mm(p.breakFrom)} off nominal.`,
	'instrument.onlyBroken': (p) =>
		`This instrument (u ${mm(p.u, 4)}) can never show ${tol(p)} kept, not even by a perfect strand; broken only, from a mean ${mm(p.breakFrom)} off nominal.`,
	instrumentUnnamed: (p) => `No instrument is named: a common caliper good to ±${upTo(p.errorLimit, 3)} mm is assumed.`,
	'budget.errorLimit': () => 'Most of that uncertainty is its stated error limit: a check against a pin would cut it.',
	'budget.reference': () => 'Most of that uncertainty is how well the pin of the check is known.',
	'budget.checkScatter': () => 'Most of that uncertainty is the scatter of the check: more readings of the pin would cut it.',
	'budget.raters': () => 'Most of that uncertainty is one rater against another: agree how hard the jaws close, or let one person measure.',
	'budget.step': () => 'Most of that uncertainty is the step of its display.',
	biasTaken: (p) =>
		`Checked against ${mm(p.reference)} with ${readings(p)}: it shows ${signed(p.bias, 4)} mm, which is taken off every reading.`,
	checkFar: (p) => `Its check was at ${mm(p.reference, 2)}, too far from this strand to be used.`,
	finestOnly: (p) =>
		`The finest instrument alone counts here: ${readings(p)}; ${plural(p.leftAside, 'reading')} of coarser ones left aside.`,
	diameterOdd: (p) => `The reading ${p.typed} is far from its neighbours.`,
	outsideCount: (p) => `${p.outside} of ${readings(p)} outside as read.`,
	outsideModelled: (p) =>
		`A bell-shaped spread with the instrument taken out makes ${pct(p.pct)} of the length outside (95 % bounds ${pct(p.lowPct)} and ${pct(p.highPct)}).`,
	differsByChance: (p) => `The two differ by no more than ${readings(p)} can show.`,
	differsByScatter: () => 'More is read outside than lies outside: the instrument’s own scatter pushes readings over the limit.',
	differsByTails: () =>
		'More is read outside than a bell-shaped spread makes: single thick or thin places. Look for them in the strand; a mean hides them.',
	differsByStep: (p) =>
		`Fewer are read outside: a display of ${mm(p.step, 3)} steps rounds onto the limit, and a reading on the limit is inside.`,
	differsByBunching: () =>
		'Fewer are read outside than a bell-shaped spread makes: the diameter keeps near its ends, as with a swing or two levels.',
	'word.kept': (p) => `keeps ${bareTol(p)}`,
	'word.broken': (p) => `breaks ${bareTol(p)}`,
	'word.undecided': (p) => `${bareTol(p)} undecided`,
	'word.onePlace': () => 'one place only',
	'word.jams': () => 'can jam',
	spreadHidden: (p) =>
		`The readings scatter by ${mm(p.sd, 4)}, hardly more than the instrument does alone (${mm(p.repeat, 4)}): the strand’s own spread is hidden by it.`,
	spreadSeen: (p) =>
		`The readings scatter by ${mm(p.sd, 4)}; with the instrument’s ${mm(p.repeat, 4)} taken out the strand’s own spread is ${mm(p.own, 4)}.`,
	capability: (p) =>
		`Pp ${fixed(p.pp, 2)} (95 % ${fixed(p.ppLow, 2)} to ${fixed(p.ppHigh, 2)}), Ppk ${fixed(p.ppk, 2)} (${fixed(p.ppkLow, 2)} to ${fixed(p.ppkHigh, 2)}), over all readings, the instrument left in; effective n ${p.nEffective}.`,
	capabilityUndefined: () => 'No capability: all readings are alike, and without spread it is undefined.',
	toleranceInterval: (p) =>
		`95 % of the length lies between ${mm(p.low)} and ${mm(p.high)} with 95 % confidence (factor ${fixed(p.k, 3)}, effective n ${p.nEffective}, as read).`,
	driftSeen: (p) => `It drifts ${drift(p.slope, p)} ${driftUnit(p)} (95 % ${drift(p.low, p)} to ${drift(p.high, p)}, ${driftFrom(p)}).`,
	driftNotSeen: (p) => `No drift that ${driftFrom(p)} can show (95 % ${drift(p.low, p)} to ${drift(p.high, p)} ${driftUnit(p)}).`,
	firstMetresOnly: () => 'All readings are from the first metres: the rest of the spool may be otherwise. A claim test goes along it.',
	ovalityOfLog: (p) => `Difference of the gauge’s two axes on average, effective n ${p.n}; its scatter makes it larger, never smaller.`,
	logWorth: (p) =>
		`${grouped(p.n)} samples over ${fixed(p.metres, 1)} m; neighbours repeat each other (correlation ${fixed(p.lag1, 2)}), so they are worth ${grouped(p.nEffective)} independent ones.`,
	periodicity: (p) =>
		`It comes and goes every ${upTo(p.period, 3)} m by ±${mm(p.amplitude, 4)}: ${fixed(p.sharePct, 0)} % of its variance, and no chance of noise.`,
	periodicityAliased: (p) =>
		`It seems to come and go every ${upTo(p.period, 3)} m by ±${mm(p.amplitude, 4)}, but the samples are too far apart: the true rhythm may be shorter.`,
	noPeriodicity: () => 'No rhythm stands out of the noise.',
	thickSpotsJam: (p) =>
		`${plural(p.count, 'thickening')} can jam: the thickest is ${mm(p.peak)} at ${fixed(p.at, 2)} m, where ${mm(p.limit, 2)} is the narrowest of the path${assumed(p)}.`,
	thickSpotsFit: (p) =>
		`${plural(p.count, 'thickening')} over ${mm(p.over, 2)}, the thickest ${mm(p.peak)} at ${fixed(p.at, 2)} m; ${mm(p.limit, 2)} pass${assumed(p)}.`,
	noThickSpots: (p) => `No thickening over ${mm(p.over, 2)}.`,
	worstMetre: (p) => `The worst metre begins at ${fixed(p.at, 2)} m: ${mm(p.rms)} from nominal in the root mean square.`,
	noTwoDirections: () => 'No two places read in two directions yet.',
	ovalityDefined: (p) =>
		`Largest less smallest diameter of a place, averaged over ${plural(p.n, 'place')}; the instrument’s scatter makes it larger, never smaller.`,
	flowAdvice: (p) =>
		`Its mean cross-section is that of a round strand of ${mm(p.rms, 4)}; the ratio gives the amount a slicer set to ${upTo(p.nominal, 3)} mm means.`,
	flowRipple: (p) =>
		`95 % of the length flows within ±${fixed(p.pct, 1)} %: a ${fixed(p.width, 2)} mm line gets ±${mm(p.widthPlus)} wide at fixed height (${readings(p)}, no interval).`
};

/** How the readings stand to the claim, before it is said that they cannot decide. */
function fits(p: { outside: number; n: number }): string {
	const outside = p.outside;
	return outside === 0 ? `No gross fault: all ${readings(p)} fit.` : `${outside} of ${readings(p)} outside as read.`;
}

/** A slope that can be read: over a hundred metres where positions are known, else from place to place. */
type Per = { per: 'metre' | 'place' };
const drift = (slope: number, p: Per) => signed(slope * (p.per === 'metre' ? 100 : 1), 4);
const driftUnit = (p: Per) => (p.per === 'metre' ? 'mm over 100 m' : 'mm a place');

const assumed = (p: { assumed: boolean }) => (p.assumed ? ' (usual bores assumed; say yours in the workshop)' : '');
const driftFrom = (p: { of: 'log' | 'places'; n: number }) => (p.of === 'log' ? `effective n ${p.n}` : plural(p.n, 'place'));
