import { z } from 'zod';

/** What a row can say, in the order in which it is asked for. */
export const countFields = {
	label: 'label of the sample',
	site: 'site',
	day: 'day of the visit',
	animal: 'animal',
	count: 'how many'
} as const;
export type CountField = keyof typeof countFields;
const fieldNames = Object.keys(countFields) as [CountField, ...CountField[]];

/** What the words of such files mean here: said once, and remembered. `''`: says nothing here, is not counted here. */
export const CountMapping = z.object({
	headings: z.record(z.string().max(200), z.enum([...fieldNames, ''])).default({}),
	animals: z.record(z.string().max(200), z.string().max(80)).default({})
});
export type CountMapping = z.infer<typeof CountMapping>;

const headingWords: Record<CountField, readonly string[]> = {
	label: ['label', 'sample', 'sample label', 'sample code', 'sample id'],
	site: ['site', 'site code', 'station', 'place'],
	day: ['day', 'date', 'sampled on', 'day of the visit', 'date sampled'],
	animal: ['animal', 'taxon', 'kind', 'family', 'name', 'taxon name', 'scientific name'],
	count: ['count', 'number', 'n', 'how many', 'abundance', 'individuals']
};
const bare = (text: string): string => text.toLowerCase().replace(/[^\p{L}\p{N}]/gu, '');
const byHeading = new Map(
	fieldNames.flatMap((field) => headingWords[field].map((word) => [bare(word), field] as const))
);

/** What a heading means: as it was said once, else by its own word; null where nobody can tell. */
export function countFieldOf(heading: string, { headings }: Pick<CountMapping, 'headings'>): CountField | '' | null {
	if (Object.hasOwn(headings, heading)) return headings[heading]!;
	return byHeading.get(bare(heading)) ?? null;
}

/** What a file lacks before any of its rows says something: an animal, how many, and which sample. */
export function missingCountFields(given: ReadonlySet<CountField | '' | null>): CountField[] {
	const needed = (['animal', 'count'] as const).filter((f) => !given.has(f));
	if (given.has('label')) return needed;
	return [...needed, ...(['site', 'day'] as const).filter((f) => !given.has(f))];
}
