import type { MARK_ENTRIES, MarkQuantity, ReadingOf } from '$lib/core/record/marks/mark-entries';
import type { LOAD_WORDS, SURFACE_FAULTS } from '$lib/core/record/marks/mark-words';
import type { MarkId } from '$lib/core/record/marks/piece-mark';

/** Words of a mark's own list, by what each means where it is not plain. */
type WordsAbout<Q extends MarkQuantity> = (typeof MARK_ENTRIES)[Q] extends { words: readonly (infer W extends string)[] }
	? { words: Partial<Record<W, string>> }
	: { words?: never };

/** What has to be labelled where it is asked with the print itself. */
type Labelled<Q extends MarkQuantity> = (typeof MARK_ENTRIES)[Q] extends { withPrint: true | 'flexible' }
	? { labels: Readonly<Record<ReadingOf<Q>, string>> }
	: { labels?: never };

type MarkWords<Q extends MarkQuantity> = WordsAbout<Q> &
	Labelled<Q> & {
		/** Head of a column, and what stands under it. */
		name: string;
		under: string;
		decimals: number;
		unit: string;
		/** What is asked at scoring. */
		asked: { title: string; about: string } | null;
		/** Each reading as it stands before its value. */
		readings: Readonly<Record<ReadingOf<Q>, string>>;
	};

const NOT_OVER_A_CORNER = 'Caliper, near the middle of the face, cold. Not over a corner.';

/** All words of every mark of a print: a mark that core knows does not compile until it is told here. */
export const PRINT_MARKS: { readonly [Q in MarkQuantity]: MarkWords<Q> } = {
	overhang: {
		name: 'Overhang',
		under: 'steepest clean °',
		decimals: 0,
		unit: '°',
		asked: { title: 'Overhang', about: 'Look at the undersides. Clean: no curl, no loose line, no droop that a nail catches.' },
		labels: { overhangLastClean: 'Overhang, last clean °', overhangFirstFaulty: 'First bad °' },
		readings: { overhangLastClean: 'overhang clean to', overhangFirstFaulty: 'faulty from' }
	},
	overhangAway: {
		name: 'Overhang away',
		under: 'from the fan, last clean °',
		decimals: 0,
		unit: '°',
		asked: {
			title: 'Overhang away from the fan',
			about: 'The side without the F. Clean: no curl, no loose line, no droop that a nail catches.'
		},
		readings: { overhangAwayLastClean: 'away from the fan clean to', overhangAwayFirstFaulty: 'faulty from' }
	},
	bridge: {
		name: 'Bridge',
		under: 'longest, mm',
		decimals: 0,
		unit: 'mm',
		asked: { title: 'Bridge', about: 'Clean: no strand hangs loose. A slight even sag is clean.' },
		labels: { bridgeLongestClean: 'Bridge, clean mm', bridgeFirstFaulty: 'First sagging mm' },
		readings: { bridgeLongestClean: 'bridge clean to', bridgeFirstFaulty: 'loose from' }
	},
	bridgeSag: {
		name: 'Bridge sag',
		under: 'longest bridge, mm',
		decimals: 1,
		unit: 'mm',
		asked: { title: 'Bridge sag', about: 'Of the longest bridge, at its middle, below where it starts.' },
		readings: { bridgeSag: 'bridge sag' }
	},
	strings: {
		name: 'Strings',
		under: 'none to heavy',
		decimals: 1,
		unit: '',
		asked: { title: 'Strings', about: 'Between the spikes, before anything is wiped off.' },
		labels: { strings: 'Strings between the spikes' },
		readings: { strings: 'strings' },
		words: {}
	},
	stringCount: {
		name: 'Strands counted',
		under: 'by eye',
		decimals: 1,
		unit: '',
		asked: { title: 'Strands', about: 'How many reach from spike to spike; hairs count.' },
		readings: { stringCount: 'strands counted' }
	},
	stringCoverage: {
		name: 'String cover',
		under: 'of the gap, on a photo, %',
		decimals: 1,
		unit: '%',
		asked: null,
		readings: { stringCoverage: 'string cover on a photograph, %' }
	},
	photoStrings: {
		name: 'Strands on a photo',
		under: 'across the gap',
		decimals: 1,
		unit: '',
		asked: null,
		readings: { photoStrings: 'strands on a photograph' }
	},
	temperatureWindow: {
		name: 'Clean window',
		under: 'width of clean floors, K',
		decimals: 0,
		unit: 'K',
		asked: { title: 'Clean floors', about: 'From the coolest to the hottest floor whose window, nose and strings are clean.' },
		readings: { cleanFrom: 'floors clean from', cleanTo: 'to' }
	},
	cornerLift: {
		name: 'Corner lift',
		under: 'worst corner, mm',
		decimals: 1,
		unit: 'mm',
		asked: { title: 'Corner lift', about: 'The worst corner, piece on a flat plate: feeler or caliper.' },
		readings: { cornerLift: 'corner lift' }
	},
	bedHold: {
		name: 'Bed',
		under: 'tears to releases',
		decimals: 1,
		unit: '',
		asked: { title: 'Bed', about: 'How it sat while it printed, and how it came off.' },
		readings: { bedHold: 'bed' },
		words: {
			tears: 'tore the sheet or itself',
			lifts: 'corners came up',
			holds: 'held, had to be prised',
			releases: 'held, let go when cold'
		}
	},
	supportRemoval: {
		name: 'Supports',
		under: 'clean to fused',
		decimals: 1,
		unit: '',
		asked: { title: 'Supports', about: 'By hand or pliers. Fragments fly: guard the eyes.' },
		readings: { supportRemoval: 'supports' },
		words: { clean: 'off by hand, no trace', marks: 'off, left marks', hard: 'tools needed', fused: 'not without damage' }
	},
	surface: {
		name: 'Surface',
		under: 'worst fault',
		decimals: 1,
		unit: '',
		asked: { title: 'Surface', about: 'One lamp from the side, an arm away.' },
		readings: {
			surfaceBands: 'bands',
			surfaceBlobs: 'blobs',
			surfaceZits: 'zits',
			surfacePinholes: 'pinholes',
			surfaceSeam: 'seam bulge',
			surfaceContraction: 'contraction line',
			surfaceDots: 'dots',
			surfaceGaps: 'gaps'
		},
		words: {}
	},
	smallText: {
		name: 'Small text',
		under: 'smallest read, mm',
		decimals: 1,
		unit: 'mm',
		asked: { title: 'Small text', about: 'Height of the smallest line that can be read without guessing.' },
		readings: { smallestText: 'smallest text' }
	},
	shrinkageX: {
		name: 'Shrinkage X',
		under: 'against its size, %',
		decimals: 2,
		unit: '%',
		asked: { title: 'Size along X', about: NOT_OVER_A_CORNER },
		readings: { sizeX: 'size X' }
	},
	shrinkageY: {
		name: 'Shrinkage Y',
		under: 'against its size, %',
		decimals: 2,
		unit: '%',
		asked: { title: 'Size along Y', about: NOT_OVER_A_CORNER },
		readings: { sizeY: 'size Y' }
	},
	shrinkageZ: {
		name: 'Shrinkage Z',
		under: 'against its size, %',
		decimals: 2,
		unit: '%',
		asked: { title: 'Size along Z', about: 'Caliper, from the bed side to the top.' },
		readings: { sizeZ: 'size Z' }
	},
	bridgeSagWord: {
		name: 'Sag in words',
		under: 'flat to fell',
		decimals: 1,
		unit: '',
		asked: { title: 'Sag of the bridge', about: 'The longest bridge at its middle, by eye.' },
		readings: { bridgeSagWord: 'bridge hangs' },
		words: { flat: 'straight', slight: 'an even, slight sag', droops: 'lines hang', fell: 'fell down' }
	},
	ease: {
		name: 'Ease',
		under: 'in three words',
		decimals: 1,
		unit: '',
		asked: { title: 'Ease', about: 'How much it took to get this print out of the printer.' },
		labels: { ease: 'How easily did it print?' },
		readings: { ease: 'printed' },
		words: { fought: 'hand on it all the time', fussy: 'wanted looking after', easy: 'by itself' }
	},
	softness: {
		name: 'Softness',
		under: 'rigid to floppy',
		decimals: 1,
		unit: '',
		asked: { title: 'Softness', about: 'Between thumb and finger, on the same wall of the same piece.' },
		labels: { softness: 'How soft is the print' },
		readings: { softness: 'softness' },
		words: { bends: 'bends a little', springy: 'bends and springs back' }
	},
	printOdour: {
		name: 'Odour',
		under: 'none to strong',
		decimals: 1,
		unit: '',
		asked: { title: 'Odour', about: 'What was smelt in passing while it printed. Do not sniff at the nozzle; ventilate.' },
		readings: { printOdour: 'odour' },
		words: { none: '', faint: 'at the printer', plain: 'in the room', strong: 'left the room' }
	}
};

/** What can be looked at on a piece, in its own words. */
export const CARRIED_WORDS: Readonly<Record<MarkId, string>> = {
	overhang: 'overhang',
	overhangAway: 'overhang away from the fan',
	bridge: 'bridge',
	strings: 'strings',
	cornerLift: 'corner lift',
	adhesion: 'bed hold and release',
	supports: 'support removal',
	surface: 'surface',
	smallText: 'small text',
	dimensions: 'dimensions',
	odour: 'odour',
	temperature: 'temperature',
	strength: 'strength'
};

/** How each fault of a surface is told. */
const FAULT_ABOUT: Readonly<Record<(typeof SURFACE_FAULTS)[number], string>> = {
	surfaceBands: 'layers that stand out in a rhythm',
	surfaceBlobs: 'lumps at starts and ends',
	surfaceZits: 'small raised points anywhere',
	surfacePinholes: 'small pits, as of steam',
	surfaceSeam: 'the seam stands out',
	surfaceContraction: 'a line where a floor begins',
	surfaceDots: 'matt or shiny specks',
	surfaceGaps: 'lines that do not meet'
};

/** How a fault of a surface is told. @example faultAbout('surfaceGaps') // 'lines that do not meet' */
export const faultAbout = (fault: string): string => (FAULT_ABOUT as Readonly<Record<string, string>>)[fault] ?? '';

/** How a strand went into the feeder, as it is chosen. */
export const LOAD_ABOUT: Readonly<Record<(typeof LOAD_WORDS)[number], string>> = {
	glides: 'by itself',
	pushed: 'with a push',
	forced: 'only with force',
	refused: 'not at all'
};

/** Readings of prints that belong to no mark of a piece. */
const OTHER_READINGS: Readonly<Record<string, string>> = {
	photoQuality: 'photograph',
	printersFault: 'fault of the printer',
	loadEffort: 'loading',
	own: 'own measure',
	calibratedNozzleC: 'best heat',
	calibratedFlow: 'flow ratio',
	pressureAdvance: 'pressure advance',
	calibratedRetraction: 'retraction',
	highestFlow: 'highest flow'
};

const READINGS: Readonly<Record<string, string>> = Object.assign(
	{},
	OTHER_READINGS,
	...Object.values(PRINT_MARKS).map((mark) => mark.readings)
) as Record<string, string>;

/** The name of a mark as it stands before its value. @example markName('cleanFrom') // 'floors clean from' */
export const markName = (reading: string): string => READINGS[reading] ?? reading;

/** What is asked of a print, by its question; null for what is not asked. */
export const questionWords = (id: string): { title: string; about: string } | null =>
	(PRINT_MARKS as unknown as Readonly<Record<string, Pick<MarkWords<MarkQuantity>, 'asked'>>>)[id]?.asked ?? null;

/** What a word of a mark means, where it is not plain. @example wordAbout('bedHold', 'lifts') // 'corners came up' */
export const wordAbout = (id: string, word: string): string =>
	(PRINT_MARKS as Readonly<Record<string, { words?: Readonly<Record<string, string>> }>>)[id]?.words?.[word] ?? '';
