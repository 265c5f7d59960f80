import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Form } from './form.svelte';

vi.mock('$app/navigation', () => ({ invalidateAll: () => Promise.resolve() }));

type Call = { path: string; body: Record<string, unknown> };
let calls: Call[];
let answers: (() => Promise<Response>)[];

const saved = () => Promise.resolve(Response.json({ fine: true }, { status: 201 }));
const lost = () => Promise.reject(new TypeError('network'));
const away = () => Promise.resolve(Response.json({ title: 'The database is away.' }, { status: 503 }));
const refused = () =>
	Promise.resolve(
		Response.json({ title: 'no', errors: [{ path: 'name', code: 'missing', params: {}, message: 'is missing' }] }, { status: 422 })
	);
const cut = () => Promise.resolve(new Response('{"fi', { status: 201 }));

beforeEach(() => {
	calls = [];
	answers = [];
	vi.stubGlobal('fetch', (path: string, given: { body: string }) => {
		calls.push({ path, body: JSON.parse(given.body) as Record<string, unknown> });
		return (answers.shift() ?? saved)();
	});
});
afterEach(() => vi.unstubAllGlobals());

describe('a form', () => {
	it('gives an entry one id and one moment through every lost answer', async () => {
		const form = new Form();
		answers = [lost, away, cut];
		for (let n = 0; n < 3; n++) expect((await form.send('dryers', { name: 'Box' })).ok).toBe(false);
		expect((await form.send('dryers', { name: 'Box' })).ok).toBe(true);
		expect(calls).toHaveLength(4);
		expect(new Set(calls.map((c) => JSON.stringify(c.body))).size).toBe(1);
		expect(calls[0]?.body).toMatchObject({ name: 'Box' });
	});

	it('does not know what became of an answer that was lost or cut, and says so', async () => {
		const form = new Form();
		for (const answer of [lost, cut]) {
			answers = [answer];
			await form.send('dryers', { name: 'Box' });
			expect(form.problem).toBe('It is not known whether this was saved. Press again; nothing doubles.');
		}
	});

	it('starts anew after an answer', async () => {
		const form = new Form();
		answers = [refused];
		await form.send('dryers', { name: '' });
		expect(form.errors).toEqual([{ path: 'name', code: 'missing', params: {}, message: 'is missing' }]);
		await form.send('dryers', { name: 'Box' });
		await form.send('dryers', { name: 'Box' });
		expect(new Set(calls.map((c) => c.body.id)).size).toBe(3);
		expect(form.errors).toEqual([]);
	});

	it('takes a second press while the first is under way for the same press', async () => {
		const form = new Form();
		const both = await Promise.all([form.send('dryers', { name: 'Box' }), form.send('dryers', { name: 'Box' })]);
		expect(both.map((s) => s.ok)).toEqual([true, true]);
		expect(calls).toHaveLength(1);
	});

	it('asks what became of an entry before it sends a changed one, and holds that back if the first was saved', async () => {
		const form = new Form();
		answers = [lost];
		await form.send('dryers', { name: 'Box' });
		const second = await form.send('dryers', { name: 'Tall box' });
		expect(second.ok).toBe(false);
		expect(form.problem).toContain('The first try was saved after all');
		expect(calls.map((c) => c.body.name)).toEqual(['Box', 'Box']);
		expect(calls[1]?.body).toEqual(calls[0]?.body);
		expect((await form.send('dryers', { name: 'Tall box' })).ok).toBe(true);
	});

	it('sends the changed one when the first turns out to have been refused', async () => {
		const form = new Form();
		answers = [lost, refused];
		await form.send('dryers', { name: '' });
		expect((await form.send('dryers', { name: 'Box' })).ok).toBe(true);
		expect(calls.map((c) => c.body.name)).toEqual(['', '', 'Box']);
	});

	it('lets a newer version follow where versions supersede each other', async () => {
		const form = new Form({ supersedes: true });
		answers = [lost];
		await form.send('criteria', { items: [1] });
		expect((await form.send('criteria', { items: [2] })).ok).toBe(true);
		expect(calls.map((c) => c.body.items)).toEqual([[1], [1], [2]]);
	});

	it('keeps the ids of what lies in an entry too', async () => {
		const form = new Form();
		answers = [lost];
		const rows = (made: { inner: string[]; at: string }) => ({ rows: made.inner.map((id) => ({ id, at: made.at })) });
		await form.send('intake/list', rows, 2);
		await form.send('intake/list', rows, 2);
		expect(calls[1]).toEqual(calls[0]);
		const ids = (calls[0]?.body.rows as { id: string }[]).map((r) => r.id);
		expect(new Set(ids).size).toBe(2);
		expect(ids[0]).toMatch(/^[0-9a-f-]{36}$/);
	});

	it('tells an error that has no field of its own', async () => {
		const form = new Form({ fields: ['nozzle'] });
		answers = [refused];
		await form.send('printers', { name: '' });
		expect(form.problem).toBe('name: is missing');
	});

	it('sends the last entry again where there is nothing to press twice', async () => {
		const form = new Form({ supersedes: true });
		answers = [lost];
		await form.send('criteria', { items: [1] });
		expect(form.unknown).toBe(true);
		expect(await form.again()).toBe(true);
		expect(form.unknown).toBe(false);
		expect(calls[1]).toEqual(calls[0]);
		expect(await form.again()).toBe(false);
		expect(calls).toHaveLength(2);
	});

	it('hears the next press after one that went wrong in a way of its own', async () => {
		const form = new Form();
		const broken = () => {
			throw new Error('a body that cannot be made');
		};
		await expect(form.send('dryers', (made) => (made.id === '' ? { name: 'Box' } : broken()))).rejects.toThrow();
		expect(form.busy).toBe(false);
		expect((await form.send('dryers', { name: 'Box' })).ok).toBe(true);
	});
});
