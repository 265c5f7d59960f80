/** Lets waiting requests through between two parts of long work. */
export const letOthersIn = (): Promise<void> => new Promise((resolve) => setImmediate(resolve));

const TURN_MS = 10;

/** Tells long work when its turn is over. By the time it took, not by rows: a row is soon read on one machine and late on another. */
export function turns(): { over: () => boolean } {
	let since = performance.now();
	return {
		over: () => {
			const now = performance.now();
			if (now - since < TURN_MS) return false;
			since = now;
			return true;
		}
	};
}
