<script lang="ts">
	import { onMount, untrack } from 'svelte';
	import { superForm } from 'sveltekit-superforms';
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
		{ name: 'program', label: 'Name of the program', type: 'text', autocomplete: 'organization', help: 'as it stands on paper and labels' },
		{ name: 'timeZone', label: 'Time zone', type: 'text', autocomplete: 'off', help: 'such as Europe/Dublin: days and hours are meant in it' },
		{ name: 'name', label: 'Your name', type: 'text', autocomplete: 'name', help: '' },
		{ name: 'initials', label: 'Your initials', type: 'text', autocomplete: 'off', help: 'they stand on every line you write' },
		{ name: 'email', label: 'Your e-mail', type: 'email', autocomplete: 'username', help: 'for signing in' },
		{ name: 'password', label: 'A password', type: 'password', autocomplete: 'new-password', help: 'ten letters or more' }
	] as const;
</script>

<svelte:head><title>Begin · Keen Riffle</title></svelte:head>

<main>
	<p class="name">Keen<br />Riffle</p>
	<h1>Begin a program</h1>
	<p class="small">There is nothing here yet. Say who you are, and the library leads you through the rest: streams, sites, people, labs.</p>
	<form method="POST" use:enhance>
		{#each fields as field (field.name)}
			<label for={field.name}>{field.label}</label>
			<input
				id={field.name}
				name={field.name}
				type={field.type}
				autocomplete={field.autocomplete}
				class="input-line"
				bind:value={$form[field.name]}
				aria-invalid={$errors[field.name] ? 'true' : undefined}
				aria-describedby="{field.name}-error"
				required
			/>
			<p id="{field.name}-error" class:wrong={$errors[field.name]} class="small under">{$errors[field.name] ?? field.help}</p>
		{/each}
		<button class="act main" disabled={$submitting}>{$submitting ? 'Beginning' : 'Begin'}</button>
	</form>
</main>

<style>
	main {
		max-width: 28em;
		margin: 0 auto;
		padding: 6vh 20px 40px;
	}
	.name {
		font: 600 22px/1.05 var(--head);
		color: var(--water);
		margin-bottom: 24px;
	}
	form {
		display: grid;
		margin-top: 14px;
	}
	label {
		font-weight: 600;
		margin-bottom: 3px;
	}
	.input-line {
		font-size: 17px;
		min-height: 44px;
	}
	.under {
		min-height: 24px;
	}
	.wrong {
		color: var(--danger);
		font-weight: 600;
	}
	button {
		min-height: 48px;
		font-size: 17px;
		margin-top: 6px;
	}
</style>
