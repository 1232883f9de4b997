/* The invented catchment of the demo: a main stream, four that join it, ten sites. No such place exists. */

export interface DemoStream {
	name: string;
	length_km: number;
	joins?: { stream: string; at_km: number };
}

export interface DemoSite {
	code: string;
	name: string;
	about: string;
	hazards: string;
	stream: string;
	river_km: number;
	elevation_m: number;
	team: 'Upper' | 'Middle' | 'Lower';
	/** What the water model needs to know of the place. */
	nature: {
		area_km2: number;
		conductance25_uS_cm: number;
		oxygen_percent: number;
		turbidity_NTU: number;
		eColi_cfu_100mL: number;
		nitrite_mg_L_N: number;
		/** Road salt in frost, µS/cm added at its worst. */
		salt_uS_cm: number;
		/** How far summer sun warms it above the headwater, °C. */
		warm_C: number;
		/** A reach under restoration: what it still lacks at the start, and has made good by now. */
		restored?: { oxygen_percent: number; turbidity_NTU: number; warm_C: number };
	};
}

export const streams: readonly DemoStream[] = [
	{ name: 'Tessel', length_km: 24 },
	{ name: 'Hobbin Brook', length_km: 7, joins: { stream: 'Tessel', at_km: 17.5 } },
	{ name: 'Ebbin Run', length_km: 9.5, joins: { stream: 'Tessel', at_km: 11 } },
	{ name: 'Corl Rill', length_km: 3, joins: { stream: 'Ebbin Run', at_km: 6.8 } },
	{ name: 'Quarl Ditch', length_km: 4, joins: { stream: 'Tessel', at_km: 6.2 } }
];

const clean = {
	conductance25_uS_cm: 118,
	oxygen_percent: 98,
	turbidity_NTU: 2.2,
	eColi_cfu_100mL: 14,
	nitrite_mg_L_N: 0.004,
	salt_uS_cm: 0,
	warm_C: 0
};

export const sites: readonly DemoSite[] = [
	{
		code: 'TE1',
		name: 'Tessel 1',
		about: 'headwater, under the pines',
		hazards: 'Steep bank, slippery when wet.',
		stream: 'Tessel',
		river_km: 22.4,
		elevation_m: 268,
		team: 'Upper',
		nature: { ...clean, area_km2: 6 }
	},
	{
		code: 'HO1',
		name: 'Hobbin 1',
		about: 'above the farm crossing',
		hazards: 'Cattle in the field; keep the gate shut.',
		stream: 'Hobbin Brook',
		river_km: 5.1,
		elevation_m: 231,
		team: 'Upper',
		nature: { ...clean, area_km2: 7, conductance25_uS_cm: 164, eColi_cfu_100mL: 60, turbidity_NTU: 3.5, warm_C: 0.6 }
	},
	{
		code: 'HO2',
		name: 'Hobbin 2',
		about: 'below the farm crossing',
		hazards: 'Soft silt at the left bank. Cattle.',
		stream: 'Hobbin Brook',
		river_km: 2.3,
		elevation_m: 204,
		team: 'Upper',
		nature: {
			...clean,
			area_km2: 11,
			conductance25_uS_cm: 212,
			oxygen_percent: 88,
			eColi_cfu_100mL: 420,
			turbidity_NTU: 9,
			nitrite_mg_L_N: 0.02,
			warm_C: 1.4
		}
	},
	{
		code: 'TE2',
		name: 'Tessel 2',
		about: 'at the alder bend',
		hazards: 'Deep hole under the roots on the right.',
		stream: 'Tessel',
		river_km: 15.8,
		elevation_m: 187,
		team: 'Upper',
		nature: {
			...clean,
			area_km2: 31,
			conductance25_uS_cm: 158,
			oxygen_percent: 95,
			eColi_cfu_100mL: 130,
			turbidity_NTU: 4.6,
			nitrite_mg_L_N: 0.008,
			warm_C: 1.0
		}
	},
	{
		code: 'EB2',
		name: 'Ebbin 2',
		about: 'below the rill’s mouth',
		hazards: 'Low branches.',
		stream: 'Ebbin Run',
		river_km: 6.1,
		elevation_m: 212,
		team: 'Middle',
		nature: {
			...clean,
			area_km2: 13,
			conductance25_uS_cm: 236,
			oxygen_percent: 94,
			eColi_cfu_100mL: 110,
			turbidity_NTU: 5,
			warm_C: 1.0
		}
	},
	{
		code: 'EB1',
		name: 'Ebbin 1',
		about: 'restored reach, new meanders',
		hazards: 'Young willows staked with wire.',
		stream: 'Ebbin Run',
		river_km: 1.4,
		elevation_m: 166,
		team: 'Middle',
		nature: {
			...clean,
			area_km2: 22,
			conductance25_uS_cm: 251,
			oxygen_percent: 96,
			eColi_cfu_100mL: 95,
			turbidity_NTU: 3.6,
			nitrite_mg_L_N: 0.01,
			warm_C: 0.9,
			restored: { oxygen_percent: 17, turbidity_NTU: 9, warm_C: 2.4 }
		}
	},
	{
		code: 'TE3',
		name: 'Tessel 3',
		about: 'below the old sluice',
		hazards: 'Sluice may open without warning.',
		stream: 'Tessel',
		river_km: 9.2,
		elevation_m: 142,
		team: 'Middle',
		nature: {
			...clean,
			area_km2: 74,
			conductance25_uS_cm: 205,
			oxygen_percent: 96,
			eColi_cfu_100mL: 140,
			turbidity_NTU: 5,
			nitrite_mg_L_N: 0.01,
			warm_C: 1.3
		}
	},
	{
		code: 'QU1',
		name: 'Quarl 1',
		about: 'beside the lane',
		hazards: 'Sewage has been seen here. Broken glass.',
		stream: 'Quarl Ditch',
		river_km: 0.9,
		elevation_m: 131,
		team: 'Lower',
		nature: {
			...clean,
			area_km2: 4,
			conductance25_uS_cm: 540,
			oxygen_percent: 66,
			eColi_cfu_100mL: 5200,
			turbidity_NTU: 12,
			nitrite_mg_L_N: 0.34,
			salt_uS_cm: 900,
			warm_C: 1.8
		}
	},
	{
		code: 'TE4',
		name: 'Tessel 4',
		about: 'below the ditch, road bridge',
		hazards: 'Traffic on the bridge: vest on, one lookout.',
		stream: 'Tessel',
		river_km: 5.6,
		elevation_m: 127,
		team: 'Lower',
		nature: {
			...clean,
			area_km2: 82,
			conductance25_uS_cm: 246,
			oxygen_percent: 86,
			eColi_cfu_100mL: 860,
			turbidity_NTU: 7,
			nitrite_mg_L_N: 0.06,
			salt_uS_cm: 320,
			warm_C: 1.6
		}
	},
	{
		code: 'TE5',
		name: 'Tessel 5',
		about: 'above the mouth, gravel bar',
		hazards: 'Water rises fast after rain upstream.',
		stream: 'Tessel',
		river_km: 1.1,
		elevation_m: 104,
		team: 'Lower',
		nature: {
			...clean,
			area_km2: 96,
			conductance25_uS_cm: 238,
			oxygen_percent: 92,
			eColi_cfu_100mL: 390,
			turbidity_NTU: 6,
			nitrite_mg_L_N: 0.03,
			salt_uS_cm: 240,
			warm_C: 1.9
		}
	}
];

/** What a crew must know before it sets out, where there is something to know. */
export const siteNotes: Readonly<
	Record<
		string,
		{
			permission?: string;
			permissionUntil_days?: number;
			directions?: string;
			access?: string;
			landmarks?: string;
			photoPoint?: string;
			upstream?: string;
			ways?: string[];
			wadingDepth_m?: number;
		}
	>
> = {
	TE1: {
		permission: 'given',
		directions:
			'Forest road to the second barrier; the key is in the depot. Ten minutes on foot, keep right at the log pile.',
		access: 'Steep path, rope at the last three metres.',
		landmarks: 'Split boulder in mid-stream.',
		photoPoint: 'From the boulder, looking up to the fallen pine.',
		upstream: 'Plantation, nobody lives there.'
	},
	HO1: {
		permission: 'given',
		permissionUntil_days: 120,
		directions: 'Farm track; ask at the house if the gate is locked.',
		upstream: 'Pasture with cattle in summer.'
	},
	HO2: {
		permission: 'given',
		permissionUntil_days: -12,
		directions: 'Same track as Hobbin 1, down to the ford.',
		photoPoint: 'From the ford, looking down.',
		upstream: 'The farm crossing and its yard.'
	},
	EB1: { permission: 'given', landmarks: 'Willow stakes in two rows.', upstream: 'The restored reach.' },
	TE3: { upstream: 'The sluice: its keeper opens it without warning.', wadingDepth_m: 0.25 },
	QU1: {
		directions: 'Lay-by at the lane, one car.',
		ways: ['bank', 'pole'],
		upstream: 'Houses on both sides, an old sewer.'
	},
	TE4: {
		ways: ['wading', 'bridge'],
		directions: 'Park before the bridge, never on it.',
		landmarks: 'Gauge board on the left pier.',
		upstream: 'Quarl Ditch joins 600 m above.'
	}
};
