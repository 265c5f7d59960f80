import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { mkdirSync, rmSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { connect } from '../../src/lib/server/base/db/client';
import { seedDemo } from '../../src/demo/seed';
import { dropDatabase, testServer } from '../support/database';
import { freePort, throwAwayParent } from '../support/instance';

/** A built server of its own, with its own port and database: a kill in one spec cannot disturb another. */
export class TestServer {
	#child: ChildProcess | null = null;
	#said = '';
	readonly #backups = join(throwAwayParent(), `draught-backups-${randomBytes(4).toString('hex')}`);

	private constructor(
		readonly port: number,
		readonly databaseUrl: string,
		readonly instanceDir: string | null
	) {}

	get url(): string {
		return `http://localhost:${this.port}`;
	}

	/** @param given.demo fills the database with the demo; given.ownMariaDb starts a MariaDB that may be killed */
	static async start(given: { demo?: boolean; ownMariaDb?: boolean; env?: Record<string, string> } = {}): Promise<TestServer> {
		const instanceDir = given.ownMariaDb ? join(throwAwayParent(), `draught-kill-${randomBytes(4).toString('hex')}`) : null;
		const base = instanceDir ? startMariaDb(instanceDir) : testServer();
		const server = new TestServer(await freePort(), `${base}/draught_test_${randomBytes(6).toString('hex')}`, instanceDir);
		await server.run(given.env);
		if (given.demo) {
			const { db, pool } = connect(server.databaseUrl);
			await seedDemo(db, Date.now());
			await pool.end();
		}
		return server;
	}

	async run(env: Record<string, string> = {}): Promise<void> {
		this.#child = spawn('node', ['scripts/web.mjs'], {
			env: {
				...process.env,
				PORT: String(this.port),
				HOST: '127.0.0.1',
				ORIGIN: this.url,
				DATABASE_URL: this.databaseUrl,
				DRAUGHT_INSTANCE: 'test',
				// What is learnt in the middle of a test would move its numbers.
				DRAUGHT_LEARN_MINUTES: '0',
				DRAUGHT_BACKUP_MINUTES: '0',
				DRAUGHT_BACKUP_DIR: this.#backups,
				BODY_SIZE_LIMIT: '16M',
				SHUTDOWN_TIMEOUT: '1',
				...env
			},
			stdio: ['ignore', 'ignore', 'pipe']
		});
		this.#child.stderr?.on('data', (chunk: Buffer) => {
			this.#said += chunk.toString();
			process.stderr.write(chunk);
		});
		await this.answering();
	}

	/** What it told on its error output: faults it did not expect, and wrong passphrases. */
	said(): string {
		return this.#said;
	}

	get pid(): number {
		return this.#child?.pid ?? 0;
	}

	/** Waits until the server says that it can keep readings. */
	async answering(): Promise<void> {
		for (let tries = 0; tries < 200; tries++) {
			const ok = await fetch(`http://127.0.0.1:${this.port}/healthz`).then(
				(r) => r.ok,
				() => false
			);
			if (ok) return;
			if (this.#child?.exitCode != null) throw new Error(`the server ended with ${this.#child.exitCode}`);
			await new Promise((done) => setTimeout(done, 100));
		}
		throw new Error('the server did not answer');
	}

	/** Ends the server at once, as a power cut would. */
	async kill(signal: NodeJS.Signals = 'SIGKILL'): Promise<void> {
		const child = this.#child;
		if (!child || child.exitCode !== null || child.signalCode !== null) return;
		const ended = new Promise((done) => child.once('exit', done));
		child.kill(signal);
		await ended;
	}

	killMariaDb(): void {
		if (!this.instanceDir) throw new Error('this server shares its MariaDB');
		execFileSync(resolve('scripts/mariadb.sh'), ['kill', this.instanceDir]);
	}

	restartMariaDb(): void {
		if (!this.instanceDir) throw new Error('this server shares its MariaDB');
		startMariaDb(this.instanceDir, new URL(this.databaseUrl).port);
	}

	async stop(): Promise<void> {
		await this.kill('SIGTERM');
		rmSync(this.#backups, { recursive: true, force: true });
		if (this.instanceDir) {
			execFileSync(resolve('scripts/mariadb.sh'), ['stop', this.instanceDir]);
			rmSync(this.instanceDir, { recursive: true });
		} else await dropDatabase(this.databaseUrl);
	}
}

function startMariaDb(directory: string, port = '43506'): string {
	mkdirSync(directory, { recursive: true });
	return execFileSync(resolve('scripts/mariadb.sh'), ['start', directory], {
		encoding: 'utf8',
		env: { ...process.env, DRAUGHT_DB_PORT: port }
	}).trim();
}
