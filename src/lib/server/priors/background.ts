import { spawn, type ChildProcess } from 'node:child_process';
import { setPriority } from 'node:os';

/** One that has ended already has no priority to be set: that must not end the server. */
function putBehind(pid: number): void {
	try {
		setPriority(pid, LOW_PRIORITY);
	} catch {
		// It ended in between.
	}
}

const MINUTE_MS = 60_000;
/** Behind all that answers somebody. */
const LOW_PRIORITY = 10;

/**
 * Learns from the record now and then, in a process of its own beside the server, so that nobody waits for it.
 * @param everyMinutes 0 for never
 * @returns ends it
 */
export function startLearning(everyMinutes: number, env: Record<string, string | undefined>): () => void {
	if (everyMinutes <= 0) return () => undefined;
	let running: ChildProcess | null = null;
	const timer = setInterval(() => {
		if (running) return;
		running = spawn(process.execPath, ['--import', 'tsx', 'scripts/tasks/learn-priors.ts'], {
			env,
			stdio: ['ignore', 'inherit', 'inherit']
		});
		if (running.pid !== undefined) putBehind(running.pid);
		const ended = () => (running = null);
		running.once('exit', ended);
		running.once('error', (cause) => {
			console.error(`draught: nothing could be learnt from the record: ${cause.message}`);
			ended();
		});
	}, everyMinutes * MINUTE_MS);
	timer.unref();
	return () => {
		clearInterval(timer);
		running?.kill();
	};
}
