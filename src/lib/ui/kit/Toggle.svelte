<script module lang="ts">
	export interface Props {
		label: string;
		checked: boolean;
	}
</script>

<script lang="ts">
	import { Switch } from '@skeletonlabs/skeleton-svelte';

	let { label, checked = $bindable() }: Props = $props();
</script>

<!-- something of the page that is on or off at once; what a form sends is ticked instead -->
<Switch {checked} onCheckedChange={(e) => (checked = e.checked)}>
	<Switch.Control><Switch.Thumb /></Switch.Control>
	<Switch.Label>{label}</Switch.Label>
	<Switch.HiddenInput />
</Switch>
