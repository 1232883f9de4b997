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
	const wrong = $derived(
		'why' in read
			? read.why
			: read.number <= 0 || read.number > 500
				? 'A bucket holds more than 0 and at most 500 L.'
				: ''
	);
</script>

<p class="small">All of the water into the bucket. Three fills at least; at a slow trickle a smaller vessel.</p>
<label
	>The bucket holds, L
	<input
		class="input-line"
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
		font-size: 22px;
		min-height: 52px;
		max-width: 160px;
	}
	.wrong {
		color: var(--danger);
		font-weight: 600;
	}
</style>
