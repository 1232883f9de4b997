<script lang="ts">
	import { sectionUnits } from '$lib/core/subjects/gauging/units';
	import type { StepOf } from '$lib/core/subjects/steps';
	import PhotoPanel from '../../entry/PhotoPanel.svelte';
	import { stamp } from '../../entry/writer';
	import type { StepScreen } from '../step-screen';
	import ArriveTool from './ArriveTool.svelte';

	let { screen }: { step: StepOf<'arrive'>; screen: StepScreen } = $props();

	async function position(): Promise<boolean> {
		const { writer } = screen; // the visit that the tap was meant for, whatever is on the screen when the position comes
		const found = await screen.findPosition();
		if (!found) return false;
		await writer.setAll({ 'arrival/position': found, 'arrival/confirmedBy': 'position' });
		return true;
	}
	async function photoPoint(file: Blob) {
		const { writer } = screen;
		const sha256 = await screen.keepPhoto(file);
		const base = `photos/${screen.newId()}`;
		await writer.setAll({
			[`${base}/of`]: 'photo point',
			[`${base}/takenAt`]: stamp(writer),
			[`${base}/sha256`]: sha256,
			'arrival/confirmedBy': 'photo-point'
		});
	}
</script>

<ArriveTool
	arrival={screen.sheet.arrival}
	limit={screen.card.wading}
	units={sectionUnits(screen.card)}
	site={screen.site}
	team={screen.satchel.team}
	writer={screen.writer}
	onposition={position}
	onphotopoint={photoPoint}
	addressOf={(sha256) => screen.photoAddress(sha256)}
/>
<PhotoPanel {screen} of={screen.isOnPaper ? 'paper sheet' : 'site board'} also={['photo point']} />
