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

<PublicPage title="Sign in" lead="What you enter at the stream is kept on your device, signed in or not.">
	<form method="POST" use:enhance>
		<label for="email">E-mail</label>
		<input
			id="email"
			name="email"
			type="email"
			autocomplete="username"
			class="input"
			bind:value={$form.email}
			aria-invalid={$errors.email ? 'true' : undefined}
			aria-describedby="email-error"
			required
		/>
		<p id="email-error" class="wrong" role="alert">{$errors.email ?? ''}</p>
		<label for="password">Password</label>
		<input
			id="password"
			name="password"
			type="password"
			autocomplete="current-password"
			class="input"
			bind:value={$form.password}
			aria-invalid={$errors.password ? 'true' : undefined}
			aria-describedby="password-error"
			required
		/>
		<p id="password-error" class="wrong" role="alert">{$errors.password ?? ''}</p>
		<input type="hidden" name="to" value={$form.to} />
		<button class="btn preset-filled-primary-500" disabled={$submitting}
			>{$submitting ? 'Signing in' : 'Sign in'}</button
		>
	</form>

	{#if data.demo}
		<section aria-labelledby="demo">
			<h2 id="demo" class="ruled">This is the demo</h2>
			<p class="small">Invented people in an invented catchment. Choose whose eyes to look through.</p>
			<ul>
				{#each data.demo.signIns as person (person.email)}
					<li>
						<form method="POST" use:enhance>
							<input type="hidden" name="email" value={person.email} />
							<input type="hidden" name="password" value={data.demo.password} />
							<input type="hidden" name="to" value={$form.to} />
							<button class="btn preset-outlined-surface-500"
								>{person.name}<span class="small">{person.role}</span></button
							>
						</form>
					</li>
				{/each}
			</ul>
		</section>
	{/if}
</PublicPage>

<style>
	section {
		margin-top: 2.25rem;
	}
	ul {
		display: grid;
		gap: 0.375rem;
		margin-top: 0.625rem;
	}
	li form {
		margin: 0;
	}
	li button {
		display: flex;
		justify-content: space-between;
		align-items: center;
		min-height: 2.75rem;
	}
</style>
