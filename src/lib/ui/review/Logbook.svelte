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
		/** A signature, drawn. */
		drawing: string | null;
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
				{:else if line.drawing}<svg viewBox="0 0 300 100" class="signature" role="img" aria-label={line.text}
						><path d={line.drawing} /></svg
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
								class="input"
								maxlength="500"
								placeholder="why it is struck"
								required
							/>
							<button class="btn preset-outlined-primary-500">Strike this one</button>
							{#if refused?.at === line.id}<span role="alert">{refused.why}</span>{/if}
						</form>
					{/if}
				{/if}
			</span>
		</li>
	{/each}
</ol>

<style>
	.signature {
		display: inline-block;
		width: 9rem;
		height: 3rem;
		vertical-align: middle;
	}
	.signature path {
		fill: none;
		stroke: var(--ink);
		stroke-width: 3;
	}
	li {
		display: grid;
		grid-template-columns: 5.75rem minmax(0, 1fr);
		gap: 0.625rem;
		padding: 3px 0;
		border-bottom: 1px solid var(--rule);
		font-size: 0.875rem;
	}
	.who {
		color: var(--ink-2);
	}
	.what {
		overflow-wrap: anywhere;
	}
	.path {
		color: var(--ink-2);
		margin-right: 0.5rem;
	}
	s {
		color: var(--ink-3);
	}
	strong {
		color: var(--ochre);
		margin-left: 0.5rem;
	}
	form {
		display: flex;
		gap: 0.375rem;
		margin: 0.25rem 0;
	}
</style>
