/** How a piece gave way in the hands, weakest first; one that holds did not. */
export const BY_HAND_WORDS = ['crumbles', 'snaps', 'resists', 'bends', 'holds'] as const;

/** How a specimen failed. One that slipped from its grip did not break: its load was held. */
export const FAILURE_WORDS = ['snapped', 'bent', 'layers', 'shattered', 'tore', 'slipped'] as const;
export type FailureMode = (typeof FAILURE_WORDS)[number];

/** What a load did to one that did not break. */
export const DAMAGE_WORDS = ['none', 'whitened', 'bentForGood', 'cracked'] as const;
