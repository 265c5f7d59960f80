import { describe, expect, it } from 'vitest';
import { evaluate, expected, faults } from '../../../tests/support/run-examples';

/**
 * Runs the examples of core's doc comments: `@example call // what comes out`. An example about evidence that stands for itself only in
 * prose (a name that is not exported) is left out.
 */
const sources = import.meta.glob<string>(['./**/*.ts', '!./**/*.test.ts'], { eager: true, query: '?raw', import: 'default' });

type Example = { file: string; call: string; says: string };

const examples: Example[] = Object.entries(sources).flatMap(([file, text]) =>
	[...text.matchAll(/@example\s+([\s\S]*?)(?=\n\s*\*\/|\*\/|\n\s*\*\s*@)/g)].flatMap(([, body = '']) => {
		const whole = body.replace(/\n\s*\*\s?/g, '\n').trim();
		const at = whole.lastIndexOf('//');
		return at < 0 ? [] : [{ file, call: whole.slice(0, at).trim(), says: whole.slice(at + 2).trim() }];
	})
);

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
	for (const fault of faults(got, says)) wrong.push(`${example.file}: ${example.call}: ${fault}`);
}

describe('examples in the comments of core', () => {
	it('say what comes out', () => expect(wrong).toEqual([]));
	// The others are about evidence that would take a page to write down; they are names, not calls that could be run.
	it('are run wherever they stand for themselves', () => expect(ran.length).toBeGreaterThanOrEqual(92));
});
