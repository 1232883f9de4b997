import { forms, type FormName } from '../../observations';
import { isParameterCode, parameterOf, type OwnParameters, type ParameterCode } from '../../quantity';

const words: Record<string, string> = {
	distance_m: 'place on the tape',
	depth_m: 'depth',
	width_m: 'width of the water',
	velocity_m_s: 'speed',
	velocity02_m_s: 'speed at 0.2',
	velocity06_m_s: 'speed at 0.6',
	velocity08_m_s: 'speed at 0.8',
	startDistance_m: 'first edge',
	endDistance_m: 'far edge',
	filledAt: 'time of filling',
	onIceAt: 'time on ice',
	preservedAt: 'time of the preservative',
	preservedWith: 'what preserves it',
	churn_mL: 'what the churn holds',
	volume_mL: 'volume',
	atLabAt: 'time at the lab',
	access: 'how it was sampled',
	mgLPerDrop: 'mg/L for each drop',
	at: 'time'
};
const isMadeUp = (id: string) => /^[0-9a-f]{8}-[0-9a-f]{4}-/.test(id);
const spoken = (key: string) =>
	words[key] ??
	key
		.replace(/_m_s$|_m$|_C$|_s$/, '')
		.replaceAll('-', ' ')
		.replaceAll(/([a-z])([A-Z])/g, (_, a: string, b: string) => `${a} ${b.toLowerCase()}`);

/** A place of the sheet in words: `Conductivity, as read: main`, `flow: vertical, depth`, `Weather now`. */
export function sayPlace(path: string, own?: OwnParameters): string {
	const nameIn = (code: ParameterCode) => parameterOf(code, own).name;
	const [branch = '', id = '', ...rest] = path.split('/');
	if (branch === 'readings' && isParameterCode(id)) return [nameIn(id), ...rest.map(spoken)].join(': ');
	if ((branch === 'reviews' || branch === 'verdicts') && isParameterCode(id))
		return [`${nameIn(id)}, review`, ...rest].join(' of ');
	if (branch === 'reported' && isParameterCode(id)) return `${nameIn(id)}, which one is reported`;
	if (Object.hasOwn(forms, branch) && id !== '') {
		const question = forms[branch as FormName].find((q) => q.id === id);
		const choice = question?.choices.find((c) => c.id === rest[0])?.word;
		return [question?.ask ?? id, choice].filter(Boolean).join(': ');
	}
	if (branch === 'titrations') return [`titration, ${id} bottle`, ...rest.map(spoken)].join(', ');
	if (branch === 'bottles') return [`bottle ${id.replaceAll('-', ' ')}`, ...rest.map(spoken)].join(', ');
	if (branch === 'gaugings') {
		const inner = rest
			.filter((k, i) => k !== 'edges' && !(isMadeUp(k) || (i === 1 && rest[0] === 'verticals')))
			.map((k) => (k === 'verticals' ? 'vertical' : spoken(k)));
		return `flow${id === 'main' ? '' : `, ${id}`}: ${inner.join(', ')}`;
	}
	return [branch, id, ...rest]
		.filter((k) => k && !isMadeUp(k))
		.map(spoken)
		.join(', ');
}
