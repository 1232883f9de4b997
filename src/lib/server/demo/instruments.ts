import type { InstrumentFacts } from '../../core/subjects/context';

export interface DemoInstrument {
	code: string;
	kind: string;
	serialNumber: string;
	measures: InstrumentFacts['measures'];
	/** How long ago it was last calibrated before a visit, days; the drifting probe has been forgotten. */
	calibrated: 'each-round' | 'forgotten';
}

const multimeter = (n: number): DemoInstrument => ({
	code: `M-${n}`,
	kind: 'multimeter',
	serialNumber: `48${n}-07${n}`,
	measures: {
		'dissolved-oxygen': { low: 0, high: 20, resolution: 0.1, accuracy: 0.2, calibrationDays: 2 },
		conductivity: { low: 0, high: 5000, resolution: 1, accuracy: 5, calibrationDays: 45 },
		'water-temperature': { low: -5, high: 50, resolution: 0.1, accuracy: 0.3 }
	},
	calibrated: n === 2 ? 'forgotten' : 'each-round'
});

const velocityMeter = (n: number): DemoInstrument => ({
	code: `V-${n}`,
	kind: 'velocity meter',
	serialNumber: `P${n}219`,
	measures: { velocity: { low: 0.03, high: 3, resolution: 0.01, stall: 0.03 } },
	calibrated: 'each-round'
});

const thermometer = (n: number): DemoInstrument => ({
	code: `T-${n}`,
	kind: 'glass thermometer',
	serialNumber: `G${n}`,
	measures: { 'air-temperature': { low: -10, high: 50, resolution: 0.5, accuracy: 0.5 } },
	calibrated: 'each-round'
});

export const instruments: readonly DemoInstrument[] = [1, 2, 3].flatMap((n) => [
	multimeter(n),
	velocityMeter(n),
	thermometer(n)
]);

/** Which of each kind a team carries. */
export const kitOf = { Upper: 1, Middle: 2, Lower: 3 } as const;
