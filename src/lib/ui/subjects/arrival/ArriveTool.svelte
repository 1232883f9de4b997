<script module lang="ts">
	import type { Sheet } from '$lib/core/logbook';
	import type { AccessWay } from '$lib/core/subjects/arrival/branch';
	import type { Satchel, SatchelSite } from '$lib/core/satchel';
	import type { WadingLimit } from '$lib/core/safety';
	import type { SectionUnits } from '$lib/core/subjects/gauging/units';
	import type { Writer } from '../../entry/writer';

	export interface Props {
		arrival: Sheet['arrival'];
		limit: WadingLimit;
		units: SectionUnits;
		site: SatchelSite | null;
		team: Satchel['team'];
		writer: Writer;
		/** False where the phone gives no position. */
		onposition: () => Promise<boolean>;
		/** A picture from the photo point was taken. */
		onphotopoint: (file: Blob) => Promise<void>;
		addressOf: (sha256: string) => Promise<string>;
	}
</script>

<script lang="ts">
	import TriangleAlert from '@lucide/svelte/icons/triangle-alert';
	import { dangerWords } from '$lib/core/subjects/arrival/words';
	import { SegmentedControl } from '@skeletonlabs/skeleton-svelte';
	import { trialOf } from '$lib/core/subjects/arrival/findings';
	import { sayLimit } from '$lib/core/safety';
	import { inSentence, sayDay } from '$lib/core/wording';
	import type { Unit } from '$lib/core/quantity';
	import { distance_km } from '$lib/core/schedule';
	import { wadingRuleAt, wadingStanding } from '$lib/core/safety';
	import Chips from '../../entry/Chips.svelte';
	import MeasureField from '../../entry/MeasureField.svelte';
	import Struck from '../../logbook/Struck.svelte';
	import TimeField from '../../entry/TimeField.svelte';
	import WordsField from '../../entry/WordsField.svelte';
	import { valueAt } from '../../entry/writer';

	let { arrival, limit, units, site, team, writer, onposition, onphotopoint, addressOf }: Props = $props();

	const ways: { way: AccessWay; word: string }[] = [
		{ way: 'wade', word: 'Wade' },
		{ way: 'bank', word: 'Bank' },
		{ way: 'bridge', word: 'Bridge' },
		{ way: 'pole', word: 'Pole' },
		{ way: 'syringe', word: 'Syringe' },
		{ way: 'leave', word: 'Leave' }
	];
	const FAR_m = 150;
	let isLooking = $state(false);
	let isAtPoint = $state(false);
	let pointSaid = $state('');

	const rule = $derived(wadingRuleAt(limit, site?.wadingDepth_m));
	const standing = $derived(wadingStanding(trialOf(arrival), rule));
	const lengths = $derived<Unit[]>(units.tape === 'ft' ? ['ft', 'inch', 'm'] : ['m', 'cm', 'ft']);
	const speeds = $derived<Unit[]>(units.velocity === 'ft_s' ? ['ft_s', 'm_s'] : ['m_s', 'ft_s']);
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
	const here = $derived(Object.values(arrival?.crew ?? {}).flatMap((c) => c.initials ?? []));
	const people = $derived([...new Set([...team.map((p) => p.initials), ...here])]);
	const away_m = $derived(
		arrival?.position && site?.latitude != null && site.longitude != null
			? Math.round(1000 * distance_km(arrival.position, { latitude: site.latitude, longitude: site.longitude }))
			: null
	);

	const set = (path: string, value: unknown) => void writer.set(path, value);
	const nameOf = (initials: string) => team.find((p) => p.initials === initials)?.name ?? initials;

	function toggle(path: string, value: unknown) {
		if (valueAt(writer, path) === undefined || valueAt(writer, path) === false) set(path, value);
		else writer.strike(path, 'taken back');
	}
	async function fromPoint(file: Blob) {
		try {
			await onphotopoint(file);
			isAtPoint = false;
			pointSaid = '';
		} catch (trouble) {
			pointSaid = trouble instanceof Error ? trouble.message : String(trouble);
		}
	}
	const reasonLabels: Record<string, string> = {
		wade: 'Anything to add (you may leave it empty)',
		leave: 'Not sampled, because'
	};
	function confirm(how: string) {
		if (how === 'position') void look();
		else if (how === 'photo-point') isAtPoint = !isAtPoint;
		else toggle('arrival/confirmedBy', how);
	}
	async function look() {
		isLooking = true;
		const isFound = await onposition();
		isLooking = false;
		pointSaid = isFound ? '' : 'This phone gives no position here. Tell the place by its photo point or its landmarks.';
	}
</script>

{#if site?.barred}<p class="say spoils"><b>{site.barred}</b> Turn back, and tell your coordinator.</p>{/if}
{#if site?.hazards}<p class="hazards danger" role="note">
		<TriangleAlert size={20} aria-hidden="true" /><span><b>Here:</b> {site.hazards}</span>
	</p>{/if}
{#if site?.lastVisit?.remarks.length}
	<p class="hazards">
		<b>Last time, {sayDay(Date.parse(site.lastVisit.at), writer.timeZone)}:</b>
		{site.lastVisit.remarks.join(' ')}
	</p>
{/if}
{#if known.length}
	<details class="known">
		<summary>This place: {known.map(([word]) => inSentence(word)).join(', ')}</summary>
		<dl>
			{#each known as [word, text] (word)}<dt>{word}</dt>
				<dd>{text}</dd>{/each}
		</dl>
	</details>
{/if}
{#if usualWays.length && site && !site.ways.includes('wading')}<p class="hazards">
		Nobody wades here: {usualWays.join(' or ')}.
	</p>{/if}
<div class="trial">
	<MeasureField {writer} path="arrival/depth_m" label="Depth at the edge" placed="m" read={lengths} />
	<MeasureField {writer} path="arrival/velocity_m_s" label="Speed there" placed="m_s" read={speeds} />
</div>

<p class="say" class:spoils={standing === 'over'} class:ask={standing === 'lifeJacket'} role="status">
	{#if standing === 'over'}
		<b>From the bank, with a pole, from a bridge, or another day.</b> Nobody wades here now: it is over the limit ({sayLimit(
			rule,
			units
		)}).
		{#if arrival?.access === 'wade'}Come out if somebody is in. If it was done all the same, write below who decided and
			why; your coordinator sees it.{/if}
	{:else if standing === 'lifeJacket'}
		<b>Life jacket on, or stay on the bank.</b> Local rules come first.
	{:else if standing === 'under'}
		<b>Not over the limit</b> ({sayLimit(rule, units)}), which says nothing of the bed, the cold or what the river does
		next. You decide, and local rules come first.
	{:else}
		Nobody wades where it is {sayLimit(rule, units)}. {arrival?.access === 'wade'
			? 'Both are needed before anybody is in: try them at the edge now.'
			: 'Try both at the edge first.'}
	{/if}
</p>

<h2 id="how">How will you sample?</h2>
<SegmentedControl
	value={arrival?.access ?? null}
	onValueChange={(e) => e.value && set('arrival/access', e.value)}
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
<Struck line={writer.lines.get('arrival/access')} {writer} />

{#if arrival?.access !== undefined}
	<div class="reason">
		<WordsField {writer} path="arrival/reason" label={reasonLabels[arrival.access] ?? 'Why'} rows={2} />
	</div>
{/if}

<div class="more">
	<div class="waits">
		<WordsField {writer} path="arrival/waiting/who" label="Who waits for you ashore (name, telephone)" />
		<TimeField {writer} path="arrival/waiting/backAt" label="Back by" />
	</div>
	<Chips
		legend="Reasons to stay out, whatever the depth"
		chips={Object.entries(dangerWords).map(([id, word]) => ({
			id,
			word,
			isOn: arrival?.dangers?.[id as keyof typeof dangerWords] === true
		}))}
		ontap={(id) => toggle(`arrival/dangers/${id}`, true)}
	/>
	<Chips
		legend="Who is here"
		help="Never alone. Both sets of initials go on the sheet."
		chips={people.map((initials) => ({ id: initials, word: nameOf(initials), isOn: here.includes(initials) }))}
		ontap={(initials) => toggle(`arrival/crew/${initials}/initials`, initials)}
	/>
	<Chips
		legend="The right place, told by"
		chips={[
			{ id: 'position', word: isLooking ? 'looking …' : 'position', isOn: arrival?.confirmedBy === 'position' },
			{ id: 'photo-point', word: 'photo point', isOn: arrival?.confirmedBy === 'photo-point' },
			{ id: 'landmarks', word: 'landmarks', isOn: arrival?.confirmedBy === 'landmarks' }
		]}
		ontap={(id) => confirm(id)}
	/>
	{#if isAtPoint}
		{#await import('./PhotoPoint.svelte') then { default: PhotoPoint }}
			<PhotoPoint
				before={site?.photoPointPicture ?? null}
				{addressOf}
				onpicture={(file) => void fromPoint(file)}
				onclose={() => (isAtPoint = false)}
			/>
		{/await}
	{/if}
	<p role="status" class:say={pointSaid} class="ask">{pointSaid}</p>
	{#if arrival?.position && away_m !== null}
		<p class="say" class:ask={away_m > FAR_m} role="status">
			{#if away_m > FAR_m}
				<b>{away_m} m from where {site?.name} lies.</b> Is this the right bank and the right stream? Look at the landmarks.
			{:else}
				<b>{away_m} m from where {site?.name} lies</b>; the phone knows its place within {arrival.position.accuracy_m} m.
			{/if}
			{#if arrival.position.isSimulated}<b>Simulated</b>: this phone gives no position.{/if}
		</p>
	{/if}
</div>

<style>
	.known {
		margin-bottom: 0.625rem;
	}
	.known summary {
		min-height: 2.75rem;
		padding: 0.625rem 0;
		cursor: pointer;
	}
	.known dl {
		display: grid;
		grid-template-columns: auto 1fr;
		gap: 0.25rem 0.75rem;
	}
	.known dt {
		color: var(--ink-2);
	}
	.hazards {
		margin-bottom: 0.625rem;
	}
	.danger {
		display: grid;
		grid-template-columns: auto 1fr;
		gap: 0.5rem;
		padding: 0.5rem 0.625rem;
		border: 2px solid var(--danger);
		border-radius: 0.3125rem;
		background: var(--danger-3);
	}
	.trial {
		display: grid;
		grid-template-columns: 1fr 1fr;
		gap: 0.625rem;
	}
	.say {
		margin: 0.625rem 0;
	}
	h2 {
		margin: 0.875rem 0 0.375rem;
	}
	:global(.ways) {
		display: grid;
		grid-template-columns: repeat(3, 1fr);
		gap: 0.375rem;
	}
	:global(.way) {
		display: grid;
		place-items: center;
		min-height: 3.25rem;
		border: 1.5px solid var(--ink-3);
		border-radius: 0.3125rem;
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
		margin-top: 0.75rem;
	}
	.more {
		margin-top: 1.125rem;
	}
	.more,
	.waits {
		display: grid;
		gap: 0.875rem;
	}
</style>
