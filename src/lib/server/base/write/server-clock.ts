import { max } from 'drizzle-orm';
import { DateTime } from 'luxon';
import type { Reader } from '../db/client';
import { writeLog } from '../db/schema';
import { problem } from '../problem';

const DAY_MS = 86_400_000;
const HOUR_MS = 3_600_000;

const told = (at: number): string => DateTime.fromMillis(at, { zone: 'utc' }).toFormat("d LLL yyyy HH:mm 'UTC'");

/**
 * Refuses to write while the server's clock is more than a day behind the newest write of the record: what is written now would lie before
 * what was written then, and every "newest" and every history would be another.
 */
export async function requireClockAfter(db: Reader, now: number): Promise<void> {
	const [row] = await db.select({ at: max(writeLog.at) }).from(writeLog);
	const newest = Number(row?.at ?? 0);
	if (now < newest - DAY_MS) throw problem(503, 'clockBehind', { says: told(now), newest: told(newest) });
}

/**
 * What the clocks of devices say of the server's. One device alone may be the one that is wrong; where all that were heard in the last hour,
 * two at least, are more than a day off to the same side, it is the server.
 */
export class DeviceClocks {
	readonly #heard = new Map<string, { aheadMs: number; at: number }>();

	/** @param elapsedMs a clock that nobody sets: the server's own is the one in doubt */
	hear(device: string, aheadMs: number, elapsedMs: number): void {
		this.#heard.delete(device);
		this.#heard.set(device, { aheadMs, at: elapsedMs });
		for (const [name, { at }] of this.#heard) if (at < elapsedMs - HOUR_MS || this.#heard.size > 200) this.#heard.delete(name);
	}

	/** How far all devices are ahead of the server, ms, where they agree that it is wrong; null where they do not. */
	get apartMs(): number | null {
		const ahead = [...this.#heard.values()].map((h) => h.aheadMs).sort((a, b) => a - b);
		if (ahead.length < 2) return null;
		const off = ahead.every((ms) => ms > DAY_MS) || ahead.every((ms) => ms < -DAY_MS);
		return off ? (ahead[Math.floor(ahead.length / 2)] ?? null) : null;
	}

	require(now: number): void {
		const apart = this.apartMs;
		if (apart !== null) throw problem(503, 'clockApart', { says: told(now), devices: told(now + apart) });
	}
}
