import type { ParamDef } from '$lib/core/judging/pieces/kit/types';
import type { PieceMark } from '$lib/core/record/marks/piece-mark';
import { upTo } from './numbers';
import { CARRIED_WORDS } from './print-marks';

/** Our own pieces by name, and what each is for. */
export const PIECE_WORDS: Record<string, { name: string; about: string }> = {
	compound: { name: 'Compound piece', about: 'overhangs, bridges and spikes in one print' },
	overhangLadder: { name: 'Overhang ladder', about: 'undersides that lean farther and farther out' },
	bridgeLadder: { name: 'Bridge ladder', about: 'spans that grow step by step' },
	spikePair: { name: 'Spike pair', about: 'two cones some way apart: strings between them' },
	warpBar: { name: 'Warp bar', about: 'a long bar whose corners lift first' },
	measuringBlock: { name: 'Measuring block', about: 'a block for the caliper along each axis' },
	flatTile: { name: 'Flat tile', about: 'what light shows of a surface' },
	textPlate: { name: 'Text plate', about: 'lines of text that get smaller' },
	temperatureLadder: { name: 'Temperature ladder', about: 'floors for one temperature each, hottest at the foot' },
	tensileBarFlat: { name: 'Tensile bar, flat', about: 'layers pulled along' },
	tensileBarUpright: { name: 'Tensile bar, upright', about: 'layers pulled apart' },
	bendStrip: { name: 'Bend strip', about: 'bent by hand or over an edge' },
	hook: { name: 'Hook', about: 'loaded until it opens or breaks' },
	adhesionPost: { name: 'Adhesion post', about: 'broken off its foot sideways' }
};

const PARAMS: Record<string, string> = {
	from: 'First step',
	to: 'Last step',
	step: 'Step',
	slope: 'Length of the slope',
	width: 'Width',
	wall: 'Wall',
	high: 'Height',
	thick: 'Thickness',
	pillar: 'Pillars',
	gap: 'Gap between the feet',
	foot: 'Foot',
	tip: 'Tip',
	plate: 'Plate',
	long: 'Length',
	wide: 'Width',
	deep: 'Depth',
	depth: 'Depth',
	alongX: 'Size X',
	alongY: 'Size Y',
	alongZ: 'Size Z',
	bore: 'Bore, 0 for none',
	raised: 'Raised by',
	floor: 'Height of a floor',
	span: 'Window',
	nose: 'Nose',
	grip: 'Grip, length',
	gripWide: 'Grip, width',
	shoulder: 'Shoulder',
	gauge: 'Gauge length',
	gaugeWide: 'Gauge width',
	opening: 'Opening',
	section: 'Section',
	shank: 'Shank',
	side: 'Side of the post',
	footThick: 'Foot, thickness',
	overhangFrom: 'Overhang from',
	overhangTo: 'Overhang to',
	overhangStep: 'Overhang step',
	sides: 'Sides (2: towards and away from the fan)',
	bridgeFrom: 'Bridge from',
	bridgeTo: 'Bridge to',
	bridgeStep: 'Bridge step',
	spikeHigh: 'Spikes, height'
};
const UNITS: Record<ParamDef['unit'], string> = { mm: 'mm', deg: '°', degC: '°C', '': '' };

/**
 * A size by its name and unit.
 * @example paramName({ id: 'gap', unit: 'mm', ... }) // 'Gap between the feet, mm'
 */
export function paramName({ id, unit }: Pick<ParamDef, 'id' | 'unit'>): string {
	return [PARAMS[id] ?? id, UNITS[unit]].filter(Boolean).join(', ');
}

/**
 * What can be looked at on a piece, in one line.
 * @example marksLine([{ mark: 'overhang', steps: [30, 35] }]) // 'overhang 30 to 35'
 */
export function marksLine(marks: readonly PieceMark[]): string {
	return marks
		.map(({ mark, steps }) =>
			steps?.length ? `${CARRIED_WORDS[mark]} ${upTo(steps[0] ?? 0, 2)} to ${upTo(steps.at(-1) ?? 0, 2)}` : CARRIED_WORDS[mark]
		)
		.join(', ');
}
