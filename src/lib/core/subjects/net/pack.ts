import { aSite, oneOfIt, type Packed } from '../packed';

export const netPack: Packed<'net'> = {
	lines: (steps, { sites }) =>
		steps.length
			? [
					oneOfIt(
						'net',
						`net, ${Math.round(steps[0]!.width_m * 100)} cm wide, mesh ${steps[0]!.mesh_um} µm`,
						'the same net at every site, or samples do not compare'
					),
					{
						id: 'tubs',
						group: 'bottles',
						what: 'tubs with lids and pencil labels',
						count: sites.length,
						because: `one sample for each of ${aSite(sites.length)}`
					}
				]
			: []
};
