<!--
A day as people write it, or chosen from a calendar. A form gets its ISO date; what is no day stays, and is told.
Without scripts the form gets what is typed.
-->
<script module lang="ts">
	export interface Props {
		label: string;
		/** An ISO date, or nothing. */
		value?: string;
		/** What a form calls it. */
		name?: string;
		/** The first and the last day that will do. */
		first?: string;
		last?: string;
		isRequired?: boolean;
	}
</script>

<script lang="ts">
	import { onMount } from 'svelte';
	import { readDay } from '$lib/core/library';
	import { sayDate } from '$lib/core/wording';
	import PickDay from './PickDay.svelte';

	let { label, value = $bindable(''), name, first, last, isRequired = false }: Props = $props();
	const id = $props.id();
	const spelt = (day: string) => (day === '' ? '' : sayDate(Date.parse(day), 'UTC'));

	let isReady = $state(false);
	onMount(() => {
		isReady = true;
	});
	/** What is typed instead of the day that is held; another day that comes from elsewhere goes before it. */
	let typed = $state<{ text: string; over: string } | null>(null);
	const text = $derived(typed?.over === value ? typed.text : spelt(value));
	let line = $state<HTMLInputElement>();
	const why = $derived.by(() => {
		if (text.trim() === '') return '';
		const read = readDay(text);
		if ('why' in read) return `${read.why}.`;
		if (first && read.day < first) return `Not before ${spelt(first)}.`;
		return last && read.day > last ? `Not after ${spelt(last)}.` : '';
	});
	$effect(() => line?.setCustomValidity(why));

	/** Taken when it is whole: a day half typed is often another day. */
	function take() {
		const read = readDay(text);
		const day = why === '' && 'day' in read ? read.day : '';
		typed = day === '' ? { text, over: day } : null;
		value = day;
	}
</script>

<div class="day-field">
	<label for={id}>{label}</label>
	<div class="line">
		<input
			{id}
			name={isReady ? undefined : name}
			class="input"
			autocomplete="off"
			required={isRequired}
			aria-invalid={why !== ''}
			aria-describedby={why ? `${id}-why` : undefined}
			bind:this={line}
			value={text}
			oninput={(e) => (typed = { text: e.currentTarget.value, over: value })}
			onchange={take}
		/>
		<PickDay
			{label}
			at={value}
			onpick={(day) => {
				typed = { text: day, over: value };
				take();
			}}
		/>
	</div>
	{#if name && isReady}<input type="hidden" {name} {value} />{/if}
	{#if why}<p id="{id}-why" class="why">{why}</p>{/if}
</div>

<style>
	.line {
		display: flex;
		gap: 0.375rem;
	}
	.line input {
		min-width: 8.5rem;
	}
	.why {
		color: var(--danger);
		font-weight: 600;
	}
</style>
