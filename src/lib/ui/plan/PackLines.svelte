<script module lang="ts">
	import type { PackLine } from '$lib/core/subjects/packed';

	export interface Props {
		lines: readonly PackLine[];
		/** Who last said that a line is in, by initials; absent where it is not. */
		packedBy: ReadonlyMap<string, string>;
		ontick: (line: string, isPacked: boolean) => void;
	}
</script>

<script lang="ts">
	let { lines, packedBy, ontick }: Props = $props();

	const groups = $derived(
		[...new Set(lines.map((l) => l.group))].map((group) => ({ group, lines: lines.filter((l) => l.group === group) }))
	);
</script>

{#each groups as { group, lines: own } (group)}
	<fieldset>
		<legend>{group}<small> {own.filter((l) => packedBy.has(l.id)).length} of {own.length}</small></legend>
		{#each own as line (line.id)}
			{@const by = packedBy.get(line.id)}
			<label class:in={by !== undefined}>
				<input type="checkbox" checked={by !== undefined} onchange={(e) => ontick(line.id, e.currentTarget.checked)} />
				<span class="count">{line.count}{line.unit ? ` ${line.unit}` : ''}</span>
				<span class="what">{line.what}<small>{line.because}</small></span>
				<span class="by">{by ?? ''}</span>
			</label>
		{/each}
	</fieldset>
{/each}

<style>
	fieldset {
		border: 0;
		padding: 0;
		margin: 1.125rem 0 0;
	}
	legend {
		font: 600 1.125rem var(--head);
		border-bottom: 2px solid var(--ink);
		width: 100%;
		padding-bottom: 2px;
	}
	legend::first-letter {
		text-transform: uppercase;
	}
	legend small {
		float: right;
		font: 0.9375rem var(--text);
	}
	label {
		display: grid;
		grid-template-columns: 2.125rem 4.625rem 1fr auto;
		gap: 0.5rem;
		align-items: center;
		min-height: 3.5rem;
		padding: 0.25rem 0;
		border-bottom: 1px solid var(--rule);
		cursor: pointer;
	}
	input {
		width: 1.75rem;
		height: 1.75rem;
	}
	.count {
		font-size: 1.1875rem;
		font-weight: 650;
		text-align: right;
	}
	.what small {
		display: block;
		font-size: 0.875rem;
		line-height: 1.25;
	}
	.in .what,
	.in .count {
		color: var(--ink-2);
		text-decoration: line-through;
		text-decoration-thickness: 1px;
	}
	/* a ticked row keeps its height: the next one must not slip from under the thumb */
	.in .what small {
		text-decoration: none;
	}
	.by {
		font-size: 0.875rem;
		color: var(--ink-2);
		min-width: 1.5rem;
	}
</style>
