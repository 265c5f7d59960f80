import { goto, invalidateAll } from '$app/navigation';
import { page } from '$app/state';
import type { FieldError } from '$lib/schemas/field-error';
import { refusedReading } from '$lib/schemas/refused-reading';
import type { SpoolEvidence } from '$lib/core/record/evidence/spool-evidence';
import { readReading } from '$lib/core/joins/read-reading';
import { When } from '../form/when.svelte';
import { BenchReadings } from './bench-readings.svelte';
import { railItem } from './rail-item';

type Given = {
	station: string;
	/** Evidence of the trial's spools as the page was given it. */
	evidence: () => readonly SpoolEvidence[];
	/** The spool to begin with where the address names none; the first if not said. */
	first?: string | null;
	/** What stands beside a spool in the rail. */
	status: (evidence: SpoolEvidence, index: number) => string;
	/** Lays over the evidence what else this page knows; captured readings are there already. */
	more?: (evidence: SpoolEvidence) => SpoolEvidence;
	/** Another spool was chosen. */
	onchoose?: () => void;
};

/** What every bench does alike: which spool is on it, which is next, what was captured on this page, and taking it back. */
export class Bench {
	/** When what is captured happened. */
	readonly when = new When();
	readonly captured: BenchReadings;
	/** Where numbers are typed; there is none on a bench that captures by a form. */
	field = $state<{ focus: () => void }>();
	readonly #given: Given;

	/** The evidence of all spools with what was captured here. */
	readonly live = $derived.by(() => {
		const { evidence, more } = this.#given;
		return evidence().map((e) => {
			const here = this.captured.of(e);
			return more ? more(here) : here;
		});
	});
	readonly index = $derived.by(() => {
		const wanted = page.url.searchParams.get('spool') ?? this.#given.first ?? null;
		return Math.max(
			0,
			this.live.findIndex((e) => e.spool.id === wanted)
		);
	});
	/** The spool on the bench; none while the trial has none. */
	readonly evidence = $derived(this.live[this.index]);
	readonly items = $derived(this.live.map((e, i) => railItem(e.spool, this.#given.status(e, i))));

	constructor(given: Given) {
		this.#given = given;
		this.captured = new BenchReadings(given.station, this.when);
	}

	focus(): void {
		this.field?.focus();
	}

	/** Another spool, or something else about it, by the address: a reload finds it again. */
	choose(spoolId: string, also: Record<string, string> = {}): void {
		const address = new URLSearchParams({ spool: spoolId, ...also });
		this.#given.onchoose?.();
		void goto(`?${address.toString()}`, { keepFocus: true, noScroll: true, replaceState: true });
		this.focus();
	}

	/** The spool after (or before) this one; after the last comes the first. */
	move(by: 1 | -1, also: Record<string, string> = {}): void {
		const next = this.live[(this.index + by + this.live.length) % this.live.length];
		if (next) this.choose(next.spool.id, also);
	}

	/**
	 * Keeps a reading of the spool on the bench, at once and without an answer from the server.
	 * @param own unit or words of a measure of the tester's own, which readings do not know
	 * @returns why it was not understood; then nothing is kept
	 */
	keep(quantity: string, typed: string, context: Record<string, unknown> = {}, own: string | readonly string[] = ''): FieldError | null {
		if (!this.evidence) return null;
		const read = readReading(quantity, typed, own);
		if (!read.ok) return refusedReading('typed', read);
		const refusal = this.when.refusal();
		if (refusal) return refusal;
		void this.captured.keep({ spoolId: this.evidence.spool.id, quantity, typed, ...context });
		return null;
	}

	/** Takes the last of some readings back: the one entered last, whenever it was taken. */
	takeBack(readings: readonly { id: string; status: string }[]): void {
		const id = lastEntered(readings)?.id;
		if (id) void this.captured.takeBack(id);
	}

	/** Something was amended: the server's word counts again. */
	async reload(): Promise<void> {
		await invalidateAll();
		this.captured.settle();
	}
}

/** The one entered last of those that count: ids grow with time. */
export const lastEntered = <T extends { id: string; status: string }>(readings: readonly T[]): T | undefined =>
	readings.filter((r) => r.status === 'counts').reduce<T | undefined>((last, r) => (last && last.id > r.id ? last : r), undefined);
