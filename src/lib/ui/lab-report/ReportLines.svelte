<script module lang="ts">
	import type { ReportLine, RowCorrection } from '$lib/core/lab-report';
	import type { OwnParameters } from '$lib/core/quantity';

	export interface Props {
		lines: ReportLine[];
		/** For labels that no bottle has: those that are nearly written so. */
		near: Record<string, string[]>;
		own: OwnParameters;
		/** What was said of rows, by line. */
		corrections: Record<string, RowCorrection>;
		oncorrect: (line: number, correction: RowCorrection) => void;
	}
</script>

<script lang="ts">
	import { parameterOf, units, writeFigure, type Unit } from '$lib/core/quantity';

	let { lines, near, own, corrections, oncorrect }: Props = $props();

	const SHOWN = 300;
	const words: Record<ReportLine['verdict'], string> = {
		new: 'new',
		corrects: 'corrects',
		same: 'nothing new',
		refused: 'refused',
		'left out': 'left out'
	};
	const count = (verdict: ReportLine['verdict']) => lines.filter((l) => l.verdict === verdict).length;
	const doubted = $derived(lines.filter((l) => l.doubts.length > 0).length);
	/** What needs a person first, then what is unlikely. */
	const urgency = ({ verdict, doubts }: ReportLine) => {
		if (verdict === 'refused') return 0;
		return doubts.length ? 1 : 2;
	};
	const ordered = $derived([...lines].sort((a, b) => urgency(a) - urgency(b) || a.line - b.line).slice(0, SHOWN));
	const nameOf = ({ parameter }: ReportLine) => (parameter === null ? '' : parameterOf(parameter, own).name);
	const saidOf = ({ line }: ReportLine): RowCorrection => corrections[line] ?? {};
</script>

<p class="sum">
	{#each Object.keys(words) as verdict (verdict)}
		{@const n = count(verdict as ReportLine['verdict'])}
		{#if n}<b>{n}</b> {words[verdict as ReportLine['verdict']]} &nbsp;{/if}
	{/each}
	{#if doubted}<span class="small">{doubted} to be looked at</span>{/if}
</p>
<div class="wide">
	<table class="table">
		<thead>
			<tr
				><th class="number">Row</th><th>Bottle</th><th>Figure</th><th></th><th class="reason"
					>What to know, or why not</th
				><th></th></tr
			>
		</thead>
		<tbody>
			{#each ordered as line (line.line)}
				<tr>
					<td class="number">{line.line}</td>
					<td class="whole"
						>{line.label || 'none'}{#if saidOf(line).label}<small>corrected here</small>{/if}</td
					>
					<td>
						{nameOf(line)}
						{#if line.figure}<b>{writeFigure(line.figure)}</b>{/if}
						{#if line.was}<small>before: <s class="struck">{writeFigure(line.was)}</s></small>{/if}
					</td>
					<td class={line.verdict === 'left out' ? 'same' : line.verdict}>{words[line.verdict]}</td>
					<td>
						{#each [...line.why, ...line.doubts] as sentence (sentence)}<p>{sentence}</p>{/each}
						{#if line.isLabelUnknown || saidOf(line).label}
							<div class="asks">
								{#each near[line.label] ?? [] as label (label)}
									<button
										type="button"
										class="btn preset-outlined-primary-500"
										onclick={() => oncorrect(line.line, { ...saidOf(line), label })}>It is {label}</button
									>
								{/each}
								{#if saidOf(line).label}
									<button
										type="button"
										class="btn preset-outlined-surface-500"
										onclick={() => oncorrect(line.line, { ...saidOf(line), label: undefined })}
										>Back to the label in the file</button
									>
								{/if}
							</div>
						{/if}
						{#if line.unitsThatFit.length || saidOf(line).unit}
							<div class="asks">
								{#each line.unitsThatFit.slice(0, 3) as unit (unit)}
									<button
										type="button"
										class="btn preset-outlined-primary-500"
										onclick={() => oncorrect(line.line, { ...saidOf(line), unit })}
										>It is in {units[unit as Unit].symbol}</button
									>
								{/each}
								{#if saidOf(line).unit}
									<button
										type="button"
										class="btn preset-outlined-surface-500"
										onclick={() => oncorrect(line.line, { ...saidOf(line), unit: undefined })}
										>Back to the unit in the file</button
									>
								{/if}
							</div>
						{/if}
					</td>
					<td class="whole">
						{#if line.verdict !== 'same'}
							<button
								type="button"
								class="btn preset-outlined-surface-500"
								onclick={() => oncorrect(line.line, { ...saidOf(line), isLeftOut: !saidOf(line).isLeftOut })}
								>{saidOf(line).isLeftOut ? 'Take it in' : 'Leave out'}<span class="visually-hidden">
									row {line.line}</span
								></button
							>
						{/if}
					</td>
				</tr>
			{/each}
		</tbody>
	</table>
</div>
{#if lines.length > SHOWN}<p class="small">
		And {lines.length - SHOWN} more rows; refused and unlikely ones stand first.
	</p>{/if}

<style>
	.sum {
		margin: 0.75rem 0 0.375rem;
	}
	.wide {
		overflow-x: auto;
	}
	td small {
		display: block;
	}
	td p {
		margin: 0;
	}
	td.whole,
	td.whole button {
		white-space: nowrap;
	}
	.reason {
		min-width: 16rem;
	}
	td.refused {
		color: var(--danger);
		font-weight: 600;
	}
	td.new,
	td.corrects {
		color: var(--water);
		font-weight: 600;
	}
	.asks {
		display: flex;
		flex-wrap: wrap;
		gap: 0.375rem;
		margin-top: 0.25rem;
	}
</style>
