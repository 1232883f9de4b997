<script module lang="ts">
	import type { GaugingView } from '$lib/core/subjects/gauging/view';
	import type { Arithmetic } from '$lib/core/subjects/gauging/branch';
	import type { Unit } from '$lib/core/quantity';

	export interface Props {
		arithmetics: GaugingView['arithmetics'];
		unit: Unit;
		inUse: Arithmetic;
		/** How sure, expanded, percent: by the scatter between verticals, and by the standard's table. */
		scatter_percent?: number | null;
		byTable_percent?: number | null;
	}
</script>

<script lang="ts">
	import { arithmeticWords } from '$lib/core/subjects/gauging/words';
	import { convert, significant, units } from '$lib/core/quantity';

	let { arithmetics, unit, inUse, scatter_percent = null, byTable_percent = null }: Props = $props();
</script>

{#if arithmetics.length}
	<h2>The same water, other ways</h2>
	<table class="table">
		<thead class="visually-hidden"><tr><th>arithmetic</th><th>discharge, {units[unit].symbol}</th></tr></thead>
		<tbody>
			{#each arithmetics as { arithmetic, discharge_m3_s } (arithmetic)}
				<tr
					><td>{arithmeticWords[arithmetic]}{arithmetic === inUse ? ', in use' : ''}</td><td class="number"
						>{significant(convert(discharge_m3_s, 'm3_s', unit), 3)} {units[unit].symbol}</td
					></tr
				>
			{/each}
		</tbody>
	</table>
{/if}
{#if scatter_percent !== null && byTable_percent !== null}
	<h2>How sure, two ways</h2>
	<p class="small">
		By the scatter between verticals ± {Math.abs(scatter_percent).toFixed(0)} %; by the standard’s table, for so many verticals
		and points, ± {byTable_percent.toFixed(0)} %. The larger counts.
	</p>
{/if}

<style>
	h2 {
		margin-top: 1rem;
	}
</style>
