import { invalidateAll } from '$app/navigation';
import type { Criterion } from '$lib/core/answers/pick/types';
import type { ValueRule } from '$lib/core/judging/trial/protocol';
import { Form } from '../form/form.svelte';

type Given = { trialId: string; criteria: Criterion[]; rule: ValueRule };

/** What a hand moves on the pick: weights and rule show at once, and are kept when the hand lets go. */
export class Weighing {
	#moved = $state.raw<Criterion[] | null>(null);
	#movedRule = $state<ValueRule | null>(null);
	/** Weights on their way. */
	#settling = $state(0);
	readonly #weights = new Form({ fields: [], supersedes: true });
	readonly #ruling = new Form({ fields: [], supersedes: true });
	readonly #given: () => Given;
	/** As they were last shown or saved here. */
	#seen: Given;
	/** Weights settle one after the other, so that the last one moved is the last one kept. */
	#queue = Promise.resolve();

	readonly criteria = $derived.by(() => this.#moved ?? this.#given().criteria);
	readonly rule = $derived.by(() => this.#movedRule ?? this.#given().rule);
	readonly isMoved = $derived.by(() => this.#moved !== null || this.#movedRule !== null);
	readonly state = $derived.by(() => (this.#settling > 0 ? 'saving …' : this.#moved ? 'saved' : ''));
	readonly problem = $derived.by(() => this.#weights.problem || this.#ruling.problem);
	/** Whether nobody knows if the last of them arrived. */
	readonly unknown = $derived.by(() => this.#weights.unknown || this.#ruling.unknown);

	constructor(given: () => Given) {
		this.#given = given;
		this.#seen = given();
	}

	/** Shows weights that are still being moved. */
	move(items: Criterion[]): void {
		this.#moved = items;
	}

	settle(items: Criterion[]): void {
		this.#moved = items;
		this.#settling += 1;
		this.#queue = this.#queue.then(async () => {
			const { trialId } = this.#given();
			const sent = await this.#weights.send('criteria', { trialId, items, seen: { items: this.#seen.criteria } });
			if (sent.ok) this.#seen = { ...this.#seen, criteria: items };
			else if (sent.status === 409) await this.#seeAnew();
			this.#settling -= 1;
		});
	}

	async setRule(value: ValueRule): Promise<void> {
		this.#movedRule = value;
		const { trialId } = this.#given();
		const sent = await this.#ruling.send('protocols', { trialId, valueRule: value, seen: { valueRule: this.#seen.rule } });
		if (sent.ok) this.#seen = { ...this.#seen, rule: value };
		else if (sent.status === 409) await this.#seeAnew();
	}

	/** Sends again what may not have arrived. */
	again(): void {
		void (this.#weights.unknown ? this.#weights : this.#ruling).again();
	}

	/** Somebody else changed them meanwhile. */
	async #seeAnew(): Promise<void> {
		await invalidateAll();
		this.#seen = this.#given();
	}
}
