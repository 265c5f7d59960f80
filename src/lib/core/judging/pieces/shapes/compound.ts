import { ladderFault, mm, sizeOf, stepsOf } from '../kit/params';
import { box, moved } from '../kit/shape';
import type { Params, PieceKind } from '../kit/types';
import { bridgeLadder, numberOn, overhangLadder } from './ladders';
import { spikePair } from './plain';
import { usualParams } from '../kit/usual';

const PLATE_MM = 1.2;
const ROOM_MM = 4;

const overhangOf = (params: Params): Params => ({
	...usualParams(overhangLadder),
	from: sizeOf(params, 'overhangFrom'),
	to: sizeOf(params, 'overhangTo'),
	step: sizeOf(params, 'overhangStep')
});
const bridgeOf = (params: Params): Params => ({
	...usualParams(bridgeLadder),
	from: sizeOf(params, 'bridgeFrom'),
	to: sizeOf(params, 'bridgeTo'),
	step: sizeOf(params, 'bridgeStep')
});
const spikesOf = (params: Params): Params => ({
	...usualParams(spikePair),
	gap: sizeOf(params, 'gap'),
	high: sizeOf(params, 'spikeHigh'),
	plate: PLATE_MM
});

/** Overhangs, bridges and spikes on one plate: one print, three marks. */
export const compound: PieceKind = {
	id: 'compound',
	params: [
		{ id: 'overhangFrom', unit: 'deg', usual: 40, low: 10, high: 80 },
		{ id: 'overhangTo', unit: 'deg', usual: 80, low: 20, high: 85 },
		{ id: 'overhangStep', unit: 'deg', usual: 10, low: 1, high: 20 },
		mm('bridgeFrom', 10, 2, 100),
		mm('bridgeTo', 30, 5, 150),
		mm('bridgeStep', 5, 1, 20),
		mm('gap', 20, 5, 120),
		mm('spikeHigh', 20, 10, 120)
	],
	fault(params) {
		const overhangs = ladderFault(overhangOf(params));
		if (overhangs) return { param: overhangs.param === 'to' ? 'overhangTo' : 'overhangStep', reason: overhangs.reason };
		const bridges = ladderFault(bridgeOf(params));
		return bridges && { param: bridges.param === 'to' ? 'bridgeTo' : 'bridgeStep', reason: bridges.reason };
	},
	marks: (params) => [
		{ mark: 'overhang', steps: stepsOf(overhangOf(params)) },
		{ mark: 'bridge', steps: stepsOf(bridgeOf(params)) },
		{ mark: 'strings', steps: null },
		{ mark: 'surface', steps: null }
	],
	shape(params, code) {
		const [overhangs, bridges, spikes] = [
			overhangLadder.shape(overhangOf(params), ''),
			bridgeLadder.shape(bridgeOf(params), ''),
			spikePair.shape(spikesOf(params), '')
		];
		const [a, b] = [stepsOf(overhangOf(params)), stepsOf(bridgeOf(params))];
		const [wall, slope, width] = ['wall', 'slope', 'width'].map((id) => sizeOf(overhangOf(params), id)) as [number, number, number];
		const [pillar, bridgeWidth] = [sizeOf(bridgeOf(params), 'pillar'), sizeOf(bridgeOf(params), 'width')];
		const overhangLong = a.length * (width + 3) - 3;
		const bridgeLong = b.length * (bridgeWidth + 3) - 3;
		const bridgesAt = wall + slope + ROOM_MM;
		const wide = bridgesAt + 2 * pillar + (b.at(-1) as number);
		const deep = Math.max(overhangLong, bridgeLong);
		// Under the ladders a thin plate holds all together; it lies below what is looked at.
		const plate = box(0, 0, 0, wide, deep, PLATE_MM);
		const onPlate = [...moved(overhangs.add, wall, 0, PLATE_MM - 0.01), ...moved(bridges.add, bridgesAt, 0, PLATE_MM - 0.01)];
		const spikesDeep = sizeOf(spikesOf(params), 'foot') + 6;
		const name = code ? numberOn(code, { x: wall + 1, y: 0, z: PLATE_MM, width: slope - 2, depth: Math.min(deep, 12) }) : [];
		return { add: [plate, ...onPlate, ...moved(spikes.add, 0, -spikesDeep + 0.01), ...name], cut: [] };
	}
};
