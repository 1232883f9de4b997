<script lang="ts">
	import { counted, sayDay, sayTime } from '$lib/core/wording';
	import ChooseFrom from '$lib/ui/kit/ChooseFrom.svelte';
	import DayField from '$lib/ui/kit/DayField.svelte';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();

	const { asked, inAll, pages } = $derived(data);
	const { timeZone } = $derived(data.program);
	let site = $derived(asked.site === '' ? [] : [asked.site]);
	let crew = $derived(asked.crew === '' ? [] : [asked.crew]);
	const stateWords = {
		all: 'any',
		open: 'still open',
		waiting: 'awaits review',
		judged: 'judged',
		flagged: 'with flags'
	};
	const pageAt = (page: number) => {
		const query = new URLSearchParams(
			Object.entries({ ...asked, page }).flatMap(([name, value]) =>
				value === null || value === '' || value === 'all' ? [] : [[name, String(value)]]
			)
		);
		return `/visits?${query}`;
	};
	const standing = ({ isFinished, awaitsReview }: (typeof data.visits)[number]) => {
		if (!isFinished) return 'still open';
		return awaitsReview ? `${counted(awaitsReview, 'result')} to be reviewed` : 'judged';
	};
</script>

<svelte:head><title>Visits · Keen Riffle</title></svelte:head>

<main class="page">
	<h1 class="ruled">Visits</h1>
	<form method="get">
		<div>
			<label for="visits-site">Site</label>
			<ChooseFrom
				id="visits-site"
				name="site"
				choices={data.sites.map(({ code, name }) => ({ value: code, text: name }))}
				value={site}
				placeholder="all"
				onchoose={(value) => (site = value)}
			/>
		</div>
		<DayField label="From" name="from" value={asked.from ?? ''} />
		<DayField label="To" name="to" value={asked.to ?? ''} />
		<div>
			<label for="visits-crew">Crew</label>
			<ChooseFrom
				id="visits-crew"
				name="crew"
				choices={data.people.map(({ initials, name }) => ({ value: initials, text: name }))}
				value={crew}
				placeholder="all"
				onchoose={(value) => (crew = value)}
			/>
		</div>
		<label
			>Standing <select name="state" class="select" value={asked.state}
				>{#each Object.entries(stateWords) as [state, word] (state)}<option value={state}>{word}</option>{/each}</select
			></label
		>
		<button class="btn preset-filled-primary-500">Show</button>
		{#if pageAt(1) !== '/visits?page=1'}<a class="btn preset-outlined-surface-500" href="/visits">All visits</a>{/if}
		<a class="btn preset-outlined-surface-500" href="/vouchers">Vouchers</a>
		{#if data.mayTakeReports}<a class="btn preset-outlined-surface-500" href="/lab-reports">Lab reports</a>{/if}
		{#if data.mayShip}<a class="btn preset-outlined-surface-500" href="/shipments">Shipments</a>{/if}
		{#if data.maySeePairs}<a class="btn preset-outlined-surface-500" href="/apart">How far apart</a>{/if}
	</form>
	<p role="status" class="small">
		{counted(inAll, 'visit')}{pages > 1 ? `, page ${asked.page} of ${pages}` : ''}.
	</p>
	{#if data.visits.length}
		<div class="scroll">
			<table class="table">
				<thead
					><tr><th>Visit</th><th>Site</th><th>Crew</th><th>Card</th><th>Standing</th><th class="number">flags</th></tr
					></thead
				>
				<tbody>
					{#each data.visits as visit (visit.id)}
						<tr>
							<td
								><a href="/visits/{visit.id}"
									>{sayDay(visit.started_ms, timeZone, true)}, {sayTime(visit.started_ms, timeZone)}</a
								></td
							>
							<td><b>{visit.site.name}</b>, {visit.site.about}</td>
							<td>{visit.crew.join(', ')}</td>
							<td>{visit.cardTitle}</td>
							<td>{standing(visit)}</td>
							<td class="number">{visit.flags || ''}</td>
						</tr>
					{/each}
				</tbody>
			</table>
		</div>
		{#if pages > 1}
			<nav class="pages" aria-label="Pages">
				{#if asked.page > 1}<a class="btn preset-outlined-primary-500" href={pageAt(asked.page - 1)}>Newer</a>{/if}
				{#if asked.page < pages}<a class="btn preset-outlined-primary-500" href={pageAt(asked.page + 1)}>Older</a>{/if}
			</nav>
		{/if}
	{:else}
		<p>
			No visit is like that. {inAll === 0 && pageAt(1) === '/visits?page=1'
				? 'Visits come in from the phones as soon as somebody has been at a stream.'
				: 'Ask for less, or for another time.'}
		</p>
	{/if}
</main>

<style>
	.page {
		max-width: 67.5rem;
	}
	form {
		display: flex;
		flex-wrap: wrap;
		gap: 0.5rem 0.875rem;
		align-items: end;
		margin: 0.625rem 0;
	}
	label {
		display: grid;
		gap: 2px;
	}
	.scroll {
		overflow-x: auto;
	}
	td:first-child {
		white-space: nowrap;
	}
	.pages {
		display: flex;
		gap: 0.625rem;
		margin-top: 0.75rem;
	}
</style>
