<script module lang="ts">
	import type { StepScreen } from '../subjects/step-screen';

	export interface Props {
		screen: Pick<StepScreen, 'flags' | 'card' | 'lines' | 'retype'>;
		/** All of the step, where no others are named. */
		flags?: StepScreen['flags'];
	}
</script>

<script lang="ts">
	import Doubts from '../logbook/Doubts.svelte';
	import { meantFigure } from '../subjects/step-screen';

	let { screen, flags = screen.flags }: Props = $props();
</script>

<!-- what is doubtful about a step, where its tool wants it said -->
<Doubts
	{flags}
	card={screen.card}
	onretype={({ path }, meant) => screen.retype(path, meantFigure(screen.lines, path, meant))}
/>
