import { fieldError } from '$lib/schemas/field-error';
import { redirect, type RequestEvent } from '@sveltejs/kit';
import { database, serverContext } from '../running/context';
import { isAway } from '../base/db/errors';
import { Problem, problem, problemResponse } from '../base/problem';
import { addressOf } from './address';
import { endAllSessions, endSession, newSession, SESSION_COOKIE, SESSION_S, sessionOf } from './session';

/** What is answered to whoever does not know the passphrase: the page that asks for it, and that the server is up. */
const OPEN = ['/login', '/healthz', '/api/v1/session'];

type Asking = Pick<RequestEvent, 'cookies' | 'request' | 'url' | 'getClientAddress' | 'platform'>;

/** Whether the sender of a request may see what there is. Always, where no passphrase is set. */
export async function mayEnter(event: Asking): Promise<boolean> {
	const { passphrase, config } = serverContext();
	if (!passphrase) return true;
	if ((await sessionOf(database(), config.DRAUGHT_PASSPHRASE ?? '', event.cookies.get(SESSION_COOKIE))) !== null) return true;
	const word = basicWord(event.request.headers.get('authorization'));
	// Programs send the word itself, to the API and to the health of the server.
	if (word === null || !(event.url.pathname.startsWith('/api/') || event.url.pathname === '/healthz')) return false;
	const checked = await passphrase.check(word, addressOf(event));
	if (!checked.known && checked.retryAfterS !== null) throw tooMany(checked.retryAfterS);
	return checked.known;
}

/** The answer to a request that may not enter; null lets it pass. Pages lead to the login, everything else is refused.
 * @throws a redirect of the framework, which answers the loading of data in its own way */
export async function access(event: RequestEvent): Promise<Response | null> {
	const { pathname, search } = event.url;
	try {
		event.locals.entered = !OPEN.includes(pathname) && (await mayEnter(event));
		if (event.locals.entered || OPEN.includes(pathname)) return null;
	} catch (error) {
		if (error instanceof Problem) return problemResponse(error);
		if (isAway(error)) return problemResponse(problem(503, 'databaseAway'));
		throw error;
	}
	if (pathname.startsWith('/api/') || event.request.method !== 'GET') {
		const refused = problemResponse(problem(401, 'logInFirst'));
		// A browser would answer this header with a box of its own.
		if (!event.request.headers.has('sec-fetch-site')) refused.headers.set('www-authenticate', 'Basic realm="Draught", charset="UTF-8"');
		return refused;
	}
	redirect(303, `/login${pathname === '/' ? '' : `?to=${encodeURIComponent(pathname + search)}`}`);
}

/** Logs a browser in, or says why not. */
export async function logIn(event: RequestEvent, given: string): Promise<void> {
	const { passphrase, config } = serverContext();
	if (!passphrase) return;
	const checked = await passphrase.check(given, addressOf(event));
	if (!checked.known && checked.retryAfterS !== null) throw tooMany(checked.retryAfterS);
	if (!checked.known) throw problem(403, 'wrongPassphrase', {}, [fieldError('passphrase', 'wrongPassphrase')]);
	event.cookies.set(SESSION_COOKIE, await newSession(database(), config.DRAUGHT_PASSPHRASE ?? ''), {
		path: '/',
		httpOnly: true,
		sameSite: 'lax',
		secure: config.ORIGIN.startsWith('https:'),
		maxAge: SESSION_S
	});
}

/** Ends the login of this browser, or with `everywhere` all there are. Who is not logged in ends nobody's. */
export async function logOut(event: RequestEvent, everywhere: boolean, now: number): Promise<void> {
	const { config } = serverContext();
	const id = await sessionOf(database(), config.DRAUGHT_PASSPHRASE ?? '', event.cookies.get(SESSION_COOKIE));
	event.cookies.delete(SESSION_COOKIE, { path: '/' });
	if (id === null) return;
	await (everywhere ? endAllSessions(database()) : endSession(database(), id, now));
}

const tooMany = (retryAfterS: number) => problem(429, 'tooManyTries', { seconds: retryAfterS }, [], { 'retry-after': String(retryAfterS) });

/** The passphrase of an HTTP Basic header; the name before it does not matter. */
function basicWord(header: string | null): string | null {
	const [, encoded] = /^Basic (.+)$/i.exec(header ?? '') ?? [];
	if (encoded === undefined) return null;
	const given = Buffer.from(encoded, 'base64').toString('utf8');
	return given.slice(given.indexOf(':') + 1);
}
