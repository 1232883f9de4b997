<script module lang="ts">
	import type { Writer } from './writer';

	export interface Props {
		writer: Writer;
		path: string;
		label: string;
		/**
		 * What goes without saying beside it, a picture say: the label is read out only, its words stand in the empty
		 * field.
		 */
		isBare?: boolean;
		rows?: number;
	}
</script>

<script lang="ts">
	import { untrack } from 'svelte';
	import { inSentence, capitalised } from '$lib/core/wording';
	import { whyRefused } from '$lib/core/logbook';
	import Struck from '../logbook/Struck.svelte';
	import { valueAt } from './writer';

	let { writer, path, label, isBare = false, rows = 1 }: Props = $props();

	const kept = $derived(valueAt<string>(writer, path));
	let text = $state(untrack(() => writer.drafts[path] ?? ''));
	let isTyping = $state(untrack(() => writer.drafts[path] !== undefined));
	let wrong = $state('');
	const id = $derived(`words-${path}`);

	/** Words are kept as the hand leaves them, never cut: what is too long stays where it is, with the reason. */
	function take() {
		if (!isTyping) return;
		const words = text.trim();
		const why = words === '' ? null : whyRefused(path, words);
		if (why !== null)
			return void (wrong = `${capitalised(why)}, these are ${words.length}. Shorten it; nothing is lost.`);
		isTyping = false;
		writer.draft(path, '');
		if (words === (kept ?? '')) return;
		if (words === '') writer.strike(path, 'taken back');
		else void writer.set(path, words);
	}

	function type(value: string) {
		[isTyping, text, wrong] = [true, value, ''];
		writer.draft(path, value);
	}
</script>

<div>
	<label for={id} class:visually-hidden={isBare}>{label}</label>
	<textarea
		{id}
		class="textarea"
		{rows}
		placeholder={isBare ? inSentence(label) : ''}
		value={isTyping ? text : (kept ?? '')}
		oninput={(e) => type(e.currentTarget.value)}
		onblur={take}
		aria-describedby="{id}-wrong"></textarea>
	<span id="{id}-wrong" class="wrong" role="alert">{wrong}</span>
	<Struck line={writer.lines.get(path)} {writer} />
</div>

<style>
	label {
		font-size: 0.9375rem;
		color: var(--ink-2);
	}
	textarea {
		width: 100%;
		min-height: 3rem;
		font-size: 1.0625rem;
		field-sizing: content;
	}
	.wrong {
		display: block;
		color: var(--danger);
		font-weight: 600;
		font-size: 0.9375rem;
	}
</style>
