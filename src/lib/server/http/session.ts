import { sealData, unsealData } from 'iron-session';

export const SESSION_COOKIE = 'draught_session';
/** How long a login lasts. */
export const SESSION_S = 30 * 86_400;

type Session = { loggedIn: true };

/** A login as a sealed cookie: signed, so that nobody makes one; good for the passphrase it was made under. */
export const sealSession = (key: string): Promise<string> =>
	sealData({ loggedIn: true } satisfies Session, { password: key, ttl: SESSION_S });

/** Whether a cookie is a login that still holds. */
export async function isSession(cookie: string | undefined, key: string): Promise<boolean> {
	if (!cookie) return false;
	const session = await unsealData<Partial<Session>>(cookie, { password: key, ttl: SESSION_S }).catch(() => null);
	return session?.loggedIn === true;
}
