import { createHash } from 'node:crypto';
import { group } from 'd3-array';
import { photo } from '../../src/lib/server/base/db/schema';
import type { Database } from '../../src/lib/server/base/db/client';
import { listTrials, loadTrial } from '../../src/lib/server/answers/trials/load';

const ORIGIN = 'http://bench.example';

type Load = (event: object) => unknown;
const loads = import.meta.glob<{ load: Load }>('/src/routes/**/+*.server.ts');

const ID = /[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}/g;

/** So many names deep a place is told by itself; what lies deeper is told with it. */
const DEEP = 2;

/** Every value by its place; what is of a list or has an id for its name stands in one place. Ten digits: fewer than the last bits in which machines may differ. */
function* leavesOf(value: unknown, place = ''): Generator<[place: string, said: string]> {
	if (ArrayBuffer.isView(value)) yield* leavesOf([...(value as Float64Array)], place);
	else if (value instanceof Map) yield* leavesOf(Object.fromEntries(value), place);
	else if (Array.isArray(value)) {
		yield [place, `${value.length} of`];
		for (const one of value) yield* leavesOf(one, `${place}[]`);
	} else if (value !== null && typeof value === 'object')
		for (const [key, one] of Object.entries(value)) yield* leavesOf(one, `${place}.${key.replaceAll(ID, 'id')}`);
	else yield [place, typeof value === 'number' ? String(Number(value.toPrecision(10))) : String(value).replaceAll(ID, 'id')];
}

/** A line a place: how many values, and what they are, as far as a line holds them. */
function inShort(value: unknown): string[] {
	const leaves = [...leavesOf(value)].map(([place, said]) => {
		const names = place.split('.');
		return { place: names.slice(0, DEEP + 1).join('.'), said: [...names.slice(DEEP + 1), said].join(' ') };
	});
	return [...group(leaves, ({ place }) => place)].map(([place, of]) => {
		const different = [...new Set(of.map(({ said }) => said))].join(', ').replaceAll('\n', ' ');
		const shown = different.length <= 60 ? different : createHash('sha1').update(JSON.stringify(of)).digest('hex').slice(0, 10);
		return `${place} | ${of.length} | ${shown}`;
	});
}

async function given(route: string, params: Record<string, string>, search = ''): Promise<string[]> {
	const module = await loads[`/src/routes${route}`]?.();
	const url = new URL(ORIGIN + search);
	const event = { params, url, locals: { entered: true }, depends: () => undefined, untrack: (f: () => unknown) => f() };
	const named = `# ${route}${search.replaceAll(ID, 'id')}`;
	try {
		return [named, ...inShort(await module?.load(event))];
	} catch (cause) {
		const { status, location, body } = cause as { status?: number; location?: string; body?: { message: string } };
		if (status === undefined) throw cause;
		return [named, `${status} ${location?.replaceAll(ID, 'id') ?? body?.message}`];
	}
}

/** What every page is given by the server, in short: a line a value or list of values. The server has started on this database. */
export async function pagesInShort(db: Database): Promise<string> {
	const trials = await listTrials(db);
	const photos = await db.select().from(photo);
	const lines: string[] = [];
	for (const route of Object.keys(loads)
		.map((path) => path.slice('/src/routes'.length))
		.toSorted()) {
		const ask = async (params: Record<string, string>, search = '') => void lines.push(...(await given(route, params, search)));
		if (route.startsWith('/trials/[id]')) {
			for (const { id, name } of trials) {
				lines.push(`## ${name}`);
				const { spools } = await loadTrial(db, id);
				const last = spools.at(-1)?.spool.id ?? '';
				const one = photos.find((p) => spools.some((s) => s.spool.id === p.spoolId));
				await ask({ id, photo: one?.id ?? 'none' });
				if (route.includes('/diameter/+') || route.includes('/prints/+')) await ask({ id }, `?spool=${last}`);
			}
			await ask({ id: 'none', photo: 'none' });
		} else if (route.includes('[id]')) {
			const [newest] = trials;
			const whole = await loadTrial(db, newest?.id ?? '');
			const ids = route.startsWith('/spools')
				? whole.spools.map((s) => s.spool.id)
				: whole.spools.flatMap((s) => s.instruments.map((i) => i.id)).slice(0, 1);
			for (const id of ids.slice(0, 2)) await ask({ id });
			await ask({ id: '01890000-0000-7000-8000-000000000000' });
			await ask({ id: 'none' });
		} else await ask({});
		if (route === '/spools/+page.server.ts') for (const search of ['?q=petg', '?page=2', '?page=-3', '?page=x']) await ask({}, search);
		if (route === '/trials/new/+page.server.ts') for (const search of [`?like=${trials[0]?.id}`, '?like=none']) await ask({}, search);
	}
	return `${lines.join('\n')}\n`;
}
