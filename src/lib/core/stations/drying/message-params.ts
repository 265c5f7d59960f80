import type { None } from '../../judging/finding/none';

/** What the drying station can say, with the parameters of each sentence; the sentences are in words. */
type DryingMessages = {
	driedUnweighed: None;
	notDried: None;
	driedLost: { lostG: number; beforeG: number; afterG: number; uG: number };
	driedNotSeen: { lostG: number; uG: number };
	laterDryings: { count: number };
};

declare module '../../judging/finding/message' {
	interface MessageParams extends DryingMessages {}
}
