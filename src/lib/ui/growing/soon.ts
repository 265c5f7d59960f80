/** Work put off until the page has been shown: one piece after the other, each a task of its own, so that keys and paint come between. */
const queue: (() => void)[] = [];
let running = false;

function next(): void {
	const work = queue.shift();
	if (!work) {
		running = false;
		return;
	}
	work();
	setTimeout(next);
}

/**
 * Does something in a task of its own, after all that was put off before it; `first`: before all of it.
 * @returns what takes it off the list again
 */
export function soon(work: () => void, first = false): () => void {
	if (first) queue.unshift(work);
	else queue.push(work);
	if (!running) {
		running = true;
		setTimeout(next);
	}
	return () => {
		const at = queue.indexOf(work);
		if (at >= 0) queue.splice(at, 1);
	};
}
