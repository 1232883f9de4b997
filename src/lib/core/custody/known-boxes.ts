import { z } from 'zod';
import { bottleKinds, preservatives } from '../subjects/bottle/branch';

/** How a box is packed, in the order in which it is done. */
export const packing = ['bags', 'liner', 'ice', 'form', 'tape'] as const;
export type Packing = (typeof packing)[number];

/** A bottle of a visit as it is packed. */
export const PackedBottle = z.object({
	visitId: z.string(),
	/** Its id in the visit's sheet. */
	id: z.string(),
	site: z.string(),
	label: z.string().nullable(),
	kind: z.enum(bottleKinds),
	filledAt: z.string().nullable(),
	/** What its card wants in it, and what is in it. */
	asked: z.enum(preservatives).nullable(),
	preserved: z.enum(preservatives).nullable(),
	/** Its card wants it filtered on the bank. */
	isFilterAsked: z.boolean(),
	filteredAt: z.string().nullable(),
	onIceAt: z.string().nullable(),
	/** Hours from filling to the lab, by its card and what is in it. */
	keeps_h: z.number(),
	/** The lab has found something in it. */
	isReported: z.boolean()
});
export type PackedBottle = z.infer<typeof PackedBottle>;

/** A box that is being packed, is on its way, or has just come to its lab. */
const Box = z.object({
	id: z.string(),
	/** What stands on it; null until the server has given it a code. */
	code: z.string().nullable(),
	labId: z.string(),
	lab: z.string(),
	packed: z.array(z.enum(packing)),
	courier: z.string(),
	seal: z.string(),
	handedOver_ms: z.number().nullable(),
	/** Until when it ought to be there; null where nobody knows. */
	expected_ms: z.number().nullable(),
	/** When it came there; nothing until that was said. */
	arrived_ms: z.number().nullish(),
	/** How warm it was in it then, where the lab said so. */
	arrived_C: z.number().nullish(),
	bottles: z.array(PackedBottle)
});
export type Box = z.infer<typeof Box>;

/** From a courier's pick-up until a box is at its lab. */
const Stretch = z.object({
	pickUp_ms: z.number(),
	arrives_ms: z.number(),
	/** Until when it ought to be there. */
	by_ms: z.number(),
	/** Why it stands somewhere meanwhile. */
	stands: z.enum(['weekend', 'shut']).nullable()
});
const JourneyAhead = Stretch.extend({
	/** The courier still collects on the day on which it is ready. */
	isToday: z.boolean(),
	/** The next way on which nothing stands, where this one does. */
	better: Stretch.nullable()
});
export type JourneyAhead = z.infer<typeof JourneyAhead>;

/** Boxes as a server tells them to a phone: with the bottles that no box has yet, and where all can go. */
export const KnownBoxes = z.object({
	boxes: z.array(Box),
	waiting: z.array(PackedBottle),
	labs: z.array(
		z.object({
			id: z.string(),
			name: z.string(),
			analyses: z.array(z.string()),
			/** A box's way there by each of the next pick-ups. */
			journeys: z.array(JourneyAhead)
		})
	)
});
export type KnownBoxes = z.infer<typeof KnownBoxes>;

/** Boxes, and the bottles that no box has yet. */
export type Boxes = Pick<KnownBoxes, 'boxes' | 'waiting'>;
