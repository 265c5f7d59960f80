import { SvelteMap } from 'svelte/reactivity';
import type { SpoolEvidence } from '$lib/core/record/evidence/spool-evidence';

/** Reads the evidence of one spool; null when the server does not answer. */
async function readEvidence(spoolId: string, station: string): Promise<SpoolEvidence | null> {
	try {
		const response = await fetch(`/api/v1/spools/${spoolId}/evidence?station=${station}`);
		return response.ok ? ((await response.json()) as { evidence: SpoolEvidence }).evidence : null;
	} catch {
		return null;
	}
}

/**
 * The evidence of a trial's spools as far as this page has it. The opened spool comes with the page; the others are fetched one after the
 * other, the next ones first, so that a page stays light and still knows them all when the server is away.
 */
export class Shelf {
	#station: string;
	#read: typeof readEvidence;
	#held = new SvelteMap<string, SpoolEvidence>();
	#filling = 0;

	constructor(station: string, read = readEvidence) {
		this.#station = station;
		this.#read = read;
	}

	/** The evidence of a spool: what is here of it, else what the page was given. */
	of(given: SpoolEvidence): SpoolEvidence {
		return this.#held.get(given.spool.id) ?? given;
	}

	/** Whether the evidence of a spool is here, perhaps from before its last change: what was captured on this page since is known to the page. */
	has(spoolId: string): boolean {
		return this.#held.has(spoolId);
	}

	/** Takes what a load of the page brought whole, then fetches what is missing or out of date. A later call ends an earlier one. */
	async fill(given: readonly SpoolEvidence[], openedId: string | null): Promise<void> {
		const mine = ++this.#filling;
		const at = given.findIndex((e) => e.spool.id === openedId);
		const opened = given[at];
		if (opened) this.#held.set(opened.spool.id, opened);
		for (const { spool } of [...given.slice(Math.max(0, at)), ...given.slice(0, Math.max(0, at))]) {
			if (this.#held.get(spool.id)?.spool.revision === spool.revision) continue;
			const evidence = await this.#read(spool.id, this.#station);
			if (mine !== this.#filling || !evidence) return;
			this.#held.set(spool.id, evidence);
		}
	}

	/** The page is left. */
	stop(): void {
		this.#filling += 1;
	}
}
