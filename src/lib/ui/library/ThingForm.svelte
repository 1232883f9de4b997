<script module lang="ts">
	import type { Field, Kind, Library, Objection, Texts } from '$lib/core/library';

	export interface Props {
		kind: Kind;
		id: string | null;
		texts: Texts;
		/** What the server said against it. */
		objections: Objection[];
		said: string | null;
		library: Library;
		today: string;
	}
</script>

<script lang="ts">
	import PickDay from '../kit/PickDay.svelte';
	import { untrack } from 'svelte';
	import { enhance } from '$app/forms';
	import { kindNamed, lookupIn } from '$lib/core/library';
	import { ThingDraft } from './thing-draft.svelte';

	let { kind, id, texts, objections, said, library, today }: Props = $props();

	// the page makes this form anew for each thing
	const HELD = untrack(() => `keen-riffle-thing ${kind.name} ${id ?? 'new'}`);
	const held = untrack(() => heldTexts());
	const draft = untrack(() => new ThingDraft(kind, id, held ?? texts, library, today));
	let isSending = $state(false);
	let serverSaid = $state(untrack(() => said));
	let serverWhy = $state(untrack(() => objections));
	$effect(() => {
		serverSaid = said;
		serverWhy = objections;
		if (objections.length) untrack(() => draft.leaveAll());
	});

	const lookup = untrack(() => lookupIn(library));
	const whole = $derived(serverWhy.filter((o) => o.field === '').map((o) => o.why));
	const whyAt = (field: string) => serverWhy.find((o) => o.field === field)?.why ?? draft.whyAt(field);

	/** What was typed here and not kept, when the page was left. */
	function heldTexts(): Texts | null {
		const text = typeof sessionStorage === 'undefined' ? null : sessionStorage.getItem(HELD);
		return text === null ? null : (JSON.parse(text) as Texts);
	}

	function type(field: string, text: string) {
		draft.type(field, text);
		serverSaid = null;
		serverWhy = serverWhy.filter((o) => o.field !== field && o.field !== '');
		sessionStorage.setItem(HELD, JSON.stringify(draft.texts));
	}

	function optionsOf(field: Field<unknown>): string[] {
		const known = [...(field.options ?? [])];
		const things = (field.refers ?? [])
			.flatMap((k) =>
				library[k].filter((row) => !kindNamed(k)?.endedOn?.(row)).map((row) => lookup.nameOf([k], row.id))
			)
			.sort((a, b) => a.localeCompare(b, 'en', { numeric: true }));
		return [...known, ...things];
	}

	const parts = (field: string) => (draft.texts[field] ?? '').split('; ').filter(Boolean);
	const toggle = (field: string, option: string, isOn: boolean) =>
		type(
			field,
			isOn
				? [...parts(field), option].join('; ')
				: parts(field)
						.filter((p) => p !== option)
						.join('; ')
		);
	const startOver = () => {
		sessionStorage.removeItem(HELD);
		draft.texts = { ...texts };
		serverWhy = [];
	};
</script>

<form
	method="POST"
	action="?/keep"
	novalidate
	use:enhance={({ cancel, formElement }) => {
		draft.leaveAll();
		if (draft.objections.length) {
			cancel();
			const first = Object.keys(kind.fields).find((f) => draft.objections.some((o) => o.field === f));
			formElement.querySelector<HTMLElement>(`[name="${first ?? ''}"]`)?.focus();
			return;
		}
		isSending = true;
		return async ({ result, update }) => {
			isSending = false;
			if (result.type !== 'failure' && result.type !== 'error') sessionStorage.removeItem(HELD);
			await update({ reset: false });
		};
	}}
>
	{#if held}<p class="say ask held">
			What you typed here before is still here, not kept. <button
				type="button"
				class="btn preset-outlined-surface-500"
				onclick={startOver}>Start over</button
			>
		</p>{/if}
	<div class="fields">
		{#each Object.entries(kind.fields) as [name, field] (name)}
			{@const why = whyAt(name)}
			{@const doubt = draft.doubtAt(name)}
			{@const described =
				[field.help ? `${name}-help` : '', why ? `${name}-why` : '', doubt ? `${name}-doubt` : '']
					.filter(Boolean)
					.join(' ') || undefined}
			<div
				class="field"
				class:wide={field.control === 'lines' || field.control === 'several'}
				class:wrong={why !== null}
			>
				{#if field.control === 'several'}
					<fieldset aria-describedby={described}>
						<legend
							>{field.label}{#if !field.isRequired}<small>&ensp;optional</small>{/if}</legend
						>
						<div class="several">
							{#each optionsOf(field) as option (option)}
								<label
									><input
										type="checkbox"
										{name}
										value={option}
										checked={parts(name).includes(option)}
										onchange={(e) => {
											toggle(name, option, e.currentTarget.checked);
											draft.leave(name);
										}}
									/>{option}</label
								>
							{:else}<p class="small">None in the library yet.</p>{/each}
						</div>
					</fieldset>
				{:else}
					<label for={name}
						>{field.label}{#if field.unit}<small>, {field.unit}</small>{/if}{#if !field.isRequired}<small
								>&ensp;optional</small
							>{/if}</label
					>
					{#if field.control === 'one'}
						<select
							id={name}
							{name}
							class="select"
							aria-invalid={why !== null}
							aria-describedby={described}
							value={draft.texts[name] ?? ''}
							onchange={(e) => {
								type(name, e.currentTarget.value);
								draft.leave(name);
							}}
						>
							<option value="">{field.isRequired ? 'choose' : 'nothing'}</option>
							{#each optionsOf(field) as option (option)}<option>{option}</option>{/each}
						</select>
					{:else if field.control === 'lines'}
						<textarea
							id={name}
							{name}
							rows="3"
							class="textarea"
							aria-invalid={why !== null}
							aria-describedby={described}
							value={draft.texts[name] ?? ''}
							oninput={(e) => type(name, e.currentTarget.value)}
							onblur={() => draft.leave(name)}></textarea>
					{:else}
						<div class="line">
							<input
								id={name}
								{name}
								class="input"
								autocomplete="off"
								aria-invalid={why !== null}
								aria-describedby={described}
								value={draft.texts[name] ?? ''}
								oninput={(e) => type(name, e.currentTarget.value)}
								onblur={() => draft.leave(name)}
							/>
							{#if field.picks}
								<PickDay
									label={field.label}
									at={parts(name).at(-1)}
									onpick={(day) => {
										type(name, field.picks === 'day' ? day : [...parts(name), day].join('; '));
										draft.leave(name);
									}}
								/>
							{/if}
						</div>
					{/if}
				{/if}
				{#if field.help}<p id="{name}-help" class="small">{field.help}</p>{/if}
				{#if why}<p id="{name}-why" class="why">{why}</p>{/if}
				{#if doubt}<p id="{name}-doubt" class="doubt">{doubt}</p>{/if}
			</div>
		{/each}
	</div>
	<div class="end">
		<button class="btn preset-filled-primary-500" disabled={isSending}>{isSending ? 'Saving' : 'Save'}</button>
		<p role="alert" class:why={whole.length}>{whole.join(' ') || serverSaid || ''}</p>
	</div>
</form>

<style>
	.line {
		display: flex;
		gap: 0.375rem;
	}
	.fields {
		display: grid;
		grid-template-columns: repeat(2, minmax(0, 1fr));
		gap: 0.875rem 1.625rem;
		margin-top: 1rem;
	}
	.field.wide {
		grid-column: 1 / -1;
	}
	label,
	legend {
		font-weight: 600;
	}
	label small,
	legend small {
		font-weight: 400;
	}
	:is(.input, .select, .textarea) {
		min-height: 2.5rem;
		margin-top: 2px;
	}
	.wrong :is(.input, .select, .textarea) {
		border-color: var(--danger);
	}
	.several {
		display: flex;
		flex-wrap: wrap;
		gap: 0.25rem 1.125rem;
		max-height: 13.75rem;
		overflow-y: auto;
		padding: 0.25rem 0;
	}
	.several label {
		font-weight: 400;
		display: flex;
		gap: 0.375rem;
		align-items: center;
		min-height: 2rem;
	}
	.why {
		color: var(--danger);
		font-weight: 600;
	}
	.doubt {
		color: var(--ochre);
		font-weight: 600;
	}
	.held {
		display: flex;
		gap: 0.75rem;
		align-items: center;
		margin-top: 0.75rem;
	}
	.end {
		display: flex;
		gap: 0.875rem;
		align-items: center;
		margin-top: 1.125rem;
	}
	@media (max-width: 640px) {
		.fields {
			grid-template-columns: 1fr;
		}
		:is(.input, .select, .textarea) {
			min-height: 3rem;
			font-size: 1.0625rem;
		}
	}
</style>
