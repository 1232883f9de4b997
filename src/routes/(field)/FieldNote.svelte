<script lang="ts">
	import type { FieldApp } from '$lib/field/field-app.svelte';
	import KeptNote from '$lib/ui/logbook/KeptNote.svelte';

	let { app }: { app: FieldApp } = $props();

	const authors = $derived([...app.unsent.map((e) => e.by), ...app.untoldOfBoxes]);
	const mine = $derived(authors.filter((by) => by === app.member?.id).length);
</script>

<KeptNote
	kept={app.keptCount + app.untoldOfBoxes.length}
	unsent={mine + app.onTheWay.ids.length}
	photos={app.unsentPhotos}
	others={authors.length - mine}
	refused={app.refused.map((e) => ({ id: e.id, path: e.path, value: e.value, why: e.why ?? '' }))}
	standing={app.sync.standing}
	notes={app.sync.notes}
	onsend={() => app.sync.nudge()}
/>
