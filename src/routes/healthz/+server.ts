import { health, within } from '$lib/server/running/health';
import { mayEnter } from '$lib/server/http/access';
import type { RequestHandler } from './$types';

/** Whoever does not know the passphrase hears only that the server is up; who cannot be asked for it in time, for the database is away, too. */
export const GET: RequestHandler = async (event) => {
	const [entered, answer] = await Promise.all([within(1500, mayEnter(event)), health()]);
	if (entered === false) return Response.json({ state: 'up' });
	if (entered === null)
		return Response.json({ state: answer.state === 'ok' ? 'up' : 'databaseAway' }, { status: answer.state === 'ok' ? 200 : 503 });
	return Response.json(answer, { status: answer.state === 'ok' ? 200 : 503 });
};
