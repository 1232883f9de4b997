<script module lang="ts">
	import type { Limits } from '$lib/core/method';
	import type { OnShelf } from '$lib/core/subjects/plates/shelf';

	export interface Props {
		plates: readonly { id: string; label: string; stands: OnShelf }[];
		limits: Pick<Limits, 'plateReadable_h' | 'plateTooOld_h'>;
	}
</script>

<script lang="ts">
	import { stages, stagesFrom_h } from '$lib/core/subjects/plates/shelf';
	import { stageWords } from '$lib/core/subjects/plates/words';

	let { plates, limits }: Props = $props();

	const from_h = $derived(stagesFrom_h(limits));
	/** What lies beyond the last limit stands at the end of the line. */
	const end_h = $derived(limits.plateTooOld_h * 1.15);
	/** Each stage is given the same room, however long it lasts: the short ones matter most. */
	const room = 100 / stages.length;
	function left({ stage, age_h }: OnShelf): number {
		const nth = stages.indexOf(stage);
		const next = stages[nth + 1];
		const ends_h = next === undefined ? end_h : from_h[next];
		return room * (nth + Math.min(1, (age_h - from_h[stage]) / (ends_h - from_h[stage])));
	}
</script>

<div
	class="shelf"
	role="img"
	aria-label="Plates by age: {plates.map((p) => `${p.label} ${stageWords[p.stands.stage].name}`).join(', ')}"
>
	{#each stages as stage, nth (stage)}
		<div class={['zone', stage]} style:left="{room * nth}%" style:width="{room}%">
			<span>{stageWords[stage].name}</span><small>from {Math.round(from_h[stage])} h</small>
		</div>
	{/each}
	{#each plates as p (p.id)}<i class={p.stands.stage} style:left="{left(p.stands)}%" title={p.label}></i>{/each}
</div>

<style>
	.shelf {
		position: relative;
		height: 5.25rem;
		border-bottom: 3px solid var(--ink);
		overflow: hidden;
	}
	.zone {
		position: absolute;
		inset-block: 0;
		padding: 0.25rem 0 0 0.25rem;
		border-left: 1px solid var(--rule);
		font-size: 0.8125rem;
		line-height: 1.15;
		overflow: hidden;
	}
	.zone small {
		display: block;
	}
	.zone.readable {
		background: var(--water-4);
	}
	.zone.last-chance {
		background: var(--ochre-4, var(--paper-3));
		font-weight: 600;
	}
	.zone.too-old {
		background: repeating-linear-gradient(135deg, transparent 0 5px, var(--rule) 5px 6px);
	}
	/* a plate from the side: a flat dish that stands on the shelf */
	i {
		position: absolute;
		bottom: 0;
		width: 1.125rem;
		height: 0.625rem;
		margin-left: -0.5625rem;
		border: 1.5px solid var(--ink);
		border-bottom-width: 3px;
		background: var(--page);
	}
	i.readable,
	i.last-chance {
		background: var(--water);
		height: 1rem;
	}
</style>
