import { numberSetting, oneOf, pairsSetting, type StepSettings } from '../setting';
import { netSchoolWords } from './words';

export const netSettings: StepSettings<'net'> = {
	name: 'A net: kick or sweep',
	example: {
		tool: 'net',
		title: 'Kick with the net',
		how:
			'Net flat on the bed, mouth upstream. Rub stones and wood in front of it, one net wide, then the next place ' +
			'upstream.',
		tags: ['animals', 'in-water', 'stirs-bed'],
		caution: 'water',
		school: 'kick',
		width_m: 0.3,
		mesh_um: 500,
		inFront_m: 0.3,
		places: 8,
		each_s: 30,
		metres: 10,
		strokes: 3,
		among: [
			{ id: 'plants', label: 'water plants' },
			{ id: 'roots', label: 'roots' },
			{ id: 'wood', label: 'wood' },
			{ id: 'stones', label: 'stones' },
			{ id: 'leaves', label: 'leaf packs' },
			{ id: 'bare', label: 'bare bank' }
		]
	},
	again: () => ({}),
	settings: (step) => [
		oneOf('school', 'how', step.school, netSchoolWords),
		numberSetting('width_m', 'net width, m', step.width_m),
		numberSetting('mesh_um', 'mesh, µm', step.mesh_um),
		numberSetting('inFront_m', 'worked in front of the net, m', step.inFront_m),
		numberSetting('places', 'kick: places', step.places),
		numberSetting('each_s', 'kick: seconds at each', step.each_s),
		numberSetting('metres', 'sweep: metres in all', step.metres),
		numberSetting('strokes', 'sweep: strokes a metre', step.strokes),
		pairsSetting('among', 'sweep: microhabitats', ['id', 'label'], step.among)
	]
};
