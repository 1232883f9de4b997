<script module lang="ts">
	import type { Tool } from '$lib/core/subjects/steps';

	export interface Props {
		steps: readonly { id: string; title: string; tags: readonly string[]; canRepeat: boolean }[];
		kinds: readonly { tool: Tool; name: string }[];
		/** Changes so far, as words of the address. */
		changes: readonly string[];
		/** The version that they change: of another one they mean nothing. */
		version: number;
		/** Where they are made: the address of the card. */
		href: string;
		/** What the changes did beyond what was asked. */
		said: readonly string[];
	}
</script>

<script lang="ts">
	let { steps, kinds, changes, version, href, said }: Props = $props();

	const to = (words: readonly string[]) =>
		words.length
			? `${href}?${new URLSearchParams([['on', String(version)], ...words.map((word) => ['with', word])])}`
			: href;
	const withOne = (word: string) => to([...changes, word]);
</script>

<!-- What is done at a visit: each change is a link, so that going back takes it back. Nothing is kept before the card is. -->
<section aria-label="Steps of the card">
	<h2 class="ruled">Steps</h2>
	<ol>
		{#each steps as step, i (step.id)}
			<li>
				<span><b>{step.title}</b> <small>{step.tags.join(', ')}</small></span>
				<span class="acts">
					{#if i > 0}<a data-sveltekit-noscroll href={withOne(`earlier:${step.id}`)} aria-label="{step.title}: earlier"
							>earlier</a
						>{/if}
					{#if step.canRepeat}<a
							data-sveltekit-noscroll
							href={withOne(`repeat:${step.id}`)}
							aria-label="{step.title}: do it twice">twice</a
						>{/if}
					<a data-sveltekit-noscroll href={withOne(`remove:${step.id}`)} aria-label="{step.title}: remove">remove</a>
				</span>
			</li>
		{/each}
	</ol>
	<form method="GET" action={href} data-sveltekit-noscroll class="add">
		<input type="hidden" name="on" value={version} />
		{#each changes as change, i (i)}<input type="hidden" name="with" value={change} />{/each}
		<label for="add-step">Add a step</label>
		<select id="add-step" name="with" class="select">
			{#each kinds as { tool, name } (tool)}<option value="add:{tool}">{name}</option>{/each}
		</select>
		<button class="btn preset-outlined-primary-500">Add</button>
	</form>
	<p class="small">
		Where a step stands in a visit follows from the rules, which speak of the words beside it; where no rule speaks,
		from this list. Its name and settings are below.
	</p>
	{#if changes.length}
		<p class="say ask" role="status">
			{changes.length === 1 ? 'One change' : `${changes.length} changes`} of the steps, not kept yet.
			<a data-sveltekit-noscroll href={to(changes.slice(0, -1))}>Take the last one back</a>
			<a data-sveltekit-noscroll href={to([])}>Take all back</a>
		</p>
	{/if}
	{#each said as one (one)}<p class="say ask">{one}</p>{/each}
</section>

<style>
	ol {
		list-style: none;
		padding: 0;
	}
	li {
		display: flex;
		justify-content: space-between;
		gap: 0.625rem;
		align-items: center;
		border-bottom: 1px solid var(--rule);
	}
	.acts {
		display: flex;
		gap: 0.25rem;
		flex: none;
	}
	.acts a,
	.say a {
		display: inline-block;
		padding: 0.625rem 0.5rem;
	}
	.add {
		display: flex;
		flex-wrap: wrap;
		gap: 0.625rem;
		align-items: center;
		margin: 0.75rem 0;
	}
	.add select {
		flex: 1;
		min-width: 12em;
	}
	.add .btn {
		min-height: 2.75rem;
	}
</style>
