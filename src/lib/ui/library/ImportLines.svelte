<script module lang="ts">
	import type { ImportLine } from '$lib/core/library';

	export interface Props {
		lines: Omit<ImportLine, 'row'>[];
		isWritten: boolean;
	}
</script>

<script lang="ts">
	let { lines, isWritten }: Props = $props();

	const SHOWN = 200;
	const words = $derived<Record<ImportLine['verdict'], string>>({
		new: isWritten ? 'put in' : 'new',
		changed: isWritten ? 'changed' : 'would change',
		same: 'as it is',
		refused: 'refused'
	});
	const count = (verdict: ImportLine['verdict']) => lines.filter((l) => l.verdict === verdict).length;
	// what is refused is what needs a person
	const ordered = $derived(
		[...lines]
			.sort((a, b) => Number(b.verdict === 'refused') - Number(a.verdict === 'refused') || a.line - b.line)
			.slice(0, SHOWN)
	);
</script>

<p class="sum">
	{#each ['new', 'changed', 'same', 'refused'] as const as verdict (verdict)}{#if count(verdict)}<b>{count(verdict)}</b>
			{words[verdict]} &nbsp;{/if}{/each}
</p>
<table class="table">
	<thead><tr><th class="number">Row</th><th>Which</th><th></th><th>What, or why not</th></tr></thead>
	<tbody>
		{#each ordered as line (line.line)}
			<tr>
				<td class="number">{line.line}</td>
				<td>{line.name}</td>
				<td class={line.verdict}>{words[line.verdict]}</td>
				<td>
					{#if line.why.length}{line.why.join(' ')}{:else if line.verdict === 'changed'}
						{#each line.changes as change (change.label)}<div>
								{change.label}: <s class="struck">{change.from || 'nothing'}</s>
								{change.to || 'nothing'}
							</div>{/each}
					{:else if line.verdict === 'new'}<small
							>{line.changes
								.map((c) => `${c.label} ${c.to}`)
								.slice(0, 5)
								.join(' · ')}</small
						>{/if}
				</td>
			</tr>
		{/each}
	</tbody>
</table>
{#if lines.length > SHOWN}<p class="small">and {lines.length - SHOWN} more rows, refused ones first</p>{/if}

<style>
	.sum {
		margin: 0.75rem 0 0.375rem;
	}
	td.refused {
		color: var(--danger);
		font-weight: 600;
	}
	td.new,
	td.changed {
		color: var(--water);
		font-weight: 600;
	}
</style>
