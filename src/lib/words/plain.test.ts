import { fleschKincaid } from 'flesch-kincaid';
import { syllable } from 'syllable';
import { describe, expect, it } from 'vitest';
import { visibleInModule, visibleInSvelte } from '../../../tests/support/visible-text';

const pages = import.meta.glob<string>(['/src/routes/**/*.svelte', '/src/lib/ui/**/*.svelte'], {
	query: '?raw',
	import: 'default',
	eager: true
});
const modules = import.meta.glob<string>('/src/lib/words/*.ts', {
	query: '?raw',
	import: 'default',
	eager: true
});

const texts = [
	...Object.entries(pages).flatMap(([file, source]) => visibleInSvelte(source).map((text) => ({ file, text }))),
	...Object.entries(modules)
		.filter(([file]) => !file.endsWith('.test.ts'))
		.flatMap(([file, source]) => visibleInModule(source).map((text) => ({ file, text })))
];

/** Words of the bench's dialect that nobody speaks, and what to say instead: one thing has one word. */
const BANNED: readonly [pattern: RegExp, instead: string][] = [
	[/\bspecimens?\b/i, 'test part'],
	[/\bamend(s|ed|ment)?\b(?!-)/i, 'edit'],
	[/\b(struck|strike) (it |this )?out\b/i, 'mark invalid'],
	[/\b(take|takes|taken|took) (it |one |them )?in\b/i, 'add, import'],
	[/\b(take|taken|takes) back\b/i, 'undo'],
	[/\bset-point\b/i, 'temperature'],
	[/\b(gross|net|tare) mass\b/i, 'full spool, filament weight, empty spool'],
	[/\bempty reel\b/i, 'empty spool'],
	[/\bundecided\b/i, 'unclear'],
	[/\blike with like\b/i, 'a fair comparison'],
	[/\bcharged to\b/i, 'cause'],
	[/\b(keeps|breaks) the (label|maker|listing)/i, 'meets, misses'],
	[/\bbeyond reasonable doubt\b/i, 'nothing'],
	[/\bgates?\b/i, 'limit'],
	[/\bexposed\b/i, 'in the air'],
	[/\bcredible\b|\bconfidence interval\b/i, '95 % range'],
	[/\bheld against\b/i, 'compared'],
	[/\bsitting\b/i, 'this time'],
	[/\bin and out\b/i, 'import, export'],
	[/\bnot believable\b|\bno believable\b|\bbelievable\b/i, 'looks wrong'],
	[/\bstands? (twice|already)\b/i, 'appears twice, is already'],
	[/\blies (in|over|before|beyond|below|above|outside)\b/i, 'is'],
	[/\bKeep (it|the|them)\b/, 'Save'],
	[/\bwhat was odd\b|\bnothing odd\b/i, 'anything wrong'],
	[/\bby keys\b/i, 'score prints'],
	[/\bleft to print\b/i, 'print queue']
];

describe('what stands on screen', () => {
	it('is found: pages and words', () => {
		expect(Object.keys(pages).length).toBeGreaterThan(60);
		expect(texts.map((t) => t.text)).toEqual(expect.arrayContaining(['Save print', 'No reading yet.', 'Result']));
		expect(texts.length).toBeGreaterThan(1000);
	});

	it('has no word of a dialect', () => {
		const found = texts.flatMap(({ file, text }) =>
			BANNED.filter(([pattern]) => pattern.test(text)).map(([, instead]) => `${file}: “${text}” (say: ${instead})`)
		);
		expect(found).toEqual([]);
	});

	it('is read with ease by whoever left school at fourteen', () => {
		const sentences = texts.map((t) => t.text).filter((text) => /[.?]$/.test(text) && text.split(' ').length >= 4);
		const words = sentences.flatMap((text) => text.match(/[a-z’'-]+/gi) ?? []).filter((word) => !TERMS.test(word));
		const grade = fleschKincaid({
			sentence: sentences.reduce((sum, text) => sum + (text.match(/[.?!](\s|$)/g)?.length ?? 1), 0),
			word: words.length,
			syllable: words.reduce((sum, word) => sum + syllable(word), 0)
		});
		expect(words.length).toBeGreaterThan(3000);
		expect(grade).toBeLessThanOrEqual(8);
	});
});

/** Terms of the trade: whoever tests filament knows them, however many syllables they have. */
const TERMS =
	/^(filament|diameter|moisture|humidity|temperature|calibrat\w+|retraction|ventilat\w+|caliper|micrometer|photograph\w*|material|nozzle|overhang\w*|tolerance|nominal|particles|polypropylene|instrument\w*|comparison|measure\w*)s?$/i;
