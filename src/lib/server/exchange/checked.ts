/** A row of a file that its table's schema has passed, with its number in the file. */
export type Checked = { row: number; values: Record<string, unknown> };
