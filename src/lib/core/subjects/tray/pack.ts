import { aSite, oneOfIt, type Packed } from '../packed';

export const trayPack: Packed<'tray'> = {
	lines: (steps, { sites }) =>
		steps.length
			? [
					oneOfIt('white-tray', 'white tray with compartments', 'animals are seen on white, and kept apart'),
					oneOfIt('droppers', 'droppers, soft tweezers, a lens', 'small animals are lifted, not pinched'),
					{
						id: 'vials',
						group: 'bottles',
						what: 'vials with ethanol and pencil labels',
						count: 5 * sites.length,
						because: `a voucher of what is new, five for each of ${aSite(sites.length)}`
					}
				]
			: [],
	hurts: (steps) => (steps.length ? ['ethanol for vouchers'] : [])
};
