import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, statfsSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';

/** Polls until something holds; the only waiting these tests do. The limit is for a test that will fail anyway. */
export async function until<T>(what: string, look: () => Promise<T | null | false> | T | null | false, limitMs = 120_000): Promise<T> {
	const end = Date.now() + limitMs;
	for (;;) {
		const seen = await look();
		if (seen !== null && seen !== false) return seen;
		if (Date.now() > end) throw new Error(`did not come true: ${what}`);
		await new Promise((done) => setTimeout(done, 50));
	}
}

/** A TCP port that is free now. */
export async function freePort(): Promise<number> {
	return await new Promise((done, fail) => {
		const probe = createServer();
		probe.once('error', fail);
		probe.listen(0, '127.0.0.1', () => {
			const address = probe.address();
			probe.close(() => (address && typeof address === 'object' ? done(address.port) : fail(new Error('no port'))));
		});
	});
}

/** Throw-away databases lie in memory where there is plenty, so that no test waits for a slow disk. */
export function throwAwayParent(): string {
	const memory = '/dev/shm';
	if (!existsSync(memory)) return tmpdir();
	const { bavail, bsize } = statfsSync(memory);
	return bavail * bsize > 4e9 ? memory : tmpdir();
}

/** A program started by a test, with what it says. */
export type Running = { child: ChildProcess; said: () => string; ended: Promise<number | null> };

/** `npm start` and its like on a data directory of their own, as a person would run them. */
export class Instance {
	readonly dir: string;
	readonly #started: Running[] = [];

	private constructor(
		readonly port: number,
		parent: string
	) {
		this.dir = mkdtempSync(join(parent, 'draught-instance-'));
	}

	static async make(parent = throwAwayParent()): Promise<Instance> {
		return new Instance(await freePort(), parent);
	}

	get url(): string {
		return `http://localhost:${this.port}`;
	}

	run(command: string, args: string[] = [], env: Record<string, string> = {}): Running {
		const child = spawn(command, args, {
			env: { ...process.env, DATABASE_URL: '', DRAUGHT_DATA_DIR: this.dir, PORT: String(this.port), ...env },
			stdio: ['ignore', 'pipe', 'pipe']
		});
		let said = '';
		for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk: Buffer) => (said += chunk.toString()));
		const ended = new Promise<number | null>((done) => child.once('close', done));
		const running = { child, said: () => said, ended };
		this.#started.push(running);
		return running;
	}

	/** `npm start`, until it says that it is ready. */
	async start(env: Record<string, string> = {}): Promise<Running> {
		const running = this.run('npm', ['start'], env);
		await until(`npm start says it is ready; it said ${running.said()}`, () => {
			if (running.child.exitCode !== null) throw new Error(`npm start ended: ${running.said()}`);
			return running.said().includes('ready: ');
		});
		return running;
	}

	/** Every process that works for this instance: what carries its data directory in its environment or command line. */
	processes(): { pid: number; command: string }[] {
		return readdirSync('/proc').flatMap((name) => {
			if (!/^\d+$/.test(name) || Number(name) === process.pid) return [];
			try {
				const command = readFileSync(`/proc/${name}/cmdline`, 'utf8').replaceAll('\0', ' ').trim();
				const ours = command.includes(this.dir) || readFileSync(`/proc/${name}/environ`, 'utf8').includes(`DRAUGHT_DATA_DIR=${this.dir}\0`);
				return ours && command !== '' ? [{ pid: Number(name), command }] : [];
			} catch {
				return [];
			}
		});
	}

	pidOf(command: RegExp): number {
		const found = this.processes().find((p) => command.test(p.command));
		if (!found) throw new Error(`no process ${command.source} in ${JSON.stringify(this.processes())}`);
		return found.pid;
	}

	async health(): Promise<string> {
		return await fetch(`http://127.0.0.1:${this.port}/healthz`, { signal: AbortSignal.timeout(5000) }).then(
			async (r) => ((await r.json()) as { state: string }).state,
			() => 'silent'
		);
	}

	/** Ends whatever a failed test left and takes the data away. */
	async remove(): Promise<void> {
		for (const { child } of this.#started) child.kill('SIGTERM');
		await until('all processes of the instance are gone', () => this.processes().length === 0, 20_000).catch(() => {
			for (const { pid } of this.processes()) process.kill(pid, 'SIGKILL');
		});
		rmSync(this.dir, { recursive: true, force: true });
	}
}

/** The scripts' own answer to one call. */
export const script = (name: string, args: string[], env: Record<string, string> = {}): string =>
	execFileSync(resolve('scripts', name), args, { encoding: 'utf8', env: { ...process.env, ...env }, stdio: ['ignore', 'pipe', 'pipe'] });
