import { z } from 'zod';
import { logIn, logOut } from '$lib/server/http/access';
import { act } from '$lib/server/http/respond';

const sessionBody = z.object({ passphrase: z.string({ error: 'type the passphrase' }).max(500, { error: 'is too long' }) });

/** Logs in: a browser gets a cookie. Nothing is stored, so there is no id. */
export const POST = act(sessionBody, async (event, body) => {
	await logIn(event, body.passphrase);
	return { loggedIn: true };
});

/** The way out. */
export const DELETE = act(null, (event) => {
	logOut(event);
	return Promise.resolve({ loggedIn: false });
});
