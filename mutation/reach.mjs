import { createHash } from 'node:crypto';
import { writeFileSync } from 'node:fs';
import { relative } from 'node:path';
import { afterAll, expect } from 'vitest';

// Beside each test file: which faults it goes past, and how long it took.
const began = performance.now();
afterAll(() => {
	const file = relative(process.cwd(), expect.getState().testPath ?? '');
	const counted = globalThis.__stryker__?.mutantCoverage?.static ?? {};
	const name = createHash('sha1').update(file).digest('hex').slice(0, 12);
	writeFileSync(
		`${process.env.DRAUGHT_REACH}/reach-${name}.json`,
		JSON.stringify({ file, s: (performance.now() - began) / 1000, reached: Object.keys(counted) })
	);
});
