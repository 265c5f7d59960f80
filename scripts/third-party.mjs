// npm run third-party: writes THIRD-PARTY.md, what of others Draught runs on or carries in its pages, from the lock file.
import { readFileSync, writeFileSync } from 'node:fs';
import { pathToFileURL } from 'node:url';

/** Packages of the development of which something is built into the pages or the server. */
const BUILT_IN = [
	'svelte',
	'@sveltejs/kit',
	'flowbite',
	'flowbite-svelte',
	'flowbite-svelte-icons',
	'tailwindcss',
	'@fontsource-variable/archivo',
	'devalue'
];

/** @typedef {{ version?: string, license?: string, dev?: boolean, devOptional?: boolean, optional?: boolean, os?: string[] }} Locked */

/** @param {{ packages: Record<string, Locked> }} lock */
export function thirdParty({ packages }) {
	const rows = Object.entries(packages).flatMap(([path, { version, license, dev, devOptional, optional, os }]) => {
		const name = path.slice(path.lastIndexOf('node_modules/') + 'node_modules/'.length);
		if (path === '' || version === undefined) return [];
		const isBuiltIn = BUILT_IN.includes(name);
		if ((dev === true || devOptional === true) && !isBuiltIn) return [];
		const where = isBuiltIn ? 'built in' : optional === true ? `where it fits${os ? ` (${os.join(', ')})` : ''}` : 'at run time';
		return [{ name, version, licence: license ?? 'see its package', where }];
	});
	const lines = rows
		.toSorted((a, b) => a.name.localeCompare(b.name, 'en') || a.version.localeCompare(b.version, 'en'))
		.map(({ name, version, licence, where }) => `| ${name} | ${version} | ${licence} | ${where} |`);
	return `# What Draught carries of others

Made from \`package-lock.json\` by \`npm run third-party\`; a test holds it to that file. The text of each licence lies in the package itself, under
\`node_modules/\`. Debian's packages that the scripts install (MariaDB, Chromium for the tests, fonts for the tests) keep their own terms, under
\`/usr/share/doc/\`.

- **Fonts.** Archivo (\`@fontsource-variable/archivo\`) is under the SIL Open Font License 1.1: it may be used, passed on and changed, not sold by itself;
  the licence goes along with it.
- **Pictures.** Photographs are read by sharp (Apache-2.0), which loads libvips, a library under the GNU Lesser General Public License 3.0 or later, as
  a file of its own (\`@img/sharp-libvips-*\`). You may replace that file by a libvips you have built yourself; its source is that of the libvips
  project in the version named below. Draught links to it and changes nothing in it.

| package | version | licence | |
|---|---|---|---|
${[...new Set(lines)].join('\n')}
`;
}

if (process.argv[1] && import.meta.url === pathToFileURL(process.argv[1]).href)
	writeFileSync('THIRD-PARTY.md', thirdParty(JSON.parse(readFileSync('package-lock.json', 'utf8'))));
