// the clarity tube
export { rangeOfTube, tubeDepthFromTurbidity, turbidityFromTube } from './tube';
