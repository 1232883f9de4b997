<script module lang="ts">
	export interface Props {
		code: string;
		onadd: (count: number) => void;
	}
</script>

<script lang="ts">
	import { readWhole } from '$lib/core/quantity';
	import { knownAnimals } from '../../animals/known-animals';

	let { code, onadd }: Props = $props();
	const known = knownAnimals();

	const MOST = 2000;
	let text = $state('');
	const count = $derived(readWhole(text));
	const isFit = $derived(count !== null && count >= 1 && count <= MOST);
	const why = $derived(
		text.trim() === '' || isFit ? null : `A whole number from 1 to ${MOST}: animals are not halved.`
	);
	function add(event: SubmitEvent) {
		event.preventDefault();
		if (!isFit) return;
		onadd(count!);
		text = '';
	}
</script>

<form onsubmit={add}>
	<label for="several">A lump of {known.list.nameOf(code)} <small>{code}</small></label>
	<input
		id="several"
		class="input"
		inputmode="numeric"
		autocomplete="off"
		aria-invalid={why !== null}
		aria-describedby={why ? 'several-why' : undefined}
		bind:value={text}
	/>
	<button class="btn preset-outlined-primary-500" disabled={!isFit}>Add them</button>
	{#if why}<p id="several-why" class="why" role="alert">{why}</p>{/if}
</form>

<style>
	form {
		display: flex;
		flex-wrap: wrap;
		gap: 0.5rem;
		align-items: center;
		margin: 0.25rem 0 0.75rem;
	}
	input {
		width: 6rem;
		min-height: 3rem;
	}
	button {
		min-height: 3rem;
	}
	.why {
		width: 100%;
		color: var(--danger);
		font-weight: 600;
	}
</style>
