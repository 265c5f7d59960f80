<script lang="ts">
	import type { Drawing } from '$lib/core/judging/pieces/files/drawing';

	let { drawing, label }: { drawing: Drawing; label: string } = $props();
	const W = 560;
	const H = 340;
	const MARGIN = 12;
	let canvas = $state<HTMLCanvasElement>();

	$effect(() => {
		const paper = canvas?.getContext('2d');
		if (!canvas || !paper) return;
		const sharp = window.devicePixelRatio || 1;
		[canvas.width, canvas.height] = [W * sharp, H * sharp];
		const scale = Math.min((W - 2 * MARGIN) / drawing.width, (H - 2 * MARGIN) / drawing.height);
		paper.setTransform(
			sharp * scale,
			0,
			0,
			sharp * scale,
			(sharp * (W - drawing.width * scale)) / 2,
			(sharp * (H - drawing.height * scale)) / 2
		);
		paper.clearRect(-W, -H, 3 * W, 3 * H);
		const look = getComputedStyle(canvas);
		// The drawing is light in both themes, so its edges are dark in both.
		const face = look.getPropertyValue('--heat');
		const edge = `color-mix(in srgb, ${face} 30%, black)`;
		paper.lineCap = 'round';
		for (const { corners, light, edges } of drawing.faces) {
			const [a, b, c] = corners;
			paper.beginPath();
			paper.moveTo(...a);
			paper.lineTo(...b);
			paper.lineTo(...c);
			paper.closePath();
			// Mixed and not laid over: seams between triangles of one face must not show.
			paper.fillStyle = paper.strokeStyle = `color-mix(in srgb, ${face} ${Math.round((1.05 - light * 0.75) * 100)}%, white)`;
			paper.fill();
			paper.lineWidth = 0.5 / scale;
			paper.stroke();
			paper.strokeStyle = edge;
			paper.lineWidth = 0.9 / scale;
			[a, b, c].forEach((corner, k) => {
				if (!edges[k]) return;
				paper.beginPath();
				paper.moveTo(...corner);
				paper.lineTo(...([b, c, a][k] as [number, number]));
				paper.stroke();
			});
		}
	});
</script>

<div role="img" aria-label={label}>
	<canvas bind:this={canvas} class="block w-full" style:max-width="{W}px" style:aspect-ratio="{W} / {H}" aria-hidden="true"></canvas>
</div>
