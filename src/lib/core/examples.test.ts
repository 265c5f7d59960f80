import { describe, expect, it } from 'vitest';

/**
 * Runs the examples of core's doc comments: `@example call // what comes out`. Numbers must agree in the digits shown, objects in the
 * fields shown. An example about evidence that stands for itself only in prose (a name that is not exported) is left out.
 */
const modules = import.meta.glob<Record<string, unknown>>(['./**/*.ts', '!./**/*.test.ts'], { eager: true });
const sources = import.meta.glob<string>(['./**/*.ts', '!./**/*.test.ts'], { eager: true, query: '?raw', import: 'default' });

/** Everything core exports: an example may use its neighbours. */
const names = new Map<string, unknown>();
for (const module of Object.values(modules)) for (const [name, value] of Object.entries(module)) names.set(name, value);

type Example = { file: string; call: string; says: string };

const examples: Example[] = Object.entries(sources).flatMap(([file, text]) =>
	[...text.matchAll(/@example\s+([\s\S]*?)(?=\n\s*\*\/|\*\/|\n\s*\*\s*@)/g)].flatMap(([, body = '']) => {
		const whole = body.replace(/\n\s*\*\s?/g, '\n').trim();
		const at = whole.lastIndexOf('//');
		return at < 0 ? [] : [{ file, call: whole.slice(0, at).trim(), says: whole.slice(at + 2).trim() }];
	})
);

/** In strict mode, with core's exports in sight and nothing else. */
function evaluate(expression: string): unknown {
	const known = [...names].filter(([name]) => new RegExp(`\\b${name}\\b`).test(expression));
	// eslint-disable-next-line @typescript-eslint/no-implied-eval -- the expressions are our own comments
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

/** What comes out as the comment says it: an expression, with its numbers as written. Null when it is prose. */
function expected(says: string): { value: unknown; digits: Map<number, string> } | null {
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

function agree(got: unknown, says: unknown, digits: ReadonlyMap<number, string>, path = ''): string[] {
	if (typeof says === 'number') {
		const written = digits.get(says) ?? String(says);
		const fine = typeof got === 'number' && (Object.is(got, says) || Math.abs(got - says) <= toleranceOf(written));
		return fine ? [] : [`${path || 'it'} is ${String(got)}, not ${written}`];
	}
	if (says !== null && typeof says === 'object') {
		if (got === null || typeof got !== 'object') return [`${path || 'it'} is ${String(got)}, not an object`];
		return Object.entries(says).flatMap(([key, value]) =>
			agree((got as Record<string, unknown>)[key], value, digits, path ? `${path}.${key}` : key)
		);
	}
	return got === says ? [] : [`${path || 'it'} is ${JSON.stringify(got)}, not ${JSON.stringify(says)}`];
}

const ran: Example[] = [];
const wrong: string[] = [];
for (const example of examples) {
	const says = expected(example.says);
	let got: unknown;
	try {
		got = evaluate(example.call);
	} catch {
		continue;
	}
	if (!says) continue;
	ran.push(example);
	for (const fault of agree(got, says.value, says.digits)) wrong.push(`${example.file}: ${example.call}: ${fault}`);
}

describe('examples in the comments of core', () => {
	it('say what comes out', () => expect(wrong).toEqual([]));
	// The others are about evidence that would take a page to write down; they are names, not calls that could be run.
	it('are run wherever they stand for themselves', () => expect(ran.length).toBeGreaterThanOrEqual(92));
});
