import { describe, expect, it } from 'vitest';
import { HELP } from './help';

const routes = Object.keys(import.meta.glob('/src/routes/**/+page.svelte')).map((path) =>
	path.replace('/src/routes', '').replace('/+page.svelte', '')
);

describe('help', () => {
	it('is there for every page, and for no page that is not', () => {
		expect(routes.length).toBeGreaterThan(25);
		expect(Object.keys(HELP).sort()).toEqual([...routes].sort());
	});
	it('says something in every part', () => {
		for (const [route, help] of Object.entries(HELP))
			for (const part of Object.values(help)) expect(part.length, route).toBeGreaterThan(10);
	});
});
