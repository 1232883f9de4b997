<script module lang="ts">
	import type { Writer } from '../../entry/writer';

	export interface Props {
		/** Where the runs are: `gaugings/main/floats/runs`. */
		base: string;
		/** What one is called: "run", "fill". */
		word: string;
		runs: readonly { id: string; time_s: number }[];
		writer: Writer;
		newId: () => string;
		/** What else is kept with a run. */
		onrun?: (id: string) => Promise<void>;
	}
</script>

<script lang="ts">
	import { writeFixed } from '$lib/core/quantity';
	import Stopwatch from '../../clocks/Stopwatch.svelte';
	import MeasureField from '../../entry/MeasureField.svelte';

	let { base, word, runs, writer, newId, onrun }: Props = $props();

	const draftPath = $derived(`${base}/watch/time_s`);
	const started_ms = $derived(Number(writer.drafts[draftPath]) || null);
	let typedId = $state<string | null>(null);

	async function keep(time_s: number) {
		writer.draft(draftPath, '');
		const id = newId();
		await Promise.all([onrun?.(id), writer.set(`${base}/${id}/time_s`, Math.max(0.1, time_s))]);
	}
</script>

<Stopwatch
	{started_ms}
	now_ms={() => writer.exactly_ms()}
	label="{word} {runs.length + 1}"
	onstart={(at_ms) => writer.draft(draftPath, String(at_ms))}
	onstop={keep}
	oncancel={() => writer.draft(draftPath, '')}
/>
{#if runs.length}
	<ol>
		{#each runs as run, i (run.id)}
			<li>
				<span>{word} {i + 1}</span> <b>{writeFixed(run.time_s, 1)} s</b>
				<button
					type="button"
					class="btn preset-outlined-surface-500"
					onclick={() => writer.strike(`${base}/${run.id}/time_s`, 'this run does not count')}
					>strike<span class="visually-hidden"> {word} {i + 1}</span></button
				>
			</li>
		{/each}
	</ol>
{/if}
{#if typedId !== null && !runs.some((r) => r.id === typedId)}
	<MeasureField {writer} path="{base}/{typedId}/time_s" label="Time of a {word}, s" placed={null} />
{:else}
	<button
		type="button"
		class="btn preset-outlined-surface-500"
		onclick={() => ((typedId = newId()), void onrun?.(typedId))}>Type a time</button
	>
{/if}

<style>
	li {
		display: flex;
		justify-content: space-between;
		align-items: center;
		border-bottom: 1px solid var(--rule);
	}
	.btn {
		min-height: 3rem;
		margin-top: 0.25rem;
	}
</style>
