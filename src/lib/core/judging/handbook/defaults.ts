import type { MaterialFigures } from './figures';

const MEMORY = 'typical, from memory';
const PRACTICE = 'common practice, no source';

const typical = (low: number, high = low) => ({ low, high, source: MEMORY });
const practised = (low: number, high = low) => ({ low, high, source: PRACTICE });

type Short = Pick<MaterialFigures, 'material' | 'dryingC' | 'dryingH' | 'dryForH' | 'softeningC' | 'densityGcm3' | 'hotEndC'> &
	Partial<Pick<MaterialFigures, 'hardenedNozzle' | 'enclosure' | 'fumes' | 'feeder'>>;

const entry = (short: Short): MaterialFigures => ({
	hardenedNozzle: false,
	enclosure: false,
	fumes: 'little smell; ventilate all the same',
	feeder: '',
	...short,
	edited: false
});

const STRONG_FUMES = 'styrene and fine particles: ventilate, do not sit beside it';

/**
 * The handbook Draught comes with. Typical figures, none of them measured here; a workshop edits its own copy.
 * Source: stands with each figure.
 * @example HANDBOOK.find((m) => m.material === 'PLA')?.softeningC // { low: 55, high: 60, source: 'typical, from memory' }
 */
export const HANDBOOK: readonly MaterialFigures[] = [
	entry({
		material: 'PLA',
		dryingC: practised(45, 50),
		dryingH: practised(4, 12),
		dryForH: practised(336),
		softeningC: typical(55, 60),
		densityGcm3: typical(1.24),
		hotEndC: typical(190, 230)
	}),
	entry({
		material: 'PETG',
		dryingC: practised(60, 65),
		dryingH: practised(4, 8),
		dryForH: practised(336),
		softeningC: typical(75, 80),
		densityGcm3: typical(1.27),
		hotEndC: typical(220, 255)
	}),
	entry({
		material: 'ABS',
		dryingC: typical(70, 80),
		dryingH: typical(4, 6),
		dryForH: practised(336),
		softeningC: typical(100, 105),
		densityGcm3: typical(1.04),
		hotEndC: typical(230, 260),
		enclosure: true,
		fumes: STRONG_FUMES
	}),
	entry({
		material: 'ASA',
		dryingC: typical(75, 80),
		dryingH: typical(4, 6),
		dryForH: practised(336),
		softeningC: typical(100),
		densityGcm3: typical(1.07),
		hotEndC: typical(240, 265),
		enclosure: true,
		fumes: STRONG_FUMES
	}),
	entry({
		material: 'TPU',
		dryingC: practised(50, 60),
		dryingH: practised(3, 4),
		dryForH: practised(48),
		// Its glass transition lies below zero; what limits it is that soft turns fuse.
		softeningC: typical(70),
		densityGcm3: typical(1.21),
		hotEndC: typical(210, 240),
		feeder: 'a direct, well-guided feeder; 40 to 60 % of the usual feed rate for soft ones (common practice, no source)'
	}),
	entry({
		material: 'PC',
		dryingC: typical(100, 110),
		dryingH: typical(6, 8),
		dryForH: practised(48),
		softeningC: typical(145),
		densityGcm3: typical(1.2),
		hotEndC: typical(260, 300),
		enclosure: true,
		fumes: 'fine particles at these temperatures: ventilate'
	}),
	entry({
		material: 'PA6',
		dryingC: practised(80, 100),
		dryingH: practised(3, 6),
		dryForH: practised(12),
		softeningC: typical(50),
		densityGcm3: typical(1.14),
		hotEndC: typical(250, 280),
		fumes: 'fine particles: ventilate',
		feeder: 'prints best straight from the hot box (common practice, no source)'
	}),
	entry({
		material: 'PA12',
		dryingC: practised(80, 100),
		dryingH: practised(3, 6),
		dryForH: practised(24),
		softeningC: typical(45),
		densityGcm3: typical(1.01),
		hotEndC: typical(240, 270),
		fumes: 'fine particles: ventilate',
		feeder: 'prints best straight from the hot box (common practice, no source)'
	}),
	entry({
		material: 'PA-CF',
		dryingC: practised(80, 100),
		dryingH: practised(3, 6),
		dryForH: practised(12),
		softeningC: null,
		densityGcm3: null,
		hotEndC: typical(260, 290),
		hardenedNozzle: true,
		fumes: 'fine particles, and fibre dust when it is cut or sanded: gloves, extraction, mask'
	}),
	entry({
		material: 'PP',
		dryingC: null,
		dryingH: null,
		dryForH: null,
		softeningC: null,
		densityGcm3: typical(0.9),
		hotEndC: typical(220, 250),
		enclosure: true,
		feeder: 'sticks to tape of its own kind, wide brim (common practice, no source)'
	}),
	entry({
		material: 'HIPS',
		dryingC: typical(65, 70),
		dryingH: typical(4, 6),
		dryForH: null,
		softeningC: typical(90, 95),
		densityGcm3: typical(1.04),
		hotEndC: typical(230, 250),
		enclosure: true,
		fumes: STRONG_FUMES
	}),
	entry({
		material: 'PVB',
		dryingC: typical(50, 55),
		dryingH: typical(4, 8),
		dryForH: null,
		softeningC: typical(55, 60),
		densityGcm3: typical(1.08),
		hotEndC: typical(200, 225)
	}),
	entry({
		material: 'PVA',
		dryingC: practised(60),
		// Three hours were not enough.
		dryingH: practised(4, 8),
		dryForH: practised(12),
		softeningC: typical(60, 75),
		densityGcm3: typical(1.23),
		hotEndC: typical(190, 220)
	})
];
