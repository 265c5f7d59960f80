import { execFileSync, spawnSync } from 'node:child_process';
import { cpSync, existsSync, mkdirSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { createInjector } from 'typed-inject';
import { commonTokens } from '@stryker-mutator/api/plugin';
import { createInstrumenter } from '@stryker-mutator/instrumenter';
import { box, state } from './box.mjs';
import { isBroken, ROOMS } from './rooms.mjs';

/** The tree with all faults in it, each asleep. */
export async function prepare() {
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

/** All tests once, with every fault asleep: what reaches which fault, and how long each test file takes. */
export function reach() {
	const env = { ...process.env, DRAUGHT_REACH: state };
	const args = ['node_modules/vitest/vitest.mjs', 'run', '--config', 'mutation/sample.config.mjs'];
	const { status, stdout } = spawnSync('node', args, { cwd: box, env, encoding: 'utf8', maxBuffer: 1e9 });
	if (status === 0) return;
	const faults = stdout.split('\n').filter((line) => line.includes('FAIL') || line.includes('Error'));
	throw new Error(`the tests fail with every fault asleep:\n${faults.join('\n')}`);
}
