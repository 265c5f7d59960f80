import QuickLRU from 'quick-lru';

/** Gives what was made for a key before, or makes it. */
type Remembering<K, T> = (key: K, make: () => T) => T;

/**
 * Remembers what was worked out, by what it was worked out from; of more than twice so many, what was used longest ago is forgotten.
 * For results that follow from their key alone and are never changed: then it moves no number, only the time.
 * @param most number of results, at least 1
 * @returns a function that makes a result only where it is not known
 * @example remembering(100)('two', () => 2) // 2
 */
export function remembering<K, T extends NonNullable<unknown>>(most: number): Remembering<K, T> {
	// Made at the first question, not when the module is read: in the browser the class may come in a file that is read later.
	let known: QuickLRU<K, T> | null = null;
	return (key, make) => {
		known ??= new QuickLRU<K, T>({ maxSize: most });
		const before = known.get(key);
		if (before !== undefined) return before;
		const made = make();
		known.set(key, made);
		return made;
	};
}

const numbers = new WeakMap<object, number>();
let last = 0;

/**
 * A number of an object by which it is the same object: a short name for what would be a long text.
 * @returns from 1 on, another for every object
 * @example numberOf(overhang) === numberOf(overhang) // true
 */
export function numberOf(object: object): number {
	const known = numbers.get(object) ?? ++last;
	numbers.set(object, known);
	return known;
}
