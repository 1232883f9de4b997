<script module lang="ts">
	import type { Missing } from '$lib/core/visit';
	import type { Sheet } from '$lib/core/logbook';
	import type { MethodCard } from '$lib/core/method';
	import type { Flag } from '$lib/core/subjects/flags';
	import type { Writer } from '../../entry/writer';
	import type { RestOfRound } from './rest-of-round';

	export interface Props {
		missing: Missing[];
		flags: Flag[];
		/** In whose units doubts are said. */
		card: Pick<MethodCard, 'steps' | 'shown'>;
		sheet: Sheet;
		/** Days that wet gear dries at this time of the year. */
		drying_days: number;
		rest: RestOfRound | null;
		hasBottles: boolean;
		writer: Writer;
		hrefOf: (stepId: string) => string;
		/** Typed in from paper: the time of leaving is on the sheet, and the copy is whole when its writer says so. */
		isOnPaper: boolean;
		isCopyDone: boolean;
		onleave: () => void;
	}
	const looks = [
		{ id: 'lids', word: 'lids tight' },
		{ id: 'labels', word: 'labels readable, times on' },
		{ id: 'ice', word: 'bottles on ice' },
		{ id: 'bank', word: 'nothing left on the bank' }
	];
	const gear = [
		{ id: 'boots', word: 'boots and waders' },
		{ id: 'nets', word: 'nets and trays' },
		{ id: 'meters', word: 'probes, tape, rod' }
	];
</script>

<script lang="ts">
	import { flagSentence, weightOf } from '$lib/core/subjects/flags';
	import { saidIn } from '$lib/core/subjects/gauging/units';
	import { sayDay, sayTime } from '$lib/core/wording';
	import Chips from '../../entry/Chips.svelte';
	import DockedAct from '../../entry/DockedAct.svelte';
	import TimeField from '../../entry/TimeField.svelte';
	import { stamp, valueAt } from '../../entry/writer';

	let {
		missing,
		flags,
		card,
		sheet,
		drying_days,
		rest,
		hasBottles,
		writer,
		hrefOf,
		isOnPaper,
		isCopyDone,
		onleave
	}: Props = $props();

	const doubts = $derived(flags.filter((f) => weightOf(f) !== 'note'));
	const leftAt = $derived(sheet.leaving?.at);
	const DAY_ms = 86_400_000;
	const isLooked = (id: string) => sheet.leaving?.looked?.[id] === true;
	const wet = $derived(Object.entries(sheet.gear ?? {}).filter(([, g]) => g.wetAt !== undefined));

	function toggle(path: string, value: unknown) {
		if (valueAt(writer, path) === undefined) void writer.set(path, value);
		else writer.strike(path, 'taken back');
	}
	async function wetGear(id: string) {
		if (valueAt(writer, `gear/${id}/wetAt`) !== undefined) return writer.strike(`gear/${id}/wetAt`, 'was not wet');
		await writer.setAll({
			[`gear/${id}/what`]: gear.find((g) => g.id === id)!.word,
			[`gear/${id}/wetAt`]: stamp(writer)
		});
	}
</script>

{#if missing.length}
	<h2 class="ruled">Still missing</h2>
	<ul>
		{#each missing as one (one.step)}
			<li>
				<a href={hrefOf(one.step)}>{one.what}</a>
				<p class="small">{one.cost}</p>
			</li>
		{/each}
	</ul>
{:else}
	<p class="say"><b>Nothing is missing.</b> Lids, labels, ice: look once more.</p>
{/if}

{#if doubts.length}
	<h2 class="ruled">{isOnPaper ? 'Worth a second look at the sheet' : 'Worth a second look before you go'}</h2>
	<ul>
		{#each doubts as flag, i (i)}<li>{flagSentence(flag, saidIn(card))}</li>{/each}
	</ul>
{/if}

<div class="looks">
	<Chips
		legend="Looked at once more"
		chips={looks.filter((l) => hasBottles || l.id === 'bank').map((l) => ({ ...l, isOn: isLooked(l.id) }))}
		ontap={(id) => toggle(`leaving/looked/${id}`, true)}
	/>
	<Chips
		legend="Came out wet"
		help="Clean, drain, dry: {drying_days} days before it goes into other water, or disinfect it."
		chips={gear.map((g) => ({ ...g, isOn: sheet.gear?.[g.id]?.wetAt !== undefined }))}
		ontap={(id) => void wetGear(id)}
	/>
	{#each wet as [id, one] (id)}
		<p class="small">
			{one.what ?? id}: {one.disinfectedAt
				? 'disinfected, may go on.'
				: `dry on ${sayDay(Date.parse(one.wetAt!) + drying_days * DAY_ms, writer.timeZone)}; before that only back into this water.`}
			{#if !one.disinfectedAt}<button
					type="button"
					class="btn inline preset-outlined-surface-500"
					onclick={() => writer.set(`gear/${id}/disinfectedAt`, stamp(writer))}>Disinfected</button
				>{/if}
		</p>
	{/each}
</div>

{#if rest}
	<p class="say" class:spoils={rest.lab?.isLate} role="status">
		{#if rest.next}<b>Next: {rest.next.name}</b>, there by {rest.next.arrive}.{:else}<b>That was the last stop.</b>{/if}
		{rest.lab?.words ?? ''}
	</p>
{/if}

{#if isOnPaper && !isCopyDone}
	<TimeField {writer} path="leaving/at" label="They left at, as the sheet says" />
	<button type="button" class="big btn preset-filled-primary-500" disabled={leftAt === undefined} onclick={onleave}
		>My copy is whole</button
	>
{:else if leftAt}
	<p class="say">
		<b>Left at {sayTime(Date.parse(leftAt), writer.timeZone)}.</b> The visit is whole; what is not sent yet goes when there
		is a network. Clean, drain and dry nets and boots before another water.
	</p>
{:else}
	<DockedAct
		word={missing.length ? 'Leave with gaps' : 'Checked, we are leaving'}
		isMain={missing.length === 0}
		onact={onleave}
	/>
{/if}

<style>
	h2 {
		margin-top: 0.875rem;
	}
	li {
		padding: 0.5rem 0;
		border-bottom: 1px solid var(--rule);
	}
	li a {
		font-weight: 600;
		display: inline-block;
		min-height: 1.75rem;
	}
	.looks {
		margin-top: 1rem;
	}
	.inline {
		min-height: 2.75rem;
	}
	.big {
		width: 100%;
		min-height: 3.75rem;
		font-size: 1.1875rem;
		margin-top: 1rem;
	}
	.say {
		margin-top: 0.75rem;
	}
</style>
