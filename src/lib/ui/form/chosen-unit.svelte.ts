import type { Reading } from '$lib/core/record/evidence/reading';
import { shownReading } from '$lib/core/record/readings/shown-reading';
import {
	chosenUnit,
	UNIT_CHOICES,
	UNITS_COOKIE,
	unitsFrom,
	unitsOf,
	unitsText,
	type ChosenUnits,
	type UnitQuantity
} from '../../words/units';

/** A number with nothing behind it. */
const BARE = /^[\d.,\s]+$/;

/** A typed number with its unit behind it; what carries a unit already stays as it is. @example withUnit('25', 'lb') // '25 lb' */
export const withUnit = (typed: string, unit: string): string => (BARE.test(typed) && unit ? `${typed.trim()} ${unit}` : typed);

/** What is chosen on this page: what is written in a unit follows at once. */
const here = $state<{ units: ChosenUnits }>({ units: {} });

/** Takes over what the server made the page in. */
export function takeUnits(text: string | undefined): void {
	here.units = unitsOf(text);
	unitsFrom(() => here.units);
}

const A_YEAR_S = 365 * 24 * 3600;

/** Another page of this browser may have chosen since: what it said of other quantities stays. */
function keepUnit(of: UnitQuantity, unit: string): void {
	const kept = new RegExp(`(?:^|; )${UNITS_COOKIE}=([^;]*)`).exec(document.cookie)?.[1];
	const units: ChosenUnits = { ...unitsOf(kept), [of]: unit };
	here.units = units;
	document.cookie = `${UNITS_COOKIE}=${unitsText(units)}; path=/; max-age=${A_YEAR_S}; samesite=lax`;
}

/** The unit in which a bench's numbers are meant, tapped beside the field and remembered by this device for each quantity. */
export class ChosenUnit {
	readonly units: readonly string[];
	readonly #of: UnitQuantity;

	constructor(of: UnitQuantity) {
		this.units = UNIT_CHOICES[of];
		this.#of = of;
	}

	get unit(): string {
		return chosenUnit(this.#of);
	}

	choose(unit: string): void {
		keepUnit(this.#of, unit);
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
