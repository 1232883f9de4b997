<script module lang="ts">
	import type { Sheet } from '$lib/core/logbook';

	export interface Props {
		sheet: Sheet;
		roundId: string | null;
		/** The title of a step of the visit's card. */
		titleOf: (stepId: string) => string;
		timeZone: string;
	}
</script>

<script lang="ts">
	import { writeNumber } from '$lib/core/quantity';
	import { sayDay, sayTime } from '$lib/core/wording';
	import { dangerWords } from '$lib/core/subjects/arrival/words';
	import { knownAnimals } from '../animals/known-animals';
	import { chosen, forms, type FormName } from '$lib/core/observations';

	let { sheet, roundId, titleOf, timeZone }: Props = $props();

	const said = (form: FormName) =>
		forms[form].flatMap((q) => {
			const choices = chosen(q, sheet[form]).map((c) => c.word);
			return choices.length ? [{ ask: q.ask, words: choices.join(', ') }] : [];
		});
	const dangers = $derived(
		Object.entries(dangerWords).flatMap(([id, word]) =>
			sheet.arrival?.dangers?.[id as keyof typeof dangerWords] ? [word] : []
		)
	);
	const known = knownAnimals();
	/** What it shows: of an animal what its compartment was called, as people say it by now. */
	const shows = ({ caption, compartment, of }: NonNullable<Sheet['photos']>[string]) =>
		caption ?? (compartment === undefined ? of : known.list.nameOf(compartment)) ?? 'Photo';
	/** By the line that took it: the same picture may have been chosen twice. */
	const photos = $derived(Object.entries(sheet.photos ?? {}).filter(([, p]) => p.sha256 !== undefined));
	const hands = $derived(Object.values(sheet.custody ?? {}).filter((c) => c.at !== undefined));
	const handovers = $derived(Object.values(sheet.handovers ?? {}).filter((h) => h.at !== undefined));
	const at = (iso: string | undefined) =>
		iso === undefined ? '' : `${sayTime(Date.parse(iso), timeZone)} ${sayDay(Date.parse(iso), timeZone)}`;
	const blocks = $derived([
		{
			title: 'Conditions',
			lines: [
				...said('conditions'),
				...(dangers.length ? [{ ask: 'Reasons to stay out', words: dangers.join(', ') }] : [])
			]
		},
		{ title: 'Habitat', lines: said('habitat') },
		{
			title: 'Remarks',
			lines: Object.entries(sheet.remarks ?? {}).map(([step, words]) => ({ ask: titleOf(step), words }))
		}
	]);
</script>

{#each blocks as { title, lines } (title)}
	{#if lines.length}
		<h2 class="ruled">{title}</h2>
		<dl>
			{#each lines as line (line.ask)}<dt>{line.ask}</dt>
				<dd>{line.words}</dd>{/each}
		</dl>
	{/if}
{/each}
{#if photos.length}
	<h2 class="ruled">Photos</h2>
	<div class="photos">
		{#each photos as [id, photo] (id)}
			<figure>
				<img src="/api/photos/{photo.sha256}" alt={shows(photo)} loading="lazy" />
				<figcaption class="small">{shows(photo)}, {at(photo.takenAt)}</figcaption>
			</figure>
		{/each}
	</div>
{/if}
{#if hands.length || handovers.length}
	<h2 class="ruled">From hand to hand</h2>
	<ol>
		{#each handovers as one, i (i)}<li>The visit to {one.to}, {at(one.at)}{one.note ? `: ${one.note}` : ''}</li>{/each}
		{#each hands as one, i (i)}
			<li>
				The bottles from {one.from} to {one.to}, {at(one.at)}{one.seal
					? `, seal ${one.seal}`
					: ''}{one.temperature_C === undefined ? '' : `, ${writeNumber(one.temperature_C)} °C`}
			</li>
		{/each}
	</ol>
	{#if roundId}<p><a href="/plan/rounds/{roundId}/paper.pdf?what=custody">Custody form as PDF</a></p>{/if}
{/if}

<style>
	h2 {
		margin-top: 1.125rem;
	}
	dl {
		display: grid;
		grid-template-columns: minmax(7.5rem, auto) 1fr;
		gap: 2px 0.875rem;
		margin-top: 0.375rem;
	}
	dt {
		color: var(--ink-2);
	}
	.photos {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(11.25rem, 1fr));
		gap: 0.625rem;
		margin-top: 0.5rem;
	}
	img {
		width: 100%;
		border: 1px solid var(--rule);
	}
</style>
