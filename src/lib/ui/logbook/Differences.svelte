<script module lang="ts">
	import type { Conflict } from '$lib/core/logbook';
	import type { OwnParameters } from '$lib/core/quantity';
	import type { Writer } from '../entry/writer';

	export interface Props {
		conflicts: readonly Conflict[];
		writer: Pick<Writer, 'initialsOf' | 'timeZone'>;
		me: string;
		/** What the card says of the program's own parameters. */
		own: OwnParameters | undefined;
		/** One's own value was a slip: it is struck. The other's is for its writer or a reviewer to strike. */
		onstrike: (path: string, entryId: string) => void;
	}
</script>

<script lang="ts">
	import { sayPlace } from '$lib/core/interpret';
	import { sayTime, sayValue } from '$lib/core/wording';
	import { instantOf } from '$lib/core/logbook';

	let { conflicts, writer, me, own, onstrike }: Props = $props();
	const { initialsOf, timeZone } = $derived(writer);
</script>

{#if conflicts.length}
	<h2 class="ruled">Two people wrote different things</h2>
	<p class="small">
		Both are kept. Look again together; who sees a slip of one’s own strikes it. What stays open a reviewer decides.
	</p>
	{#each conflicts as { path, entries } (path)}
		<section>
			<h3>{sayPlace(path, own)}</h3>
			<ul>
				{#each entries as entry (entry.id)}
					<li>
						<b>{sayValue(entry.value, timeZone)}</b><small
							>{initialsOf(entry.by)}, {sayTime(instantOf(entry.at), timeZone)}</small
						>
						{#if entry.by === me}<button type="button" class="act plain" onclick={() => onstrike(path, entry.id)}
								>mine was a slip</button
							>{/if}
					</li>
				{/each}
			</ul>
		</section>
	{/each}
{/if}

<style>
	h2 {
		margin-top: 14px;
	}
	section {
		padding: 8px 0;
		border-bottom: 1px solid var(--rule);
	}
	ul {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(120px, 1fr));
		gap: 8px;
	}
	li {
		display: grid;
		gap: 2px;
		padding: 6px 10px;
		border: 1.5px solid var(--ink-3);
		border-radius: 5px;
	}
	b {
		font-size: 20px;
	}
	.act {
		min-height: 44px;
	}
</style>
