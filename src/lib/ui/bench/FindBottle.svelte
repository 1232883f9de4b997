<script module lang="ts">
	export interface Props {
		/** All bottles on this device that were filled, by label. */
		bottles: readonly { label: string; visitId: string; siteName: string; standing: string }[];
	}
</script>

<script lang="ts">
	import { readLabelCode } from '$lib/core/custody';

	let { bottles }: Props = $props();

	let typed = $state('');
	let isScanning = $state(false);
	/** A code that was scanned may carry an address around it. */
	const asked = $derived((readLabelCode(typed)?.code ?? typed).trim().toUpperCase());
	const found = $derived(asked === '' ? [] : bottles.filter((b) => b.label.toUpperCase() === asked));
	const begun = $derived(
		asked.length < 2 || found.length ? [] : bottles.filter((b) => b.label.toUpperCase().startsWith(asked)).slice(0, 5)
	);
</script>

<section aria-label="Find a bottle">
	<div class="ask">
		<label
			>Label of a bottle that came <input
				class="input"
				autocomplete="off"
				spellcheck="false"
				bind:value={typed}
			/></label
		>
		<button type="button" class="btn preset-outlined-primary-500" onclick={() => (isScanning = true)}>Scan</button>
	</div>
	{#if isScanning}
		<!-- what reads a picture is fetched only where somebody scans -->
		{#await import('../subjects/bottle/ScanLabel.svelte') then { default: ScanLabel }}
			<ScanLabel
				onlabel={(code) => {
					typed = code;
					isScanning = false;
				}}
				onclose={() => (isScanning = false)}
			/>
		{/await}
	{/if}
	<div role="status">
		{#if found.length > 1}<p class="say spoils">
				{found.length} bottles have this label. Nobody can tell them apart here: ask both crews before either is opened.
			</p>{/if}
		{#if asked.length > 3 && found.length === 0 && begun.length === 0}
			<p class="say ask">
				No bottle {asked} is on this device. Keep it cold; its crew’s phone may not have had a network yet. If it never comes,
				it is a bottle nobody sent: ask the coordinator.
			</p>
		{/if}
	</div>
	<ul>
		{#each [...found, ...begun] as b (`${b.visitId} ${b.label} ${b.standing}`)}
			<li>
				<span><b>{b.label}</b> {b.siteName}, {b.standing}</span>
				<a class="btn preset-filled-primary-500" href="/bench/{b.visitId}"
					>Open<span class="visually-hidden"> {b.label}</span></a
				>
			</li>
		{/each}
	</ul>
</section>

<style>
	.ask {
		display: flex;
		align-items: end;
		gap: 0.5rem;
	}
	label {
		flex: 1;
		font-weight: 600;
	}
	:is(.input, .btn) {
		min-height: 3rem;
	}
	li {
		display: flex;
		justify-content: space-between;
		align-items: center;
		gap: 0.75rem;
		padding: 0.375rem 0;
		border-bottom: 1px solid var(--rule);
	}
</style>
