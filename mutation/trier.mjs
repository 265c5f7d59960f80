import { spawn } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { createInterface } from 'node:readline';
import { box, state } from './box.mjs';

/** A running Vitest that is asked for one fault after the other; one that hangs is replaced. */
export class Trier {
	/** @param {number} number */
	constructor(number) {
		this.active = join(state, `active-${number}`);
	}
	start() {
		writeFileSync(this.active, '');
		const env = { ...process.env, DRAUGHT_ACTIVE: this.active };
		const child = spawn('node', ['mutation/try.mjs'], { cwd: box, detached: true, stdio: ['pipe', 'pipe', 'ignore'], env });
		this.child = child;
		this.lines = createInterface({ input: child.stdout })[Symbol.asyncIterator]();
	}
	async answer() {
		for (;;) {
			const { value, done } = await this.lines.next();
			if (done) throw new Error('Vitest ended');
			if (value.startsWith('{')) return JSON.parse(value);
		}
	}
	/** Whether these tests pass with this fault; null when they hang. @param {string} id @param {string[]} files @param {number} mostS */
	async passes(id, files, mostS) {
		if (!this.child) {
			this.start();
			await this.answer();
		}
		this.child.stdin.write(`${JSON.stringify({ id, files })}\n`);
		let timer;
		const late = new Promise((done) => (timer = setTimeout(() => done(null), mostS * 1000)));
		const told = await Promise.race([this.answer(), late]);
		clearTimeout(timer);
		if (told === null) this.end();
		return told && told.passed;
	}
	end() {
		if (!this.child) return;
		process.kill(-this.child.pid, 'SIGKILL');
		this.child = null;
	}
}
