/** What is offered where one of a list is chosen: all that was not put away, and what is chosen already. */
export const offered = <T extends { id: string; archived?: boolean }>(list: readonly T[], chosen = ''): T[] =>
	list.filter((one) => !one.archived || one.id === chosen);
