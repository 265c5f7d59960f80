import { unzipSync, strFromU8 } from 'fflate';
import fc from 'fast-check';
import Module from 'manifold-3d';
import { beforeAll, describe, expect, it } from 'vitest';
import { raisedText, textWidth } from './kit/raised-text';
import { paramFaults, pieceKind, PIECE_KINDS } from './library/library';
import { materialNeeded } from './library/material-needed';
import { ROUND } from './kit/shape';
import { solidOf, type Mesh, type Solid } from './files/solid';
import { stlOf } from './files/stl';
import { threeMfOf } from './files/three-mf';
import type { Params, PieceKind } from './kit/types';
import { usualParams } from './kit/usual';

let engine: Awaited<ReturnType<typeof Module>>;
beforeAll(async () => {
	engine = await Module();
	engine.setup();
});

const kind = (id: string) => pieceKind(id) as PieceKind;
const solid = (id: string, params: Params = {}, code = ''): Solid => {
	const of = kind(id);
	return solidOf(engine, of.shape({ ...usualParams(of), ...params }, code));
};
/** A circle of so many corners against the true one. */
const polygon = (ROUND / 2 / Math.PI) * Math.sin((2 * Math.PI) / ROUND);
const rad = (degrees: number) => (degrees * Math.PI) / 180;
const steps = (from: number, to: number, step: number) => Array.from({ length: (to - from) / step + 1 }, (_, i) => from + i * step);

/** Triangles of an STL file, corners as text, so that equal corners are equal. */
function readStl(bytes: Uint8Array): string[][] {
	const view = new DataView(bytes.buffer);
	const count = view.getUint32(80, true);
	expect(bytes.byteLength).toBe(84 + 50 * count);
	return Array.from({ length: count }, (_, t) =>
		[1, 2, 3].map((v) => [0, 4, 8].map((axis) => view.getFloat32(84 + 50 * t + 12 * v + axis, true)).join(' '))
	);
}
/** Closed: each edge is walked as often one way as the other. */
function openEdges(triangles: string[][]): number {
	const walked = new Map<string, number>();
	for (const [a, b, c] of triangles as [string, string, string][])
		for (const [from, to] of [
			[a, b],
			[b, c],
			[c, a]
		] as const) {
			if (from === to) continue;
			walked.set(`${from}|${to}`, (walked.get(`${from}|${to}`) ?? 0) + 1);
		}
	return [...walked].filter(([edge, count]) => walked.get(edge.split('|').reverse().join('|')) !== count).length;
}
function volumeOf(triangles: string[][]): number {
	return triangles.reduce((sum, corners) => {
		const [a, b, c] = corners.map((text) => text.split(' ').map(Number)) as [number[], number[], number[]];
		const [ax, ay, az] = a as [number, number, number];
		const [bx, by, bz] = b as [number, number, number];
		const [cx, cy, cz] = c as [number, number, number];
		return sum + (ax * (by * cz - bz * cy) - ay * (bx * cz - bz * cx) + az * (bx * cy - by * cx)) / 6;
	}, 0);
}

describe('volumes against hand formulas', () => {
	it('overhang ladder without figures on it: a wall, and half slope² sin cos for each wedge', () => {
		const angles = steps(30, 80, 5);
		const long = angles.length * 12 - 3;
		const high = 14 * Math.cos(rad(30));
		const hand = 7 * long * high + angles.reduce((sum, a) => sum + (14 ** 2 * Math.sin(rad(a)) * Math.cos(rad(a)) * 9) / 2, 0);
		const whole = kind('overhangLadder').shape(usualParams(kind('overhangLadder')), '');
		const bare = solidOf(engine, { ...whole, add: whole.add.slice(0, 1 + angles.length) });
		expect(bare.volumeMm3 / hand).toBeCloseTo(1, 5);
		expect(solidOf(engine, whole).volumeMm3).toBeGreaterThan(bare.volumeMm3);
	});
	it('overhang ladder with two sides: the wedges stand on both, the wall is the same', () => {
		const kindOf = kind('overhangLadder');
		const [one, two] = [1, 2].map((sides) => kindOf.shape({ ...usualParams(kindOf), sides }, ''));
		if (!one || !two) throw new Error('no ladder');
		const angles = steps(30, 80, 5);
		const wedges = angles.reduce((sum, a) => sum + (14 ** 2 * Math.sin(rad(a)) * Math.cos(rad(a)) * 9) / 2, 0);
		const letter = two.add.slice(one.add.length + angles.length);
		const bare = { ...two, add: two.add.filter((part) => !letter.includes(part)) };
		const added = solidOf(engine, bare).volumeMm3 - solidOf(engine, one).volumeMm3;
		expect(added / wedges).toBeCloseTo(1, 4);
		expect(kindOf.marks({ ...usualParams(kindOf), sides: 2 }).map((m) => m.mark)).toEqual(['overhang', 'overhangAway', 'surface']);
		expect(kindOf.marks(usualParams(kindOf)).map((m) => m.mark)).toEqual(['overhang', 'surface']);
	});
	it('bridge ladder: wall, pillars and strips', () => {
		const spans = steps(5, 50, 5);
		const long = spans.length * 9 - 3;
		const hand = 6 * long * 10 + spans.reduce((sum, span) => sum + 6 * 6 * 10 + span * 6 * 1.2, 0);
		const whole = kind('bridgeLadder').shape(usualParams(kind('bridgeLadder')), '');
		const bare = solidOf(engine, { cut: [], add: whole.add.filter((p) => p.kind === 'plate' && p.z !== 9.8) });
		expect(bare.volumeMm3 / hand).toBeCloseTo(1, 5);
	});
	it('spike pair: a plate and two cut cones', () => {
		const plate = (30 + 20 + 6) * 16 * 2;
		const cone = ((Math.PI * 40) / 3) * (5 ** 2 + 5 * 1 + 1 ** 2) * polygon;
		// The cones stand a hair deep in the plate.
		expect(solid('spikePair').volumeMm3 / (plate + 2 * cone)).toBeCloseTo(1, 3);
	});
	it('block with a bore, bar, tile, strip', () => {
		expect(solid('measuringBlock', { bore: 10 }).volumeMm3).toBeCloseTo(20 ** 3 - Math.PI * 25 * 20 * polygon, 1);
		expect(solid('warpBar').volumeMm3).toBeCloseTo(120 * 10 * 8, 2);
		expect(solid('flatTile').volumeMm3).toBeCloseTo(40 * 40 * 2, 2);
		expect(solid('bendStrip').volumeMm3).toBeCloseTo(80 * 10 * 3, 2);
	});
	it('tensile bar: grips, tapering shoulders, gauge; lying or upright it is the same bar', () => {
		const hand = 4 * (2 * 25 * 16 + 2 * 10 * ((16 + 8) / 2) + 40 * 8);
		const [flat, upright] = [solid('tensileBarFlat'), solid('tensileBarUpright')];
		expect(flat.volumeMm3).toBeCloseTo(hand, 2);
		expect(upright.volumeMm3).toBeCloseTo(hand, 2);
		expect(flat.size.x).toBeCloseTo(110, 3);
		expect(upright.size.z).toBeCloseTo(110, 3);
	});
	it('adhesion post: foot and post less the bore', () => {
		const hand = 24 * 24 * 3 + 8 * 8 * 40 - Math.PI * 2 ** 2 * 8 * polygon;
		expect(solid('adhesionPost').volumeMm3 / hand).toBeCloseTo(1, 4);
	});
	it('temperature ladder: floors less windows, and a nose each', () => {
		const whole = kind('temperatureLadder').shape(usualParams(kind('temperatureLadder')), '');
		const bare = solidOf(engine, {
			add: whole.add.filter((p) => p.kind === 'plate' || (p.kind === 'prism' && p.depth === 8)),
			cut: whole.cut
		});
		expect(bare.volumeMm3 / (9 * (30 * 8 * 10 - 14 * 8 * 7 + (5 * 5 * 8) / 2))).toBeCloseTo(1, 4);
	});
	it('hook: five eighths of a ring at least, in one piece', () => {
		const ring = (Math.PI * (17 ** 2 - 10 ** 2) * 6 * 225) / 360;
		expect(solid('hook').volumeMm3).toBeGreaterThan(ring * 0.99);
	});
	it('grams and metres (arithmetic): 8 cm³ of 1.24 g/cm³ are 9.92 g, 3.326 m of 1.75 mm', () => {
		const needed = materialNeeded(8000, 1.24, 1.75);
		expect(needed.grams).toBeCloseTo(9.92, 10);
		expect(needed.metres).toBeCloseTo(3.326, 3);
	});
});

describe('files', () => {
	it.each(PIECE_KINDS.map((k) => k.id))('%s, with and without a code: one closed solid in STL and in 3MF', (id) => {
		for (const code of ['', 'KE1']) {
			const { mesh, volumeMm3 } = solid(id, {}, code);
			const triangles = readStl(stlOf(mesh));
			expect(openEdges(triangles)).toBe(0);
			expect(volumeOf(triangles) / volumeMm3).toBeCloseTo(1, 3);
			const fromMf = readThreeMf(threeMfOf(mesh, `${id} <&> ${code}`));
			expect(fromMf.triangles).toHaveLength(triangles.length);
			expect(openEdges(fromMf.triangles)).toBe(0);
			expect(fromMf.title).toBe(`${id} <&> ${code}`);
		}
	});
	it('one piece, not several that only touch', () => {
		for (const { id } of PIECE_KINDS) {
			const of = kind(id);
			const shape = of.shape(usualParams(of), '');
			const { mesh } = solidOf(engine, shape);
			expect(bodiesOf(mesh), id).toBe(1);
		}
	});
	it('the same piece is the same file', () => {
		expect(threeMfOf(solid('flatTile').mesh, 'a')).toEqual(threeMfOf(solid('flatTile').mesh, 'a'));
	});
	it('any sizes within the limits make a closed solid (property)', () => {
		const any = fc
			.constantFrom(...PIECE_KINDS)
			.chain((of) =>
				fc
					.record(Object.fromEntries(of.params.map((p) => [p.id, fc.double({ min: p.low, max: p.high, noNaN: true })])))
					.map((params) => ({ of, params }))
			);
		fc.assert(
			fc.property(any, ({ of, params }) => {
				fc.pre(paramFaults(of, params).length === 0);
				const { mesh, volumeMm3 } = solidOf(engine, of.shape(params, 'AB1'));
				expect(volumeMm3).toBeGreaterThan(0);
				expect(openEdges(readStl(stlOf(mesh)))).toBe(0);
			}),
			{ seed: 3, numRuns: 60 }
		);
	});
});

describe('sizes and marks', () => {
	it('each size within its limits, then all together', () => {
		const tile = usualParams(kind('flatTile'));
		expect(paramFaults(kind('flatTile'), { ...tile, wide: 5 })).toEqual([{ param: 'wide', reason: 'outOfRange', low: 10, high: 200 }]);
		expect(paramFaults(kind('flatTile'), { wide: 20, deep: 20 })).toEqual([{ param: 'thick', reason: 'missing' }]);
		const fault = (id: string, params: Params) => paramFaults(kind(id), { ...usualParams(kind(id)), ...params })[0];
		expect(fault('overhangLadder', { from: 70, to: 60 })).toEqual({ param: 'to', reason: 'notBelow' });
		expect(fault('overhangLadder', { from: 70, to: 72 })).toEqual({ param: 'step', reason: 'tooFew' });
		expect(fault('bridgeLadder', { step: 1 })).toEqual({ param: 'step', reason: 'tooMany' });
		expect(fault('temperatureLadder', { from: 200, to: 240 })).toEqual({ param: 'to', reason: 'notBelow' });
		expect(fault('measuringBlock', { bore: 19 })).toEqual({ param: 'bore', reason: 'tooMany' });
		expect(fault('spikePair', { tip: 9, foot: 8 })?.param).toBe('tip');
		expect(fault('tensileBarFlat', { gaugeWide: 20 })?.param).toBe('gaugeWide');
		expect(fault('adhesionPost', { bore: 7 })?.param).toBe('bore');
		expect(fault('textPlate', { from: 3, to: 5 })?.param).toBe('to');
		expect(fault('compound', { bridgeTo: 5 })?.param).toBe('bridgeTo');
		for (const of of PIECE_KINDS) expect(paramFaults(of, usualParams(of)), of.id).toEqual([]);
	});
	it('ladders know their steps', () => {
		const marks = (id: string, params: Params = {}) => kind(id).marks({ ...usualParams(kind(id)), ...params });
		expect(marks('overhangLadder')[0]).toEqual({ mark: 'overhang', steps: steps(30, 80, 5) });
		expect(marks('bridgeLadder', { from: 10, to: 22, step: 4 })[0]).toEqual({ mark: 'bridge', steps: [10, 14, 18, 22] });
		expect(marks('temperatureLadder')[0]?.steps?.slice(0, 2)).toEqual([240, 235]);
		expect(marks('textPlate')[0]?.steps).toEqual([8, 7, 6, 5, 4, 3, 2]);
		expect(marks('compound').map((m) => m.mark)).toEqual(['overhang', 'bridge', 'strings', 'surface']);
	});
	it('letters: no two of them look alike, and a sign without a letter is a blank', () => {
		const signs = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ0123456789'];
		const looks = signs.map((sign) => JSON.stringify(raisedText(sign, { x: 0, y: 0, z: 0, high: 7, raised: 1, on: 'plate' })));
		expect(new Set(looks).size).toBe(signs.length);
		expect(raisedText('?', { x: 0, y: 0, z: 0, high: 7, raised: 1, on: 'plate' })).toEqual([]);
		expect(textWidth('AB1')).toBeCloseTo(17 / 7, 12);
	});
});

function readThreeMf(bytes: Uint8Array): { title: string; triangles: string[][] } {
	const files = unzipSync(bytes);
	const relations = strFromU8(files['_rels/.rels'] as Uint8Array);
	const path = /Target="\/([^"]+)"/.exec(relations)?.[1] ?? '';
	const model = strFromU8(files[path] as Uint8Array);
	expect(model).toContain('unit="millimeter"');
	const corners = [...model.matchAll(/<vertex x="([^"]+)" y="([^"]+)" z="([^"]+)"\/>/g)].map((m) =>
		m
			.slice(1, 4)
			.map((n) => Math.fround(Number(n)))
			.join(' ')
	);
	const triangles = [...model.matchAll(/<triangle v1="(\d+)" v2="(\d+)" v3="(\d+)"\/>/g)].map((m) =>
		m.slice(1, 4).map((i) => corners[Number(i)] as string)
	);
	const title = (/name="Title">([^<]*)</.exec(model)?.[1] ?? '').replace(/&#(\d+);/g, (_, code: string) =>
		String.fromCharCode(Number(code))
	);
	return { title, triangles };
}

/** How many bodies a mesh is, by corners that triangles share. */
function bodiesOf({ corners, triangles }: Mesh): number {
	const parent = Array.from({ length: corners.length / 3 }, (_, i) => i);
	const root = (i: number): number => (parent[i] === i ? i : (parent[i] = root(parent[i] as number)));
	for (let t = 0; t < triangles.length; t += 3) {
		const [a, b, c] = [triangles[t], triangles[t + 1], triangles[t + 2]] as [number, number, number];
		parent[root(a)] = root(b);
		parent[root(b)] = root(c);
	}
	return new Set([...new Set(triangles)].map((i) => root(i))).size;
}
