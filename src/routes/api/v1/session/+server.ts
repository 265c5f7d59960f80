import { z } from 'zod';
import { logIn, logOut } from '$lib/server/http/access';
import { act } from '$lib/server/http/respond';

const sessionBody = z.strictObject({ passphrase: z.string({ error: 'type the passphrase' }).max(500, { error: 'is too long' }) });

/** Logs in: a browser gets a cookie. Nothing is stored, so there is no id. */
export const POST = act(sessionBody, async (event, body) => {
	await logIn(event, body.passphrase);
	return { loggedIn: true };
});

/** The way out: of this browser, or with `?everywhere` of all. */
export const DELETE = act(null, async (event) => {
	await logOut(event, event.url.searchParams.has('everywhere'), Date.now());
	return { loggedIn: false };
});
