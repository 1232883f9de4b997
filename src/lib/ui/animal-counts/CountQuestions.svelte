<script module lang="ts">
	import type { CountField, CountMapping } from '$lib/core/animal-counts';

	export interface Props {
		/** What was asked so far: headings with what stands under them, names with kinds that are nearly written so. */
		asked: { unknown: { heading: string; example: string }[]; near: Record<string, string[]> };
		missing: CountField[];
		mapping: CountMapping;
		/** Something was answered. */
		onsaid: () => void;
	}
</script>

<script lang="ts">
	import { countFields } from '$lib/core/animal-counts';
	import { knownAnimals } from '../animals/known-animals';
	import Questions from '../kit/Questions.svelte';

	let { asked, missing, mapping = $bindable(), onsaid }: Props = $props();

	const NOT_SAID = '?';
	const words = $derived(Object.keys(asked.near));
	const known = knownAnimals();
	const inOrder = known.list.taxa.toSorted((a, b) => a.code.localeCompare(b.code, 'en'));
	const named = (code: string) => `${code}, ${known.list.nameOf(code)}`;

	function mean(word: string, code: string) {
		if (code === NOT_SAID) delete mapping.animals[word];
		else mapping.animals[word] = code;
		onsaid();
	}
</script>

{#if asked.unknown.length || words.length || missing.length}
	<Questions legend="What the file’s words mean" hint="Said once: the next file is read so too.">
		{#each asked.unknown as { heading, example } (heading)}
			<label>
				<span class="small">heading “{heading}”</span>
				<select
					class="select"
					value={mapping.headings[heading] ?? ''}
					onchange={({ currentTarget }) => {
						mapping.headings[heading] = currentTarget.value as CountField | '';
						onsaid();
					}}
				>
					<option value="">says nothing here</option>
					{#each Object.entries(countFields) as [field, name] (field)}<option value={field}>{name}</option>{/each}
				</select>
				<small>under it: {example || 'nothing'}</small>
			</label>
		{/each}
		{#each words as word (word)}
			{@const near = asked.near[word] ?? []}
			<label>
				<span class="small">“{word}” is</span>
				<select
					class="select"
					value={mapping.animals[word] ?? NOT_SAID}
					onchange={({ currentTarget }) => mean(word, currentTarget.value)}
				>
					<option value={NOT_SAID}>not known: its samples wait</option>
					<option value="">nothing that is counted here: leave it out</option>
					{#if near.length}
						<optgroup label="Written nearly so">
							{#each near as code (code)}<option value={code}>{named(code)}</option>{/each}
						</optgroup>
					{/if}
					<optgroup label="All kinds">
						{#each inOrder.filter((t) => !near.includes(t.code)) as { code } (code)}<option value={code}
								>{named(code)}</option
							>{/each}
					</optgroup>
				</select>
			</label>
		{/each}
		{#snippet after()}
			{#if missing.length}
				<p class="why" role="alert">
					Still to be found: {missing.map((f) => countFields[f]).join(', ')}. Say under which headings.
				</p>
			{/if}
		{/snippet}
	</Questions>
{/if}

<style>
	.why {
		color: var(--danger);
		font-weight: 600;
		margin-top: 0.5rem;
	}
</style>
