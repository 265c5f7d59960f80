// Tries faults one after the other in one running Vitest: a job a line comes in, its answer goes out. mutation/sample.mjs starts two of these.
import { writeFileSync } from 'node:fs';
import { createInterface } from 'node:readline';
import { createVitest } from 'vitest/node';

const vitest = await createVitest('test', { config: 'mutation/sample.config.mjs', watch: false, reporters: [{}] });
const specs = new Map((await vitest.globTestSpecifications()).map((s) => [s.moduleId, s]));

/** Whether every one of these test files passes; the first that does not ends it. @param {string[]} files */
async function pass(files) {
	for (const file of files) {
		const spec = specs.get(`${process.cwd()}/${file}`);
		if (!spec) throw new Error(`no test file ${file}`);
		const { testModules, unhandledErrors } = await vitest.runTestSpecifications([spec]);
		if (unhandledErrors.length > 0 || testModules.some((m) => !m.ok())) return false;
	}
	return true;
}

console.log(JSON.stringify({ ready: true }));
for await (const line of createInterface({ input: process.stdin })) {
	const { id, files } = JSON.parse(line);
	writeFileSync(process.env.DRAUGHT_ACTIVE ?? '', id);
	console.log(JSON.stringify({ id, passed: await pass(files) }));
}
await vitest.close();
