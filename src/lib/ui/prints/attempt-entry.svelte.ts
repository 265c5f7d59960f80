import { invalidateAll } from '$app/navigation';
import { conditionAt } from '$lib/core/record/conditions/condition-at';
import type { SpoolEvidence } from '$lib/core/record/evidence/spool-evidence';
import type { Protocol } from '$lib/core/judging/trial/protocol';
import { tick, untrack } from 'svelte';
import { Form } from '../form/form.svelte';
import { When } from '../form/when.svelte';
import { plural } from '../../words/numbers';
import { refusalWords } from '../../words/refusals';
import { draftBody, nextDraft, type AttemptDraft } from './attempt-draft';

type Given = {
	/** The spool on the bench; null while there is none. */
	spool: { id: string; code: string } | null;
	trialId: string;
	settingsPolicy: Protocol['settingsPolicy'];
	/** The piece that wants printing next of this spool; empty for none. */
	wantedPiece: string;
};

/** Errors of these fields stand where the tester looks; others are told above the form too. */
const IN_SIGHT = ['percentReached', 'cause', 'condition', 'when', 'at'];

/** The prints that are being typed, one a spool, so that looking at another spool loses nothing. */
export class AttemptEntry {
	#drafts = $state<Record<string, AttemptDraft>>({});
	/** What was kept last. */
	said = $state('');
	settingsOpen = $state(false);
	/** A print that was refused after something else had been typed in its place. */
	#rejected = $state<{ spoolId: string; draft: AttemptDraft } | null>(null);
	/** The print kept last, should it be tried and fail the same way again. */
	#kept = $state.raw<{ spoolId: string; draft: AttemptDraft } | null>(null);
	/** When it was printed. */
	readonly when = new When();
	readonly #form = new Form({ when: this.when });
	readonly #given: () => Given;

	readonly draft = $derived.by(() => this.#drafts[this.#given().spool?.id ?? '']);
	/** Errors of a refused print belong to it, not to what was typed since. */
	readonly errors = $derived.by(() => (this.#rejected ? [] : this.#form.errors));
	readonly problem = $derived.by(() => {
		const { problem, errors } = this.#form;
		if (problem || errors.length === 0) return problem;
		const inSight = errors.some((e) => e.path.includes('.') || IN_SIGHT.includes(e.path));
		return inSight && !this.#rejected ? '' : errors.map(refusalWords).join('; ');
	});
	/** Whether a print of the spool on the bench was refused and lies aside. */
	readonly isRejected = $derived.by(() => this.#rejected !== null && this.#rejected.spoolId === this.#given().spool?.id);

	/** Whether the print kept last was of this spool and failed: then it may have failed more than once. */
	readonly mayRepeat = $derived.by(
		() => this.#kept !== null && this.#kept.spoolId === this.#given().spool?.id && this.#kept.draft.outcome !== 'finished'
	);

	constructor(given: () => Given) {
		this.#given = given;
	}

	/** Opens the draft of a spool; one that was begun stays as it is. */
	open(spoolId: string, fresh: () => AttemptDraft): void {
		this.#drafts[spoolId] ??= fresh();
	}

	/**
	 * The state the spool was in when it was printed, which may have been yesterday or of a portion, follows from the record: it stands in the
	 * draft as soon as one of these is said. Called once, as the page is made.
	 */
	followState(evidence: () => SpoolEvidence | undefined): void {
		const then = $derived.by(() => {
			const spool = evidence();
			return spool ? conditionAt(spool, this.when.at(), this.draft?.portionId || null).kind : 'asReceived';
		});
		$effect(() => {
			const kind = then;
			untrack(() => {
				if (this.draft && (!this.when.isNow || this.draft.portionId)) this.draft.condition = kind;
			});
		});
	}

	/** Another spool is chosen: what was said of the last entry is over. */
	leave(): void {
		this.#form.clear();
		this.said = '';
	}

	/**
	 * Keeps the print that is typed. The next one can be typed while this one is on its way, so the form is fresh at the press, not at
	 * the answer; a refused one comes back, or lies aside when something was typed meanwhile.
	 */
	async submit(): Promise<void> {
		const { spool, trialId, settingsPolicy } = this.#given();
		const draft = this.draft;
		if (!draft || !spool) return;
		// Another spool may be chosen while this one is being kept.
		const { id, code } = spool;
		this.said = '';
		const pressed = $state.snapshot(draft);
		const next = nextDraft(pressed);
		const asPressed = JSON.stringify(next);
		const isUntouched = () => JSON.stringify(this.#drafts[id]) === asPressed;
		this.#drafts[id] = next;
		const body = { spoolId: id, trialId, settingsPolicy, ...draftBody(pressed) };
		const sent = await this.#form.send<{ condition: string; marks: number }>('attempts', body);
		if (!sent.ok) {
			if (isUntouched()) this.#drafts[id] = pressed;
			else this.#rejected = { spoolId: id, draft: pressed };
			if (this.#form.errors.some((e) => e.path.startsWith('settings'))) this.settingsOpen = true;
			await tick();
			document.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus();
			return;
		}
		this.#rejected = null;
		this.#kept = { spoolId: id, draft: pressed };
		this.said = `Saved: ${code}, ${pressed.outcome}${sent.answer.marks ? `, ${plural(sent.answer.marks, 'mark')}` : ''}.`;
		await invalidateAll();
		// What wants printing next is known only now; it must not change under a hand that types.
		const after = this.#given();
		if (after.spool?.id === id && isUntouched()) this.#drafts[id] = { ...next, pieceId: after.wantedPiece || next.pieceId };
	}

	/** Keeps another print like the last one, that failed the same way; what is typed meanwhile stays. */
	async again(): Promise<void> {
		if (!this.#kept || !this.mayRepeat) return;
		const { spoolId, draft } = this.#kept;
		const typed = this.#drafts[spoolId];
		// What was noted of the first is not said again of the next.
		this.#drafts[spoolId] = { ...structuredClone(draft), note: '' };
		// It is taken at the press; the form is at once what it was before.
		const sent = this.submit();
		if (typed) this.#drafts[spoolId] = typed;
		await sent;
	}

	/** Puts a refused print back into the form, and what was typed since in its place. */
	putBack(): void {
		if (!this.#rejected) return;
		const { spoolId, draft } = this.#rejected;
		const since = this.#drafts[spoolId];
		this.#drafts[spoolId] = draft;
		this.#rejected = since ? { spoolId, draft: since } : null;
	}
}
