import { chosen, forms } from '../../observations';
import { doubt } from '../flags';
import { defineSubject } from '../subject';
import type { sewageSigns, urgentSigns } from './flags';

/** From least to most; 48 hours hold the last 24. */
const RAIN = ['none', 'little', 'some', 'much'];

/** What the conditions say that cannot wait, or cannot be. */
export const form = defineSubject({
	branches: ['conditions'],
	knows: ['reportTo'],
	observe({ sheet, context }) {
		const to = context.reportTo ?? '';
		const at = { path: 'conditions', parameter: null };
		const seen = (id: string) =>
			chosen(
				forms.conditions.find((q) => q.id === id)!,
				sheet.conditions
			).map((c) => c.id);
		const where = <Sign extends string>(...signs: (readonly [Sign, boolean])[]): Sign[] =>
			signs.filter(([, isSeen]) => isSeen).map(([sign]) => sign);
		const signs = where<keyof typeof sewageSigns>(
			['smell', seen('odour').includes('sewage')],
			['threads', seen('growth').includes('grey')],
			['grey-water', seen('colour').includes('grey')],
			['foam', seen('foam').includes('soapy')]
		);
		const urgent = where<keyof typeof urgentSigns>(
			['fish', seen('fish').includes('many')],
			['oil', seen('sheen').includes('closes')],
			['chemical', seen('odour').includes('chemical')],
			['fuel', seen('odour').includes('oil')]
		);
		const [in24, in48] = [RAIN.indexOf(seen('rain24')[0] ?? ''), RAIN.indexOf(seen('rain48')[0] ?? '')];
		return {
			flags: [
				// each sign alone may be chance, so its smell or two of the others are asked for
				...(signs.includes('smell') || signs.length >= 2 ? [doubt('sewage-signs', at, { signs, to })] : []),
				...(urgent.length ? [doubt('report-now', at, { signs: urgent, to })] : []),
				...(in24 >= 0 && in48 >= 0 && in24 > in48 ? [doubt('rain-contradicts', at, {})] : [])
			]
		};
	}
});
