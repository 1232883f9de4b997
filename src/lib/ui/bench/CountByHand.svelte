<script module lang="ts">
	import type { Writer } from '../entry/writer';

	export interface Props {
		plate: string;
		writer: Writer;
	}
</script>

<script lang="ts">
	import { readWhole } from '$lib/core/quantity';

	let { plate, writer }: Props = $props();

	/** What is being counted outlives a phone that dies: it is a draft until it is kept. */
	const place = $derived(`plates/${plate}/count`);
	const text = $derived(writer.drafts[place] ?? '');
	const taps = $derived(readWhole(text));
	const count = (to: number) => writer.draft(place, to < 0 ? '' : String(to));
	const why = $derived(text === '' || taps !== null ? null : 'A whole number of colonies: half a colony is none.');
</script>

<div class="tally">
	<button type="button" class="tap btn preset-outlined-primary-500" onclick={() => count((taps ?? 0) + 1)}
		><b>{taps ?? 0}</b>tap for each colony</button
	>
	<button type="button" class="btn preset-outlined-surface-500" disabled={!taps} onclick={() => count((taps ?? 0) - 1)}
		>One back</button
	>
	<label
		>or typed <input
			class="input"
			inputmode="numeric"
			autocomplete="off"
			value={text}
			oninput={(e) => writer.draft(place, e.currentTarget.value.trim())}
			aria-invalid={why !== null}
		/></label
	>
</div>
{#if why}<p class="why" role="alert">{why}</p>{/if}

<style>
	.tally {
		display: grid;
		grid-template-columns: 1fr auto;
		gap: 0.5rem;
		align-items: center;
	}
	.tap {
		grid-row: span 2;
		min-height: 6.5rem;
		display: grid;
		align-content: center;
		touch-action: manipulation;
	}
	.tap b {
		font: 600 2.25rem var(--head);
	}
	:is(.btn, .input) {
		min-height: 3rem;
	}
	.input {
		width: 6rem;
	}
	.why {
		color: var(--danger);
		font-weight: 600;
	}
</style>
