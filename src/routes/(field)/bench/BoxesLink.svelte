<!-- The way to the boxes, with what they ask for. -->
<script lang="ts">
	import { isForLab } from '$lib/core/custody';
	import { counted } from '$lib/core/wording';
	import type { BenchShelf } from '$lib/field/bench-shelf.svelte';
	import type { FieldApp } from '$lib/field/field-app.svelte';
	import { FieldBoxes } from '$lib/field/boxes.svelte';

	let { app, memberId, shelf }: { app: FieldApp; memberId: string; shelf: BenchShelf } = $props();

	const boxes = $derived(
		new FieldBoxes(
			memberId,
			() => shelf.visits,
			() => app.sync.nudge()
		)
	);
	$effect(() => boxes.follow());

	const packing = $derived(boxes.boxes.filter((b) => b.handedOver_ms === null).length);
	const waiting = $derived(
		boxes.waiting.filter((b) => boxes.labs.some((lab) => isForLab(b.kind, lab.analyses))).length
	);
	const asks = $derived(
		[
			packing ? `${counted(packing, 'box', 'boxes')} being packed` : '',
			waiting ? `${counted(waiting, 'bottle')} to pack` : ''
		].filter(Boolean)
	);
</script>

<section aria-label="Boxes for labs">
	<h2 class="ruled">Send</h2>
	<p>
		<span>{asks.length ? asks.join(', ') : 'No bottle waits for a box.'}</span>
		<a class="btn preset-outlined-primary-500" href="/bench/boxes">Boxes for labs</a>
	</p>
	{#each boxes.refusals as why (why)}<p class="say ask" role="alert">{why}</p>{/each}
</section>

<style>
	p {
		display: flex;
		justify-content: space-between;
		align-items: center;
		gap: 0.75rem;
		padding: 0.375rem 0;
	}
	.btn {
		min-height: 3rem;
	}
</style>
