import { aSite, oneOfIt, type Packed } from '../packed';

export const kitPack: Packed<'kit'> = {
	lines: (steps, { sites }) =>
		steps.flatMap(({ id, title }) => [
			{
				id: `kit-${id}`,
				group: 'instruments',
				what: `${title}: tests, in date`,
				count: sites.length + 1,
				because: `one for each of ${aSite(sites.length)}, and one that is spoiled`
			},
			oneOfIt(`chart-${id}`, `${title}: chart of the same pack`, 'a colour is read off the chart that came with it')
		])
};
