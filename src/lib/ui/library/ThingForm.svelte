<script module lang="ts">
	import type { Field, Kind, Library, Texts } from '$lib/core/library';
	import type { SuperValidated } from 'sveltekit-superforms';

	export interface Props {
		kind: Kind;
		id: string | null;
		form: SuperValidated<Texts>;
		library: Library;
		today: string;
	}
</script>

<script lang="ts">
	import { untrack } from 'svelte';
	import { superForm } from 'sveltekit-superforms';
	import { zod4Client } from 'sveltekit-superforms/adapters';
	import { asShown, doubtsOn, kindNamed, lookupIn, readRow, thingForm } from '$lib/core/library';
	import { capitalised } from '$lib/core/wording';
	import ChooseFrom from '../kit/ChooseFrom.svelte';
	import PickDay from '../kit/PickDay.svelte';
	import { sayDone } from '../kit/toaster';

	let { kind, id, form: given, library, today }: Props = $props();

	/** A list that is longer is looked through by typing. */
	const SEEN_AT_A_GLANCE = 8;

	// the page makes this form anew for each thing
	const HELD = untrack(() => `keen-riffle-thing ${kind.name} ${id ?? 'new'}`);
	const held = untrack(() => heldTexts());
	const { form, errors, message, submitting, tainted, isTainted, enhance, validate, reset } = superForm(
		untrack(() => ({ ...given, data: shownTexts(given.data) })),
		{
			validators: untrack(() => zod4Client(thingForm(kind, id, library, today))),
			validationMethod: 'auto',
			resetForm: false,
			autoFocusOnError: true,
			onResult: ({ result }) => {
				if (result.type !== 'failure' && result.type !== 'error') sessionStorage.removeItem(HELD);
				if (result.type === 'redirect') sayDone(`${capitalised(kind.one)} saved.`);
			}
		}
	);
	if (held) form.set(held);
	$effect(() => {
		if (isTainted($tainted)) sessionStorage.setItem(HELD, JSON.stringify($form));
	});

	const lookup = untrack(() => lookupIn(library));
	const rowUnit = $derived(kind.unitIn?.(readRow(kind, id ?? 'new', $form, lookup).row, library) ?? '');
	const unitOf = (field: Field<unknown>) => (field.isInRowUnit ? rowUnit : field.unit);
	const doubts = $derived(doubtsOn(kind, id, $form, library, today));

	function shownTexts(texts: Texts): Texts {
		return Object.fromEntries(Object.entries(texts).map(([name, text]) => [name, asShown(kind.fields[name], text)]));
	}

	/** What was typed here and not kept, when the page was left. */
	function heldTexts(): Texts | null {
		const text = typeof sessionStorage === 'undefined' ? null : sessionStorage.getItem(HELD);
		return text === null ? null : (JSON.parse(text) as Texts);
	}

	function optionsOf(field: Field<unknown>): string[] {
		const known = [...(field.options ?? [])];
		const things = (field.refers ?? [])
			.flatMap((k) =>
				library[k].filter((row) => !kindNamed(k)?.endedOn?.(row)).map((row) => lookup.nameOf([k], row.id))
			)
			.sort((a, b) => a.localeCompare(b, 'en', { numeric: true }));
		return [...known, ...(field.optionsIn?.(library) ?? []), ...things];
	}

	const parts = (name: string) => ($form[name] ?? '').split('; ').filter(Boolean);
	function choose(name: string, text: string) {
		$form[name] = text;
		void validate(name);
	}
	const toggle = (name: string, option: string, isOn: boolean) =>
		choose(name, (isOn ? [...parts(name), option] : parts(name).filter((p) => p !== option)).join('; '));
	const startOver = () => {
		sessionStorage.removeItem(HELD);
		reset();
	};
</script>

<form method="POST" action="?/keep" novalidate use:enhance>
	{#if held && isTainted($tainted)}<p class="say ask held">
			What you typed here before is still here, not saved. <button
				type="button"
				class="btn preset-outlined-surface-500"
				onclick={startOver}>Start over</button
			>
		</p>{/if}
	<div class="fields">
		{#each Object.entries(kind.fields) as [name, field] (name)}
			{@const why = $errors[name]?.[0] ?? null}
			{@const doubt = doubts.find((d) => d.field === name)?.why}
			{@const options = optionsOf(field)}
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
							{#each options as option (option)}
								<label
									><input
										type="checkbox"
										checked={parts(name).includes(option)}
										onchange={(e) => toggle(name, option, e.currentTarget.checked)}
									/>{option}</label
								>
							{:else}<p class="small">None in the library yet.</p>{/each}
						</div>
						<input type="hidden" {name} value={$form[name]} />
					</fieldset>
				{:else}
					<label for={name}
						>{field.label}{#if unitOf(field)}<small>, {unitOf(field)}</small>{/if}{#if !field.isRequired}<small
								>&ensp;optional</small
							>{/if}</label
					>
					{#if field.control === 'one' && options.length > SEEN_AT_A_GLANCE}
						<ChooseFrom
							id={name}
							{name}
							choices={options.map((value) => ({ value, text: value }))}
							value={$form[name] ? [$form[name]] : []}
							isRequired={field.isRequired}
							isInvalid={why !== null}
							describedby={described}
							placeholder="type to find one"
							onchoose={([chosen = '']) => choose(name, chosen)}
						/>
					{:else if field.control === 'one'}
						<select
							id={name}
							{name}
							class="select"
							aria-invalid={why !== null}
							aria-describedby={described}
							bind:value={$form[name]}
						>
							<option value="">{field.isRequired ? 'choose' : 'nothing'}</option>
							{#each options as option (option)}<option>{option}</option>{/each}
						</select>
					{:else if field.control === 'lines'}
						<textarea
							id={name}
							{name}
							rows="3"
							class="textarea"
							aria-invalid={why !== null}
							aria-describedby={described}
							bind:value={$form[name]}></textarea>
					{:else}
						<div class="line">
							<input
								id={name}
								{name}
								class="input"
								autocomplete="off"
								aria-invalid={why !== null}
								aria-describedby={described}
								bind:value={$form[name]}
							/>
							{#if field.picks}
								<PickDay
									label={field.label}
									at={parts(name).at(-1)}
									onpick={(day) => choose(name, field.picks === 'day' ? day : [...parts(name), day].join('; '))}
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
		<button class="btn preset-filled-primary-500" disabled={$submitting}>{$submitting ? 'Saving' : 'Save'}</button>
		<p role="alert" class:why={$errors._errors}>
			{$errors._errors?.join(' ') ?? (isTainted($tainted) ? '' : ($message ?? ''))}
		</p>
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
