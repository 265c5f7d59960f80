/** The same draws on every visit and in every answer: a chance must not flicker. */
export const PICK_SEED = 20260301;
