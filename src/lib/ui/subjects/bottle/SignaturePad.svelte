<script module lang="ts">
	export interface Props {
		onsigned: (path: string) => void;
	}
	const [WIDTH, HEIGHT] = [300, 100];
	/** Points nearer than this to the last one add nothing. */
	const LEAST = 2;
	const MOST_LETTERS = 11_000;
</script>

<script lang="ts">
	let { onsigned }: Props = $props();

	let strokes = $state<{ x: number; y: number }[][]>([]);
	let isDown = false;
	const path = $derived(strokes.map((s) => `M${s.map((p) => `${p.x} ${p.y}`).join('L')}`).join(''));

	function at(event: PointerEvent) {
		const box = (event.currentTarget as SVGSVGElement).getBoundingClientRect();
		const within = (part: number, whole: number, most: number) =>
			Math.round(Math.min(1, Math.max(0, part / whole)) * most);
		return {
			x: within(event.clientX - box.left, box.width, WIDTH),
			y: within(event.clientY - box.top, box.height, HEIGHT)
		};
	}
	function down(event: PointerEvent) {
		isDown = true;
		(event.currentTarget as SVGSVGElement).setPointerCapture(event.pointerId);
		strokes = [...strokes, [at(event)]];
	}
	function move(event: PointerEvent) {
		const stroke = strokes.at(-1);
		const last = stroke?.at(-1);
		if (!isDown || !stroke || !last || path.length > MOST_LETTERS) return;
		const point = at(event);
		if (Math.hypot(point.x - last.x, point.y - last.y) >= LEAST)
			strokes = [...strokes.slice(0, -1), [...stroke, point]];
	}
</script>

<!-- a name written with a finger; who cannot types it in the field beside, which counts the same -->
<svg
	viewBox="0 0 {WIDTH} {HEIGHT}"
	role="img"
	aria-label={strokes.length ? 'Signature written' : 'Write your name here with a finger'}
	onpointerdown={down}
	onpointermove={move}
	onpointerup={() => (isDown = false)}
	onpointercancel={() => (isDown = false)}
>
	<path d="M10 80H290" class="line" />
	<path d={path} class="ink" />
</svg>
<p>
	<button
		type="button"
		class="btn preset-outlined-surface-500"
		disabled={strokes.length === 0}
		onclick={() => (strokes = [])}>Wipe</button
	>
	<button
		type="button"
		class="btn preset-outlined-primary-500"
		disabled={strokes.length === 0}
		onclick={() => onsigned(path)}>That is my signature</button
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
