import { nth } from '$lib/core/kernel/lists/nth';
import { cellsOf, studyPlan, type StudySize, type StudyStep } from '$lib/core/stations/diameter/study-plan';
import { gaugeStudy, type GaugeStudy } from '$lib/core/stations/diameter/gauge-study';
import { randomSource } from '$lib/core/kernel/random/source';
import { readReading } from '$lib/core/joins/read-reading';

type Stored = { raters: string[]; places: number; repeats: number; seed: number; typed: string[] };

/**
 * A gauge study on its way: what was typed stays in the browser until it is kept, so that a closed page loses nothing. The order follows
 * from the seed, so it is the same after a reload.
 */
export class StudyDraft {
	#key: string;
	#stored = $state<Stored | null>(null);
	readonly plan = $derived<StudyStep[]>(this.#stored ? studyPlan(sizeOf(this.#stored), randomSource(this.#stored.seed)) : []);
	readonly raters = $derived(this.#stored?.raters ?? []);
	readonly typed = $derived(this.#stored?.typed ?? []);
	/** Who measures where next; null when all is measured, or nothing was begun. */
	readonly step = $derived<StudyStep | null>(this.plan[this.typed.length] ?? null);
	readonly begun = $derived(this.#stored !== null);
	readonly readings = $derived(this.typed.map((typed, i) => ({ ...nth(this.plan, i), typed })));
	readonly found = $derived.by<GaugeStudy | null>(() => {
		if (!this.begun || this.step) return null;
		const cells = cellsOf(this.readings.map(({ place, rater, typed }) => ({ place, rater, value: valueOf(typed) })));
		return cells && gaugeStudy(cells);
	});

	constructor(instrumentId: string) {
		this.#key = `draught-gauge-study ${instrumentId}`;
		const text = localStorage.getItem(this.#key);
		this.#stored = text ? (JSON.parse(text) as Stored) : null;
	}

	begin(raters: string[], size: Omit<StudySize, 'raters'>, seed: number): void {
		this.#save({ raters, ...size, seed, typed: [] });
	}

	keep(typed: string): void {
		if (this.#stored) this.#save({ ...this.#stored, typed: [...this.#stored.typed, typed] });
	}

	takeBack(): void {
		if (this.#stored) this.#save({ ...this.#stored, typed: this.#stored.typed.slice(0, -1) });
	}

	drop(): void {
		localStorage.removeItem(this.#key);
		this.#stored = null;
	}

	#save(stored: Stored): void {
		this.#stored = stored;
		localStorage.setItem(this.#key, JSON.stringify(stored));
	}
}

const sizeOf = ({ places, raters, repeats }: Stored): StudySize => ({ places, raters: raters.length, repeats });

function valueOf(typed: string): number {
	const read = readReading('diameter', typed);
	return read.ok ? read.value : NaN;
}
