import type { Config } from '../base/config';
import { problem, problemResponse } from '../base/problem';

/**
 * What is decided about a request before any route sees it; null lets it pass.
 * Other Host names than the canonical one are redirected on GET and refused otherwise (DNS rebinding); the origin is checked on
 * every write. Who may enter is asked next (access.ts).
 */
export function guard(request: Request, url: URL, config: Config): Response | null {
	if (url.pathname === '/healthz') return null;
	const canonical = new URL(config.ORIGIN);
	const reading = request.method === 'GET' || request.method === 'HEAD';
	const host = request.headers.get('host');
	if (host !== canonical.host) {
		if (reading) return new Response(null, { status: 308, headers: { location: `${canonical.origin}${url.pathname}${url.search}` } });
		return problemResponse(problem(421, 'otherHost', { origin: canonical.origin }));
	}
	if (!reading) {
		// Browsers always send Origin with a write; a program without one sends no Sec-Fetch-Site either.
		const origin = request.headers.get('origin');
		const fromBrowser = request.headers.has('sec-fetch-site');
		if (origin === null ? fromBrowser : origin !== canonical.origin) return problemResponse(problem(403, 'otherSite'));
	}
	return null;
}
