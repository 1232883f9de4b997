<script lang="ts">
	import { soaked_days } from '$lib/core/subjects/sampler/step';
	import { samplerStateWords } from '$lib/core/subjects/sampler/words';
	import type { StepOf } from '$lib/core/subjects/steps';
	import { counted, sayDay } from '$lib/core/wording';
	import { keypadDock } from '../../entry/keypad-dock.svelte';
	import { stamp } from '../../entry/writer';
	import OneOf from '../../kit/OneOf.svelte';
	import StepDoubts from '../../frame/StepDoubts.svelte';
	import type { StepScreen } from '../step-screen';

	let { step, screen }: { step: StepOf<'sampler'>; screen: StepScreen } = $props();

	const id = $props.id();
	const { writer } = $derived(screen);
	const at = (place: string) => `samplers/${step.id}/${place}`;
	const sampler = $derived(screen.sheet.samplers?.[step.id]);
	const days = $derived(sampler ? soaked_days(sampler, screen.now_ms) : null);
	/** Those of its kind that the library says stand here. */
	const standing = $derived((screen.site?.samplers ?? []).filter((s) => s.kind === step.kind));
	const standingWords = $derived(
		Object.fromEntries(
			standing.map(({ code, outOn }) => [code, `${code}, set ${sayDay(Date.parse(`${outOn}T12:00Z`), 'UTC')}`])
		)
	);
	function choose(code: string) {
		const { outOn } = standing.find((s) => s.code === code)!;
		void writer.setAll({ [at('code')]: code, [at('setOn')]: outOn });
	}
	function isSet(day: string) {
		if (day !== '') void writer.set(at('setOn'), day);
	}

	const dock = keypadDock();
	$effect(() => {
		dock.act =
			sampler?.state === 'found' && sampler.liftedAt === undefined
				? { word: 'It is in the tub', onact: () => void writer.set(at('liftedAt'), stamp(writer)), isMain: true }
				: null;
		return () => (dock.act = null);
	});
</script>

{#if standing.length}
	<p class="which">Which {step.kind} is it? <small>Those that stand here by the library.</small></p>
	<OneOf label="Which {step.kind}" words={standingWords} chosen={sampler?.code} onchoose={choose} />
	<p class="which">How was it found?</p>
{/if}
<OneOf
	label="How the {step.kind} was found"
	words={samplerStateWords}
	chosen={sampler?.state}
	onchoose={(state) => void writer.set(at('state'), state)}
/>
{#if sampler?.state === 'found'}
	<label for={id}>Set on <small>it stands on its tag</small></label>
	<input {id} class="input" type="date" value={sampler.setOn ?? ''} onchange={(e) => isSet(e.currentTarget.value)} />
	{#if days !== null && days >= 0}<p role="status"><b>{counted(days, 'day')}</b> in the water.</p>{/if}
{/if}
<StepDoubts {screen} />

<style>
	.input {
		min-height: 3.25rem;
	}
	.which {
		margin: 0.625rem 0 0.25rem;
		font-weight: 600;
	}
	.which small {
		font-weight: 400;
	}
	label {
		display: block;
		margin-top: 0.5rem;
	}
</style>
