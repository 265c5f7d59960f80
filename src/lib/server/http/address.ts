import type { RequestEvent } from '@sveltejs/kit';

/**
 * Who asks: the address that the proxy in front names (ADDRESS_HEADER), else that of the connection. A request that comes past the proxy,
 * such as one of our own scripts, has no such header.
 */
export function addressOf(event: Pick<RequestEvent, 'getClientAddress' | 'platform'>): string {
	try {
		return event.getClientAddress();
	} catch {
		const { req } = (event.platform ?? {}) as { req?: { socket?: { remoteAddress?: string } } };
		return req?.socket?.remoteAddress ?? 'unknown';
	}
}
