import type { FieldError } from '$lib/schemas/field-error';
import { Submission } from './submission';

type Action = 'correct' | 'exclude' | 'reinstate' | 'undo';

/** The state of one amend dialog: which record, why, and what was wrong with the last try. */
export class Amending<T extends { id: string }> {
	chosen = $state.raw<T | null>(null);
	open = $state(false);
	reason = $state('');
	errors = $state.raw<FieldError[]>([]);
	problem = $state('');
	#submission = new Submission();
	#targetKind: 'reading' | 'attempt' | 'specimen';
	#ondone: () => void;

	constructor(targetKind: 'reading' | 'attempt' | 'specimen', ondone: () => void) {
		this.#targetKind = targetKind;
		this.#ondone = ondone;
	}

	edit(record: T): void {
		this.chosen = record;
		this.reason = '';
		this.errors = [];
		this.problem = '';
		this.#submission.renew();
		this.open = true;
	}

	async amend(action: Action, more: object = {}, target: T | null = this.chosen): Promise<void> {
		if (!target) return;
		const sent = await this.#submission.send('amendments', {
			targetKind: this.#targetKind,
			targetId: target.id,
			action,
			reason: this.reason,
			...more
		});
		this.errors = sent.ok ? [] : sent.errors;
		this.problem = sent.ok || sent.errors.length ? '' : sent.title;
		if (sent.ok) this.done();
	}

	/** Closes the dialog and lets the page load anew. */
	done(): void {
		this.open = false;
		this.#ondone();
	}
}
