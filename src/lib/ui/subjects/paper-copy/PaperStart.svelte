<script module lang="ts">
	export interface Props {
		sites: readonly { id: string; name: string }[];
		/** ISO date where the program is. */
		today: string;
		timeZone: string;
		now_ms: number;
		onstart: (siteId: string, startedAt: string) => void;
	}
</script>

<script lang="ts">
	import { instantOfTime } from '$lib/core/wording';

	let { sites, today, timeZone, now_ms, onstart }: Props = $props();

	let siteId = $state('');
	let typedDay = $state('');
	const day = $derived(typedDay || today);
	let time = $state('');
	let wrong = $state('');

	function start() {
		const at_ms = instantOfTime(time, Date.parse(`${day}T12:00:00Z`), timeZone);
		if (siteId === '') return void (wrong = 'Say at which site it was.');
		if (at_ms === null || Number.isNaN(at_ms)) return void (wrong = 'When did the visit begin? Write it like 9:05.');
		if (at_ms > now_ms) return void (wrong = 'That lies in the future. Look at the day and the time again.');
		onstart(siteId, new Date(at_ms).toISOString());
	}
</script>

<p class="small">
	Photograph the sheet, then type it as it stands, slips and all. Somebody else opens the same visit and types it once
	more without seeing yours; the differences show.
</p>
<label
	>Site
	<select class="select" bind:value={siteId}>
		<option value="">choose</option>
		{#each sites as place (place.id)}<option value={place.id}>{place.name}</option>{/each}
	</select></label
>
<div class="pair">
	<label
		>Day <input
			class="input"
			type="date"
			max={today}
			value={day}
			onchange={(e) => (typedDay = e.currentTarget.value)}
		/></label
	>
	<label
		>Begun at <input
			class="input"
			inputmode="decimal"
			placeholder="9:05"
			autocomplete="off"
			bind:value={time}
			aria-describedby="paper-wrong"
		/></label
	>
</div>
<p id="paper-wrong" class="wrong" role="alert">{wrong}</p>
<button type="button" class="btn preset-filled-primary-500" onclick={start}>Type it in</button>

<style>
	label {
		display: block;
		margin-top: 0.5rem;
	}
	select,
	input {
		min-height: 3rem;
	}
	.pair {
		display: grid;
		grid-template-columns: 1fr 1fr;
		gap: 0.5rem;
	}
	.btn {
		min-height: 3rem;
		margin: 0.5rem 0 0.875rem;
	}
	.wrong {
		color: var(--danger);
		font-weight: 600;
	}
</style>
