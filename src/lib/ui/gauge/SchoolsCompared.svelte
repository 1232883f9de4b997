<script module lang="ts">
	import type { GaugingView } from '$lib/core/evaluate';
	import type { Arithmetic } from '$lib/core/logbook';
	import type { Unit } from '$lib/core/quantity';

	export interface Props {
		schools: GaugingView['schools'];
		unit: Unit;
		inUse: Arithmetic;
	}
</script>

<script lang="ts">
	import { arithmeticWords } from '$lib/core/logbook';
	import { convert, significant, units } from '$lib/core/quantity';

	let { schools, unit, inUse }: Props = $props();
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

<style>
	h2 {
		margin-top: 16px;
	}
</style>
