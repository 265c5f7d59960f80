import { Form } from './form.svelte';
import type { When } from './when.svelte';

type Action = 'correct' | 'exclude' | 'reinstate' | 'undo';

/** The state of one amend dialog: which record, why, and what was wrong with the last try. */
export class Amending<T extends { id: string }> {
	chosen = $state.raw<T | null>(null);
	open = $state(false);
	reason = $state('');
	#form: Form;
	readonly targetKind: 'reading' | 'attempt' | 'specimen';
	#ondone: () => void;

	/**
	 * @param fields of the correction, by their paths
	 * @param when the record really happened, where that can be corrected
	 */
	constructor(targetKind: 'reading' | 'attempt' | 'specimen', ondone: () => void, fields: string[] = [], when?: When) {
		this.targetKind = targetKind;
		this.#form = new Form({ fields: ['reason', ...fields], when });
		this.#ondone = ondone;
	}

	get errors() {
		return this.#form.errors;
	}

	get problem(): string {
		return this.#form.problem;
	}

	edit(record: T): void {
		this.chosen = record;
		this.reason = '';
		this.#form.clear();
		this.open = true;
	}

	async amend(action: Action, more: object = {}, target: T | null = this.chosen): Promise<void> {
		if (!target) return;
		const sent = await this.#form.send('amendments', {
			targetKind: this.targetKind,
			targetId: target.id,
			action,
			reason: this.reason,
			...more
		});
		if (sent.ok) this.done();
	}

	/** Closes the dialog and lets the page load anew. */
	done(): void {
		this.open = false;
		this.#ondone();
	}
}
