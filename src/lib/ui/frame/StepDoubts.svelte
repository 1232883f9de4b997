<script module lang="ts">
	import type { StepScreen } from '../subjects/step-screen';

	export interface Props {
		screen: Pick<StepScreen, 'flags' | 'card' | 'lines' | 'retype'>;
	}
</script>

<script lang="ts">
	import Doubts from '../logbook/Doubts.svelte';
	import { meantFigure } from '../subjects/step-screen';

	let { screen }: Props = $props();
</script>

<!-- what is doubtful about a step, where its tool wants it said -->
<Doubts
	flags={screen.flags}
	card={screen.card}
	onretype={({ path }, meant) => screen.retype(path, meantFigure(screen.lines, path, meant))}
/>
