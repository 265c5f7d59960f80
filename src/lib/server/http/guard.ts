import { createHash, timingSafeEqual } from 'node:crypto';
import type { Config } from '../config';
import { problemResponse } from '../problem';

const digest = (text: string) => createHash('sha256').update(text).digest();

/**
 * What is decided about a request before any route sees it; null lets it pass.
 * Other Host names than the canonical one are redirected on GET and refused otherwise (DNS rebinding); the origin is checked on
 * every write; a passphrase is asked for when one is set.
 */
export function guard(request: Request, url: URL, config: Config): Response | null {
	if (url.pathname === '/healthz') return null;
	const canonical = new URL(config.ORIGIN);
	const reading = request.method === 'GET' || request.method === 'HEAD';
	const host = request.headers.get('host');
	if (host !== canonical.host) {
		if (reading) return new Response(null, { status: 308, headers: { location: `${canonical.origin}${url.pathname}${url.search}` } });
		return problemResponse({ status: 421, title: `This server is at ${canonical.origin}.` });
	}
	if (!reading) {
		// Browsers always send Origin with a write; a program without one sends no Sec-Fetch-Site either.
		const origin = request.headers.get('origin');
		const fromBrowser = request.headers.has('sec-fetch-site');
		if (origin === null ? fromBrowser : origin !== canonical.origin)
			return problemResponse({ status: 403, title: 'Writes from another site are refused.' });
	}
	if (config.DRAUGHT_PASSPHRASE && !knowsPassphrase(request.headers.get('authorization'), config.DRAUGHT_PASSPHRASE))
		return new Response('A passphrase is needed.', {
			status: 401,
			headers: { 'www-authenticate': 'Basic realm="Draught", charset="UTF-8"' }
		});
	return null;
}

function knowsPassphrase(header: string | null, passphrase: string): boolean {
	const [, encoded = ''] = /^Basic (.+)$/i.exec(header ?? '') ?? [];
	const given = Buffer.from(encoded, 'base64').toString('utf8');
	return timingSafeEqual(digest(given.slice(given.indexOf(':') + 1)), digest(passphrase));
}
