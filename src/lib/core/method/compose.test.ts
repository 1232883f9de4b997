import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { isToolName, stepKinds, type Tool } from '../subjects/steps';
import { compose, contradictions, fullVisit, MethodCard, orderSteps, readChanges, streamVisit, type Change } from '.';

const ids = (card: MethodCard) => card.steps.map((s) => s.id);
const tools = Object.keys(stepKinds) as Tool[];

describe('a card put together', () => {
	it('takes a step of any kind, before the look back, ready to be used', () => {
		for (const tool of tools.filter((t) => t !== 'arrive' && t !== 'leave')) {
			const { card, why } = compose(streamVisit, [{ do: 'add', tool }]);
			expect(why).toEqual([]);
			expect(MethodCard.safeParse(card).success).toBe(true);
			expect(ids(card).at(-1)).toBe('leave');
			expect(card.steps.length).toBe(streamVisit.steps.length + 1);
		}
	});

	it('says where a step would write that another one writes', () => {
		const { card } = compose(streamVisit, [{ do: 'add', tool: 'tube' }]);
		expect(contradictions(card)).toEqual([
			{ path: 'steps.tube.title', why: expect.stringMatching(/would write where “Clarity tube” does/) }
		]);
	});

	it('does a step twice under other places, and refuses where only one can be', () => {
		const { card, why } = compose(fullVisit, [
			{ do: 'repeat', step: 'oxygen-titration' },
			{ do: 'repeat', step: 'nutrient-bottle' },
			{ do: 'repeat', step: 'flow' }
		]);
		expect(contradictions(card)).toEqual([]);
		expect(why).toEqual([expect.stringMatching(/“Flow” writes where only one can/)]);
		expect(card.steps.find((s) => s.id === 'oxygen-titration-2')).toMatchObject({
			title: 'Oxygen by titration again',
			bottles: [
				{ id: 'first-2', label: 'first' },
				{ id: 'second-2', label: 'second' }
			]
		});
		expect(card.steps.find((s) => s.id === 'nutrient-bottle-2')).toMatchObject({ bottle: { id: 'nutrients-2' } });
	});

	it('loses the rules that spoke of what is gone, and says which', () => {
		const { card, rulesGone } = compose(streamVisit, [{ do: 'remove', step: 'flow' }]);
		expect(rulesGone.map((r) => r.then)).toEqual(['stirs-bed']);
		expect(contradictions(card)).toEqual([]);
	});

	it('moves a step in its list, where no rule says otherwise', () => {
		const { card } = compose(streamVisit, [{ do: 'later', step: 'conductivity' }]);
		expect(ids(card).indexOf('conductivity')).toBe(ids(streamVisit).indexOf('conductivity') + 1);
		expect(compose(streamVisit, [{ do: 'earlier', step: 'arrive' }]).card.steps).toEqual(streamVisit.steps);
	});

	it('keeps ids apart and its steps in an order, whatever is done to it', () => {
		const change = fc.oneof(
			fc.constantFrom(...tools).map((tool): Change => ({ do: 'add', tool })),
			fc
				.tuple(fc.constantFrom('repeat', 'remove', 'earlier', 'later'), fc.constantFrom(...ids(fullVisit), 'tube-2'))
				.map(([what, step]): Change => ({ do: what as 'remove', step }))
		);
		fc.assert(
			fc.property(fc.array(change, { maxLength: 15 }), (changes) => {
				const { card } = compose(fullVisit, changes);
				expect(MethodCard.safeParse(card).success).toBe(true);
				expect('steps' in orderSteps(card)).toBe(true);
				const unknown = contradictions(card).filter((c) => c.path === 'rules');
				expect(unknown).toEqual([]);
			})
		);
	});
});

it.each([
	['add:staff', { do: 'add', tool: 'staff' }],
	['repeat:oxygen', { do: 'repeat', step: 'oxygen' }],
	['add:dragon', null],
	['burn:oxygen', null],
	['remove', null]
])('“%s” is %j', (word, change) => {
	const read = readChanges([word]);
	expect(read.changes[0] ?? null).toEqual(change);
	expect(read.words).toEqual(change ? [word] : []);
	expect(read.why).toEqual(change ? [] : [`“${word}” is no change of a card.`]);
	expect(isToolName('dragon')).toBe(false);
});

describe('changes that cannot be read are said, and none is lost in silence', () => {
	it('more than can be kept at once', () => {
		const words = Array<string>(61).fill('add:staff');
		expect(readChanges(words.slice(1)).why).toEqual([]);
		const read = readChanges(words);
		expect(read.changes).toHaveLength(60);
		expect(read.why).toEqual(['More than 60 changes at once: keep the card, then go on.']);
	});

	it('what is no word, or a very long one', () => {
		const read = readChanges(['add:staff', new File([], 'card'), `remove:${'x'.repeat(60)}`]);
		expect(read.changes).toEqual([{ do: 'add', tool: 'staff' }]);
		expect(read.why).toHaveLength(2);
	});
});
