<script module lang="ts">
	import type { KeptIn } from '$lib/core/subjects/voucher/branch';
	import type { Keeping } from '$lib/core/subjects/voucher/keeping';

	export interface Props {
		vial: {
			id: string;
			visitId: string;
			label: string | null;
			keptIn: KeptIn | null;
			shelf: string | null;
			toppedUpOn: string | null;
			keeping: Keeping;
		};
		mayKeep: boolean;
		/** Why the last deed at it was refused. */
		why: string | null;
	}
</script>

<script lang="ts">
	import { enhance } from '$app/forms';
	import { keptInWords } from '$lib/core/subjects/voucher/words';
	import { counted, sayDay } from '$lib/core/wording';

	let { vial, mayKeep, why }: Props = $props();

	const id = $props.id();
	let isOpen = $state(false);
	const { keeping } = $derived(vial);
	const day = (iso: string) => sayDay(Date.parse(iso), 'UTC', true);
	const stays: Parameters<typeof enhance>[1] =
		() =>
		async ({ update }) =>
			update({ reset: false });
</script>

{#snippet which(deed: string)}
	<input type="hidden" name="visitId" value={vial.visitId} />
	<input type="hidden" name="voucher" value={vial.id} />
	<input type="hidden" name="deed" value={deed} />
{/snippet}

<span>{vial.keptIn ? keptInWords[vial.keptIn] : ''}{vial.shelf ? `, ${vial.shelf}` : ''}</span>
{#if keeping.lent}<b>{keeping.lent.to} has it since {day(keeping.lent.on)}</b>{/if}
{#if keeping.wantsTopUp}<b class="due">Top up: {counted(keeping.months!, 'month')} without a look</b>
{:else if vial.toppedUpOn}<small>topped up on {day(vial.toppedUpOn)}</small>{/if}
{#if mayKeep && vial.keptIn !== 'photo'}
	{#if isOpen}
		<form method="POST" action="?/keep" use:enhance={stays}>
			{@render which('place')}
			<label for="{id}-shelf">Where it stands</label>
			<span class="line">
				<input
					id="{id}-shelf"
					class="input"
					name="shelf"
					maxlength="80"
					required
					value={vial.shelf}
					placeholder="jar 4, upper shelf"
				/>
				<button class="btn preset-outlined-primary-500">Keep</button>
			</span>
		</form>
		{#if vial.keptIn === 'ethanol'}
			<form method="POST" action="?/keep" use:enhance={stays}>
				{@render which('top-up')}
				<button class="btn preset-outlined-primary-500">Topped up today</button>
				<small>Ethanol burns and its vapour makes dizzy: no flame, an open window.</small>
			</form>
		{/if}
		<form method="POST" action="?/keep" use:enhance={stays}>
			{#if keeping.lent}
				{@render which('take-back')}
				<button class="btn preset-outlined-primary-500">It is back</button>
			{:else}
				{@render which('lend')}
				<label for="{id}-to">Lent to</label>
				<span class="line">
					<input id="{id}-to" class="input" name="to" maxlength="80" required />
					<button class="btn preset-outlined-primary-500">Lend</button>
				</span>
			{/if}
		</form>
		{#if why}<p class="why" role="alert">{why}</p>{/if}
	{/if}
	<button
		type="button"
		class="btn preset-outlined-surface-500"
		aria-expanded={isOpen}
		onclick={() => (isOpen = !isOpen)}
		>{isOpen ? 'Close' : 'Shelf'}<span class="visually-hidden">: {vial.label}</span></button
	>
{/if}

<style>
	span:not(.line, .visually-hidden),
	b,
	small {
		display: block;
	}
	.due,
	.why {
		color: var(--danger);
	}
	form {
		margin: 0.375rem 0;
	}
	label {
		display: block;
		font-weight: 600;
	}
	.line {
		display: flex;
		gap: 0.375rem;
	}
	.line .input {
		min-width: 9rem;
	}
</style>
