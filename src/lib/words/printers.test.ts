import { expect, it } from 'vitest';
import { printerNamed } from '../../../tests/support/evidence';
import { abilityWords } from './printers';

const unknown = printerNamed('North');

it('a printer is told by what is known of it', () => {
	expect(abilityWords(unknown)).toBe('hot end not noted');
	const all = {
		hotEndMaxC: 260,
		hardenedNozzle: true,
		enclosed: true,
		feedPathMm: 2,
		throatMm: 1.95,
		bedMaxC: 110,
		cardReels: false,
		reelMaxG: 1200
	};
	expect(abilityWords(all)).toBe(
		'hot end to 260 °C, hardened nozzle, enclosed, feed path 2 mm, throat 1.95 mm, bed up to 110 °C, no card reels, spools up to 1200 g'
	);
	expect(abilityWords({ ...unknown, hardenedNozzle: false, enclosed: false, cardReels: true })).toBe(
		'hot end not noted, brass nozzle, not enclosed'
	);
});
