import { describe, expect, it } from 'vitest';
import { flagsBySubject } from './flags';
import { exampleStep, settingsOfStep } from './step-settings';
import { Step, stepKinds, type Tool } from './steps';

const tools = Object.keys(stepKinds) as Tool[];

describe('the lists of subjects', () => {
	it('no two subjects have a doubt of the same name', () => {
		const codes = Object.values(flagsBySubject).flatMap((flags) => Object.keys(flags));
		expect(new Set(codes).size).toBe(codes.length);
	});

	it.each(tools)('a step of kind %s begins whole, and each of its settings has a place in it', (tool) => {
		const step = Step.parse({ ...exampleStep(tool), id: tool });
		for (const { path, control, options, text } of settingsOfStep(step, {})) {
			expect(path).toMatch(/^[a-zA-Z_.0-9]+$/);
			if (control === 'one') expect(options!.map((o) => o.code)).toContain(text);
		}
	});
});
