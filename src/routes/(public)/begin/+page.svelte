<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import { superForm } from 'sveltekit-superforms';
	import PublicPage from '$lib/ui/kit/PublicPage.svelte';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	const { form, errors, enhance, submitting } = superForm(
		untrack(() => data.form),
		{ resetForm: false }
	);
	onMount(() => {
		$form.timeZone = Intl.DateTimeFormat().resolvedOptions().timeZone || 'Etc/UTC';
	});

	const fields = [
		{
			name: 'program',
			label: 'Name of the program',
			type: 'text',
			autocomplete: 'organization',
			help: 'as it stands on paper and labels'
		},
		{
			name: 'timeZone',
			label: 'Time zone',
			type: 'text',
			autocomplete: 'off',
			help: 'such as Europe/Dublin: days and hours are meant in it'
		},
		{ name: 'name', label: 'Your name', type: 'text', autocomplete: 'name', help: '' },
		{
			name: 'initials',
			label: 'Your initials',
			type: 'text',
			autocomplete: 'off',
			help: 'they stand on every line you write'
		},
		{ name: 'email', label: 'Your e-mail', type: 'email', autocomplete: 'username', help: 'for signing in' },
		{
			name: 'password',
			label: 'A password',
			type: 'password',
			autocomplete: 'new-password',
			help: 'ten letters or more'
		}
	] as const;
</script>

<PublicPage
	title="Begin a program"
	lead="There is nothing here yet. Say who you are, and the library leads you through the rest: streams, sites, people, labs."
>
	<form method="POST" use:enhance>
		{#each fields as field (field.name)}
			<label for={field.name}>{field.label}</label>
			<input
				id={field.name}
				name={field.name}
				type={field.type}
				autocomplete={field.autocomplete}
				class="input"
				bind:value={$form[field.name]}
				aria-invalid={$errors[field.name] ? 'true' : undefined}
				aria-describedby="{field.name}-error"
				required
			/>
			<p id="{field.name}-error" class:wrong={$errors[field.name]} class="small under">
				{$errors[field.name] ?? field.help}
			</p>
		{/each}
		<button class="btn preset-filled-primary-500" disabled={$submitting}>{$submitting ? 'Beginning' : 'Begin'}</button>
	</form>
</PublicPage>
