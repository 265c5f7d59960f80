import { scaleLinear, scalePoint } from 'd3-scale';

export type Covered = { kind: string; record: 'full' | 'silent'; n: number; share: number };

const [WIDTH, HEIGHT] = [640, 300];
const BOX = { left: 60, right: 250, top: 20, bottom: 40 };
const DASHES = ['', '6 3', '2 3', '8 3 2 3', '1 4', '10 4'];

/** How often 95 % ranges held the truth, against the number of prints; one line a kind, hollow marks where the record is silent. */
export function coveragePlot(covered: readonly Covered[]): string {
	const ns = [...new Set(covered.map((c) => c.n))];
	const kinds = [...new Set(covered.map((c) => c.kind))];
	const x = scalePoint(ns, [BOX.left, WIDTH - BOX.right]).padding(0.3);
	const y = scaleLinear([0.9, 1], [HEIGHT - BOX.bottom, BOX.top]).clamp(true);
	const at = (c: Covered) => `${x(c.n)?.toFixed(1)},${y(c.share).toFixed(1)}`;
	const grid = [0.9, 0.93, 0.95, 0.98, 1].map(
		(share) =>
			`<line x1="${BOX.left}" x2="${WIDTH - BOX.right}" y1="${y(share)}" y2="${y(share)}" stroke="${share === 0.95 ? '#333' : '#ccc'}"/>` +
			`<text x="${BOX.left - 6}" y="${y(share) + 4}" text-anchor="end">${Math.round(share * 100)} %</text>`
	);
	const lines = kinds.flatMap((kind, i) => {
		const y0 = BOX.top + 16 + i * 20;
		const legend =
			`<line x1="${WIDTH - BOX.right + 20}" x2="${WIDTH - BOX.right + 50}" y1="${y0}" y2="${y0}" stroke="#333" stroke-dasharray="${DASHES[i]}"/>` +
			`<text x="${WIDTH - BOX.right + 56}" y="${y0 + 4}">${kind}</text>`;
		return [
			legend,
			...(['full', 'silent'] as const).map((record) => {
				const points = covered.filter((c) => c.kind === kind && c.record === record);
				const marks = points.map(
					(c) => `<circle cx="${x(c.n)}" cy="${y(c.share).toFixed(1)}" r="3" fill="${record === 'full' ? '#333' : '#fff'}" stroke="#333"/>`
				);
				return `<polyline points="${points.map(at).join(' ')}" fill="none" stroke="${record === 'full' ? '#333' : '#999'}" stroke-dasharray="${DASHES[i]}"/>${marks.join('')}`;
			})
		];
	});
	const ticks = ns.map((n) => `<text x="${x(n)}" y="${HEIGHT - BOX.bottom + 18}" text-anchor="middle">${n}</text>`);
	return (
		`<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${WIDTH} ${HEIGHT}" font-family="sans-serif" font-size="12" fill="#333">` +
		`<rect width="${WIDTH}" height="${HEIGHT}" fill="#fff"/>${[...grid, ...lines, ...ticks].join('')}` +
		`<text x="${BOX.left}" y="${HEIGHT - 6}">prints or test parts a spool; full marks: record full, hollow: silent</text></svg>\n`
	);
}
