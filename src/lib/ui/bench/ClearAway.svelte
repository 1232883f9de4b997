<!-- What becomes of plates and tubes that were read: bleach, bin, wash, ticked one after the other. -->
<script lang="ts">
	import { cautionFor } from '$lib/core/safety';
	import type { Sheet } from '$lib/core/logbook';
	import { clearingSteps } from '$lib/core/subjects/plates/branch';
	import { sayTime } from '$lib/core/wording';
	import { stamp, type Writer } from '../entry/writer';

	interface Props {
		cleared: Sheet['plateClearing'];
		/** How long bleach stands, by the card. */
		bleach_min: number;
		writer: Writer;
	}
	let { cleared, bleach_min, writer }: Props = $props();

	const MINUTE_ms = 60_000;
	const words: Record<(typeof clearingSteps)[number], string> = $derived({
		bleached: `Bleach over all of every plate and into every tube; it stands ${bleach_min} min`,
		binned: 'Poured off, bagged twice, taped, in the bin that your local rules name',
		washed: 'Table wiped with bleach, hands washed with soap; then food may come back to this table'
	});
	const bleached_ms = $derived(cleared?.bleached === undefined ? null : Date.parse(cleared.bleached));
	const stands_ms = $derived(bleached_ms === null ? null : bleached_ms + bleach_min * MINUTE_ms);
	const isSoaking = $derived(stands_ms !== null && writer.now_ms < stands_ms);

	function tick(step: (typeof clearingSteps)[number], isDone: boolean) {
		const path = `plateClearing/${step}`;
		if (isDone) void writer.set(path, stamp(writer));
		else writer.strike(path, 'not done yet');
	}
</script>

<fieldset>
	<legend>All are read: clear away</legend>
	<p class="small">{cautionFor('bleach')?.join(' ')}</p>
	{#each clearingSteps as step (step)}
		<label>
			<input
				class="checkbox"
				type="checkbox"
				checked={cleared?.[step] !== undefined}
				disabled={step === 'binned' && isSoaking && cleared?.binned === undefined}
				onchange={(e) => tick(step, e.currentTarget.checked)}
			/>
			{words[step]}{step === 'bleached' && stands_ms !== null && isSoaking
				? `: until ${sayTime(stands_ms, writer.timeZone)}`
				: ''}
		</label>
	{/each}
	<p role="status">
		{clearingSteps.every((step) => cleared?.[step] !== undefined) ? 'Cleared away. Nothing grows on.' : ''}
	</p>
</fieldset>

<style>
	fieldset {
		display: grid;
		gap: 0.375rem;
		padding: 0.625rem 0.75rem;
		border: 1.5px solid var(--ink-3);
		background: var(--page);
	}
	legend {
		font-weight: 600;
	}
	label {
		display: flex;
		align-items: center;
		gap: 0.75rem;
		min-height: 3rem;
	}
	input {
		flex: none;
		width: 1.5rem;
		height: 1.5rem;
	}
</style>
