<script module lang="ts">
	import type { MethodCard } from '$lib/core/method';
	import type { Flag } from '$lib/core/subjects/flags';
	import type { Unit } from '$lib/core/quantity';

	export interface Props {
		flags: readonly Flag[];
		/** In whose units they are said. */
		card: Pick<MethodCard, 'steps' | 'shown'>;
		/** A slip was recognised and the person agrees: strike what stands there and keep this. */
		onretype: (flag: Flag, meant: { value: number; unit: Unit }) => void;
	}
</script>

<script lang="ts">
	import { flagSentence, weightOf } from '$lib/core/subjects/flags';
	import { saidIn } from '$lib/core/subjects/gauging/units';
	import { units, writeNumber } from '$lib/core/quantity';

	let { flags, card, onretype }: Props = $props();
</script>

{#each flags as flag, i (i)}
	{@const meant = flag.code === 'unit-slip' ? flag.evidence.retype : undefined}
	<p class="say {weightOf(flag)}">
		{flagSentence(flag, saidIn(card))}
		{#if meant}
			<button type="button" class="btn preset-outlined-surface-500" onclick={() => onretype(flag, meant)}
				>Strike it and keep {writeNumber(meant.value)} {units[meant.unit].symbol}</button
			>
		{/if}
	</p>
{/each}

<style>
	.say {
		margin-top: 0.625rem;
	}
	.btn {
		display: block;
		min-height: 3rem;
		margin-top: 0.375rem;
	}
</style>
