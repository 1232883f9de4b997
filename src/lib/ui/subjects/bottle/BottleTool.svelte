<script module lang="ts">
	import type { SampleRole } from '$lib/core/custody';
	import type { RunningClock } from '$lib/core/visit';
	import type { Sheet } from '$lib/core/logbook';
	import type { Preservative, Technique } from '$lib/core/subjects/bottle/branch';
	import type { SectionUnits } from '$lib/core/subjects/gauging/units';
	import type { Step } from '$lib/core/subjects/steps';
	import type { Writer } from '../../entry/writer';

	export interface Props {
		step: Extract<Step, { tool: 'bottle' }>;
		bottles: Sheet['bottles'];
		/** What is planned here beside the routine bottle. */
		planned: readonly SampleRole[];
		siteCode: string;
		/** ISO date of the visit, where the site is. */
		date: string;
		holding_h: number;
		withoutIce_h: number;
		/** What runs at this visit: the bottle's own clock among it. */
		clocks: readonly RunningClock[];
		/** How the crew said it samples, where that says how a bottle is reached. */
		usualTechnique: Technique | null;
		gaugings: Sheet['gaugings'];
		/** What depth and speed are read in. */
		units: SectionUnits;
		/** It came from paper: times are typed. */
		isOnPaper: boolean;
		writer: Writer;
	}
</script>

<script lang="ts">
	import { writeNumber } from '$lib/core/quantity';
	import { untrack } from 'svelte';
	import { blankWater, fillingGuide, labelCode } from '$lib/core/custody';
	import { sayMismatch } from '$lib/core/subjects/bottle/flags';
	import { rinsesAsked } from '$lib/core/subjects/bottle/step';
	import { labelMismatch, otherPreservative } from '$lib/core/subjects/bottle/handling';
	import { sayDeadline } from '$lib/core/interpret';
	import { sayDuration, sayTime, capitalised } from '$lib/core/wording';
	import { techniqueWords } from '$lib/core/subjects/bottle/words';
	import { preservatives, techniques } from '$lib/core/subjects/bottle/branch';
	import Chips from '../../entry/Chips.svelte';
	import StrikeReason from '../../entry/StrikeReason.svelte';
	import Struck from '../../logbook/Struck.svelte';
	import TimeField from '../../entry/TimeField.svelte';
	import { stamp } from '../../entry/writer';

	let {
		step,
		bottles,
		planned,
		siteCode,
		date,
		holding_h,
		withoutIce_h,
		clocks,
		usualTechnique,
		gaugings,
		units,
		isOnPaper,
		writer
	}: Props = $props();

	const { id: baseId, kind, preserved } = untrack(() => step.bottle);
	const idOf = (role: SampleRole) => (role === 'routine' ? baseId : `${baseId}-${role}`);
	const roleWords: Record<SampleRole, string> = {
		routine: 'the sample',
		duplicate: 'its duplicate',
		blank: 'the blank'
	};
	const roles = $derived(
		(['routine', 'duplicate', 'blank'] as const).filter(
			(r) => r === 'routine' || planned.includes(r) || bottles?.[idOf(r)] !== undefined
		)
	);
	const unplanned = $derived((['duplicate', 'blank'] as const).filter((r) => !roles.includes(r)));

	let role = $state<SampleRole>('routine');
	const bottleId = $derived(idOf(role));
	const bottle = $derived(bottles?.[bottleId]);
	const at = (field: string) => `bottles/${bottleId}/${field}`;
	let typedLabels = $state<Record<string, string>>({});
	const label = $derived(typedLabels[role] ?? bottle?.label ?? labelCode(siteCode, date, kind, role));
	const mismatch = $derived(labelMismatch(label.trim(), kind, () => date, siteCode));
	const wrongLabel = $derived(mismatch && sayMismatch(mismatch));
	const isTaken = $derived(
		Object.entries(bottles ?? {}).some(
			([id, b]) => id !== bottleId && b.label !== undefined && b.label === label.trim()
		)
	);
	let striking = $state(false);
	let isOther = $state(false);
	let scanning = $state(false);
	const clock = $derived(clocks.find((c) => c.id === `bottles/${bottleId}`));
	const technique = $derived(bottle?.technique ?? usualTechnique ?? step.technique ?? 'hand');
	const rinses = $derived(rinsesAsked(step));
	const rinsed = $derived(bottle?.rinses ?? 0);
	const isFiltered = untrack(() => step.bottle.isFiltered === true);
	const guide = $derived(fillingGuide({ kind, role, technique, rinses, preserved, isFiltered }));
	const canFill = $derived(
		label.trim() !== '' && !(role === 'blank' && (bottle?.water === undefined || bottle.water === 'stream'))
	);
	const isAlone = $derived(role === 'duplicate' && bottles?.[baseId]?.filledAt === undefined);

	const keepLabel = () =>
		label.trim() &&
		label.trim() !== bottle?.label &&
		bottle?.filledAt !== undefined &&
		void writer.set(at('label'), label.trim());

	async function fill(filledAt = stamp(writer)) {
		const values: Record<string, string> = {};
		if (bottle?.kind === undefined) values[at('kind')] = kind;
		if (role !== 'routine' && bottle?.role === undefined) values[at('role')] = role;
		if (role === 'duplicate' && bottle?.duplicateOf === undefined) values[at('duplicateOf')] = baseId;
		if (label.trim() !== (bottle?.label ?? '')) values[at('label')] = label.trim();
		if (bottle?.technique === undefined && role !== 'blank' && technique !== 'hand')
			values[at('technique')] = technique;
		await writer.setAll({ ...values, [at('filledAt')]: filledAt });
	}
	async function preserve(used: Preservative) {
		const isTimed = bottle?.preservedAt === undefined && !isOnPaper; // from paper the time is typed
		await writer.setAll({ [at('preservedWith')]: used, ...(isTimed ? { [at('preservedAt')]: stamp(writer) } : {}) });
	}
	const scanned = (text: string) => {
		typedLabels[role] = text;
		scanning = false;
		keepLabel();
	};
</script>

{#if roles.length > 1}
	<Chips
		legend="Which bottle"
		chips={roles.map((r) => ({
			id: r,
			word: `${roleWords[r]}${bottles?.[idOf(r)]?.filledAt ? ', filled' : ''}`,
			isOn: r === role
		}))}
		ontap={(r) => (role = r as SampleRole)}
	/>
{/if}
<label class="bottle-code">
	<span>Code on the label</span>
	<input
		class="input"
		autocomplete="off"
		autocapitalize="characters"
		maxlength="80"
		value={label}
		oninput={(e) => (typedLabels[role] = e.currentTarget.value)}
		onchange={keepLabel}
	/>
</label>
<button
	type="button"
	class="scan btn preset-outlined-surface-500"
	aria-expanded={scanning}
	onclick={() => (scanning = !scanning)}>Scan the label</button
>
{#if scanning}
	{#await import('./ScanLabel.svelte') then { default: ScanLabel }}<ScanLabel
			onlabel={scanned}
			onclose={() => (scanning = false)}
		/>{/await}
{/if}
{#if wrongLabel && label.trim() !== bottle?.label}<p class="say ask" role="alert">
		<b>Is this the right bottle?</b> Its label {wrongLabel}.
	</p>{/if}
{#if isTaken}<p class="say ask" role="alert">
		<b>Another bottle of this visit carries that label already.</b> It may be filled: look before you open it.
	</p>{/if}
<Struck line={writer.lines.get(at('label'))} {writer} />

{#if bottle?.filledAt}
	<div class="say" role="status">
		<b>Filled at {sayTime(Date.parse(bottle.filledAt), writer.timeZone)}. Write that on the label now.</b>
		<small>{writer.initialsOf(writer.lines.get(at('filledAt'))?.live?.by ?? '')}</small>
		{#if clock}<br />
			{sayDeadline(clock.deadline, clock.last_ms, writer.timeZone)}
			{clock.last_ms > writer.now_ms ? `${sayDuration(clock.last_ms - writer.now_ms)} left.` : 'That has passed.'}{/if}
	</div>
	{#if isFiltered && role !== 'blank'}
		{#if bottle.filteredAt}
			<p class="done">Filtered at {sayTime(Date.parse(bottle.filteredAt), writer.timeZone)}.</p>
		{:else if !isOnPaper}
			<button
				type="button"
				class="big btn preset-outlined-primary-500"
				onclick={() => writer.set(at('filteredAt'), stamp(writer))}>Filtered just now, the part for phosphate</button
			>
		{:else}<TimeField {writer} path={at('filteredAt')} label="Filtered at" />{/if}
	{/if}
	{#if preserved}
		{#if bottle.preservedAt}
			<p class="done">
				{capitalised(bottle.preservedWith ?? preserved)} in since {sayTime(
					Date.parse(bottle.preservedAt),
					writer.timeZone
				)}.
			</p>
		{:else if !isOnPaper}
			<button type="button" class="big btn preset-filled-primary-500" onclick={() => preserve(preserved)}
				>{capitalised(preserved)} is in, cap on, mixed</button
			>
		{/if}
		{#if isOther || bottle.preservedWith}
			<Chips
				legend="What went in"
				chips={preservatives.map((p) => ({ id: p, word: p, isOn: p === bottle.preservedWith }))}
				ontap={(p) => preserve(p as Preservative)}
			/>
		{:else}
			<button type="button" class="big btn preset-outlined-surface-500" onclick={() => (isOther = true)}
				>Something else went in</button
			>
		{/if}
		{#if otherPreservative(bottle.preservedWith, preserved)}<p class="say spoils" role="alert">
				<b>The card asks for {preserved}.</b> Take another bottle.
			</p>{/if}
	{/if}
	{#if bottle.onIceAt}
		<p class="done">On ice since {sayTime(Date.parse(bottle.onIceAt), writer.timeZone)}.</p>
	{:else}
		{#if kind === 'bacteria'}<p class="small">
				Within {writeNumber(withoutIce_h)} h no ice is needed. On ice bacteria change slowly; warm they grow and die.
			</p>{/if}
		{#if !isOnPaper}<button
				type="button"
				class={[
					'big btn',
					!preserved || bottle.preservedAt ? 'preset-filled-primary-500' : 'preset-outlined-primary-500'
				]}
				onclick={() => writer.set(at('onIceAt'), stamp(writer))}>It is on ice now</button
			>{/if}
	{/if}
	{#if isOnPaper && preserved && !bottle.preservedAt}<TimeField
			{writer}
			path={at('preservedAt')}
			label="{capitalised(preserved)} in at"
		/>{/if}
	{#if isOnPaper && !bottle.onIceAt}<TimeField {writer} path={at('onIceAt')} label="On ice at" />{/if}
	{#if striking}
		<StrikeReason
			onstrike={(reason) => {
				writer.strike(at('filledAt'), reason);
				striking = false;
			}}
			oncancel={() => (striking = false)}
		/>
	{:else}
		<button type="button" class="big btn preset-outlined-surface-500" onclick={() => (striking = true)}
			>Strike the time of filling</button
		>
	{/if}
{:else}
	{#if role === 'blank'}
		<Chips
			legend="The blank is filled with"
			chips={[
				...(kind === 'bacteria'
					? [{ id: 'sterile', word: 'sterile buffered water', isOn: bottle?.water === 'sterile' }]
					: []),
				{ id: 'deionised', word: 'deionised water', isOn: bottle?.water === 'deionised' },
				{ id: 'stream', word: 'stream water', isOn: bottle?.water === 'stream' }
			]}
			ontap={(water) => writer.set(at('water'), water)}
		/>
		{#if bottle?.water === 'stream'}<p class="say spoils" role="alert">
				<b>Then it is no blank.</b> Strike it, take a fresh bottle, and use {blankWater[kind]}.
			</p>{/if}
	{/if}
	{#if isAlone}<p class="say ask">The first bottle is not filled yet: a duplicate comes at once after it.</p>{/if}
	{#if isOnPaper}
		<TimeField {writer} path={at('filledAt')} label="Filled at" ontime={(at_iso) => fill(at_iso)} />
	{:else}
		<button type="button" class="big btn preset-filled-primary-500" disabled={!canFill} onclick={() => fill()}
			>Filled just now</button
		>
		<p class="small">
			{kind === 'bacteria'
				? `The clock of ${writeNumber(holding_h)} h starts when you tap.`
				: 'The time goes on the label when you tap.'}
		</p>
	{/if}
{/if}
<Struck line={writer.lines.get(at('filledAt'))} {writer} />

<details class="guide" open={!bottle?.filledAt && !isOnPaper}>
	<summary>How to fill it{role === 'blank' ? '' : `, ${techniqueWords[technique]}`}</summary>
	<ol>
		{#each guide as line (line)}<li>{line}</li>{/each}
	</ol>
	{#if role !== 'blank'}
		<Chips
			legend="Another way"
			chips={techniques.map((id) => ({ id, word: techniqueWords[id], isOn: id === technique }))}
			ontap={(id) => writer.set(at('technique'), id)}
		/>
	{/if}
	{#if kind !== 'bacteria'}
		<p class="rinse">
			<span>Rinsed {rinsed} of {rinses} times</span>
			<button
				type="button"
				class="btn preset-outlined-surface-500"
				onclick={() => writer.set(at('rinses'), Math.min(10, rinsed + 1))}>Rinsed once more</button
			>
		</p>
	{/if}
</details>
{#if technique === 'composite' && kind !== 'bacteria'}
	{#await import('./CompositePanel.svelte') then { default: CompositePanel }}<CompositePanel
			{bottleId}
			{bottle}
			{gaugings}
			{units}
			{writer}
		/>{/await}
{/if}
{#if unplanned.length && bottle?.filledAt && role === 'routine'}
	<p class="small">
		Not planned here today:
		{#each unplanned as extra (extra)}<button
				type="button"
				class="extra btn preset-outlined-surface-500"
				onclick={() => writer.set(`bottles/${idOf(extra)}/role`, extra)}
				>add {extra === 'blank' ? 'a blank' : 'a duplicate'}</button
			>{/each}
	</p>
{/if}

<style>
	.bottle-code span {
		font-weight: 600;
	}
	.bottle-code input {
		font-size: 1.25rem;
		min-height: 3.25rem;
		font-weight: 600;
	}
	.scan {
		min-height: 3rem;
		margin-top: 0.375rem;
	}
	.big {
		width: 100%;
		min-height: 3.75rem;
		font-size: 1.1875rem;
		margin: 0.75rem 0 0.375rem;
	}
	.say {
		margin: 0.75rem 0;
	}
	.done {
		font-weight: 600;
	}
	.guide {
		margin-top: 0.75rem;
		border-top: 1px solid var(--rule);
	}
	.guide summary {
		min-height: 3rem;
		padding-top: 0.75rem;
		font-weight: 600;
		cursor: pointer;
	}
	.guide ol {
		margin: 0 0 0.75rem 1.25rem;
		list-style: decimal;
		display: grid;
		gap: 0.25rem;
	}
	.rinse {
		display: flex;
		justify-content: space-between;
		align-items: center;
	}
	.rinse .btn,
	.extra {
		min-height: 3rem;
		margin-left: 0.375rem;
	}
</style>
