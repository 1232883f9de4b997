<script lang="ts">
	import { enhance } from '$app/forms';
	import { knownAnimals } from '$lib/ui/animals/known-animals';
	import { voucherStandings } from '$lib/core/subjects/voucher/agreed-name';
	import { needsVialLabel } from '$lib/core/subjects/voucher/branch';
	import { counted, sayDay } from '$lib/core/wording';
	import ChooseFrom from '$lib/ui/kit/ChooseFrom.svelte';
	import OneOf from '$lib/ui/kit/OneOf.svelte';
	import VialOnShelf from '$lib/ui/vouchers/VialOnShelf.svelte';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();
	const known = knownAnimals();

	const choices = known.list.taxa.map((t) => ({ value: t.code, text: `${t.name}, ${t.code}` }));
	const stateWords = {
		all: 'all',
		disputed: 'names differ',
		new: 'nobody looked yet',
		renamed: 'another name',
		agreed: 'the same name',
		'top-up': 'to be topped up',
		lent: 'lent'
	};
	type State = keyof typeof stateWords;
	const isLike = (v: (typeof data.vouchers)[number], state: State) => {
		if (state === 'all') return true;
		if (state === 'top-up') return v.keeping.wantsTopUp;
		return state === 'lent' ? v.keeping.lent !== null : v.standing === state;
	};
	let shown = $state<State>('all');
	const rank = { disputed: 0, new: 1, renamed: 2, agreed: 3 };
	const rows = $derived(
		data.vouchers.filter((v) => isLike(v, shown)).toSorted((a, b) => rank[a.standing] - rank[b.standing])
	);
	const howMany = (state: State) => data.vouchers.filter((v) => isLike(v, state)).length;
	/** Labels are printed for all, or by how their names stand. */
	const labelsAsked = $derived.by(() => {
		if (shown === 'all') return '';
		return voucherStandings.some((s) => s === shown) ? `?shown=${shown}` : null;
	});
	let chosen = $state<Record<string, string[]>>({});
	/** The voucher that is being named. */
	let open = $state<string | null>(null);
</script>

<svelte:head><title>Vouchers · Keen Riffle</title></svelte:head>

<main class="page">
	<h1 class="ruled">Vouchers</h1>
	{#if data.vouchers.length}
		<p class="lead">
			{counted(data.vouchers.length, 'lot')} of animals kept; {howMany('disputed')} with names that differ, {howMany(
				'new'
			)} that nobody looked at again{howMany('top-up') ? `, ${howMany('top-up')} to be topped up` : ''}. Where all who
			looked agree, the visit counts under their name.
		</p>
		{#if data.mayName}<p class="small"><a href="/vouchers/names">How often names are right</a></p>{/if}
		<OneOf label="Which are shown" words={stateWords} chosen={shown} onchoose={(state) => (shown = state)} />
		{#if labelsAsked !== null && rows.some(needsVialLabel)}
			<p class="small">
				<a href="/vouchers/labels.pdf{labelsAsked}">Labels for their vials (PDF)</a>, to be cut apart and laid inside;
				print by a laser on paper that ethanol leaves whole.
			</p>
		{/if}
		<div class="scroll">
			<!-- who stands at the shelf has a phone -->
			<table class="table table-stacks">
				<thead
					><tr
						><th>Label</th><th>Visit</th><th>Counted as</th><th class="number">animals</th><th>Kept</th><th
							>Looked at again</th
						>{#if data.mayName}<th>Your name for it</th>{/if}</tr
					></thead
				>
				<tbody>
					{#each rows as v (v.id)}
						<tr id="voucher-{v.id}">
							<td class="code"><b>{v.label ?? '?'}</b></td>
							<td><a href="/visits/{v.visitId}">{v.site}, {sayDay(v.started_ms, data.program.timeZone, true)}</a></td>
							<td>{known.list.nameOf(v.taxon)} <small>{v.taxon}</small></td>
							<td class="number" data-label="animals">{v.count ?? ''}</td>
							<td
								><VialOnShelf
									vial={v}
									mayKeep={data.mayKeep}
									why={form && 'kept' in form && form.kept === v.id ? form.why : null}
								/></td
							>
							<td class={v.standing}>
								{#each v.said as one (one.by)}<span
										>{one.by}: {known.list.nameOf(one.taxon)} <small>{one.taxon}</small></span
									>{:else}
									<span class="nobody">nobody yet</span>{/each}
								{#if v.standing === 'disputed'}<b>names differ</b>{/if}
							</td>
							{#if data.mayName}
								<td>
									{#if open === v.id}
										<form
											method="POST"
											action="?/name"
											use:enhance={() =>
												async ({ result, update }) => {
													await update({ reset: false });
													if (result.type === 'success') open = null;
												}}
										>
											<input type="hidden" name="visit" value={v.visitId} />
											<input type="hidden" name="voucher" value={v.id} />
											<label class="visually-hidden" for="name-{v.id}">Your name for {v.label}</label>
											<ChooseFrom
												id="name-{v.id}"
												name="taxon"
												{choices}
												value={chosen[v.id] ?? (v.own ? [v.own] : [])}
												onchoose={(value) => (chosen[v.id] = value)}
												isInvalid={form?.at === v.id}
												describedby={form?.at === v.id ? `why-${v.id}` : undefined}
												placeholder="mayfly, Baetidae"
											/>
											<button class="btn preset-filled-primary-500">Keep</button>
											<button type="button" class="btn preset-outlined-surface-500" onclick={() => (open = null)}
												>Not now</button
											>
											{#if form?.at === v.id && form.why}<p id="why-{v.id}" class="why" role="alert">{form.why}</p>{/if}
										</form>
									{:else}
										<button type="button" class="btn preset-outlined-primary-500" onclick={() => (open = v.id)}
											>{v.own ? 'Change' : 'Name it'}<span class="visually-hidden">: {v.label}</span></button
										>
									{/if}
								</td>
							{/if}
						</tr>
					{:else}<tr><td colspan="7">None is like that.</td></tr>{/each}
				</tbody>
			</table>
		</div>
	{:else}
		<p class="lead">
			No animals are kept yet. At the tray of a visit, “Keep one” gives a vial its label; it comes here, and somebody
			who knows the animals looks at it again.
		</p>
	{/if}
</main>

<style>
	.lead {
		max-width: 70ch;
		margin: 0.5rem 0;
	}
	.scroll {
		overflow-x: auto;
	}
	td a {
		white-space: nowrap;
	}
	td span {
		display: block;
	}
	.disputed b {
		color: var(--danger);
	}
	.code {
		white-space: nowrap;
	}
	.nobody {
		color: var(--ink-2);
	}
	form {
		display: flex;
		flex-wrap: wrap;
		gap: 0.375rem;
		align-items: start;
	}
	.why {
		color: var(--danger);
		font-weight: 600;
	}
</style>
