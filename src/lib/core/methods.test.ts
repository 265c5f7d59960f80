import { existsSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { describe, expect, it } from 'vitest';
import { evaluate, expected, faults } from '../../../tests/support/run-examples';

/** docs/methods: every section says all of its parts, its numbers come out, and its links lead somewhere. */
const pages = import.meta.glob<string>('/docs/methods/*.md', { eager: true, query: '?raw', import: 'default' });
const PARTS = ['Formula', 'Symbols', 'Assumes', 'Worked', 'Source', 'Code', 'Test'];

const anchorOf = (title: string): string =>
	title
		.toLowerCase()
		.replace(/[^a-z0-9 -]/g, '')
		.replaceAll(' ', '-');
const titlesOf = (text: string): string[] => [...text.matchAll(/^## (.+)$/gm)].map(([, title = '']) => title);

const sections = Object.entries(pages).flatMap(([page, text]) =>
	text
		.split(/^## /m)
		.slice(1)
		.map((body) => ({ page, title: body.split('\n', 1)[0] ?? '', body }))
);
const worked = sections.flatMap(({ title, body }) =>
	[...body.matchAll(/^- Worked: `(.+?)` → `(.+?)`/gm)].map(([, call = '', says = '']) => ({ title, call, says }))
);

describe('the methods as they are written down', () => {
	it('there are some, on each page', () => {
		expect(sections.length).toBeGreaterThanOrEqual(50);
		expect(new Set(sections.map((s) => s.page)).size).toBe(Object.keys(pages).length);
	});
	it.each(sections.map((s) => [s.title, s.body] as const))('%s: has all its parts', (_, body) =>
		expect(PARTS.filter((part) => !body.includes(`\n- ${part}: `))).toEqual([])
	);
	it.each(worked.map((w) => [w.title, w.call, w.says] as const))('%s: %s', (_, call, says) => {
		const said = expected(says);
		expect(said).not.toBeNull();
		expect(said && faults(evaluate(call), said)).toEqual([]);
	});
	it('links lead to files and sections that are there', () => {
		const links = Object.entries(pages).flatMap(([page, text]) =>
			[...text.matchAll(/\]\(([^)]+)\)/g)].map(([, to = '']) => ({ page, to }))
		);
		const dead = links.filter(({ page, to }) => {
			const [file = '', anchor] = to.split('#');
			const path = file ? resolve(dirname(page), file) : page;
			if (!existsSync(`.${path}`)) return true;
			return anchor !== undefined && !titlesOf(pages[path] ?? '').some((title) => anchorOf(title) === anchor);
		});
		expect(links.length).toBeGreaterThan(100);
		expect(dead).toEqual([]);
	});
});
