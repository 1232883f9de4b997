import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { orderSteps, pairsOf, streamVisit, type OrderRule } from '.';
import { type Step } from '../subjects/steps';

const step = (id: string, ...tags: string[]): Step => ({ id, tool: 'leave', title: id, how: id, tags });
const ids = (card: { steps: Step[]; rules: OrderRule[] }) => {
	const order = orderSteps(card);
	return 'steps' in order ? order.steps.map((s) => s.step.id) : order;
};

describe('the order of steps', () => {
	it('follows the rules of the shipped card, whatever order its steps are written in', () => {
		const order = ids({ ...streamVisit, steps: [...streamVisit.steps].reverse() }) as string[];
		expect(order[0]).toBe('arrive');
		expect(order[1] === 'bacteria-bottle' || order[1] === 'air-temperature').toBe(true);
		expect(order.indexOf('air-temperature')).toBeLessThan(order.indexOf('water-temperature'));
		expect(order.slice(-2)).toEqual(['flow', 'leave']);
	});

	it('keeps the card’s own sequence where no rule speaks', () => {
		expect(ids({ steps: [step('c'), step('a'), step('b')], rules: [] })).toEqual(['c', 'a', 'b']);
	});

	it('gives the reasons for each place', () => {
		const order = orderSteps(streamVisit);
		if (!('steps' in order)) throw new Error('the shipped card goes in a circle');
		expect(order.steps.find((s) => s.step.id === 'water-temperature')?.because).toContain(
			'Air before water: a wet thermometer reads low.'
		);
	});

	it('reports rules that chase one another, with the steps and the rules between them', () => {
		const rules = [
			{ first: 'a', then: 'b', because: '1' },
			{ first: 'b', then: 'c', because: '2' },
			{ first: 'c', then: 'a', because: '3' }
		];
		const order = orderSteps({ steps: [step('free'), step('x', 'a'), step('y', 'b'), step('z', 'c')], rules });
		if (!('cycle' in order)) throw new Error('no circle found');
		expect([...order.cycle].sort()).toEqual(['x', 'y', 'z']);
		expect(order.rules.map((r) => r.because).sort()).toEqual(['1', '2', '3']);
	});

	it('never breaks a rule, or reports a circle', () => {
		const tag = fc.constantFrom('a', 'b', 'c', 'd');
		fc.assert(
			fc.property(
				fc.array(fc.array(tag, { maxLength: 2 }), { minLength: 1, maxLength: 7 }),
				fc.array(fc.tuple(tag, tag), { maxLength: 5 }),
				(tagged, pairs) => {
					const steps = tagged.map((tags, i) => step(`s${i}`, ...tags));
					const rules = pairs.map(([first, then]) => ({ first, then, because: '.' }));
					const order = orderSteps({ steps, rules });
					if ('cycle' in order) {
						expect(order.cycle.length).toBeGreaterThan(1);
						return;
					}
					const place = new Map(order.steps.map((s, i) => [s.step.id, i]));
					for (const rule of rules)
						for (const { first, then } of pairsOf(rule, steps))
							expect(place.get(first.id)!).toBeLessThan(place.get(then.id)!);
				}
			)
		);
	});
});
