<script module lang="ts">
	import type { AccessWay, Line, Sheet } from '$lib/core/logbook';
	import type { SatchelSite } from '$lib/core/satchel';
	import type { WadingLimit } from '$lib/core/safety';

	export interface Props {
		arrival: Sheet['arrival'];
		limit: WadingLimit;
		site: SatchelSite | null;
		lines: Map<string, Line>;
		initialsOf: (memberId: string) => string;
		timeZone: string;
		onset: (path: string, value: unknown, was: string | null) => void;
	}
</script>

<script lang="ts">
	import { SegmentedControl } from '@skeletonlabs/skeleton-svelte';
	import { untrack } from 'svelte';
	import { sayLimit } from '$lib/core/interpret';
	import { whyRefused } from '$lib/core/logbook';
	import { readTyped } from '$lib/core/quantity';
	import { wadingRuleAt, wadingStanding } from '$lib/core/safety';
	import Struck from './Struck.svelte';

	let { arrival, limit, site, lines, initialsOf, timeZone, onset }: Props = $props();

	const ways: { way: AccessWay; word: string }[] = [
		{ way: 'wade', word: 'Wade' },
		{ way: 'bank', word: 'Bank' },
		{ way: 'bridge', word: 'Bridge' },
		{ way: 'leave', word: 'Leave' }
	];
	let wrong = $state<Record<string, string>>({});
	let reason = $state(untrack(() => arrival?.reason ?? ''));

	const rule = $derived(wadingRuleAt(limit, site?.wadingDepth_m));
	const standing = $derived(wadingStanding({ depth_m: arrival?.depth_m, velocity_m_s: arrival?.velocity_m_s }, rule));
	/** What the library knows of this place, what matters most at the edge first. */
	const known = $derived(
		(
			[
				['How to know it', site?.landmarks],
				['Photo', site?.photoPoint],
				['Way in', site?.access],
				['Getting here', site?.directions],
				['Upstream', site?.upstream]
			] as const
		).filter(([, text]) => text)
	);
	const usualWays = $derived(site?.ways.filter((w) => w !== 'wading') ?? []);
	const wasAt = (path: string) => lines.get(path)?.live?.id ?? null;

	function setNumber(path: 'arrival/depth_m' | 'arrival/velocity_m_s', text: string) {
		wrong[path] = '';
		if (text.trim() === '') return;
		const typed = readTyped(text);
		const why = 'why' in typed ? typed.why : whyRefused(path, typed.number);
		if (why !== null || 'why' in typed) wrong[path] = why ?? '';
		else if (lines.get(path)?.value !== typed.number) onset(path, typed.number, wasAt(path));
	}
</script>

{#if site?.barred}<p class="say spoils"><b>{site.barred}</b> Leave again, and tell your coordinator.</p>{/if}
{#if site?.hazards}<p class="hazards"><b>Here:</b> {site.hazards}</p>{/if}
{#if known.length}
	<details class="known">
		<summary>This place: {known.map(([word]) => word.toLowerCase()).join(', ')}</summary>
		<dl>
			{#each known as [word, text] (word)}<dt>{word}</dt>
				<dd>{text}</dd>{/each}
		</dl>
	</details>
{/if}
{#if usualWays.length && site && !site.ways.includes('wading')}<p class="hazards">Nobody wades here: {usualWays.join(' or ')}.</p>{/if}
<div class="trial">
	{#each [{ path: 'arrival/depth_m', word: 'Depth at the edge, m', value: arrival?.depth_m }, { path: 'arrival/velocity_m_s', word: 'Speed there, m/s', value: arrival?.velocity_m_s }] as const as field (field.path)}
		<div>
			<label>
				<small>{field.word}</small>
				<input
					class="input-line"
					inputmode="decimal"
					autocomplete="off"
					value={field.value ?? ''}
					onchange={(e) => setNumber(field.path, e.currentTarget.value)}
					aria-describedby="{field.path}-wrong"
				/>
				<span id="{field.path}-wrong" class="wrong" role="alert">{wrong[field.path] ?? ''}</span>
			</label>
			<Struck line={lines.get(field.path)} {initialsOf} {timeZone} />
		</div>
	{/each}
</div>

<p class="say" class:spoils={standing === 'over'} class:ask={standing === 'lifeJacket'} role="status">
	{#if standing === 'over'}
		<b>Over this card’s limit: {sayLimit(rule)}.</b> Sample from the bank or a bridge, or leave. Trained crew only, never alone; local rules come first.
	{:else if standing === 'lifeJacket'}
		<b>Life jacket on, or stay on the bank.</b> Local rules come first.
	{:else if standing === 'under'}
		<b>Under this card’s limit</b> ({sayLimit(rule)}). The limit is not leave to go in: you decide, and local rules come first.
	{:else}
		This card says stay out where it is {sayLimit(rule)}. Try both at the edge first.
	{/if}
</p>

<h2 id="how">How will you sample?</h2>
<SegmentedControl
	value={arrival?.access ?? null}
	onValueChange={(e) => e.value && onset('arrival/access', e.value, wasAt('arrival/access'))}
	aria-labelledby="how"
>
	<SegmentedControl.Control class="ways">
		{#each ways as { way, word } (way)}
			<SegmentedControl.Item value={way} class="way">
				<SegmentedControl.ItemText>{word}</SegmentedControl.ItemText>
				<SegmentedControl.ItemHiddenInput aria-label={word} />
			</SegmentedControl.Item>
		{/each}
	</SegmentedControl.Control>
</SegmentedControl>
<Struck line={lines.get('arrival/access')} {initialsOf} {timeZone} />

{#if arrival?.access !== undefined}
	<label class="reason">
		<span>{arrival.access === 'wade' ? 'Anything to add (you may leave it empty)' : 'Why'}</span>
		<textarea
			class="input-line"
			rows="2"
			maxlength="2000"
			bind:value={reason}
			onchange={() => reason.trim() !== (arrival?.reason ?? '') && onset('arrival/reason', reason.trim(), wasAt('arrival/reason'))}></textarea>
	</label>
{/if}

<style>
	.known {
		margin-bottom: 10px;
	}
	.known summary {
		min-height: 44px;
		padding: 10px 0;
		cursor: pointer;
	}
	.known dl {
		display: grid;
		grid-template-columns: auto 1fr;
		gap: 4px 12px;
	}
	.known dt {
		color: var(--ink-2);
	}
	.hazards {
		margin-bottom: 10px;
	}
	.trial {
		display: grid;
		grid-template-columns: 1fr 1fr;
		gap: 10px;
	}
	.trial .input-line {
		font-size: 22px;
		font-weight: 600;
		min-height: 52px;
	}
	.wrong {
		display: block;
		color: var(--danger);
		font-weight: 600;
		font-size: 15px;
	}
	.say {
		margin: 10px 0;
	}
	h2 {
		margin: 14px 0 6px;
	}
	:global(.ways) {
		display: grid;
		grid-template-columns: repeat(4, 1fr);
		gap: 6px;
	}
	:global(.way) {
		display: grid;
		place-items: center;
		min-height: 56px;
		border: 1.5px solid var(--ink-3);
		border-radius: 5px;
		font-weight: 600;
		cursor: pointer;
		background: var(--page);
	}
	:global(.way[data-state='checked']) {
		background: var(--water);
		border-color: var(--water);
		color: var(--page);
		text-decoration: underline;
	}
	:global(.way[data-focus-visible]) {
		outline: 3px solid var(--water-2);
		outline-offset: 2px;
	}
	.reason {
		display: block;
		margin-top: 12px;
	}
	.reason textarea {
		font-size: 17px;
	}
</style>
