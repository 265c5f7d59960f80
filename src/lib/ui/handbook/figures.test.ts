import { afterEach, describe, expect, it } from 'vitest';
import { HANDBOOK } from '$lib/core/judging/handbook/defaults';
import { unitsFrom } from '../../words/units';
import { demandWords, FIGURES, figureText, figureUnit, readFigure } from './figures';

afterEach(() => unitsFrom(() => undefined));

describe('handbook figures as typed', () => {
	it('one number or two ends, comma or point', () => {
		expect(readFigure('densityGcm3', '55', 's')).toEqual({ low: 55, high: 55, source: 's' });
		expect(readFigure('densityGcm3', '45 to 50', 's')).toEqual({ low: 45, high: 50, source: 's' });
		expect(readFigure('densityGcm3', '1,24-1.26', 's')).toEqual({ low: 1.24, high: 1.26, source: 's' });
		expect(readFigure('densityGcm3', '-10', 's')).toEqual({ low: -10, high: -10, source: 's' });
		expect(readFigure('densityGcm3', '  ', 's')).toBeNull();
		expect(readFigure('densityGcm3', 'warm', 's')).toEqual({ low: 'warm', high: 'warm', source: 's' });
	});
	it('what is shown reads back as the same figure', () => {
		for (const units of [{}, { temperature: 'F' }, { mass: 'lb', length: 'in' }]) {
			unitsFrom(() => units);
			for (const m of HANDBOOK)
				for (const { key } of FIGURES) {
					const figure = m[key];
					if (figure) expect(readFigure(key, figureText(key, figure), figure.source)).toEqual(figure);
				}
		}
	});
	it('drying and softening in the tester’s degrees, the nozzle in those of a slicer', () => {
		const figure = { low: 45, high: 52.5, source: 's' };
		unitsFrom(() => ({ temperature: 'F' }));
		expect(FIGURES.map((f) => `${figureText(f.key, figure)} ${figureUnit(f)}`)).toEqual([
			'113 to 126.5 °F',
			'45 to 52.5 h',
			'45 to 52.5 h',
			'113 to 126.5 °F',
			'45 to 52.5 g/cm³',
			'45 to 52.5 °C'
		]);
		expect(readFigure('dryingC', '113 to 126,5', 's')).toEqual(figure);
	});
	it('demands in words', () => {
		const asa = HANDBOOK.find((m) => m.material === 'ASA');
		expect(asa && demandWords(asa)).toEqual(['enclosure', 'all-metal hot end']);
	});
});
