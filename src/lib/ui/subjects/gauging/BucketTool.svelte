<script module lang="ts">
	import type { Sheet } from '$lib/core/logbook';
	import type { Writer } from '../../entry/writer';

	export interface Props {
		base: string;
		fills: NonNullable<Sheet['gaugings']>[string]['fills'];
		writer: Writer;
		newId: () => string;
	}
	const USUAL_L = 10;
	const MOST_L = 500;
</script>

<script lang="ts">
	import { readTyped } from '$lib/core/quantity';
	import TimedRuns from './TimedRuns.svelte';

	let { base, fills, writer, newId }: Props = $props();

	const all = $derived(Object.entries(fills ?? {}));
	const runs = $derived(
		all.flatMap(([id, f]) => (f.time_s === undefined || f.volume_L === undefined ? [] : [{ id, time_s: f.time_s }]))
	);
	const last_L = $derived(all.at(-1)?.[1].volume_L ?? USUAL_L);
	let typed = $state<string | null>(null);
	const read = $derived(readTyped(typed ?? String(last_L)));
	const isBucket = (volume_L: number) => volume_L > 0 && volume_L <= MOST_L;
	const sayVolume = (volume_L: number) =>
		isBucket(volume_L) ? '' : `A bucket holds more than 0 and at most ${MOST_L} L.`;
	const wrong = $derived('why' in read ? read.why : sayVolume(read.number));
</script>

<p class="small">All of the water into the bucket. Three fills at least; at a slow trickle a smaller vessel.</p>
<label
	>The bucket holds, L
	<input
		class="input"
		inputmode="decimal"
		value={typed ?? String(last_L)}
		oninput={(e) => (typed = e.currentTarget.value)}
		aria-describedby="bucket-wrong"
	/>
</label>
<p id="bucket-wrong" class="wrong" role="alert">{wrong}</p>
<TimedRuns
	base="{base}/fills"
	word="fill"
	{runs}
	{writer}
	{newId}
	onrun={(id) => writer.set(`${base}/fills/${id}/volume_L`, wrong === '' && 'number' in read ? read.number : last_L)}
/>

<style>
	input {
		font-size: 1.375rem;
		min-height: 3.25rem;
		max-width: 10rem;
	}
	.wrong {
		color: var(--danger);
		font-weight: 600;
	}
</style>
