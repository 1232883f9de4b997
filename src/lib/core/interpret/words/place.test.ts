import { expect, it } from 'vitest';
import { sayPlace } from './place';

it.each([
	['readings/conductivity/main', 'Conductivity, as read: main'],
	['readings/dissolved-oxygen/left-of-middle', 'Dissolved oxygen: left of middle'],
	['gaugings/main/verticals/018f3b1c-0000-7000-8000-000000000001/depth_m', 'flow: vertical, depth'],
	['gaugings/repeat/edges/startDistance_m', 'flow, repeat: first edge'],
	['conditions/weather', 'Weather now'],
	['conditions/growth/grey', 'Growing on the bed: grey threads'],
	['bottles/bacteria-blank/filledAt', 'bottle bacteria blank, time of filling'],
	['conditions', 'conditions'],
	['arrival/access', 'arrival, how it was sampled'],
	['custody/018f3b1c-0000-7000-8000-000000000001/temperature_C', 'custody, temperature']
])('%s is said as %s', (path, said) => expect(sayPlace(path)).toBe(said));
