import type { Reading } from '$lib/core/evidence/reading';
import { shownReading } from '$lib/core/readings/shown-reading';

/** A number with nothing behind it. */
const BARE = /^[\d.,\s]+$/;

/** A typed number with its unit behind it; what carries a unit already stays as it is. @example withUnit('25', 'lb') // '25 lb' */
export const withUnit = (typed: string, unit: string): string => (BARE.test(typed) && unit ? `${typed.trim()} ${unit}` : typed);

/** The unit in which a bench's numbers are meant, tapped beside the field and remembered by this device for each quantity. */
export class ChosenUnit {
	readonly units: readonly string[];
	readonly #store: string;
	#unit = $state('');

	/** @param units the first is the one that is meant where none is chosen */
	constructor(quantity: string, units: readonly string[]) {
		this.units = units;
		this.#store = `draught-unit-${quantity}`;
	}

	get unit(): string {
		return this.#unit || (this.units[0] ?? '');
	}

	/** Once the page is in the browser. */
	recall(): void {
		const kept = localStorage.getItem(this.#store) ?? '';
		if (this.units.includes(kept)) this.#unit = kept;
	}

	choose(unit: string): void {
		this.#unit = unit;
		localStorage.setItem(this.#store, unit);
	}

	/** The same again: what was typed in another unit keeps it. */
	again(reading: Pick<Reading, 'quantity' | 'typedText' | 'typedUnit' | 'value'> | undefined): string | null {
		if (!reading) return null;
		return this.unit === this.units[0] ? reading.typedText : withUnit(shownReading(reading), reading.typedUnit);
	}

	/** What a typed text means here; the usual unit needs no saying. */
	meant(typed: string): string {
		return this.unit === this.units[0] ? typed : withUnit(typed, this.unit);
	}
}
