<script lang="ts">
	import { untrack } from 'svelte';
	import { superForm } from 'sveltekit-superforms';
	import PublicPage from '$lib/ui/kit/PublicPage.svelte';
	import type { PageProps } from './$types';

	let { data }: PageProps = $props();
	const { form, errors, enhance, submitting } = superForm(
		untrack(() => data.form),
		{ resetForm: false }
	);
</script>

<PublicPage
	title="Choose a password"
	lead="Your coordinator sent you here. Choose a password, then sign in with your e-mail."
>
	<form method="POST" use:enhance>
		<label for="password">Password</label>
		<input
			id="password"
			name="password"
			type="password"
			autocomplete="new-password"
			class="input"
			bind:value={$form.password}
			aria-invalid={$errors.password ? 'true' : undefined}
			aria-describedby="password-error"
			required
		/>
		<p id="password-error" class="wrong" role="alert">{$errors.password ?? ''}</p>
		<button class="btn preset-filled-primary-500" disabled={$submitting}>{$submitting ? 'Saving' : 'Save it'}</button>
	</form>
</PublicPage>
