import type { z } from 'zod';
import { read } from '../../src/lib/schemas/read';

/** Ids that a test may name. */
export const ID = '01890000-0000-7000-8000-000000000001';
export const OTHER = '01890000-0000-7000-8000-000000000002';
export const AT = '2026-10-04T10:00:00Z';

/** A body with some of its fields other; `undefined` takes one away. A path leads into what is nested: `settings.nozzleC`. */
export function changed(body: object, by: Record<string, unknown>): object {
	const copy = structuredClone(body) as Record<string, unknown>;
	for (const [path, value] of Object.entries(by)) {
		const names = path.split('.');
		const last = names.pop() ?? '';
		let at = copy;
		for (const name of names) at = (at[name] ??= {}) as Record<string, unknown>;
		if (value === undefined) delete at[last];
		else at[last] = value;
	}
	return copy;
}

/** What is wrong with a body: `path code`, with what the code needs to say. Empty when it passes. */
export function wrong(schema: z.ZodType, body: object): string[] {
	const result = read(schema, body);
	if (result.ok) return [];
	return result.errors.map(({ path, code, params }) => [path, code, ...Object.values(params)].join(' '));
}

/** A text of so many letters. */
export const text = (n: number): string => 'x'.repeat(n);
