<script module lang="ts">
	export interface Props {
		title?: string;
		/** Shown as one line until it is opened. */
		isFolded?: boolean;
		onchoose: (code: string) => void;
		onclose?: () => void;
	}
</script>

<script lang="ts">
	import { taxa } from '$lib/core/macroinvertebrates';

	let { title = 'Which kind?', isFolded = false, onchoose, onclose }: Props = $props();

	const id = $props.id();
	let words = $state('');
	let opened = $state(false);
	const isOpen = $derived(opened || !isFolded);
	const found = $derived.by(() => {
		const asked = words.trim().toLowerCase().split(/\s+/);
		return taxa.filter(({ code, name, order }) => {
			const text = `${code} ${name} ${order}`.toLowerCase();
			return asked.every((w) => text.includes(w));
		});
	});
	const groups = $derived([...new Set(found.map((t) => t.order))]);
	function choose(code: string) {
		opened = false;
		words = '';
		onchoose(code);
	}
</script>

<section aria-label={title}>
	{#if isOpen}
		<p class="head">
			<label for={id}><b>{title}</b></label>
			<button
				type="button"
				class="btn preset-outlined-surface-500"
				onclick={() => {
					opened = false;
					onclose?.();
				}}>Close</button
			>
		</p>
		<input
			{id}
			class="input"
			type="search"
			autocomplete="off"
			placeholder="mayfly, beetle, Baetidae"
			bind:value={words}
		/>
		<div class="list">
			{#each groups as order (order)}
				<h3>{order}</h3>
				<div class="kinds">
					{#each found.filter((t) => t.order === order) as t (t.code)}
						<button type="button" onclick={() => choose(t.code)}
							>{t.name}<small>{t.code === order ? 'not named further' : t.code}</small></button
						>
					{/each}
				</div>
			{:else}<p>No kind of that name. Count it as <b>unknown</b>, and keep one.</p>{/each}
		</div>
	{:else}
		<button type="button" class="fold btn preset-outlined-primary-500" onclick={() => (opened = true)}>{title}</button>
	{/if}
</section>

<style>
	section {
		margin: 0.5rem 0;
	}
	.head {
		display: flex;
		justify-content: space-between;
		align-items: center;
		margin: 0 0 0.375rem;
	}
	.head button,
	.fold {
		min-height: 3rem;
	}
	input {
		width: 100%;
		min-height: 3rem;
	}
	.list {
		max-height: 22rem;
		overflow-y: auto;
		border-bottom: 1px solid var(--rule);
	}
	h3 {
		margin: 0.5rem 0 0.25rem;
		font-size: 0.9375rem;
	}
	.kinds {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(9.5rem, 1fr));
		gap: 0.375rem;
	}
	.kinds button {
		min-height: 3rem;
		padding: 0.25rem 0.5rem;
		text-align: left;
		background: var(--page);
		color: var(--ink);
		border: 1px solid var(--rule);
		border-radius: 0.25rem;
		cursor: pointer;
	}
	small {
		display: block;
		color: var(--ink-2);
	}
</style>
