<script module lang="ts">
	import type { Contradiction } from '$lib/core/method';
	import type { Setting } from '$lib/core/subjects/setting';

	export interface Props {
		settings: Setting[];
		version: number;
		mayKeep: boolean;
		/** What was added, repeated, removed or moved: kept together with the settings. */
		changes?: readonly string[];
		why: Contradiction[];
	}
</script>

<script lang="ts">
	import { untrack } from 'svelte';
	import { enhance } from '$app/forms';
	import { settingAsShown } from '$lib/core/subjects/setting';
	import { counted } from '$lib/core/wording';
	import Fold from '../kit/Fold.svelte';

	let { settings, version, mayKeep, changes = [], why }: Props = $props();

	// the page makes this form anew for each version; what was typed stays when a step is added
	let texts = $state(untrack(() => Object.fromEntries(settings.map((s) => [s.path, settingAsShown(s)]))));
	let given = untrack(() => ({ ...texts }));
	$effect.pre(() => {
		for (const setting of settings)
			untrack(() => {
				const { path } = setting;
				const text = settingAsShown(setting);
				const isTyped = texts[path] !== undefined && texts[path] !== given[path];
				if (!isTyped) texts[path] = text;
				given[path] = text;
			});
	});
	const groups = $derived([...new Set(settings.map((s) => s.group))]);
	const changed = $derived(settings.filter((s) => texts[s.path] !== settingAsShown(s)));
	const said = $derived.by(() => {
		const parts = [
			changes.length ? counted(changes.length, 'change') + ' of the steps' : '',
			changed.length ? counted(changed.length, 'setting') + ' changed' : ''
		].filter(Boolean);
		return parts.length ? `${parts.join(', ')}.` : 'Nothing is changed.';
	});
	const whyAt = (path: string) => why.find((w) => w.path === path)?.why;
	const isOpen = (group: string) =>
		!['Limits'].includes(group) || settings.some((s) => s.group === group && whyAt(s.path));
</script>

<form
	method="POST"
	action="?/keep"
	use:enhance={() =>
		({ update }) =>
			update({ reset: false })}
>
	<input type="hidden" name="on" value={version} />
	{#each changes as change, i (i)}<input type="hidden" name="with" value={change} />{/each}
	{#each groups as group (group)}
		<div class="group">
			<Fold title={group} heading="h2" isOpen={isOpen(group)}>
				{#each settings.filter((s) => s.group === group) as setting (setting.path)}
					{@const said = whyAt(setting.path)}
					<div class="setting" class:changed={texts[setting.path] !== settingAsShown(setting)}>
						<label for={setting.path}>{setting.label}</label>
						<div>
							{#if setting.options}
								<select
									id={setting.path}
									name={setting.path}
									class="select"
									disabled={!mayKeep}
									bind:value={texts[setting.path]}
									aria-invalid={said !== undefined}
								>
									{#each setting.options as option (option.code)}<option value={option.code}>{option.word}</option
										>{/each}
								</select>
							{:else if setting.control === 'lines'}
								<textarea
									id={setting.path}
									name={setting.path}
									class="textarea"
									rows={setting.path === 'rules' ? 7 : 2}
									readonly={!mayKeep}
									bind:value={texts[setting.path]}
									aria-invalid={said !== undefined}></textarea>
							{:else}
								<input
									id={setting.path}
									name={setting.path}
									class="input"
									class:short={setting.control === 'number'}
									inputmode={setting.control === 'number' ? 'decimal' : undefined}
									autocomplete="off"
									readonly={!mayKeep}
									bind:value={texts[setting.path]}
									aria-invalid={said !== undefined}
								/>
							{/if}
							{#if texts[setting.path] !== settingAsShown(setting)}<small
									>was <s class="struck"
										>{setting.options?.find((o) => o.code === setting.text)?.word ??
											(settingAsShown(setting) || 'nothing')}</s
									></small
								>{/if}
							{#if said}<p class="why">{said}</p>{/if}
						</div>
					</div>
				{/each}
			</Fold>
		</div>
	{/each}
	{#if mayKeep}
		<div class="end">
			<button class="btn preset-filled-primary-500" disabled={changed.length + changes.length === 0}
				>Save as version {version + 1}</button
			>
			<p class="small" role="status">
				{said}
			</p>
		</div>
	{/if}
</form>

<style>
	.group {
		border-bottom: 1px solid var(--rule);
		padding: 0.375rem 0 0.5rem;
	}
	.setting {
		display: grid;
		grid-template-columns: minmax(0, 15em) minmax(0, 1fr);
		gap: 0.25rem 0.875rem;
		padding: 0.25rem 0 0.25rem 0.625rem;
		border-left: 3px solid transparent;
		align-items: baseline;
	}
	.setting.changed {
		border-color: var(--ochre-2);
	}
	label {
		color: var(--ink-2);
	}
	.short {
		max-width: 8em;
	}
	.why {
		color: var(--danger);
		font-weight: 600;
	}
	.end {
		position: sticky;
		bottom: 0;
		display: flex;
		gap: 0.875rem;
		align-items: center;
		padding: 0.625rem 0;
		background: var(--paper);
		border-top: 2px solid var(--ink);
	}
	@media (max-width: 640px) {
		.setting {
			grid-template-columns: 1fr;
		}
	}
</style>
