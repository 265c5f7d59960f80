import { describe, expect, it } from 'vitest';
import type { z } from 'zod';
import { changed, text, wrong } from './bodies';

export type Door = {
	schema: z.ZodType;
	body: object;
	/** What must be there. */
	needs: string[];
	/** Numbers with the least and the most they may be. */
	between?: [path: string, low: number, high: number, step?: number][];
	/** Texts with how long they may be. */
	upTo?: [path: string, most: number][];
	/** Closed lists with a word of each. */
	oneOf?: [path: string, word: unknown][];
	passes?: Record<string, unknown>[];
	refuses?: [change: Record<string, unknown>, said: string][];
	/** Read from an address, not from a body. */
	isQuery?: true;
	/** What is taken where nothing is said. */
	usual?: object;
};

/** Every body at its borders: the last value that passes, the first that does not, and what is said of it. */
export function holdAtTheirBorders(doors: Record<string, Door>): void {
	describe.each(Object.entries(doors))(
		'%s',
		(_, { schema, body, needs, isQuery, between = [], upTo = [], oneOf = [], passes = [], refuses = [], usual }) => {
			const said = (by: Record<string, unknown>) => wrong(schema, changed(body, by));
			it('passes as it is, and knows no other field', () => {
				expect(said({})).toEqual([]);
				if (usual) expect(schema.parse(body)).toMatchObject(usual);
				// What the address of a query has besides is not ours to refuse.
				expect(said({ other: 1 })).toEqual(isQuery ? [] : ['body unknownFields other']);
			});
			it('wants what it needs', () => {
				for (const path of needs) expect(said({ [path]: undefined })[0], path).toMatch(new RegExp(`^${path} (missing|oneOf .*)$`));
			});
			it('passes up to its borders and not beyond', () => {
				for (const [path, low, high] of between) {
					expect([said({ [path]: low }), said({ [path]: high })], path).toEqual([[], []]);
					expect(
						said({ [path]: low - 1 }).some((line) => line.startsWith(path)),
						`${path} below ${low}`
					).toBe(true);
					expect(
						said({ [path]: high + 1 }).some((line) => line.startsWith(path)),
						`${path} above ${high}`
					).toBe(true);
				}
				for (const [path, most] of upTo) {
					expect(said({ [path]: text(most) }), path).toEqual([]);
					expect(said({ [path]: text(most + 1) }), path).toEqual([`${path} tooLong ${most}`]);
				}
				for (const [path, word] of oneOf) {
					expect(said({ [path]: word }), path).toEqual([]);
					expect(said({ [path]: 'nonsense' })[0]?.startsWith(`${path} oneOf `), path).toBe(true);
				}
			});
			it('passes what may be, and says what is wrong with the rest', () => {
				for (const by of passes) expect(said(by), JSON.stringify(by)).toEqual([]);
				for (const [by, line] of refuses) {
					const lines = said(by);
					expect(
						lines.some((one) => one === line || one.startsWith(`${line} `)),
						`${JSON.stringify(by)}: ${lines.join('; ')}, not ${line}`
					).toBe(true);
				}
			});
		}
	);
}
