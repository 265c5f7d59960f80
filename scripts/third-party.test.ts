import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { thirdParty } from './third-party.mjs';

const lock = JSON.parse(readFileSync('package-lock.json', 'utf8')) as { packages: Record<string, object> };

it('THIRD-PARTY.md tells what the lock file holds', () => {
	expect(readFileSync('THIRD-PARTY.md', 'utf8'), 'npm run third-party writes it anew').toBe(thirdParty(lock));
});

it('names what runs and what is built in, and nothing that only develops', () => {
	const told = thirdParty({
		packages: {
			'': {},
			'node_modules/zod': { version: '4.0.0', license: 'MIT' },
			'node_modules/a/node_modules/zod': { version: '3.0.0', license: 'MIT' },
			'node_modules/svelte': { version: '5.0.0', license: 'MIT', dev: true },
			'node_modules/vitest': { version: '4.0.0', license: 'MIT', dev: true },
			'node_modules/@img/sharp-libvips-x': { version: '1.0.0', license: 'LGPL-3.0-or-later', optional: true, os: ['linux'] },
			'node_modules/odd': { version: '1.0.0' }
		}
	});
	expect(told.split('\n').filter((line) => line.startsWith('| ') && !line.startsWith('| package'))).toEqual([
		'| @img/sharp-libvips-x | 1.0.0 | LGPL-3.0-or-later | where it fits (linux) |',
		'| odd | 1.0.0 | see its package | at run time |',
		'| svelte | 5.0.0 | MIT | built in |',
		'| zod | 3.0.0 | MIT | at run time |',
		'| zod | 4.0.0 | MIT | at run time |'
	]);
});
