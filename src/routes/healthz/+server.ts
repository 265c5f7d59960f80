import { health } from '$lib/server/health';
import { mayEnter } from '$lib/server/http/access';
import type { RequestHandler } from './$types';

/** Whoever does not know the passphrase hears only that the server is up. */
export const GET: RequestHandler = async (event) => {
	if (!(await mayEnter(event).catch(() => false))) return Response.json({ state: 'up' });
	const answer = await health();
	return Response.json(answer, { status: answer.state === 'ok' ? 200 : 503 });
};
