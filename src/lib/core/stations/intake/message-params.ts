import type { None } from '../../judging/finding/none';

/** What the intake station can say, with the parameters of each sentence; the sentences are in words. */
type IntakeMessages = {
	notLookedAt: None;
	nothingOdd: None;
	goodPoints: { words: string };
	'odd.seal': { words: string };
	'odd.desiccant': { words: string };
	'odd.winding': { words: string };
	'odd.label': { words: string };
	'odd.spoolBody': { words: string };
	'odd.dirt': { words: string };
	'odd.odour': { words: string };
	'odd.brittle': { words: string };
};

declare module '../../judging/finding/message' {
	interface MessageParams extends IntakeMessages {}
}
