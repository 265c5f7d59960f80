import { describe, expect, it } from 'vitest';
import { HANDBOOK } from '$lib/core/handbook/defaults';
import { demandWords, figureText, readFigure } from './figures';

describe('handbook figures as typed', () => {
	it('one number or two ends, comma or point', () => {
		expect(readFigure('55', 's')).toEqual({ low: 55, high: 55, source: 's' });
		expect(readFigure('45 to 50', 's')).toEqual({ low: 45, high: 50, source: 's' });
		expect(readFigure('1,24-1.26', 's')).toEqual({ low: 1.24, high: 1.26, source: 's' });
		expect(readFigure('-10', 's')).toEqual({ low: -10, high: -10, source: 's' });
		expect(readFigure('  ', 's')).toBeNull();
		expect(readFigure('warm', 's')).toEqual({ low: 'warm', high: 'warm', source: 's' });
	});
	it('what is shown reads back as the same figure', () => {
		for (const m of HANDBOOK)
			for (const f of [m.dryingC, m.dryingH, m.softeningC, m.densityGcm3, m.hotEndC])
				if (f) expect(readFigure(figureText(f), f.source)).toEqual(f);
	});
	it('demands in words', () => {
		const asa = HANDBOOK.find((m) => m.material === 'ASA');
		expect(asa && demandWords(asa)).toEqual(['enclosure', 'all-metal hot end']);
	});
});
