/** How a piece gave way in the hands, weakest first. */
export const BY_HAND_WORDS = ['crumbles', 'snaps', 'resists', 'bends'] as const;

/** How a specimen failed. One that slipped from its grip did not break: its load was held. */
export const FAILURE_WORDS = ['snapped', 'bent', 'layers', 'shattered', 'tore', 'slipped'] as const;
export type FailureMode = (typeof FAILURE_WORDS)[number];
