import { execFileSync } from 'node:child_process';
import {
	existsSync,
	mkdirSync,
	mkdtempSync,
	readdirSync,
	readFileSync,
	rmSync,
	statfsSync,
	statSync,
	symlinkSync,
	writeFileSync
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { v7 } from 'uuid';
import { afterEach, describe, expect, it } from 'vitest';
import { isTimed } from '../../src/lib/schemas/timed';
import { Instance, script, until } from '../support/instance';

const instances: Instance[] = [];
const bins: string[] = [];
async function instance(parent?: string): Promise<Instance> {
	const made = await Instance.make(parent);
	instances.push(made);
	return made;
}
afterEach(async () => {
	for (const one of instances.splice(0)) await one.remove();
	for (const bin of bins.splice(0)) rmSync(bin, { recursive: true });
});

const mariadbd = /^mariadbd /;
const webServer = /^node scripts\/web\.mjs/;

/** The environment of a machine that never saw MariaDB, and an apt-get that brings it. */
function freshMachine(): { PATH: string; DRAUGHT_SBIN: string } {
	const bin = mkdtempSync(join(tmpdir(), 'draught-bin-'));
	bins.push(bin);
	const later: string[] = [];
	for (const directory of (process.env.PATH ?? '').split(':').filter((d) => existsSync(d)))
		for (const name of readdirSync(directory)) {
			const link = join(bin, name);
			if (name === 'apt-get' || existsSync(link)) continue;
			if (/^(mariadb|mysql|my_print)/.test(name)) later.push(join(directory, name));
			else symlinkSync(join(directory, name), link);
		}
	const fetch = later.map((program) => `ln -sf ${program} ${bin}/`).join('\n');
	writeFileSync(join(bin, 'apt-get'), `#!/bin/sh\necho "apt-get $*"\ncase "$*" in *install*)\n${fetch}\n;; esac\n`, { mode: 0o755 });
	return { PATH: bin, DRAUGHT_SBIN: bin };
}

/** The environment of an ordinary user of Debian: MariaDB is there, its server not on the PATH, and nothing may be installed. */
function ordinaryUser(): { PATH: string; DRAUGHT_SBIN: string } {
	const { PATH } = freshMachine();
	const sbin = mkdtempSync(join(tmpdir(), 'draught-sbin-'));
	bins.push(sbin);
	for (const directory of (process.env.PATH ?? '').split(':').filter((d) => existsSync(d)))
		for (const name of readdirSync(directory).filter((n) => /^(mariadb|mysql|my_print)/.test(n))) {
			const link = join(name === 'mariadbd' ? sbin : PATH, name);
			if (!existsSync(link)) symlinkSync(join(directory, name), link);
		}
	writeFileSync(join(PATH, 'apt-get'), '#!/bin/sh\nexit 100\n', { mode: 0o755 });
	return { PATH, DRAUGHT_SBIN: sbin };
}

async function post(one: Instance, path: string, body: object): Promise<number> {
	return (
		await fetch(`${one.url}/api/v1/${path}`, {
			method: 'POST',
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify({ id: v7(), ...(isTimed(path) ? { at: new Date().toISOString(), zone: 'UTC' } : {}), ...body })
		})
	).status;
}

describe('a first start', () => {
	it('installs what a fresh machine lacks and still hands over nothing but the URL', async () => {
		const one = await instance();
		const said = script('mariadb.sh', ['start', join(one.dir, 'own')], freshMachine());
		expect(said).toMatch(/^mysql:\/\/draught:[A-Za-z0-9]+@127\.0\.0\.1:\d+$/);
		script('mariadb.sh', ['stop', join(one.dir, 'own')]);
	});

	it('finds the server where Debian keeps it, though the PATH does not name it', async () => {
		const one = await instance();
		const said = script('mariadb.sh', ['start', join(one.dir, 'own')], ordinaryUser());
		expect(said).toMatch(/^mysql:\/\/draught:/);
		script('mariadb.sh', ['stop', join(one.dir, 'own')]);
	});

	it('of a whole application comes up where MariaDB was missing', async () => {
		const one = await instance();
		const started = await one.start(freshMachine());
		expect(started.said()).toContain('installing Debian packages: mariadb-server');
		expect(await one.health()).toBe('ok');
	});

	it('finds a port of its own when ten start at once', async () => {
		const ten = await Promise.all(Array.from({ length: 10 }, () => instance()));
		const started = ten.map((one) => one.run(resolve('scripts/mariadb.sh'), ['start', join(one.dir, 'own')]));
		const codes = await Promise.all(started.map((s) => s.ended));
		expect(codes, started.map((s) => s.said()).join('\n')).toEqual(codes.map(() => 0));
		const ports = ten.map((one) => readFileSync(join(one.dir, 'own/mariadb.port'), 'utf8'));
		expect(new Set(ports).size).toBe(10);
		for (const one of ten) script('mariadb.sh', ['kill', join(one.dir, 'own')]);
	});

	it('twice at once of one instance: one serves, the other says where', async () => {
		const one = await instance();
		const [a, b] = [one.run('npm', ['start']), one.run('npm', ['start'])];
		const first = await Promise.race([a.ended.then(() => a), b.ended.then(() => b)]);
		expect(first.said()).toContain(`already running: ${one.url}`);
		expect(await first.ended).toBe(0);
		expect(await one.health()).toBe('ok');
	});

	it('that cannot work tells the last error of MariaDB itself', async () => {
		const one = await instance();
		const dir = join(one.dir, 'own');
		mkdirSync(join(dir, 'mariadb'), { recursive: true });
		writeFileSync(join(dir, 'mariadb/ibdata1'), 'no tablespace');
		const started = one.run(resolve('scripts/mariadb.sh'), ['start', dir]);
		expect(await started.ended).toBe(1);
		expect(started.said()).toMatch(/MariaDB ended as soon as it was started: .*\[ERROR\]/);
	});

	it('without the program that makes the data directory says which one is missing', async () => {
		const one = await instance();
		const { PATH, DRAUGHT_SBIN } = ordinaryUser();
		rmSync(join(PATH, 'mariadb-install-db'));
		const started = one.run(resolve('scripts/mariadb.sh'), ['start', join(one.dir, 'own')], { PATH, DRAUGHT_SBIN });
		expect(await started.ended).toBe(1);
		expect(started.said()).toMatch(/mariadb-install-db failed: .*mariadb-install-db: command not found/);
	});

	it('keeps the socket where nobody else can look', async () => {
		const one = await instance();
		script('mariadb.sh', ['start', join(one.dir, 'own')]);
		expect(statSync(join(one.dir, 'own/mariadb')).mode & 0o777).toBe(0o700);
		expect(statSync(join(one.dir, 'own/mariadb/mariadb.sock')).isSocket()).toBe(true);
		script('mariadb.sh', ['stop', join(one.dir, 'own')]);
	});
});

describe('one signal stops all', () => {
	it('to whichever of them: npm, the start script, the web server, MariaDB', async () => {
		const one = await instance();
		for (const command of [/^npm start/, /serve\.sh own/, webServer, mariadbd]) {
			const started = await one.start();
			process.kill(one.pidOf(command), 'SIGTERM');
			await started.ended;
			await until(`nothing is left after ${command.source}`, () => one.processes().length === 0);
			expect(readFileSync(join(one.dir, 'own/mariadb.log'), 'utf8').trim().split('\n').at(-1)).toContain('Shutdown complete');
		}
	});

	it('also in the middle of a start', async () => {
		const one = await instance();
		const started = one.run('npm', ['start']);
		await until('MariaDB is being made', () => started.said().includes('starting the private MariaDB'));
		process.kill(one.pidOf(/serve\.sh own/), 'SIGTERM');
		await started.ended;
		await until(`nothing is left of ${JSON.stringify(one.processes())}`, () => one.processes().length === 0);
	});
});

describe('a web server that died', () => {
	it('comes back by itself, a little later each time', async () => {
		const one = await instance();
		const started = await one.start();
		for (const wait of [1, 2]) {
			const dead = one.pidOf(webServer);
			process.kill(dead, 'SIGKILL');
			await until('another web server answers', async () => {
				const now = one.processes().find((p) => webServer.test(p.command));
				return now !== undefined && now.pid !== dead && (await one.health()) === 'ok';
			});
			expect(started.said()).toContain(`the web server ended with 137; starting it again in ${wait} s`);
		}
		expect(await post(one, 'dryers', { name: 'Box' })).toBe(201);
	});
});

describe('a MariaDB that died', () => {
	it('comes back on its port by itself; pages and writes go on', async () => {
		const one = await instance();
		await one.start();
		const port = readFileSync(join(one.dir, 'own/mariadb.port'), 'utf8');
		for (let n = 0; n < 2; n++) {
			const dead = one.pidOf(mariadbd);
			process.kill(dead, 'SIGKILL');
			await until('another MariaDB runs and answers', async () => {
				const now = one.processes().find((p) => mariadbd.test(p.command));
				return now !== undefined && now.pid !== dead && (await one.health()) === 'ok';
			});
		}
		expect(readFileSync(join(one.dir, 'own/mariadb.port'), 'utf8')).toBe(port);
		expect((await fetch(`${one.url}/trials`)).status).toBe(200);
		expect(await post(one, 'dryers', { name: 'Box' })).toBe(201);
	});

	it('is not taken for a running one by a second start or a backup, and nobody starts one beside it', async () => {
		const one = await instance();
		await one.start();
		process.kill(one.pidOf(mariadbd), 'SIGKILL');
		const [again, backup] = [one.run('npm', ['start']), one.run('npm', ['run', 'backup'])];
		expect(await again.ended).toBe(0);
		expect(again.said()).toContain('already running');
		expect(await backup.ended, backup.said()).toBe(0);
		await until('the page answers', async () => (await one.health()) === 'ok');
		expect(one.processes().filter((p) => mariadbd.test(p.command))).toHaveLength(1);
	});

	it('whose start script was killed too is adopted by the next start', async () => {
		const one = await instance();
		await one.start();
		const web = one.pidOf(webServer);
		process.kill(one.pidOf(/serve\.sh own/), 'SIGKILL');
		const next = await one.start();
		expect(next.said()).toContain('adopting the MariaDB');
		expect(one.pidOf(webServer)).not.toBe(web);
		expect(one.processes().filter((p) => webServer.test(p.command))).toHaveLength(1);
	});

	it('is left running by a backup only while somebody else needs it', async () => {
		const one = await instance();
		const backup = one.run('npm', ['run', 'backup']);
		await backup.ended;
		expect(one.processes()).toEqual([]);
		await one.start();
		const pid = one.pidOf(mariadbd);
		expect(await one.run('npm', ['run', 'backup']).ended).toBe(0);
		expect(one.pidOf(mariadbd)).toBe(pid);
	});
});

/** A file system of its own that can be filled; needs the right to mount, which the machine of the tests has. */
describe.skipIf(process.getuid?.() !== 0)('a full disk', () => {
	it('refuses in words, loses nothing and is over as soon as there is space', async () => {
		const mounted = mkdtempSync(join(tmpdir(), 'draught-small-'));
		execFileSync('mount', ['-t', 'tmpfs', '-o', 'size=400m', 'tmpfs', mounted]);
		try {
			const one = await instance(mounted);
			const started = await one.start();
			expect(await post(one, 'dryers', { name: 'Before' })).toBe(201);
			const filler = join(mounted, 'filler');
			const free = statfsSync(mounted);
			writeFileSync(filler, Buffer.alloc(free.bavail * free.bsize));
			const states: number[] = [];
			const long = 'x'.repeat(100);
			await until('a write is refused for want of space', async () => {
				states.push(await post(one, 'dryers', { name: `${long}${states.length}` }).catch(() => 0));
				return states.at(-1) !== 201;
			});
			expect(states.at(-1), started.said()).toBe(507);
			rmSync(filler);
			await until('writes are taken again', async () => (await post(one, 'dryers', { name: 'After' }).catch(() => 0)) === 201);
			await one.remove();
		} finally {
			execFileSync('umount', ['-l', mounted]);
		}
	});
});
