<script module lang="ts">
	import type { Flag } from '$lib/core/subjects/flags';
	import type { Unit } from '$lib/core/quantity';

	export interface Props {
		flags: readonly Flag[];
		/** A slip was recognised and the person agrees: strike what stands there and keep this. */
		onretype: (flag: Flag, meant: { value: number; unit: Unit }) => void;
	}
</script>

<script lang="ts">
	import { flagSentence } from '$lib/core/subjects/flags';
	import { weightOf } from '$lib/core/subjects/flags';
	import { units, writeNumber } from '$lib/core/quantity';

	let { flags, onretype }: Props = $props();
</script>

{#each flags as flag, i (i)}
	{@const meant = flag.code === 'unit-slip' ? flag.evidence.retype : undefined}
	<p class="say {weightOf(flag)}">
		{flagSentence(flag)}
		{#if meant}
			<button type="button" class="act plain" onclick={() => onretype(flag, meant)}
				>Strike it and keep {writeNumber(meant.value)} {units[meant.unit].symbol}</button
			>
		{/if}
	</p>
{/each}

<style>
	.say {
		margin-top: 10px;
	}
	.act {
		display: block;
		min-height: 48px;
		margin-top: 6px;
	}
</style>
