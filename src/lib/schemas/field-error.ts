/** An error at one field, or at one row of a list (`rows.16.price`). `suggestion` is what was probably meant. */
export type FieldError = { path: string; code: string; message: string; suggestion?: string };
