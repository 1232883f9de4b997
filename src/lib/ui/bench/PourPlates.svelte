<script module lang="ts">
	import type { Limits } from '$lib/core/method';
	import type { Usual } from '$lib/core/subjects/context';
	import type { Writer } from '../entry/writer';

	export interface Props {
		bottle: string;
		label: string;
		isBlank: boolean;
		/** Plates of this visit so far: names go on from there. */
		taken: readonly string[];
		/** What this site mostly showed in 100 mL; null where too few were read. */
		usual: Usual | null;
		limits: Limits;
		writer: Writer;
	}
</script>

<script lang="ts">
	import { volumeFor } from '$lib/core/bacteria';
	import { stamp } from '../entry/writer';

	let { bottle, label, isBlank, taken, usual, limits, writer }: Props = $props();

	const id = $props.id();
	/** Between the low and the high of the site as such counts lie: by their logarithms. */
	const expected = $derived(usual === null ? null : Math.sqrt(Math.max(1, usual.low) * Math.max(1, usual.high)));
	const advice = $derived(expected === null ? null : volumeFor({ expectedPer100mL: expected, ...limits }));
	const advised = $derived(isBlank || advice === null ? limits.plateLeast_mL : Number(advice.volume_mL.toPrecision(2)));
	let typed = $state<string>();
	const text = $derived(typed ?? String(advised));
	let replicates = $state(2);
	const volume_mL = $derived(/^\d{1,3}([.,]\d{1,3})?$/.test(text.trim()) ? Number(text.replace(',', '.')) : null);
	const why = $derived.by(() => {
		if (volume_mL === null) return 'A volume in mL, like 1 or 2.5.';
		if (volume_mL === 0) return 'A plate without water grows nothing.';
		return volume_mL > limits.plateMost_mL * 20 ? `More than ${limits.plateMost_mL * 20} mL fit on no plate.` : null;
	});
	/** More than a plate of the card holds: it may be meant. */
	const doubt = $derived(
		why === null && volume_mL! > limits.plateMost_mL
			? `The card pours at most ${limits.plateMost_mL} mL on a plate.`
			: null
	);
	const names = $derived.by(() => {
		const begun = taken.filter((n) => n.startsWith(`${label}-`)).length;
		return Array.from({ length: isBlank ? 1 : replicates }, (_, i) => `${label}-${begun + i + 1}`);
	});

	function pour(event: SubmitEvent) {
		event.preventDefault();
		if (why !== null) return;
		const now = stamp(writer);
		void writer.setAll({
			...Object.fromEntries(
				names.flatMap((name) => [
					[`plates/${name}/bottle`, bottle],
					[`plates/${name}/volume_mL`, volume_mL],
					[`plates/${name}/pouredAt`, now],
					...(isBlank ? [[`plates/${name}/isBlank`, true] as const] : [])
				])
			),
			[`bottles/${bottle}/platedAt`]: now
		});
	}
</script>

<form onsubmit={pour} aria-label="Pour plates of {label}">
	<p><b>{label}</b>{isBlank ? ', a blank: one plate, nothing may grow' : ''}</p>
	{#if !isBlank}
		<p class="small">
			{#if advice && usual}This site mostly shows {usual.low} to {usual.high} in 100 mL: with {advised} mL about {advice.expectedColonies.toFixed(
					0
				)} colonies are to be expected{advice.dilute ? ', which is too crowded: thin the sample first' : ''}. After
				heavy rain pour less.{:else}Nobody knows this site yet: pour {advised} mL, and learn from what grows.{/if}
		</p>
	{/if}
	<label for="{id}-volume">Water on each plate, mL</label>
	<input
		id="{id}-volume"
		class="input"
		inputmode="decimal"
		autocomplete="off"
		value={text}
		oninput={(e) => (typed = e.currentTarget.value)}
		aria-invalid={why !== null}
		aria-describedby={why === null && doubt === null ? undefined : `${id}-why`}
	/>
	{#if why ?? doubt}<p id="{id}-why" class={why ? 'why' : 'small'} role={why ? 'alert' : undefined}>
			{why ?? doubt}
		</p>{/if}
	{#if !isBlank}
		<p class="count" role="group" aria-label="How many plates">
			<button
				type="button"
				class="btn preset-outlined-surface-500"
				disabled={replicates <= 1}
				aria-label="One plate less"
				onclick={() => replicates--}>−</button
			>
			<b>{replicates} {replicates === 1 ? 'plate' : 'plates'}</b>
			<button
				type="button"
				class="btn preset-outlined-surface-500"
				disabled={replicates >= 6}
				aria-label="One plate more"
				onclick={() => replicates++}>+</button
			>
		</p>
	{/if}
	<ol class="small">
		<li>Medium thawed, sample shaken 25 times.</li>
		<li>Pour, swirl, set level. Write on the rim: <b>{names.join(', ')}</b> and the time of now.</li>
		<li>Warm, dark and still. Hands washed; nobody eats at this table.</li>
	</ol>
	<button class="btn preset-filled-primary-500" disabled={why !== null}>Poured now</button>
</form>

<style>
	form {
		display: grid;
		gap: 0.375rem;
		padding: 0.625rem 0.75rem;
		border: 1.5px solid var(--ink-3);
		background: var(--page);
	}
	.count {
		display: flex;
		align-items: center;
		gap: 0.75rem;
	}
	:is(.btn, .input) {
		min-height: 3rem;
	}
	.count .btn {
		min-width: 3rem;
	}
	ol {
		list-style: decimal;
		padding-left: 1.25rem;
	}
	.why {
		color: var(--danger);
		font-weight: 600;
	}
</style>
