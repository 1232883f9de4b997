<script module lang="ts">
	export interface Props {
		/** What kind of file: "CSV, GeoJSON or GPX". */
		label: string;
		/** Endings of the names that are taken: `.csv`. */
		endings: readonly string[];
		/** The form's own field, where the file is sent with it. */
		name?: string;
		onpick?: (file: File) => void;
	}
</script>

<script lang="ts">
	import { FileUpload } from '@skeletonlabs/skeleton-svelte';

	let { label, endings, name, onpick }: Props = $props();

	let refused = $state<string | null>(null);
</script>

<FileUpload
	class="pick-file"
	maxFiles={1}
	validate={(file) => (endings.some((e) => file.name.toLowerCase().endsWith(e)) ? null : ['FILE_INVALID_TYPE'])}
	{...name === undefined ? {} : { name }}
	onFileChange={({ acceptedFiles, rejectedFiles }) => {
		const wrong = rejectedFiles[0]?.file.name;
		refused = wrong === undefined ? null : `${wrong} is not one of ${endings.join(', ')}.`;
		if (acceptedFiles[0]) onpick?.(acceptedFiles[0]);
	}}
>
	<FileUpload.Dropzone disableClick role="group" aria-label={label}>
		<FileUpload.Label>{label}</FileUpload.Label>
		<FileUpload.Trigger>Choose a file</FileUpload.Trigger>
		<span class="small">or drop it here</span>
		<FileUpload.HiddenInput accept={endings.join(',')} />
		<FileUpload.Context>
			{#snippet children(upload)}
				{#each upload().acceptedFiles as file (file.name)}
					<FileUpload.Item {file}>
						<FileUpload.ItemName>{file.name}</FileUpload.ItemName>
						<FileUpload.ItemSizeText />
						<FileUpload.ItemDeleteTrigger aria-label="Take {file.name} out">×</FileUpload.ItemDeleteTrigger>
					</FileUpload.Item>
				{/each}
			{/snippet}
		</FileUpload.Context>
		{#if refused}<p class="why" role="alert">{refused}</p>{/if}
	</FileUpload.Dropzone>
</FileUpload>

<style>
	:global(.pick-file [data-part='dropzone']) {
		flex-flow: row wrap;
		justify-content: flex-start;
		padding: 0.75rem 1rem;
		border: 1.5px dashed var(--ink-3);
	}
	:global(.pick-file [data-part='trigger']) {
		background: var(--color-primary-500);
		color: var(--color-primary-contrast-500);
	}
	.why {
		color: var(--danger);
		font-weight: 600;
		margin: 0;
	}
</style>
