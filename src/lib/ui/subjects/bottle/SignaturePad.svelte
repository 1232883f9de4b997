<script module lang="ts">
	export interface Props {
		onsigned: (path: string) => void;
	}
	const [WIDTH, HEIGHT] = [300, 100];
	const MOST_LETTERS = 11_000;
</script>

<script lang="ts">
	import { FingerLines } from '../../kit/finger-lines.svelte';

	let { onsigned }: Props = $props();

	const lines = new FingerLines({ width: WIDTH, height: HEIGHT }, { least: 2, mostLetters: MOST_LETTERS });
</script>

<!-- a name written with a finger; who cannot types it in the field beside, which counts the same -->
<svg
	viewBox="0 0 {WIDTH} {HEIGHT}"
	role="img"
	aria-label={lines.isEmpty ? 'Write your name here with a finger' : 'Signature written'}
	onpointerdown={lines.down}
	onpointermove={lines.move}
	onpointerup={lines.up}
	onpointercancel={lines.up}
>
	<path d="M10 80H290" class="line" />
	<path d={lines.path} class="ink" />
</svg>
<p>
	<button type="button" class="btn preset-outlined-surface-500" disabled={lines.isEmpty} onclick={() => lines.wipe()}
		>Wipe</button
	>
	<button
		type="button"
		class="btn preset-outlined-primary-500"
		disabled={lines.isEmpty}
		onclick={() => onsigned(lines.path)}>That is my signature</button
	>
</p>

<style>
	svg {
		width: 100%;
		border: 1.5px solid var(--ink-3);
		border-radius: 0.3125rem;
		background: var(--page);
		touch-action: none;
	}
	.line {
		stroke: var(--rule);
	}
	.ink {
		fill: none;
		stroke: var(--ink);
		stroke-width: 2.2;
		stroke-linejoin: round;
		stroke-linecap: round;
	}
	p {
		display: flex;
		gap: 0.5rem;
		margin-top: 0.375rem;
	}
	.btn {
		min-height: 3rem;
	}
</style>
