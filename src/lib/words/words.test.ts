import { afterEach, describe, expect, it } from 'vitest';
import { attempt, diameters, event, evidence, load, mark, basis, quote, reading, specimen, weighed } from '../../../tests/support/evidence';
import { say } from '$lib/core/judging/finding/message';
import { ODDITIES } from '$lib/core/stations/intake/station';
import { readReading } from '$lib/core/joins/read-reading';
import { STATIONS } from '$lib/core/joins/registry';
import { finding as findingSchema } from '$lib/schemas/finding';
import { changedMostWords, flagLines, missingWords, nextWords, sentence, stateWords } from './messages';
import { chance, fixed, percent, plural, upTo } from './numbers';
import { strengthLoad } from '$lib/core/stations/strength/quantities';
import { bareValue, quantityName, quantityUnder, valueWords } from './quantities';
import { kindWords } from './closed-lists';
import { refusedReading } from '$lib/schemas/refused-reading';
import type { Refusal } from '$lib/schemas/refusals';
import { refusalWords, sentenceOf } from './refusals';
import { unitsFrom } from './units';

afterEach(() => unitsFrom(() => undefined));

/** Spools in every state the stations speak about. */
function everyState() {
	const print = attempt();
	const failed = attempt({ outcome: 'failed', cause: 'filament', percentReached: 30 });
	const shaken = attempt({ outcome: 'failed', cause: 'printer', percentReached: 30 });
	const own = {
		id: 'm1',
		name: 'Knob grip',
		unit: 'N',
		direction: 'more' as const,
		low: 0,
		high: 20,
		words: null,
		family: null,
		here: true
	};
	const ten = [1.75, 1.76, 1.75, 1.74, 1.75, 1.76, 1.75, 1.75, 1.74, 1.75];
	const caliper = { id: 'cal', name: 'Caliper', quantity: 'length', resolution: 0.01, errorLimit: 0.02, checks: [], studies: [] };
	const fine = { ...caliper, id: 'fine', resolution: 0.001, errorLimit: 0.001 };
	const middling = { ...caliper, id: 'mid', resolution: 0.001, errorLimit: 0.006 };
	const check = { id: 'c', at: 0, reference: 1.7, referenceLimit: 0.001, bias: 0.004, repeatability: 0.002, n: 10 };
	const checked = { ...caliper, id: 'checked', checks: [check], studies: [] };
	const study = { id: 's', at: 0, places: 5, raters: 2, repeats: 3, repeatabilitySd: 0.004, ratersSd: 0.03 };
	const studied = { ...caliper, id: 'studied', studies: [study] };
	const checkedFar = { ...caliper, id: 'far', checks: [{ ...check, reference: 10 }], studies: [] };
	const two = [
		{ id: 'a', quantity: 'diameterTolerance', source: 'label' as const, value: 0.02 },
		{ id: 'b', quantity: 'diameterTolerance', source: 'listing' as const, value: 0.03 }
	];
	const spools = [
		evidence(),
		evidence({ pricesHidden: true, readings: diameters([1.75, 1.75]) }),
		evidence({
			quotes: [quote({ shippingMinor: 390, kind: 'bundle' })],
			spool: { obtained: 'suppliedFree' },
			claims: [],
			readings: diameters(ten)
		}),
		evidence({
			quotes: [quote()],
			attempts: [print, shaken],
			readings: [mark(print, 'overhangLastClean', 60), mark(print, 'strings', 1), ...diameters(ten)]
		}),
		evidence({ quotes: [quote({ currency: 'SEK' })] }),
		evidence({ quotes: [quote()], attempts: [failed], claims: two, readings: diameters(ten) }),
		evidence({
			quotes: [quote()],
			attempts: [print, failed],
			readings: ODDITIES.map((quantity) => reading({ station: 'intake', quantity, value: 1 }))
		}),
		evidence({
			readings: [
				reading({ station: 'intake', quantity: 'nothingOdd', value: 0 }),
				reading({ station: 'intake', quantity: 'goodPoints', value: 1, typedText: 'wound neatly' }),
				reading({ station: 'own', quantity: 'own', value: 3, ownMeasureId: 'm1' })
			]
		}),
		evidence({
			instruments: [caliper, fine],
			readings: [...diameters(ten), ...diameters(ten, { instrumentId: 'fine', resolution: 0.001 })]
		}),
		...[caliper, fine, middling, checked, checkedFar, studied].flatMap((instrument) =>
			[ten, [...ten, 1.78], [...ten, 1.9], [...ten, 1.57], ten.map((v) => v + 0.1), [1.74, 1.74, 1.76, 1.76, 1.78, 1.78]].map((values) =>
				evidence({
					instruments: [instrument],
					readings: diameters(values, { instrumentId: instrument.id, resolution: instrument.resolution })
				})
			)
		)
	];
	return {
		spools: [...spools, ...waterStates(), ...dryStates(), ...strengthStates(), ...printStates()],
		basis: {
			...basis,
			ownMeasures: [own],
			currency: 'EUR',
			printer: {
				name: 'North',
				hotEndMaxC: 200,
				hardenedNozzle: false,
				enclosed: false,
				feedPathMm: null,
				throatMm: null,
				bedMaxC: null,
				cardReels: null,
				reelMaxG: null
			}
		}
	};
}

/** Weighed: not seen, seen, dried; the reel known, guessed from the label, guessed at all. */
function waterStates() {
	const air = (a: number, b: number) =>
		weighed([
			[a, null],
			[b, 'air']
		]);
	const net = { id: 'net', quantity: 'netMassG', source: 'label' as const, value: 1000 };
	return [
		evidence({ spool: { material: 'XYZ' }, readings: air(1200, 1200), claims: [net] }),
		evidence({ spool: { material: 'PA-CF' }, readings: air(1200, 1201) }),
		evidence({ readings: [...air(1200, 1201), reading({ station: 'moisture', quantity: 'tareMass', value: 1500, takenAt: 0 })] }),
		evidence({ spool: { material: 'ASA' }, readings: weighed([[1000, null]]), events: [event({ kind: 'dried', at: 9e9 })] }),
		evidence({
			readings: weighed([
				[1202, null],
				[1201, 'dried'],
				[1203, 'air'],
				[1200, 'dried']
			])
		}),
		evidence({
			readings: weighed([
				[1200, null],
				[1200, 'dried']
			])
		})
	];
}

/** Flexibles that feed, feed slowly or not at all; windows that agree, that do not, that the label misses; a doubtful photograph. */
function printStates() {
	const [slow, fast, failed] = [40, 60, 80].map((speedPct) => {
		const one = attempt();
		return { ...one, settings: { ...one.settings, speedPct } };
	});
	if (!slow || !fast || !failed) return [];
	const buckled = { ...failed, outcome: 'failed' as const, cause: 'filament' as const, percentReached: 10 };
	const claims = (['nozzleLowC', 'nozzleHighC', 'hardnessA', 'hardnessD'] as const).map((quantity) => ({
		id: quantity,
		quantity,
		source: 'label' as const,
		value: 95
	}));
	const window = (...of: [number, number][]) => {
		const attempts = of.map((_, i) => attempt({ at: 1000 + i }));
		const readings = attempts.flatMap((a, i) => [mark(a, 'cleanFrom', of[i]?.[0] ?? 0), mark(a, 'cleanTo', of[i]?.[1] ?? 0)]);
		return evidence({ attempts, readings, claims });
	};
	return [
		evidence({ spool: { material: 'TPU' }, attempts: [slow, fast], claims, readings: [mark(slow, 'loadEffort', 1)] }),
		evidence({ spool: { material: 'TPU' }, attempts: [slow, buckled] }),
		evidence({ spool: { material: 'TPU' }, attempts: [buckled] }),
		evidence({ spool: { material: 'TPU' } }),
		window([205, 220]),
		window([205, 205], [205, 205]),
		window([200, 205], [220, 230]),
		evidence({ attempts: [slow], readings: [mark(slow, 'stringCoverage', 2), mark(slow, 'photoQuality', 1)] })
	];
}

/** Printed before and after drying: two pairs, six that help, six that hurt, six of each. */
function dryStates() {
	const spool = (wet: number[], dry: number[]) => {
		const at = [...wet.map((_, i) => 100 + i), ...dry.map((_, i) => 2000 + i)];
		const attempts = at.map((t) => attempt({ at: t }));
		return evidence({
			attempts,
			readings: [...wet, ...dry].map((v, i) => mark(attempts[i] as (typeof attempts)[number], 'strings', v)),
			events: [event({ kind: 'dried', at: 1000 })]
		});
	};
	const six = (v: number) => Array.from({ length: 6 }, () => v);
	return [spool([2, 2], [0, 0]), spool(six(2), six(0)), spool(six(0), six(2)), spool(six(1), [0, 0, 0, 2, 2, 2])];
}

/** Loaded in every way, with every ending. */
function strengthStates() {
	const loaded = (...all: [quantity: string, value: number, failure?: number][][]) => {
		const specimens = all.map(() => specimen());
		return evidence({
			specimens,
			readings: all.flatMap((rows, i) =>
				rows.flatMap(([quantity, value, failure]) => {
					const of = specimens[i] as (typeof specimens)[number];
					return [load(of, quantity, value), ...(failure === undefined ? [] : [load(of, 'failure', failure)])];
				})
			)
		});
	};
	const step = (held: number, failure?: number): [string, number, number?][] => [
		['loadHeld', held],
		['loadBroke', held + 20, failure]
	];
	return [
		loaded([['loadHeld', 90]], [['loadHeld', 110]]),
		loaded(step(90, 0), step(110, 1), step(70, 2), step(60, 3), step(80, 4), step(100, 5)),
		loaded(step(90), step(90)),
		loaded(step(90)),
		loaded(step(90), [['loadHeld', 95]]),
		loaded(step(900))
	];
}

describe('words', () => {
	const { spools, basis: rules } = everyState();
	const strict = { ...rules, claimRule: 'anyReading' as const };
	const findings = [rules, strict].flatMap((by) => spools.flatMap((e) => STATIONS.flatMap((s) => s.find(e, by))));

	it('every message of every station is a sentence, with nothing left unfilled', () => {
		const messages = findings.flatMap((f) => [...f.messages, ...(f.sampling.kind === 'unknown' ? [f.sampling.reason] : [])]);
		expect(new Set(messages.map((m) => m.id)).size).toBeGreaterThan(80);
		for (const message of messages) {
			const said = sentence(message);
			expect(said).not.toBe(`${message.id}.`);
			expect(said).toMatch(/[.?]$/);
			expect(said).not.toMatch(/undefined|NaN|null|Infinity/);
		}
	});
	it('every missing act has words for the cell and for the next step', () => {
		const acts = spools.flatMap((e) => STATIONS.flatMap((s) => s.next(s.find(e, rules), rules)));
		expect(new Set(acts.map((m) => m.action))).toEqual(
			new Set(['unbox', 'measureDiameter', 'printPiece', 'markPiece', 'addPrice', 'measureOwn', 'weigh', 'dryWeighed', 'loadSpecimen'])
		);
		for (const act of acts) {
			expect(missingWords(act).rest).not.toBe('missing');
			expect(nextWords(act, 'KE1')).toContain('KE1');
			expect(nextWords(act, 'KE1')).not.toMatch(/undefined|NaN/);
		}
	});
	it('every finding is as the API describes it, and carries nothing that JSON cannot', () => {
		for (const one of findings) expect(findingSchema.safeParse(one).error?.issues).toBeUndefined();
		for (const finding of findings) expect(JSON.parse(JSON.stringify(finding))).toEqual(finding);
	});
	it('every quantity has a name and words for its values', () => {
		for (const def of STATIONS.flatMap((s) => s.quantities(rules))) {
			expect(quantityName(def)).not.toBe(def.id);
			expect(valueWords(def, def.scale.high, 'EUR')).not.toMatch(/NaN|undefined/);
			expect(bareValue(def, def.scale.low)).not.toMatch(/NaN|undefined/);
		}
	});
	it('what was measured on a spool is told in the units that were chosen, by every station', () => {
		unitsFrom(() => ({ length: 'in', mass: 'lb', 'label-mass': 'lb', temperature: 'F' }));
		// What is set in a slicer or drawn as a test piece stays as slicers and drawings have it.
		const inSlicer = new Set(['flowAdvice', 'flowRipple']);
		const ofStrandAndScale = new Set(['diameter', 'moisture', 'drying', 'intake', 'cost']);
		const messages = findings.filter((f) => ofStrandAndScale.has(f.station)).flatMap((f) => f.messages);
		for (const message of messages.filter((m) => !inSlicer.has(m.id))) expect(sentence(message)).not.toMatch(/\d (mm|g|kg|°C)\b/);
		expect(messages.filter((m) => / in\b| oz\b/.test(sentence(m))).length).toBeGreaterThan(50);
		const told = STATIONS.flatMap((s) => s.quantities(rules)).map((def) => `${quantityUnder(def, 'EUR')}: ${valueWords(def, 1.75, 'EUR')}`);
		expect(told).toEqual(expect.arrayContaining(['diameter, limits, in: 0.06890 in', 'handbook, °F: 35 °F', 'longest, mm: 2 mm']));
		unitsFrom(() => ({}));
		expect(valueWords({ id: 'ovality', unit: 'mm', scale: { low: 0, high: 1 } }, 0.012)).toBe('0.012 mm');
	});
	it('the same flag on several columns is said once', () => {
		const flag = { kind: 'unlikePrinter' as const, detail: null, is: ['South'], rest: ['North'], spoolIds: ['s1'] };
		const lines = flagLines(
			[
				{ ...flag, quantity: 'overhang' },
				{ ...flag, quantity: 'bridge' }
			],
			() => 'RY5'
		);
		expect(lines).toEqual(['RY5: on South, the others on North: overhang, bridge.']);
	});
	it('a setting is named with its unit, and a time in the air in words', () => {
		const flag = {
			kind: 'unlikeSettings' as const,
			detail: 'fanPct',
			is: ['100', '20'],
			rest: ['50'],
			spoolIds: ['s1'],
			quantity: 'overhang'
		};
		expect(flagLines([flag], () => 'RY5')).toEqual(['RY5: fan 20, 100 %, the others 50 %: overhang.']);
		const air = {
			...flag,
			kind: 'unlikeExposure' as const,
			detail: null,
			is: ['exposure.days10'],
			rest: ['exposure.weeks6'],
			quantity: 'waterUptake'
		};
		expect(flagLines([air], () => 'RY5')).toEqual(['RY5: in the air up to ten days, the others up to six weeks: moisture.']);
	});
	it('states and kinds of test part in a flag are told in the words of the page', () => {
		const flag = { detail: null, spoolIds: ['s1'], quantity: 'overhang' };
		const told = (kind: 'unlikeCondition' | 'unlikeSpecimen', is: string, rest: string) =>
			flagLines([{ ...flag, kind, is: [is], rest: [rest] }], () => 'RY5');
		expect(told('unlikeCondition', 'exposed', 'asReceived')).toEqual(['RY5: in the air, the others as received: overhang.']);
		expect(told('unlikeSpecimen', 'hook · flat · steps', 'hook · upright · steps')).toEqual([
			'RY5: test part hook, flat, weight in steps, the others hook, upright, weight in steps: overhang.'
		]);
	});
	it('a kind of specimen is told in words, how and at what temperature it was made too; what is no kind stays as it is', () => {
		expect(kindWords('hook · upright · steps')).toBe('hook, upright, weight in steps');
		expect(kindWords('box · flat · blows · four walls · 230 C')).toBe('box, flat, hammer blows, four walls, 230 °C');
		expect(kindWords('listing')).toBe('listing');
	});
	it('a state is told with its age: of a print how long before it, of a spool how long ago', () => {
		expect(stateWords('asReceived', null)).toBe('as received');
		expect(stateWords('dried', 0.01)).toBe('dried less than an hour before');
		expect(stateWords('dried', 9, 'ago')).toBe('dried 9 days ago');
		expect(stateWords('exposed', 1)).toBe('24 hours in the air');
		expect(stateWords('soaked', 2.4, 'ago')).toBe('soaked 2 days ago');
	});
	it('a pair or two are told as they are, with their real states', () => {
		const few = {
			quantity: 'strings',
			change: 2,
			wet: 3,
			dry: 1,
			wet2: null,
			dry2: null,
			better: 1,
			worse: 0,
			before: 'exposed' as const,
			beforeDays: 19,
			afterDays: 1
		};
		expect(sentence({ id: 'wetDry.few', params: few })).toBe(
			'Strings: heavy to wisp, one pair (19 days in the air, then dried 24 hours before): drying looks plainly worth it; print once more to be sure.'
		);
		const says = (more: Partial<typeof few>) => sentence({ id: 'wetDry.few', params: { ...few, ...more } });
		expect(says({ dry: 3, better: 0 })).toContain('heavy both times, one pair');
		expect(says({ dry: 3, better: 0 })).toContain('no change to see');
		expect(says({ better: 0, worse: 1 })).toContain('it got worse');
		expect(says({ wet2: 1 as never, dry2: 2 as never, worse: 1 })).toContain('heavy to wisp and wisp to slight, two pairs');
		expect(says({ wet2: 1 as never, dry2: 2 as never, worse: 1 })).toContain('one better, one worse: too few to say');
	});
	it('what drying changed most is told in the fewest words', () => {
		const pair = { quantity: 'strings', change: 2, wet: 3, dry: 1, wet2: null, dry2: null, better: 1, worse: 0 };
		const few = { ...pair, before: 'exposed' as const, beforeDays: 19, afterDays: 1 };
		expect(changedMostWords(say('wetDry.few', few))).toBe('dried: strings heavy to wisp');
		expect(changedMostWords(say('wetDry.few', { ...few, wet2: 2, dry2: 0 }))).toBe('dried: strings heavy to wisp, slight to none');
		const counted = { quantity: 'strings', change: 1, better: 3, worse: 0, same: 0, pairs: 3, p: 1 };
		expect(changedMostWords(say('wetDry.tooFew', counted))).toBe('dried: strings better in 3 of 3 pairs, worse in 0');
	});
	it('a load is told in the unit it was typed in, everywhere', () => {
		const inPounds = strengthLoad({ strengthHighN: 400, loadUnit: 'lb', specimenKinds: { load: null, blows: null, byHand: null } });
		expect(valueWords(inPounds, 111.205540382)).toBe('25 lb');
		expect(bareValue(inPounds, 111.205540382)).toBe('25');
		expect(quantityUnder(inPounds, 'EUR')).toBe('mean load, lb');
		const inKilos = { ...inPounds, shownIn: 'kg' };
		expect(valueWords(inKilos, 98.0665)).toBe('10.0 kg');
		expect(sentence(say('allHeld', { n: 2, low: 244.65218884, measure: 'load', unit: 'lb' }))).toBe(
			'None of 2 test parts broke; the least any of them held was 55 lb.'
		);
		expect(sentence(say('beyondScale', { high: 400, unit: 'N' }))).toContain('scale (400 N)');
		expect(sentence(say('beyondScale', { high: 20, unit: '' }))).toContain('scale (20)');
	});
	it('what a print was lost to is named where it is one thing', () => {
		expect(sentence({ id: 'lostOtherwise', params: { count: 2, cause: 'setUp' } })).toBe('2 lost to set-up');
		expect(sentence({ id: 'lostOtherwise', params: { count: 3, cause: null } })).toBe('3 lost otherwise');
	});
	it.each(['', 'x', '1.2.3', '0', '9', '3 stone', '1750'])('a refused "%s" is explained', (typed) => {
		const read = readReading('diameter', typed);
		expect(read.ok).toBe(false);
		if (!read.ok) expect(sentenceOf(refusedReading('typed', read))).toMatch(/[.?]$/);
	});
});

describe('numbers for people', () => {
	it('have a real minus and no negative zero', () => {
		expect(fixed(-0.001, 2)).toBe('0.00');
		expect(fixed(-1.5, 1)).toBe('−1.5');
		expect(upTo(2.5, 3)).toBe('2.5');
	});
	it('never round a chance to never or always', () => {
		expect(percent(0.001)).toBe('under 1 %');
		expect(percent(0.999)).toBe('over 99 %');
		expect(percent(1)).toBe('100 %');
		expect(chance(0, 2000)).toBe('under 0.2 %');
		expect(chance(1, 2000)).toBe('over 99.8 %');
	});
	it('count in words', () => {
		expect(plural(1, 'print')).toBe('1 print');
		expect(plural(2, 'print')).toBe('2 prints');
	});
});

describe('a refusal of a newer server', () => {
	const newer = { code: 'unheardOf', params: {}, message: 'is not of this world' } as unknown as Refusal;
	it('is told in the server’s own words', () => expect(refusalWords(newer)).toBe('is not of this world'));
});
