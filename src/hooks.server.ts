import { AsyncLocalStorage } from 'node:async_hooks';
import { building } from '$app/environment';
import { startServer, serverContext, stopServer } from '$lib/server/running/context';
import { access } from '$lib/server/http/access';
import { guard } from '$lib/server/http/guard';
import { together } from '$lib/server/base/polite/together';
import { Problem, problem, problemResponse } from '$lib/server/base/problem';
import { warmUp } from '$lib/server/answers/trials/warm-up';
import { decimalMark, locale, localeFrom, preferredLocale, USUAL_LOCALE } from '$lib/words/locale';
import { UNITS_COOKIE, unitsFrom, unitsOf, unitsText, type ChosenUnits } from '$lib/words/units';
import { problemWords } from '$lib/words/problems';
import { isAway, isSlow } from '$lib/server/base/db/errors';
import type { Handle, HandleServerError, RequestEvent, ServerInit } from '@sveltejs/kit';

export const init: ServerInit = async () => {
	if (building) return;
	try {
		await startServer(process.env, Date.now());
		// Read now what the first file that comes in needs: later it would hold up all others.
		await import('$lib/server/exchange/bundle');
	} catch (cause) {
		console.error(`draught: ${cause instanceof Error ? cause.message : String(cause)}`);
		process.exit(1);
	}
	// Nobody waits for it, and where it fails the page that is opened says why.
	warmUp(serverContext().db).catch(() => undefined);
	process.once('sveltekit:shutdown', () => void stopServer());
};

/** How the request that is being answered wants to be written to: its locale and its units. */
const asked = new AsyncLocalStorage<{ locale: string; units: ChosenUnits }>();
localeFrom(() => asked.getStore()?.locale);
unitsFrom(() => asked.getStore()?.units);

export const handle: Handle = ({ event, resolve }) => {
	if (building) return resolve(event);
	const transformPageChunk = ({ html }: { html: string }) =>
		html.replace('%draught.locale%', locale()).replace('%draught.decimal%', decimalMark()).replace('%draught.units%', unitsText(units));
	const units = unitsOf(event.cookies.get(UNITS_COOKIE));
	const asksFor = { locale: preferredLocale(event.request.headers.get('accept-language')) ?? USUAL_LOCALE, units };
	return asked.run(asksFor, () => answer(event, () => resolve(event, { transformPageChunk })));
};

async function answer(event: RequestEvent, resolve: () => Response | Promise<Response>): Promise<Response> {
	const refused = guard(event.request, event.url, serverContext().config);
	if (refused) return refused;
	const response = (await access(event)) ?? inOneForm(event.url, await (isShared(event) ? answerTogether(event, resolve) : resolve()));
	response.headers.set('x-content-type-options', 'nosniff');
	response.headers.set('referrer-policy', 'same-origin');
	// What only those may see who know the passphrase stays in no cache.
	if (serverContext().passphrase && !response.headers.get('cache-control')?.startsWith('no-store'))
		response.headers.set('cache-control', 'no-store');
	return response;
}

/** Pages of a trial are the same for everybody who may see them, and many look at one trial at once. */
const isShared = ({ request, route }: RequestEvent): boolean => request.method === 'GET' && (route.id ?? '').startsWith('/trials/[id]');

/** One answer for all who ask for the same page at the same moment; what only one of them brings along plays no part in it. */
async function answerTogether(event: RequestEvent, resolve: () => Response | Promise<Response>): Promise<Response> {
	const units = asked.getStore()?.units ?? {};
	const { status, headers, body } = await together(`${locale()} ${unitsText(units)} ${event.isDataRequest} ${event.url.href}`, async () => {
		const response = await resolve();
		return { status: response.status, headers: [...response.headers], body: await response.arrayBuffer() };
	});
	return new Response(body.byteLength === 0 ? null : body, { status, headers });
}

/** The API answers every refusal as problem+json, also where the framework refused before a route was reached (no such address, no such method). */
function inOneForm(url: URL, response: Response): Response {
	if (!url.pathname.startsWith('/api/') || response.status < 400 || response.headers.get('content-type') === 'application/problem+json')
		return response;
	const code = ({ 404: 'noSuchAddress', 405: 'noSuchMethod' } as const)[response.status];
	return problemResponse(problem(response.status, code ?? 'refusedByFramework'));
}

export const handleError: HandleServerError = ({ error: cause, status, message }) => {
	if (cause instanceof Problem) return { message: cause.title };
	if (isSlow(cause)) return { message: problemWords({ code: 'databaseSlow', params: {} }) };
	if (isAway(cause)) return { message: problemWords({ code: 'databaseAwayNothingLost', params: {} }) };
	if (status >= 500) console.error(cause);
	return { message };
};
