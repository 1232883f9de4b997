<script lang="ts">
	import { onMount } from 'svelte';
	import { kindsIn, lastTapIn, nextUnnamed, tallyPath } from '$lib/core/subjects/tray/compartments';
	import { drawnOrder, sortedSquares } from '$lib/core/subjects/tray/grid';
	import type { StepOf } from '$lib/core/subjects/steps';
	import { whenPainted } from '../../after-paint.svelte';
	import { stamp } from '../../entry/writer';
	import { keypadDock } from '../../entry/keypad-dock.svelte';
	import { DOUBLE_TAP_ms } from '../../frame/Foot.svelte';
	import { knownAnimals } from '../../animals/known-animals';
	import type { StepScreen } from '../step-screen';
	import { namingOf } from './naming.svelte';
	import PickClock from './PickClock.svelte';
	import SquareGrid from './SquareGrid.svelte';
	import TrayGrid from './TrayGrid.svelte';

	let { step, screen }: { step: StepOf<'tray'>; screen: StepScreen } = $props();
	const known = knownAnimals();

	const { writer } = $derived(screen);
	const at = (place: string) => `trays/${step.id}/${place}`;
	const tray = $derived(screen.sheet.trays?.[step.id]);
	const kinds = $derived(kindsIn(screen.sheet, step.id, known.list));
	/** What no thumb waits for is fetched once the compartments are on the screen. */
	let isPainted = $state(false);
	onMount(() => whenPainted(() => (isPainted = true)));
	const isCounted = $derived(step.school !== 'classes' && step.school !== 'presence');
	/** The last tap of this hand that stands: what Undo strikes. */
	const isOwn = (by: string) => writer.initialsOf(by) === screen.me;
	const lastOwn = $derived(isCounted ? lastTapIn(screen.lines, step.id, isOwn) : undefined);
	const animals = $derived(kinds.reduce((sum, k) => sum + k.count, 0));

	/** The compartment that was tapped last: more of them at once can be typed. */
	let last = $state<string | null>(null);
	let isChoosing = $state(false);
	/** Fetched when another kind is first asked for. Where it does not come, the page says so, and what is there stays. */
	let KindPicker = $state.raw<typeof import('./KindPicker.svelte').default>();
	async function choosing() {
		KindPicker ??= (await import('./KindPicker.svelte').catch(() => null))?.default;
		isChoosing = KindPicker !== undefined;
	}

	async function tap(code: string, count = 1) {
		last = code;
		if (tray?.begunAt === undefined) void writer.set(at('begunAt'), stamp(writer));
		if (isCounted) await writer.add(tallyPath(step.id, code), count);
		else if (step.school === 'presence') await writer.set(at(`present/${code}`), true);
	}
	function undo() {
		if (lastOwn) writer.strike(tallyPath(step.id, lastOwn.code), 'one tap too many', lastOwn.entry.id);
	}
	const naming = namingOf(
		() => screen,
		() => step.id
	);
	function unknown(): string {
		const code = nextUnnamed(screen.sheet, step.id, screen.me);
		void tap(code);
		return code;
	}
	function choose(code: string) {
		isChoosing = false;
		if (!kinds.some((k) => k.code === code) || isCounted) void tap(code);
		else last = code;
	}

	/** Of a grid: what is sorted, and what comes next, until there are enough animals. */
	const sorted = $derived(step.school === 'squares' ? sortedSquares(screen.sheet, screen.lines, step.id) : []);
	const inSquares = $derived(sorted.reduce((sum, s) => sum + s.animals, 0));
	const square = $derived.by(() => {
		if (step.school !== 'squares' || inSquares >= step.enough) return null;
		const order = drawnOrder(screen.visitId, step.id, step.squares);
		return order.find((n) => !sorted.some((s) => s.square === n)) ?? null;
	});

	/** Animals of the square in hand. */
	const inHand = $derived(animals - inSquares);
	/** A thumb that taps twice does not call the next square empty with the second. */
	let done_ms = -Infinity;
	function squareDone(n: number) {
		if (inHand === 0 && performance.now() - done_ms < DOUBLE_TAP_ms) return;
		done_ms = performance.now();
		void writer.set(at(`squares/${n}/doneAt`), stamp(writer));
	}

	const dock = keypadDock();
	$effect(() => {
		dock.act = act();
		return () => (dock.act = null);
	});
	function act() {
		if (tray?.endedAt !== undefined || step.school === 'pick') return null;
		if (square !== null)
			return {
				word: inHand > 0 ? `Square ${square} is sorted` : `Square ${square} holds nothing`,
				onact: () => squareDone(square),
				isMain: inHand > 0
			};
		return kinds.length > 0
			? { word: 'All is sorted', onact: () => void writer.set(at('endedAt'), stamp(writer)), isMain: false }
			: null;
	}
</script>

{#if step.school === 'pick'}<PickClock {step} {screen} isBrief={isChoosing} />{/if}
{#if kinds.length === 0}
	<p class="lead">
		White tray, shade, a finger of water, a small batch. Squeeze the dropper before it goes in. The same animal again
		goes where its like is; what you cannot name goes to <b>unknown</b> and gets its name later.
	</p>
{/if}
{#if step.school === 'squares'}
	<p role="status">
		{#if square !== null}
			<b>Square {square}</b>: lift out all that lives in it, and tap it below. The square is drawn at random; it is
			sorted to its end.
		{:else}
			{inSquares >= step.enough ? 'These are enough.' : 'All squares are sorted.'}
		{/if}
		{inSquares} of {step.enough} animals, {sorted.length} of {step.squares} squares.
	</p>
	<SquareGrid squares={step.squares} done={sorted.map((s) => s.square)} now={square} />
{/if}
{#if isChoosing && KindPicker}
	<KindPicker
		{naming}
		onnone={() => {
			isChoosing = false;
			if (isCounted) naming.name(unknown(), null);
		}}
		onchoose={step.school === 'classes'
			? (code) => {
					isChoosing = false;
					if (tray?.classes?.[code] === undefined) void writer.set(at(`classes/${code}`), '1');
				}
			: choose}
		onclose={() => (isChoosing = false)}
	/>
{:else}
	<TrayGrid
		{kinds}
		classes={step.school === 'classes' ? (tray?.classes ?? {}) : null}
		{isCounted}
		{last}
		ontap={(code) => void tap(code)}
		onclass={(code, abundance) => void writer.set(at(`classes/${code}`), abundance)}
		onstrike={(code) => writer.strike(at(`present/${code}`), 'taken back')}
		onother={() => void choosing()}
		onundo={lastOwn ? undo : null}
		onunknown={isCounted ? () => void unknown() : null}
	/>
{/if}
{#if isCounted && kinds.length}
	<p class="sum" role="status">
		<b>{animals}</b>
		{animals === 1 ? 'animal' : 'animals'}, <b>{kinds.length}</b>
		{kinds.length === 1 ? 'kind' : 'kinds'}
		<button type="button" class="btn preset-outlined-surface-500" disabled={!lastOwn} onclick={undo}
			>Undo last tap</button
		>
	</p>
{/if}
{#if isPainted}
	{#await import('./BelowTray.svelte') then { default: BelowTray }}
		<BelowTray {step} {screen} {kinds} {last} onadd={isCounted ? (n) => void tap(last!, n) : null} />
	{/await}
{/if}

<style>
	.lead {
		max-width: 56ch;
	}
	.sum {
		display: flex;
		flex-wrap: wrap;
		gap: 0.375rem;
		align-items: center;
		margin: 0.5rem 0;
	}
	.sum b {
		font: 600 1.375rem var(--head);
	}
	.sum button {
		margin-left: auto;
		min-height: 3rem;
	}
</style>
