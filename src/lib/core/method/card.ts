import { z } from 'zod';
import { arithmetics, bottleKinds, gaugingMethods, preservatives, techniques, velocitySchools } from '../logbook';
import { isUnitOf, parameterCodes, parameters, unitCodes, type ParameterCode, type Unit } from '../quantity';
import { WadingLimit } from '../safety';
import { Limits } from './limits';

const Word = z.string().min(1).max(60);
const Sentence = z.string().min(1).max(400);

const common = {
	id: z.string().regex(/^[a-z][a-z0-9-]{0,39}$/),
	title: Word,
	/** What to do, said at the step. */
	how: Sentence,
	/** What rules speak of: "bacteria", "in-water", "stirs-bed". */
	tags: z.array(Word),
	caution: Word.optional(),
	/** What leaving without it costs; absent where nothing is lost. */
	costIfMissing: Sentence.optional()
};

export const Step = z.discriminatedUnion('tool', [
	z.object({ ...common, tool: z.literal('arrive') }),
	z.object({
		...common,
		tool: z.literal('bottle'),
		bottle: z.object({
			id: Word,
			kind: z.enum(bottleKinds),
			preserved: z.enum(preservatives).optional(),
			/** Part of it goes through a filter on the bank. */
			isFiltered: z.boolean().optional()
		}),
		/** How often it is rinsed with stream water; a sterile bottle never is. Three times where left out. */
		rinses: z.number().int().min(0).max(5).optional(),
		/** How it is filled where nothing else is said. */
		technique: z.enum(techniques).optional()
	}),
	/** Questions answered in words: the conditions of the day, the habitat. */
	z.object({ ...common, tool: z.literal('form'), form: z.enum(['conditions', 'habitat']) }),
	z.object({
		...common,
		tool: z.literal('reading'),
		parameter: z.enum(parameterCodes),
		unit: z.enum(unitCodes),
		/** One figure is asked for each: id and the word for its place. */
		slots: z.array(z.object({ id: Word, label: Word })).min(1),
		/** Replicates further apart than this are asked about; in the parameter's own unit. */
		spreadLimit: z.number().positive().optional(),
		/** A meter has come to rest when its figures of so many seconds lie within so much, in the step's unit. */
		settled: z.object({ within: z.number().positive(), for_s: z.number().positive() }).optional()
	}),
	/** A test strip or colour kit: waits in turn, then a colour held against a chart. */
	z.object({
		...common,
		tool: z.literal('kit'),
		parameter: z.enum(parameterCodes),
		unit: z.enum(unitCodes),
		/** What starts its clock: a strip's dip, or the last of its reagents. */
		begins: z.enum(['dip', 'reagents']).optional(),
		waits: z.array(z.object({ what: Word, for_s: z.number().positive().max(3600) })).min(1),
		/** The colour changes further; it is read within so many seconds. */
		readWithin_s: z.number().positive().max(3600),
		/** The blocks of the chart, the palest first; no colour at all lies below the first that is over 0. */
		chart: z.array(z.object({ value: z.number().nonnegative(), word: Word })).min(2),
		waste: Sentence.optional()
	}),
	/** Oxygen fixed in a bottle and titrated by drops. */
	z.object({
		...common,
		tool: z.literal('titration'),
		bottles: z.array(z.object({ id: Word, label: Word })).min(1),
		mgLPerDrop: z.number().positive().max(5),
		/** The floc settles so long before the acid. */
		settle_s: z.number().positive().max(3600),
		/** Titrated within so many hours of fixing. */
		within_h: z.number().positive()
	}),
	/** A disc on a line, in water too deep for the tube. */
	z.object({ ...common, tool: z.literal('disc'), unit: z.enum(['m', 'cm', 'ft']) }),
	z.object({
		...common,
		tool: z.literal('tube'),
		tubeLength_cm: z.number().positive(),
		minimumDepth_cm: z.number().positive()
	}),
	z.object({
		...common,
		tool: z.literal('flow'),
		/** Units in which tape, rod and meter are read; metres and metres a second where left out. */
		tapeUnit: z.enum(['m', 'ft']).optional(),
		velocityUnit: z.enum(['m_s', 'ft_s']).optional(),
		/** How it is done where nobody says otherwise: by verticals, at one point, mid-section where left out. */
		method: z.enum(gaugingMethods).optional(),
		school: z.enum(velocitySchools).optional(),
		arithmetic: z.enum(arithmetics).optional(),
		/** A flume is left to settle so long before its head is read. */
		settle_s: z.number().positive().max(3600).optional(),
		leastVerticals: z.number().int().min(3),
		/** No vertical should carry more of the flow than this, percent. */
		shareLimit_percent: z.number().positive().max(100),
		/** Expanded uncertainty at which more verticals are no longer asked for, percent. */
		enough_percent: z.number().positive()
	}),
	z.object({ ...common, tool: z.literal('leave') })
]);
export type Step = z.infer<typeof Step>;

/** "What carries `first` comes before what carries `then`, because." `*` is every other step. */
export const OrderRule = z.object({ first: Word, then: Word, because: Sentence });
export type OrderRule = z.infer<typeof OrderRule>;

/** A method card: what is done at a visit, with every number that people may differ on. Data, versioned. */
export const MethodCard = z.object({
	code: z.string().regex(/^[a-z][a-z0-9-]{0,39}$/),
	version: z.number().int().positive(),
	title: Word,
	summary: Sentence,
	steps: z.array(Step).min(1),
	rules: z.array(OrderRule),
	wading: WadingLimit,
	holding: z.object({
		/** From the first bottle of a trip to plating, hours. */
		bacteria_h: z.number().positive(),
		/** A bottle not on ice by then is asked about, hours. */
		withoutIce_h: z.number().positive()
	}),
	/** Units in which figures are shown, where not in the parameter's own: feet, Fahrenheit, the ion instead of N. */
	shown: z
		.partialRecord(z.enum(parameterCodes), z.enum(unitCodes))
		.refine((shown) => Object.entries(shown).every(([code, unit]) => isUnitOf(code as ParameterCode, unit)), {
			error: 'a parameter is shown in a unit of its own kind'
		})
		.optional(),
	/** Numbers that a program may set its own way; what is left out is as in `limits.ts`. */
	limits: Limits.partial().optional()
});
export type MethodCard = z.infer<typeof MethodCard>;

/** The unit in which a card's figures of a parameter are shown. */
export const shownUnit = (card: Pick<MethodCard, 'shown'>, code: ParameterCode): Unit =>
	card.shown?.[code] ?? parameters[code].unit;
