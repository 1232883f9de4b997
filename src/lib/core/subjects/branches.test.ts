import { describe, expect, it } from 'vitest';
import { placeAt, whyRefused } from '../logbook';

/* What the branches of a sheet take and what they refuse, place by place: the words are for whoever typed it. */

const iso = '2026-05-14T09:12:00Z';
const signature = 'M10 50L80 20L120 70M130 40L150 60';

describe.each<[string, readonly (readonly [string, unknown])[], readonly (readonly [string, unknown, RegExp])[]]>([
	[
		'arrival',
		[
			['arrival/depth_m', 0.35],
			['arrival/depth_m', { value: 14, unit: 'inch' }],
			['arrival/velocity_m_s', { value: 1.2, unit: 'ft_s' }],
			['arrival/access', 'syringe'],
			['arrival/dangers/soft-silt', true],
			['arrival/confirmedBy', 'photo-point'],
			['arrival/position', { latitude: 48.4, longitude: -27.3, accuracy_m: 8, isSimulated: false }]
		],
		[
			['arrival/depth_m', '0.35', /depth must be a number/],
			['arrival/depth_m', { value: 35, unit: 'm' }, /over 10 m/],
			['arrival/depth_m', { value: 1, unit: 'degC' }, /not measured in °C/],
			['arrival/velocity_m_s', -9, /under −5 m\/s/],
			['arrival/access', 'swim', /wade, bank, pole/],
			['arrival/dangers/dragons', true, /no such place/],
			['arrival/dangers/ice', 'thin', /true or false/],
			['arrival/confirmedBy', 'hearsay', /position, photo-point or landmarks/],
			['arrival/position', { latitude: 95, longitude: 0, accuracy_m: 8, isSimulated: true }, /latitude over 90/],
			['arrival/position', { latitude: 48, longitude: 0, accuracy_m: 8 }, /isSimulated/]
		]
	],
	[
		'bottles and custody',
		[
			['bottles/nutrients/technique', 'bridge-bucket'],
			['bottles/nutrients/rinses', 3],
			['bottles/bacteria-blank/water', 'deionised'],
			['bottles/nutrients/parts/01/depth_m', 0.4],
			['bottles/nutrients/parts/01/isTaken', true],
			['bottles/nutrients/splitOrder', 2],
			['bottles/nutrients/preservedAt', iso],
			['custody/a/signature', signature],
			['custody/a/temperature_C', 3.5],
			['custody/a/seal', 'K-118'],
			['plates/TE1-260514-B-1/counters/0190b4d2-7c1e-7a33-8a55-2f10c4a9e001', 24],
			['platePhotos/p/countedAt/0190b4d2-7c1e-7a33-8a55-2f10c4a9e001', iso],
			['platePhotos/p/sha256', 'ab'.repeat(32)],
			['platePhotos/p/grid', { x: 0.5, y: 0.5, rx: 0.3, ry: 0.4, squares: 20 }],
			['plates/TE1-260514-B-1/spoiledBy', 'dried'],
			['plateClearing/bleached', iso],
			['platePhotos/p/marks/0190b4d2-7c1e-7a33-8a55-2f10c4a9e001/m1', { x: 0.5, y: 0.25, kind: 'counts' }]
		],
		[
			['bottles/nutrients/technique', 'by drone', /hand, pole/],
			['bottles/nutrients/rinses', 11, /rinses over 10/],
			['bottles/nutrients/rinses', -1, /rinses under 0/],
			['bottles/bacteria-blank/water', 'tap', /stream, deionised or sterile/],
			['bottles/nutrients/splitOrder', 0, /order of the split under 1/],
			['bottles/nutrients/filledAt', 'noon', /instant is like/],
			['bottles/nutrients/parts/01/velocity_m_s', 11, /velocity over 10/],
			['custody/a/signature', 'M10 50L80 20<script>', /line drawn in a box/],
			['custody/a/signature', 'M5000 1', /line drawn in a box/],
			['custody/a/temperature_C', 80, /temperature over 60/],
			['custody/a/seal', '', /a word is needed/],
			['plates/TE1-260514-B-1/counters/somebody', 3.5, /a count is whole/],
			['platePhotos/p/countedAt/somebody', 'noon', /instant is like/],
			['plates/TE1-260514-B-1/squares', 0, /a square at least/],
			['plates/TE1-260514-B-1/squaresCounted', 2.5, /a count is whole/],
			['platePhotos/p/grid', { x: 0.5, y: 0.5, rx: 0, ry: 0.4, squares: 20 }, /larger than nothing/],
			['plates/TE1-260514-B-1/spoiledBy', 'the cat', /overgrown, contaminated/],
			['plateClearing/eaten', iso, /no such place/],
			['platePhotos/p/grid', { x: 0.5, y: 0.5, rx: 0.3, ry: 0.4, squares: 0 }, /a square at least/],
			['platePhotos/p/sha256', 'mine.jpg', /named by the SHA-256/],
			['platePhotos/p/marks/a/m1', { x: 1.5, y: 0.2, kind: 'counts' }, /out of the photo/],
			['platePhotos/p/marks/a/m1', { x: 0.5, y: 0.2, kind: 'maybe' }, /counts/],
			['platePhotos/p/marks/a/m1', 12, /object/]
		]
	],
	[
		'tests by eye and hand',
		[
			['disc/spoilers/glare', true],
			['readings/disc-depth/down', { value: 1.4, unit: 'm' }],
			['readings/disc-depth/down', { above: 4.5, unit: 'ft' }],
			['titrations/first/hasBubble', false],
			['titrations/first/drops', 45],
			['titrations/first/mgLPerDrop', 0.2],
			['waits/nitrate/least_s', 60],
			['waits/nitrate/endedAt', iso]
		],
		[
			['disc/spoilers/fog', true, /no such place/],
			['readings/disc-depth/down', { value: 1.4, unit: 'mg_L' }, /another kind of unit/],
			['readings/disc-depth/down', { value: 60, unit: 'm' }, /not possible/],
			['titrations/first/drops', 4.5, /a count is whole/],
			['titrations/first/drops', -1, /not below 0/],
			['titrations/first/mgLPerDrop', 0, /strength of a drop under/],
			['waits/nitrate/least_s', 7200, /time over 3600 s/]
		]
	],
	[
		'gaugings',
		[
			['gaugings/main/method', 'sweep'],
			['gaugings/main/school', 'raise'],
			['gaugings/main/arithmetic', 'mean-depth'],
			['gaugings/main/verticals/v1/velocity02_m_s', 0.4],
			['gaugings/main/verticals/v1/velocity08_m_s', { value: 1.1, unit: 'ft_s' }],
			['gaugings/main/sweepVelocity_m_s', 0.25],
			['gaugings/main/floats/coefficient', 0.85],
			['gaugings/main/floats/averaging', 'velocities'],
			['gaugings/main/flume/isLevelAlong', true],
			['gaugings/main/bankfullWidth_m', 7.2],
			['gaugings/main/tapeSag_m', 0.1],
			['gaugings/main/because', 'nobody wades today']
		],
		[
			['gaugings/main/method', 'guess', /verticals, sweep, float/],
			['gaugings/main/school', 'four-point', /one-point, two-point/],
			['gaugings/main/arithmetic', 'by eye', /mid-section/],
			['gaugings/main/verticals/v1/velocity05_m_s', 0.4, /no such place/],
			['gaugings/main/verticals/v1/depth_m', -0.1, /depth under 0 m/],
			['gaugings/main/floats/coefficient', 1.2, /fraction over 1/],
			['gaugings/main/floats/averaging', 'medians', /times or velocities/],
			['gaugings/main/flume/isTight', 1, /true or false/],
			['gaugings/main/fills/f/volume_L', 900, /volume over 500 L/],
			['gaugings/main/floats/runs/r/time_s', 0, /time under 0\.1 s/]
		]
	],
	[
		'photos, paper and who does what',
		[
			['photos/a/sha256', 'a'.repeat(64)],
			['photos/a/caption', 'The outfall, running.'],
			['copies/IQ/doneAt', iso],
			['handovers/a/to', 'Orla'],
			['steps/oxygen/takenBy', 'IQ'],
			['leaving/looked/lids', true],
			['gear/boots/disinfectedAt', iso]
		],
		[
			['photos/a/sha256', 'my photo', /named by the SHA-256/],
			['photos/a/caption', 'x'.repeat(2001), /at most 2000 letters/],
			['copies/I Q/doneAt', iso, /no such place/],
			['steps/oxygen/takenBy', 'somebody else', /at most 6 letters/],
			['handovers/a/to', '', /a word is needed/],
			['leaving/looked/lids', 'yes', /true or false/]
		]
	]
])('%s', (_, good, bad) => {
	it.each(good)('%s takes %j', (path, value) => expect(whyRefused(path, value)).toBeNull());
	it.each(bad)('%s refuses %j, and says why', (path, value, why) => expect(whyRefused(path, value)).toMatch(why));
});

it('a branch itself is no place to write at', () => {
	for (const branch of ['arrival', 'bottles/b', 'gaugings/main/verticals', 'conditions', 'custody', 'photos/a'])
		expect(placeAt(branch)).toBeNull();
});
