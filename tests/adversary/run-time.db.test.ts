import { readdirSync, readFileSync, statSync } from 'node:fs';
import { builtinModules } from 'node:module';
import { join } from 'node:path';
import ts from 'typescript';
import { expect, it } from 'vitest';

const { dependencies } = JSON.parse(readFileSync('package.json', 'utf8')) as { dependencies: Record<string, string> };

/** Scripts that Node runs: the server, and the tasks before and beside it. */
const scripts = (folder: string): string[] =>
	readdirSync(folder).flatMap((name) => {
		const path = join(folder, name);
		return statSync(path).isDirectory() ? scripts(path) : path.endsWith('.js') ? [path] : [];
	});

/** `name` or `@scope/name` of what is imported from outside. */
const packageOf = (from: string): string =>
	from
		.split('/')
		.slice(0, from.startsWith('@') ? 2 : 1)
		.join('/');

it('what runs after the build needs nothing of devDependencies', () => {
	const run = ['build/handler.js', ...scripts('build/server'), ...scripts('build/tasks'), 'scripts/web.mjs'];
	const imported = run.flatMap((path) =>
		ts
			.preProcessFile(readFileSync(path, 'utf8'), true, true)
			.importedFiles.map((found) => found.fileName)
			.filter((from) => /^[@a-z]/.test(from) && !from.startsWith('node:') && !builtinModules.includes(from))
			.map(packageOf)
	);
	// Otherwise this would hold of an empty folder.
	expect(imported).toEqual(expect.arrayContaining(['drizzle-orm', 'mysql2', 'zod', 'sharp', 'compression']));
	expect([...new Set(imported)].filter((name) => !(name in dependencies))).toEqual([]);
});
