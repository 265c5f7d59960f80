import { describe, expect, it } from 'vitest';
import { attempt, diameters, evidence, mark, basis, quote, reading } from '../../../../../tests/support/evidence';
import { STATIONS } from '../../joins/registry';
import { buildSheet } from './build-sheet';
import { shownSheet } from './shown-sheet';

const weights = { overhang: 3, costPerGoodKg: 2 };
const shown = (...spools: ReturnType<typeof evidence>[]) => {
	const sheet = buildSheet({ spools, basis, stations: STATIONS, weights });
	const view = shownSheet(sheet);
	const cell = (row: number, quantity: string) => {
		const found = view.rows[row]?.cells[view.columns.findIndex((c) => c.id === quantity)];
		if (!found) throw new Error(`no cell ${quantity}`);
		return found;
	};
	return { sheet, view, cell };
};

describe('the sheet as it is shown', () => {
	it('tells what the sheet tells: estimate, n, interval, grade and letters of every cell', () => {
		const print = attempt();
		const { sheet, view } = shown(
			evidence({ readings: [...diameters([1.75, 1.76]), mark(print, 'overhangLastClean', 65)], attempts: [print], quotes: [quote()] }),
			evidence({ readings: diameters([1.7, 1.71]) })
		);
		expect(view.columns).toEqual(sheet.columns);
		expect(view.rows.map((r) => r.spoolId)).toEqual(sheet.rows.map((r) => r.spoolId));
		let compared = 0;
		view.rows.forEach((row, r) =>
			row.cells.forEach((cell, c) => {
				const whole = sheet.rows[r]?.cells[c];
				expect(cell.letters).toBe(whole?.letters);
				cell.findings.forEach((f, i) => {
					const { estimate, n, interval, grade, word } = whole?.findings[i] ?? {};
					expect({ estimate: f.estimate, n: f.n, interval: f.interval, grade: f.grade, word: f.word }).toEqual({
						estimate,
						n,
						interval,
						grade,
						word
					});
					compared += 1;
				});
			})
		);
		expect(compared).toBeGreaterThanOrEqual(4);
	});

	it('an empty cell says what is wanted, a hidden price that it is withheld, and a price alone is drawn', () => {
		const { cell } = shown(
			evidence({ readings: [reading({ station: 'intake', quantity: 'nothingOdd', value: 0 })] }),
			evidence({ pricesHidden: true }),
			evidence({ quotes: [quote()] })
		);
		expect(cell(0, 'overhang')).toMatchObject({ findings: [], withheld: false, wanted: { station: 'prints', action: 'printPiece' } });
		expect(cell(1, 'costPerGoodKg')).toMatchObject({ findings: [], withheld: true });
		expect(cell(2, 'costPerGoodKg').findings).toHaveLength(1);
	});

	it('marks the cells of spools that are unlike the others, and only those', () => {
		const [one, two, other] = [attempt({ printer: 'North' }), attempt({ printer: 'North' }), attempt({ printer: 'South' })];
		const of = (print: typeof one) => evidence({ readings: [mark(print, 'overhangLastClean', 65)], attempts: [print] });
		const { cell } = shown(of(one), of(two), of(other));
		expect([0, 1, 2].map((row) => cell(row, 'overhang').unlike)).toEqual([false, false, true]);
		expect(cell(2, 'diameterMean').unlike).toBe(false);
	});

	it('draws a strand of many places in as many columns as a cell can show, with its thickest and thinnest place', () => {
		const many = Array.from({ length: 300 }, (_, i) => (i === 101 ? 1.9 : i === 203 ? 1.5 : 1.75));
		const figure = shown(evidence({ readings: diameters(many) })).cell(0, 'diameterMean').findings[0]?.figure;
		if (figure?.kind !== 'strand') throw new Error('no strand');
		expect(figure.places.length).toBeLessThanOrEqual(60);
		expect(figure.places.length).toBeGreaterThanOrEqual(30);
		expect(Math.max(...figure.places.map((p) => p.highMm))).toBe(1.9);
		expect(Math.min(...figure.places.map((p) => p.lowMm))).toBe(1.5);
	});
});
