import { join, resolve } from 'node:path';

/** A copy of the tree with all faults in it, each asleep. */
export const box = resolve('.cache/bite');
/** What was found out there: which tests reach which fault, and what became of each that was tried. */
export const state = join(box, 'state');
