import { takeUnits } from '$lib/ui/form/chosen-unit.svelte';
import { localeFrom } from '$lib/words/locale';

// What the server made the page in; the page goes on in it.
const { dataset } = document.documentElement;
localeFrom(
	() => dataset.locale,
	() => dataset.decimal
);
takeUnits(dataset.units);
