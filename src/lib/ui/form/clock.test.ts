import { describe, expect, it } from 'vitest';
import { Clock } from './clock';

const SERVER = 1_790_000_000_000;

function device(aheadMs: number) {
	let server = SERVER;
	let ahead = aheadMs;
	const clock = new Clock(() => server + ahead);
	return {
		clock,
		pass: (ms: number) => (server += ms),
		set: (ms: number) => (ahead = ms),
		/** Asks the server, which answers half-way. */
		ask: (roundTripMs: number) => {
			const askedAt = server + ahead;
			const said = server + roundTripMs / 2;
			server += roundTripMs;
			clock.heard(said, askedAt);
		},
		server: () => server
	};
}

describe('the clock of a device', () => {
	it('an hour ahead is corrected to the server’s, and says by how much', () => {
		const d = device(3_600_000);
		d.ask(400);
		d.pass(60_000);
		expect(d.clock.aheadMs).toBe(3_600_000);
		expect(d.clock.now()).toBe(d.server());
	});
	it('behind is corrected as well', () => {
		const d = device(-900_000);
		d.ask(200);
		expect(d.clock.now()).toBe(d.server());
	});
	it('some seconds off is left alone', () => {
		const d = device(9_000);
		d.ask(200);
		expect(d.clock.aheadMs).toBe(0);
		expect(d.clock.now()).toBe(d.server() + 9_000);
	});
	it('not measured yet is its own', () => {
		const d = device(3_600_000);
		expect(d.clock.now()).toBe(SERVER + 3_600_000);
	});
	it('keeps the better of two measurements, until the clock was set', () => {
		const d = device(60_000);
		d.ask(100);
		d.ask(9_000);
		expect(d.clock.aheadMs).toBe(60_000);
		d.set(0);
		d.ask(9_000);
		expect(d.clock.aheadMs).toBe(0);
	});
});
