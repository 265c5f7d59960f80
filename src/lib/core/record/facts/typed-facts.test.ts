import { expect, it } from 'vitest';
import { PRINTER_FACTS } from './printer-facts';
import { SPOOL_FACTS } from './spool-facts';
import { blankFacts, typedFacts } from './typed-facts';

it('facts stand in a form under the names they are sent by, as they would be typed', () => {
	expect(typedFacts(SPOOL_FACTS, { lot: 'B7', desiccantG: 5, colourHex: null })).toEqual({
		colourName: '',
		colourHex: '',
		lot: 'B7',
		reelMaterial: null,
		desiccant: '5 g',
		obtained: null
	});
	expect(blankFacts(PRINTER_FACTS)).toMatchObject({ hotEndMax: '', enclosed: false, cardReels: true });
	expect(typedFacts(PRINTER_FACTS, { cardReels: false, throatMm: 1.95 })).toMatchObject({ cardReels: false, throat: '1.95 mm' });
});
