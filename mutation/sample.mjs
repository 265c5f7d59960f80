// npm run mutate:sample [ROOM...]: a seeded sample of 150 faults a room, each tried under the tests that reach it (docs/testing.md).
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { state } from './box.mjs';
import { prepare, reach } from './prepare.mjs';
import { ROOMS } from './rooms.mjs';
import { Trier } from './trier.mjs';

const SAMPLE = Number(process.env.DRAUGHT_SAMPLE ?? 150);
const SEED = Number(process.env.DRAUGHT_SEED ?? 1);
/** Two at a time, for two processors. */
const AT_ONCE = 2;
/** Tests that reach a fault are run until they took so long without it, s: what all tests of the server go through would take hours. */
const ENOUGH_S = Number(process.env.DRAUGHT_ENOUGH_S ?? 40);

/** A number from 0 to 1 that follows from its text alone. @param {string} text */
function drawOf(text) {
	let h = 2166136261 ^ SEED;
	for (const sign of text) h = Math.imul(h ^ (sign.codePointAt(0) ?? 0), 16777619);
	h = Math.imul(h ^ (h >>> 15), 2246822507);
	h = Math.imul(h ^ (h >>> 13), 3266489909);
	return ((h ^ (h >>> 16)) >>> 0) / 4294967296;
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
	if (reports().length === 0) reach();
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
