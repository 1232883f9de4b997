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
	import { sayPlace, sayWritten } from '$lib/core/interpret';
	import { sayTime } from '$lib/core/wording';
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
						<b>{sayWritten(path, entry.value, timeZone)}</b><small
							>{initialsOf(entry.by)}, {sayTime(instantOf(entry.at), timeZone)}</small
						>
						{#if entry.by === me}<button
								type="button"
								class="btn preset-outlined-surface-500"
								onclick={() => onstrike(path, entry.id)}>mine was a slip</button
							>{/if}
					</li>
				{/each}
			</ul>
		</section>
	{/each}
{/if}

<style>
	h2 {
		margin-top: 0.875rem;
	}
	section {
		padding: 0.5rem 0;
		border-bottom: 1px solid var(--rule);
	}
	ul {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(7.5rem, 1fr));
		gap: 0.5rem;
	}
	li {
		display: grid;
		gap: 2px;
		padding: 0.375rem 0.625rem;
		border: 1.5px solid var(--ink-3);
		border-radius: 0.3125rem;
	}
	b {
		font-size: 1.25rem;
	}
	.btn {
		min-height: 2.75rem;
	}
</style>
