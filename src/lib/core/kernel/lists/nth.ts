/**
 * What stands at a place of a list that has it. Where it has not, the mistake is told where it is made, and no `undefined` is reckoned with.
 * @param place counted from 0
 * @throws RangeError where the list ends before it
 * @example nth([1.74, 1.75], 1) // 1.75
 */
export function nth<T>(list: ArrayLike<T>, place: number): T {
	const found = list[place];
	if (found === undefined) throw new RangeError(`no place ${place} in a list of ${list.length}`);
	return found;
}
