import { building } from '$app/environment';
import { startServer, serverContext, stopServer } from '$lib/server/context';
import { guard } from '$lib/server/http/guard';
import { Problem } from '$lib/server/problem';
import { isAway } from '$lib/server/db/errors';
import type { Handle, HandleServerError, ServerInit } from '@sveltejs/kit';

export const init: ServerInit = async () => {
	if (building) return;
	try {
		await startServer(process.env, Date.now());
	} catch (cause) {
		console.error(`draught: ${cause instanceof Error ? cause.message : String(cause)}`);
		process.exit(1);
	}
	process.once('sveltekit:shutdown', () => void stopServer());
};

export const handle: Handle = async ({ event, resolve }) => {
	if (building) return await resolve(event);
	const refused = guard(event.request, event.url, serverContext().config);
	if (refused) return refused;
	const response = await resolve(event);
	response.headers.set('x-content-type-options', 'nosniff');
	response.headers.set('referrer-policy', 'same-origin');
	return response;
};

export const handleError: HandleServerError = ({ error: cause, status, message }) => {
	if (cause instanceof Problem) return { message: cause.title };
	if (isAway(cause)) return { message: 'The database is away. Nothing was lost; try again in a moment.' };
	if (status !== 404) console.error(cause);
	return { message };
};
