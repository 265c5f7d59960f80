import type { SpoolEvidence } from './core/evidence/spool-evidence';

/**
 * What many requests share goes to their pages as JSON text that is made once. The pages get it as it was: plain objects, on the
 * server the very ones that were shared.
 */
const texts = new WeakMap<object, string | null>();
const evidences = new WeakMap<object, string | null>();

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
