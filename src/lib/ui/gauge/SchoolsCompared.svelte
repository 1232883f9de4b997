<script module lang="ts">
	import type { GaugingView } from '$lib/core/evaluate';
	import type { Unit } from '$lib/core/quantity';

	export interface Props {
		schools: GaugingView['schools'];
		unit: Unit;
	}
	const words = { 'mid-section': 'mid-section, in use', 'mean-section': 'mean-section', 'mean-depth': 'mean depth × width × mean velocity' } as const;
</script>

<script lang="ts">
	import { convert, significant, units } from '$lib/core/quantity';

	let { schools, unit }: Props = $props();
</script>

{#if schools.length}
	<h2>The same water, other ways</h2>
	<table>
		<thead class="visually-hidden"><tr><th>school</th><th>discharge, {units[unit].symbol}</th></tr></thead>
		<tbody>
			{#each schools as { school, discharge_m3s } (school)}
				<tr><td>{words[school]}</td><td class="number">{significant(convert(discharge_m3s, 'm3_s', unit), 3)} {units[unit].symbol}</td></tr>
			{/each}
		</tbody>
	</table>
{/if}

<style>
	h2 {
		margin-top: 16px;
	}
</style>
