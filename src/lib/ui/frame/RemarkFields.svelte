<!-- What is remarked of a step, in words and in pictures: fetched when it is opened. -->
<script module lang="ts">
	import type { StepScreen } from '../subjects/step-screen';

	export interface Props {
		screen: StepScreen;
		/** Where the words stand in the sheet. */
		path: string;
		/** What the pictures are of, and what that was called once. */
		of: string;
		also: readonly string[];
	}
</script>

<script lang="ts">
	import PhotoPanel from '../entry/PhotoPanel.svelte';
	import WordsField from '../entry/WordsField.svelte';

	let { screen, path, of, also }: Props = $props();
</script>

<WordsField
	writer={screen.writer}
	{path}
	label="What a figure does not say: whoever comes next reads it on arrival"
	rows={2}
/>
<PhotoPanel {screen} {of} {also} />
