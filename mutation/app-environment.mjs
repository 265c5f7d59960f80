// What SvelteKit says of where it runs, as a test has it.
export const building = false;
export const browser = false;
export const dev = false;
