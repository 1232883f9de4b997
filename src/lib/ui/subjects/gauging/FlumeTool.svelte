<script module lang="ts">
	import type { FlumeRating } from '$lib/core/discharge';
	import type { Sheet } from '$lib/core/logbook';
	import type { Unit } from '$lib/core/quantity';
	import type { Writer } from '../../entry/writer';

	export interface Props {
		base: string;
		flume: NonNullable<Sheet['gaugings']>[string]['flume'];
		settle_s: number;
		/** The card has a law of its own. */
		isRated: boolean;
		flumes: readonly FlumeRating[];
		/** The flume that the card names. */
		usual: string | undefined;
		writer: Writer;
		lengths: readonly Unit[];
		onstart: () => void;
	}
	const WAIT = 'waits/flume';
</script>

<script lang="ts">
	import { writeNumber } from '$lib/core/quantity';
	import Chips from '../../entry/Chips.svelte';
	import MeasureField from '../../entry/MeasureField.svelte';
	import { sayClock } from '../../clocks/stages';
	import { stamp, valueAt } from '../../entry/writer';

	let { base, flume, settle_s, isRated, flumes, usual, writer, lengths, onstart }: Props = $props();

	const chosen = $derived(flume?.rating?.name ?? null);
	/** The flume of the card, or the only one there is: taken unless another is chosen. */
	const likely = $derived(flumes.find((f) => f.name === usual) ?? (flumes.length === 1 ? flumes[0] : undefined));
	const choose = (name: string) => {
		const rating = flumes.find((f) => f.name === name);
		if (rating && name !== chosen) void writer.set(`${base}/flume/rating`, rating);
	};

	const startedAt = $derived(valueAt<string>(writer, `${WAIT}/startedAt`));
	const left_s = $derived(startedAt === undefined ? null : settle_s - (writer.now_ms - Date.parse(startedAt)) / 1000);
	const read = $derived<Unit[]>(['cm', ...lengths]);

	async function start() {
		onstart();
		await writer.setAll({
			[`${WAIT}/what`]: 'flume settles',
			[`${WAIT}/least_s`]: settle_s,
			[`${WAIT}/startedAt`]: stamp(writer)
		});
	}
	function tap(id: string) {
		const path = `${base}/flume/${id}`;
		if (valueAt(writer, path) === true) void writer.set(path, false);
		else void writer.set(path, true);
	}
</script>

{#if flumes.length}
	<Chips
		legend="Which flume"
		help={flume?.rating
			? `Rated for a head of ${writeNumber(flume.rating.minimumHead_m)} to ${writeNumber(flume.rating.maximumHead_m)} m, by ${flume.rating.source || 'whoever made the card'}.`
			: undefined}
		chips={flumes.map((f) => ({ id: f.name, word: f.name, isOn: f.name === chosen }))}
		ontap={choose}
	/>
{:else if !isRated}
	<p class="say ask">
		No flume stands on the shelf: the head is kept, and becomes a flow once the coordinator has entered its rating in
		the Library.
	</p>
{/if}
<Chips
	legend="How it sits"
	help="Clay all round: no water goes beside it or under it."
	chips={[
		{ id: 'isTight', word: 'packed tight', isOn: flume?.isTight === true },
		{ id: 'isLevelAlong', word: 'level along', isOn: flume?.isLevelAlong === true },
		{ id: 'isLevelAcross', word: 'level across', isOn: flume?.isLevelAcross === true }
	]}
	ontap={tap}
/>
{#if left_s === null}
	<button type="button" class="big btn preset-filled-primary-500" onclick={start}>It is in: let it settle</button>
{:else if left_s > 0}
	<p class="say" role="timer" aria-label="flume settles">
		<b>{sayClock(Math.ceil(left_s))}</b> until the pool above has come to its level.
	</p>
{:else}
	<p class="say" role="status"><b>It has settled.</b> Read the head to the mark, at the gauge and not at the throat.</p>
{/if}
<div class="pair">
	<MeasureField
		{writer}
		path="{base}/flume/head_m"
		label="Head"
		placed="m"
		{read}
		onkept={() => likely && chosen === null && choose(likely.name)}
	/>
	<MeasureField {writer} path="{base}/flume/tailDepth_m" label="Depth below the throat" placed="m" {read} />
</div>
<p class="small">Below must stand under half of the head: then it runs free. If it pools, clear the way below.</p>

<style>
	.big {
		width: 100%;
		min-height: 3.5rem;
		font-size: 1.125rem;
	}
	.pair {
		display: grid;
		grid-template-columns: 1fr 1fr;
		gap: 0.5rem;
		margin-top: 0.625rem;
	}
	.say {
		margin: 0.5rem 0;
	}
</style>
