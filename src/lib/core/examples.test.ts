import { describe, expect, it } from 'vitest';
import { PROSE_EXAMPLES } from '../../../tests/support/prose-examples';
import { evaluate, expected, faults } from '../../../tests/support/run-examples';

/**
 * Runs the examples of core's doc comments: `@example call // what comes out`. One about evidence that would take a page to write down is
 * prose: it names what it is about, and is listed by the name of what it explains.
 */
const sources = import.meta.glob<string>(['./**/*.ts', '!./**/*.test.ts'], { eager: true, query: '?raw', import: 'default' });

type Example = { name: string; file: string; call: string; says: string };

const COMMENT = /\/\*\*((?:(?!\*\/)[\s\S])*?@example(?:(?!\*\/)[\s\S])*)\*\/\s*(.*)/g;
const NAMED = /^(?:export |async |abstract |private |static |get |function\*? |const |class )*([\w$]+)/;

const examples: Example[] = Object.entries(sources).flatMap(([file, text]) =>
	[...text.matchAll(COMMENT)].flatMap(([, comment = '', next = '']) => {
		const name = `${file.slice(2)} ${NAMED.exec(next)?.[1] ?? ''}`;
		return [...comment.matchAll(/@example\s+([\s\S]*?)(?=\n\s*\*?\s*@|$)/g)].map(([, body = '']) => {
			const whole = body.replace(/\n\s*\*\s?/g, '\n').trim();
			const at = whole.lastIndexOf('//');
			return {
				name,
				file: file.slice(2),
				call: (at < 0 ? whole : whole.slice(0, at)).trim(),
				says: at < 0 ? '' : whole.slice(at + 2).trim()
			};
		});
	})
);

/** Why an example is wrong, 'prose' when it names what it does not make, null when it runs and says what comes out. */
function judge({ file, call, says: text }: Example): string | null {
	if (text === '') return 'says nothing of what comes out';
	let got: unknown;
	try {
		got = evaluate(call, file);
	} catch (error) {
		return error instanceof ReferenceError ? 'prose' : `throws ${String(error)}`;
	}
	const says = expected(text);
	return says ? (faults(got, says)[0] ?? null) : `what comes out is prose: ${text}`;
}

const judged = examples.map((example) => ({ ...example, fault: judge(example) }));
const PROSE = new Set<string>(PROSE_EXAMPLES);

describe('examples in the comments of core', () => {
	it('run, and say what comes out', () =>
		expect(judged.filter((e) => e.fault !== null && e.fault !== 'prose').map((e) => `${e.name}: ${e.call}: ${e.fault}`)).toEqual([]));
	it('are prose only where the list says so', () => {
		const prose = new Set(judged.filter((e) => e.fault === 'prose').map((e) => e.name));
		expect([...prose].filter((name) => !PROSE.has(name))).toEqual([]);
		expect([...PROSE].filter((name) => !prose.has(name))).toEqual([]);
	});
});
