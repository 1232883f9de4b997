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
		margin: 18px 0 0;
	}
	legend {
		font: 600 18px var(--head);
		border-bottom: 2px solid var(--ink);
		width: 100%;
		padding-bottom: 2px;
	}
	legend::first-letter {
		text-transform: uppercase;
	}
	legend small {
		float: right;
		font: 15px var(--text);
	}
	label {
		display: grid;
		grid-template-columns: 34px 74px 1fr auto;
		gap: 8px;
		align-items: center;
		min-height: 56px;
		padding: 4px 0;
		border-bottom: 1px solid var(--rule);
		cursor: pointer;
	}
	input {
		width: 28px;
		height: 28px;
	}
	.count {
		font-size: 19px;
		font-weight: 650;
		text-align: right;
	}
	.what small {
		display: block;
		font-size: 14px;
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
		font-size: 14px;
		color: var(--ink-2);
		min-width: 24px;
	}
</style>
