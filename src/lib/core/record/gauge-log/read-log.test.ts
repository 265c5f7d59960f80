import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { LogReader, type ReadLayout } from './read-log';

const layout: ReadLayout = {
	headerRows: 1,
	delimiter: ',',
	decimal: '.',
	unit: 'mm',
	along: 1,
	across: null,
	place: { kind: 'position', column: 0, perMetre: 1 }
};
function readAll(text: string, given: Partial<ReadLayout> = {}, cutAt: number[] = []) {
	const reader = new LogReader({ ...layout, ...given });
	const cuts = [0, ...[...cutAt].sort((a, b) => a - b), text.length];
	cuts.slice(1).forEach((to, i) => reader.push(text.slice(cuts[i], to)));
	return reader.finish();
}
const file = ['m,mm', ...Array.from({ length: 50 }, (_, i) => `${(i * 0.01).toFixed(2)},${(1.75 + i / 1000).toFixed(3)}`)].join('\n');

describe('a gauge’s file', () => {
	it('reads the same wherever it is cut', () => {
		const whole = readAll(file);
		expect(whole.ok && whole.log.along).toHaveLength(50);
		fc.assert(
			fc.property(fc.array(fc.nat(file.length), { maxLength: 8 }), (cuts) => {
				expect(readAll(file, {}, cuts)).toEqual(whole);
			})
		);
	});
	it('takes even positions as steps, others as they are', () => {
		const even = readAll(file);
		expect(even.ok && even.log.position.kind).toBe('even');
		expect(even.ok && even.log.position.kind === 'even' && even.log.position.stepM).toBeCloseTo(0.01, 12);
		const uneven = readAll('m,mm\n0,1.75\n0.1,1.76\n5,1.75');
		expect(uneven.ok && uneven.log.position.kind).toBe('listed');
	});
	it('takes decimal commas, micrometres, inches, two axes, Windows lines, an empty last line', () => {
		const comma = readAll('m;a;b\r\n0;1750;1760\r\n0,1;1751;1761\r\n', { delimiter: ';', decimal: ',', unit: 'um', across: 2 });
		expect(comma.ok && [...comma.log.along]).toEqual([1.75, 1.751]);
		expect(comma.ok && [...(comma.log.across ?? [])]).toEqual([1.76, 1.761]);
		const inch = readAll('0.0689\n0.0690', { headerRows: 0, unit: 'in', along: 0, place: { kind: 'step', stepM: 0.5 } });
		expect(inch.ok && inch.log.along[0]).toBeCloseTo(1.75006, 9);
	});
	it('makes positions of time and line speed', () => {
		const timed = readAll('ms,mm\n0,1.75\n200,1.75\n400,1.76', { place: { kind: 'time', column: 0, perSecond: 1000, speedMPerS: 0.5 } });
		expect(timed.ok && timed.log.position).toEqual({ kind: 'even', startM: 0, stepM: expect.closeTo(0.1, 12) as number });
	});
	it('begins where its first position says, by a column of positions, of times or of millimetres', () => {
		const at = (text: string, given: Partial<ReadLayout> = {}) => {
			const read = readAll(text, given);
			return read.ok ? read.log.position : null;
		};
		expect(at('m,mm\n12,1.75\n12.5,1.76\n13,1.75')).toEqual({ kind: 'even', startM: 12, stepM: 0.5 });
		const timed = { kind: 'time', column: 0, perSecond: 1000, speedMPerS: 0.5 } as const;
		expect(at('ms,mm\n24000,1.75\n24200,1.75', { place: timed })).toEqual({
			kind: 'even',
			startM: 12,
			stepM: expect.closeTo(0.1, 12) as number
		});
		expect(at('mm,mm\n12000,1.75\n12250,1.75', { place: { kind: 'position', column: 0, perMetre: 1000 } })).toEqual({
			kind: 'even',
			startM: 12,
			stepM: 0.25
		});
		expect(at('m,mm\n12,1.75\n12.1,1.76\n20,1.75')).toEqual({ kind: 'listed', metres: Float64Array.of(12, 12.1, 20) });
	});
	it('of a wheel that stood still has one place several times', () => {
		const stood = readAll('m,mm\n0,1.75\n0.1,1.76\n0.1,1.77\n0.1,1.76\n0.5,1.75');
		expect(stood.ok && stood.log.position).toEqual({ kind: 'listed', metres: Float64Array.of(0, 0.1, 0.1, 0.1, 0.5) });
		const never = readAll('m,mm\n3,1.75\n3,1.76');
		expect(never.ok && never.log.position).toEqual({ kind: 'listed', metres: Float64Array.of(3, 3) });
	});
	it('tells what was read so far, without the line that is not whole yet', () => {
		const reader = new LogReader({ ...layout, across: 2 });
		reader.push('m,a,b\n5,1.75,1.76\n6,1.7');
		expect(reader.soFar()).toEqual({
			along: Float64Array.of(1.75),
			across: Float64Array.of(1.76),
			position: { kind: 'listed', metres: Float64Array.of(5) }
		});
		expect(reader.metres).toEqual(Float64Array.of(5));
		reader.push('7,1.78\n');
		expect(reader.soFar()).toMatchObject({ along: Float64Array.of(1.75, 1.77), position: { kind: 'even', startM: 5, stepM: 1 } });
		expect(new LogReader({ ...layout, place: { kind: 'step', stepM: 0.5 } }).metres).toBeNull();
	});
	it('holds more readings than it made room for at first', () => {
		const long = readAll(['m,mm', ...Array.from({ length: 3000 }, (_, i) => `${i},${(1.7 + (i % 7) / 100).toFixed(2)}`)].join('\n'));
		expect(long.ok && long.log.along.length).toBe(3000);
		expect(long.ok && [1023, 1024, 2048, 2999].map((i) => long.log.along[i])).toEqual([1.71, 1.72, 1.74, 1.73]);
	});
	it('names the row of every fault, and takes nothing', () => {
		const lines = file.split('\n');
		lines[16] = '0.15,wet';
		lines[19] = '0.18';
		lines[24] = '0.01,1.75';
		lines[29] = '0.28,17.5';
		const read = readAll(lines.join('\n'));
		expect(read).toEqual({
			ok: false,
			errors: [
				{ row: 17, code: 'notANumber', text: 'wet' },
				{ row: 20, code: 'missing', text: '' },
				{ row: 25, code: 'backwards', text: '0.01' },
				{ row: 30, code: 'outOfRange', text: '17.5' }
			]
		});
	});
	it('an empty file and one of headings only are faults; so are blanks between commas', () => {
		expect(readAll('')).toMatchObject({ ok: false });
		expect(readAll('m,mm')).toMatchObject({ ok: false });
		expect(readAll('m,mm\n0,')).toMatchObject({ ok: false, errors: [{ row: 2, code: 'notANumber' }] });
	});
	it('stops looking after twenty faults', () => {
		const read = readAll(['m,mm', ...Array.from({ length: 100 }, () => 'x,y')].join('\n'));
		expect(!read.ok && read.errors.length).toBe(20);
	});
});
