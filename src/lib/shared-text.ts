import type { SpoolEvidence } from './core/evidence/spool-evidence';
import type { Sampling } from './core/finding/types';
import type { Candidate } from './core/pick/types';

/**
 * What many requests share goes to their pages as JSON text that is made once. The pages get it as it was: plain objects, on the
 * server the very ones that were shared.
 */
const texts = new WeakMap<object, string | null>();
const evidences = new WeakMap<object, string | null>();
const candidates = new WeakMap<object, string | null>();

/** Says that a plain JSON value never changes and is sent to several pages. */
export function share<T extends object>(value: T): T {
	if (!texts.has(value)) texts.set(value, null);
	return value;
}

/** The same for evidence: instruments and pieces are lists that all spools have in common, so they stay out of each one's text. */
export function shareEvidence(evidence: SpoolEvidence): SpoolEvidence {
	if (!evidences.has(evidence)) evidences.set(evidence, null);
	return evidence;
}

/** The same for candidates: what is not known of any of them is the same for all, and stays out of each one's text. */
export function shareCandidates(list: Candidate[]): Candidate[] {
	if (!candidates.has(list)) candidates.set(list, null);
	return list;
}

function textOf(known: WeakMap<object, string | null>, value: unknown, plain: (value: object) => object): string | false {
	if (typeof value !== 'object' || value === null) return false;
	const text = known.get(value);
	if (text === undefined) return false;
	if (text !== null) return text;
	const made = JSON.stringify(plain(value));
	known.set(value, made);
	return made;
}

export const sharedText = {
	encode: (value: unknown): string | false => textOf(texts, value, (v) => v),
	decode: (text: string): unknown => JSON.parse(text)
};

type SharedEvidence = [rest: string, instruments: SpoolEvidence['instruments'], pieces: SpoolEvidence['pieces']];

export const sharedEvidence = {
	encode: (value: unknown): SharedEvidence | false => {
		const text = textOf(evidences, value, (v) => ({ ...v, instruments: [], pieces: [] }));
		if (text === false) return false;
		const { instruments, pieces } = value as SpoolEvidence;
		return [text, instruments, pieces];
	},
	decode: ([text, instruments, pieces]: SharedEvidence): SpoolEvidence => ({
		...(JSON.parse(text) as SpoolEvidence),
		instruments,
		pieces
	})
};

type PackedCandidate = Omit<Candidate, 'findings'> & {
	findings: { [quantity: string]: Omit<NonNullable<Candidate['findings'][string]>, 'sampling'> & { sampling: number } };
};

/** Candidates with a list of what their findings allow, each named by its place in it. */
function packed(list: readonly Candidate[]): { samplings: Sampling[]; candidates: PackedCandidate[] } {
	const samplings: Sampling[] = [];
	const places = new Map<string, number>();
	const placeOf = (sampling: Sampling): number => {
		const text = JSON.stringify(sampling);
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
	encode: (value: unknown): string | false => textOf(candidates, value, (list) => packed(list as Candidate[])),
	decode: (text: string): Candidate[] => {
		const { samplings, candidates } = JSON.parse(text) as ReturnType<typeof packed>;
		return candidates.map((c) => ({
			...c,
			findings: Object.fromEntries(Object.entries(c.findings).map(([id, f]) => [id, { ...f, sampling: samplings[f.sampling] as Sampling }]))
		}));
	}
};
