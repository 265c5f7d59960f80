import { readFileSync } from 'node:fs';

// Before anything of ours is read: which fault is awake. None when the file is empty.
if (process.env.DRAUGHT_ACTIVE) {
	const activeMutant = readFileSync(process.env.DRAUGHT_ACTIVE, 'utf8');
	globalThis.__stryker__ = activeMutant === '' ? {} : { activeMutant };
}
