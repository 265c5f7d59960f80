import type { ReadingQuantity } from '../../../record/readings/reading-quantity';
import { markEntries, readingsOfEntry, type MarkEntry, type MarkReading } from '../../../record/marks/mark-entries';
import { LOAD_WORDS, PHOTO_WORDS, SURFACE_FAULTS } from '../../../record/marks/mark-words';

const PRINT = { station: 'prints', of: 'attempt' } as const;

const inWords = (words: readonly string[]) => ({ ...PRINT, dimension: 'plain', low: 0, high: words.length - 1, words }) as const;

function readingOf(entry: MarkEntry): ReadingQuantity {
	if (entry.kind === 'words') return inWords(entry.words);
	const [low, high] = entry.believable;
	return { ...PRINT, dimension: entry.dimension, low, high };
}

/** What is read off prints: for the marks of pieces, how a strand went into the feeder, and what a photograph is good for. */
export const PRINT_READINGS = {
	...(Object.fromEntries(markEntries().flatMap((entry) => readingsOfEntry(entry).map((reading) => [reading, readingOf(entry)]))) as Record<
		MarkReading,
		ReadingQuantity
	>),
	photoQuality: inWords(PHOTO_WORDS),
	/** A fault of the surface that is the printer's, not the filament's: one reading a fault. */
	printersFault: inWords(SURFACE_FAULTS),
	loadEffort: inWords(LOAD_WORDS)
} satisfies Record<string, ReadingQuantity>;
