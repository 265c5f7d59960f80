import { REEL_EVENTS } from '../../record/lists/closed-lists';
import type { Instrument } from '../../record/evidence/instrument';
import type { Before, Reading } from '../../record/evidence/reading';
import type { SpoolEvidence } from '../../record/evidence/spool-evidence';
import { rectangularUncertainty } from '../../kernel/stats/combined-uncertainty';

export type Weighing = {
	id: string;
	at: number;
	grossG: number;
	typedText: string;
	/** Standard uncertainty of this one weighing. */
	uG: number;
	/** What lay before it; null for the first. */
	before: Before | null;
	/** Whether the tester said so; otherwise it was inferred from the record. */
	said: boolean;
};

/** Step of a scale that does not say: a kitchen scale's (common practice, no source). */
const KITCHEN_STEP_G = 1;

/**
 * Gross weighings of a spool in time order, each with what lay before it: a print if one was recorded since the last weighing
 * (a print takes filament away, so nothing else can be told of that time), else a drying, else air. What the tester says counts
 * before what is inferred.
 * @example weighings(evidence).map((w) => w.before) // [null, 'print', 'dried']
 */
export function weighings(evidence: SpoolEvidence): Weighing[] {
	const gross = evidence.readings
		.filter((r): r is Reading & { value: number } => r.quantity === 'grossMass' && r.status === 'counts' && r.value !== null)
		.sort((a, b) => a.takenAt - b.takenAt || (a.id < b.id ? -1 : 1));
	return gross.map((reading, i) => {
		const last = gross[i - 1];
		return {
			id: reading.id,
			at: reading.takenAt,
			grossG: reading.value,
			typedText: reading.typedText,
			uG: weighingUncertainty(
				reading.resolution,
				evidence.instruments.find((one) => one.id === reading.instrumentId)
			),
			before: last ? (reading.before ?? inferBefore(evidence, last.takenAt, reading.takenAt)) : null,
			said: reading.before !== null
		};
	});
}

/**
 * What lay between two moments, from the record alone.
 * @param from moment of the first weighing, in ms
 * @param to moment of the second, in ms
 * @example inferBefore(evidence, yesterday, today) // 'air'
 */
export function inferBefore(evidence: Pick<SpoolEvidence, 'attempts' | 'events'>, from: number, to: number): Before {
	const within = (at: number) => at > from && at <= to;
	if (evidence.attempts.some((a) => a.status === 'counts' && within(a.at))) return 'print';
	const happened = evidence.events.filter((e) => e.status === 'counts' && within(e.at));
	if (happened.some((e) => REEL_EVENTS.some((said) => said === e.kind))) return 'print';
	// A load that is timed belongs where it went in: whoever weighs before saying that it is done still weighs a dried spool.
	const dried = evidence.events.some((e) => e.status === 'counts' && e.kind === 'dried' && within(e.drying?.startedAt ?? e.at));
	return dried ? 'dried' : 'air';
}

/**
 * Standard uncertainty of one weighing: half a step of the display and the error limit, both rectangular. A scale whose error limit
 * is not known is taken to be good to one step of its display (common practice, no source).
 * Source: JCGM 100:2008, 4.3.7 and F.2.2.1.
 * @returns g
 * @example weighingUncertainty(0.1, undefined) // 0.0645 g
 */
export function weighingUncertainty(resolutionG: number | null, scale: Pick<Instrument, 'errorLimit' | 'resolution'> | undefined): number {
	const stepG = scale?.resolution ?? resolutionG ?? KITCHEN_STEP_G;
	return Math.hypot(rectangularUncertainty(stepG / 2), rectangularUncertainty(scale?.errorLimit ?? stepG));
}
