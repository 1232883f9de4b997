<script module lang="ts">
	import type { Unit } from '$lib/core/quantity';
	import type { Writer } from './writer';

	export interface Props {
		writer: Writer;
		path: string;
		label: string;
		/** The unit that the place names; a bare number is in it. Null for a count or a share. */
		placed: Unit | null;
		/** Units that it may be read in, the asked one first. */
		read?: readonly Unit[];
		/** A figure was kept here. */
		onkept?: () => void;
	}
</script>

<script lang="ts">
	import { capitalised } from '$lib/core/wording';
	import { untrack } from 'svelte';
	import { whyRefused } from '$lib/core/logbook';
	import { readTyped, units, writeNumber, type AsTyped } from '$lib/core/quantity';
	import Struck from '../logbook/Struck.svelte';
	import { valueAt } from './writer';

	let { writer, path, label, placed, read = placed ? [placed] : [], onkept }: Props = $props();

	const kept = $derived(valueAt<AsTyped>(writer, path));
	function typedUnit(value: AsTyped | undefined): Unit | undefined {
		if (typeof value === 'object') return value.unit;
		return value === undefined ? undefined : (placed ?? undefined);
	}
	function written(value: AsTyped | undefined): string {
		if (value === undefined) return '';
		return writeNumber(typeof value === 'object' ? value.value : value);
	}
	let unit = $state<Unit | null>(untrack(() => typedUnit(kept) ?? read[0] ?? placed));
	let text = $state(untrack(() => writer.drafts[path] ?? ''));
	let isTyping = $state(untrack(() => writer.drafts[path] !== undefined));
	let wrong = $state('');
	const id = $derived(`measure-${path}`);
	const shown = $derived(isTyping ? text : written(kept));

	function take() {
		if (!isTyping) return;
		wrong = '';
		if (text.trim() === '') return void (isTyping = false);
		const typed = readTyped(text);
		if ('why' in typed) return void (wrong = typed.why);
		if (typed.qualifier !== null) return void (wrong = 'The number itself is needed here, not a limit.');
		const value: AsTyped = unit === placed || unit === null ? typed.number : { value: typed.number, unit };
		const why = whyRefused(path, value);
		if (why !== null) return void (wrong = `${capitalised(why)}.`);
		isTyping = false;
		writer.draft(path, '');
		if (JSON.stringify(value) === JSON.stringify(kept)) return;
		void writer.set(path, value);
		onkept?.();
	}

	function type(value: string) {
		isTyping = true;
		text = value;
		wrong = '';
		writer.draft(path, value);
	}

	function inUnit(chosen: Unit) {
		unit = chosen;
		if (isTyping) return take();
		if (kept === undefined) return;
		// the number was read in this unit after all: the figure is typed anew, the old one struck
		const number = typeof kept === 'object' ? kept.value : kept;
		const value: AsTyped = unit === placed ? number : { value: number, unit };
		const why = whyRefused(path, value);
		if (why === null) void writer.set(path, value);
		else wrong = `${capitalised(why)}.`;
	}
</script>

<div class="measure">
	<label for={id}>{label}{read.length < 2 && unit && units[unit].symbol ? `, ${units[unit].symbol}` : ''}</label>
	<div class="line">
		<input
			{id}
			class="input"
			inputmode="decimal"
			autocomplete="off"
			enterkeyhint="done"
			value={shown}
			oninput={(e) => type(e.currentTarget.value)}
			onchange={take}
			onblur={take}
			onkeydown={(e) => e.key === 'Enter' && take()}
			aria-describedby="{id}-wrong"
		/>
		{#if read.length > 1}
			<select
				class="select"
				aria-label="read in {unit ? units[unit].symbol : ''}"
				value={unit}
				onchange={(e) => inUnit(e.currentTarget.value as Unit)}
			>
				{#each read as one (one)}<option value={one}>{units[one].symbol}</option>{/each}
			</select>
		{/if}
	</div>
	<span id="{id}-wrong" class="wrong" role="alert">{wrong}</span>
	<Struck line={writer.lines.get(path)} {writer} />
</div>

<style>
	label {
		font-size: 0.9375rem;
		color: var(--ink-2);
	}
	.line {
		display: flex;
		gap: 0.25rem;
	}
	input {
		font-size: 1.375rem;
		font-weight: 600;
		min-height: 3.25rem;
		min-width: 0;
	}
	select {
		width: auto;
		min-height: 3.25rem;
		font-size: 1rem;
		padding: 0 0.25rem;
	}
	.wrong {
		display: block;
		color: var(--danger);
		font-weight: 600;
		font-size: 0.9375rem;
	}
</style>
