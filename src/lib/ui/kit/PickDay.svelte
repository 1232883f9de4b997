<script module lang="ts">
	export interface Props {
		/** What the day is of: "Season begins". */
		label: string;
		/** The day that the calendar opens at, as an ISO date. */
		at?: string | undefined;
		onpick: (day: string) => void;
	}
</script>

<script lang="ts">
	import CalendarDays from '@lucide/svelte/icons/calendar-days';

	let { label, at = '', onpick }: Props = $props();

	let calendar = $state<HTMLInputElement>();
</script>

<!-- the browser's own calendar, beside a line that takes a day as people write it -->
<button
	type="button"
	class="btn preset-outlined-surface-500"
	aria-label="Calendar: {label}"
	onclick={() => calendar?.showPicker()}
>
	<CalendarDays size={18} aria-hidden="true" />
</button>
<input
	bind:this={calendar}
	type="date"
	tabindex="-1"
	aria-hidden="true"
	value={at}
	onchange={(e) => {
		if (e.currentTarget.value) onpick(e.currentTarget.value);
	}}
/>

<style>
	button {
		align-self: stretch;
	}
	/* the calendar opens where the line ends; the field itself is not for typing in */
	input {
		width: 0;
		margin: 0;
		opacity: 0;
		pointer-events: none;
	}
</style>
