import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { freshDraft } from './attempt-draft';
import { AttemptEntry } from './attempt-entry.svelte';

const { reloads } = vi.hoisted(() => ({ reloads: { n: 0, then: () => {} } }));
vi.mock('$app/navigation', () => ({
	invalidateAll: () => {
		reloads.n += 1;
		reloads.then();
		return Promise.resolve();
	}
}));

type Answer = { status: number; body: object };
const KEPT: Answer = { status: 201, body: { condition: 'dried', marks: 2 } };
const refused = (path: string): Answer => ({
	status: 422,
	body: { title: 'no', errors: [{ path, code: 'missing', params: {}, message: 'is missing' }] }
});
let bodies: Record<string, unknown>[];
let answers: ((answer: Answer) => void)[];
/** Answers the oldest request under way. */
async function answer(given: Answer): Promise<void> {
	await vi.waitFor(() => expect(answers.length).toBeGreaterThan(0));
	answers.shift()?.(given);
}

beforeEach(() => {
	[bodies, answers] = [[], []];
	Object.assign(reloads, { n: 0, then: () => {} });
	vi.stubGlobal('document', { activeElement: null, querySelector: () => null });
	vi.stubGlobal('fetch', (_: string, given: { body: string }) => {
		bodies.push(JSON.parse(given.body) as Record<string, unknown>);
		return new Promise<Response>((done) => answers.push(({ status, body }) => done(Response.json(body, { status }))));
	});
});
afterEach(() => vi.unstubAllGlobals());

function entry() {
	const given = { spool: { id: 'ke', code: 'KE1' }, trialId: 't', settingsPolicy: 'label' as const, wantedPiece: 'tower' };
	const made = new AttemptEntry(() => given);
	const fresh = () =>
		freshDraft({ last: null, lastOther: null, labelNozzleC: null, condition: 'asReceived', printerId: '', pieceId: 'tower' });
	made.open('ke', fresh);
	return { made, given, fresh };
}

describe('a print that is typed', () => {
	it('leaves the form at the press, and is told when it is kept', async () => {
		const { made } = entry();
		if (made.draft) Object.assign(made.draft, { note: 'first', marks: { strings: 'wisp' } });
		const pressed = made.submit();
		expect(made.draft).toMatchObject({ note: '', marks: {} });
		await answer(KEPT);
		await pressed;
		expect(bodies).toMatchObject([{ spoolId: 'ke', trialId: 't', settingsPolicy: 'label', pieceId: 'tower', note: 'first' }]);
		expect(made.said).toBe('Saved: KE1, finished, 2 marks.');
		expect(reloads.n).toBe(1);
	});
	it('asks for the piece that is wanted then, but never under a hand that types', async () => {
		const { made, given } = entry();
		reloads.then = () => (given.wantedPiece = 'tile');
		let pressed = made.submit();
		await answer(KEPT);
		await pressed;
		expect(made.draft?.pieceId).toBe('tile');
		reloads.then = () => (given.wantedPiece = 'tower');
		pressed = made.submit();
		if (made.draft) made.draft.note = 'typing';
		await answer(KEPT);
		await pressed;
		expect(made.draft).toMatchObject({ pieceId: 'tile', note: 'typing' });
	});
	it('that failed can have failed the same way again, and again; what is typed meanwhile stays', async () => {
		const { made } = entry();
		if (made.draft)
			Object.assign(made.draft, { outcome: 'failed', percentReached: '12', failure: 'lifted', cause: 'setUp', note: 'first try' });
		expect(made.mayRepeat).toBe(false);
		let pressed = made.submit();
		await answer(KEPT);
		await pressed;
		for (let i = 0; i < 2; i++) {
			if (made.draft) made.draft.note = 'typing';
			pressed = made.again();
			if (made.draft) made.draft.note += ' on';
			await answer(KEPT);
			await pressed;
			expect(made.draft).toMatchObject({ outcome: 'finished', note: 'typing on' });
		}
		const failed = { outcome: 'failed', percentReached: 12, failure: 'lifted', cause: 'setUp' };
		expect(bodies).toMatchObject([{ ...failed, note: 'first try' }, failed, failed]);
		expect(bodies.slice(1).map((b) => b.note)).toEqual([undefined, undefined]);
		expect(new Set(bodies.map((b) => b.id)).size).toBe(3);
		pressed = made.again();
		await answer(refused('percentReached'));
		await pressed;
		expect([made.isRejected, made.draft?.note]).toEqual([true, 'typing on']);
		made.putBack();
		expect(made.draft).toMatchObject({ outcome: 'failed', percentReached: '12' });
	});
	it('that finished is not offered again', async () => {
		const { made } = entry();
		const pressed = made.submit();
		await answer(KEPT);
		await pressed;
		expect(made.mayRepeat).toBe(false);
		await made.again();
		expect(bodies).toHaveLength(1);
	});
	it('that is refused comes back with its errors; wrong settings open their fold', async () => {
		const { made } = entry();
		if (made.draft) made.draft.note = 'first';
		const pressed = made.submit();
		await answer(refused('settings.nozzleC'));
		await pressed;
		expect(made.draft?.note).toBe('first');
		expect(made.errors).toHaveLength(1);
		expect(made.settingsOpen).toBe(true);
		expect([made.isRejected, made.problem]).toEqual([false, '']);
	});
	it('that is refused while the next is typed lies aside, and the two can be swapped', async () => {
		const { made, given } = entry();
		if (made.draft) made.draft.note = 'first';
		const pressed = made.submit();
		if (made.draft) made.draft.note = 'second';
		await answer(refused('cause'));
		await pressed;
		expect(made.draft?.note).toBe('second');
		expect([made.isRejected, made.errors.length, made.problem]).toEqual([true, 0, 'is missing']);
		given.spool = { id: 'la', code: 'LA3' };
		expect(made.isRejected).toBe(false);
		given.spool = { id: 'ke', code: 'KE1' };
		made.putBack();
		expect(made.draft?.note).toBe('first');
		made.putBack();
		expect(made.draft?.note).toBe('second');
	});
	it('one draft a spool: what was begun stays', () => {
		const { made, fresh } = entry();
		if (made.draft) made.draft.note = 'begun';
		made.open('ke', fresh);
		expect(made.draft?.note).toBe('begun');
	});
});
