<script module lang="ts">
	export interface Props {
		lines: {
			id: string;
			at: string;
			by: string;
			isNew: boolean;
			changes: { label: string; from: string; to: string }[];
		}[];
	}
</script>

<script lang="ts">
	let { lines }: Props = $props();

	const when = (at: string) => `${at.slice(0, 10)} ${at.slice(11, 16)} UTC`;
</script>

<section aria-labelledby="audit">
	<h2 id="audit" class="ruled">What it was</h2>
	{#each lines as line (line.id)}
		<div class="line">
			<p class="small">{when(line.at)}, {line.by}</p>
			<div>
				{#if line.isNew}<p>Put into the library.</p>{:else}
					<ul>
						{#each line.changes as change (change.label)}
							<li>{change.label}: <s class="struck">{change.from || 'nothing'}</s> {change.to || 'nothing'}</li>
						{/each}
					</ul>
				{/if}
			</div>
			{#if !line.isNew}<a class="small" href="?before={line.id}">as it was before</a>{/if}
		</div>
	{:else}
		<p class="small">Nobody has changed it here yet.</p>
	{/each}
</section>

<style>
	section {
		margin-top: 1.875rem;
	}
	.line {
		display: grid;
		grid-template-columns: 11.875rem 1fr auto;
		gap: 0.625rem;
		padding: 0.375rem 0;
		border-bottom: 1px solid var(--rule);
	}
	@media (max-width: 640px) {
		.line {
			grid-template-columns: 1fr;
		}
	}
</style>
