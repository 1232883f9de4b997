<script module lang="ts">
	import type { Kind } from '$lib/core/macroinvertebrates';
	import type { Abundance } from '$lib/core/subjects/tray/branch';

	export interface Props {
		kinds: readonly Kind[];
		/** Classes of abundance, by kind; null where animals are counted or only looked for. */
		classes: Readonly<Record<string, Abundance | undefined>> | null;
		isCounted: boolean;
		/** The compartment that was tapped last. */
		last: string | null;
		ontap: (code: string) => void;
		onclass: (code: string, abundance: Abundance) => void;
		/** A kind that was only looked for was not there after all. */
		onstrike: (code: string) => void;
		onother: () => void;
		/** Strikes the last tap; null where there is none. */
		onundo: (() => void) | null;
		/** One that nobody can name; null where it cannot be counted. */
		onunknown: (() => void) | null;
	}
</script>

<script lang="ts">
	import { knownAnimals } from '../../animals/known-animals';
	import { abundances } from '$lib/core/subjects/tray/branch';
	import { keyOf, meantBy } from './tray-keys';
	import { abundanceWords } from '$lib/core/subjects/tray/words';

	let { kinds, classes, isCounted, last, ontap, onclass, onstrike, onother, onundo, onunknown }: Props = $props();
	const known = knownAnimals();

	const act = ({ code }: Kind) => (isCounted ? ontap(code) : onstrike(code));
	let list = $state<HTMLElement>();
	/** At a desk a hand stays on the keys: they count while the tray has the focus, and nowhere else. */
	function onkeydown(event: KeyboardEvent) {
		const isHere = list?.contains(document.activeElement) && !(event.target instanceof HTMLSelectElement);
		const meant = isHere ? meantBy(event) : null;
		if (meant === null) return;
		if (meant === 'other') onother();
		else if (meant === 'undo') onundo?.();
		else {
			const kind = kinds[meant.tap];
			if (!isCounted || !kind) return;
			ontap(kind.code);
		}
		event.preventDefault();
	}
</script>

<svelte:window {onkeydown} />

<ul aria-label="Compartments" bind:this={list}>
	{#each kinds as kind, i (kind.code)}
		<li class:last={kind.code === last}>
			{#if classes}
				<label
					>{known.list.nameOf(kind.code)}<small>{kind.code}</small>
					<select
						class="select"
						value={classes[kind.code] ?? '1'}
						onchange={(e) => onclass(kind.code, e.currentTarget.value as Abundance)}
						>{#each abundances as a (a)}<option value={a}>{abundanceWords[a]}</option>{/each}</select
					></label
				>
			{:else}
				<button
					type="button"
					onclick={() => act(kind)}
					aria-keyshortcuts={isCounted ? keyOf(i) : null}
					aria-label="{known.list.nameOf(kind.code)}, {kind.code}: {isCounted
						? kind.count
						: 'there; tap to take it back'}"
				>
					<span
						>{known.list.nameOf(kind.code)}{#if kind.taxon}<small>{kind.code}</small>{/if}</span
					>
					{#if isCounted && keyOf(i)}<kbd aria-hidden="true">{keyOf(i)}</kbd>{/if}
					<b>{isCounted ? kind.count : '✓'}</b>
				</button>
			{/if}
		</li>
	{/each}
	<li class="more"><button type="button" onclick={onother}>Another kind</button></li>
	{#if onunknown}<li class="more"><button type="button" onclick={onunknown}>Unknown</button></li>{/if}
</ul>

<style>
	ul {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(8.25rem, 1fr));
		gap: 0.5rem;
		padding: 0;
		margin: 0.5rem 0;
		list-style: none;
	}
	@media (min-width: 700px) {
		ul {
			grid-template-columns: repeat(auto-fill, minmax(10.5rem, 1fr));
		}
	}
	li > * {
		display: flex;
		justify-content: space-between;
		align-items: center;
		gap: 0.375rem;
		width: 100%;
		min-height: 4.25rem;
		padding: 0.375rem 0.625rem;
		text-align: left;
		background: var(--page);
		color: var(--ink);
		border: 1.5px solid var(--ink-3);
		/* a compartment of the tray, its rim in the shade on two sides */
		border-radius: 0.25rem;
		box-shadow: inset 3px 3px 0 color-mix(in oklab, var(--ink) 10%, transparent);
		touch-action: manipulation;
	}
	button {
		position: relative;
		cursor: pointer;
	}
	button:active {
		background: var(--paper-3);
	}
	label {
		flex-direction: column;
		align-items: stretch;
	}
	small {
		display: block;
		font-size: 0.8125rem;
		color: var(--ink-2);
		overflow-wrap: anywhere;
	}
	b {
		font: 600 1.75rem var(--head);
	}
	/* where there are keys and the tray has the focus */
	kbd {
		display: none;
		position: absolute;
		top: 0.25rem;
		right: 0.375rem;
		font-size: 0.75rem;
		line-height: 1.2;
		color: var(--ink-2);
	}
	@media (pointer: fine) {
		ul:focus-within kbd {
			display: block;
		}
	}
	.last > * {
		border-color: var(--water);
		border-width: 2.5px;
	}
	.more > * {
		justify-content: center;
		border-style: dashed;
		box-shadow: none;
		font-weight: 600;
	}
</style>
