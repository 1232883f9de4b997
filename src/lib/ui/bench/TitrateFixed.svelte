<!-- Oxygen that was fixed at the stream and is titrated at home, with the counter of the field. -->
<script lang="ts">
	import { untrack } from 'svelte';
	import type { Sheet } from '$lib/core/logbook';
	import type { StepOf } from '$lib/core/subjects/steps';
	import { counted } from '$lib/core/wording';
	import { KeypadDock, setKeypadDock } from '../entry/keypad-dock.svelte';
	import type { Writer } from '../entry/writer';
	import TitrationTool from '../subjects/titration/TitrationTool.svelte';

	interface Props {
		step: StepOf<'titration'>;
		sheet: Pick<Sheet, 'titrations' | 'titrantChecks'>;
		/** How many of its fixed bottles wait. */
		left: number;
		/** Two bottles lie so far apart that a third is asked for. */
		isThirdAsked: boolean;
		/** It begins open: nothing else of this visit waits at the bench. */
		beginsOpen: boolean;
		writer: Writer;
	}
	let { step, sheet, left, isThirdAsked, beginsOpen, writer }: Props = $props();

	/** From here on it is the hand’s: what is titrated must not shut it under a finger. */
	let isOpen = $state(untrack(() => beginsOpen));
	const dock = new KeypadDock();
	setKeypadDock(dock);
</script>

<details bind:open={isOpen}>
	<summary>Titrate oxygen: {counted(left, 'fixed bottle')} left</summary>
	<div class="tool">
		<p class="say ask">
			Alkali, acid and iodine: gloves and glasses, no food near; the waste goes into its own bottle.
		</p>
		<TitrationTool
			{step}
			titrations={sheet.titrations}
			checks={sheet.titrantChecks}
			isOnPaper={false}
			{isThirdAsked}
			{writer}
			onstart={() => undefined}
		/>
		{#if dock.keys}
			<div class="keys">
				<dock.keys.Pad onkey={dock.keys.onkey} signs={dock.keys.signs} hasPoint={dock.keys.hasPoint} />
			</div>
		{/if}
	</div>
</details>

<style>
	.tool {
		display: grid;
		gap: 0.5rem;
	}
	/* a desk has keys of its own */
	@media (min-width: 900px) and (pointer: fine) {
		.keys {
			display: none;
		}
	}
	summary {
		min-height: 3rem;
		padding: 0.75rem 0;
		font-weight: 600;
		cursor: pointer;
	}
</style>
