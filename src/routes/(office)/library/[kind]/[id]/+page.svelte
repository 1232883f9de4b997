<script lang="ts">
	import { kindNamed } from '$lib/core/library';
	import AuditTrail from '$lib/ui/library/AuditTrail.svelte';
	import { sayAccess } from '$lib/ui/account/say-access';
	import ThingForm from '$lib/ui/library/ThingForm.svelte';
	import type { PageProps } from './$types';

	let { data, form }: PageProps = $props();

	const kind = $derived(kindNamed(data.kindName)!);
	const title = $derived(data.name ?? `New ${kind.one}`);
	let sure = $state(false);
</script>

<svelte:head><title>{title} · {kind.many} · Keen Riffle</title></svelte:head>

<main class="page">
	<p class="small">
		<a href="/library">Library</a>{#if kind.name !== 'program'}&nbsp;› <a href="/library/{kind.name}">{kind.many}</a
			>{/if}
	</p>
	<h1 class="ruled">{title}</h1>
	{#if data.isBefore}<p class="say ask">As it was before that change. Nothing is put back until you keep it.</p>{/if}
	{#if data.mayKeep}
		{#key `${data.kindName} ${data.id ?? 'new'} ${data.isBefore}`}
			<ThingForm {kind} id={data.id} form={data.form} library={data.library} today={data.today} />
		{/key}
		{#if form?.why}<p class="say spoils" role="alert">{form.why}</p>{/if}
		{#if form?.said}<p class="say" role="status">{form.said}</p>{/if}
		{#if data.late}
			<section id="late">
				<h2>Lines that came after leaving</h2>
				<p>
					{data.late.lines === 1 ? 'One line' : `${data.late.lines} lines`} of {data.late.visits === 1
						? 'one visit'
						: `${data.late.visits} visits`}, dated from before. They are kept beside the logbook. Ask when they were
					written before you take them in.
				</p>
				<form method="POST" action="?/late">
					<button class="btn preset-outlined-primary-500" name="take" value="yes">Take them in</button>
					<button class="btn preset-outlined-surface-500" name="take" value="no">Leave them out</button>
				</form>
			</section>
		{/if}
		{#if data.id && kind.name === 'people'}
			<section>
				<h2>Signing in</h2>
				{#if form?.join}
					<p>
						Give this address to {data.texts['name']}, by hand or in a message of your own. It is good for a week, once,
						to choose a password.
					</p>
					<p>
						<input
							class="input"
							readonly
							value={form.join}
							aria-label="Address for choosing a password"
							onfocus={(e) => e.currentTarget.select()}
						/>
					</p>
				{:else}
					<form method="POST" action="?/join">
						<button class="btn preset-outlined-surface-500">Make a link to choose a password</button>
					</form>
				{/if}
				<ul class="small">
					{#each data.access as event (event.id)}<li>{sayAccess(event, data.program.timeZone)}</li>{/each}
				</ul>
			</section>
		{/if}
		{#if data.id && kind.name === 'instruments'}
			<section>
				<h2>Calibrations</h2>
				<p>
					<a class="btn preset-outlined-surface-500" href="/plan/calibrate/{data.name}"
						>See those of {data.name}, or calibrate it now</a
					>
				</p>
			</section>
		{/if}
		{#if data.id}
			<AuditTrail lines={data.audit} timeZone={data.program.timeZone} />
			{#if kind.name !== 'program' && kind.name !== 'people'}
				<form method="POST" action="?/remove" class="remove">
					{#if sure}
						<span>Take {title} out of the library? The audit keeps what it was.</span>
						<button class="btn preset-outlined-surface-500">Take it out</button>
						<button type="button" class="btn preset-outlined-primary-500" onclick={() => (sure = false)}
							>Leave it</button
						>
					{:else}
						<button type="button" class="btn preset-outlined-surface-500" onclick={() => (sure = true)}
							>Take out of the library</button
						>
					{/if}
				</form>
			{/if}
		{/if}
	{:else}
		<dl>
			{#each Object.entries(kind.fields) as [name, field] (name)}
				{#if data.texts[name]}<dt>{field.label}</dt>
					<dd>{data.texts[name]}{field.unit ? ` ${field.unit}` : ''}</dd>{/if}
			{/each}
		</dl>
		<p class="small">Only a coordinator changes this.</p>
	{/if}
</main>

<style>
	.page {
		max-width: 61.25rem;
	}
	section {
		margin-top: 1.5rem;
		display: grid;
		gap: 0.5rem;
		max-width: 40rem;
	}
	.remove {
		margin-top: 1.25rem;
		display: flex;
		flex-wrap: wrap;
		gap: 0.625rem;
		align-items: center;
	}
	dl {
		display: grid;
		grid-template-columns: 12.5rem 1fr;
		gap: 0.375rem 0.875rem;
		margin: 0.875rem 0;
	}
	dt {
		color: var(--ink-2);
	}
	dd {
		white-space: pre-line;
	}
	@media (max-width: 640px) {
		dl {
			grid-template-columns: 1fr;
		}
	}
</style>
