<script module lang="ts">
	import type { Sheet } from '$lib/core/logbook';
	import type { Props as ReadingProps } from '../reading/ReadingTool.svelte';

	export type Props = Omit<ReadingProps, 'parameter' | 'known' | 'slots' | 'instruments'> & { disc: Sheet['disc'] };
	const slots = [
		{ id: 'down', label: 'going down, gone at', path: 'readings/disc-depth/down' },
		{ id: 'up', label: 'coming up, seen at', path: 'readings/disc-depth/up' }
	];
</script>

<script lang="ts">
	import { parameters } from '$lib/core/quantity';
	import { discSpoilerWords } from '$lib/core/subjects/disc/words';
	import Chips from '../../entry/Chips.svelte';
	import ReadingTool from '../reading/ReadingTool.svelte';
	import { valueAt } from '../../entry/writer';

	let { disc, writer, ...rest }: Props = $props();

	function tap(id: string) {
		const path = `disc/spoilers/${id}`;
		if (valueAt(writer, path) === true) writer.strike(path, 'taken back');
		else void writer.set(path, true);
	}
</script>

<ReadingTool
	{...rest}
	{writer}
	parameter="disc-depth"
	known={parameters['disc-depth']}
	{slots}
	instruments={[]}
	signs={['>', '']}
/>
<div class="spoilers">
	<Chips
		legend="What spoils it (tap what was so)"
		help="Still in sight on the bed: the depth is “over”; put > before it."
		chips={Object.entries(discSpoilerWords).map(([id, word]) => ({
			id,
			word,
			isOn: disc?.spoilers?.[id as keyof typeof discSpoilerWords] === true
		}))}
		ontap={tap}
	/>
</div>

<style>
	.spoilers {
		margin-top: 1rem;
	}
</style>
