import { animalList } from '../../macroinvertebrates';
import { doubt, type Flag } from '../flags';
import { defineSubject } from '../subject';
import { agreedName, nameByVoucher } from './agreed-name';

/** What a second look at the kept animals says of their names. */
export const voucher = defineSubject({
	branches: ['vouchers', 'opinions'],
	knows: ['animals'],
	observe({ sheet, context }) {
		const animals = animalList(context.animals);
		const flags = Object.entries(sheet.vouchers ?? {}).flatMap(([id, { tray, taxon, label = id }]): Flag[] => {
			if (tray === undefined || taxon === undefined) return [];
			const place = { path: `vouchers/${id}`, parameter: null };
			if (agreedName(sheet, id, animals).isDisputed) {
				const said = [...new Set(Object.values(sheet.opinions?.[id] ?? {}).flatMap((name) => name ?? []))].sort();
				return [doubt('voucher-disputed', place, { label, counted: taxon, said })];
			}
			const name = nameByVoucher(sheet, tray, taxon, animals);
			return name === null ? [] : [doubt('voucher-renamed', place, { label, counted: taxon, said: name })];
		});
		return { flags };
	}
});
