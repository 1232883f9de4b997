// equilibrium with the air
export { dissolvedOxygenSaturation, percentSaturation, pressureFromElevation, type Water } from './saturation';
// fixed and titrated bottles
export { titrationOxygen, type Titration } from './titration';
