<script module lang="ts">
	import type { OwnParameters } from '$lib/core/quantity';

	/** A line of the logbook as it is read: what was written where, and what became of it. */
	export interface LogLine {
		id: string;
		at_ms: number;
		by: string;
		device: string;
		path: string;
		text: string;
		op: 'set' | 'add' | 'strike';
		/** The line that struck or replaced this one. */
		outBy: string | null;
		isRival: boolean;
	}
	export interface Props {
		lines: LogLine[];
		/** What the visit's card says of the program's own parameters. */
		own: OwnParameters | undefined;
		initialsOf: (memberId: string) => string;
		timeZone: string;
		mayStrike: boolean;
		refused: { at: string; why: string } | null;
	}
</script>

<script lang="ts">
	import { enhance } from '$app/forms';
	import { sayPlace } from '$lib/core/interpret';
	import { sayTime } from '$lib/core/wording';

	let { lines, own, initialsOf, timeZone, mayStrike, refused }: Props = $props();

	const byId = $derived(new Map(lines.map((l) => [l.id, l])));
</script>

<ol>
	{#each lines as line (line.id)}
		{@const out = line.outBy ? byId.get(line.outBy) : undefined}
		<li id="line-{line.id}" class:strike={line.op === 'strike'}>
			<span class="who"><b>{initialsOf(line.by)}</b> {sayTime(line.at_ms, timeZone)}</span>
			<span class="what">
				<span class="path">{sayPlace(line.path, own)}</span>
				{#if line.op === 'strike'}<i>struck{line.text ? `: ${line.text}` : ''}</i>
				{:else if out}<s>{line.text}</s>
					<small
						>{out.op === 'strike' ? 'struck' : 'replaced'} by {initialsOf(out.by)} {sayTime(out.at_ms, timeZone)}</small
					>
				{:else}{line.op === 'add' ? '+' : ''}{line.text}{/if}
				{#if line.isRival}
					<strong>one of two values</strong>
					{#if mayStrike}
						<form method="POST" action="?/strike#line-{line.id}" use:enhance>
							<input type="hidden" name="entryId" value={line.id} />
							<label class="visually-hidden" for="why-{line.id}">Why {line.text} is struck</label>
							<input
								id="why-{line.id}"
								name="reason"
								class="input-line"
								maxlength="500"
								placeholder="why it is struck"
								required
							/>
							<button class="act">Strike this one</button>
							{#if refused?.at === line.id}<span role="alert">{refused.why}</span>{/if}
						</form>
					{/if}
				{/if}
			</span>
		</li>
	{/each}
</ol>

<style>
	li {
		display: grid;
		grid-template-columns: 92px minmax(0, 1fr);
		gap: 10px;
		padding: 3px 0;
		border-bottom: 1px solid var(--rule);
		font-size: 14px;
	}
	.who {
		color: var(--ink-2);
	}
	.what {
		overflow-wrap: anywhere;
	}
	.path {
		color: var(--ink-2);
		margin-right: 8px;
	}
	s {
		color: var(--ink-3);
	}
	strong {
		color: var(--ochre);
		margin-left: 8px;
	}
	form {
		display: flex;
		gap: 6px;
		margin: 4px 0;
	}
</style>
