// Runs before the first paint, so that a dark page never flashes light. The choice is kept on this device only.
(function () {
	function keptTheme() {
		try {
			return localStorage.getItem('draught-theme');
		} catch {
			return null;
		}
	}
	var kept = keptTheme();
	var dark = kept ? kept === 'dark' : matchMedia('(prefers-color-scheme: dark)').matches;
	document.documentElement.classList.toggle('dark', dark);
})();
