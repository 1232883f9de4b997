<script lang="ts">
	import type { FieldApp } from '$lib/field/field-app.svelte';
	import KeptNote from '$lib/ui/logbook/KeptNote.svelte';

	let { app }: { app: FieldApp } = $props();

	const mine = $derived(app.unsent.filter((e) => e.by === app.member?.id));
</script>

<KeptNote
	kept={app.keptCount + app.untoldOfBoxes}
	unsent={mine.length + app.onTheWay.ids.length + app.untoldOfBoxes}
	photos={app.unsentPhotos}
	others={app.unsent.length - mine.length}
	refused={app.refused.map((e) => ({ id: e.id, path: e.path, value: e.value, why: e.why ?? '' }))}
	standing={app.sync.standing}
	notes={app.sync.notes}
	onsend={() => app.sync.nudge()}
/>
