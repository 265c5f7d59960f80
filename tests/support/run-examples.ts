import { WORLD } from './example-world';

/**
 * Runs calls of core that stand in comments and docs, and holds what comes out against what they say. Numbers must agree in the digits
 * shown, objects in the fields shown.
 */
const modules = import.meta.glob<Record<string, unknown>>(['/src/lib/core/**/*.ts', '!/src/lib/core/**/*.test.ts'], { eager: true });

/** Everything core exports: an example may use its neighbours, and what its own file says goes first. */
const names = new Map<string, unknown>(Object.entries(WORLD));
for (const module of Object.values(modules)) for (const [name, value] of Object.entries(module)) names.set(name, value);

/** In strict mode, with core's exports in sight and nothing else. @param file of core, from its root */
export function evaluate(expression: string, file?: string): unknown {
	const own = file === undefined ? {} : (modules[`/src/lib/core/${file}`] ?? {});
	const known = [...new Map([...names, ...Object.entries(own)])].filter(([name]) => new RegExp(`\\b${name}\\b`).test(expression));
	// eslint-disable-next-line @typescript-eslint/no-implied-eval -- the expressions are our own comments and docs
	const run = new Function(...known.map(([name]) => name), `'use strict'; return (${expression.replace(/;$/, '')});`) as (
		...given: unknown[]
	) => unknown;
	return run(...known.map(([, value]) => value));
}

/** Half a unit of the last digit shown. */
const toleranceOf = (digits: string): number => {
	const [, decimals = '', exponent = '0'] = /^-?\d*(?:\.(\d+))?(?:e([+-]?\d+))?$/i.exec(digits) ?? [];
	return 0.5000001 * 10 ** (Number(exponent) - decimals.length);
};

type Expected = { value: unknown; digits: ReadonlyMap<number, string> };

/** What comes out as the text says it: an expression, with its numbers as written. Null when it is prose. */
export function expected(says: string): Expected | null {
	const text = says
		.replace(/,?\s*\.\.\.\s*(?=[\]}])/g, '')
		.replace(/^(-?[\d.]+(?:e[+-]?\d+)?)\s+[a-zA-Z%/°].*$/, '$1')
		.replace(/^.*=\s*(-?[\d.]+)$/, '$1');
	const digits = new Map<number, string>();
	for (const [number] of text.matchAll(/-?\d+(?:\.\d+)?(?:e[+-]?\d+)?/gi)) digits.set(Number(number), number);
	try {
		return { value: evaluate(text), digits };
	} catch {
		return null;
	}
}

/** Where what came out is not what was said; empty when it is. */
export function faults(got: unknown, { value: says, digits }: Expected, path = ''): string[] {
	if (typeof says === 'number') {
		const written = digits.get(says) ?? String(says);
		const fine = typeof got === 'number' && (Object.is(got, says) || Math.abs(got - says) <= toleranceOf(written));
		return fine ? [] : [`${path || 'it'} is ${String(got)}, not ${written}`];
	}
	if (says !== null && typeof says === 'object') {
		if (got === null || typeof got !== 'object') return [`${path || 'it'} is ${String(got)}, not an object`];
		return Object.entries(says).flatMap(([key, value]) =>
			faults((got as Record<string, unknown>)[key], { value, digits }, path ? `${path}.${key}` : key)
		);
	}
	return got === says ? [] : [`${path || 'it'} is ${JSON.stringify(got)}, not ${JSON.stringify(says)}`];
}
