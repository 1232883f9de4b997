<script module lang="ts">
	type Quality = { siteId: string; kind: 'duplicate' | 'blank' }[];

	export interface Props {
		people: { id: string; name: string; isTeam: boolean; why: string }[];
		crew: readonly string[];
		labs: { id: string; name: string }[];
		/** The lab chosen instead of the circuit's; null where it is the circuit's. */
		labId: string | null;
		sites: { id: string; name: string }[];
		quality: Quality;
		onchange: (
			change:
				| { change: 'crew'; crew: string[] }
				| { change: 'lab'; labId: string | null }
				| { change: 'quality'; quality: Quality }
		) => void;
	}
</script>

<script lang="ts">
	import Fold from '../kit/Fold.svelte';

	let { people, crew, labs, labId, sites, quality, onchange }: Props = $props();

	const kinds = ['duplicate', 'blank'] as const;
	const takes = (siteId: string, kind: Quality[number]['kind']) =>
		quality.some((q) => q.siteId === siteId && q.kind === kind);
	const toggled = (siteId: string, kind: Quality[number]['kind']) =>
		takes(siteId, kind)
			? quality.filter((q) => q.siteId !== siteId || q.kind !== kind)
			: [...quality, { siteId, kind }];
	const going = $derived(people.filter((p) => crew.includes(p.id)).map((p) => p.name));
</script>

<Fold title="Who goes: {going.join(' and ') || 'nobody yet'}">
	<div class="choices">
		{#each people as person (person.id)}
			<label class:other={!person.isTeam}
				><input
					type="checkbox"
					checked={crew.includes(person.id)}
					onchange={() =>
						onchange({
							change: 'crew',
							crew: crew.includes(person.id) ? crew.filter((id) => id !== person.id) : [...crew, person.id]
						})}
				/>{person.name}{#if person.why}<small>{person.why}</small>{/if}</label
			>
		{/each}
	</div>
</Fold>
{#if labs.length > 1}
	<label class="lab"
		>Hands in at <select
			class="select"
			value={labId ?? ''}
			onchange={(e) => onchange({ change: 'lab', labId: e.currentTarget.value || null })}
			><option value="">where its circuit does</option>{#each labs as lab (lab.id)}<option value={lab.id}
					>{lab.name}</option
				>{/each}</select
		></label
	>
{/if}
<Fold title="Duplicates and blanks: {quality.length}">
	<table class="table">
		<thead
			><tr
				><th>Site</th>{#each kinds as kind (kind)}<th>{kind}</th>{/each}</tr
			></thead
		>
		<tbody>
			{#each sites as site (site.id)}
				<tr>
					<td>{site.name}</td>
					{#each kinds as kind (kind)}
						<td
							><input
								type="checkbox"
								aria-label="{kind} at {site.name}"
								checked={takes(site.id, kind)}
								onchange={() => onchange({ change: 'quality', quality: toggled(site.id, kind) })}
							/></td
						>
					{/each}
				</tr>
			{/each}
		</tbody>
	</table>
</Fold>

<style>
	.choices {
		display: flex;
		flex-wrap: wrap;
		gap: 2px 1.125rem;
		margin: 0.25rem 0 0.5rem;
	}
	label {
		display: flex;
		gap: 0.375rem;
		align-items: center;
		min-height: 2rem;
	}
	.lab {
		margin: 0.25rem 0;
	}
	.lab select {
		width: auto;
	}
	.other {
		color: var(--ink-2);
	}
	table {
		width: auto;
	}
</style>
