<script module lang="ts">
	export interface Props {
		address: string | null;
		mayPlan: boolean;
	}
</script>

<script lang="ts">
	import { enhance } from '$app/forms';

	let { address, mayPlan }: Props = $props();
</script>

{#if address || mayPlan}
	<details>
		<summary>Calendar feed</summary>
		<div class="panel">
			{#if address}
				<p>
					Add this address to your own calendar: it follows the plan. Whoever has it can read the rounds, and nothing
					else.
				</p>
				<input
					class="input"
					readonly
					value={address}
					aria-label="Address of the calendar feed"
					onfocus={(e) => e.currentTarget.select()}
				/>
			{:else}
				<p>A feed is an address that calendars follow: a round that is moved here moves there.</p>
			{/if}
			{#if mayPlan}
				<form method="POST" action="?/feed" use:enhance>
					<button class="btn preset-outlined-surface-500"
						>{address ? 'Make a new address; the old one ends' : 'Make the address'}</button
					>
				</form>
			{/if}
		</div>
	</details>
{/if}

<style>
	details {
		position: relative;
	}
	summary {
		color: var(--water);
		text-decoration: underline;
		cursor: pointer;
	}
	.panel {
		position: absolute;
		z-index: 5;
		width: min(26.25rem, 84vw);
		background: var(--page);
		border: 1px solid var(--ink);
		padding: 0.75rem 0.875rem;
		display: grid;
		gap: 0.5rem;
	}
</style>
