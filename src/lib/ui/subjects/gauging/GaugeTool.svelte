<script module lang="ts">
	import type { Flow, GaugingView } from '$lib/core/subjects/gauging/view';
	import type { FlumeRating } from '$lib/core/discharge';
	import type { Sheet } from '$lib/core/logbook';
	import type { MethodCard } from '$lib/core/method';
	import type { SectionUnits } from '$lib/core/subjects/gauging/units';
	import type { Step } from '$lib/core/subjects/steps';
	import type { Flag } from '$lib/core/subjects/flags';
	import type { Props as DoubtsProps } from '../../logbook/Doubts.svelte';
	import type { Writer } from '../../entry/writer';

	export interface Props {
		step: Extract<Step, { tool: 'flow' }>;
		card: MethodCard;
		gaugings: Sheet['gaugings'];
		views: readonly GaugingView[];
		/** What each gauging came to. */
		flows: readonly Flow[];
		onretype: DoubtsProps['onretype'];
		units: SectionUnits;
		flags: Flag[];
		meters: string[];
		writer: Writer;
		newId: () => string;
		onstart: () => void;
		/** Flumes of the program's shelf. */
		flumes: readonly FlumeRating[];
	}
</script>

<script lang="ts">
	import { isBySection, wasRaised, howAsked, howGauged } from '$lib/core/subjects/gauging/how';
	import { FLUME_SETTLES_s } from '$lib/core/subjects/gauging/step';
	import { arithmeticWords, gaugingWords, pointMethodWords } from '$lib/core/subjects/gauging/words';
	import { arithmetics, gaugingMethods, velocityPointMethods } from '$lib/core/subjects/gauging/branch';
	import { amount, convert, significant, units as unitTable } from '$lib/core/quantity';
	import Chips from '../../entry/Chips.svelte';
	import Doubts from '../../logbook/Doubts.svelte';
	import MeasureField from '../../entry/MeasureField.svelte';
	import WordsField from '../../entry/WordsField.svelte';
	import { valueAt } from '../../entry/writer';
	import BucketTool from './BucketTool.svelte';
	import FloatTool from './FloatTool.svelte';
	import FlowTool from './FlowTool.svelte';
	import FlumeTool from './FlumeTool.svelte';

	let { step, card, gaugings, views, flows, onretype, units, flags, meters, writer, newId, onstart, flumes }: Props =
		$props();

	let id = $state<'main' | 'repeat'>('main');
	let isChoosing = $state(false);
	const base = $derived(`gaugings/${id}`);
	const gauging = $derived(gaugings?.[id]);
	const taken = $derived(howGauged(gauging, step));
	const { method, school, arithmetic } = $derived(taken);
	const view = $derived(views.find((v) => v.id === id) ?? null);
	const flow = $derived(flows.find((f) => f.id === id)?.finding ?? null);
	const isAsAsked = $derived(JSON.stringify(taken) === JSON.stringify(howAsked(step)));
	const bySection = $derived(isBySection(taken));
	const mine = $derived(flags.filter((f) => f.path === base || f.path.startsWith(`${base}/`)));
	/** The flow tool says what belongs to its table; what is about the gauging as a whole is said here. */
	const said = $derived(
		mine.filter(
			(f) =>
				!bySection ||
				['gaugings-apart', 'tape-sags', 'another-way', 'widths-apart', 'bankfull-narrow'].includes(f.code) ||
				(f.code === 'unit-slip' && f.evidence.retype !== undefined)
		)
	);
	const way = $derived(
		method === 'verticals' ? `${pointMethodWords[school]}; ${arithmeticWords[arithmetic]}` : gaugingWords[method]
	);

	const choose = (field: 'method' | 'school' | 'arithmetic', value: string) =>
		void writer.set(`${base}/${field}`, value);
	const lengths = $derived(units.tape === 'ft' ? (['ft', 'm'] as const) : (['m', 'ft'] as const));
</script>

<button type="button" class="how" aria-expanded={isChoosing} onclick={() => (isChoosing = !isChoosing)}>
	<span>{id === 'repeat' ? 'Repeat: ' : ''}{way}</span> <u>change</u>
</button>
{#if isChoosing}
	<section class="choose">
		{#if gaugings?.['main']}
			<Chips
				legend="Gauging"
				chips={[
					{ id: 'main', word: 'first', isOn: id === 'main' },
					{ id: 'repeat', word: gaugings['repeat'] ? 'repeat' : 'repeat it', isOn: id === 'repeat' }
				]}
				ontap={(which) => (id = which as 'main' | 'repeat')}
			/>
		{/if}
		<Chips
			legend="Measured by"
			chips={gaugingMethods.map((m) => ({ id: m, word: gaugingWords[m], isOn: m === method }))}
			ontap={(m) => choose('method', m)}
		/>
		{#if method === 'verticals'}
			<Chips
				legend="Velocity at each vertical"
				chips={velocityPointMethods.map((s) => ({ id: s, word: pointMethodWords[s], isOn: s === school }))}
				ontap={(s) => choose('school', s)}
			/>
		{/if}
		{#if bySection}
			<Chips
				legend="Worked out by"
				chips={arithmetics.map((a) => ({ id: a, word: arithmeticWords[a], isOn: a === arithmetic }))}
				ontap={(a) => choose('arithmetic', a)}
			/>
		{/if}
		{#if !isAsAsked}
			<WordsField {writer} path="{base}/because" label="Why not as the card asks" />
		{/if}
		<button type="button" class="btn preset-filled-primary-500" onclick={() => (isChoosing = false)}>Done</button>
	</section>
{/if}
{#key `${id} ${method} ${school}`}
	{#if bySection}
		{#if method === 'sweep'}
			<MeasureField
				{writer}
				path="{base}/sweepVelocity_m_s"
				label="Mean speed of the one sweep"
				placed="m_s"
				read={units.velocity === 'ft_s' ? ['ft_s', 'm_s'] : ['m_s', 'ft_s']}
			/>
		{/if}
		<FlowTool
			{writer}
			gaugingId={id}
			school={method === 'sweep' ? 'sweep' : school}
			isRaised={wasRaised(id, writer.lines, step)}
			{view}
			{units}
			{step}
			flags={mine}
			{meters}
			{newId}
		/>
	{:else if method === 'float'}
		<FloatTool {base} floats={gauging?.floats} limits={card} {writer} {newId} {lengths} />
	{:else if method === 'flume'}
		<FlumeTool
			{base}
			flume={gauging?.flume}
			settle_s={step.settle_s ?? FLUME_SETTLES_s}
			{writer}
			{lengths}
			{onstart}
			{flumes}
			usual={card.limits?.flumeName}
			isRated={card.limits?.flume !== undefined}
		/>
	{:else}
		<BucketTool {base} fills={gauging?.fills} {writer} {newId} />
	{/if}
{/key}

{#if !bySection && flow}
	<p class="say" role="status">
		<b
			>{significant(convert(amount(flow.figure).number, 'm3_s', units.discharge), 3)}
			{unitTable[units.discharge].symbol}</b
		>
		{flow.basis}.
	</p>
{/if}
<Doubts flags={said} {card} {onretype} />

<details class="widths">
	<summary>Widths and tape</summary>
	<div class="pair">
		<MeasureField {writer} path="{base}/wettedWidth_m" label="Wetted width" placed="m" read={lengths} />
		<MeasureField {writer} path="{base}/bankfullWidth_m" label="Bankfull width" placed="m" read={lengths} />
		<MeasureField {writer} path="{base}/tapeSag_m" label="The tape hangs through by" placed="m" read={lengths} />
	</div>
	{#if valueAt(writer, `${base}/wettedWidth_m`) === undefined}<p class="small">
			A taut tape, square to the current. Bankfull: where the plants of the bank begin.
		</p>{/if}
</details>

<style>
	.how {
		display: flex;
		justify-content: space-between;
		gap: 0.625rem;
		width: 100%;
		min-height: 2.75rem;
		align-items: center;
		text-align: left;
		font-size: 0.9375rem;
		line-height: 1.2;
		color: var(--ink-2);
		cursor: pointer;
	}
	.choose .btn {
		min-height: 3rem;
		margin-top: 0.625rem;
	}
	.choose {
		padding: 0.5rem 0 0.875rem;
		border-bottom: 2px solid var(--ink);
		margin-bottom: 0.625rem;
	}
	.say {
		margin: 0.5rem 0;
	}
	.widths summary {
		min-height: 3rem;
		padding-top: 0.75rem;
		cursor: pointer;
	}
	.pair {
		display: grid;
		grid-template-columns: 1fr 1fr;
		gap: 0.5rem;
	}
</style>
