/**
 * Letters for groups that cannot be told apart: two groups share a letter exactly when no test parts them.
 * Insert-and-absorb. Source: Piepho 2004, J. Comput. Graph. Stat. 13, 456-466.
 * @param count number of groups, in the order in which letters are to be given (best first)
 * @param apart whether groups i and j are told apart; symmetric
 * @returns one string of letters a group
 * @example compactLetterDisplay(3, (i, j) => i === 0 && j === 2) // ['a', 'ab', 'b']
 */
export function compactLetterDisplay(count: number, apart: (i: number, j: number) => boolean): string[] {
	let columns: Set<number>[] = count === 0 ? [] : [new Set(Array.from({ length: count }, (_, i) => i))];
	for (let i = 0; i < count; i++)
		for (let j = i + 1; j < count; j++) {
			if (!apart(i, j)) continue;
			const split = columns.flatMap((column) => {
				if (!column.has(i) || !column.has(j)) return [column];
				return [i, j].map((out) => new Set([...column].filter((member) => member !== out)));
			});
			columns = absorb(split);
		}
	const ordered = columns.sort((a, b) => Math.min(...a) - Math.min(...b) || Math.max(...a) - Math.max(...b));
	return Array.from({ length: count }, (_, group) => ordered.flatMap((column, k) => (column.has(group) ? [letter(k)] : [])).join(''));
}

/** Drops every column that is contained in another. */
function absorb(columns: Set<number>[]): Set<number>[] {
	return columns.filter(
		(column, i) => !columns.some((other, j) => i !== j && [...column].every((m) => other.has(m)) && (other.size > column.size || j < i))
	);
}

/** a to z, then aa, ab ...; 20 spools seldom need more than ten. */
function letter(index: number): string {
	return index < 26 ? String.fromCharCode(97 + index) : letter(Math.floor(index / 26) - 1) + letter(index % 26);
}
