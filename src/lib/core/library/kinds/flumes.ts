import { USUAL_SUBMERGENCE } from '../../discharge';
import { number, words } from '../field';
import { kind } from '../kind';

export const flumes = kind({
	name: 'flumes',
	one: 'flume',
	many: 'Flumes',
	about: 'Flumes with a rating: from the head in one to the flow through it, where that holds, and who says so.',
	isNeeded: false,
	fields: {
		name: words({ label: 'Name', isRequired: true, help: 'as it stands on the flume, such as “narrow flume, No. 2”' }),
		throat_m: number({ label: 'Throat', unit: 'm', least: 0.01, most: 10 }),
		coefficient: number({
			label: 'Coefficient',
			help: 'flow in m³/s = coefficient × head in m ^ exponent',
			least: 0.0001,
			most: 1000
		}),
		exponent: number({ label: 'Exponent', least: 0.5, most: 4 }),
		submergenceLimit: number({
			label: 'Submergence limit',
			help: `tail over head from which the water below holds it back; ${USUAL_SUBMERGENCE} for most`,
			least: 0.05,
			most: 1
		}),
		minimumHead_m: number({ label: 'Least head', unit: 'm', least: 0, most: 5 }),
		maximumHead_m: number({ label: 'Greatest head', unit: 'm', least: 0.01, most: 5 }),
		source: words({ label: 'Source', isRequired: true, help: 'who rated it, or the table it comes from', most: 200 })
	},
	key: ['name'],
	columns: ['name', 'throat_m', 'minimumHead_m', 'maximumHead_m', 'source'],
	nameOf: (row) => row.name,
	objections: (row) =>
		row.minimumHead_m < row.maximumHead_m
			? []
			: [
					{
						field: 'maximumHead_m' as const,
						why: 'The greatest head is more than the least: the rating holds over no head at all.'
					}
				]
});
