import { createHmac, randomBytes } from 'node:crypto';
import { eq, lt } from 'drizzle-orm';
import { sealData, unsealData } from 'iron-session';
import { v7 } from 'uuid';
import type { Database } from '../base/db/client';
import { endedSession, server } from '../base/db/schema';

export const SESSION_COOKIE = 'draught_session';
/** How long a login lasts. */
export const SESSION_S = 30 * 86_400;

type Session = { id: string };

/** What logins are sealed with. Read anew each time: whoever logs out everywhere, at whichever server, changes it for all. */
async function keyOf(db: Database, passphrase: string): Promise<string> {
	const [row] = await db.select({ key: server.sessionKey }).from(server).limit(1);
	// Another passphrase ends all logins made under the one before.
	return createHmac('sha256', row?.key ?? '')
		.update(passphrase)
		.digest('hex');
}

/** A login as a sealed cookie: signed, so that nobody makes one; good for the passphrase it was made under. */
export const newSession = async (db: Database, passphrase: string): Promise<string> =>
	await sealData({ id: v7() } satisfies Session, { password: await keyOf(db, passphrase), ttl: SESSION_S });

/** Which login a cookie is; null where it is none, or none any more. */
export async function sessionOf(db: Database, passphrase: string, cookie: string | undefined): Promise<string | null> {
	if (!cookie) return null;
	const { id } = await unsealData<Partial<Session>>(cookie, { password: await keyOf(db, passphrase), ttl: SESSION_S }).catch(
		(): Partial<Session> => ({})
	);
	if (id === undefined) return null;
	const [ended] = await db.select().from(endedSession).where(eq(endedSession.id, id));
	return ended ? null : id;
}

/** Ends one login: whoever has a copy of its cookie is out too. */
export async function endSession(db: Database, id: string, now: number): Promise<void> {
	await db.insert(endedSession).ignore().values({ id, endedAt: now });
	// A cookie older than this is good no more by itself.
	await db.delete(endedSession).where(lt(endedSession.endedAt, now - SESSION_S * 1000));
}

/** Ends every login there is, on every device. */
export const endAllSessions = async (db: Database): Promise<void> => {
	await db.update(server).set({ sessionKey: randomBytes(32) });
};
