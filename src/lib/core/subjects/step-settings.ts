import { arriveSettings } from './arrival/settings';
import { bottleSettings } from './bottle/settings';
import { discSettings } from './disc/settings';
import { formSettings } from './form/settings';
import { flowSettings } from './gauging/settings';
import { kitSettings } from './kit/settings';
import { leaveSettings } from './leaving/settings';
import { readingSettings } from './reading/settings';
import type { StepSetting, StepSettings } from './setting';
import type { Step, Tool } from './steps';
import { titrationSettings } from './titration/settings';
import { tubeSettings } from './tube/settings';

/** A line for each subject that has a step. */
const all: { [T in Tool]: StepSettings<T> } = {
	arrive: arriveSettings,
	bottle: bottleSettings,
	form: formSettings,
	reading: readingSettings,
	kit: kitSettings,
	titration: titrationSettings,
	disc: discSettings,
	tube: tubeSettings,
	flow: flowSettings,
	leave: leaveSettings
};

export const settingsOfStep = (step: Step): StepSetting[] =>
	(all[step.tool] as { settings(step: Step): StepSetting[] }).settings(step);

/** The kinds of step that may be added to a card. */
export const stepExamples: readonly { tool: Tool; name: string; example: Omit<Step, 'id'> }[] = (
	Object.entries(all) as [Tool, { name: string; example: Omit<Step, 'id'> }][]
).map(([tool, { name, example }]) => ({ tool, name, example }));

/** Settings of one step that cannot both stand. */
export const contradictionsIn = (step: Step): { path: string; why: string }[] =>
	(all[step.tool] as StepSettings<Tool>).contradictions?.(step) ?? [];
