<script lang="ts">
	import { untrack } from 'svelte';
	import { superForm } from 'sveltekit-superforms';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	const { form, errors, enhance, submitting } = superForm(
		untrack(() => data.form),
		{ resetForm: false }
	);
</script>

<svelte:head><title>Choose a password · Keen Riffle</title></svelte:head>

<main>
	<p class="name">Keen<br />Riffle</p>
	<h1>Choose a password</h1>
	<p class="small">Your coordinator sent you here. Choose a password, then sign in with your e-mail.</p>
	<form method="POST" use:enhance>
		<label for="password">Password</label>
		<input
			id="password"
			name="password"
			type="password"
			autocomplete="new-password"
			class="input-line"
			bind:value={$form.password}
			aria-invalid={$errors.password ? 'true' : undefined}
			aria-describedby="password-error"
			required
		/>
		<p id="password-error" class="wrong" role="alert">{$errors.password ?? ''}</p>
		<button class="act main" disabled={$submitting}>{$submitting ? 'Keeping' : 'Keep it'}</button>
	</form>
</main>

<style>
	main {
		max-width: 26em;
		margin: 0 auto;
		padding: 8vh 20px 40px;
	}
	.name {
		font: 600 22px/1.05 var(--head);
		color: var(--water);
		margin-bottom: 28px;
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
	.wrong {
		color: var(--danger);
		min-height: 22px;
		font-weight: 600;
	}
	button {
		min-height: 48px;
		font-size: 17px;
	}
</style>
