<script module lang="ts">
	export interface Refused {
		id: string;
		path: string;
		value: unknown;
		why: string;
	}
	export interface Props {
		kept: number;
		unsent: number;
		/** Photos that are only here so far. */
		photos: number;
		/** Lines of somebody else who used this device, waiting for them to sign in. */
		others: number;
		refused: Refused[];
		standing: 'idle' | 'sending' | 'offline' | 'signed-out' | 'trouble';
		notes: string[];
		onsend: () => void;
		onclose: () => void;
	}
</script>

<script lang="ts">
	import { Dialog } from '@skeletonlabs/skeleton-svelte';
	import { sayValue } from '$lib/core/wording';

	let { kept, unsent, photos, others, refused, standing, notes, onsend, onclose }: Props = $props();

	const sentences = $derived([
		`${kept} lines are kept on this device.`,
		unsent ? `${unsent} of them are only here so far.` : 'All of yours have been sent and taken.',
		photos ? `Photos that are only here so far: ${photos}. They go after the lines.` : '',
		{
			idle: unsent || photos ? 'They are sent next.' : '',
			sending: 'Sending now.',
			offline: 'There is no network here. They go by themselves when there is one; nothing is lost by closing this.',
			'signed-out': 'Your sign-in has run out. Everything stays here; sign in again to send it.',
			trouble: 'The server does not take them just now. They stay here and are tried again.'
		}[standing],
		others ? `${others} were written by someone else on this device and are sent when they sign in here.` : ''
	]);
</script>

<Dialog open onOpenChange={(e) => !e.open && onclose()}>
	<Dialog.Backdrop class="sheet-backdrop" />
	<Dialog.Positioner class="sheet-positioner">
		<Dialog.Content class="sheet-panel">
			<Dialog.Title class="sheet-title">What is kept and what is sent</Dialog.Title>
			<Dialog.Description>
				{#each sentences.filter(Boolean) as sentence (sentence)}<span class="sentence">{sentence}</span>{/each}
			</Dialog.Description>
			{#each notes as note (note)}<p class="say ask">{note}</p>{/each}
			{#if refused.length}
				<h3>Refused by the server, kept here</h3>
				<ul>
					{#each refused as line (line.id)}<li><b>{sayValue(line.value)}</b> at {line.path}: {line.why}</li>{/each}
				</ul>
			{/if}
			<p class="buttons">
				{#if standing === 'signed-out'}<a
						class="btn preset-filled-primary-500"
						href="/sign-in?to=/sample"
						data-sveltekit-reload>Sign in</a
					>{:else}<button type="button" class="btn preset-filled-primary-500" onclick={onsend}>Send now</button>{/if}
				<Dialog.CloseTrigger class="btn preset-outlined-surface-500">Close</Dialog.CloseTrigger>
			</p>
		</Dialog.Content>
	</Dialog.Positioner>
</Dialog>

<style>
	.sentence {
		display: block;
	}
	li {
		padding: 0.375rem 0;
		border-bottom: 1px solid var(--rule);
	}
	.buttons {
		display: flex;
		gap: 0.625rem;
	}
	.buttons :global(.btn) {
		min-height: 3rem;
		padding-inline: 1.25rem;
	}
</style>
