import { describe, expect, it } from 'vitest';
import { attempt, mark } from '../../../tests/support/evidence';
import { TRAINER_ANSWERS, TRAINER_SUBJECTS } from '$lib/core/stations/prints/trainer/subjects';
import { trainingResult } from '$lib/core/stations/prints/trainer/training';
import { markQuantity } from '$lib/core/stations/prints/marks/marks';
import { agreementBand, agreementOfAllWords, agreementWords, leniencyWords } from './agreement';
import { departureWords } from './departures';
import { marksByScorer } from './marks';
import { markName } from './print-marks';
import type { Message } from '$lib/core/judging/finding/message';
import { sentence } from './messages';
import { photoFaultWords, stringCoverWords } from './string-cover';
import { agreesWords, answerWord, gradeWords, resultWords } from './trainer';

const overhang = markQuantity('overhang');
const strings = markQuantity('strings');

describe('words for scorers', () => {
	const [ada, ben] = [
		{ scorer: 'Ada', round: 0 },
		{ scorer: 'Ben', round: 0 }
	];
	it('two agree, and one is milder', () => {
		const said = agreementWords({
			def: strings,
			raters: [ada, ben],
			n: 12,
			kappa: { kappa: 0.77, standardError: 0.06, low: 0.65, high: 0.89, n: 12 },
			difference: { mean: -0.5, low: -0.8, high: -0.2 }
		});
		expect(said).toBe(
			'Strings: Ada and Ben agree well (kappa 0.77, 95 % 0.65 to 0.89; 12 prints). Ben is the milder by 0.50 words (95 % −0.80 to −0.20).'
		);
	});
	it('of degrees more is milder, and a second look is named', () => {
		const said = agreementWords({
			def: overhang,
			raters: [ada, { scorer: 'Ada', round: 1 }],
			n: 3,
			kappa: null,
			difference: { mean: 5, low: 2, high: 8 }
		});
		expect(said).toContain('Ada and Ada (second look) both scored 3 prints. Ada (second look) is the milder by 5.0 °');
	});
	it('nothing is made of one print or of a difference that may be none', () => {
		const of = (difference: { mean: number; low: number | null; high: number | null }) =>
			agreementWords({ def: overhang, raters: [ada, ben], n: 1, kappa: null, difference });
		expect(of({ mean: 5, low: null, high: null })).toContain('One print tells nothing');
		expect(of({ mean: 1, low: -3, high: 5 })).toContain('No clear difference in strictness');
	});
	it('several together, with or without an interval', () => {
		const alpha = { alpha: 0.5, low: 0.31, high: 0.69, n: 12, scorings: 34 };
		const three = [ada, ben, { scorer: 'Cy', round: 0 }];
		expect(agreementOfAllWords({ def: strings, raters: three, alpha })).toBe(
			'Strings: Ada, Ben and Cy together agree fairly (alpha 0.50, 95 % 0.31 to 0.69; 34 scorings of 12 prints).'
		);
		expect(agreementOfAllWords({ def: strings, raters: three, alpha: { ...alpha, low: null, high: null } })).toContain('no interval');
	});
	it.each([
		[1, 'nearly always'],
		[0.7, 'well'],
		[0.5, 'fairly'],
		[0.3, 'a little'],
		[0, 'hardly beyond chance'],
		[-0.4, 'hardly beyond chance']
	])('%d beyond chance is "%s"', (kappa, band) => expect(agreementBand(kappa)).toBe(band));
	it('what one adds, in the unit of the mark', () => {
		const effect = { quantity: 'overhang', scorer: 'Ben', against: 'Ada', shift: -4, standardError: 1, low: -6, high: -2, scorings: 8 };
		expect(leniencyWords(effect)).toBe('Overhang: Ben marks 4.0 ° lower than Ada for the same print (95 % −6.0 to −2.0; 8 scorings).');
		expect(leniencyWords({ ...effect, quantity: 'strings', shift: 0.5 })).toContain('0.50 words higher');
		const { standardError: _, ...params } = effect;
		expect(sentence({ id: 'leniencyTakenOut', params })).toContain('Marks of Ben are counted as if by Ada: 4.0 ° added');
	});
});

describe('words for the trainer', () => {
	it('every grade of every subject has its answer and what makes it', () => {
		for (const subject of TRAINER_SUBJECTS)
			TRAINER_ANSWERS[subject].forEach((word, grade) => {
				expect(answerWord(subject, grade)).toContain(word);
				expect(gradeWords(subject, grade)).toMatch(/: .+/);
			});
		expect(gradeWords('overhang', 5)).toContain('none hangs');
	});
	it('a run in a sentence: what was right, which side it leans to, what was taken for what', () => {
		const pairs = [
			[0, 0],
			[1, 0],
			[1, 0],
			[2, 1],
			[3, 2],
			[3, 2]
		] as const;
		const said = resultWords('strings', trainingResult(pairs, 4));
		expect(said).toMatch(/^1 of 6 right, slightly lenient \(0\.8 of a grade\)\. /);
		expect(agreesWords(trainingResult(pairs, 4))).toMatch(/^Agrees .* with the known grades \(kappa 0\.\d\d, 95 % /);
		expect(said).toContain('was taken for');
		// More degrees are milder.
		expect(resultWords('overhang', trainingResult(pairs, 6))).toContain('slightly strict (');
		expect(agreesWords(trainingResult([[1, 1]], 4))).toContain('Too much alike');
	});
});

describe('words for strings on a photograph', () => {
	it('count, cover and quality; nothing where it cannot be measured', () => {
		expect(stringCoverWords({ count: 1, coveragePct: 0.44, quality: 'clear' })).toBe(
			'1 strand crosses, 0.4 % of the gap is covered; the photograph is clear'
		);
		expect(stringCoverWords({ count: 5, coveragePct: 4.6, quality: 'doubtful' })).toContain('5 strands cross');
		expect(stringCoverWords({ count: 5, coveragePct: 4.6, quality: 'unusable' })).toBe('This photograph cannot be measured.');
		for (const fault of ['corners', 'small', 'alike', 'noisy', 'dusty'] as const) expect(photoFaultWords(fault)).toMatch(/: |\.$/);
	});
});

describe('marks of a print, by who gave them', () => {
	const a = attempt();
	it('faults that were not seen are left out, a clean surface is said once', () => {
		const [first, second] = marksByScorer([
			mark(a, 'surfaceDots', 0, { scorer: 'Ada' }),
			mark(a, 'surfaceSeam', 0, { scorer: 'Ada' }),
			mark(a, 'strings', 1),
			mark(a, 'surfaceDots', 2)
		]);
		expect(first).toMatchObject({ scorer: 'Ada', marks: [], cleanSurface: true });
		expect(second).toMatchObject({ scorer: null, cleanSurface: false });
		expect(second?.marks.map((m) => m.quantity)).toEqual(['strings', 'surfaceDots']);
	});
	it('have names', () => {
		expect(markName('surfaceSeam')).toBe('seam bulge');
		expect(markName('cleanFrom')).toBe('floors clean from');
		expect(markName('unheardOf')).toBe('unheardOf');
	});
});

describe('words for flexibles and windows', () => {
	it.each([
		['windowShared', { from: 205, to: 220, best: 212.5, step: 5, prints: 1 }, 'Clean from 205 to 220 °C; the middle of it is 213 °C.'],
		['windowShared', { from: 205, to: 205, best: 205, step: 5, prints: 2 }, 'Clean at 205 °C only, floors 5 K apart.'],
		['windowsApart', { prints: 2 }, '2 prints came out clean at no temperature in common: print once more.'],
		['feedRateBetween', { best: 60, high: 80 }, 'It printed at 60 % and failed at 80 %.'],
		['feedRateOpen', { best: 60 }, 'It printed at 60 %; nothing faster was tried, or failed.'],
		['notPrintedAtAll', { n: 3 }, 'It has not printed at all in 3 attempts.'],
		['hardnessStated', { value: 45, scale: 'D', source: 'label' }, 'Stated hardness 45D (Shore D, label).'],
		['hardnessBand', { low: 84, high: 96 }, 'Beside others that is about 84A to 96A: a rough band, for D and A are different instruments.'],
		['faultOfPrinter', { fault: 'surfaceSeam', prints: 2 }, 'Seam bulge in 2 prints counts against the printer, not the filament.'],
		['onPiece', { quantity: 'strings', piece: 'spikes 1', middle: 0, prints: 1 }, 'On spikes 1: none (1 print).'],
		[
			'pieceTakenOut',
			{ quantity: 'strings', piece: 'ship 1', against: 'spikes 1', shift: -1, prints: 6 },
			'Prints of ship 1 count as if of spikes 1: 1.00 words added (6 prints of spools printed on both).'
		]
	])('%s', (id, params, words) => expect(sentence({ id, params } as Message)).toBe(words));
});

describe('words for what departs from the trial', () => {
	it.each([
		[{ kind: 'printer', is: 'South', wanted: 'North' }, 'on South; this trial prints on North'],
		[{ kind: 'condition', is: 'dried', wanted: 'asReceived' }, 'dried; this trial counts as received'],
		[{ kind: 'nozzle', isC: 240, lowC: 210, highC: 230 }, 'nozzle at 240 °C, beside the label’s 210 to 230 °C'],
		[{ kind: 'version', is: 1, wanted: 2 }, 'version 1 of the test piece; this trial prints version 2']
	] as const)('%o', (departure, words) => expect(departureWords(departure)).toBe(words));
});
