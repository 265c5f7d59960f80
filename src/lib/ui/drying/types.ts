/** A load of a dryer as the interface knows it. */
export type DryingRun = {
	id: string;
	dryer: string;
	setPointC: number;
	startedAt: number;
	plannedEndAt: number;
	spools: { id: string; code: string; material: string }[];
	end: { at: number; outcome: 'done' | 'void' } | null;
};
