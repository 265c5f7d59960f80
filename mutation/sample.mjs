// npm run mutate:sample [ROOM...]: a seeded sample of 150 faults a room, each tried under the tests that reach it (docs/testing.md).
import { execFileSync, spawn } from 'node:child_process';
import { cpSync, existsSync, mkdirSync, readdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { createInterface } from 'node:readline';
import { createInjector } from 'typed-inject';
import { commonTokens } from '@stryker-mutator/api/plugin';
import { createInstrumenter } from '@stryker-mutator/instrumenter';
import { isBroken, ROOMS } from './rooms.mjs';

const SAMPLE = Number(process.env.DRAUGHT_SAMPLE ?? 150);
const SEED = Number(process.env.DRAUGHT_SEED ?? 1);
/** Two at a time, for two processors. */
const AT_ONCE = 2;
/** Tests that reach a fault are run until they took so long without it, s: what all tests of the server go through would take hours. */
const ENOUGH_S = Number(process.env.DRAUGHT_ENOUGH_S ?? 40);

const box = resolve('.cache/bite');
const state = join(box, 'state');

/** A number from 0 to 1 that follows from its text alone. @param {string} text */
function drawOf(text) {
	let h = 2166136261 ^ SEED;
	for (const sign of text) h = Math.imul(h ^ (sign.codePointAt(0) ?? 0), 16777619);
	h = Math.imul(h ^ (h >>> 15), 2246822507);
	h = Math.imul(h ^ (h >>> 13), 3266489909);
	return ((h ^ (h >>> 16)) >>> 0) / 4294967296;
}

/** The tree with all faults in it, each asleep. */
async function prepare() {
	rmSync(box, { recursive: true, force: true });
	mkdirSync(state, { recursive: true });
	const files = execFileSync('git', ['ls-files', '-co', '--exclude-standard'], { encoding: 'utf8' }).split('\n').filter(existsSync);
	for (const file of files) {
		mkdirSync(dirname(join(box, file)), { recursive: true });
		cpSync(file, join(box, file));
	}
	symlinkSync(resolve('node_modules'), join(box, 'node_modules'));
	if (existsSync('.svelte-kit')) cpSync('.svelte-kit', join(box, '.svelte-kit'), { recursive: true });

	// It says nothing: every question of its gets a no.
	const logger = new Proxy({}, { get: () => () => false });
	const injector = createInjector()
		.provideValue(commonTokens.logger, /** @type {any} */ (logger))
		.provideValue(commonTokens.options, /** @type {any} */ ({}));
	const instrumenter = injector.injectFunction(/** @type {any} */ (createInstrumenter));
	const wanted = files.filter(
		(file) =>
			isBroken(file) &&
			Object.values(ROOMS)
				.flat()
				.some((room) => file.startsWith(`${room}/`))
	);
	const { files: broken, mutants } = await instrumenter.instrument(
		wanted.map((name) => ({ name, content: readFileSync(name, 'utf8'), mutate: true })),
		{ plugins: null, excludedMutations: [], ignorers: [] }
	);
	for (const { name, content } of broken) writeFileSync(join(box, name), `// @ts-nocheck\n${content}`);
	writeFileSync(join(state, 'mutants.json'), JSON.stringify(mutants.map((m) => ({ ...m, replacement: m.replacement }))));
}

/** A running Vitest that is asked for one fault after the other; one that hangs is replaced. */
class Trier {
	/** @param {number} number */
	constructor(number) {
		this.active = join(state, `active-${number}`);
	}
	start() {
		writeFileSync(this.active, '');
		const env = { ...process.env, DRAUGHT_ACTIVE: this.active };
		const child = spawn('node', ['mutation/try.mjs'], { cwd: box, detached: true, stdio: ['pipe', 'pipe', 'ignore'], env });
		this.child = child;
		this.lines = createInterface({ input: child.stdout })[Symbol.asyncIterator]();
	}
	async answer() {
		for (;;) {
			const { value, done } = await this.lines.next();
			if (done) throw new Error('Vitest ended');
			if (value.startsWith('{')) return JSON.parse(value);
		}
	}
	/** Whether these tests pass with this fault; null when they hang. @param {string} id @param {string[]} files @param {number} mostS */
	async passes(id, files, mostS) {
		if (!this.child) {
			this.start();
			await this.answer();
		}
		this.child.stdin.write(`${JSON.stringify({ id, files })}\n`);
		let timer;
		const late = new Promise((done) => (timer = setTimeout(() => done(null), mostS * 1000)));
		const told = await Promise.race([this.answer(), late]);
		clearTimeout(timer);
		if (told === null) this.end();
		return told && told.passed;
	}
	end() {
		if (!this.child) return;
		process.kill(-this.child.pid, 'SIGKILL');
		this.child = null;
	}
}

/** What reaches which fault, and how long each test file takes. */
async function reach() {
	const { passed, said } = await run([], { DRAUGHT_REACH: state }, 3600);
	if (!passed)
		throw new Error(
			`the tests fail with every fault asleep:\n${said
				.split('\n')
				.filter((l) => l.includes('FAIL') || l.includes('Error'))
				.join('\n')}`
		);
}

function tell(rooms) {
	for (const room of rooms) {
		const path = join(state, `${room}.json`);
		if (!existsSync(path)) continue;
		const results = Object.values(JSON.parse(readFileSync(path, 'utf8')));
		const killed = results.filter((r) => r.status !== 'survived' && r.status !== 'not reached').length;
		console.log(`${room}: ${killed} of ${results.length} killed (${((100 * killed) / results.length).toFixed(1)} %)`);
		for (const r of results)
			if (r.status === 'survived' || r.status === 'not reached') console.log(`  ${r.status} ${r.at} ${r.kind}: ${r.was} -> ${r.by}`);
	}
}

const args = process.argv.slice(2);
const rooms = args.filter((a) => a in ROOMS);
const chosen = rooms.length > 0 ? rooms : Object.keys(ROOMS);
if (args.includes('tell')) tell(chosen);
else {
	if (!existsSync(join(state, 'mutants.json')) || args.includes('anew')) await prepare();
	const reports = () => readdirSync(state).filter((f) => f.startsWith('reach-'));
	if (reports().length === 0) await reach();
	const mutants = JSON.parse(readFileSync(join(state, 'mutants.json'), 'utf8'));
	/** @type {{ file: string, s: number, reached: Set<string> }[]} */
	const tests = reports().map((f) => {
		const { file, s, reached } = JSON.parse(readFileSync(join(state, f), 'utf8'));
		return { file, s, reached: new Set(reached) };
	});
	for (const room of chosen) {
		const folders = ROOMS[room] ?? [];
		const own = mutants.filter((m) => folders.some((folder) => m.fileName.startsWith(`${folder}/`)));
		const key = (m) => `${m.fileName}:${m.location.start.line}:${m.location.start.column} ${m.mutatorName} ${m.replacement}`;
		const sample = own.toSorted((a, b) => drawOf(key(a)) - drawOf(key(b))).slice(0, SAMPLE);
		const path = join(state, `${room}.json`);
		const results = existsSync(path) ? JSON.parse(readFileSync(path, 'utf8')) : {};
		const queue = sample.filter((m) => !(m.id in results));
		const work = async (_, number) => {
			const trier = new Trier(number);
			// What always fails would seem to notice everything.
			const quickest = tests.filter((t) => sample.some((m) => t.reached.has(m.id))).toSorted((a, b) => a.s - b.s)[0];
			if (quickest && !(await trier.passes('', [quickest.file], 300))) throw new Error(`${quickest.file} fails with every fault asleep`);
			for (let m = queue.shift(); m; m = queue.shift()) {
				const mutant = m;
				const reaching = tests.filter((t) => t.reached.has(mutant.id));
				const near = (t) => (dirname(t.file) === dirname(mutant.fileName) ? 0 : 1);
				reaching.sort((a, b) => near(a) - near(b) || a.s - b.s);
				const asked = [];
				let s = 0;
				for (const t of reaching) {
					if (asked.length > 0 && s + t.s > ENOUGH_S) continue;
					s += t.s;
					asked.push(t.file);
				}
				const lines = readFileSync(mutant.fileName, 'utf8')
					.split('\n')
					.slice(mutant.location.start.line, mutant.location.end.line + 1);
				const { start, end } = mutant.location;
				const was = lines
					.map((line, i) => line.slice(i === 0 ? start.column : 0, i === lines.length - 1 ? end.column : undefined))
					.join(' ');
				const entry = {
					at: `${mutant.fileName}:${start.line + 1}`,
					kind: mutant.mutatorName,
					was: was.slice(0, 120),
					by: mutant.replacement.slice(0, 80)
				};
				if (asked.length === 0) results[mutant.id] = { ...entry, status: 'not reached' };
				else {
					const passed = await trier.passes(mutant.id, asked, 60 + 4 * s);
					results[mutant.id] = { ...entry, status: passed === null ? 'hung' : passed ? 'survived' : 'killed', tests: asked.length };
				}
				writeFileSync(path, JSON.stringify(results, null, 1));
			}
			trier.end();
		};
		await Promise.all(Array.from({ length: AT_ONCE }, work));
		tell([room]);
	}
}
