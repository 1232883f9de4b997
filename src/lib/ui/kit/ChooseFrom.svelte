<script module lang="ts">
	export interface Choice {
		value: string;
		text: string;
	}
	export interface Props {
		id: string;
		/** What the form sends; one by one where several are chosen. */
		name: string;
		choices: readonly Choice[];
		value: readonly string[];
		onchoose: (value: string[]) => void;
		/** More than one may be chosen. */
		isSeveral?: boolean;
		/** One has to be chosen: there is no way back to none. */
		isRequired?: boolean;
		isInvalid?: boolean;
		describedby?: string | undefined;
		placeholder?: string;
	}
</script>

<script lang="ts">
	import { Combobox, Portal, useListCollection } from '@skeletonlabs/skeleton-svelte';
	import X from '@lucide/svelte/icons/x';

	let {
		id,
		name,
		choices,
		value,
		onchoose,
		isSeveral = false,
		isRequired = false,
		isInvalid = false,
		describedby,
		placeholder = ''
	}: Props = $props();

	/** What is typed to find one; null while nobody is looking for one. */
	let looked = $state<string | null>(null);
	const found = $derived.by(() => {
		const words = (looked ?? '').toLowerCase().split(/\s+/);
		return choices.filter(({ text }) => words.every((w) => text.toLowerCase().includes(w)));
	});
	const collection = $derived(
		useListCollection({ items: found, itemToString: (c) => c.text, itemToValue: (c) => c.value })
	);
	/** Whoever types a name and goes on has chosen it. */
	function takeWhatIsTyped() {
		const typed = looked?.trim().toLowerCase() ?? '';
		const meant = found.find(({ text }) => text.toLowerCase() === typed) ?? (found.length === 1 ? found[0] : undefined);
		looked = null;
		if (typed !== '' && meant && !value.includes(meant.value))
			onchoose(isSeveral ? [...value, meant.value] : [meant.value]);
	}

	const chosen = $derived(value.map((v) => choices.find((c) => c.value === v) ?? { value: v, text: v }));
</script>

<!-- a list that is looked through by typing: for more than one can see at a glance -->
<Combobox
	class="choose-from"
	ids={{ input: id }}
	{collection}
	{placeholder}
	multiple={isSeveral}
	invalid={isInvalid}
	value={[...value]}
	inputBehavior="autohighlight"
	selectionBehavior={isSeveral ? 'clear' : 'replace'}
	openOnClick
	onValueChange={(e) => onchoose(e.value)}
	onInputValueChange={(e) => {
		if (e.reason === 'input-change') looked = e.inputValue;
		else if (e.reason === 'item-select' || e.reason === 'clear-trigger') looked = null;
	}}
	onOpenChange={(e) => {
		if (!e.open) takeWhatIsTyped();
	}}
>
	<Combobox.Control>
		<Combobox.Input aria-describedby={describedby} data-field={name} />
		{#if !isRequired && value.length && !isSeveral}
			<Combobox.ClearTrigger class="choose-from-clear" aria-label="Choose nothing"
				><X size={16} aria-hidden="true" /></Combobox.ClearTrigger
			>
		{/if}
		<Combobox.Trigger aria-label="Show all" />
	</Combobox.Control>
	<Portal>
		<Combobox.Positioner>
			<Combobox.Content class="choose-from-list">
				{#each found as choice (choice.value)}
					<Combobox.Item item={choice}>
						<Combobox.ItemText>{choice.text}</Combobox.ItemText>
						<Combobox.ItemIndicator />
					</Combobox.Item>
				{:else}
					<li>Nothing of that name.</li>
				{/each}
			</Combobox.Content>
		</Combobox.Positioner>
	</Portal>
</Combobox>
{#if isSeveral && chosen.length}
	<ul class="chosen">
		{#each chosen as { value: v, text } (v)}
			<li>
				<button
					type="button"
					class="chip preset-outlined-surface-500"
					onclick={() => onchoose(value.filter((other) => other !== v))}
					>{text} <X size={14} aria-label="take out" /></button
				>
			</li>
		{/each}
	</ul>
{/if}
{#each value as v (v)}<input type="hidden" {name} value={v} />{/each}

<style>
	:global(.choose-from [data-part='input']) {
		padding-right: 4.25rem;
	}
	:global(.choose-from .choose-from-clear) {
		position: absolute;
		inset-inline-end: 2.25rem;
		top: 50%;
		transform: translateY(-50%);
		min-height: 0;
		padding: 0.25rem;
	}
	:global(.choose-from-list) {
		max-height: 18rem;
		overflow-y: auto;
		z-index: 25;
	}
	:global(.choose-from-list [data-part='item']) {
		min-height: 2.25rem;
		cursor: pointer;
	}
	@media (pointer: coarse) {
		:global(.choose-from-list [data-part='item']) {
			min-height: 2.75rem;
		}
	}
	.chosen {
		display: flex;
		flex-wrap: wrap;
		gap: 0.25rem;
		padding: 0;
		margin: 0.25rem 0 0;
		list-style: none;
	}
</style>
