// Runs before the first paint, so that a dark page never flashes light. The choice is kept on this device only.
(function () {
	var kept = null;
	try {
		kept = localStorage.getItem('draught-theme');
	} catch (refused) {
		kept = null;
	}
	var dark = kept ? kept === 'dark' : matchMedia('(prefers-color-scheme: dark)').matches;
	document.documentElement.classList.toggle('dark', dark);
})();
