import { z } from 'zod';
import { Instant, SheetId, temperature_C } from '../leaf';
import { packing, type Box, type Boxes, type PackedBottle } from './known-boxes';

type Place = Pick<PackedBottle, 'visitId' | 'id'>;

const Uuid = z.uuid().toLowerCase();
const Bottle = z.strictObject({ visitId: Uuid, id: SheetId });
const Bottles = z.array(Bottle).min(1, 'choose the bottles that go into it').max(500, 'at most 500 bottles at once');
const name = (what: string) => z.string().trim().max(60, `${what} has at most 60 letters`);
const said = <D extends string, S extends z.ZodRawShape>(does: D, shape: S) =>
	z.strictObject({ id: Uuid, box: Uuid, at: Instant, does: z.literal(does), ...shape });

/** What is done to a box, as whoever packs it says it; where there is no network, it is told later. */
export const BoxWord = z.discriminatedUnion('does', [
	said('start', { labId: Uuid, bottles: Bottles }),
	said('put-in', { bottles: Bottles }),
	said('take-out', { bottle: Bottle }),
	said('pack', { step: z.enum(packing), isDone: z.boolean() }),
	said('unpack', {}),
	said('hand-over', { courier: name('who takes it').min(1, 'say who takes it'), seal: name('a seal’s number') }),
	said('arrive', { temperature_C: temperature_C.nullable() }),
	said('take-back', {})
]);
export type BoxWord = z.infer<typeof BoxWord>;
/** A word on a box before what whoever keeps it adds. */
export type BoxWordWithout<K extends 'id' | 'at' | 'box', W = BoxWord> = W extends BoxWord ? Omit<W, K> : never;

const isAt = (place: Place) => (b: Place) => b.visitId === place.visitId && b.id === place.id;

/**
 * Boxes as they stand once these words have been heard, in their order. A word on a box that is not there, or that has
 * left, changes nothing: whoever keeps the boxes says why when it is told.
 */
export const boxesAfter = (known: Boxes, words: readonly BoxWord[], labs: readonly { id: string; name: string }[]) =>
	words.reduce((boxes, word) => after(boxes, word, labs), known);

function after(known: Boxes, word: BoxWord, labs: readonly { id: string; name: string }[]): Boxes {
	const box = known.boxes.find((b) => b.id === word.box);
	if (word.does === 'start') {
		if (box) return known;
		const lab = labs.find((l) => l.id === word.labId)?.name ?? '';
		const empty: Box = {
			id: word.box,
			code: null,
			labId: word.labId,
			lab,
			packed: [],
			courier: '',
			seal: '',
			handedOver_ms: null,
			expected_ms: null,
			bottles: []
		};
		return moved({ ...known, boxes: [...known.boxes, empty] }, word.box, word.bottles);
	}
	if (!box || !isInTurn(word, box)) return known;
	const changed = (as: Partial<Box>): Boxes => ({
		...known,
		boxes: known.boxes.map((b) => (b === box ? { ...b, ...as } : b))
	});
	switch (word.does) {
		case 'put-in':
			return moved(known, box.id, word.bottles);
		case 'take-out': {
			const out = box.bottles.filter(isAt(word.bottle));
			const left = changed({ bottles: box.bottles.filter((b) => !out.includes(b)) });
			return { ...left, waiting: byAge([...known.waiting, ...out]) };
		}
		case 'pack': {
			const others = box.packed.filter((step) => step !== word.step);
			return changed({ packed: word.isDone ? [...others, word.step] : others });
		}
		case 'unpack':
			return {
				boxes: known.boxes.filter((b) => b !== box),
				waiting: byAge([...known.waiting, ...box.bottles])
			};
		case 'hand-over':
			return changed({ courier: word.courier, seal: word.seal, handedOver_ms: Date.parse(word.at) });
		case 'arrive':
			return changed({ arrived_ms: Date.parse(word.at), arrived_C: word.temperature_C });
		case 'take-back':
			return changed(
				hasArrived(box) ? { arrived_ms: null, arrived_C: null } : { handedOver_ms: null, expected_ms: null }
			);
	}
}

/** Whether it can be done to a box as it stands: packed, then on its way, then there. */
function isInTurn({ does }: BoxWord, box: Box): boolean {
	const hasLeft = box.handedOver_ms !== null;
	if (does === 'take-back') return hasLeft;
	return does === 'arrive' ? hasLeft && !hasArrived(box) : !hasLeft;
}

/** What is typed of a box's arrival begins with this, after the box. */
export const ARRIVAL = 'came';
export const hasArrived = ({ arrived_ms }: Pick<Box, 'arrived_ms'>): boolean => (arrived_ms ?? null) !== null;

/** Those of the bottles that still wait go into a box. */
function moved({ boxes, waiting }: Boxes, id: string, bottles: readonly Place[]): Boxes {
	const into = waiting.filter((b) => bottles.some(isAt(b)));
	return {
		boxes: boxes.map((b) => (b.id === id ? { ...b, bottles: byAge([...b.bottles, ...into]) } : b)),
		waiting: waiting.filter((b) => !into.includes(b))
	};
}

/** The oldest first. */
export const byAge = (bottles: readonly PackedBottle[]): PackedBottle[] =>
	[...bottles].sort((a, b) => (a.filledAt ?? '').localeCompare(b.filledAt ?? ''));
