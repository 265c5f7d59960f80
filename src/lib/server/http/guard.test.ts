import { describe, expect, it } from 'vitest';
import { readConfig } from '../base/config';
import { guard } from './guard';

const config = readConfig({ HOST: '127.0.0.1', ORIGIN: 'http://localhost:4170' });

function ask(method: string, headers: Record<string, string> = {}, path = '/trials'): Response | null {
	const url = new URL(`http://localhost:4170${path}`);
	return guard(new Request(url, { method, headers: { host: 'localhost:4170', ...headers } }), url, config);
}

describe('the guard', () => {
	it('lets its own origin and programs without one pass', () => {
		expect(ask('GET')).toBeNull();
		expect(ask('POST', { origin: 'http://localhost:4170', 'sec-fetch-site': 'same-origin' })).toBeNull();
		expect(ask('POST')).toBeNull();
	});
	it('refuses writes from elsewhere, also without an origin when a browser sends them', () => {
		expect(ask('POST', { origin: 'http://elsewhere.example' })?.status).toBe(403);
		expect(ask('POST', { origin: 'null' })?.status).toBe(403);
		expect(ask('POST', { 'sec-fetch-site': 'cross-site' })?.status).toBe(403);
	});
	it('sends other host names to the canonical one on GET and refuses their writes', () => {
		const away = ask('GET', { host: 'rebound.example' }, '/trials?q=1');
		expect(away?.status).toBe(308);
		expect(away?.headers.get('location')).toBe('http://localhost:4170/trials?q=1');
		expect(ask('POST', { host: 'rebound.example' })?.status).toBe(421);
	});
});
