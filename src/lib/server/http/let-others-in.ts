/** Lets waiting requests through between two parts of long work. */
export const letOthersIn = (): Promise<void> => new Promise((resolve) => setImmediate(resolve));
