<script module lang="ts">
	export interface Props {
		address: string | null;
		mayPlan: boolean;
	}
</script>

<script lang="ts">
	import ChevronDown from '@lucide/svelte/icons/chevron-down';
	import { Popover, Portal } from '@skeletonlabs/skeleton-svelte';
	import { enhance } from '$app/forms';

	let { address, mayPlan }: Props = $props();
</script>

{#if address || mayPlan}
	<Popover positioning={{ placement: 'bottom-end' }}>
		<Popover.Trigger class="btn preset-outlined-surface-500"
			>Calendar feed <ChevronDown size={16} aria-hidden="true" /></Popover.Trigger
		>
		<Portal>
			<Popover.Positioner>
				<Popover.Content class="calendar-feed">
					<Popover.Title class="feed-title">Calendar feed</Popover.Title>
					{#if address}
						<Popover.Description>
							Add this address to your own calendar: it follows the plan. Whoever has it can read the rounds, and
							nothing else.
						</Popover.Description>
						<input
							class="input"
							readonly
							value={address}
							aria-label="Address of the calendar feed"
							onfocus={(e) => e.currentTarget.select()}
						/>
					{:else}
						<Popover.Description>
							A feed is an address that calendars follow: a round that is moved here moves there.
						</Popover.Description>
					{/if}
					{#if mayPlan}
						<form method="POST" action="?/feed" use:enhance>
							<button class="btn preset-outlined-surface-500"
								>{address ? 'Make a new address; the old one ends' : 'Make the address'}</button
							>
						</form>
					{/if}
				</Popover.Content>
			</Popover.Positioner>
		</Portal>
	</Popover>
{/if}

<style>
	:global(.calendar-feed) {
		z-index: 25;
		width: min(26.25rem, 90vw);
		border: 1px solid;
		padding: 0.75rem 0.875rem;
		display: grid;
		gap: 0.5rem;
	}
	:global(.calendar-feed[hidden]) {
		display: none;
	}
	:global(.calendar-feed .feed-title) {
		font-weight: 650;
	}
</style>
