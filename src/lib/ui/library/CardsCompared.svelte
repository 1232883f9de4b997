<script module lang="ts">
	import type { Difference } from '$lib/core/method';

	export interface Props {
		sides: { key: string; title: string }[];
		a: string;
		b: string;
		differences: Difference[];
		oncompare: (side: 'a' | 'b', key: string) => void;
	}
</script>

<script lang="ts">
	import Toggle from '../kit/Toggle.svelte';
	let { sides, a, b, differences, oncompare }: Props = $props();

	let all = $state(false);
	const shown = $derived(all ? differences : differences.filter((d) => d.a !== d.b));
	const differ = $derived(differences.filter((d) => d.a !== d.b).length);
</script>

<div class="choose">
	<label
		><span class="small">This one</span><select
			class="select"
			value={a}
			onchange={(e) => oncompare('a', e.currentTarget.value)}
			>{#each sides as side (side.key)}<option value={side.key}>{side.title}</option>{/each}</select
		></label
	>
	<label
		><span class="small">beside</span><select
			class="select"
			value={b}
			onchange={(e) => oncompare('b', e.currentTarget.value)}
			>{#each sides as side (side.key)}<option value={side.key}>{side.title}</option>{/each}</select
		></label
	>
	<Toggle label="also what is the same" bind:checked={all} />
</div>
<p role="status" class="small">
	{differ === 0 ? 'They are the same in every setting.' : `They differ in ${differ} of ${differences.length} settings.`}
</p>
{#if shown.length}
	<!-- by keyboard a wide table is scrolled from here -->
	<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
	<div class="scroll" tabindex="0" role="region" aria-label="Settings side by side">
		<table class="table">
			<thead
				><tr
					><th>Where</th><th>Setting</th><th>{sides.find((s) => s.key === a)?.title}</th><th
						>{sides.find((s) => s.key === b)?.title}</th
					></tr
				></thead
			>
			<tbody>
				{#each shown as d, i (d.path)}
					<tr class:differs={d.a !== d.b}>
						<td>{shown[i - 1]?.group === d.group ? '' : d.group}</td>
						<td>{d.label}</td>
						<td class="value">{d.a ?? 'not there'}</td>
						<td class="value">{d.b ?? 'not there'}</td>
					</tr>
				{/each}
			</tbody>
		</table>
	</div>
{/if}

<style>
	.choose {
		display: flex;
		flex-wrap: wrap;
		gap: 0.75rem;
		align-items: end;
		margin: 0.625rem 0 0.375rem;
	}
	.choose label {
		display: grid;
		max-width: 21.25rem;
	}
	.scroll {
		overflow-x: auto;
	}
	.value {
		white-space: pre-line;
		max-width: 20rem;
	}
	.differs .value {
		font-weight: 600;
	}
</style>
