/**
 * Work that many ask for at once is done once for all who wait. Who comes while it is being done waits for the next round: everyone gets
 * what was read after they asked, so nobody sees less than what was kept before.
 */
type Round = { result: Promise<unknown> };
const rounds = new Map<string, { now: Round; next: Round | null }>();

export async function together<T>(key: string, work: () => Promise<T>): Promise<T> {
	const going = rounds.get(key);
	if (!going) return await begin(key, work);
	going.next ??= { result: going.now.result.then(nothing, nothing).then(() => begin(key, work)) };
	return (await going.next.result) as T;
}

const nothing = (): void => undefined;

function begin<T>(key: string, work: () => Promise<T>): Promise<T> {
	const result = work();
	const mine = { now: { result }, next: null };
	rounds.set(key, mine);
	const over = (): void => {
		// A round that waits has its turn now and puts itself here again.
		if (rounds.get(key) === mine) rounds.delete(key);
	};
	result.then(over, over);
	return result;
}
