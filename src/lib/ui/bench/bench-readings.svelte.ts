import { SvelteMap, SvelteSet } from 'svelte/reactivity';
import type { Reading } from '$lib/core/record/evidence/reading';
import type { SpoolEvidence } from '$lib/core/record/evidence/spool-evidence';
import { hereAndNow, newId } from '../form/send';
import type { When } from '../form/when.svelte';
import { withLocal, readingOfItem } from './local-readings';
import { outbox } from './outbox-state.svelte';

/** What was captured on this page: readings keep showing after they left the outbox, until the page loads them again. */
export class BenchReadings {
	#station: string;
	#local = new SvelteMap<string, Reading & { spoolId: string }>();
	#takenBack = new SvelteSet<string>();
	readonly #when: When | null;

	/** @param when readings may be of another time than now */
	constructor(station: string, when: When | null = null) {
		this.#station = station;
		this.#when = when;
	}

	/** The evidence of a spool with everything captured here, in the order it was taken. */
	of(evidence: SpoolEvidence): SpoolEvidence {
		const waiting = outbox.items.flatMap((item) => readingOfItem(item, this.#station) ?? []);
		const refused = new Set(outbox.refused.map((item) => item.id));
		const all = [...this.#local.values(), ...waiting.filter((w) => !this.#local.has(w.id))];
		const mine = all.filter((r) => r.spoolId === evidence.spool.id && !refused.has(r.id) && !outbox.dropped.has(r.id));
		return withLocal(evidence, mine, this.#takenBack);
	}

	get waiting(): ReadonlySet<string> {
		return new Set(outbox.items.filter((i) => !i.refused).map((i) => i.id));
	}

	/** Puts a reading into the outbox and shows it at once. */
	async keep(body: { spoolId: string; quantity: string; typed: string } & Record<string, unknown>): Promise<void> {
		const { at: takenAt, zone } = this.#when?.moment() ?? hereAndNow();
		const whole = { id: newId(), takenAt, zone, ...body };
		const reading = readingOfItem({ id: whole.id, path: 'readings', body: whole, madeAt: 0, refused: null }, this.#station);
		if (reading) this.#local.set(reading.id, reading);
		// The unit of an own measure is for this page only; the server knows it.
		const { ownUnit: _, ...wire } = whole as typeof whole & { ownUnit?: unknown };
		await outbox.put('readings', wire);
	}

	/** Takes a reading back: marked invalid, not gone, and said so. */
	async takeBack(readingId: string): Promise<void> {
		this.#takenBack.add(readingId);
		await outbox.put('amendments', {
			id: newId(),
			targetKind: 'reading',
			targetId: readingId,
			action: 'exclude',
			reason: 'taken back at the bench',
			...hereAndNow()
		});
	}

	/** After the page has loaded again, the server's word counts. */
	settle(): void {
		this.#takenBack.clear();
	}
}
