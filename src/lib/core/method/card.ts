import { z } from 'zod';
import {
	isOwnCode,
	isUnitOf,
	OwnParameters,
	ParameterCode,
	parameterOf,
	unitCodes,
	ways,
	type Unit,
	type Way
} from '../quantity';
import { WadingLimit } from '../safety';
import { Step } from '../subjects/steps';
import { Limits } from './limits';

const Word = z.string().min(1).max(60);
const Sentence = z.string().min(1).max(400);

/** "What carries `first` comes before what carries `then`, because." `*` is every other step. */
export const OrderRule = z.object({ first: Word, then: Word, because: Sentence });
export type OrderRule = z.infer<typeof OrderRule>;

/** A method card: what is done at a visit, with every number that people may differ on. Data, versioned. */
export const MethodCard = z
	.object({
		code: z.string().regex(/^[a-z][a-z0-9-]{0,39}$/),
		version: z.number().int().positive(),
		title: Word,
		summary: Sentence,
		/** A visit that looks at a place and samples nothing: it is no grab, and nothing is spaced by it. */
		purpose: z.enum(['scouting']).optional(),
		steps: z
			.array(Step)
			.min(1)
			.refine((steps) => new Set(steps.map((s) => s.id)).size === steps.length, {
				error: 'two steps of a card cannot have the same id'
			}),
		rules: z.array(OrderRule),
		wading: WadingLimit,
		holding: z.object({
			/** From the first bottle of a trip to plating, hours. */
			bacteria_h: z.number().positive(),
			/** A bottle not on ice by then is asked about, hours. */
			withoutIce_h: z.number().positive()
		}),
		/** Units in which figures are shown, where not in the parameter's own: feet, Fahrenheit, the ion instead of N. */
		shown: z.partialRecord(ParameterCode, z.enum(unitCodes)).optional(),
		/** Parameters of the program's own that its steps read, as they were defined when it was kept. */
		own: OwnParameters.optional(),
		/**
		 * In which order the ways of finding a figure are reported, the first one first; what is not named comes after,
		 * as usual.
		 */
		ways: z.array(z.enum(ways)).optional(),
		/** Numbers that a program may set its own way; what is left out is as in `limits.ts`. */
		limits: Limits.partial().optional()
	})
	.check((context) => {
		const card = context.value;
		const say = (path: (string | number)[], message: string) =>
			context.issues.push({ code: 'custom', input: card, path, message });
		for (const [code, unit] of Object.entries(card.shown ?? {}) as [ParameterCode, Unit][])
			if (!isUnitOf(parameterOf(code, card.own), unit))
				say(['shown', code], 'a parameter is shown in a unit of its own kind');
		card.steps.forEach((step, at) => {
			const code = 'parameter' in step ? step.parameter : null;
			if (code !== null && isOwnCode(code) && card.own?.[code] === undefined)
				say(['steps', at, 'parameter'], `nothing says what “${code}” is`);
		});
	});
export type MethodCard = z.infer<typeof MethodCard>;

/** The unit in which a card's figures of a parameter are shown. */
export const shownUnit = (card: Pick<MethodCard, 'shown' | 'own'>, code: ParameterCode): Unit =>
	card.shown?.[code] ?? parameterOf(code, card.own).unit;

/** The order in which a card reports ways: those that it names, then the others as usual. */
export const waysOf = ({ ways: own = [] }: Pick<MethodCard, 'ways'>): readonly Way[] => [...new Set([...own, ...ways])];
