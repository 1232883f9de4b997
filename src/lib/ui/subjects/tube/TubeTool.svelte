<script module lang="ts">
	import type { Props as ReadingProps } from '../reading/ReadingTool.svelte';

	export type Props = Omit<ReadingProps, 'parameter' | 'known' | 'unit' | 'slots' | 'instruments'> & {
		tubeLength_cm: number;
	};
</script>

<script lang="ts">
	import { parameters, writeNumber } from '$lib/core/quantity';
	import ReadingTool from '../reading/ReadingTool.svelte';

	let { tubeLength_cm, ...rest }: Props = $props();

	const path = 'readings/tube-depth/tube';
	const live = $derived(rest.writer.lines.get(path)?.live ?? null);
	const isFull = $derived(
		JSON.stringify(rest.writer.lines.get(path)?.value) === JSON.stringify({ above: tubeLength_cm, unit: 'cm' })
	);
</script>

<button
	type="button"
	class={['full btn', isFull ? 'preset-filled-primary-500' : 'preset-outlined-primary-500']}
	aria-pressed={isFull}
	onclick={() => !isFull && rest.writer.set(path, { above: tubeLength_cm, unit: 'cm' })}
>
	Still visible when full
	<small>kept as over {writeNumber(tubeLength_cm)} cm</small>
</button>
<p class="small or">or the depth at which it just shows</p>
{#key live?.id}
	<ReadingTool
		{...rest}
		parameter="tube-depth"
		known={parameters['tube-depth']}
		unit="cm"
		slots={[{ id: 'tube', label: 'disc just shows at', path }]}
		instruments={[]}
	/>
{/key}

<style>
	.full {
		width: 100%;
		min-height: 3.75rem;
		font-size: 1.125rem;
	}
	.full small {
		display: block;
		color: inherit;
		font-weight: 400;
	}
	.or {
		margin: 0.5rem 0 0.25rem;
	}
</style>
