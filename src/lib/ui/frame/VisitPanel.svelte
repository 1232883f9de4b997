<script module lang="ts">
	import type { Sheet } from '$lib/core/logbook';
	import type { Satchel } from '$lib/core/satchel';
	import type { Writer } from '../entry/writer';

	export interface Props {
		steps: readonly { id: string; title: string; state: string; progress: string | null }[];
		sheet: Sheet;
		team: Satchel['team'];
		/** Initials of whoever holds this device. */
		me: string;
		writer: Writer;
		newId: () => string;
		hrefOf: (stepId: string) => string;
		onclose: () => void;
	}
	const said: Record<string, string> = {
		done: 'done',
		open: 'to do',
		skipped: 'skipped',
		'not-required': 'not required here'
	};
</script>

<script lang="ts">
	import { Dialog } from '@skeletonlabs/skeleton-svelte';
	import { sayTime } from '$lib/core/wording';
	import { whyRefused } from '$lib/core/logbook';
	import { stamp } from '../entry/writer';
	import ModeChoice from '../kit/ModeChoice.svelte';

	let { steps, sheet, team, me, writer, newId, hrefOf, onclose }: Props = $props();

	let to = $state('');
	let note = $state('');
	let wrong = $state('');
	const takenBy = (id: string) => sheet.steps?.[id]?.takenBy;
	const handovers = $derived(
		Object.entries(sheet.handovers ?? {})
			.filter(([, h]) => h.at !== undefined)
			.sort(([, a], [, b]) => (a.at! < b.at! ? -1 : 1))
	);
	const others = $derived(team.filter((p) => p.initials !== me));

	const take = (id: string) =>
		takenBy(id) === me
			? writer.strike(`steps/${id}/takenBy`, 'given back')
			: void writer.set(`steps/${id}/takenBy`, me);
	async function giveOver() {
		if (to === '') return void (wrong = 'Say to whom.');
		const base = `handovers/${newId()}`;
		const why = whyRefused(`${base}/note`, note.trim());
		wrong = why === null ? '' : `What they should know: ${why}, these are ${note.trim().length}.`;
		if (wrong) return;
		await writer.setAll({
			...(note.trim() ? { [`${base}/note`]: note.trim() } : {}),
			[`${base}/to`]: to,
			[`${base}/at`]: stamp(writer)
		});
		[to, note] = ['', ''];
	}
</script>

<Dialog open onOpenChange={(e) => !e.open && onclose()}>
	<Dialog.Backdrop class="sheet-backdrop" />
	<Dialog.Positioner class="sheet-positioner">
		<Dialog.Content class="sheet-panel">
			<Dialog.Title class="sheet-title">Steps of this visit</Dialog.Title>
			<Dialog.Description
				>Tap one to go there. One person takes the water, one the forms: say which are yours. Each phone goes on alone
				with no network; they show each other’s steps when they meet one.</Dialog.Description
			>
			<ul>
				{#each steps as step (step.id)}
					<li>
						<a href={hrefOf(step.id)} data-sveltekit-replacestate>{step.title}</a>
						<small>{step.progress ?? said[step.state] ?? step.state}</small>
						{#if takenBy(step.id) && takenBy(step.id) !== me}
							<b>{takenBy(step.id)}</b>
						{:else}
							<button
								type="button"
								class={['btn', takenBy(step.id) === me ? 'preset-filled-primary-500' : 'preset-outlined-primary-500']}
								aria-pressed={takenBy(step.id) === me}
								onclick={() => take(step.id)}
								>{takenBy(step.id) === me ? 'mine' : 'I do this'}<span class="visually-hidden">: {step.title}</span
								></button
							>
						{/if}
					</li>
				{/each}
			</ul>
			<h3>Hand the visit over</h3>
			{#each handovers as [id, one] (id)}
				<p class="small">
					To {one.to} at {sayTime(Date.parse(one.at!), writer.timeZone)}{one.note ? `: ${one.note}` : ''}
				</p>
			{/each}
			<label
				>To
				<select class="select" bind:value={to} aria-describedby="over-wrong">
					<option value="">nobody</option>
					{#each others as person (person.id)}<option value={person.name}>{person.name}</option>{/each}
				</select></label
			>
			<label
				>What they should know <textarea class="textarea" rows="2" bind:value={note} aria-describedby="over-wrong"
				></textarea></label
			>
			<p id="over-wrong" class="wrong" role="alert">{wrong}</p>
			<h3>Look of the pages</h3>
			<p class="mode"><ModeChoice /> <span class="small">Sun: dark on white. Dusk: easy on the eye at night.</span></p>
			<p class="buttons">
				<button type="button" class="btn preset-outlined-primary-500" onclick={giveOver}>Hand it over</button>
				<Dialog.CloseTrigger class="btn preset-outlined-surface-500">Close</Dialog.CloseTrigger>
			</p>
		</Dialog.Content>
	</Dialog.Positioner>
</Dialog>

<style>
	li {
		display: grid;
		grid-template-columns: 1fr auto auto;
		gap: 0.625rem;
		align-items: center;
		min-height: 3.25rem;
		border-bottom: 1px solid var(--rule);
	}
	li a {
		min-height: 2.75rem;
		padding-top: 0.6875rem;
	}
	.btn {
		min-height: 2.75rem;
	}
	select,
	textarea {
		min-height: 3rem;
	}
	.mode {
		display: grid;
		grid-template-columns: auto 1fr;
		gap: 0.625rem;
		align-items: center;
		margin-bottom: 0.625rem;
	}
	.mode :global(select) {
		min-height: 3rem;
		font-size: 1rem;
	}
	.buttons {
		display: flex;
		gap: 0.625rem;
	}
	.buttons :global(.btn) {
		min-height: 3rem;
	}
	.wrong {
		color: var(--danger);
		font-weight: 600;
	}
</style>
