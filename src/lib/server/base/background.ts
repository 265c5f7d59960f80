import { spawn, type ChildProcess } from 'node:child_process';
import { setPriority } from 'node:os';

/** Behind all that answers somebody. */
const LOW_PRIORITY = 10;
const MINUTE_MS = 60_000;

/** What a program of ours needs to know of the environment; the passphrase is nobody's but the web server's. */
function withoutPassphrase(env: NodeJS.ProcessEnv): NodeJS.ProcessEnv {
	const { DRAUGHT_PASSPHRASE: _, ...rest } = env;
	return rest;
}

/** Runs a task of scripts/tasks, as it was built, in a process of its own that gives way to everything else. */
export function runTaskBeside(task: string, args: readonly string[], env: NodeJS.ProcessEnv): ChildProcess {
	const child = spawn(process.execPath, [`build/tasks/${task}.js`, ...args], {
		env: withoutPassphrase(env),
		stdio: ['ignore', 'inherit', 'inherit']
	});
	if (child.pid !== undefined) putBehind(child.pid);
	return child;
}

/** One that has ended already has no priority to be set: that must not end the server. */
function putBehind(pid: number): void {
	try {
		setPriority(pid, LOW_PRIORITY);
	} catch {
		// It ended in between.
	}
}

/**
 * Runs a task now and then beside the server, so that nobody waits for it; never twice at once.
 * @param everyMinutes 0 for never
 * @param failed what is said where it cannot be started
 * @returns ends it
 */
export function repeatTask(task: string, everyMinutes: number, env: NodeJS.ProcessEnv, failed: string): () => void {
	if (everyMinutes <= 0) return () => undefined;
	let running: ChildProcess | null = null;
	const timer = setInterval(() => {
		if (running) return;
		running = runTaskBeside(task, [], env);
		const ended = () => (running = null);
		running.once('exit', ended);
		running.once('error', (cause) => {
			console.error(`draught: ${failed}: ${cause.message}`);
			ended();
		});
	}, everyMinutes * MINUTE_MS);
	timer.unref();
	return () => {
		clearInterval(timer);
		running?.kill();
	};
}
