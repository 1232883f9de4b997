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
	import { DatePicker, parseDate, Portal } from '@skeletonlabs/skeleton-svelte';
	import CalendarDays from '@lucide/svelte/icons/calendar-days';
	import ChevronLeft from '@lucide/svelte/icons/chevron-left';
	import ChevronRight from '@lucide/svelte/icons/chevron-right';

	let { label, at = '', onpick }: Props = $props();

	// a line that holds no day yet opens at this month
	const shown = $derived(/^\d{4}-\d{2}-\d{2}$/.test(at) ? [parseDate(at)] : []);
</script>

<!-- a calendar beside a line that takes a day as people write it -->
<DatePicker
	class="pick-day"
	locale="en-GB"
	startOfWeek={1}
	value={shown}
	onValueChange={(e) => {
		const [day] = e.value;
		if (day) onpick(day.toString());
	}}
>
	<DatePicker.Control>
		<DatePicker.Trigger class="pick-day-open" aria-label="Calendar: {label}"
			><CalendarDays size={18} aria-hidden="true" /></DatePicker.Trigger
		>
	</DatePicker.Control>
	<Portal>
		<DatePicker.Positioner>
			<DatePicker.Content class="pick-day-month">
				<DatePicker.View view="day">
					<DatePicker.Context>
						{#snippet children(picker)}
							<DatePicker.ViewControl>
								<DatePicker.PrevTrigger aria-label="Month before"><ChevronLeft size={18} /></DatePicker.PrevTrigger>
								<DatePicker.RangeText />
								<DatePicker.NextTrigger aria-label="Month after"><ChevronRight size={18} /></DatePicker.NextTrigger>
							</DatePicker.ViewControl>
							<DatePicker.Table>
								<DatePicker.TableHead>
									<DatePicker.TableRow>
										{#each picker().weekDays as day (day.long)}
											<DatePicker.TableHeader aria-label={day.long}>{day.short}</DatePicker.TableHeader>
										{/each}
									</DatePicker.TableRow>
								</DatePicker.TableHead>
								<DatePicker.TableBody>
									{#each picker().weeks as week, i (i)}
										<DatePicker.TableRow>
											{#each week as day (day.toString())}
												<DatePicker.TableCell value={day}>
													<DatePicker.TableCellTrigger>{day.day}</DatePicker.TableCellTrigger>
												</DatePicker.TableCell>
											{/each}
										</DatePicker.TableRow>
									{/each}
								</DatePicker.TableBody>
							</DatePicker.Table>
						{/snippet}
					</DatePicker.Context>
				</DatePicker.View>
			</DatePicker.Content>
		</DatePicker.Positioner>
	</Portal>
</DatePicker>

<style>
	:global(.pick-day) {
		display: inline-flex;
	}
	:global(.pick-day .pick-day-open) {
		position: static;
		width: 2.75rem;
		height: 100%;
		min-height: 2.25rem;
		border: 1.5px solid var(--ink-3);
		background: var(--page);
		color: var(--ink);
	}
	@media (pointer: coarse) {
		:global(.pick-day .pick-day-open) {
			min-height: 2.75rem;
		}
	}
	:global(.pick-day-month) {
		z-index: 25;
	}
	:global(.pick-day-month [data-part='table']) {
		border-spacing: 2px;
	}
	:global(.pick-day-month [data-part='table-cell-trigger']) {
		min-width: 2.25rem;
		min-height: 2.25rem;
		cursor: pointer;
	}
	:global(.pick-day-month [data-outside-range]) {
		color: var(--ink-3);
	}
</style>
