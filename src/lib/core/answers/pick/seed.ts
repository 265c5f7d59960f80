/** The same draws on every visit and in every answer: a chance must not flicker. */
export const PICK_SEED = 20260301;

/** So many draws tell a chance to half a per cent; every page, file and verdict tells the same one. */
export const PICK_DRAWS = 20_000;

/** Enough for a first look at many spools: to about two per cent. */
export const QUICK_DRAWS = 2000;
