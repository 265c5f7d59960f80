import { rectangle, type Part } from './shape';

/** Letters of five by seven squares: the smallest that a nozzle can draw and an eye can read. A row a digit of 32, from the top. */
const GLYPHS: Record<string, string> = {
	A: 'EHHVHHH',
	B: 'UHHUHHU',
	C: 'EHGGGHE',
	D: 'UHHHHHU',
	E: 'VGGUGGV',
	F: 'VGGUGGG',
	G: 'EHGNHHF',
	H: 'HHHVHHH',
	I: 'E44444E',
	J: '72222IC',
	K: 'HIKOKIH',
	L: 'GGGGGGV',
	M: 'HRLLHHH',
	N: 'HHPLJHH',
	O: 'EHHHHHE',
	P: 'UHHUGGG',
	Q: 'EHHHLID',
	R: 'UHHUKIH',
	S: 'FGGE11U',
	T: 'V444444',
	U: 'HHHHHHE',
	V: 'HHHHHA4',
	W: 'HHHLLRH',
	X: 'HHA4AHH',
	Y: 'HHA4444',
	Z: 'V1248GV',
	0: 'EHJLPHE',
	1: '4C4444E',
	2: 'EH1248V',
	3: 'V2421HE',
	4: '26AIV22',
	5: 'VGU11HE',
	6: '68GUHHE',
	7: 'V124444',
	8: 'EHHEHHE',
	9: 'EHHF12C',
	'-': '000V000',
	'.': '0000066'
};
const WIDE = 5;
const HIGH = 7;
/** Squares from one letter to the next. */
const PITCH = 6;
/** Squares overlap a little, so that two which meet at a corner are one solid. */
const OVERLAP = 0.08;

/**
 * How wide a text stands, as a multiple of its height.
 * @returns as a multiple of the height of the text
 * @example textWidth('AB1') // 2.43
 */
export function textWidth(text: string): number {
	return text.length === 0 ? 0 : (text.length * PITCH - 1) / HIGH;
}

/**
 * A text in raised letters: lying on a plate at z, or standing on the front of a wall at y (then x and z are its lower left corner and it
 * reaches towards -y). Signs that have no letter are left blank.
 * @param high height of a capital, mm
 * @example raisedText('AB1', { x: 1, y: 1, z: 2, high: 7, raised: 0.6, on: 'plate' }).length // 30
 */
export function raisedText(
	text: string,
	at: { x: number; y: number; z: number; high: number; raised: number; on: 'plate' | 'wall' }
): Part[] {
	const square = at.high / HIGH;
	return [...text.toUpperCase()].flatMap((sign, i) =>
		runsOf(GLYPHS[sign] ?? '').map(({ row, from, length }): Part => {
			const along = at.x + (i * PITCH + from - OVERLAP / 2) * square;
			const across = (HIGH - 1 - row - OVERLAP / 2) * square;
			const size = [(length + OVERLAP) * square, (1 + OVERLAP) * square] as const;
			// Sunk in a little: the same solid, not one that only touches.
			return at.on === 'plate'
				? { kind: 'plate', outline: rectangle(along, at.y + across, ...size), z: at.z - SUNK_MM, height: at.raised + SUNK_MM }
				: { kind: 'prism', outline: rectangle(along, at.z + across, ...size), y: at.y - at.raised, depth: at.raised + SUNK_MM };
		})
	);
}

const SUNK_MM = 0.2;

/** Squares of a row that stand side by side. */
function runsOf(glyph: string): { row: number; from: number; length: number }[] {
	return [...glyph].flatMap((digit, row) => {
		const bits = parseInt(digit, 32).toString(2).padStart(WIDE, '0');
		return [...bits.matchAll(/1+/g)].map((run) => ({ row, from: run.index, length: run[0].length }));
	});
}
