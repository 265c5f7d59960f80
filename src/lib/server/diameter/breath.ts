/** Lets waiting requests through between two parts of long work. */
export const breath = (): Promise<void> => new Promise((resolve) => setImmediate(resolve));
