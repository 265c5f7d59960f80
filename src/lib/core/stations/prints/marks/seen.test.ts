import { describe, expect, it } from 'vitest';
import { attempt, basis, evidence, MAIN_PIECE, mark, piece } from '../../../../../../tests/support/evidence';
import type { Attempt } from '../../../record/evidence/attempt';
import type { Piece } from '../../../record/evidence/piece';
import type { Reading } from '../../../record/evidence/reading';
import type { Basis } from '../../../judging/trial/basis';
import { countAs, readingAs, wordAs } from '../../../judging/posterior/observed';
import { findMark } from './find-mark';
import { groupsOf, type Group } from './group';
import { PHOTO_WORDS } from '../../../record/marks/mark-words';
import { MARKS, type MarkDef } from './marks';
import { seenOn, takenOut } from './seen';

const markOf = (id: string) => MARKS.find((m) => m.def.id === id) as MarkDef;
type Said = Partial<Record<string, number | { value: number; more: Partial<Reading> }>>;

/** Prints of one piece, each with what was said of it. */
function group(said: Said[], more: { piece?: Partial<Piece> | null; basis?: Partial<Basis>; attempts?: Partial<Attempt>[] } = {}): Group {
	const attempts = said.map((_, i) => attempt({ id: `print ${i}`, ...more.attempts?.[i] }));
	const readings = said.flatMap((of, i) =>
		Object.entries(of).flatMap(([quantity, s]) =>
			s === undefined
				? []
				: typeof s === 'number'
					? mark(attempts[i] as Attempt, quantity, s)
					: mark(attempts[i] as Attempt, quantity, s.value, s.more)
		)
	);
	const pieces = more.piece === null ? [] : [piece(more.piece)];
	return groupsOf(evidence({ attempts, readings, pieces }), { ...basis, ...more.basis }).find((g) => g.attempts.length > 0) as Group;
}
const struck = (value: number) => ({ value, more: { status: 'excluded' as const } });
const effect = { against: 'North', shift: 2, standardError: 1.5, df: 4, low: -1, high: 5, prints: 6, spoolIds: [] };
const south = { printer: 'South' };

describe('a ladder', () => {
	const overhang = markOf('overhang');
	const seen = (said: Said[], more?: Parameters<typeof group>[1]) => seenOn(group(said, more), overhang);
	it('lies between the last clean step and the first faulty one; the next step where that was not noted; open where it was the last', () => {
		const said = [
			{ overhangLastClean: 55, overhangFirstFaulty: 65 },
			{ overhangLastClean: 60 },
			{ overhangLastClean: 80 },
			{ overhangFirstFaulty: 5 }
		];
		const between = [
			{ low: 55, high: 65 },
			{ low: 60, high: 65 },
			{ low: 80, high: null },
			{ low: null, high: 5 }
		];
		expect(seen(said)).toEqual({
			observed: between,
			figure: { kind: 'steps', lastClean: [55, 60, 80, 0], firstFaulty: [65, 65, null, 5] }
		});
	});
	it('goes a usual step on where the piece states none, or is not known', () => {
		expect(seen([{ overhangLastClean: 60 }], { piece: { marks: [] } }).observed).toEqual([{ low: 60, high: 65 }]);
		expect(seen([{ overhangLastClean: 60 }], { piece: null }).observed).toEqual([{ low: 60, high: 65 }]);
	});
	it('takes the nearest step beyond, in whatever order the piece has them, of the mark it carries', () => {
		const marks = [
			{ mark: 'bridge' as const, steps: [61, 62] },
			{ mark: 'overhang' as const, steps: [80, 70, 60] }
		];
		expect(seen([{ overhangLastClean: 60 }], { piece: { marks } }).observed).toEqual([{ low: 60, high: 70 }]);
	});
	it('what a printer adds is taken off both ends, of that mark, piece and printer only', () => {
		const said = [{ overhangLastClean: 55, overhangFirstFaulty: 65 }, { overhangLastClean: 80 }];
		const on = (printerEffects: Basis['printerEffects']) => seen(said, { basis: { printerEffects }, attempts: [south, south] }).observed;
		const mine = { ...effect, quantity: 'overhang', pieceId: MAIN_PIECE, printer: 'South' };
		const plain = [
			{ low: 55, high: 65 },
			{ low: 80, high: null }
		];
		expect(on([mine])).toEqual([
			{ low: 53, high: 63 },
			{ low: 78, high: null }
		]);
		expect(
			on([
				{ ...mine, quantity: 'bridge' },
				{ ...mine, pieceId: 'other' },
				{ ...mine, printer: 'West' }
			])
		).toEqual(plain);
	});
});

describe('a temperature window', () => {
	const window = markOf('temperatureWindow');
	const steps = [210, 220, 230, 240, 250];
	const seen = (from: number, to: number, of: number[] | null = steps) =>
		seenOn(
			group([{ cleanFrom: from, cleanTo: to }], {
				piece: { marks: of ? [{ mark: window.carriedBy as 'overhang', steps: of }] : [] }
			}),
			window
		).observed;
	it('is at least as wide as its clean floors, and less than to the floors beyond', () => {
		expect(seen(220, 240)).toEqual([{ low: 20, high: 40 }]);
		expect(seen(230, 230)).toEqual([{ low: 0, high: 20 }]);
	});
	it('is open where the ladder ends first, on either side', () => {
		expect([seen(210, 230), seen(230, 250), seen(210, 250)]).toEqual([
			[{ low: 20, high: null }],
			[{ low: 20, high: null }],
			[{ low: 40, high: null }]
		]);
	});
	it('goes two usual steps on where the floors are not known', () => {
		const { usualStep } = window as { usualStep: number } & MarkDef;
		expect(seen(220, 240, null)).toEqual([{ low: 20, high: 20 + 2 * usualStep }]);
	});
});

describe('words, lengths and counts', () => {
	it('a word is its rank, and how often each was said is drawn', () => {
		const { observed, figure } = seenOn(group([{ strings: 0 }, { strings: 2 }, { strings: 2 }]), markOf('strings'));
		expect(observed).toEqual([wordAs(0, 4), wordAs(2, 4), wordAs(2, 4)]);
		expect(figure).toEqual({ kind: 'words', counts: [1, 0, 2, 0] });
	});
	it('a length is known to half a step of its own print, the coarsest of it; to a hundredth of what matters where none is known', () => {
		const sag = markOf('bridgeSag');
		const read = (value: number, resolution: number | null, scorer: string) => ({ value, more: { resolution, scorer } });
		const both = group([{ bridgeSag: read(2, 0.1, 'Ada') }, { bridgeSag: read(3, null, 'Ada') }]);
		expect(seenOn(both, sag).observed).toEqual([readingAs(2, 0.1), readingAs(3, sag.def.differenceThatMatters / 100)]);
		expect(seenOn(both, sag).figure).toEqual({ kind: 'dot', points: [2, 3] });
		const twice = attempt({ id: 'once' });
		const readings = [
			mark(twice, 'bridgeSag', 1, { resolution: 0.5, scorer: 'Ada' }),
			mark(twice, 'bridgeSag', 3, { resolution: 0.1, scorer: 'Bo' })
		];
		const [of] = groupsOf(evidence({ attempts: [twice], readings }), basis).filter((g) => g.attempts.length > 0);
		expect(seenOn(of as Group, sag).observed).toEqual([readingAs(2, 0.5)]);
	});
	it('one that was marked invalid is not there, and nothing is less than nothing', () => {
		expect(seenOn(group([{ bridgeSag: struck(2) }]), markOf('bridgeSag')).observed).toEqual([]);
		const mine = { ...effect, quantity: 'bridgeSag', pieceId: MAIN_PIECE, printer: 'South' };
		const off = group([{ bridgeSag: { value: 1, more: { resolution: 0.1 } } }], { basis: { printerEffects: [mine] }, attempts: [south] });
		expect(seenOn(off, markOf('bridgeSag')).figure).toEqual({ kind: 'dot', points: [0] });
	});
	it('strands are counted', () => {
		expect(seenOn(group([{ stringCount: 7 }]), markOf('stringCount')).observed).toEqual([countAs(7)]);
	});
	it('a size is told by what is lacking against the one meant, and says nothing where that is not known', () => {
		const shrinkage = MARKS.find((m) => m.kind === 'measure' && m.against !== undefined) as MarkDef & { kind: 'measure'; against: string };
		const of = (params: Record<string, number> | null) =>
			seenOn(group([{ [shrinkage.reading]: { value: 49, more: { resolution: 0.1 } } }], { piece: { params } }), shrinkage);
		const { observed, figure } = of({ [shrinkage.against]: 50 });
		expect(figure).toEqual({ kind: 'dot', points: [2] });
		expect(observed).toEqual([readingAs(2, 0.2)]);
		expect(of(null)).toEqual({ observed: [], figure: { kind: 'dot', points: [] } });
		expect(of({ other: 50 }).observed).toEqual([]);
	});
});

describe('what is taken out is an error that all share of whom it was taken out', () => {
	const mine = { ...effect, quantity: 'overhang', pieceId: MAIN_PIECE, printer: 'South' };
	const ladder = { overhangLastClean: 55, overhangFirstFaulty: 65 };
	const out = (more: Partial<Basis>, said: Said[] = [ladder, ladder], attempts: Partial<Attempt>[] = [south, {}]) =>
		takenOut(group(said, { basis: more, attempts }), markOf('overhang'));
	it('nothing where nothing is taken out', () => expect(out({})).toEqual({ shared: [], messages: [] }));
	it('a printer that touches half of the prints shares half of its error, and is said', () => {
		expect(out({ printerEffects: [mine] })).toEqual({
			shared: [{ source: 'printer South', sd: 0.75 }],
			messages: [{ id: 'printerTakenOut', params: { quantity: 'overhang', printer: 'South', against: 'North', shift: 2, prints: 6 } }]
		});
		expect(out({ printerEffects: [mine] }, [ladder], [south]).shared).toEqual([{ source: 'printer South', sd: 1.5 }]);
	});
	it('a scorer likewise, by the marks he gave; struck-out ones count nowhere', () => {
		const lenient = { quantity: 'overhang', scorer: 'Bo', against: 'Ada', shift: 4, standardError: 3, low: 0, high: 8, scorings: 5 };
		const by = (scorer: string, status: 'counts' | 'excluded' = 'counts') => ({
			overhangLastClean: { value: 55, more: { scorer, status } }
		});
		const found = out({ scorerEffects: [lenient] }, [by('Bo'), by('Ada'), by('Ada'), by('Bo', 'excluded')], [{}, {}, {}, {}]);
		expect(found.shared).toEqual([{ source: 'scorer Bo', sd: 1 }]);
		expect(found.messages).toEqual([
			{ id: 'leniencyTakenOut', params: { quantity: 'overhang', scorer: 'Bo', against: 'Ada', shift: 4, scorings: 5 } }
		]);
	});
	it('a stranger among the printers may differ by what matters, one among the scorers by half of it', () => {
		const matters = markOf('overhang').def.differenceThatMatters;
		const stranger = { quantity: 'overhang', kind: 'printer' as const, name: 'South' };
		expect(out({ unbridged: [stranger] }).shared).toEqual([{ source: 'printer South', sd: matters / 2 }]);
		expect(
			out({
				unbridged: [
					{ ...stranger, quantity: 'bridge' },
					{ ...stranger, name: 'West' }
				]
			}).shared
		).toEqual([]);
		const scorer = { quantity: 'overhang', kind: 'scorer' as const, name: 'Bo' };
		const by = { overhangLastClean: { value: 55, more: { scorer: 'Bo' } } };
		expect(out({ unbridged: [scorer] }, [by], [{}]).shared).toEqual([{ source: 'scorer Bo', sd: matters / 2 }]);
		// A printer of that name is another thing.
		expect(out({ unbridged: [{ ...scorer, name: 'South' }] }).shared).toEqual([]);
	});
	it('a print without the mark touches nothing', () => {
		const stranger = { quantity: 'overhang', kind: 'printer' as const, name: 'South' };
		expect(out({ unbridged: [stranger] }, [ladder, { strings: 1 }], [{}, south]).shared).toEqual([]);
	});
	it('of a size the error is in per cent of the size meant; of words a printer takes out nothing', () => {
		const shrinkage = MARKS.find((m) => m.kind === 'measure' && m.against !== undefined) as MarkDef & { kind: 'measure'; against: string };
		const of = { ...mine, quantity: shrinkage.def.id };
		const printed = group([{ [shrinkage.reading]: 49 }], {
			piece: { params: { [shrinkage.against]: 50 } },
			basis: { printerEffects: [of] },
			attempts: [south]
		});
		expect(takenOut(printed, shrinkage).shared).toEqual([{ source: 'printer South', sd: 3 }]);
		const worded = group([{ strings: 1 }], { basis: { printerEffects: [{ ...mine, quantity: 'strings' }] }, attempts: [south] });
		expect(takenOut(worded, markOf('strings'))).toEqual({ shared: [], messages: [] });
	});
});

describe('the finding of a mark', () => {
	it('names the readings it used and those marked invalid, and says one print is one', () => {
		const of = group([{ overhangLastClean: 55, overhangFirstFaulty: 65 }, { overhangLastClean: struck(70) }]);
		const found = findMark(of, markOf('overhang'));
		const ids = (status: string) => of.evidence.readings.filter((r) => r.status === status).map((r) => r.id);
		expect([found.inputs.used, found.inputs.excluded]).toEqual([ids('counts'), ids('excluded')]);
		expect(found.messages.map((m) => m.id)).toEqual(['stepsSeen', 'onePrint']);
	});
	it('two prints say no more that they are one; words say no steps', () => {
		const ladder = { overhangLastClean: 55, overhangFirstFaulty: 65 };
		expect(findMark(group([ladder, ladder]), markOf('overhang')).messages).toEqual([
			{ id: 'stepsSeen', params: { quantity: 'overhang', clean: 55, faulty: 65, prints: 2 } }
		]);
		expect(findMark(group([{ strings: 1 }, { strings: 2 }]), markOf('strings')).messages).toEqual([]);
	});
	it('says how many of its photographs are doubtful, each once, and only of what a photograph tells', () => {
		const coverage = MARKS.find((m) => m.kind === 'measure' && m.asked === 'photo') as MarkDef & { kind: 'measure' };
		const quality = (word: (typeof PHOTO_WORDS)[number], status: 'counts' | 'excluded' = 'counts') => ({
			[coverage.reading]: 3,
			photoQuality: { value: PHOTO_WORDS.indexOf(word), more: { status } }
		});
		const doubts = (...said: Said[]) => findMark(group(said), coverage).messages.filter((m) => m.id === 'photoDoubtful');
		expect(doubts(quality('doubtful'), quality('clear'), quality('doubtful'))).toEqual([
			{ id: 'photoDoubtful', params: { count: 2, n: 3 } }
		]);
		expect(doubts(quality('clear'), quality('doubtful', 'excluded'))).toEqual([]);
		expect(doubts({ [coverage.reading]: 3 }, { [coverage.reading]: 4 })).toEqual([]);
		const sag = findMark(group([{ bridgeSag: 1, photoQuality: PHOTO_WORDS.indexOf('doubtful') }]), markOf('bridgeSag'));
		expect(sag.messages.map((m) => m.id)).toEqual(['onePrint']);
	});
});
