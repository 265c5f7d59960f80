import { describe, expect, it } from 'vitest';
import { readRecall } from './recall-query';

const plain = { words: '', most: null, least: null, spotless: [], archived: false };

describe('what is typed to find a spool', () => {
	it.each([
		['PETG, no strings, under 20', { ...plain, words: 'PETG', most: 20, spotless: ['strings'] }],
		['under 19,5 moss asa', { ...plain, words: 'moss asa', most: 19.5 }],
		['no failures no strings TPU over 10.5', { ...plain, words: 'TPU', least: 10.5, spotless: ['printSuccess', 'strings'] }],
		['< 30, > 12', { ...plain, most: 30, least: 12 }],
		['no stringing, no strings', { ...plain, spotless: ['strings'] }],
		['no matter', { ...plain, words: 'no matter' }],
		['underlay 20', { ...plain, words: 'underlay 20' }],
		['under twenty', { ...plain, words: 'under twenty' }],
		['archived PETG', { ...plain, words: 'PETG', archived: true }],
		['unarchived', { ...plain, words: 'unarchived' }],
		['', plain]
	])('%s', (typed, asked) => expect(readRecall(typed)).toEqual(asked));
});
