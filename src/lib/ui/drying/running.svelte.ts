import type { DryingRun } from '$lib/schemas/drying';

type Answer = { now: number; runs: DryingRun[] };

/** How often another device's runs are looked for. */
const LOOK_MS = 20_000;
const TICK_MS = 1000;

/**
 * The dryers that run now, with a clock that goes by the server's. What they show follows from the moments kept there, so a reload, a
 * restart or another device shows the same.
 */
class Running {
	runs = $state.raw<DryingRun[]>([]);
	now = $state(0);
	#offset = 0;
	#started = false;

	/** What the page was served with. */
	take(answer: Answer): void {
		this.#offset = answer.now - Date.now();
		this.runs = answer.runs;
		this.now = answer.now;
	}

	/** Begins to tick and to look; called once by the shell. */
	start(): void {
		if (this.#started) return;
		this.#started = true;
		setInterval(() => (this.now = Date.now() + this.#offset), TICK_MS);
		setInterval(() => void this.look(), LOOK_MS);
	}

	/** Asks the server; while it is away the timers simply go on. */
	async look(): Promise<void> {
		const response = await fetch('/api/v1/drying-runs').catch(() => null);
		if (response?.ok) this.take((await response.json()) as Answer);
	}
}

export const running = new Running();
