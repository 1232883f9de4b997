<script module lang="ts">
	export interface Props {
		lines: {
			id: string;
			at: string;
			by: string;
			isNew: boolean;
			changes: { label: string; from: string; to: string }[];
		}[];
		timeZone: string;
	}
</script>

<script lang="ts">
	import { sayDay, sayTime } from '$lib/core/wording';

	let { lines, timeZone }: Props = $props();

	const when = (at_ms: number) => `${sayDay(at_ms, timeZone, true)}, ${sayTime(at_ms, timeZone)}`;
</script>

<section aria-labelledby="audit">
	<h2 id="audit" class="ruled">What it was</h2>
	{#each lines as line (line.id)}
		<div class="line">
			<p class="small">{when(Date.parse(line.at))}, {line.by}</p>
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
