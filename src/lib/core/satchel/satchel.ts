import { z } from 'zod';
import type { Trip } from '../custody';
import { FlumeRating } from '../discharge';
import { remembered } from '../subjects/remember';
import { samplerKinds } from '../subjects/sampler/step';
import type { Context, InstrumentFacts } from '../subjects/context';
import { Threshold } from '../interpret';
import { Entry } from '../logbook';
import { OwnAnimal } from '../macroinvertebrates';
import { MethodCard } from '../method';
import type { Answers } from '../observations';
import { numberStyles, ParameterCode } from '../quantity';
import { dateStyles } from '../wording';
import type { GearWarning, RoundQuestion } from '../schedule';
import type { Checked, ScoreScheme } from '../score-schemes';

const Person = z.object({ id: z.string(), name: z.string(), initials: z.string() });

/** What a phone carries to work with no network: reference data as they stood, and the visits that are still open. */
export const Satchel = z.object({
	packedAt: z.iso.datetime(),
	program: z.object({
		id: z.string(),
		name: z.string(),
		timeZone: z.string(),
		/** Stand-ins for devices work in the demo and nowhere else. */
		isDemo: z.boolean().default(false),
		/** How dates and times of day are written. */
		dates: z.enum(dateStyles).optional(),
		/** How numbers are. */
		numbers: z.enum(numberStyles).optional(),
		/** Whom to tell of what cannot wait. */
		reportTo: z.string().default('')
	}),
	member: Person.extend({
		role: z.string(),
		teamId: z.string().nullable(),
		/** Packs boxes of bottles for labs. */
		mayShip: z.boolean().default(false)
	}),
	people: z.array(Person),
	team: z.array(Person),
	sites: z.array(
		z.object({
			id: z.string(),
			code: z.string(),
			name: z.string(),
			about: z.string(),
			hazards: z.string(),
			elevation_m: z.number(),
			latitude: z.number().nullable().default(null),
			longitude: z.number().nullable().default(null),
			directions: z.string().default(''),
			access: z.string().default(''),
			landmarks: z.string().default(''),
			photoPoint: z.string().default(''),
			upstream: z.string().default(''),
			ways: z.array(z.string()).default(['wading']),
			wadingDepth_m: z.number().nullable().default(null),
			/**
			 * Why nobody should be there: leave that is refused, asked for or at its end, or a site given up; ''
			 * where nothing speaks against it.
			 */
			barred: z.string().default(''),
			/** Kinds of which an animal from its stream lies in a vial. */
			keptKinds: z.array(z.string()).default([]),
			/** Samplers that stand in the stream there, each with the day on which it was put out. */
			samplers: z.array(z.object({ code: z.string(), kind: z.enum(samplerKinds), outOn: z.string() })).default([]),
			isRetired: z.boolean().default(false),
			/** For each question about the conditions what was answered here before, the commonest first. */
			usualAnswers: z.record(z.string(), z.array(z.string())).default({}),
			/** The last picture taken from its photo point, by the SHA-256 of its bytes. */
			photoPointPicture: z.string().nullable().default(null),
			/** What was written at the last visit that was left. */
			lastVisit: z
				.object({
					at: z.string(),
					remarks: z.array(z.string()),
					/** What was said of its conditions. */
					conditions: z.custom<Answers>((v) => typeof v === 'object').default({})
				})
				.nullable()
				.default(null),
			usual: z.custom<NonNullable<Context['site']['usual']>>((v) => typeof v === 'object' && v !== null)
		})
	),
	cards: z.array(z.object({ id: z.string(), inUse: z.boolean(), card: MethodCard })),
	thresholds: z.array(Threshold),
	flumes: z.array(FlumeRating).default([]),
	/** What the program says of its own animals. */
	animals: z.array(OwnAnimal).default([]),
	/** By what the animals of a tray are scored, and how often names turned out to be wrong. */
	schemes: z.array(z.custom<ScoreScheme>((v) => typeof v === 'object' && v !== null)).default([]),
	checkedNames: z.array(z.custom<Checked>((v) => typeof v === 'object' && v !== null)).default([]),
	/** Earlier duplicates, by parameter: how far they usually lie apart. */
	duplicatesBefore: z.partialRecord(ParameterCode, z.array(z.tuple([z.number(), z.number()]))).default({}),
	instruments: z.array(
		z.object({ kind: z.string(), facts: z.custom<InstrumentFacts>((v) => typeof v === 'object' && v !== null) })
	),
	rounds: z.array(
		z.object({
			id: z.string(),
			name: z.string(),
			startsAt: z.iso.datetime(),
			cardVersionId: z.string(),
			siteIds: z.array(z.string()),
			crewIds: z.array(z.string()).default([]),
			quality: z.array(z.object({ siteId: z.string(), kind: z.enum(['duplicate', 'blank']) })).default([]),
			/**
			 * For a round of these days: what its day is worked out from, and the instant from which its minutes
			 * count.
			 */
			day: z
				.object({
					question: z.custom<RoundQuestion>((v) => typeof v === 'object' && v !== null),
					lab: z.string().nullable(),
					midnight_ms: z.number()
				})
				.nullable()
				.default(null),
			/** Codes of the instruments that its team takes along. */
			kit: z.array(z.string()).default([]),
			/** Where its bottles go, and when that lab is open from the day on. */
			trip: z
				.custom<Trip>((v) => typeof v === 'object')
				.nullable()
				.default(null),
			/** What is wrong with the gear, as known when this was packed. */
			gear: z.array(z.custom<GearWarning>((v) => typeof v === 'object' && v !== null)).default([])
		})
	),
	/** All lines of visits that are still open, and of those that belong to the rounds above. */
	entries: z.array(Entry),
	/** Where to go on reading the program's logbook. */
	cursor: z.string(),
	clock: z.object({ now_ms: z.number(), isFixed: z.boolean() })
});
export type Satchel = z.infer<typeof Satchel>;
export type SatchelSite = Satchel['sites'][number];

/** What a site's visits are judged by: the same object for the same site, so that nothing is concluded twice. */
const siteFacts = remembered((site: SatchelSite): Context['site'] => ({
	code: site.code,
	elevation_m: site.elevation_m,
	latitude: site.latitude ?? undefined,
	wadingDepth_m: site.wadingDepth_m,
	usual: site.usual
}));

/** The context for a visit to one of the satchel's sites; null when the site is not in it. */
export function contextFrom(
	satchel: Satchel,
	siteId: string,
	now_ms: number,
	around: Pick<Context, 'trip' | 'labelsElsewhere'> = {}
): Context | null {
	const site = satchel.sites.find((s) => s.id === siteId);
	if (!site) return null;
	return {
		now_ms,
		timeZone: satchel.program.timeZone,
		site: siteFacts(site),
		instruments: instrumentsOf(satchel),
		reportTo: satchel.program.reportTo || undefined,
		animals: satchel.animals,
		duplicatesBefore: satchel.duplicatesBefore,
		...around
	};
}

/**
 * A satchel is never changed, so its instruments are listed once, and what is concluded from them need not be
 * concluded again.
 */
export function instrumentsOf(satchel: Satchel): Context['instruments'] {
	const known = listed.get(satchel);
	if (known) return known;
	const instruments = Object.fromEntries(satchel.instruments.map((i) => [i.facts.code, i.facts]));
	listed.set(satchel, instruments);
	return instruments;
}

const listed = new WeakMap<Satchel, Context['instruments']>();
