/** What the shell knows of the trial it stands in. */
export type ShellTrial = {
	id: string;
	name: string;
	spools: number;
	day: number;
	blind: boolean;
	verdicts: number;
	progress: { station: string; done: number; total: number }[];
};
