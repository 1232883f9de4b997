<script module lang="ts">
	import type { Kind } from '$lib/core/library';
	import type { ShelfRow } from './shelf-order';

	export interface Props {
		kind: Kind;
		rows: ShelfRow[];
		mayKeep: boolean;
		/** Words that may stand in a field, where only some may. */
		choices: Record<string, string[]>;
	}
</script>

<script lang="ts">
	import Toggle from '../kit/Toggle.svelte';
	import { untrack } from 'svelte';
	import { goto } from '$app/navigation';
	import BulkEdit from './BulkEdit.svelte';
	import { asRead } from '$lib/core/library';
	import { sayDay } from '$lib/core/wording';
	import { shelfOrder, textsOf } from './shelf-order';

	let { kind, rows, mayKeep, choices: wordsOf }: Props = $props();

	let search = $state('');
	let filterText = $state('');
	let sort = $state(untrack(() => ({ field: kind.columns[0]!, descending: false })));
	const direction = $derived(sort.descending ? 'descending' : 'ascending');
	const arrows = { ascending: ' ↑', descending: ' ↓' };
	let withEnded = $state(false);
	let searchBox = $state<HTMLInputElement>();
	let table = $state<HTMLTableElement>();

	const isNumber = (field: string) => kind.fields[field]?.isNumber === true;
	const shown = $derived(
		shelfOrder(rows, {
			search,
			filter: kind.filter ? { field: kind.filter, text: filterText } : null,
			sort: { ...sort, isNumber: isNumber(sort.field) },
			withEnded
		})
	);
	/** Rows that are changed together. */
	let chosen = $state<string[]>([]);
	const chosenShown = $derived(shown.map((r) => r.id).filter((id) => chosen.includes(id)));
	const choose = (id: string, isOn: boolean) => (chosen = isOn ? [...chosen, id] : chosen.filter((c) => c !== id));
	const choices = $derived(kind.filter ? textsOf(rows, kind.filter) : []);
	const hasEnded = $derived(rows.some((r) => r.endedOn !== null));
	const hasDoubts = $derived(shown.some((r) => r.doubts.length));

	const unitOf = ({ texts, unit }: ShelfRow, field: string) =>
		kind.fields[field]?.isInRowUnit && texts[field] ? `\u00a0${unit}` : ''; // a number and its unit stay on one line

	function sortBy(field: string) {
		sort = { field, descending: sort.field === field && !sort.descending };
	}

	function onkeydown(event: KeyboardEvent) {
		if (event.ctrlKey || event.metaKey || event.altKey) return;
		const inBox = (event.target as HTMLElement).closest('input, textarea, select');
		if (event.key === '/' && !inBox) {
			event.preventDefault();
			searchBox?.focus();
		} else if (event.key === 'n' && !inBox && mayKeep) void goto(`/library/${kind.name}/new`);
		else if (event.key === 'ArrowDown' || event.key === 'ArrowUp') step(event, event.key === 'ArrowDown' ? 1 : -1);
	}

	/** From the search to the first row, from row to row, and back. */
	function step(event: KeyboardEvent, by: 1 | -1) {
		const links = [...(table?.querySelectorAll<HTMLAnchorElement>('tbody a') ?? [])];
		const at = links.indexOf(document.activeElement as HTMLAnchorElement);
		if (at === -1 && document.activeElement !== searchBox) return;
		event.preventDefault();
		if (at + by < 0) searchBox?.focus();
		else links[Math.min(at + by, links.length - 1)]?.focus();
	}
</script>

<svelte:window {onkeydown} />

{#if rows.length}
	<div class="search">
		<label class="words">
			<span class="small">Search <kbd aria-hidden="true">/</kbd></span>
			<input class="input" type="search" bind:value={search} bind:this={searchBox} aria-keyshortcuts="/" />
		</label>
		{#if kind.filter && choices.length > 1}
			<label>
				<span class="small">{kind.fields[kind.filter]?.label}</span>
				<select class="select" bind:value={filterText}>
					<option value="">all</option>
					{#each choices as choice (choice)}<option>{choice}</option>{/each}
				</select>
			</label>
		{/if}
		{#if hasEnded}<Toggle label="with those no longer in use" bind:checked={withEnded} />{/if}
		<p class="small" role="status">
			{shown.length === rows.length ? `all ${rows.length}` : `${shown.length} of ${rows.length}`}
		</p>
	</div>
	{#if chosenShown.length}<BulkEdit {kind} ids={chosenShown} choices={wordsOf} ondone={() => (chosen = [])} />{/if}
	<div class="scroll">
		<table class="table" bind:this={table}>
			<thead>
				<tr>
					{#if mayKeep}
						<th class="choose"
							><label
								><input
									type="checkbox"
									checked={shown.length > 0 && chosenShown.length === shown.length}
									onchange={(e) => (chosen = e.currentTarget.checked ? shown.map((r) => r.id) : [])}
								/><span class="visually-hidden">Choose all that are shown</span></label
							></th
						>
					{/if}
					{#each kind.columns as field (field)}
						<th class:number={isNumber(field)} aria-sort={sort.field === field ? direction : undefined}>
							<button type="button" onclick={() => sortBy(field)}
								>{kind.fields[field]?.label}{kind.fields[field]?.unit ? `, ${kind.fields[field].unit}` : ''}<span
									aria-hidden="true">{sort.field === field ? arrows[direction] : ''}</span
								></button
							>
						</th>
					{/each}
					{#if hasDoubts}<th class="doubt">To look at</th>{/if}
				</tr>
			</thead>
			<tbody>
				{#each shown as row (row.id)}
					<tr class:ended={row.endedOn !== null}>
						{#if mayKeep}
							<td class="choose"
								><label
									><input
										type="checkbox"
										checked={chosen.includes(row.id)}
										onchange={(e) => choose(row.id, e.currentTarget.checked)}
									/><span class="visually-hidden">Choose {row.name}</span></label
								></td
							>
						{/if}
						{#each kind.columns as field, i (field)}
							<td class:number={isNumber(field)}>
								{#if i === 0}<a href="/library/{kind.name}/{row.id}"><b>{row.texts[field] || row.name}</b></a
									>{:else}{asRead(kind.fields[field], row.texts[field] ?? '')}{unitOf(row, field)}{/if}
								{#if i === 0 && row.endedOn}<br /><small>until {sayDay(Date.parse(row.endedOn), 'UTC', true)}</small
									>{/if}
							</td>
						{/each}
						{#if hasDoubts}<td class="doubt">{row.doubts.join(' ')}</td>{/if}
					</tr>
				{:else}
					<tr
						><td colspan={kind.columns.length + 2}
							>Nothing here has these words. <button
								type="button"
								class="again"
								onclick={() => ((search = ''), (filterText = ''))}>Show all</button
							></td
						></tr
					>
				{/each}
			</tbody>
		</table>
	</div>
{:else}
	<div class="empty">
		<p>{kind.about}</p>
		{#if mayKeep}<p>
				There is none yet. Add the first by hand, or bring in a file that has a heading for each field.
			</p>{:else}<p>There is none yet. A coordinator adds them.</p>{/if}
		<ul>
			{#each Object.values(kind.fields) as field (field.label)}
				<li><b>{field.label}</b>{field.unit ? `, ${field.unit}` : ''}{field.isRequired ? '' : ' (optional)'}</li>
			{/each}
		</ul>
	</div>
{/if}

<style>
	.search {
		display: flex;
		flex-wrap: wrap;
		gap: 0.75rem;
		align-items: end;
		margin: 0.75rem 0 0.5rem;
	}
	.search label {
		display: grid;
		gap: 2px;
	}
	.words {
		flex: 0 1 17.5rem;
	}
	.search p {
		margin-left: auto;
	}
	kbd {
		font: 600 0.75rem var(--text);
		border: 1px solid var(--ink-3);
		border-radius: 3px;
		padding: 0 0.3125rem;
	}
	.scroll {
		overflow-x: auto;
	}
	th button {
		font: inherit;
		color: inherit;
		text-align: inherit;
		min-height: 1.75rem;
		cursor: pointer;
	}
	th button:hover {
		color: var(--water);
	}
	td.doubt {
		color: var(--ochre);
		font-size: 0.8125rem;
		max-width: 20rem;
	}
	.choose {
		width: 2rem;
	}
	.choose label {
		display: grid;
		place-items: center;
		min-height: 1.5rem;
	}
	.ended td {
		color: var(--ink-3);
	}
	.again {
		color: var(--water);
		text-decoration: underline;
		cursor: pointer;
	}
	@media (max-width: 640px) {
		/* a thumb needs the name and what to look at; the rest is one tap away */
		th:nth-child(n + 4):not(.doubt),
		td:nth-child(n + 4):not(.doubt) {
			display: none;
		}
	}
	.empty {
		display: grid;
		gap: 0.625rem;
		margin-top: 0.875rem;
		max-width: 40rem;
	}
	.empty ul {
		columns: 2;
		color: var(--ink-2);
		font-size: 0.8125rem;
	}
</style>
