import { readConfig } from '../../src/lib/server/base/config';

/** The configuration of a task run from the command line; tasks do not listen, so HOST does not matter to them. */
export function taskConfig() {
	return readConfig({ ...process.env, HOST: '127.0.0.1' });
}

/** Runs a task and ends with one clear line when it fails. */
export async function runTask(task: () => Promise<void>): Promise<void> {
	try {
		await task();
	} catch (error) {
		console.error(`draught: ${error instanceof Error ? error.message : String(error)}`);
		process.exitCode = 1;
	}
}
