import type { ChildProcess } from 'node:child_process';
import { v7 } from 'uuid';
import { percentile } from './timing';

/** A minute, or as many as CROWD_MINUTES says: memory is told after each. */
const SECONDS = 60 * Number(process.env['CROWD_MINUTES'] ?? 1);
const PATIENCE_MS = 30_000;
/** Each client asks this often before it writes once. */
const READS_A_WRITE = 4;

/**
 * Clients that read and write without pause, all at one trial: what they wait, what fails, and what the server's memory does. How many at
 * once is said each time; every one begins its next request as soon as the last one is answered.
 */
export async function crowd(
	{ url, child, memoryMb }: { url: string; child: ChildProcess; memoryMb: (pid: number) => number },
	{ trialId, spoolIds, clients }: { trialId: string; spoolIds: readonly string[]; clients: number }
): Promise<void> {
	const pages = ['', '/pick', '/prints', '/diameter', '/cost', '/moisture'].map((p) => `${url}/trials/${trialId}${p}`);
	const [reads, writes]: [number[], number[]] = [[], []];
	const failed = new Map<string, number>();
	const before = memoryMb(child.pid ?? 0);
	const end = performance.now() + SECONDS * 1000;
	const ask = async (c: number, n: number): Promise<void> => {
		const start = performance.now();
		const signal = AbortSignal.timeout(PATIENCE_MS);
		const writing = n % (READS_A_WRITE + 1) === READS_A_WRITE;
		const body = {
			id: v7(),
			spoolId: spoolIds[(c + n) % spoolIds.length],
			quantity: 'diameter',
			typed: '1.75',
			takenAt: new Date().toISOString()
		};
		try {
			const response = writing
				? await fetch(`${url}/api/v1/readings`, {
						method: 'POST',
						headers: { 'content-type': 'application/json' },
						body: JSON.stringify(body),
						signal
					})
				: await fetch(pages[(c + n) % pages.length] as string, { signal });
			await response.text();
			if (!response.ok) throw new Error(`answered ${response.status}`);
			(writing ? writes : reads).push(performance.now() - start);
		} catch (error) {
			const why = error instanceof Error ? error.message : String(error);
			failed.set(why, (failed.get(why) ?? 0) + 1);
		}
	};
	const minute = setInterval(() => console.log(`memory ${memoryMb(child.pid ?? 0).toFixed(0)} MB`), 60_000);
	await Promise.all(
		Array.from({ length: clients }, async (_, c) => {
			for (let n = c; performance.now() < end; n++) await ask(c, n);
		})
	);
	clearInterval(minute);
	const said = (what: string, of: number[]) =>
		`${of.length} ${what}, median ${percentile(of, 0.5).toFixed(0)} ms, p95 ${percentile(of, 0.95).toFixed(0)} ms`;
	const faults = [...failed].map(([why, n]) => `${n} x ${why}`).join(', ') || 'no error, no time-out';
	console.log(
		`${clients} clients without pause: ${said('reads', reads)}; ${said('writes', writes)}; ${faults}; memory ${before.toFixed(0)} to ${memoryMb(child.pid ?? 0).toFixed(0)} MB`
	);
}
