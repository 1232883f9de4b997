<script module lang="ts">
	import type { Sheet } from '$lib/core/logbook';
	import type { SectionUnits } from '$lib/core/subjects/gauging/units';
	import type { Writer } from '../../entry/writer';

	export interface Props {
		bottleId: string;
		bottle: NonNullable<Sheet['bottles']>[string] | undefined;
		gaugings: Sheet['gaugings'];
		units: SectionUnits;
		writer: Writer;
	}
	const WIDTHS = 10;
	const CHURN_mL = 8000;
</script>

<script lang="ts">
	import { compositeVolumes, middlesOf } from '$lib/core/discharge';
	import { inPlaceUnit, writeNumber, type AsTyped } from '$lib/core/quantity';
	import MeasureField from '../../entry/MeasureField.svelte';
	import { valueAt } from '../../entry/writer';

	let { bottleId, bottle, gaugings, units, writer }: Props = $props();

	const total_mL = $derived(bottle?.churn_mL || CHURN_mL);
	const parts = $derived(
		Array.from({ length: WIDTHS }, (_, i) => ({
			id: String(i + 1).padStart(2, '0'),
			...bottle?.parts?.[String(i + 1).padStart(2, '0')]
		}))
	);
	const known = $derived(parts.filter((p) => p.depth_m !== undefined && p.velocity_m_s !== undefined));
	/** How much each gives can only be said once all are known. */
	const isWhole = $derived(known.length === WIDTHS);
	const volumes = $derived(
		known.length === 0
			? new Map<string, number>()
			: new Map(
					compositeVolumes({
						// water that turns back gives nothing to a composite
						verticals: known.map((p) => ({
							depth_m: inPlaceUnit(p.depth_m!, 'm'),
							velocity_m_s: Math.max(0, inPlaceUnit(p.velocity_m_s!, 'm_s'))
						})),
						total_mL
					}).map((v, i) => [known[i]!.id, v])
				)
	);
	/** Where the verticals lie, once both edges of the water are known from the gauging. */
	const places = $derived.by(() => {
		const { startDistance_m: start, endDistance_m: end } = gaugings?.['main']?.edges ?? {};
		const metres = (typed: AsTyped<'m' | 'cm' | 'ft' | 'inch'>) => inPlaceUnit(typed, 'm');
		return start === undefined || end === undefined ? null : middlesOf(metres(start), metres(end), WIDTHS);
	});
	const taken = $derived(parts.filter((p) => p.isTaken).length);
	let open = $state<string | null>(null);
	const at = (id: string, field: string) => `bottles/${bottleId}/parts/${id}/${field}`;
	/** Taken, with the volume that was asked for at that moment; a second tap takes it back. */
	async function take(id: string) {
		if (wasTaken(id)) {
			writer.strike(at(id, 'isTaken'), 'taken back');
			if (valueAt(writer, at(id, 'volume_mL')) !== undefined) writer.strike(at(id, 'volume_mL'), 'taken back');
			return;
		}
		const asked_mL = volumes.get(id);
		const volume = isWhole && asked_mL !== undefined ? { [at(id, 'volume_mL')]: Math.round(asked_mL) } : {};
		await writer.setAll({ ...volume, [at(id, 'isTaken')]: true });
	}
	const wasTaken = (id: string) => valueAt<boolean>(writer, at(id, 'isTaken')) === true;
	/** How much of a vertical goes into the churn, as far as that is known. */
	function share(id: string): string {
		const volume = volumes.get(id);
		return volume === undefined ? '' : `: ${Math.round(volume)} mL${isWhole ? '' : ' as far as known'}`;
	}
</script>

<section>
	<h2 class="ruled">Ten verticals into the churn</h2>
	<p class="small">
		Equal widths; each gives water by its depth times its speed: note those of all ten first. {places
			? ''
			: 'Note the edges of the water in the gauging, and their places show here.'}
		{taken} of {WIDTHS} taken.
	</p>
	<MeasureField
		{writer}
		path="bottles/{bottleId}/churn_mL"
		label="Churn holds, mL ({CHURN_mL} where nothing is said)"
		placed={null}
	/>
	<ol>
		{#each parts as part, i (part.id)}
			<li>
				<button
					type="button"
					class="open btn preset-outlined-surface-500"
					aria-expanded={open === part.id}
					onclick={() => (open = open === part.id ? null : part.id)}
				>
					vertical {Number(part.id)}{places
						? `, at ${writeNumber(Number(places[i]!.toFixed(2)))} m`
						: ''}{part.volume_mL === undefined ? share(part.id) : `: ${writeNumber(part.volume_mL)} mL taken`}
				</button>
				<button
					type="button"
					class={['btn', wasTaken(part.id) ? 'preset-filled-primary-500' : 'preset-outlined-primary-500']}
					aria-pressed={wasTaken(part.id)}
					onclick={() => take(part.id)}
					>{wasTaken(part.id) ? 'taken' : 'take'}<span class="visually-hidden">
						vertical {Number(part.id)}</span
					></button
				>
				{#if open === part.id}
					<div class="pair">
						<MeasureField
							{writer}
							path={at(part.id, 'depth_m')}
							label="depth"
							placed="m"
							read={units.tape === 'ft' ? ['ft', 'm'] : ['m', 'ft']}
						/>
						<MeasureField
							{writer}
							path={at(part.id, 'velocity_m_s')}
							label="speed"
							placed="m_s"
							read={units.velocity === 'ft_s' ? ['ft_s', 'm_s'] : ['m_s', 'ft_s']}
						/>
					</div>
				{/if}
			</li>
		{/each}
	</ol>
	<MeasureField
		{writer}
		path="bottles/{bottleId}/splitOrder"
		label="Which bottle out of the churn this is (1, 2, …)"
		placed={null}
	/>
	<p class="small">
		Churn at one pace while the tap runs; bacteria and preserved bottles come first, each with its place in the order.
	</p>
</section>

<style>
	h2 {
		margin-top: 0.875rem;
	}
	li {
		display: flex;
		flex-wrap: wrap;
		justify-content: space-between;
		gap: 0.375rem;
		padding: 0.25rem 0;
		border-bottom: 1px solid var(--rule);
	}
	li .btn {
		min-height: 3rem;
	}
	.open {
		border: 0;
		text-align: left;
		flex: 1;
	}
	.pair {
		display: grid;
		grid-template-columns: 1fr 1fr;
		gap: 0.5rem;
		width: 100%;
	}
</style>
