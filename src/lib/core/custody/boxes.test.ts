import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BoxWord, boxesAfter, hasArrived, type Boxes, type BoxWordWithout, type PackedBottle } from '.';

const id = (n: number) => `01890000-0000-7000-8000-${String(n).padStart(12, '0')}`;
const AT = '2026-05-14T12:00:00.000Z';
const labs = [{ id: id(900), name: 'Millrace' }];
const bottle = (n: number): PackedBottle => ({
	visitId: id(n),
	id: 'nutrients',
	site: `Site ${n}`,
	label: `S${n}`,
	kind: 'nutrients',
	filledAt: `2026-05-14T0${n}:00:00Z`,
	asked: null,
	preserved: null,
	isFilterAsked: false,
	filteredAt: null,
	onIceAt: null,
	keeps_h: 48,
	isReported: false
});
const place = (n: number) => ({ visitId: id(n), id: 'nutrients' });
const waiting: Boxes = { boxes: [], waiting: [1, 2, 3].map(bottle) };
let words = 0;
type Said = BoxWordWithout<'id' | 'at' | 'box'>;
const word = (done: Said, box = id(100)): BoxWord => BoxWord.parse({ ...done, id: id(1000 + ++words), at: AT, box });
const start = (...numbers: number[]) => word({ does: 'start', labId: id(900), bottles: numbers.map(place) });
const after = (...said: BoxWord[]) => boxesAfter(waiting, said, labs);
const sites = (bottles: readonly PackedBottle[]) => bottles.map((b) => b.label);

describe('boxes as they stand after what was done to them', () => {
	it('hold what was put into them; the others wait', () => {
		const { boxes, waiting: left } = after(start(3, 1));
		expect(boxes).toMatchObject([{ id: id(100), code: null, lab: 'Millrace', handedOver_ms: null }]);
		expect([sites(boxes[0]!.bottles), sites(left)]).toEqual([['S1', 'S3'], ['S2']]);
	});
	it('give back what is taken out, and all when they are unpacked', () => {
		const out = after(start(1, 2), word({ does: 'take-out', bottle: place(1) }));
		expect([sites(out.boxes[0]!.bottles), sites(out.waiting)]).toEqual([['S2'], ['S1', 'S3']]);
		expect(after(start(1, 2), word({ does: 'unpack' }))).toEqual(waiting);
	});
	it('are packed step by step, each once, and a tick can be taken back', () => {
		const tick = (isDone: boolean) => word({ does: 'pack', step: 'ice', isDone });
		expect(after(start(1), tick(true), tick(true)).boxes[0]!.packed).toEqual(['ice']);
		expect(after(start(1), tick(true), tick(false)).boxes[0]!.packed).toEqual([]);
	});
	it('are closed once they have left, until that is struck', () => {
		const leaves = word({ does: 'hand-over', courier: 'Fell and Moor', seal: '551' });
		const more = word({ does: 'put-in', bottles: [place(2)] });
		const [gone] = after(start(1), leaves, more, word({ does: 'unpack' })).boxes;
		expect(gone).toMatchObject({ courier: 'Fell and Moor', seal: '551', handedOver_ms: Date.parse(AT) });
		expect(sites(gone!.bottles)).toEqual(['S1']);
		const [back] = after(start(1), leaves, word({ does: 'take-back' }), more).boxes;
		expect([back!.handedOver_ms, sites(back!.bottles)]).toEqual([null, ['S1', 'S2']]);
	});
	it('come to their lab once they have left; the last word is struck first', () => {
		const leaves = word({ does: 'hand-over', courier: 'Fell and Moor', seal: '' });
		const comes = word({ does: 'arrive', temperature_C: 6.5 });
		expect(after(start(1), comes).boxes.map(hasArrived)).toEqual([false]);
		const arrived = after(start(1), leaves, comes, word({ does: 'arrive', temperature_C: 20 }));
		expect(arrived.boxes).toMatchObject([{ arrived_ms: Date.parse(AT), arrived_C: 6.5 }]);
		const struck = after(start(1), leaves, comes, word({ does: 'take-back' }));
		expect(struck.boxes.map((b) => [hasArrived(b), b.handedOver_ms])).toEqual([[false, Date.parse(AT)]]);
		const packed = after(start(1), leaves, comes, word({ does: 'take-back' }), word({ does: 'take-back' }));
		expect(packed.boxes[0]!.handedOver_ms).toBeNull();
	});
	it('that are not there, or have a bottle that is elsewhere, change nothing of others', () => {
		expect(after(word({ does: 'put-in', bottles: [place(1)] }))).toEqual(waiting);
		const two = boxesAfter(
			after(start(1)),
			[word({ does: 'start', labId: id(900), bottles: [place(1)] }, id(101))],
			labs
		);
		expect(two.boxes.map((b) => sites(b.bottles))).toEqual([['S1'], []]);
	});

	const one = fc.integer({ min: 1, max: 3 });
	const box = fc.integer({ min: 100, max: 102 }).map(id);
	const anyWord = fc.oneof(
		fc
			.tuple(fc.array(one, { minLength: 1 }), box)
			.map(([n, b]) => word({ does: 'start', labId: id(900), bottles: n.map(place) }, b)),
		fc.tuple(one, box).map(([n, b]) => word({ does: 'put-in', bottles: [place(n)] }, b)),
		fc.tuple(one, box).map(([n, b]) => word({ does: 'take-out', bottle: place(n) }, b)),
		box.map((b) => word({ does: 'unpack' }, b)),
		box.map((b) => word({ does: 'hand-over', courier: 'x', seal: '' }, b)),
		box.map((b) => word({ does: 'arrive', temperature_C: null }, b)),
		box.map((b) => word({ does: 'take-back' }, b))
	);
	it('hold each bottle once, or let it wait, whatever was done', () => {
		fc.assert(
			fc.property(fc.array(anyWord, { maxLength: 20 }), (said) => {
				const { boxes, waiting: left } = boxesAfter(waiting, said, labs);
				const everywhere = [...left, ...boxes.flatMap((b) => b.bottles)];
				expect(sites(everywhere).sort()).toEqual(['S1', 'S2', 'S3']);
			})
		);
	});
});

describe('what is said of a box', () => {
	const said = (more: object) =>
		BoxWord.safeParse({ id: id(1), box: id(2), at: AT, ...more }).error?.issues[0]?.message;
	it('says who takes it, and holds a bottle where it begins', () => {
		expect(said({ does: 'hand-over', courier: '  ', seal: '' })).toBe('say who takes it');
		expect(said({ does: 'hand-over', courier: 'c'.repeat(61), seal: '' })).toBe('who takes it has at most 60 letters');
		expect(said({ does: 'start', labId: id(3), bottles: [] })).toBe('choose the bottles that go into it');
		expect(said({ does: 'take-out', bottle: { visitId: id(3), id: '../x' } })).toContain('an id has letters');
		expect(said({ does: 'arrive', temperature_C: 350 })).toContain('temperature');
		expect(said({ does: 'burn' })).toBeDefined();
	});
});
