/** What our charts are made of, fetched when the first chart of a page is drawn. */
export async function loadChart() {
	const [
		{ Chart, BarController, BarElement, Filler, LinearScale, LineController, LineElement, PointElement, Tooltip },
		{ ScatterWithErrorBarsController, PointWithErrorBar }
	] = await Promise.all([import('chart.js'), import('chartjs-chart-error-bars')]);
	Chart.register(
		BarController,
		BarElement,
		Filler,
		LinearScale,
		LineController,
		LineElement,
		PointElement,
		Tooltip,
		ScatterWithErrorBarsController,
		PointWithErrorBar
	);
	Chart.defaults.font.family = "'Archivo Variable', sans-serif";
	return Chart;
}
