// the clarity tube
export { tubeDepthFromTurbidity, turbidityFromTube } from './tube';
