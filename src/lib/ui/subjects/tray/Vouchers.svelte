<script module lang="ts">
	import type { Kind } from '$lib/core/macroinvertebrates';
	import type { StepScreen } from '../step-screen';

	export interface Props {
		stepId: string;
		screen: StepScreen;
		kinds: readonly Kind[];
	}
</script>

<script lang="ts">
	import { voucherCode } from '$lib/core/custody';
	import { readWhole } from '$lib/core/quantity';
	import { knownAnimals } from '../../animals/known-animals';
	import { agreedName } from '$lib/core/subjects/voucher/agreed-name';
	import { notKept } from '$lib/core/subjects/voucher/keeping';
	import { keptIn, type KeptIn } from '$lib/core/subjects/voucher/branch';
	import { keptInWords } from '$lib/core/subjects/voucher/words';
	import { counted, isoDay, listed } from '$lib/core/wording';
	import { stamp } from '../../entry/writer';

	let { stepId, screen, kinds }: Props = $props();
	const known = knownAnimals();

	const id = $props.id();
	const { writer } = $derived(screen);
	const mine = $derived(Object.entries(screen.sheet.vouchers ?? {}).filter(([, v]) => v.tray === stepId));
	let isOpen = $state(false);
	let code = $state('');
	let how = $state<KeptIn>('ethanol');
	let number = $state('1');
	const MOST = 9999;
	const count = $derived.by(() => {
		const read = readWhole(number);
		return read !== null && read >= 1 && read <= MOST ? read : null;
	});
	/** Labels that this hand ever gave at this visit, those of vouchers that were not kept among them: none comes twice. */
	const given = $derived(
		[...screen.lines].filter(
			([path, line]) => /^vouchers\/[^/]+\/label$/.test(path) && writer.initialsOf(line.history[0]!.by) === screen.me
		).length
	);
	const label = $derived(
		voucherCode(
			screen.site?.code ?? '?',
			isoDay(Date.parse(screen.opening?.startedAt ?? ''), screen.satchel.program.timeZone),
			screen.me,
			given + 1
		)
	);

	/** Kinds of this tray of which no animal of this stream lies in a vial: one of each is asked for. */
	const wanted = $derived(
		notKept(
			kinds.filter((k) => k.taxon).map((k) => k.code),
			[...(screen.site?.keptKinds ?? []), ...mine.flatMap(([, v]) => v.taxon ?? [])].map(known.list.current)
		)
	);
	const MOST_NAMED = 3;
	const others = $derived(kinds.filter((k) => !wanted.includes(k.code)));

	function keep(event: SubmitEvent) {
		event.preventDefault();
		if (code === '' || count === null) return;
		const at = `vouchers/${screen.newId()}`;
		void writer.setAll({
			[`${at}/tray`]: stepId,
			[`${at}/taxon`]: code,
			[`${at}/count`]: count,
			[`${at}/label`]: label,
			[`${at}/keptIn`]: how,
			[`${at}/keptAt`]: stamp(writer)
		});
		isOpen = false;
		code = '';
		number = '1';
	}
	function strike(voucher: string) {
		for (const place of ['tray', 'taxon', 'count', 'label', 'keptIn', 'keptAt'])
			writer.strike(`vouchers/${voucher}/${place}`, 'not kept after all');
	}
</script>

<section aria-label="Vouchers">
	<h3>Vouchers <small>one of every kind that is new to you, so that somebody can look again</small></h3>
	{#if mine.length}
		<ul>
			{#each mine as [voucher, v] (voucher)}
				{@const said = agreedName(screen.sheet, voucher, known.list)}
				<li>
					<b>{v.label}</b>
					<span
						>{v.count} × {known.list.nameOf(v.taxon ?? '')}
						<small>{v.taxon}, {keptInWords[v.keptIn ?? 'ethanol']}</small>
						{#if said.name}<b>looked at again: {known.list.nameOf(said.name)}</b>{/if}</span
					>
					<button type="button" class="btn preset-outlined-surface-500" onclick={() => strike(voucher)}
						>Not kept<span class="visually-hidden">: {v.label}</span></button
					>
				</li>
			{/each}
		</ul>
	{/if}
	{#if isOpen}
		<form onsubmit={keep}>
			<label for="{id}-kind">Which</label>
			<select id="{id}-kind" class="select" bind:value={code}>
				<option value="">choose a compartment</option>
				{#if wanted.length}
					<optgroup label="No voucher from this stream yet">
						{#each wanted as kind (kind)}<option value={kind}>{known.list.nameOf(kind)} {kind}</option>{/each}
					</optgroup>
				{/if}
				<optgroup label="Others of this tray">
					{#each others as k (k.code)}<option value={k.code}>{known.list.nameOf(k.code)} {k.taxon ? k.code : ''}</option
						>{/each}
				</optgroup>
			</select>
			<label for="{id}-count">How many</label>
			<input
				id="{id}-count"
				class="input"
				inputmode="numeric"
				autocomplete="off"
				bind:value={number}
				aria-invalid={count === null}
				aria-describedby={count === null ? `${id}-why` : undefined}
			/>
			{#if count === null}<p id="{id}-why" class="why" role="alert">A whole number from 1 to {MOST}.</p>{/if}
			<label for="{id}-how">Kept</label>
			<select id="{id}-how" class="select" bind:value={how}>
				{#each keptIn as k (k)}<option value={k}>{keptInWords[k]}</option>{/each}
			</select>
			<p class="say">
				Pencil on paper, inside the vial: <b>{label}</b>.
				{#if how === 'ethanol'}Ethanol burns and its vapour makes dizzy: no flame, no closed car. It is made afresh
					after a day, for the animals water it down.{/if}
			</p>
			<p class="acts">
				<button type="button" class="btn preset-outlined-surface-500" onclick={() => (isOpen = false)}>Not now</button>
				<button class="btn preset-filled-primary-500" disabled={code === '' || count === null}>Keep it</button>
			</p>
		</form>
	{:else}
		{#if wanted.length}
			<p class="small">
				No voucher from this stream yet: {listed([
					...wanted.slice(0, MOST_NAMED).map((kind) => `${known.list.nameOf(kind)} ${kind}`),
					...(wanted.length > MOST_NAMED ? [`${counted(wanted.length - MOST_NAMED, 'kind')} more`] : [])
				])}.
			</p>
		{/if}
		<button type="button" class="open btn preset-outlined-primary-500" onclick={() => (isOpen = true)}>Keep one</button>
	{/if}
</section>

<style>
	section {
		margin: 0.75rem 0;
	}
	li {
		display: grid;
		grid-template-columns: auto 1fr auto;
		gap: 0.5rem;
		align-items: center;
		padding: 0.25rem 0;
		border-bottom: 1px solid var(--rule);
	}
	form {
		display: grid;
		gap: 0.25rem;
		margin-top: 0.375rem;
	}
	:is(.select, .input, .open, .acts button, li button) {
		min-height: 3rem;
	}
	.acts {
		display: flex;
		justify-content: flex-end;
		gap: 0.5rem;
	}
	.why {
		color: var(--danger);
		font-weight: 600;
	}
</style>
