import { existsSync, readFileSync } from 'node:fs';
import { PARTS } from './parts.mjs';

/** One line a part: how many faults there were, and how many a test noticed. */
for (const part of Object.keys(PARTS)) {
	const path = `.cache/mutation/${part}.json`;
	if (!existsSync(path)) continue;
	const { files } = JSON.parse(readFileSync(path, 'utf8'));
	const all = Object.values(files).flatMap((file) => file.mutants.map((m) => m.status));
	const count = (...statuses) => all.filter((s) => statuses.includes(s)).length;
	const killed = count('Killed', 'Timeout');
	const valid = killed + count('Survived', 'NoCoverage');
	console.log(`${part}: ${killed} of ${valid} killed (${((100 * killed) / valid).toFixed(1)} %)`);
}
