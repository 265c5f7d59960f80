<script lang="ts">
	import { Form } from '../form/form.svelte';
	import { PhotoSender } from './send-photo';
	import Problem from '../form/Problem.svelte';
	import { CloseOutline } from 'flowbite-svelte-icons';

	type Props = { attemptId: string; label: string; photos: { id: string; width: number; height: number }[]; onchange: () => void };
	let { attemptId, label, photos, onchange }: Props = $props();
	/** As tall as h-20. */
	const HEIGHT_PX = 80;
	let sending = $state(false);
	let problem = $state('');
	const striking = new Form({ fields: [] });
	const photoSender = new PhotoSender();

	async function take(input: HTMLInputElement): Promise<void> {
		const files = [...(input.files ?? [])];
		// The same picture can be chosen again, which a browser takes for no change.
		input.value = '';
		sending = true;
		problem = '';
		for (const file of files) {
			const why = await photoSender.send(attemptId, file);
			if (why) problem = `${file.name}: ${why}`;
		}
		sending = false;
		onchange();
	}
	async function strikeOut(id: string): Promise<void> {
		const body = { targetKind: 'photo', targetId: id, action: 'exclude', reason: 'marked invalid at the bench' };
		if ((await striking.send('amendments', body)).ok) onchange();
	}
</script>

<div class="mt-1 flex flex-wrap items-end gap-2">
	{#each photos as photo, i (photo.id)}
		<span class="relative inline-block">
			<a href="/api/v1/photos/{photo.id}" target="_blank" rel="noreferrer" class="block">
				<!-- Its room is known before it has come. -->
				<img
					src="/api/v1/photos/{photo.id}?size=small"
					alt="Photograph {i + 1} of {label}"
					class="h-20 rounded border object-cover"
					style:width="{(HEIGHT_PX * photo.width) / photo.height}px"
					loading="lazy"
				/>
			</a>
			<button
				type="button"
				class="panel absolute top-0.5 right-0.5 size-[26px] text-[0.8rem] leading-none"
				aria-label="Mark photograph invalid: {i + 1} of {label}"
				onclick={() => void strikeOut(photo.id)}><CloseOutline width="1em" height="1em" class="icon" /></button
			>
		</span>
	{/each}
	<label class="link cursor-pointer text-[0.9rem]">
		{sending ? 'Sending …' : 'add a photograph'}
		<input
			type="file"
			accept="image/jpeg,image/png,image/webp"
			multiple
			class="sr-only"
			aria-label="Photograph of {label}"
			onchange={(e) => void take(e.currentTarget)}
		/>
	</label>
</div>
{#if problem || striking.problem}<Problem class="text-[0.9rem]">{problem || striking.problem}</Problem>{/if}
