const MINUTE = 60_000;

/** Hours and minutes as a person says them; under a minute is no number. */
function span(ms: number): string {
	const minutes = Math.floor(ms / MINUTE);
	if (minutes < 1) return 'less than a minute';
	const hours = Math.floor(minutes / 60);
	if (hours === 0) return `${minutes} min`;
	return minutes % 60 === 0 ? `${hours} h` : `${hours} h ${minutes % 60} min`;
}

/** What a drying timer shows at a moment. Follows from the planned end alone, so it is the same on every device. */
export function timerWords(plannedEndAt: number, now: number): { over: boolean; words: string } {
	const left = plannedEndAt - now;
	if (left > 0) return { over: false, words: `${span(left)} left` };
	return { over: true, words: -left < MINUTE ? 'just over' : `over since ${span(-left)}` };
}
