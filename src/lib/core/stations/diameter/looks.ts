/**
 * When a claim test looks at its readings: a test that is looked at again and again as it grows would be wrong far more often than it says.
 */
export const LOOKS = [12, 24, 48, 96, 192] as const;

/** Fewer places of the strand decide nothing, however often they are read. */
export const LEAST_SPOTS = 6;

/**
 * Level of the one-sided bounds at each look. Over all five of them a claim is wrongly called kept, or wrongly broken, in less than a twentieth
 * of trials (Pocock's 0.0138 is for a mean; what this share needs was found by simulation, docs/trust.md).
 */
export const LOOK_LEVEL = 0.9915;

/**
 * The next look after so many readings; null after the last.
 * @returns readings in all
 * @example nextLook(12) // 24
 */
export const nextLook = (n: number): number | null => LOOKS.find((look) => look > n) ?? null;
