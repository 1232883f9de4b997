<script module lang="ts">
	import type { Snippet } from 'svelte';

	export interface Props {
		mayJudge: boolean;
		/** How many wait with nothing doubtful about them. */
		undoubted: number;
		rows: Snippet;
		/** What was wrong with the table as a whole. */
		why: string;
	}
</script>

<script lang="ts">
	import { enhance } from '$app/forms';
	import { counted } from '$lib/core/wording';

	let { mayJudge, undoubted, rows, why }: Props = $props();

	let chosen = $state(0);
	const count = (form: HTMLFormElement) => (chosen = form.querySelectorAll('input[type=radio]:checked').length);
</script>

<form
	method="POST"
	action="?/judge#results"
	onchange={(e) => count(e.currentTarget)}
	use:enhance={({ formElement }) =>
		async ({ result, update }) => {
			// what was typed in a row stays where a row is wrong
			await update({ reset: result.type === 'success' });
			count(formElement);
		}}
>
	<table class="table">
		<thead
			><tr
				><th>Result</th><th>Figure</th><th>Flags and review</th>{#if mayJudge}<th>Judgement</th>{/if}</tr
			></thead
		>
		<tbody>{@render rows()}</tbody>
	</table>
	{#if mayJudge}
		<p class="acts">
			<button class="btn preset-filled-primary-500"
				>Save {chosen === 0 ? 'what is judged' : counted(chosen, 'judgement')}</button
			>
			{#if undoubted > 0}
				<button class="btn preset-outlined-primary-500" formaction="?/acceptUndoubted#results"
					>Accept the {undoubted} without flags</button
				>
			{/if}
			<span class="wrong" role="alert">{why}</span>
		</p>
	{/if}
</form>

<style>
	table {
		width: 100%;
	}
	.acts {
		display: flex;
		flex-wrap: wrap;
		gap: 0.625rem;
		align-items: center;
		padding: 0.625rem 0;
	}
	.wrong {
		color: var(--danger);
		font-weight: 600;
	}
	@media (max-width: 900px) {
		thead {
			display: none;
		}
		table,
		tbody {
			display: block;
		}
		.btn {
			min-height: 2.75rem;
		}
	}
</style>
