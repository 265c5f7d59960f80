<script lang="ts">
	import { choices, QUOTE_KIND_WORDS } from '../../words/closed-lists';
	import { QUOTE_KINDS } from '$lib/core/record/lists/closed-lists';
	import type { Quote } from '$lib/core/record/evidence/quote';
	import { Button } from 'flowbite-svelte';
	import { onMount, untrack } from 'svelte';
	import { ChosenUnit } from '../form/chosen-unit.svelte';
	import Choice from '../form/Choice.svelte';
	import Field from '../form/Field.svelte';
	import { focusFirst } from '../form/focus-first';
	import FormShell from '../form/FormShell.svelte';
	import { Form } from '../form/form.svelte';
	import { storedIn } from '../form/in-unit';
	import UnitField from '../form/UnitField.svelte';
	import { When } from '../form/when.svelte';
	import WhenField from '../form/WhenField.svelte';

	type Props = { spoolId: string; code: string; filamentId: string; currency: string; quote: Quote | null; ondone: () => void };
	let { spoolId, code, filamentId, currency, quote, ondone }: Props = $props();
	const unit = new ChosenUnit('label-mass');
	const start = () => ({
		price: quote ? (quote.priceMinor / 100).toFixed(2) : '',
		shipping: quote && quote.shippingMinor > 0 ? (quote.shippingMinor / 100).toFixed(2) : '',
		quantity: quote ? String(quote.quantity) : '1',
		netMass: quote ? storedIn(quote.netMassG, unit.unit, 'mass') : ''
	});
	let typed = $state(start());
	let kind = $state<'list' | 'sale' | 'bundle'>('list');
	/** A price that was only seen is not what this reel cost. */
	let was = $state<'seen' | 'paid'>(untrack(() => (quote ? 'seen' : 'paid')));
	const when = new When();
	const form = new Form({ fields: ['price', 'quantity', 'netMass', 'shipping'], when });

	onMount(() => focusFirst('price'));

	async function submit(): Promise<void> {
		const { shipping, quantity, ...rest } = typed;
		const sent = await form.send('quotes', {
			...(was === 'paid' ? { spoolId } : {}),
			filamentId,
			currency,
			...rest,
			...(shipping ? { shipping } : {}),
			quantity: Number(quantity),
			quoteKind: kind
		});
		if (sent.ok) ondone();
	}
</script>

<FormShell class="space-y-3" problem={form.problem} onsubmit={submit}>
	<div class="grid gap-3 sm:grid-cols-4">
		<Field id="price" label="Total price, {currency}" bind:value={typed.price} errors={form.errors} inputmode="decimal" />
		<Field id="quantity" label="Spools" bind:value={typed.quantity} errors={form.errors} inputmode="numeric" />
		<UnitField
			id="netMass"
			label="Weight per spool"
			dimension="mass"
			chosen={unit}
			bind:value={typed.netMass}
			errors={form.errors}
			class=""
		/>
		<Field id="shipping" label="Shipping, {currency}" bind:value={typed.shipping} errors={form.errors} inputmode="decimal" />
	</div>
	<Choice name="quoteKind" legend="Kind of price" bind:value={kind} options={choices(QUOTE_KINDS, QUOTE_KIND_WORDS)} />
	<Choice
		name="was"
		legend="This price was"
		bind:value={was}
		options={[
			{ value: 'paid', label: `paid for ${code}` },
			{ value: 'seen', label: 'only seen' }
		]}
	/>
	<WhenField {when} errors={form.errors} what={was} />
	<Button type="submit" size="sm">Save price</Button>
</FormShell>
