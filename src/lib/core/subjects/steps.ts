import { z } from 'zod';
import { arriveStep } from './arrival/step';
import { bottleStep } from './bottle/step';
import { discStep } from './disc/step';
import { formStep } from './form/step';
import { flowStep } from './gauging/step';
import { kitStep } from './kit/step';
import { leaveStep } from './leaving/step';
import { netStep } from './net/step';
import { readingStep } from './reading/step';
import { samplerStep } from './sampler/step';
import { staffStep } from './staff-gauge/step';
import { remembered } from './remember';
import type { StepKind } from './step-kind';
import { titrationStep } from './titration/step';
import { trayStep } from './tray/step';
import { tubeStep } from './tube/step';

/** What a card may ask to be done, a line for each subject that has a step. */
export const stepKinds = {
	arrive: arriveStep,
	bottle: bottleStep,
	form: formStep,
	reading: readingStep,
	kit: kitStep,
	titration: titrationStep,
	disc: discStep,
	tube: tubeStep,
	staff: staffStep,
	flow: flowStep,
	net: netStep,
	sampler: samplerStep,
	tray: trayStep,
	leave: leaveStep
};

export type Tool = keyof typeof stepKinds;
export const isToolName = (word: string): word is Tool => Object.hasOwn(stepKinds, word);
type Schema = (typeof stepKinds)[Tool]['schema'];

export const Step = z.discriminatedUnion(
	'tool',
	Object.values(stepKinds).map((kind) => kind.schema) as unknown as [Schema, ...Schema[]]
);
export type Step = z.infer<Schema>;
export type StepOf<T extends Tool> = Extract<Step, { tool: T }>;

/** What is known of a step's kind. */
export const kindOf = (step: Step): StepKind<Step> => stepKinds[step.tool];

export const isTool = <T extends Tool>(step: Step, tool: T): step is StepOf<T> => step.tool === tool;

/** A card's steps of one kind, in its own sequence. */
export const stepsOf = <T extends Tool>({ steps }: { steps: readonly Step[] }, tool: T): StepOf<T>[] =>
	steps.filter((s) => isTool(s, tool));

/** Places of a step and its waits; worked out once, for they are asked for with every line. */
const ownPlaces = remembered((step: Step) =>
	[...kindOf(step).places(step), ...[step.id, ...(kindOf(step).waits ?? [])].map((id) => `waits/${id}`)].map(
		(place) => ({ place, within: `${place}/` })
	)
);

/** Whether a path of the sheet, or the clock of that name, belongs to a step. */
export const belongsTo = (step: Step, path: string): boolean =>
	ownPlaces(step).some(({ place, within }) => path === place || path.startsWith(within));
