<script module lang="ts">
	import type { Writer } from './writer';

	export interface Props {
		writer: Writer;
		path: string;
		label: string;
		/** Takes the typed time in place of keeping it. */
		ontime?: (at_iso: string) => void;
	}
</script>

<script lang="ts">
	import { instantOfTime, sayTime } from '$lib/core/wording';
	import { valueAt } from './writer';

	let { writer, path, label, ontime }: Props = $props();

	const kept = $derived(valueAt<string>(writer, path));
	let wrong = $state('');
	const opened_ms = $derived(
		Date.parse(valueAt<{ startedAt: string }>(writer, 'opening')?.startedAt ?? new Date(writer.now_ms).toISOString())
	);

	function take(text: string) {
		wrong = '';
		if (text.trim() === '') return;
		const at_ms = instantOfTime(text, opened_ms, writer.timeZone);
		if (at_ms === null) return void (wrong = `“${text.trim()}” is no time of day. Write it like 9:05 or 14.20.`);
		const at_iso = new Date(at_ms).toISOString();
		if (ontime) ontime(at_iso);
		else void writer.set(path, at_iso);
	}
</script>

<label class="time">
	<span>{label}</span>
	<input
		class="input"
		inputmode="decimal"
		autocomplete="off"
		placeholder="9:05"
		value={kept ? sayTime(Date.parse(kept), writer.timeZone) : ''}
		onchange={(e) => take(e.currentTarget.value)}
		aria-describedby="{path}-time-wrong"
	/>
	<span id="{path}-time-wrong" class="wrong" role="alert">{wrong}</span>
</label>

<style>
	.time span {
		display: block;
		font-weight: 600;
	}
	input {
		font-size: 1.375rem;
		min-height: 3.25rem;
		max-width: 10rem;
	}
	.wrong {
		color: var(--danger);
	}
</style>
