<script module lang="ts">
	import type { Kind } from '$lib/core/library';

	export interface Props {
		kind: Kind;
		/** The rows that were chosen. */
		ids: readonly string[];
		/** Words that may stand in a field, where only some may. */
		choices: Record<string, string[]>;
		ondone: () => void;
	}
</script>

<script lang="ts">
	import { enhance } from '$app/forms';
	import { counted } from '$lib/core/wording';
	import ChooseFrom from '../kit/ChooseFrom.svelte';

	let { kind, ids, choices, ondone }: Props = $props();

	const fields = $derived(Object.entries(kind.fields).filter(([name]) => !kind.key.includes(name)));
	let field = $state('');
	let chosen = $state<string[]>([]);
	const options = $derived(choices[field] ?? kind.fields[field]?.options ?? null);
	const isSeveral = $derived(kind.fields[field]?.control === 'several');
</script>

<form
	method="POST"
	action="?/several"
	use:enhance={() =>
		async ({ result, update }) => {
			await update({ reset: false });
			if (result.type === 'success') ondone();
		}}
>
	<p><b>{counted(ids.length, kind.one, kind.many.toLowerCase())} chosen.</b></p>
	<input type="hidden" name="ids" value={ids.join(' ')} />
	<label>
		<span class="small">Change</span>
		<select class="select" name="field" bind:value={field} required>
			<option value="" disabled>which field</option>
			{#each fields as [name, { label }] (name)}<option value={name}>{label}</option>{/each}
		</select>
	</label>
	{#if field}
		<label>
			<span class="small">to{kind.fields[field]?.unit ? `, ${kind.fields[field]?.unit}` : ''}</span>
			{#if options && !isSeveral && options.length > 8}
				<ChooseFrom
					id="bulk-text"
					name="text"
					choices={options.map((value) => ({ value, text: value }))}
					value={chosen}
					isRequired={kind.fields[field]?.isRequired ?? false}
					placeholder="type to find one"
					onchoose={(value) => (chosen = value)}
				/>
			{:else if options && !isSeveral}
				<select class="select" name="text"
					>{#if !kind.fields[field]?.isRequired}<option value="">nothing</option>{/if}
					{#each options as option (option)}<option>{option}</option>{/each}</select
				>
			{:else}
				<input class="input" name="text" placeholder={isSeveral ? (options ?? []).slice(0, 2).join('; ') : ''} />
			{/if}
		</label>
		<button class="btn preset-filled-primary-500"
			>Change {counted(ids.length, kind.one, kind.many.toLowerCase())}</button
		>
	{/if}
	<button type="button" class="btn preset-outlined-surface-500" onclick={ondone}>Choose none</button>
</form>

<style>
	form {
		display: flex;
		flex-wrap: wrap;
		gap: 0.75rem;
		align-items: end;
		padding: 0.625rem 0.75rem;
		background: var(--page);
		border-left: 4px solid var(--water-2);
	}
	label {
		display: grid;
		gap: 2px;
	}
</style>
