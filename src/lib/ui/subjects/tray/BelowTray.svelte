<!--
	What stands below the compartments and no thumb waits for: a lump typed as a number, photos, names that are still
	missing, what is left to do once all is sorted, what to keep, and what the animals say.
-->
<script module lang="ts">
	import type { Kind } from '$lib/core/macroinvertebrates';
	import type { StepOf } from '$lib/core/subjects/steps';
	import type { StepScreen } from '../step-screen';

	export interface Props {
		step: StepOf<'tray'>;
		screen: StepScreen;
		kinds: readonly Kind[];
		/** The compartment that was tapped last. */
		last: string | null;
		/** Adds so many to it; null where animals are not counted one by one. */
		onadd: ((count: number) => void) | null;
	}
</script>

<script lang="ts">
	import { isUnnamed } from '$lib/core/subjects/tray/compartments';
	import { AfterPaint } from '../../after-paint.svelte';
	import AddSeveral from './AddSeveral.svelte';
	import CompartmentPhotos from './CompartmentPhotos.svelte';
	import NameUnknown from './NameUnknown.svelte';
	import Vouchers from './Vouchers.svelte';

	let { step, screen, kinds, last, onadd }: Props = $props();

	const { writer } = $derived(screen);
	const at = (place: string) => `trays/${step.id}/${place}`;
	const tray = $derived(screen.sheet.trays?.[step.id]);
	/** For what is said of them: the number under the thumb comes first. */
	const painted = new AfterPaint(() => kinds);
	/** What follows from the numbers comes after them. */
	const isWorkedOut = $derived(screen.outcome.steps.length > 0);
	const unnamed = $derived(kinds.filter((k) => isUnnamed(k.code)));
</script>

{#if onadd && kinds.length && last}<AddSeveral code={last} {onadd} />{/if}
{#if last && !isUnnamed(last)}<CompartmentPhotos {step} code={last} {screen} />{/if}
{#each unnamed as { code } (code)}
	<NameUnknown stepId={step.id} {code} {screen} />
	<CompartmentPhotos {step} {code} {screen} />
{/each}
{#if tray?.endedAt !== undefined && tray.countedElsewhere === undefined}
	<p class="say ask">
		Look at what still clings to the tray, and for a stick that walks. Everything goes back alive to where it came from,
		but what you keep as a voucher.
		<button
			type="button"
			class="btn preset-outlined-primary-500"
			aria-pressed={tray.returned === true}
			onclick={() =>
				tray?.returned ? writer.strike(at('returned'), 'taken back') : void writer.set(at('returned'), true)}
			>{tray.returned ? 'They are back in the stream' : 'Put back in the stream'}</button
		>
	</p>
{/if}
{#if painted.current.length}<Vouchers stepId={step.id} {screen} kinds={painted.current} />{/if}
{#if painted.current.length && isWorkedOut}
	{#await import('./TraySays.svelte') then { default: TraySays }}
		<TraySays {step} {screen} kinds={painted.current} />
	{/await}
{/if}
{#if screen.flags.length}
	{#await import('../../frame/StepDoubts.svelte') then { default: StepDoubts }}<StepDoubts {screen} />{/await}
{/if}

<style>
	.say {
		margin: 0.5rem 0;
	}
	.say button {
		min-height: 3rem;
	}
</style>
