/** A thermometer that stands beside the plates. Real ones join here; what is shipped is a stand-in. */
export interface ThermometerPort {
	isSimulated: boolean;
	read: () => number;
}

const DAY_ms = 86_400_000;
const USUAL_C = 20.5;
const SWING_C = 1.5;

/** A stand-in in a cupboard: warmest in the afternoon, to half a degree. */
export const simulatedThermometer = (now_ms: () => number): ThermometerPort => ({
	isSimulated: true,
	read: () => Math.round(2 * (USUAL_C - SWING_C * Math.cos((2 * Math.PI * (now_ms() - DAY_ms / 8)) / DAY_ms))) / 2
});
