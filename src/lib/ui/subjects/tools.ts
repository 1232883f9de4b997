import type { Component } from 'svelte';
import type { FlagCode } from '$lib/core/subjects/flags';
import type { Step, StepOf, Tool } from '$lib/core/subjects/steps';
import type { StepScreen } from './step-screen';

interface StepTool<T extends Tool> {
	load(): Promise<{ default: Component<{ step: StepOf<T>; screen: StepScreen }> }>;
	/** It goes on by itself once begun, so its caution need not stand open. */
	takesTime?: boolean;
	/** Its screen can stand on the sheet alone, before what follows from it is worked out. */
	isBySheet?: boolean;
	/** It needs the width of a desk where there is one. */
	isWide?: boolean;
	/** It shows what the round still has before it. */
	looksAhead?: boolean;
	/** It hears what a meter shows. */
	listens?: boolean;
	/** Doubts that the tool says where the hand is; `all`: every one of its own. */
	says?: 'all' | readonly FlagCode[];
}

/** The screen of each kind of step, a line each. They are fetched when they are needed. */
const tools: { [T in Tool]: StepTool<T> } = {
	arrive: {
		load: () => import('./arrival/ArriveStep.svelte'),
		says: ['over-wading-limit', 'waded-over-limit', 'waded-untried', 'life-jacket', 'nobody-waits']
	},
	bottle: { load: () => import('./bottle/BottleStep.svelte') },
	form: { load: () => import('./form/FormStep.svelte') },
	reading: { load: () => import('./reading/ReadingStep.svelte'), listens: true, says: 'all' },
	kit: { load: () => import('./kit/KitStep.svelte'), takesTime: true },
	titration: { load: () => import('./titration/TitrationStep.svelte'), takesTime: true },
	disc: { load: () => import('./disc/DiscStep.svelte'), says: 'all' },
	tube: { load: () => import('./tube/TubeStep.svelte'), says: 'all' },
	staff: { load: () => import('./staff-gauge/StaffGaugeStep.svelte'), says: 'all' },
	flow: { load: () => import('./gauging/FlowStep.svelte'), takesTime: true, isWide: true, says: 'all' },
	net: { load: () => import('./net/NetStep.svelte'), takesTime: true, says: 'all' },
	sampler: { load: () => import('./sampler/SamplerStep.svelte'), says: 'all' },
	tray: { load: () => import('./tray/TrayStep.svelte'), isBySheet: true, isWide: true, says: 'all' },
	leave: { load: () => import('./leaving/LeaveStep.svelte'), looksAhead: true, says: 'all' }
};

/** The tool of a step, for a step whose kind is not known before. */
export const toolOf = (step: Step): StepTool<Tool> => tools[step.tool] as StepTool<Tool>;
