/**
 * The efficient edge: points that no other beats in both value (more) and cost (less), by rising cost.
 * Equal points are both kept. Source: definition (Pareto front).
 * @example paretoEdge([{ id: 'a', worth: 0.8, cost: 20 }, { id: 'b', worth: 0.7, cost: 25 }]) // ['a']
 */
export function paretoEdge(points: readonly { id: string; worth: number; cost: number }[]): string[] {
	return points
		.filter((p) => !points.some((q) => q.worth >= p.worth && q.cost <= p.cost && (q.worth > p.worth || q.cost < p.cost)))
		.sort((a, b) => a.cost - b.cost || a.worth - b.worth)
		.map((p) => p.id);
}
