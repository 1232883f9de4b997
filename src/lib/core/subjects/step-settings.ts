import type { OwnParameters } from '../quantity';
import { arriveSettings } from './arrival/settings';
import { bottleSettings } from './bottle/settings';
import { discSettings } from './disc/settings';
import { formSettings } from './form/settings';
import { flowSettings } from './gauging/settings';
import { kitSettings } from './kit/settings';
import { leaveSettings } from './leaving/settings';
import { netSettings } from './net/settings';
import { readingSettings } from './reading/settings';
import { samplerSettings } from './sampler/settings';
import type { StepSetting, StepSettings } from './setting';
import { staffSettings } from './staff-gauge/settings';
import { isTool, type Step, type Tool } from './steps';
import { titrationSettings } from './titration/settings';
import { traySettings } from './tray/settings';
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
	staff: staffSettings,
	flow: flowSettings,
	net: netSettings,
	sampler: samplerSettings,
	tray: traySettings,
	leave: leaveSettings
};

const tools = Object.keys(all) as Tool[];

export const settingsOfStep = (step: Step, own: OwnParameters): StepSetting[] =>
	(all[step.tool] as { settings(step: Step, own: OwnParameters): StepSetting[] }).settings(step, own);

/** The kinds of step that may be added to a card, by name: not those of which it has the only one that there can be. */
export const stepsToAdd = (steps: readonly Step[]): { tool: Tool; name: string }[] =>
	tools
		.filter((tool) => 'again' in all[tool] || all[tool].isOfKinds || !steps.some((s) => isTool(s, tool)))
		.map((tool) => ({ tool, name: all[tool].name }));

/** A step of this kind to begin with. */
export const exampleStep = (tool: Tool): Omit<Step, 'id'> => all[tool].example;

/** What differs in a step that is done again; null where a card can have only one of its kind. */
export const againSettings = (step: Step, end: string): Partial<Step> | null =>
	(all[step.tool] as StepSettings<Tool>).again?.(step, end) ?? null;

/** Settings of one step that cannot both stand. */
export const contradictionsIn = (step: Step): { path: string; why: string }[] =>
	(all[step.tool] as StepSettings<Tool>).contradictions?.(step) ?? [];
