import { refusalWords } from '$lib/words/refusals';
import { invalidateAll } from '$app/navigation';
import { tick } from 'svelte';
import type { FieldError } from '$lib/schemas/field-error';
import { isTimed } from '$lib/schemas/timed';
import { hereAndNow, newId, send, type Sent } from './send';
import type { When } from './when.svelte';

/** What makes one entry the same entry at every try: its id, its moment, and the ids of what lies in it. */
type Made = { id: string; at: string; zone: string; inner: string[] };

type Body = Record<string, unknown>;

type Options = {
	/** Paths of the errors that stand at a field of this form, with all below them; others are told in `problem`. Every path if not given. */
	fields?: readonly string[];
	/** A newer body simply follows an older one (versions, weights); by default an entry that was changed after a lost answer is held back. */
	supersedes?: boolean;
	/** When it happened, where that may be another time than now. */
	when?: When;
};

const SAVED_BEFORE =
	'The first try was saved after all, as you typed it then. What you changed since was not saved: edit the saved one, or press again to save this as another.';

/**
 * One form: whatever is sent through it is stored once, however often it is pressed, and a refusal is always told.
 * An entry keeps its id and moment from its first try until it is answered, so that one whose answer was lost and that is sent again
 * is not stored twice. A refused body was not stored, so the corrected one starts anew.
 */
export class Form {
	errors = $state.raw<FieldError[]>([]);
	problem = $state('');
	busy = $state(false);
	/** Whether it is not known what became of the last try. */
	unknown = $state(false);
	/** Entries that were sent and never answered, by what was sent. */
	#unanswered = new Map<string, { path: string; body: Body; made: Made }>();
	#underWay = new Map<string, Promise<Sent<unknown>>>();
	#last: Promise<unknown> = Promise.resolve();
	readonly #options: Options;

	constructor(options: Options = {}) {
		this.#options = options;
	}

	/**
	 * Posts an entry; the id is added, and the moment and zone where the address asks for them. A second press while the first is under way is the same press.
	 * @param inner how many ids of its own the entry needs for what lies in it, handed to `body` when that is a function
	 */
	async send<T>(path: string, body: Body | ((made: Made) => Body), inner = 0): Promise<Sent<T>> {
		const bare = typeof body === 'function' ? body({ id: '', at: '', zone: '', inner: Array<string>(inner).fill('') }) : body;
		const { when } = this.#options;
		const refusal = when?.refusal();
		if (refusal) return await this.#refuseWhen(refusal);
		// The same again at another time is another entry.
		const key = `${path} ${JSON.stringify(bare)}${when && !when.isNow ? ` ${when.typed}` : ''}`;
		const same = this.#underWay.get(key);
		if (same) return (await same) as Sent<T>;
		const element = typeof document === 'undefined' ? null : (document.activeElement?.closest('form') ?? null);
		const sending = this.#last.then(async () => {
			this.busy = true;
			const sent = await this.#settle<T>(key, path, body, inner).finally(() => {
				this.#underWay.delete(key);
				this.busy = this.#underWay.size > 0;
			});
			this.#tell(sent);
			if (!sent.ok) await focusFirstError(element);
			return sent;
		});
		this.#underWay.set(key, sending);
		// Whatever goes wrong with one press, the next one is heard.
		this.#last = sending.catch(() => undefined);
		return await sending;
	}

	/** Sends the last entry again, where there is no button to press twice: a list or a slider is where it was put already. */
	async again(): Promise<boolean> {
		const last = [...this.#unanswered.values()].at(-1);
		if (!last) return false;
		const { path, body, made } = last;
		const { id: _, at: __, zone: ___, ...bare } = body;
		return (await this.send(path, bare, made.inner.length)).ok;
	}

	/** Takes back what was told of the last try. */
	clear(): void {
		this.errors = [];
		this.problem = '';
		this.unknown = false;
	}

	/** Refuses here what need not be sent. */
	refuse(errors: FieldError[], problem = ''): void {
		this.errors = errors;
		this.problem = problem;
		this.unknown = false;
	}

	async #refuseWhen(refusal: FieldError): Promise<Sent<never>> {
		this.refuse([refusal]);
		await focusFirstError(document.querySelector('form'));
		return { ok: false, status: 422, title: '', errors: [refusal] };
	}

	async #settle<T>(key: string, path: string, body: Body | ((made: Made) => Body), inner: number): Promise<Sent<T>> {
		// What was sent before and not answered is asked for first: only then is it known what this entry adds.
		for (const [other, before] of this.#unanswered) {
			if (other === key || before.path !== path) continue;
			const sent = await send(before.path, before.body);
			if (isUnanswered(sent)) return sent;
			this.#unanswered.delete(other);
			if (!sent.ok || this.#options.supersedes) continue;
			await invalidateAll();
			return { ok: false, status: 409, title: SAVED_BEFORE, errors: [] };
		}
		const made = this.#unanswered.get(key)?.made ?? {
			id: newId(),
			...(this.#options.when?.moment() ?? hereAndNow()),
			inner: Array.from({ length: inner }, newId)
		};
		const { inner: _, ...whole } = made;
		const identity = isTimed(path) ? whole : { id: whole.id };
		const entry = { ...identity, ...(typeof body === 'function' ? body(made) : body) };
		const sent = await send<T>(path, entry);
		if (isUnanswered(sent)) this.#unanswered.set(key, { path, body: entry, made });
		else this.#unanswered.delete(key);
		return sent;
	}

	#tell(sent: Sent<unknown>): void {
		if (sent.ok) return this.clear();
		const { fields, when } = this.#options;
		const isShown = (path: string) => (when && path === 'at') || fields?.some((f) => path === f || path.startsWith(`${f}.`));
		const elsewhere = fields ? sent.errors.filter((e) => !isShown(e.path)) : [];
		this.unknown = isUnanswered(sent);
		this.errors = sent.errors;
		this.problem = sent.errors.length === 0 ? sent.title : elsewhere.map((e) => `${e.path}: ${refusalWords(e)}`).join('; ');
	}
}

/** No answer, or one that cannot say what became of it. */
const isUnanswered = (sent: Sent<unknown>): sent is Sent<never> & { ok: false } => !sent.ok && (sent.status === 0 || sent.status >= 500);

async function focusFirstError(form: Element | null): Promise<void> {
	await tick();
	form?.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus();
}
