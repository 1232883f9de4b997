<script module lang="ts">
	import type { Missing } from '$lib/core/evaluate';
	import type { Flag } from '$lib/core/quality';

	export interface Props {
		missing: Missing[];
		flags: Flag[];
		leftAt: string | undefined;
		timeZone: string;
		hrefOf: (stepId: string) => string;
		onleave: () => void;
	}
</script>

<script lang="ts">
	import { flagSentence, sayTime } from '$lib/core/interpret';
	import { weightOf } from '$lib/core/quality';

	let { missing, flags, leftAt, timeZone, hrefOf, onleave }: Props = $props();

	const doubts = $derived(flags.filter((f) => weightOf(f) !== 'note'));
</script>

{#if missing.length}
	<h2 class="ruled">Still missing</h2>
	<ul>
		{#each missing as one (one.step)}
			<li>
				<a href={hrefOf(one.step)}>{one.what}</a>
				<p class="small">{one.cost}</p>
			</li>
		{/each}
	</ul>
{:else}
	<p class="say"><b>Nothing is missing.</b> Lids, labels, ice: look once more.</p>
{/if}

{#if doubts.length}
	<h2 class="ruled">Worth a second look before you go</h2>
	<ul>
		{#each doubts as flag, i (i)}<li>{flagSentence(flag)}</li>{/each}
	</ul>
{/if}

{#if leftAt}
	<p class="say">
		<b>Left at {sayTime(Date.parse(leftAt), timeZone)}.</b> The visit is whole; what is not sent yet goes when there is a network. Clean, drain and dry nets and boots
		before another water.
	</p>
{:else}
	<button type="button" class="act main big" onclick={onleave}>{missing.length ? 'Leave without them' : 'Checked, we are leaving'}</button>
{/if}

<style>
	h2 {
		margin-top: 14px;
	}
	li {
		padding: 8px 0;
		border-bottom: 1px solid var(--rule);
	}
	li a {
		font-weight: 600;
		display: inline-block;
		min-height: 28px;
	}
	.big {
		width: 100%;
		min-height: 60px;
		font-size: 19px;
		margin-top: 16px;
	}
	.say {
		margin-top: 12px;
	}
</style>
