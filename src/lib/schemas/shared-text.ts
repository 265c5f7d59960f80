import { nth } from '$lib/core/kernel/lists/nth';
import type { SpoolEvidence } from '../core/record/evidence/spool-evidence';
import type { Sampling } from '../core/judging/finding/types';
import type { Candidate } from '../core/answers/pick/types';

/**
 * A page carries the text inside a script's string, where every quotation mark wants a sign before it, looked for letter by letter.
 * Swapped with a mark that needs none, the text is shorter and sooner written and read; the same once more swaps it back.
 */
function swapped(text: string): string {
	if (!text.includes('`')) return text.replaceAll('"', '`');
	// A text whose backticks are the only marks is the usual one, on its way back.
	if (!text.includes('"')) return text.replaceAll('`', '"');
	return text.replace(/["`]/g, (mark) => (mark === '"' ? '`' : '"'));
}

const parsed = (text: string): unknown => JSON.parse(swapped(text));

/**
 * What many requests share goes to their pages as JSON text that is made once. The pages get it as it was: plain objects, on the
 * server the very ones that were shared.
 */
function sharing<T extends object>(plain: (value: T) => object) {
	const texts = new WeakMap<object, string | null>();
	return {
		/** Says that a plain JSON value never changes and is sent to several pages. */
		share: <V extends T>(value: V): V => {
			if (!texts.has(value)) texts.set(value, null);
			return value;
		},
		/** Its text; false for what was not shared. */
		textOf: (value: unknown): string | false => {
			if (typeof value !== 'object' || value === null) return false;
			const text = texts.get(value);
			if (text === undefined) return false;
			const made = text ?? swapped(JSON.stringify(plain(value as T)));
			texts.set(value, made);
			return made;
		}
	};
}

const anything = sharing<object>((value) => value);
/** Instruments and pieces are lists that all spools have in common, so they stay out of each one's text. */
const evidences = sharing<SpoolEvidence>((evidence) => ({ ...evidence, instruments: [], pieces: [] }));
/** What is not known of any candidate is the same for all, and stays out of each one's text. */
const candidateLists = sharing<Candidate[]>((list) => packed(list));

export const { share } = anything;
export const { share: shareEvidence } = evidences;
export const { share: shareCandidates } = candidateLists;

export const sharedText = {
	encode: anything.textOf,
	decode: parsed
};

type SharedEvidence = [rest: string, instruments: SpoolEvidence['instruments'], pieces: SpoolEvidence['pieces']];

export const sharedEvidence = {
	encode: (value: unknown): SharedEvidence | false => {
		const text = evidences.textOf(value);
		if (text === false) return false;
		const { instruments, pieces } = value as SpoolEvidence;
		return [text, instruments, pieces];
	},
	decode: ([text, instruments, pieces]: SharedEvidence): SpoolEvidence => ({
		...(parsed(text) as SpoolEvidence),
		instruments,
		pieces
	})
};

/** Most spools did not change since they were last sent, so what their findings allow was put into words before. */
const samplingTexts = new WeakMap<Sampling, string>();
function samplingText(sampling: Sampling): string {
	const text = samplingTexts.get(sampling) ?? JSON.stringify(sampling);
	samplingTexts.set(sampling, text);
	return text;
}

type PackedCandidate = Omit<Candidate, 'findings'> & {
	findings: { [quantity: string]: Omit<NonNullable<Candidate['findings'][string]>, 'sampling'> & { sampling: number } };
};

/** Candidates with a list of what their findings allow, each named by its place in it. */
function packed(list: readonly Candidate[]): { samplings: Sampling[]; candidates: PackedCandidate[] } {
	const samplings: Sampling[] = [];
	const places = new Map<string, number>();
	const placeOf = (sampling: Sampling): number => {
		const text = samplingText(sampling);
		const place = places.get(text) ?? samplings.push(sampling) - 1;
		places.set(text, place);
		return place;
	};
	return {
		candidates: list.map((c) => ({
			...c,
			findings: Object.fromEntries(
				Object.entries(c.findings).flatMap(([id, f]) => (f ? [[id, { ...f, sampling: placeOf(f.sampling) }] as const] : []))
			)
		})),
		samplings
	};
}

export const sharedCandidates = {
	encode: candidateLists.textOf,
	decode: (text: string): Candidate[] => {
		const { samplings, candidates } = parsed(text) as ReturnType<typeof packed>;
		return candidates.map((c) => ({
			...c,
			findings: Object.fromEntries(Object.entries(c.findings).map(([id, f]) => [id, { ...f, sampling: nth(samplings, f.sampling) }]))
		}));
	}
};
