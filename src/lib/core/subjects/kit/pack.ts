import { capitalised } from '../../wording';
import { aSite, oneOfIt, type Packed } from '../packed';

export const kitPack: Packed<'kit'> = {
	lines: (steps, { sites }) =>
		steps.flatMap(({ id, title, strip }, i) => {
			const pads = strip === undefined ? [] : steps.filter((s) => s.strip === strip);
			if (pads.length && pads[0] !== steps[i]) return [];
			const name = pads.length ? capitalised(strip!) : title;
			return [
				{
					id: `kit-${id}`,
					group: 'instruments',
					what: `${name}: tests, in date`,
					count: sites.length + 1,
					because: `one for each of ${aSite(sites.length)}, and one that is spoiled`
				},
				oneOfIt(`chart-${id}`, `${name}: chart of the same pack`, 'a colour is read off the chart that came with it')
			];
		})
};
