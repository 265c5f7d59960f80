type Mark = { x: number; y: number; code: string };
type Area = { left: number; right: number; top: number; bottom: number };

const WIDTH = 28;
const HEIGHT = 13;

/** Offsets tried in turn: right above first, then round the blot, then farther out. */
const TRIES = [10, 26, 44].flatMap((out): [number, number][] => [
	[out, -9],
	[out, 9],
	[-out - WIDTH, -9],
	[-out - WIDTH, 9],
	[-WIDTH / 2, -out - 8],
	[-WIDTH / 2, out + 8]
]);

/** Where each bench code is written so that codes hide neither each other nor a blot, as far as there is room. */
export function placeCodes(marks: readonly Mark[], area: Area): Mark[] {
	const taken: { x: number; y: number }[] = [];
	return marks.map(({ code, x, y }) => {
		const spots = TRIES.map(([dx, dy]) => ({ x: x + dx, y: y + dy })).filter(
			(s) => s.x >= area.left && s.x + WIDTH <= area.right && s.y >= area.top - 8 && s.y <= area.bottom
		);
		const free = (s: { x: number; y: number }) =>
			!taken.some((t) => Math.abs(t.x - s.x) < WIDTH && Math.abs(t.y - s.y) < HEIGHT) &&
			!marks.some((m) => m.x > s.x - 7 && m.x < s.x + WIDTH + 7 && Math.abs(m.y - s.y) < 12);
		const spot = spots.find(free) ?? spots[0] ?? { x: x + 10, y: y - 9 };
		taken.push(spot);
		return { code, ...spot };
	});
}
