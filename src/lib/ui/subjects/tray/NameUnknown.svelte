<script module lang="ts">
	import type { StepScreen } from '../step-screen';

	export interface Props {
		stepId: string;
		/** The compartment that has no name yet. */
		code: string;
		screen: StepScreen;
	}
</script>

<script lang="ts">
	import { knownAnimals } from '../../animals/known-animals';
	import KindPicker from './KindPicker.svelte';
	import { namingOf } from './naming.svelte';

	let { stepId, code, screen }: Props = $props();
	const known = knownAnimals();

	const naming = namingOf(
		() => screen,
		() => stepId,
		() => code
	);
</script>

<KindPicker
	isFolded
	title="{known.list.nameOf(code)}: what is it?"
	{naming}
	onchoose={(name) => void screen.writer.set(`trays/${stepId}/names/${code}`, name)}
/>
