import { aSite, oneOfIt, type Packed } from '../packed';

export const titrationPack: Packed<'titration'> = {
	lines: (steps, { sites }) =>
		steps.flatMap(({ bottles }) => [
			{
				id: 'glass-bottle',
				group: 'instruments',
				what: 'glass bottles with ground stoppers',
				count: bottles.length * sites.length + 1,
				because: `${bottles.length} for each of ${aSite(sites.length)}, and one for a bottle with a bubble`
			},
			oneOfIt('fixing', 'fixing reagents one and two, with droppers', 'oxygen is fixed in the bottle, at once'),
			oneOfIt('titration-acid', 'acid for the titration', 'it dissolves the floc'),
			oneOfIt('titrant', 'titrant and its dropper, in date', 'its strength is what the drops count by'),
			oneOfIt('starch', 'starch', 'the end point shows blue to clear'),
			oneOfIt('waste', 'waste bottle with a lid', 'nothing of it goes into the stream')
		]),
	hurts: (steps) => (steps.length ? ['alkali and acid of the titration'] : [])
};
