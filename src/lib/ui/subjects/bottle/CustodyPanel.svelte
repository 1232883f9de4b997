<script module lang="ts">
	import type { Sheet } from '$lib/core/logbook';
	import type { Satchel } from '$lib/core/satchel';
	import type { Writer } from '../../entry/writer';

	export interface Props {
		custody: Sheet['custody'];
		people: Satchel['people'];
		me: string;
		writer: Writer;
		newId: () => string;
	}
</script>

<script lang="ts">
	import { writeNumber } from '$lib/core/quantity';
	import { sayTime } from '$lib/core/wording';
	import { whyRefused } from '$lib/core/logbook';
	import MeasureField from '../../entry/MeasureField.svelte';
	import SignaturePad from './SignaturePad.svelte';
	import { stamp } from '../../entry/writer';

	let { custody, people, me, writer, newId }: Props = $props();

	let to = $state('');
	let seal = $state('');
	let signature = $state('');
	let isOpen = $state(false);
	let wrong = $state('');
	const passed = $derived(
		Object.entries(custody ?? {})
			.filter(([, c]) => c.at !== undefined)
			.sort(([, a], [, b]) => (a.at! < b.at! ? -1 : 1))
	);
	const from = $derived(passed.at(-1)?.[1].to ?? me);

	async function give() {
		if (to.trim() === '') return void (wrong = 'Say who takes the bottles.');
		wrong = '';
		const base = `custody/${newId()}`;
		const sealed = seal.trim() ? { [`${base}/seal`]: seal.trim() } : {};
		for (const [path, words] of Object.entries({ [`${base}/to`]: to.trim(), ...sealed })) {
			const why = whyRefused(path, words);
			if (why !== null)
				return void (wrong = `${path.endsWith('/seal') ? 'Seal number' : 'Taken by'}: ${why}, these are ${words.length}.`);
		}
		await writer.setAll({
			[`${base}/from`]: from,
			[`${base}/to`]: to.trim(),
			...sealed,
			...(signature ? { [`${base}/signature`]: signature } : {}),
			[`${base}/at`]: stamp(writer)
		});
		[to, seal, signature, isOpen] = ['', '', '', false];
	}
</script>

<h2 class="ruled">Who has the bottles</h2>
<ol>
	{#each passed as [id, one] (id)}
		<li>
			<p>
				<b>{one.from} → {one.to}</b>, {sayTime(Date.parse(one.at!), writer.timeZone)}{one.seal
					? `, seal ${one.seal}`
					: ''}{one.temperature_C === undefined ? '' : `, ${writeNumber(one.temperature_C)} °C`}
			</p>
			{#if one.signature}<svg viewBox="0 0 300 100" role="img" aria-label="Signature of {one.to}"
					><path d={one.signature} /></svg
				>{/if}
			<MeasureField
				{writer}
				path="custody/{id}/temperature_C"
				label="In the cooler when it was handed over"
				placed="degC"
			/>
		</li>
	{:else}
		<li><p>With {me} since they were filled.</p></li>
	{/each}
</ol>
{#if isOpen}
	<datalist id="custody-people"
		>{#each people as person (person.id)}<option value={person.name}></option>{/each}</datalist
	>
	<label>Taken by <input class="input" list="custody-people" bind:value={to} aria-describedby="custody-wrong" /></label>
	<label
		>Seal number <input class="input" bind:value={seal} autocomplete="off" aria-describedby="custody-wrong" /></label
	>
	{#if signature}
		<svg viewBox="0 0 300 100" role="img" aria-label="Signature written"><path d={signature} /></svg>
	{:else}
		<SignaturePad onsigned={(path) => (signature = path)} />
	{/if}
	<p id="custody-wrong" class="wrong" role="alert">{wrong}</p>
	<p class="row">
		<button type="button" class="btn preset-filled-primary-500" onclick={give}>Handed over now</button>
		<button type="button" class="btn preset-outlined-surface-500" onclick={() => (isOpen = false)}>Not yet</button>
	</p>
{:else}
	<button type="button" class="btn preset-outlined-surface-500" onclick={() => (isOpen = true)}
		>Hand the bottles over</button
	>
{/if}

<style>
	h2 {
		margin-top: 0.875rem;
	}
	li {
		padding: 0.375rem 0;
		border-bottom: 1px solid var(--rule);
	}
	svg {
		max-width: 13.75rem;
	}
	path {
		fill: none;
		stroke: var(--ink);
		stroke-width: 2.2;
	}
	label {
		display: block;
		margin: 0.5rem 0;
	}
	input {
		min-height: 3rem;
	}
	.btn {
		min-height: 3rem;
		margin-top: 0.375rem;
	}
	.row {
		display: flex;
		gap: 0.5rem;
	}
	.wrong {
		color: var(--danger);
		font-weight: 600;
	}
</style>
