// equilibrium with the air
export { dissolvedOxygenSaturation, percentSaturation, pressureFromElevation, type Water } from './saturation';
// fixed and titrated bottles
export { titrantNormality, titrationOxygen, type Titration } from './titration';
