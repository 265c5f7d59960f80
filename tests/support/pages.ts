import { readdirSync } from 'node:fs';
import { join } from 'node:path';

const ROUTES = join(process.cwd(), 'src/routes');

/** The address of every page there is, as its folder says it: `/trials/[id]/prints`. */
export function pageRoutes(folder = ''): string[] {
	return readdirSync(join(ROUTES, folder), { withFileTypes: true }).flatMap((entry) => {
		if (entry.isDirectory()) return pageRoutes(`${folder}/${entry.name}`);
		return entry.name === '+page.svelte' ? [folder] : [];
	});
}

/** Every page of a server that its ids lead to; those of a trial are asked for one trial. */
export function pagesOf(ids: { trial: string | null; spool: string | null; study: string | null; photo: string | null }): string[] {
	return pageRoutes().flatMap((route) => {
		const id = route.startsWith('/trials/') ? ids.trial : route.startsWith('/spools/') ? ids.spool : ids.study;
		if ((route.includes('[id]') && id === null) || (route.includes('[photo]') && ids.photo === null)) return [];
		return route.replace('[id]', id ?? '').replace('[photo]', ids.photo ?? '');
	});
}
