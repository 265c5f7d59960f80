/**
 * The demo: the Hexley Hill observatory, run by amateurs, chooses its house filament for brackets, knobs and dew-shield clips
 * before winter. Makers, products and numbers are invented; the truths below are what the seeded generator scatters around.
 */

type DemoTruth = {
	/** Mean and standard deviation of the strand, mm. */
	diameterMm: [mean: number, sd: number];
	overhangDeg: number;
	bridgeMm: number;
	/** Chance of each of the four words of strings, as received. */
	strings: [number, number, number, number];
	/** Newton a printed clip grips with: the observatory's own measure. */
	gripN: [mean: number, sd: number];
	/** Newton at which a dew-shield hook breaks, bucket counted. */
	hookN?: [mean: number, sd: number];
};

/** Weighed before and after its drying, then in the air: grams the drying takes out, and grams taken up by day. */
type DemoWater = {
	load: 'petg' | 'asa' | 'pla';
	tareG: number;
	tareKnown: boolean;
	lostG: number;
	uptakeG: [day: number, grams: number][];
};

export type DemoSpool = {
	maker: string;
	filament: string;
	material: string;
	colourName: string;
	colourHex: string;
	lot?: string;
	price?: string;
	netMass: string;
	shipping?: string;
	quantity?: number;
	quoteKind?: 'list' | 'sale' | 'bundle';
	labelNozzle: string;
	labelTolerance?: string;
	listingTolerance?: string;
	obtained: 'bought' | 'suppliedFree' | 'gift';
	grossMass?: string;
	tare?: string;
	odd?: Record<string, string>;
	note?: string;
	truth: DemoTruth;
	/** What was done with it so far. */
	done: {
		diameters: number;
		prints: number;
		failures?: number;
		dried: number;
		grip: number;
		driedOverhangDeg?: number;
		driedStrings?: [number, number, number, number];
		printer?: 'North' | 'South';
		hooks?: number;
	};
	water?: DemoWater;
};

export const DEMO_SPOOLS: DemoSpool[] = [
	{
		maker: 'Fennick Strand',
		filament: 'Steady',
		material: 'PETG',
		colourName: 'slate',
		colourHex: '#43525e',
		lot: 'F-114',
		price: '52.20',
		netMass: '1 kg',
		quantity: 3,
		quoteKind: 'bundle',
		labelNozzle: '230-245',
		labelTolerance: '0.02 mm',
		obtained: 'bought',
		grossMass: '1212 g',
		tare: '208 g',
		note: 'What we always buy. Third reel of this order.',
		truth: {
			diameterMm: [1.752, 0.007],
			overhangDeg: 66,
			bridgeMm: 36,
			strings: [0.55, 0.4, 0.05, 0],
			gripN: [15.5, 0.9],
			hookN: [112, 9]
		},
		done: { diameters: 10, prints: 4, dried: 0, grip: 4, hooks: 5 },
		water: {
			load: 'petg',
			tareG: 208,
			tareKnown: true,
			lostG: 0.9,
			uptakeG: [
				[22, 0.4],
				[29, 0.8],
				[38, 0.7]
			]
		}
	},
	{
		maker: 'Fennick Strand',
		filament: 'Steady',
		material: 'PETG',
		colourName: 'slate',
		colourHex: '#3d4d5b',
		lot: 'F-131',
		price: '19.90',
		netMass: '1 kg',
		labelNozzle: '230-245',
		labelTolerance: '0.02 mm',
		obtained: 'bought',
		odd: { winding: 'two crossed turns near the rim' },
		note: 'Same product, newer lot; wound worse than the one before.',
		truth: {
			diameterMm: [1.741, 0.018],
			overhangDeg: 61,
			bridgeMm: 30,
			strings: [0.15, 0.45, 0.3, 0.1],
			gripN: [14.2, 1.2],
			hookN: [103, 12]
		},
		done: { diameters: 10, prints: 4, failures: 1, dried: 0, grip: 3, hooks: 3 },
		water: {
			load: 'petg',
			tareG: 211,
			tareKnown: true,
			lostG: 1.6,
			uptakeG: [
				[22, 0.6],
				[29, 1],
				[38, 0.9]
			]
		}
	},
	{
		maker: 'Coldharbour Reels',
		filament: 'Copse',
		material: 'PETG',
		colourName: 'moss',
		colourHex: '#75803b',
		price: '13.40',
		netMass: '1 kg',
		shipping: '3.90',
		labelNozzle: '225-250',
		labelTolerance: '0.03 mm',
		listingTolerance: '0.02 mm',
		obtained: 'bought',
		odd: { desiccant: 'one tiny packet' },
		truth: {
			diameterMm: [1.757, 0.013],
			overhangDeg: 62,
			bridgeMm: 31,
			strings: [0.05, 0.25, 0.5, 0.2],
			gripN: [14.8, 1.1],
			hookN: [98, 13]
		},
		done: { diameters: 10, prints: 3, dried: 2, driedOverhangDeg: 67, driedStrings: [0.6, 0.4, 0, 0], grip: 3, hooks: 3 },
		water: {
			load: 'petg',
			tareG: 186,
			tareKnown: false,
			lostG: 3.9,
			uptakeG: [
				[22, 1.6],
				[29, 2.9],
				[38, 3.1]
			]
		}
	},
	{
		maker: 'Wren & Tallow',
		filament: 'Gable',
		material: 'PETG',
		colourName: 'oat',
		colourHex: '#cbbf9f',
		price: '27.50',
		netMass: '1 kg',
		labelNozzle: '235-255',
		labelTolerance: '0.02 mm',
		obtained: 'bought',
		truth: { diameterMm: [1.75, 0.006], overhangDeg: 71, bridgeMm: 41, strings: [0.8, 0.2, 0, 0], gripN: [16.4, 0.8], hookN: [141, 8] },
		done: { diameters: 10, prints: 3, dried: 0, grip: 3, hooks: 4 },
		water: {
			load: 'petg',
			tareG: 224,
			tareKnown: true,
			lostG: 0.5,
			uptakeG: [
				[22, 0.3],
				[29, 0.6],
				[38, 0.6]
			]
		}
	},
	{
		maker: 'Wren & Tallow',
		filament: 'Gable Weather',
		material: 'ASA',
		colourName: 'soot',
		colourHex: '#26262a',
		price: '31.00',
		netMass: '1 kg',
		labelNozzle: '245-265',
		labelTolerance: '0.02 mm',
		obtained: 'bought',
		odd: { odour: 'sharp while printing' },
		truth: { diameterMm: [1.749, 0.008], overhangDeg: 58, bridgeMm: 24, strings: [0.5, 0.4, 0.1, 0], gripN: [21.5, 1.4], hookN: [124, 10] },
		done: { diameters: 10, prints: 2, dried: 0, grip: 3, printer: 'South', hooks: 3 },
		water: {
			load: 'asa',
			tareG: 224,
			tareKnown: true,
			lostG: 1.2,
			uptakeG: [
				[22, 0.9],
				[29, 1.7],
				[38, 2]
			]
		}
	},
	{
		maker: 'Ninefold Mill',
		filament: 'Plainsong',
		material: 'PLA',
		colourName: 'brick',
		colourHex: '#93392c',
		price: '15.80',
		netMass: '1 kg',
		labelNozzle: '200-220',
		labelTolerance: '0.03 mm',
		obtained: 'bought',
		grossMass: '1190 g',
		truth: { diameterMm: [1.748, 0.009], overhangDeg: 72, bridgeMm: 44, strings: [0.7, 0.3, 0, 0], gripN: [12.1, 0.9], hookN: [128, 6] },
		done: { diameters: 10, prints: 3, dried: 0, grip: 3, hooks: 3 },
		water: {
			load: 'pla',
			tareG: 192,
			tareKnown: true,
			lostG: 1.1,
			uptakeG: [
				[22, 0.7],
				[29, 1.1]
			]
		}
	},
	{
		maker: 'Ninefold Mill',
		filament: 'Plainsong Stout',
		material: 'PLA',
		colourName: 'ochre',
		colourHex: '#c48a2c',
		price: '18.90',
		netMass: '750 g',
		labelNozzle: '210-225',
		obtained: 'bought',
		odd: { label: 'temperature on the box only' },
		truth: { diameterMm: [1.753, 0.011], overhangDeg: 69, bridgeMm: 39, strings: [0.45, 0.4, 0.15, 0], gripN: [13.9, 1], hookN: [119, 9] },
		done: { diameters: 10, prints: 2, dried: 0, grip: 2, hooks: 1 }
	},
	{
		maker: 'Skerry Works',
		filament: 'Harbour',
		material: 'ASA',
		colourName: 'fog',
		colourHex: '#a9b4ba',
		price: '14.00',
		netMass: '250 g',
		quoteKind: 'list',
		labelNozzle: '240-260',
		labelTolerance: '0.05 mm',
		obtained: 'suppliedFree',
		note: 'Sample sent by the maker; ran out in the third print.',
		truth: { diameterMm: [1.746, 0.012], overhangDeg: 57, bridgeMm: 26, strings: [0.4, 0.5, 0.1, 0], gripN: [20.3, 1.3] },
		done: { diameters: 4, prints: 1, dried: 0, grip: 0 }
	},
	{
		maker: 'Skerry Works',
		filament: 'Tideline',
		material: 'PETG',
		colourName: 'chalk',
		colourHex: '#f1efe8',
		netMass: '1 kg',
		labelNozzle: '230-250',
		labelTolerance: '0.02 mm',
		obtained: 'gift',
		odd: { seal: 'bag had a hole', brittle: 'first metre snapped' },
		truth: { diameterMm: [1.755, 0.01], overhangDeg: 54, bridgeMm: 22, strings: [0, 0.1, 0.4, 0.5], gripN: [13.5, 1.5] },
		done: { diameters: 0, prints: 2, failures: 1, dried: 1, driedOverhangDeg: 66, driedStrings: [0.3, 0.5, 0.2, 0], grip: 0 },
		water: { load: 'petg', tareG: 205, tareKnown: false, lostG: 5.2, uptakeG: [[22, 1.1]] }
	}
];

export const DEMO_TRIAL = {
	name: 'Clips before winter',
	question: 'Which filament should Hexley Hill keep buying for brackets, knobs and dew-shield clips?'
};

export const DEMO_KNOBS_TRIAL = {
	name: 'Is Gable worth it for knobs?',
	question: 'One dearer reel against what we always buy: do the focuser knobs come out better?'
};

export const DEMO_SOFT_TRIAL = {
	name: 'Soft feet for the pier',
	question: 'Which flexible prints without watching it, and how fast?'
};

/** Two flexibles with the feed rates they were tried at. */
export const DEMO_SOFT_FEET: {
	maker: string;
	filament: string;
	material: string;
	colourName: string;
	colourHex: string;
	price: string;
	netMass: string;
	labelNozzle: string;
	hardness: string;
	obtained: 'bought';
	loads: 'glides' | 'pushed' | 'forced';
	feeds: [speedPct: number, outcome: 'finished' | 'failed'][];
}[] = [
	{
		maker: 'Skerry Works',
		filament: 'Kelp',
		material: 'TPU',
		colourName: 'wrack',
		colourHex: '#5b6a3c',
		price: '31.00',
		netMass: '750 g',
		labelNozzle: '215-235',
		hardness: '95A',
		obtained: 'bought',
		loads: 'glides',
		feeds: [
			[50, 'finished'],
			[80, 'finished'],
			[100, 'failed']
		]
	},
	{
		maker: 'Fennick Strand',
		filament: 'Give',
		material: 'TPU',
		colourName: 'soot',
		colourHex: '#2b2b2e',
		price: '27.50',
		netMass: '500 g',
		labelNozzle: '220-230',
		hardness: '45D',
		obtained: 'bought',
		loads: 'pushed',
		feeds: [
			[60, 'failed'],
			[40, 'finished']
		]
	}
];
