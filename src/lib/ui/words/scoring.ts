import type { LOAD_WORDS } from '$lib/core/readings/quantities';

/** What each question asks to be looked at. */
export const QUESTION_WORDS: Record<string, { title: string; about: string }> = {
	overhang: { title: 'Overhang', about: 'Look at the undersides. Clean: no curl, no loose line, no droop that a nail catches.' },
	overhangAway: {
		title: 'Overhang away from the fan',
		about: 'The side without the F. Clean: no curl, no loose line, no droop that a nail catches.'
	},
	stringCount: { title: 'Strands', about: 'How many reach from spike to spike; hairs count.' },
	temperatureWindow: { title: 'Clean floors', about: 'From the coolest to the hottest floor whose window, nose and strings are clean.' },
	bridge: { title: 'Bridge', about: 'Clean: no strand hangs loose. A slight even sag is clean.' },
	bridgeSag: { title: 'Bridge sag', about: 'Of the longest bridge, at its middle, below where it starts.' },
	strings: { title: 'Strings', about: 'Between the spikes, before anything is wiped off.' },
	cornerLift: { title: 'Corner lift', about: 'The worst corner, piece on a flat plate: feeler or caliper.' },
	bedHold: { title: 'Bed', about: 'How it sat while it printed, and how it came off.' },
	supportRemoval: { title: 'Supports', about: 'By hand or pliers. Fragments fly: guard the eyes.' },
	surface: { title: 'Surface', about: 'One lamp from the side, an arm away.' },
	smallText: { title: 'Small text', about: 'Height of the smallest line that can be read without guessing.' },
	shrinkageX: { title: 'Size along X', about: 'Caliper, near the middle of the face, cold. Not over a corner.' },
	shrinkageY: { title: 'Size along Y', about: 'Caliper, near the middle of the face, cold. Not over a corner.' },
	shrinkageZ: { title: 'Size along Z', about: 'Caliper, from the bed side to the top.' },
	printOdour: { title: 'Odour', about: 'What was smelt in passing while it printed. Do not sniff at the nozzle; ventilate.' }
};

/** How a strand went into the feeder, as it is chosen. */
export const LOAD_ABOUT: Record<(typeof LOAD_WORDS)[number], string> = {
	glides: 'by itself',
	pushed: 'with a push',
	forced: 'only with force',
	refused: 'not at all'
};

/** Faults of a surface by name, and how each is told. */
export const FAULT_WORDS: Record<string, { name: string; about: string }> = {
	surfaceBands: { name: 'bands', about: 'layers that stand out in a rhythm' },
	surfaceBlobs: { name: 'blobs', about: 'lumps at starts and ends' },
	surfaceZits: { name: 'zits', about: 'small raised points anywhere' },
	surfacePinholes: { name: 'pinholes', about: 'small pits, as of steam' },
	surfaceSeam: { name: 'seam bulge', about: 'the seam stands out' },
	surfaceContraction: { name: 'contraction line', about: 'a line where a floor begins' },
	surfaceDots: { name: 'dots', about: 'matt or shiny specks' },
	surfaceGaps: { name: 'gaps', about: 'lines that do not meet' }
};

const ABOUT: Record<string, Record<string, string>> = {
	bedHold: {
		tears: 'tore the sheet or itself',
		lifts: 'corners came up',
		holds: 'held, had to be prised',
		releases: 'held, let go when cold'
	},
	supportRemoval: {
		clean: 'off by hand, no trace',
		marks: 'off, left marks',
		hard: 'tools needed',
		fused: 'not without damage'
	},
	printOdour: { none: '', faint: 'at the printer', plain: 'in the room', strong: 'left the room' }
};

/** What a word means, where it is not plain. */
export function wordAbout(reading: string, word: string): string {
	return ABOUT[reading]?.[word] ?? '';
}
