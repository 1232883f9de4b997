<script module lang="ts">
	import type { GaugingView } from '$lib/core/evaluate';
	import type { Arithmetic } from '$lib/core/logbook';
	import type { Unit } from '$lib/core/quantity';

	export interface Props {
		schools: GaugingView['schools'];
		unit: Unit;
		inUse: Arithmetic;
		/** How sure, expanded, percent: by the scatter between verticals, and by the standard's table. */
		scatter_percent?: number | null;
		byTable_percent?: number | null;
	}
</script>

<script lang="ts">
	import { arithmeticWords } from '$lib/core/logbook';
	import { convert, significant, units } from '$lib/core/quantity';

	let { schools, unit, inUse, scatter_percent = null, byTable_percent = null }: Props = $props();
</script>

{#if schools.length}
	<h2>The same water, other ways</h2>
	<table>
		<thead class="visually-hidden"><tr><th>school</th><th>discharge, {units[unit].symbol}</th></tr></thead>
		<tbody>
			{#each schools as { school, discharge_m3s } (school)}
				<tr
					><td>{arithmeticWords[school]}{school === inUse ? ', in use' : ''}</td><td class="number"
						>{significant(convert(discharge_m3s, 'm3_s', unit), 3)} {units[unit].symbol}</td
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
		margin-top: 16px;
	}
</style>
