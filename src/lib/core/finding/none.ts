/** A message without parameters. */
export type None = Record<string, never>;
