import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { api, makeTrial } from '../e2e/bench';
import { TestServer } from '../e2e/server';

let server: TestServer;
let trialId = '';
let spoolId = '';
beforeAll(async () => {
	server = await TestServer.start();
	const made = await makeTrial(server.url, 'Many at once', [{}]);
	trialId = made.trialId;
	spoolId = made.spoolIds[0] as string;
});
afterAll(() => server.stop());

const read = async (path: string): Promise<string> => await (await fetch(`${server.url}${path}`)).text();
/** How many readings the rail of Diameter says the spool has, out of those wanted. */
const shown = async (): Promise<number> => Number(/>\s*(\d+) of \d+\s*</.exec(railOf(await read(`/trials/${trialId}/diameter`)))?.[1] ?? 0);
const railOf = (html: string): string => /<nav aria-label="On the bench"[\s\S]*?<\/nav>/.exec(html)?.[0] ?? '';

describe('many who read one trial at once', () => {
	it('each see what was kept before they asked, however many share an answer', async () => {
		// Ten complete the quick check, and then the rail says it in other words.
		const writers = 9;
		let kept = 0;
		await Promise.all(
			Array.from({ length: writers }, async (_, i) => {
				const reading = {
					id: v7(),
					spoolId,
					quantity: 'diameter',
					typed: '1.75',
					placeIndex: i,
					direction: 'along',
					takenAt: new Date().toISOString()
				};
				expect((await api(server.url, 'readings', reading)).status).toBe(201);
				kept += 1;
				const atLeast = kept;
				const seen = await Promise.all([shown(), shown(), shown()]);
				for (const n of seen) expect(n).toBeGreaterThanOrEqual(atLeast);
			})
		);
		expect(await shown()).toBe(writers);
	});

	it('two pages, and the page and its data, are not taken for one another', async () => {
		const paths = ['', '/diameter', '/prints', '/__data.json', '/diameter/__data.json'].map((path) => `/trials/${trialId}${path}`);
		const alone: string[] = [];
		for (const path of paths) alone.push(heading(await read(path)));
		expect(new Set(alone).size).toBe(paths.length);
		const many = await Promise.all([...paths, ...paths, ...paths].map(read));
		many.forEach((text, i) => expect(heading(text)).toBe(alone[i % paths.length]));
	});

	it('two languages are not taken for one another: each gets its own numbers and dates', async () => {
		const weighing = { spoolId, quantity: 'grossMass', typed: '1234.5 g', takenAt: new Date().toISOString() };
		expect((await api(server.url, 'readings', { id: v7(), ...weighing })).status).toBe(201);
		const of = async (language: string): Promise<string> => {
			const headers = { 'accept-language': language };
			const html = await (await fetch(`${server.url}/trials/${trialId}`, { headers })).text();
			const spool = await (await fetch(`${server.url}/spools/${spoolId}`, { headers })).text();
			const marked = [html, spool].map((text) => /data-locale="([^"]*)"/.exec(text)?.[1]);
			return `${marked.join(' ')} ${/1234.5 g full spool/.exec(spool)?.[0]}`;
		};
		const all = await Promise.all([of('de-DE,de;q=0.9'), of('en-GB'), of('*'), of('de-DE'), of('en-GB')]);
		const [german, british] = ['de-DE de-DE 1234,5 g full spool', 'en-GB en-GB 1234.5 g full spool'];
		expect(all).toEqual([german, british, british, german, british]);
	});
});

/** What tells an answer of these apart: its title, or how its data begin. */
const heading = (text: string): string =>
	/<title>(.*?)<\/title>/.exec(text)?.[1] ?? `${text.length > 0 ? text.slice(0, 20) : ''} ${text.includes('"opened"')}`;
