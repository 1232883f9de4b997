<script lang="ts">
	import type { Unit } from '$lib/core/quantity';
	import type { Flag } from '$lib/core/subjects/flags';
	import { sectionUnits } from '$lib/core/subjects/gauging/units';
	import type { StepOf } from '$lib/core/subjects/steps';
	import type { StepScreen } from '../step-screen';
	import GaugeTool from './GaugeTool.svelte';

	let { step, screen }: { step: StepOf<'flow'>; screen: StepScreen } = $props();

	/** In a section the doubt is about a vertical: the field that is meant is named by it. */
	function retype(flag: Flag, { value, unit }: { value: number; unit: Unit }) {
		const field = (flag.code === 'unit-slip' && flag.evidence.field) || 'velocity_m_s';
		screen.retype(`${flag.path}/${field}`, unit === 'm' || unit === 'm_s' ? value : { value, unit });
	}
</script>

<GaugeTool
	{step}
	card={screen.card}
	gaugings={screen.sheet.gaugings}
	views={screen.gaugings}
	flows={screen.outcome.flows}
	onretype={retype}
	units={sectionUnits(screen.card)}
	flags={screen.flags}
	meters={screen.instrumentsFor('velocity')}
	writer={screen.writer}
	newId={() => screen.newId()}
	onstart={() => screen.mayCall()}
	flumes={screen.satchel.flumes}
/>
