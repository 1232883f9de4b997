<script module lang="ts">
	import type { Line } from '$lib/core/logbook';

	import type { Writer } from '../entry/writer';

	export interface Props {
		line: Line | undefined;
		writer: Pick<Writer, 'initialsOf' | 'timeZone'>;
	}
</script>

<script lang="ts">
	import { sayTime, sayValue } from '$lib/core/wording';
	import { instantOf } from '$lib/core/logbook';

	let { line, writer }: Props = $props();

	/** Values no longer shown, with the line that took each out. */
	const struck = $derived(
		(line?.history ?? [])
			.filter((e) => e.op === 'set' && e !== line?.live && !line?.rivals.includes(e))
			.map((e) => ({ entry: e, by: line?.history.find((other) => other.was === e.id) }))
	);
	const time = (at: string) => sayTime(instantOf(at), writer.timeZone);
</script>

{#if struck.length || line?.rivals.length}
	<ul class="small">
		{#each struck as { entry, by } (entry.id)}
			<li>
				<s>{sayValue(entry.value, writer.timeZone)}</s> by {writer.initialsOf(entry.by)}
				{time(entry.at)}{#if by}, struck by {writer.initialsOf(by.by)}
					{time(by.at)}{#if by.op === 'strike' && by.value}: {by.value}{/if}{/if}
			</li>
		{/each}
		{#each line?.rivals ?? [] as rival (rival.id)}
			<li>
				{sayValue(rival.value, writer.timeZone)} by {writer.initialsOf(rival.by)}
				{time(rival.at)}: also written, a reviewer decides
			</li>
		{/each}
	</ul>
{/if}

<style>
	ul {
		display: grid;
		gap: 2px;
	}
	s {
		color: var(--ink-3);
	}
</style>
